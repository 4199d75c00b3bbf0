import { figureOf } from '../figures';
import { memory, practice, sourced, type Source, type Sourced } from '../sources';

/** What a shop may enter of its own product; it goes before the table. */
export type GlueFigure = 'spreadGPerM2' | 'openMin' | 'closedMin' | 'clampMin' | 'workableMin' | 'leastC' | 'leastPressureKPa' | 'aimPressureKPa'; // prettier-ignore
export type OwnGlue = Partial<Record<GlueFigure, number>>;

export const GLUE_FIGURES: Record<GlueFigure, { label: string; unit: string; least: number; most: number }> =
  {
    spreadGPerM2: { label: 'Spread', unit: 'g/m²', least: 20, most: 800 },
    openMin: { label: 'Open at 20 °C', unit: 'min', least: 0.1, most: 240 },
    closedMin: { label: 'Closed assembly at 20 °C, from the first glue', unit: 'min', least: 0.1, most: 480 },
    clampMin: { label: 'Clamped at 20 °C', unit: 'min', least: 0.1, most: 2880 },
    workableMin: { label: 'Worked on after', unit: 'min', least: 1, most: 20_160 },
    leastC: { label: 'Not below', unit: '°C', least: -10, most: 40 },
    leastPressureKPa: { label: 'Pressure at least, flat ground', unit: 'kPa', least: 5, most: 2000 },
    aimPressureKPa: { label: 'Pressure to aim at', unit: 'kPa', least: 5, most: 2000 },
  };

export type Adhesive = {
  id: AdhesiveId;
  label: string;
  thinsWithWater: boolean;
  reversible: boolean;
  fillsGaps: boolean;
  /** Gives under lasting load. */
  creeps: boolean;
  /** How readily it comes through thin, open-pored veneer. */
  bleeds: 'little' | 'some' | 'much';
  spreadGPerM2: Sourced;
  densityGPerMl: Sourced;
  /** Minutes from spreading to closing at 20 °C. */
  openMin: Sourced;
  /** Closed assembly: minutes from the first glue spread until the pressure must be on, at 20 °C. */
  closedMin: Sourced;
  clampMin: Sourced;
  /** Until the repair can be worked on, counted from the clamps going on, at 20 °C. */
  workableMin: Sourced;
  /** Until it has its full strength, hours at 20 °C. */
  fullCureH: Sourced;
  /** Below this the glue does not form a sound film. °C. */
  leastC: Sourced;
  /** Hot hide glue sets by cooling: cold shortens its open time where it lengthens that of other glues. */
  setsByCooling: boolean;
  /** The least that works on flat, well fitted ground: what a vacuum bag gives. */
  leastPressureKPa: Sourced;
  /** What clamps are counted for, so that what does not quite meet is closed too. */
  aimPressureKPa: Sourced;
  /** As it is spread, at its own temperature; not for what is laid as a film or sprayed. mPa·s. */
  viscosityMPas?: Sourced;
  /** Glue that comes dry: water to soak it in, by weight. */
  waterPerDry?: Sourced;
  note: string;
  /** What heat and water do to the joint. */
  heatAndWater: string;
  /** What it does where it is smeared under a stain. */
  underStain: string;
  /** Of the figures in these words. */
  source: Source;
};

type Row = {
  label: string;
  figures: Record<GlueFigure | 'densityGPerMl' | 'fullCureH', number>;
  traits?: readonly ('thins' | 'reversible' | 'fills' | 'creeps' | 'cools')[];
  bleeds: Adhesive['bleeds'];
  viscosityMPas?: number;
  /** Water to dry glue by weight. */
  waterPerDry?: number;
  note: string;
  heatAndWater: string;
  underStain: string;
  /** Figures that are common practice rather than from memory. */
  practice?: Partial<Record<GlueFigure, string>>;
};

const BLOCKS_STAIN = 'Blocks stain where it is smeared; wipe at once and scrape when dry.';

/** Glue kinds, no products. */
// prettier-ignore
const TABLE = {
  liquidHide: {
    label: 'Liquid hide glue',
    viscosityMPas: 4000,
    figures: { spreadGPerM2: 200, densityGPerMl: 1.2, openMin: 10, closedMin: 15, clampMin: 120, workableMin: 1440, fullCureH: 72, leastC: 10, aimPressureKPa: 250, leastPressureKPa: 70 },
    traits: ['thins', 'reversible'],
    bleeds: 'some',
    note: 'Can be opened again with heat and moisture. Does not fill gaps.',
    heatAndWater: 'Softens in heat and damp; that is how it is undone.',
    underStain: 'Takes some stain; smears wash off with warm water even later.',
    practice: { clampMin: 'hide glue: clamps at least 1 h; the liquid kind is given twice that', workableMin: 'hide glue: work on it the next day' },
  },
  hotHide: {
    label: 'Hot hide glue, 192 gram',
    waterPerDry: 1.75,
    viscosityMPas: 100,
    figures: { spreadGPerM2: 220, densityGPerMl: 1.15, openMin: 2, closedMin: 2, clampMin: 60, workableMin: 1440, fullCureH: 48, leastC: 15, aimPressureKPa: 150, leastPressureKPa: 50 },
    traits: ['thins', 'reversible', 'cools'],
    bleeds: 'some',
    note: 'The all-round strength. Can be opened again with heat and moisture. Warm the wood; it gels as it cools.',
    heatAndWater: 'Softens in heat and damp; that is how it is undone.',
    underStain: 'Takes some stain; smears wash off with warm water even later.',
    practice: { clampMin: 'hide glue: clamps at least 1 h', workableMin: 'hide glue: work on it the next day' },
  },
  hotHideSlow: {
    label: 'Hot hide glue, 135 gram',
    viscosityMPas: 60,
    figures: { spreadGPerM2: 220, densityGPerMl: 1.17, openMin: 4, closedMin: 4, clampMin: 90, workableMin: 1440, fullCureH: 48, leastC: 13, aimPressureKPa: 150, leastPressureKPa: 50 },
    traits: ['thins', 'reversible', 'cools'],
    waterPerDry: 1.25,
    bleeds: 'some',
    note: 'The weakest that holds furniture, and the slowest to gel: for large faces under platens.',
    heatAndWater: 'Softens in heat and damp; that is how it is undone.',
    underStain: 'Takes some stain; smears wash off with warm water even later.',
    practice: { workableMin: 'hide glue: work on it the next day' },
  },
  hotHideFast: {
    label: 'Hot hide glue, 251 gram',
    viscosityMPas: 150,
    figures: { spreadGPerM2: 200, densityGPerMl: 1.12, openMin: 1, closedMin: 1, clampMin: 60, workableMin: 1440, fullCureH: 48, leastC: 18, aimPressureKPa: 150, leastPressureKPa: 50 },
    traits: ['thins', 'reversible', 'cools'],
    waterPerDry: 2.1,
    bleeds: 'some',
    note: 'Grips fast as it cools: for hammering narrow leaves and rubbed joints, not for what takes long to lay.',
    heatAndWater: 'Softens in heat and damp; that is how it is undone.',
    underStain: 'Takes some stain; smears wash off with warm water even later.',
    practice: { clampMin: 'hide glue: clamps at least 1 h', workableMin: 'hide glue: work on it the next day' },
  },
  pva: {
    label: 'PVA wood glue',
    viscosityMPas: 4500,
    figures: { spreadGPerM2: 180, densityGPerMl: 1.1, openMin: 8, closedMin: 10, clampMin: 150, workableMin: 1440, fullCureH: 24, leastC: 10, aimPressureKPa: 350, leastPressureKPa: 70 },
    traits: ['thins', 'creeps'],
    bleeds: 'much',
    note: 'Quick and strong, but it creeps under lasting load and blocks stain where it is smeared.',
    heatAndWater: 'Softens above about 60 °C; the plain kind gives way in water.',
    underStain: BLOCKS_STAIN,
    practice: { clampMin: 'PVA and veneer glue: clamped 2–3 h', workableMin: 'next day for stress' },
  },
  crossPva: {
    label: 'Cross-linking PVA',
    viscosityMPas: 4000,
    figures: { spreadGPerM2: 190, densityGPerMl: 1.1, openMin: 6, closedMin: 8, clampMin: 150, workableMin: 1440, fullCureH: 24, leastC: 13, aimPressureKPa: 350, leastPressureKPa: 80 },
    traits: ['thins', 'creeps'],
    bleeds: 'much',
    note: 'Stands damp; tacks sooner than the plain kind. It cannot be undone.',
    heatAndWater: 'Stands damp, not lasting wet; softens in heat.',
    underStain: BLOCKS_STAIN,
    practice: { clampMin: 'PVA and veneer glue: clamped 2–3 h', workableMin: 'next day for stress' },
  },
  veneerGlue: {
    label: 'Hard-setting veneer glue',
    viscosityMPas: 6000,
    figures: { spreadGPerM2: 160, densityGPerMl: 1.15, openMin: 12, closedMin: 15, clampMin: 180, workableMin: 1440, fullCureH: 48, leastC: 13, aimPressureKPa: 350, leastPressureKPa: 70 },
    traits: ['thins'],
    bleeds: 'little',
    note: 'Dries hard, so the patch does not creep; thick, so it bleeds less through thin veneer.',
    heatAndWater: 'Stands warmth better than plain PVA.',
    underStain: BLOCKS_STAIN,
    practice: { clampMin: 'PVA and veneer glue: clamped 2–3 h', workableMin: 'next day for stress' },
  },
  polyurethane: {
    label: 'Polyurethane glue',
    viscosityMPas: 6000,
    figures: { spreadGPerM2: 150, densityGPerMl: 1.1, openMin: 20, closedMin: 25, clampMin: 120, workableMin: 360, fullCureH: 24, leastC: 8, aimPressureKPa: 400, leastPressureKPa: 100 },
    traits: [],
    bleeds: 'much',
    note: 'Damp one side; it foams out of the joint. The foam fills but does not hold.',
    heatAndWater: 'Stands water; softens little in heat.',
    underStain: 'Foam and smears block stain and must be scraped.',
  },
  ureaFormaldehyde: {
    label: 'Urea-formaldehyde resin glue',
    viscosityMPas: 3000,
    figures: { spreadGPerM2: 200, densityGPerMl: 1.25, openMin: 20, closedMin: 30, clampMin: 480, workableMin: 1440, fullCureH: 72, leastC: 15, aimPressureKPa: 350, leastPressureKPa: 100 },
    traits: [],
    bleeds: 'little',
    note: 'Rigid, no creep, time to lay large faces. Needs a warm shop; its dust and vapour are harmful.',
    heatAndWater: 'Stands damp; weakens over years in heat and wet.',
    underStain: 'Dries pale or tan and takes no stain.',
  },
  epoxy: {
    label: 'Epoxy',
    viscosityMPas: 1000,
    figures: { spreadGPerM2: 250, densityGPerMl: 1.12, openMin: 20, closedMin: 30, clampMin: 720, workableMin: 1440, fullCureH: 168, leastC: 10, aimPressureKPa: 20, leastPressureKPa: 20 },
    traits: ['fills'],
    bleeds: 'much',
    note: 'Fills gaps and needs contact pressure only. It cannot be undone.',
    heatAndWater: 'Stands water; softens above about 50 to 60 °C.',
    underStain: 'Takes no stain at all.',
    practice: { clampMin: 'epoxy: overnight', leastPressureKPa: 'epoxies need contact only' },
  },
  epoxyFast: {
    label: 'Epoxy, fast',
    viscosityMPas: 15000,
    figures: { spreadGPerM2: 250, densityGPerMl: 1.15, openMin: 4, closedMin: 5, clampMin: 30, workableMin: 240, fullCureH: 24, leastC: 10, aimPressureKPa: 20, leastPressureKPa: 20 },
    traits: ['fills', 'creeps'],
    bleeds: 'some',
    note: 'Five minutes, then it is over. Weaker and softer than the slow kind.',
    heatAndWater: 'Stands damp less well than the slow kind.',
    underStain: 'Takes no stain at all.',
    practice: { leastPressureKPa: 'epoxies need contact only' },
  },
  cyanoacrylate: {
    label: 'Thin cyanoacrylate',
    viscosityMPas: 4,
    figures: { spreadGPerM2: 60, densityGPerMl: 1.06, openMin: 0.5, closedMin: 0.5, clampMin: 1, workableMin: 10, fullCureH: 24, leastC: 5, aimPressureKPa: 10, leastPressureKPa: 10 },
    traits: [],
    bleeds: 'much',
    note: 'Seconds, and brittle. Glue on bare wood shows under stain; wipe at once.',
    heatAndWater: 'Lets go above about 80 °C and in acetone.',
    underStain: 'Shows as a dark or shiny spot.',
    practice: { clampMin: 'cyanoacrylate: seconds' },
  },
  caMedium: {
    label: 'Medium cyanoacrylate',
    viscosityMPas: 150,
    figures: { spreadGPerM2: 90, densityGPerMl: 1.06, openMin: 1, closedMin: 1, clampMin: 2, workableMin: 15, fullCureH: 24, leastC: 5, aimPressureKPa: 10, leastPressureKPa: 10 },
    traits: [],
    bleeds: 'some',
    note: 'Bridges a hair; still brittle.',
    heatAndWater: 'Lets go above about 80 °C and in acetone.',
    underStain: 'Shows as a dark or shiny spot.',
    practice: { clampMin: 'cyanoacrylate: seconds' },
  },
  caGel: {
    label: 'Cyanoacrylate gel',
    viscosityMPas: 50000,
    figures: { spreadGPerM2: 120, densityGPerMl: 1.08, openMin: 1.5, closedMin: 1.5, clampMin: 3, workableMin: 20, fullCureH: 24, leastC: 5, aimPressureKPa: 10, leastPressureKPa: 10 },
    traits: ['fills'],
    bleeds: 'little',
    note: 'Stays where it is put; for chips and splinters on a slope.',
    heatAndWater: 'Lets go above about 80 °C and in acetone.',
    underStain: 'Shows as a dark or shiny spot.',
    practice: { clampMin: 'cyanoacrylate: seconds' },
  },
  contact: {
    label: 'Contact or self-adhesive',
    figures: { spreadGPerM2: 250, densityGPerMl: 0.9, openMin: 20, closedMin: 40, clampMin: 1, workableMin: 60, fullCureH: 72, leastC: 15, aimPressureKPa: 400, leastPressureKPa: 200 },
    traits: ['creeps'],
    bleeds: 'little',
    note: 'Grabs at once and stays soft: veneer moves over it and seams open. Only for backed sheets on a sealed ground.',
    heatAndWater: 'Gives way in heat.',
    underStain: 'Solvent in stain and finish may lift it.',
  },
  ironOnFilm: {
    label: 'Iron-on film',
    figures: { spreadGPerM2: 120, densityGPerMl: 0.95, openMin: 1, closedMin: 1, clampMin: 2, workableMin: 30, fullCureH: 24, leastC: 10, aimPressureKPa: 100, leastPressureKPa: 100 },
    traits: ['creeps', 'cools', 'reversible'],
    bleeds: 'little',
    note: 'A hot film laid between; an iron and a block that cools it.',
    heatAndWater: 'Melts again under an iron.',
    underStain: 'Stays in the joint; nothing to wipe.',
  },
} satisfies Record<string, Row>;

export type AdhesiveId = keyof typeof TABLE;

const check = (what: string): Source =>
  memory(`${what} of the common kind of this glue; your product's data sheet goes first`);

function adhesiveOf(id: AdhesiveId, row: Row): Adhesive {
  const { figures } = row;
  const has = (t: NonNullable<Row['traits']>[number]): boolean => row.traits?.includes(t) ?? false;
  const figure = (name: GlueFigure, what: string): Sourced => {
    const why = row.practice?.[name];
    return sourced(figures[name], why === undefined ? check(what) : practice(why));
  };
  return {
    id,
    label: row.label,
    thinsWithWater: has('thins'),
    reversible: has('reversible'),
    fillsGaps: has('fills'),
    creeps: has('creeps'),
    setsByCooling: has('cools'),
    bleeds: row.bleeds,
    spreadGPerM2: figure('spreadGPerM2', 'spread rate'),
    densityGPerMl: sourced(figures.densityGPerMl, check('density')),
    openMin: figure('openMin', 'open time'),
    closedMin: figure('closedMin', 'closed assembly time'),
    clampMin: figure('clampMin', 'clamp time'),
    workableMin: figure('workableMin', 'time to handling'),
    fullCureH: sourced(figures.fullCureH, check('time to full strength')),
    leastC: figure('leastC', 'least temperature'),
    leastPressureKPa: figure('leastPressureKPa', 'least pressure that works for veneer on flat ground'),
    aimPressureKPa: figure('aimPressureKPa', 'pressure to aim at under clamps'),
    ...(row.waterPerDry === undefined
      ? {}
      : { waterPerDry: sourced(row.waterPerDry, memory('stronger grades are soaked in more water')) }),
    ...(row.viscosityMPas === undefined
      ? {}
      : { viscosityMPas: sourced(row.viscosityMPas, check('viscosity')) }),
    note: row.note,
    heatAndWater: row.heatAndWater,
    underStain: row.underStain,
    source: check('what is said of it'),
  };
}

export const ADHESIVES: readonly Adhesive[] = (Object.entries(TABLE) as [AdhesiveId, Row][]).map(
  ([id, row]) => adhesiveOf(id, row),
);

/**
 * A glue of the table, with the shop's own product in place of the common kind where figures of it are known.
 *
 * @throws RangeError for a glue that is not in the table
 */
export function adhesiveById(id: string, own: OwnGlue = {}): Adhesive {
  const found = ADHESIVES.find((a) => a.id === id);
  if (!found) throw new RangeError(`There is no glue “${id}” in the table.`);
  const figures = (Object.keys(GLUE_FIGURES) as GlueFigure[]).map((f): [GlueFigure, Sourced] => [
    f,
    figureOf(found[f], { own: { value: own[f], by: 'your own product, entered in the shop' } }),
  ]);
  return { ...found, ...Object.fromEntries(figures) };
}

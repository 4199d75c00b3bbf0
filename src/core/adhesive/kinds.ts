import { memory, practice, sourced, type Sourced } from '../sources';

export type AdhesiveId = 'hotHide' | 'liquidHide' | 'pva' | 'veneerGlue' | 'epoxy' | 'cyanoacrylate';

export type Adhesive = {
  id: AdhesiveId;
  label: string;
  thinsWithWater: boolean;
  reversible: boolean;
  fillsGaps: boolean;
  spreadGPerM2: Sourced;
  densityGPerMl: Sourced;
  /** Minutes from spreading to closing at 20 °C. */
  openMin: Sourced;
  clampMin: Sourced;
  /** Until the repair can be worked on, counted from the clamps going on, at 20 °C. */
  workableMin: Sourced;
  /** Below this the glue does not form a sound film. °C. */
  leastC: Sourced;
  /** Hot hide glue sets by cooling: cold shortens its open time where it lengthens that of other glues. */
  setsByCooling: boolean;
  leastPressureKPa: Sourced;
  note: string;
};

const check = (what: string) =>
  memory(`${what} of the common kind of this glue; your product's data sheet goes first`);

/** Glue kinds, no products. */
export const ADHESIVES: readonly Adhesive[] = [
  {
    id: 'liquidHide',
    label: 'Liquid hide glue',
    thinsWithWater: true,
    reversible: true,
    fillsGaps: false,
    spreadGPerM2: sourced(200, check('spread rate')),
    densityGPerMl: sourced(1.2, check('density')),
    openMin: sourced(10, check('open time')),
    clampMin: sourced(120, practice('hide glue: clamps at least 1 h; the liquid kind is given twice that')),
    workableMin: sourced(24 * 60, practice('hide glue: work on it the next day')),
    leastC: sourced(10, check('least temperature')),
    setsByCooling: false,
    leastPressureKPa: sourced(250, check('least pressure for veneer on a flat ground')),
    note: 'Can be opened again with heat and moisture. Does not fill gaps.',
  },
  {
    id: 'hotHide',
    label: 'Hot hide glue',
    thinsWithWater: true,
    reversible: true,
    fillsGaps: false,
    spreadGPerM2: sourced(220, check('spread rate')),
    densityGPerMl: sourced(1.15, check('density')),
    openMin: sourced(2, check('open time before it gels')),
    clampMin: sourced(60, practice('hide glue: clamps at least 1 h')),
    workableMin: sourced(24 * 60, practice('hide glue: work on it the next day')),
    leastC: sourced(15, check('least temperature of wood and room')),
    setsByCooling: true,
    leastPressureKPa: sourced(150, check('least pressure; it can also be laid with a veneer hammer')),
    note: 'Can be opened again with heat and moisture. Warm the wood; it gels as it cools.',
  },
  {
    id: 'pva',
    label: 'PVA wood glue',
    thinsWithWater: true,
    reversible: false,
    fillsGaps: false,
    spreadGPerM2: sourced(180, check('spread rate')),
    densityGPerMl: sourced(1.1, check('density')),
    openMin: sourced(8, check('open time')),
    clampMin: sourced(150, practice('PVA and veneer glue: clamped 2–3 h')),
    workableMin: sourced(24 * 60, practice('next day for stress')),
    leastC: sourced(10, check('least temperature')),
    setsByCooling: false,
    leastPressureKPa: sourced(350, check('least pressure')),
    note: 'Quick and strong, but it creeps under lasting load and blocks stain where it is smeared.',
  },
  {
    id: 'veneerGlue',
    label: 'Hard-setting veneer glue',
    thinsWithWater: true,
    reversible: false,
    fillsGaps: false,
    spreadGPerM2: sourced(160, check('spread rate')),
    densityGPerMl: sourced(1.15, check('density')),
    openMin: sourced(12, check('open time')),
    clampMin: sourced(180, practice('PVA and veneer glue: clamped 2–3 h')),
    workableMin: sourced(24 * 60, practice('next day for stress')),
    leastC: sourced(13, check('least temperature')),
    setsByCooling: false,
    leastPressureKPa: sourced(350, check('least pressure')),
    note: 'Dries hard, so the patch does not creep; thick, so it bleeds less through thin veneer.',
  },
  {
    id: 'epoxy',
    label: 'Epoxy',
    thinsWithWater: false,
    reversible: false,
    fillsGaps: true,
    spreadGPerM2: sourced(250, check('spread rate')),
    densityGPerMl: sourced(1.12, check('density')),
    openMin: sourced(20, check('open time of the slow kind')),
    clampMin: sourced(12 * 60, practice('epoxy: overnight')),
    workableMin: sourced(24 * 60, check('time to full handling')),
    leastC: sourced(10, check('least temperature')),
    setsByCooling: false,
    leastPressureKPa: sourced(20, practice('epoxies need contact only')),
    note: 'Fills gaps and needs contact pressure only. It cannot be undone.',
  },
  {
    id: 'cyanoacrylate',
    label: 'Thin cyanoacrylate',
    thinsWithWater: false,
    reversible: false,
    fillsGaps: false,
    spreadGPerM2: sourced(60, check('spread rate')),
    densityGPerMl: sourced(1.06, check('density')),
    openMin: sourced(0.5, check('open time')),
    clampMin: sourced(1, practice('cyanoacrylate: seconds')),
    workableMin: sourced(10, check('time to sanding')),
    leastC: sourced(5, check('least temperature')),
    setsByCooling: false,
    leastPressureKPa: sourced(10, check('finger pressure')),
    note: 'Seconds, and brittle. Glue on bare wood shows under stain; wipe at once.',
  },
];

/** @throws RangeError for a glue that is not in the table */
export function adhesiveById(id: string): Adhesive {
  const found = ADHESIVES.find((a) => a.id === id);
  if (!found) throw new RangeError(`There is no glue “${id}” in the table.`);
  return found;
}

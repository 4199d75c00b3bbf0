import { assertRange } from '../check';
import { methodById, type GlueUse, type MethodId } from '../catalogue';
import type { School } from '../terms';
import { derived, memory, practice, published, sourced, type Source, type Sourced } from '../sources';
import type { Ways } from '../ways';
import { adhesiveById, type Adhesive, type AdhesiveId, type OwnGlue } from './kinds';

export type GlueTimes = {
  openMin: number;
  /** From the first glue until the pressure must be on. */
  closedMin: number;
  clampMin: number;
  workableMin: number;
  fullCureH: number;
};

/** A shop is neither a freezer nor a kiln. °C. */
export const SHOP_RANGE_C = { least: -10, most: 45 };

/** The temperature that the table's times hold at. °C. */
export const TIMES_AT_C: Sourced = sourced(20, memory('data sheets give times at about 20 °C'));

/** How cold and warmth change a glue's times. */
export const TEMPERATURE_RULE: Sourced = sourced(
  2,
  memory(
    'a reaction or drying takes about twice as long for every 10 °C less; taken for clamp and cure times',
  ),
);

/**
 * Open, closed, clamp, working and curing times of a glue at a shop's temperature.
 *
 * @param temperatureC °C, -10…45
 * @throws RangeError outside that range, and below the glue's least temperature, where no time can be given
 */
export function glueTimes(adhesive: Adhesive, temperatureC: number): GlueTimes {
  assertRange('The shop temperature', temperatureC, '°C', SHOP_RANGE_C.least, SHOP_RANGE_C.most);
  if (temperatureC < adhesive.leastC.value) {
    throw new RangeError(
      `${adhesive.label} does not set soundly below ${adhesive.leastC.value} °C, and the shop has ${Math.round(temperatureC)} °C. No clamp time is given; warm the shop and the piece first.`,
    );
  }
  const slower = TEMPERATURE_RULE.value ** ((TIMES_AT_C.value - temperatureC) / 10);
  const clamp = Math.min(4, Math.max(0.5, slower));
  const open = adhesive.setsByCooling ? 1 / clamp : Math.min(1.5, clamp);
  return {
    openMin: adhesive.openMin.value * open,
    closedMin: adhesive.closedMin.value * open,
    clampMin: adhesive.clampMin.value * clamp,
    workableMin: adhesive.workableMin.value * Math.max(1, clamp),
    fullCureH: adhesive.fullCureH.value * Math.max(1, clamp),
  };
}

type Suggestion = { id: AdhesiveId; why: string };

const HIDE_WHY = 'It bonds over what is left of old hide glue, gives time to work it in, and can be undone.';
const EPOXY_WHY = 'It fills what the wood has lost and holds on what cannot be cleaned.';

/** Glues that would do, the best first. */
function candidates(use: GlueUse, school: School, splitGlue: Ways['splitGlue']): Suggestion[] {
  const hide: Suggestion[] = [
    { id: 'liquidHide', why: HIDE_WHY },
    { id: 'hotHide', why: 'Hide glue that can be undone; warm the wood.' },
  ];
  const pva: Suggestion = { id: 'pva', why: 'Quick and strong; nothing needs to be undone under paint.' };
  const epoxy: Suggestion[] = [
    { id: 'epoxy', why: EPOXY_WHY },
    { id: 'epoxyFast', why: EPOXY_WHY },
  ];
  const cold: Suggestion = { id: 'polyurethane', why: 'It sets in a colder shop than the others do.' };
  if (use === 'instant' || (use === 'split' && splitGlue === 'ca'))
    return [{ id: 'cyanoacrylate', why: 'It runs in by itself and holds in seconds.' }, ...epoxy];
  if (use === 'fills' || (use === 'split' && splitGlue === 'epoxy')) return [...epoxy, cold];
  if (use === 'oldHide')
    return [
      { id: 'hotHide', why: 'The old hide glue does the work; where it is thin, more hide glue joins it.' },
      { id: 'liquidHide', why: 'More hide glue joins the old where it is thin.' },
    ];
  if (use === 'patch' && school === 'clear')
    return [
      {
        id: 'veneerGlue',
        why: 'It dries hard, so the seam stays closed, and bleeds little through thin veneer.',
      },
      ...hide,
      { ...pva, why: 'Quick and strong; it sets in a shop that is too cold for the hard-setting kind.' },
      ...epoxy,
    ];
  if (school === 'conserve') return [...hide, ...epoxy];
  return school === 'paint' ? [pva, ...hide, cold, ...epoxy] : [...hide, { ...pva, why: 'Quick and strong.' }, cold, ...epoxy]; // prettier-ignore
}

/**
 * The glue a school would take for a method in a shop of this temperature, and why: of those that would do the first that
 * sets there. Where none sets, the first, and the page says to warm the shop.
 */
export function suggestAdhesive(
  method: MethodId,
  school: School,
  {
    temperatureC,
    splitGlue = 'wood',
    own = {},
  }: {
    temperatureC: number;
    splitGlue?: Ways['splitGlue'];
    own?: Partial<Record<AdhesiveId, OwnGlue>>;
  },
): { id: AdhesiveId; why: string; source: Source } {
  const all = candidates(methodById(method).glue, school, splitGlue);
  const first = all[0] ?? { id: 'liquidHide', why: HIDE_WHY };
  const sets = all.find((c) => adhesiveById(c.id, own[c.id]).leastC.value <= temperatureC) ?? first;
  const why =
    sets.id === first.id
      ? sets.why
      : `${sets.why} ${adhesiveById(first.id).label} would come first in a warmer shop.`;
  return { id: sets.id, why, source: practice() };
}

/** Who clamps as hard as possible gives what joints of solid wood are given. kPa. */
const HARD_PRESSURE_KPA = sourced(
  700,
  published(
    'Wood Handbook (Forest Products Laboratory)',
    'adhesive bonding: about 700 kPa for woods of low density; written down from memory',
  ),
);
/** Glues that need contact only are not squeezed dry by anybody. kPa. */
const CONTACT_KPA = sourced(50, practice('epoxies need contact only'));

/** What clamps are counted for with this glue, by the way a piece is glued. kPa. */
export function wantedPressure({ aimPressureKPa }: Adhesive, glueAndForce: Ways['glueAndForce']): Sourced {
  const hard = glueAndForce === 'flooded' && aimPressureKPa.value > CONTACT_KPA.value;
  return hard && aimPressureKPa.value < HARD_PRESSURE_KPA.value ? HARD_PRESSURE_KPA : aimPressureKPa;
}

/** Whoever clamps overnight takes nothing off before this. min. */
export const OVERNIGHT_MIN: Sourced = sourced(12 * 60, practice('clamped overnight in any case'));
/** Glues that hold in less are not left overnight by anybody. min. */
const HELD_BY_HAND_MIN = sourced(15, practice('cyanoacrylate and films hold in seconds or minutes'));

/** A glue's times as a piece's ways have them: the label's least, or overnight. */
export function heldTimes(times: GlueTimes, clampTime: Ways['clampTime']): GlueTimes {
  if (clampTime === 'label' || times.clampMin < HELD_BY_HAND_MIN.value) return times;
  const clampMin = Math.max(times.clampMin, OVERNIGHT_MIN.value);
  return { ...times, clampMin, workableMin: Math.max(times.workableMin, clampMin) };
}

export type GlueQuantity = { grams: number; millilitres: number; wasteShare: Sourced; source: Source };

export const WASTE_SHARE: Sourced = sourced(0.2, memory('a fifth stays on brush, pot and squeeze-out'));
/** “20 % for waste”. */
export const wasteWords = (share: Sourced): string => `${Math.round(100 * share.value)} % for waste`;
/** Who floods a joint presses much of it out again. */
export const FLOODED_WASTE_SHARE: Sourced = sourced(
  0.6,
  memory('flooded and clamped hard, more than a third is pressed out and wiped off'),
);

/**
 * Glue for an area.
 *
 * @param areaMm2 area to be glued, mm², up to 5 m²
 * @param wasteShare what does not stay in the joint, of what does
 */
export function glueQuantity(
  adhesive: Adhesive,
  areaMm2: number,
  wasteShare: Sourced = WASTE_SHARE,
): GlueQuantity {
  assertRange('The area to be glued', areaMm2, 'mm²', 0, 5e6);
  const grams = (areaMm2 / 1e6) * adhesive.spreadGPerM2.value * (1 + wasteShare.value);
  return {
    grams,
    millilitres: grams / adhesive.densityGPerMl.value,
    wasteShare,
    source: derived(`area × ${adhesive.spreadGPerM2.value} g/m² and ${wasteWords(wasteShare)}`),
  };
}

/** Hide glue is kept so warm in its pot; hotter, it weakens. °C. */
export const POT_C: Sourced = sourced(60, memory('hide glue is kept at about 60 °C and never boiled'));

/** Dry glue and the water it is soaked in, grams of each (and ml of water), for so much glue ready to spread; nothing for other kinds. */
export function fromDry(
  { waterPerDry }: Adhesive,
  grams: number,
): { dryG: number; waterMl: number } | undefined {
  if (!waterPerDry) return undefined;
  const dryG = grams / (1 + waterPerDry.value);
  return { dryG, waterMl: grams - dryG };
}

export type FloodMix = {
  name: string;
  waterParts: number;
  glueParts: number;
  glueMl: number;
  waterMl: number;
};

const MIXES = [
  { name: 'Two of water to one of glue', waterParts: 2, glueParts: 1 },
  { name: 'One to one', waterParts: 1, glueParts: 1 },
  { name: 'Neat, near the opening', waterParts: 0, glueParts: 1 },
];

/**
 * The three mixes that are flooded in one after the other (2:1, 1:1, neat; common practice). The glue is shared evenly
 * over the three, so that the whole carries the spread rate of the area.
 *
 * @throws RangeError for a glue that does not thin with water
 */
export function floodMixes(adhesive: Adhesive, areaMm2: number): FloodMix[] {
  if (!adhesive.thinsWithWater) {
    throw new RangeError(
      `${adhesive.label} does not thin with water, so it cannot be flooded in three mixes. Take hide glue, PVA or veneer glue.`,
    );
  }
  const glueMl = glueQuantity(adhesive, areaMm2).millilitres / MIXES.length;
  return MIXES.map((mix) => ({ ...mix, glueMl, waterMl: (glueMl * mix.waterParts) / mix.glueParts }));
}

/**
 * Glue for a hollow that it has to fill, such as a hole or the room behind a splinter.
 *
 * @param volumeMm3 up to a litre
 * @throws RangeError for a glue that fills nothing
 */
export function glueForVoid(adhesive: Adhesive, volumeMm3: number): GlueQuantity {
  assertRange('The volume', volumeMm3, 'mm³', 0, 1e6);
  if (!adhesive.fillsGaps)
    throw new RangeError(
      `${adhesive.label} does not fill gaps: it shrinks away and holds nothing. Take epoxy, or let in wood.`,
    );
  const millilitres = (volumeMm3 / 1000) * (1 + WASTE_SHARE.value);
  return {
    millilitres,
    grams: millilitres * adhesive.densityGPerMl.value,
    wasteShare: WASTE_SHARE,
    source: derived(`the volume and ${wasteWords(WASTE_SHARE)}`),
  };
}

/**
 * Room under a lifted edge, which the mixes must first reach: a wedge from the mouth to where the veneer holds. ml.
 *
 * @param openingMm how far the veneer can be raised at the mouth
 * @param depthMm from the mouth to where it holds
 * @throws RangeError when it opens wider than it is deep
 */
export function roomUnderMl(areaMm2: number, openingMm: number, depthMm: number): number {
  assertRange('The opening', openingMm, 'mm', 0, 100);
  if (openingMm > depthMm) {
    throw new RangeError(
      `The mouth is entered as ${openingMm} mm open, and the veneer is loose only ${Math.round(depthMm)} mm deep: it would stand upright or break. Measure the opening again; it is the gap at the edge.`,
    );
  }
  return (areaMm2 * openingMm) / 2 / 1000;
}

/** How the three mixes are worked in. */
export const FLOOD_STEPS: readonly { title: string; detail: string }[] = [
  { title: 'Prop the mouth open', detail: 'Thin wedges at both ends, no farther than the veneer bends by itself. Tilt the piece so that the mouth looks up.' },
  { title: 'First mix, thinnest', detail: 'Brush or drip it in along the whole mouth. It runs to the very end and wets the old glue.' },
  { title: 'Pump', detail: 'Press the veneer down and let it up ten to twenty times with the flat of the hand, until nothing more bubbles.' },
  { title: 'Second mix', detail: 'The same again. What runs out is wiped off at once.' },
  { title: 'Neat, near the opening', detail: 'With a thin knife or a card on the last two fingers’ breadths, where it carries most.' },
  { title: 'Press out', detail: 'Lay it level. Roll or wipe from the far end to the mouth, so that no pool is left; then release sheet, platen, clamps from the far end outwards.' },
]; // prettier-ignore
export const FLOOD_SOURCE: Source = practice(
  'three mixes one after the other, brushed, tilted and pumped in',
);

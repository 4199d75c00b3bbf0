import { assertRange } from '../check';
import type { MethodId, School } from '../method';
import { derived, memory, practice, sourced, type Source, type Sourced } from '../sources';
import type { Adhesive, AdhesiveId } from './kinds';

export type GlueTimes = { openMin: number; clampMin: number; workableMin: number };

/** A shop is neither a freezer nor a kiln. °C. */
export const SHOP_RANGE_C = { least: -10, most: 45 };

/** How cold and warmth change a glue's times. */
export const TEMPERATURE_RULE: Sourced = sourced(
  2,
  memory(
    'a reaction or drying takes about twice as long for every 10 °C less; taken for clamp and cure times',
  ),
);

/**
 * Open, clamp and working times of a glue at a shop's temperature.
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
  const slower = TEMPERATURE_RULE.value ** ((20 - temperatureC) / 10);
  const clamp = Math.min(4, Math.max(0.5, slower));
  return {
    openMin: adhesive.openMin.value * (adhesive.setsByCooling ? 1 / clamp : Math.min(1.5, clamp)),
    clampMin: adhesive.clampMin.value * clamp,
    workableMin: adhesive.workableMin.value * Math.max(1, clamp),
  };
}

const BY_SCHOOL: Record<School, AdhesiveId> = { conserve: 'liquidHide', clear: 'liquidHide', paint: 'pva' };

/** The glue a school would take for a method, and why. */
export function suggestAdhesive(
  method: MethodId,
  school: School,
): { id: AdhesiveId; why: string; source: Source } {
  if (method === 'tack') {
    return {
      id: 'cyanoacrylate',
      why: 'A flake is held by a drop that sets in seconds.',
      source: practice(),
    };
  }
  if (method === 'injectJoint') {
    return {
      id: 'epoxy',
      why: 'It fills what the joint has lost and holds on what cannot be cleaned.',
      source: practice(),
    };
  }
  if (method === 'reactivate') {
    return {
      id: 'hotHide',
      why: 'The old hide glue does the work; where it is thin, more hide glue joins it.',
      source: practice(),
    };
  }
  const patch = ['veneerPatch', 'harvestedPatch', 'edgeStrip', 'sawnStrip', 'reveneer'].includes(method);
  if (patch && school === 'clear') {
    return {
      id: 'veneerGlue',
      why: 'It dries hard, so the seam stays closed, and bleeds little through thin veneer.',
      source: practice(),
    };
  }
  const id = BY_SCHOOL[school];
  const why =
    id === 'liquidHide'
      ? 'It bonds over what is left of old hide glue, gives time to work it in, and can be undone.'
      : 'Quick and strong; nothing needs to be undone under paint.';
  return { id, why, source: practice() };
}

export type GlueQuantity = { grams: number; millilitres: number; wasteShare: Sourced; source: Source };

export const WASTE_SHARE: Sourced = sourced(0.2, memory('a fifth stays on brush, pot and squeeze-out'));

/**
 * Glue for an area.
 *
 * @param areaMm2 area to be glued, mm², up to 5 m²
 */
export function glueQuantity(adhesive: Adhesive, areaMm2: number): GlueQuantity {
  assertRange('The area to be glued', areaMm2, 'mm²', 0, 5e6);
  const grams = (areaMm2 / 1e6) * adhesive.spreadGPerM2.value * (1 + WASTE_SHARE.value);
  return {
    grams,
    millilitres: grams / adhesive.densityGPerMl.value,
    wasteShare: WASTE_SHARE,
    source: derived(
      `area × ${adhesive.spreadGPerM2.value} g/m² and ${Math.round(WASTE_SHARE.value * 100)} % for waste`,
    ),
  };
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

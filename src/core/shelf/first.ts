import type { MethodId } from '../catalogue';
import type { Lab } from '../colour';
import { derived, memory, sourced } from '../sources';

/** What is done to new or stained wood before any colour goes on. */
export const FIRST = {
  none: { label: 'Nothing' },
  bleachOnce: { label: 'Bleach it once' },
  bleachTwice: { label: 'Bleach it twice' },
  bleachThrice: { label: 'Bleach it three times' },
  light: { label: 'A summer in the light' },
} as const;
export type First = keyof typeof FIRST;
export const FIRSTS = (['none', 'bleachOnce', 'bleachTwice', 'bleachThrice', 'light'] as const).map(
  (value: First) => ({ value, label: FIRST[value].label }),
);
const TREATMENTS: Record<First, number> = {
  none: 0,
  light: 0,
  bleachOnce: 1,
  bleachTwice: 2,
  bleachThrice: 3,
};

export const FIRST_SOURCE = derived(
  'each two-part treatment takes the same share of what is left between the wood and bleached wood',
);
/** What wood comes near to that is bleached again and again. CIELAB */
const BLEACHED = sourced<Lab>([88, 1, 14], memory('maple and ash bleached to the end'));
/** Share of the way there that one treatment takes. */
const SHARE = sourced(0.45, memory('a medium brown comes about half way to pale; it is usually done twice'));
/** What a summer of daylight does to new wood. CIELAB */
const LIGHT = {
  darkens: sourced<Lab>([-6, 3, 6], memory('cherry, maple, oak and most others darken and warm')),
  pales: sourced<Lab>([5, 0, 4], memory('walnut pales and yellows instead')),
};
/** Woods that light makes paler. */
const PALES: readonly string[] = ['walnut', 'europeanWalnut'];
/** How far each may be off: two pieces of one wood take it very differently. ΔE00 */
const SPREAD_EACH = sourced(5, memory('a test piece tells; the figure does not'));

/** The colour wood has afterwards. Bleach makes nothing darker, redder or yellower. @param species of the wood, where it is known */
export function colourAfterFirst(wood: Lab, first: First, species = ''): Lab {
  if (first === 'light') {
    const [l, a, b] = LIGHT[PALES.includes(species) ? 'pales' : 'darkens'].value;
    return [Math.min(100, Math.max(0, wood[0] + l)), wood[1] + a, wood[2] + b];
  }
  const left = (1 - SHARE.value) ** TREATMENTS[first];
  const [l, a, b] = wood.map((v, i) => {
    const end = BLEACHED.value[i] ?? v;
    const then = end + left * (v - end);
    return i === 0 ? Math.max(v, then) : Math.min(v, then);
  });
  return [l ?? wood[0], a ?? wood[1], b ?? wood[2]];
}

/** What it adds to the spread of a prediction. ΔE00, one standard deviation */
export const spreadOfFirst = (first: First): number =>
  first === 'none' ? 0 : SPREAD_EACH.value * Math.sqrt(Math.max(1, TREATMENTS[first]));

/** The fewest bleachings after which wood is no darker than the lightest ground of its goal; nothing where none is needed, or none does. */
export function bleachNeeded(wood: Lab, ground: Lab): First | undefined {
  if (wood[0] >= ground[0]) return undefined;
  const ways: First[] = ['bleachOnce', 'bleachTwice', 'bleachThrice'];
  return ways.find((f) => colourAfterFirst(wood, f)[0] >= ground[0]);
}

const BLEACHING: readonly MethodId[] = ['woodBleach', 'bleachNew'];

/** What is done first where nobody has said: what the methods of the repair bring. */
export const firstOf = (chosen: First | undefined, methods: readonly MethodId[]): First =>
  chosen ?? (methods.some((m) => BLEACHING.includes(m)) ? 'bleachTwice' : 'none');

/** How it is done, and what to mind. */
export const firstWords = (first: First): string | undefined =>
  first === 'none'
    ? undefined
    : first === 'light'
      ? 'Bare, behind glass in full daylight for some weeks to a summer, turned now and then. Walnut pales by it instead.'
      : 'Lye, then strong peroxide, as the label says, in plastic or glass, with gloves, goggles and an apron. Neutralise with vinegar and water, rinse, and let it dry two days. On a test piece first: veneer is thin and glue lines may let go. Sand as little as can be after it.';

/**
 * The colour of a place after the bleach that its repair brings: oxalic acid takes iron and water marks out and leaves the wood, so it comes to
 * what is round it; two-part bleach takes the wood's own colour.
 *
 * @param place as it is now
 * @param around the sound wood round it
 * @returns nothing where no bleach is in the repair
 */
export function placeAfterBleach(
  methods: readonly MethodId[],
  place: Lab,
  around: Lab,
): { lab: Lab; words: string; spread: number } | undefined {
  const spread = SPREAD_EACH.value;
  if (methods.includes('woodBleach'))
    return {
      lab: colourAfterFirst(place, 'bleachTwice'),
      words: 'Two treatments with two-part bleach take the colour of the wood itself.',
      spread: spreadOfFirst('bleachTwice'),
    };
  if (!methods.includes('oxalicAcid')) return undefined;
  return place[0] < around[0]
    ? {
        lab: around,
        words:
          'Oxalic acid takes out the black of iron and water and leaves the wood: over the whole panel it comes nearest to what is round it. What stays dark after two goes is no iron.',
        spread,
      }
    : {
        lab: place,
        words:
          'The place is no darker than the wood round it: there is no black for oxalic acid to take out.',
        spread,
      };
}

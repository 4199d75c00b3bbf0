import { memory, published, sourced } from '../sources';
import type { CoatsOf } from './colour';

/** A product as it comes, or so many parts of its carrier to one part of it: each halves what is in a coat. */
const THINNED = [0, 1, 3] as const;

/** Ways of thinning a product, for choosing. @param carrier its name */
export const thinnings = (carrier: string): { value: number; label: string }[] =>
  THINNED.map((value) => ({
    value,
    label: value === 0 ? 'As it comes' : `1 part with ${value} of ${carrier}`,
  }));

/** So much of its colour is in a coat. 0…1 */
export const shareOf = (carrierParts: number | undefined): number => 1 / (1 + (carrierParts ?? 0));

/** Drops in a millilitre. */
export const DROPS_PER_ML = sourced(
  20,
  published(
    'European Pharmacopoeia, 2.1.1 Droppers',
    '20 drops of water from the standard dropper weigh 1 g',
  ),
);
/** What a thin coat takes. ml for 100 cm² */
export const COAT_ML_PER_100_CM2 = sourced(
  0.8,
  memory('thin coats of dye, toner or shellac go about 12 m² to the litre'),
);
/** Less than this is not measured out: it stays in the brush. ml */
export const LEAST_MIXED_ML = sourced(1, memory('what a brush or a pad drinks'));
/** So much is counted in drops; more is measured. ml */
const COUNTED_ML = 3;

export type Batch = { productMl: number; carrierMl: number };

/** What is mixed for the coats of one product on a place. @param areaMm2 of the place */
export function batchOf({ coats, carrierParts = 0 }: CoatsOf, areaMm2: number): Batch {
  const needed = (coats * COAT_ML_PER_100_CM2.value * areaMm2) / 1e4;
  const all = Math.max(LEAST_MIXED_ML.value, needed);
  const productMl = all * shareOf(carrierParts);
  return { productMl, carrierMl: all - productMl };
}

const drops = (ml: number): string => {
  const n = Math.max(1, Math.round(ml * DROPS_PER_ML.value));
  return n === 1 ? '1 drop' : `${n} drops`;
};
const amount = (ml: number, counted: boolean): string => (counted ? drops(ml) : `${ml.toFixed(1)} ml`);

/** “1 part with 3 parts of spirit: 5 drops with 15 drops.” Parts come out whole in drops as well. */
export function batchWords(of: CoatsOf, areaMm2: number, carrier: string): string {
  const { productMl, carrierMl } = batchOf(of, areaMm2);
  const counted = productMl + carrierMl <= COUNTED_ML;
  const { carrierParts = 0 } = of;
  if (carrierParts === 0) return `As it comes, ${amount(productMl, counted)}.`;
  const one = counted
    ? Math.max(1, Math.round(productMl * DROPS_PER_ML.value)) / DROPS_PER_ML.value
    : productMl;
  return `1 part with ${carrierParts === 1 ? '1 part' : `${carrierParts} parts`} of ${carrier}: ${amount(one, counted)} with ${amount(one * carrierParts, counted)}.`;
}

/** “, thinned 1 to 3”; nothing for what goes on as it comes. */
export const thinnedWords = ({ carrierParts }: CoatsOf): string =>
  carrierParts ? `, thinned 1 to ${carrierParts}` : '';

/** A recipe with one of its products thinned with so many parts of its carrier; 0: as it comes. */
export const thinnedTo = (recipe: readonly CoatsOf[], id: string, carrierParts: number): CoatsOf[] =>
  recipe.map((coats) => {
    if (coats.colourId !== id) return { ...coats };
    const { carrierParts: _before, ...plain } = coats;
    return carrierParts > 0 ? { ...plain, carrierParts } : plain;
  });

import { byTime } from '../calendar';
import type { Coat, WantedCoats } from '../pigment';
import type { CoatsOf, TestBoard } from './colour';
import { shareOf, thinnedWords } from './thinned';

/** Coats that were decided on, by the products on the shelf. */
export type RecipeCoats = readonly CoatsOf[];

const ORDER: readonly Coat['kind'][] = ['dye', 'glaze', 'toner', 'clear'];

/** A product with so many parts of its carrier in it. */
export const thinnedCoat = (coat: Coat, carrierParts: number | undefined): Coat => ({
  ...coat,
  strength: coat.strength * shareOf(carrierParts),
});

/** A recipe with its products, in the order in which they go on; what is no longer on the shelf falls out. */
export const wantedCoats = (recipe: RecipeCoats, products: readonly Coat[]): WantedCoats[] =>
  recipe
    .flatMap(({ colourId, coats, carrierParts }): WantedCoats[] => {
      const coat = products.find((p) => p.id === colourId);
      return coat ? [{ coat: thinnedCoat(coat, carrierParts), coats }] : [];
    })
    .sort((a, b) => ORDER.indexOf(a.coat.kind) - ORDER.indexOf(b.coat.kind));

/** “2 thin coats of brown dye, then one of shellac toner.” @param nameOf name of a product */
export const recipeLine = (recipe: RecipeCoats, nameOf: (id: string) => string): string =>
  recipe
    .filter((r) => r.coats > 0)
    .map(
      (r) =>
        `${r.coats === 1 ? 'one thin coat' : `${r.coats} thin coats`} of ${nameOf(r.colourId)}${thinnedWords(r)}`,
    )
    .join(', then ');

/** Whether two recipes put the same coats on; rows of 0 coats are nothing. */
export const sameCoats = (a: RecipeCoats, b: RecipeCoats): boolean => {
  const rows = (coats: RecipeCoats): string[] =>
    coats
      .filter((c) => c.coats > 0)
      .map((c) => `${c.colourId} ${c.coats} ${c.carrierParts ?? 0}`)
      .sort();
  return rows(a).join() === rows(b).join();
};

/** Test boards to begin from, those on the same wood first. */
export const boardsToCopy = <B extends { body: TestBoard }>(boards: readonly B[], wood: string): B[] => {
  const same = (b: B): number => Number(b.body.wood.toLowerCase() === wood.toLowerCase());
  return [...boards].sort((a, b) => same(b) - same(a) || byTime(b.body.doneAt, a.body.doneAt));
};

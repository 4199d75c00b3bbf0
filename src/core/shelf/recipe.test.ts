import type { Coat } from '../pigment';
import { boardsToCopy, recipeLine, sameCoats, wantedCoats } from './recipe';
import type { TestBoard } from './colour';

const coat = (id: string, kind: Coat['kind']): Coat => ({ id, kind, lab: [60, 10, 20], strength: 0.3 });
const recipe = [{ colourId: 'shellac', coats: 1 }, { colourId: 'gone', coats: 2 }, { colourId: 'dye', coats: 2 }, { colourId: 'toner', coats: 0 }]; // prettier-ignore

test('in the order in which they go on; what is gone from the shelf falls out, no coats are not told', () => {
  const products = [coat('toner', 'toner'), coat('shellac', 'clear'), coat('dye', 'dye')];
  expect(wantedCoats(recipe, products).map((w) => [w.coat.id, w.coats])).toEqual([['dye', 2], ['toner', 0], ['shellac', 1]]); // prettier-ignore
  expect(recipeLine(recipe.slice(2), (id) => `the ${id}`)).toBe('2 thin coats of the dye');
  expect(recipeLine([{ colourId: 'a', coats: 2 }, { colourId: 'b', coats: 1 }], (id) => id)).toBe('2 thin coats of a, then one thin coat of b'); // prettier-ignore
});

test('the same coats are the same in any order and with products of no coat; thinned they are others', () => {
  const dye = { colourId: 'dye', coats: 2 };
  const toner = { colourId: 'toner', coats: 1, carrierParts: 3 };
  expect(sameCoats([dye, toner], [toner, { colourId: 'clear', coats: 0 }, dye])).toBe(true);
  expect(sameCoats([dye, toner], [dye, { colourId: 'toner', coats: 1 }])).toBe(false);
  expect(sameCoats([dye], [{ ...dye, coats: 1 }])).toBe(false);
  expect(sameCoats([], [dye])).toBe(false);
});

test('boards on the same wood first, the newest of them before', () => {
  const board = (name: string, wood: string, doneAt: string) => ({
    body: { name, wood, doneAt } as TestBoard,
  });
  const list = [board('a', 'Maple', '2026-01-01T08:00:00'), board('b', 'walnut', '2026-01-02T08:00:00'), board('c', 'Walnut', '2026-03-01T08:00:00')]; // prettier-ignore
  expect(boardsToCopy(list, 'walnut').map((b) => b.body.name)).toEqual(['c', 'b', 'a']);
});

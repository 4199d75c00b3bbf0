import { hollowMm3, HOLLOWS, poursFor, type HollowShape } from './index';

const SIZES = { length: 100, width: 2, depth: 10, diameter: 10, inner: 9 };

// Solids from any table of volumes, worked by hand.
test.each<[HollowShape, number]>([
  ['gap', 2000],
  ['wedge', 1000],
  ['bored', 785.398],
  // 785.398 less a tenon of 9 mm: 636.173.
  ['tenon', 149.226],
  ['scoop', 1047.198],
])('the volume of a %s', (shape, mm3) => {
  expect(hollowMm3(shape, SIZES)).toBeCloseTo(mm3, 2);
});

test('half a ball of 20 mm holds 2.09 ml', () => {
  expect(hollowMm3('scoop', { ...SIZES, length: 20, width: 20, depth: 10 })).toBeCloseTo(
    ((4 / 3) * Math.PI * 10 ** 3) / 2,
    6,
  );
});

test('a tenon as thick as its hole leaves nothing to fill; sizes that are not asked for do not count', () => {
  expect(() => hollowMm3('tenon', { ...SIZES, inner: 10 })).toThrow('there is no hollow');
  expect(() => hollowMm3('bored', { ...SIZES, depth: -1 })).toThrow('The depth of the hollow is -1 mm');
  expect(hollowMm3('bored', { ...SIZES, length: NaN })).toBeGreaterThan(0);
  for (const shape of Object.values(HOLLOWS)) expect(shape.help).toMatch(/\.$/);
});

test('what heats itself is poured in even layers, none deeper than it bears', () => {
  expect(poursFor('epoxy', 25)).toMatchObject({ layers: 3, eachMm: expect.closeTo(25 / 3, 9) });
  expect(poursFor('epoxy', 10)).toMatchObject({ layers: 1, eachMm: 10 });
  expect(poursFor('epoxyFast', 10)?.layers).toBe(2);
  expect(poursFor('polyurethane', 25)).toBeUndefined();
  expect(poursFor('epoxy', 0)).toBeUndefined();
});

test('a hollow of two metres is one, a longer one is a slip of the hand', () => {
  expect(hollowMm3('gap', { ...SIZES, length: 2000 })).toBe(2000 * 2 * 10);
  expect(() => hollowMm3('gap', { ...SIZES, length: 2001 })).toThrow('2000 mm');
});

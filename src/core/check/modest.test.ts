import fc from 'fast-check';
import { assertModest, itemsOf, parseJson } from '.';
import { MOST_DEPTH } from './modest';

test.each<[string, string, boolean]>([
  ['as deep as allowed', '['.repeat(MOST_DEPTH) + ']'.repeat(MOST_DEPTH), true],
  ['one deeper', '['.repeat(MOST_DEPTH + 1), false],
  ['objects one deeper', '{"a":'.repeat(MOST_DEPTH + 1), false],
  ['brackets in a text', JSON.stringify('['.repeat(500)), true],
  ['brackets after a quote in a text', JSON.stringify(`"${'['.repeat(500)}`), true],
  ['a text that ends in a backslash, and brackets after it', `["\\\\", ${'['.repeat(MOST_DEPTH)}`, false],
  ['side by side', `[${'[],'.repeat(500)}[]]`, true],
])('%s', (_, text, allowed) => {
  for (const given of [text, new TextEncoder().encode(text)]) {
    const read = () => assertModest(given);
    if (allowed) expect(read).not.toThrow();
    else expect(read).toThrow('nested more than 40 deep');
  }
});

test('more values than anything has are refused before they are read', () => {
  expect(() => parseJson(`[${'{},'.repeat(3_000_000)}{}]`)).toThrow('more than 5000000 values');
});

test('the items of a list are what JSON.parse finds in it, whatever it holds and however it is spaced', () => {
  const spaced = fc.constantFrom<undefined | number>(undefined, 1, 3);
  fc.assert(
    fc.property(fc.array(fc.jsonValue({ maxDepth: 4 }), { maxLength: 8 }), spaced, (list, space) => {
      const found = itemsOf(JSON.stringify(list, null, space), 100);
      expect(found).toMatchObject({ over: 0, whole: true });
      expect(found?.items.map((t) => JSON.parse(t) as unknown)).toEqual(JSON.parse(JSON.stringify(list)));
    }),
  );
});

test('a list that was cut gives the items that are whole', () => {
  fc.assert(
    fc.property(fc.array(fc.record({ note: fc.string(), n: fc.nat() }), { minLength: 1, maxLength: 6 }), fc.nat(), (list, n) => {
      const text = JSON.stringify(list, null, 1);
      const cut = n % text.length;
      const found = itemsOf(text.slice(0, cut), 100);
      const ends = list.map((_, i) => JSON.stringify(list.slice(0, i + 1), null, 1).length - 2);
      // An item is whole once the comma after it, or the end of the list, is there.
      const whole = ends.filter((end, i) => cut > (i === list.length - 1 ? text.length - 1 : end)).length;
      expect(found?.items.length ?? 0).toBe(whole);
      expect(found?.whole ?? false).toBe(false);
    }),
  ); // prettier-ignore
});

test('items beyond a number are counted and not kept; what is no list has none', () => {
  expect(itemsOf('[1,2,3,4]', 2)).toEqual({ items: ['1', '2'], over: 2, whole: true });
  expect(itemsOf(' {"a":[1]}', 5)).toBeUndefined();
  expect(itemsOf('[1] 2', 5)?.whole).toBe(false);
});

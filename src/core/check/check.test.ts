import Joi from 'joi';
import { assertRange, assertValid, breathe, parseJson, seededRandom } from '.';

test.each([
  [NaN, 'The gap is NaN mm'],
  [Infinity, 'The gap is Infinity mm'],
  [-0.1, 'The gap is -0.1 mm; it must lie between 0 mm and 5 mm.'],
  [5.1, 'The gap is 5.1 mm'],
])('a quantity of %s is refused with its name, its unit and what is allowed', (value, words) => {
  expect(() => assertRange('The gap', value, 'mm', 0, 5)).toThrow(words);
});

test('both ends of a range belong to it; without a unit none is said', () => {
  expect(() => assertRange('The gap', 0, 'mm', 0, 5)).not.toThrow();
  expect(() => assertRange('The gap', 5, 'mm', 0, 5)).not.toThrow();
  expect(() => assertRange('The share', 2, '', 0, 1)).toThrow('The share is 2; it must lie between 0 and 1.');
});

describe('input from outside', () => {
  const schema = Joi.object<{ at: number }>({ at: Joi.number().min(0).required() });

  test('what passes is given back; text is not taken for a number', () => {
    expect(assertValid(schema, { at: 3 }, 'press.field')).toEqual({ at: 3 });
    expect(() => assertValid(schema, { at: '3' }, 'press.field')).toThrow('press.field: "at" must be a number (given: "3").'); // prettier-ignore
  });

  test('what nobody asked for is refused, and a long value is cut short in the sentence', () => {
    expect(() => assertValid(schema, { at: 3, more: 1 }, 'x')).toThrow('"more" is not allowed');
    const message = ((): string => {
      try {
        assertValid(schema, { at: 'y'.repeat(500) }, 'x');
      } catch (error) {
        return String(error);
      }
      return '';
    })();
    expect(message.length).toBeLessThan(160);
    expect(message).toContain('…');
  });

  test('JSON that reaches into the language’s own objects is refused, other text is not JSON', () => {
    expect(parseJson('{"a":[1,2]}')).toEqual({ a: [1, 2] });
    expect(() => parseJson('{"__proto__":{"x":1}}')).toThrow(RangeError);
    expect(() => parseJson('{"constructor":{"prototype":{"x":1}}}')).toThrow('a key such as __proto__');
    expect(() => parseJson('{')).toThrow(SyntaxError);
  });
});

describe('long work', () => {
  test('tells how far it is, lets others run, and stops when asked to', async () => {
    const stop = new AbortController();
    const seen: string[] = [];
    const job = {
      signal: stop.signal,
      progress: (f: number) => void seen.push(`at ${f}`),
      pause: async () => void seen.push('pause'),
    };
    await breathe(job, 0.25);
    expect(seen).toEqual(['at 0.25', 'pause']);
    stop.abort();
    await expect(breathe(job, 0.5)).rejects.toMatchObject({ name: 'AbortError' });
  });

  test('needs none of it', async () => {
    await expect(breathe({}, 1)).resolves.toBeUndefined();
  });
});

test('a seed gives the same numbers again, spread evenly between 0 and 1', () => {
  const [a, b, c] = [seededRandom(5), seededRandom(5), seededRandom(6)];
  const first = Array.from({ length: 2000 }, a);
  expect(first).toEqual(Array.from({ length: 2000 }, b));
  expect(first.slice(0, 5)).not.toEqual(Array.from({ length: 5 }, c));
  const counts = Array.from({ length: 10 }, (_, i) => first.filter((v) => Math.floor(v * 10) === i).length);
  // 200 expected in each tenth; chi-squared over nine degrees of freedom stays under its 99.9 % point, 27.9 (any table).
  const chi = counts.reduce((s, n) => s + (n - 200) ** 2 / 200, 0);
  expect(chi).toBeLessThan(27.9);
});

import fc from 'fast-check';
import { Fraction } from 'fraction.js';
import { exactLength, formatArea, formatLength, inchFraction, parseLength } from './length';

describe('lengths as written in a shop', () => {
  // The expected inches come from fraction.js (exact rational arithmetic), an independent library.
  test.each([
    ['3/4"', '3/4'],
    ['1 1/2 in', '1 1/2'],
    ['1-1/2"', '1 1/2'],
    ['1½"', '1 1/2'],
    ['⅞ in', '7/8'],
    ['63/64 inches', '63/64'],
    ['2.125 in', '2.125'],
    ['0"', '0'],
  ])('%s', (text, inches) => {
    expect(parseLength(text)).toBeCloseTo(new Fraction(inches).mul('25.4').valueOf(), 9);
  });

  test.each([
    [`2' 3 5/8"`, 2 * 304.8 + new Fraction('3 5/8').mul('25.4').valueOf()],
    ["6'", 1828.8],
    ['19mm', 19],
    ['19 MM', 19],
    ['2,5 cm', 25],
    ['.5', 0.5],
    ['1.2 m', 1200],
  ])('%s is %d mm', (text, mm) => {
    expect(parseLength(text)).toBeCloseTo(mm, 9);
  });

  test('a bare number takes the unit of the user', () => {
    expect(parseLength('.5', 'in')).toBeCloseTo(12.7, 9);
    expect(parseLength('3/4', 'in')).toBeCloseTo(19.05, 9);
    expect(parseLength('19', 'mm')).toBe(19);
  });

  test.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['wide', 'not a length'],
    ['-3 mm', 'negative'],
    ['−3 mm', 'negative'],
    ['1/0"', 'divides by zero'],
    ['3 1/0 in', 'divides by zero'],
    ['1,200 mm', 'two ways'],
    ['12 parsecs', 'not a length'],
    ['3 mm 1/8 in', 'not a length'],
    ['5 cm 2"', 'not a length'],
    ['1 2 3 mm', 'not a length'],
    ['9'.repeat(400), '100 m'],
    ['1e3', 'not a length'],
  ])('%s is refused: %s', (text, why) => {
    expect(() => parseLength(text)).toThrow(why);
    expect(() => parseLength(text)).toThrow(RangeError);
  });

  test('any mixed fraction agrees with fraction.js', () => {
    fc.assert(
      fc.property(fc.nat(200), fc.nat(63), fc.integer({ min: 1, max: 64 }), (whole, n, d) => {
        const want = new Fraction(whole).add(n, d).mul('25.4').valueOf();
        expect(parseLength(`${whole} ${n}/${d} in`)).toBeCloseTo(want, 6);
      }),
    );
  });

  test('what is printed in inches reads back to within half a 1/64', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 3000, noNaN: true }), (mm) => {
        expect(Math.abs(parseLength(formatLength(mm, 'in')) - mm)).toBeLessThanOrEqual(25.4 / 128 + 1e-9);
      }),
    );
  });

  test('no text makes it answer anything but a length or a RangeError', () => {
    // Anything at all, and what looks nearly like a length.
    const nearly = fc.stringMatching(/^[0-9 ./,"'-]{1,8}(mm|cm|in|ft)?$/);
    let [read, refused] = [0, 0];
    fc.assert(
      fc.property(fc.oneof(fc.string(), nearly), (text) => {
        try {
          const mm = parseLength(text);
          read++;
          expect(mm).toBeGreaterThanOrEqual(0);
          expect(mm).toBeLessThanOrEqual(100_000);
        } catch (error) {
          refused++;
          expect(error).toBeInstanceOf(RangeError);
        }
      }),
      { numRuns: 400 },
    );
    expect(Math.min(read, refused)).toBeGreaterThan(10);
  });

  test('printing', () => {
    expect(inchFraction(19.05)).toBe('3/4');
    expect(inchFraction(25.4)).toBe('1');
    expect(formatLength(0.6, 'in')).toBe('0.024 in');
    expect(formatArea(1400, 'mm')).toBe('14 cm²');
    expect(formatArea(140, 'mm')).toBe('1.4 cm²');
  });

  // As people say them: common practice.
  test.each([
    [18, '18 mm'],
    [65.02, '65 mm'],
    [64.6, '65 mm'],
    [22.5, '22.5 mm'],
    [1.5, '1.5 mm'],
    [14.53, '14.5 mm'],
    [0.6, '0.6 mm'],
    [0.55, '0.55 mm'],
    [0.024, '0.024 mm'],
    [612.4, '612 mm'],
    [0, '0 mm'],
  ])('%d mm is said as %s', (mm, said) => {
    expect(formatLength(mm, 'mm')).toBe(said);
  });

  test('nothing printed pretends to more digits than a rule or a caliper tells', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 3000, noNaN: true }), (mm) => {
        const said = formatLength(mm, 'mm');
        expect(said).not.toMatch(/\.\d*0 mm$/);
        expect(Math.abs(parseLength(said) - mm)).toBeLessThanOrEqual(mm >= 20 ? 0.5 : mm >= 2 ? 0.05 : 0.005);
      }),
    );
  });

  test('a field shows what was typed', () => {
    expect(exactLength(65.25, 'mm')).toBe('65.25 mm');
    expect(exactLength(19.05, 'in')).toBe('3/4 in');
  });
});

import fc from 'fast-check';
import { fieldScale, inUnits, type ShopUnits } from '.';

const US: ShopUnits = { length: 'in', temperature: 'F' };
const SI: ShopUnits = { length: 'mm', temperature: 'C' };

// Worked by hand from the definitions (NIST SP 811, appendix B): 25.4 mm, 6.894757 kPa, 4.448222 N, 28.349523 g, 29.57353 ml.
test.each<[string, string]>([
  ['Loose to a depth of 12 mm', 'Loose to a depth of 15/32 in'],
  ['veneer of 0.6 mm', 'veneer of 0.024 in'],
  ['45 to 60 mm wide', '1 3/4 to 2 3/8 in wide'],
  ['a sheet of 300 × 200 mm', 'a sheet of 11 3/4 × 7 7/8 in'],
  ['0.5–0.6 mm', '0.02–0.024 in'],
  ['over 400 mm² it is patched', 'over 0.62 in² it is patched'],
  ['aim at 250 kPa', 'aim at 36 psi'],
  ['Modulus 9 GPa', 'Modulus 1310000 psi'],
  ['2 kN each', '450 lbf each'],
  ['Weight of 10 kg', 'Weight of 22 lb'],
  ['1.4 g of glue', '0.049 oz of glue'],
  ['200 g/m² and a fifth for waste', '0.66 oz/ft² and a fifth for waste'],
  ['30 ml of water', '1 fl oz of water'],
  // By the teaspoon of 4.928922 ml.
  ['1.2 ml of glue', '0.24 tsp of glue'],
  ['5 to 10 ml', '1 to 2 tsp'],
  ['1 l of water', '1.1 qt of water'],
  ['below 10 °C', 'below 50 °F'],
  ['5 to 30 °C', '41 to 86 °F'],
  ['at -5 °C', 'at 23 °F'],
  ['twice as long for every 10 °C less', 'twice as long for every 18 °F less'],
  ['600 to 900 mm long', '23 1/2 to 35 1/2 in long'],
])('%s', (metric, customary) => {
  expect(inUnits(metric, US)).toBe(customary);
  expect(inUnits(metric, SI)).toBe(metric);
});

test.each([
  'P320 (ISO 6344)',
  '3/8 in',
  'Step 3 m',
  'no. 12, made in 1890',
  '30 min, then 2 h',
  '4 of 6 clamps',
  '50 % moisture',
  'mm',
])('%s has nothing to turn', (text) => {
  expect(inUnits(text, { length: 'in', temperature: 'F' })).toBe(text.replace('3 m', '9.8 ft'));
});

test('each scale is chosen by itself', () => {
  expect(inUnits('12 mm at 20 °C', { length: 'mm', temperature: 'F' })).toBe('12 mm at 68 °F');
  expect(inUnits('12 mm at 20 °C', { length: 'in', temperature: 'C' })).toBe('15/32 in at 20 °C');
});

test('whatever is said in metric is said without it, once and for all, and close to the truth', () => {
  const parse = (text: string): number =>
    text.split(' ').reduce((sum, part) => {
      const [a = '0', b = '1'] = part.split('/');
      return sum + Number(a) / Number(b);
    }, 0);
  fc.assert(
    fc.property(fc.double({ min: 0.05, max: 3000, noNaN: true }), (mm) => {
      const said = inUnits(`it has ${mm.toFixed(2)} mm`, US);
      expect(said).not.toMatch(/\bmm\b/);
      expect(inUnits(said, US)).toBe(said);
      const inches = parse(said.replace(/^it has (.*) in$/, '$1'));
      expect(Math.abs(inches * 25.4 - mm)).toBeLessThan(Math.max(0.06 * mm, 0.03));
    }),
  );
});

test('a length written to a tenth keeps a finer inch than a rule of thumb', () => {
  // 20.3 mm are 0.7992 in: 51/64; 20 mm are 0.787 in: 25/32.
  expect(inUnits('20.3 mm thick', US)).toBe('51/64 in thick');
  expect(inUnits('20 mm thick', US)).toBe('25/32 in thick');
});

test('a temperature is shown and typed in Fahrenheit, there and back', () => {
  const scale = fieldScale('°C', 1, 0, US);
  expect([0, 20, 100].map(scale.shown)).toEqual([32, 68, 212]);
  for (const c of [-5, 0, 18.5, 40]) expect(scale.meant(scale.shown(c))).toBeCloseTo(c, 9);
});

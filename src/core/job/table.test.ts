import { needWords, type Need } from './table';

const mm = (v: number): string => `${v} mm`;

test.each<[Pick<Need, 'wood'> & Partial<Need>, string]>([
  [{ grams: 3.24, wood: [] }, '3.2 g'],
  [{ ml: 12.1, wood: [] }, '12 ml'],
  [{ sheets: 1.2, grams: 40, wood: [] }, '40 g, 2 sheets'],
  [{ wood: [{ alongMm: 88, acrossMm: 52 }, { alongMm: 40, acrossMm: 20, thickMm: 6 }] }, '88 mm × 52 mm, 40 mm × 20 mm × 6 mm'],
  [{ wood: [] }, ''],
])('what is needed of it, %j: %s', (need, words) => {
  expect(needWords({ id: 'veneer', material: 'veneer', label: '', tool: false, ...need }, mm)).toBe(words);
}); // prettier-ignore

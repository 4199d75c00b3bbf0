import { guessColumns, readTable } from './list';
import { STOCK_COLUMNS, veneersIn } from './stockList';

const LIST =
  'Veneer;Timber;Gauge;Length (mm);Width (mm);Remarks\r\nBurr 1;Walnut;0.6;"1 200";310;rolled\r\n;Oak;0.6;500;200;\r\nFleck;Oak;9;500;200;\r\nMap;Maple;0,7;500;zero;"a; b"\r\n';

test('a list as a spreadsheet saves it, with what it calls its columns', () => {
  const table = readTable(LIST.replace('"1 200"', '1200'), 'stock.csv');
  expect(guessColumns(table.header, STOCK_COLUMNS)).toEqual({
    name: 0,
    species: 1,
    thickness: 2,
    along: 3,
    across: 4,
    note: 5,
  });
  const { items: veneers, refused } = veneersIn(table, guessColumns(table.header, STOCK_COLUMNS), 'mm');
  expect(veneers).toEqual([{ name: 'Burr 1', species: 'walnut', thicknessMm: 0.6, alongMm: 1200, acrossMm: 310, note: 'rolled' }]); // prettier-ignore
  expect(refused.map((r) => r.row)).toEqual([3, 4, 5]);
  expect(refused[0]?.reason).toContain('name');
  expect(refused[1]?.reason).toContain('thicknessMm');
  expect(refused[2]?.reason).toContain('Width across the grain: “zero”');
});

test('bare numbers are in the shop’s unit, and a heading or a cell that names one goes before it', () => {
  const table = readTable('name,thick mm,along,across\nA,0.6,20,7 1/2\nB,0.6,20 mm,1/2 in\n', 'x');
  const { items: veneers } = veneersIn(table, guessColumns(table.header, STOCK_COLUMNS), 'in');
  expect(veneers.map((v) => [v.thicknessMm, v.alongMm, v.acrossMm])).toEqual([[0.6, 508, 190.5], [0.6, 20, 12.7]]); // prettier-ignore
});

test.each([
  ['nothing', ''],
  ['headings alone', 'name,thickness\n'],
  ['a list without end', `name\n${'x\n'.repeat(2001)}`],
])('%s is refused in words', (_, text) => {
  expect(() => readTable(text, 'stock.csv')).toThrow('Nothing was changed.');
});

test('columns that nobody named are left to be chosen', () => {
  expect(guessColumns(['a', 'b'], STOCK_COLUMNS)).toEqual({});
  const { refused } = veneersIn({ header: ['a'], rows: [['x']] }, {}, 'mm');
  expect(refused).toHaveLength(1);
});

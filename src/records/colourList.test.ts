import { deltaE00, labFromRgb } from '@/core/colour';
import { COLOUR_COLUMNS, coloursIn, readColour } from './colourList';
import { guessColumns, readTable } from './list';

const LIST =
  'Product,Kind,Colour,Strength,Thinned with\nHoney,stick,#c08c4c,,\nBrown,dye,"59.8 12.5 34",0.5,water\nOdd,soup,#123456,,\nBlank,stick,,,\nNone,stick,#zzzzzz,,\nWeak,dye,#a08060,0,\n';

test('a list of colours, written as screens or as L a b, and the rows that are none', () => {
  const table = readTable(LIST, 'colours.csv');
  const mapping = guessColumns(table.header, COLOUR_COLUMNS);
  expect(mapping).toEqual({ name: 0, kind: 1, colour: 2, strength: 3, carrier: 4 });
  const { items, refused } = coloursIn(table, mapping);
  expect(items.map((c) => [c.name, c.kind, c.carrier, c.strength])).toEqual([
    ['Honey', 'stick', 'none', 1],
    ['Brown', 'dye', 'water', 0.5],
  ]);
  expect(items[1]?.lab).toEqual([59.8, 12.5, 34]);
  expect(refused.map((r) => r.row)).toEqual([4, 5, 6, 7]);
  expect(refused[0]?.reason).toContain('“soup” is no kind of colour');
  expect(refused[2]?.reason).toContain('Write it as #8b5a2b');
  expect(refused[3]?.reason).toContain('strength');
});

test('a name goes before a label that has it in it; an unknown thinner is kept in the note', () => {
  const table = readTable(
    'Name,Kind,Colour,Thinner,Note\nA,wax,#8b5a2b,turpentine,old tin\nB,gel stain,#8b5a2b,Oil,\nC,stain,#8b5a2b,,\n',
    'x',
  );
  const { items } = coloursIn(table, guessColumns(table.header, COLOUR_COLUMNS));
  expect(items.map((c) => [c.kind, c.carrier, c.note])).toEqual([
    ['wax', 'none', 'old tin Thinned with turpentine.'],
    ['gelStain', 'oil', ''],
    ['stain', 'none', ''],
  ]);
});

test('#8b5a2b is the colour that an independent library has for it', () => {
  // culori in mode lab65: 42.72764, 15.49140, 34.69565.
  expect(deltaE00(readColour('#8b5a2b'), [42.72764, 15.4914, 34.69565])).toBeLessThan(1e-3);
  expect(readColour(' 8B5A2B ')).toEqual(labFromRgb(0x8b, 0x5a, 0x2b));
});

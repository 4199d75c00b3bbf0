import { memory, sourced } from '../sources';
import type { Colour } from './colour';

type Starter = Pick<Colour, 'name' | 'kind' | 'carrier' | 'lab' | 'strength'>;

const ROWS: readonly Starter[] = [
  { name: 'Pale straw stick', kind: 'stick', carrier: 'none', lab: [79, 3.3, 26.9], strength: 1 },
  { name: 'Honey stick', kind: 'stick', carrier: 'none', lab: [62.1, 12.8, 41.4], strength: 1 },
  { name: 'Light brown stick', kind: 'stick', carrier: 'none', lab: [52.5, 12.7, 36.2], strength: 1 },
  { name: 'Nut brown stick', kind: 'stick', carrier: 'none', lab: [38.7, 14.8, 26.7], strength: 1 },
  { name: 'Red-brown stick', kind: 'stick', carrier: 'none', lab: [33.5, 25.3, 26.4], strength: 1 },
  { name: 'Dark brown stick', kind: 'stick', carrier: 'none', lab: [22.6, 9.7, 15], strength: 1 },
  { name: 'Grey-brown stick', kind: 'stick', carrier: 'none', lab: [48.6, 4.3, 15.2], strength: 1 },
  { name: 'Black stick', kind: 'stick', carrier: 'none', lab: [10.1, 1.5, 2.1], strength: 1 },
  { name: 'White stick', kind: 'stick', carrier: 'none', lab: [92.5, 0, 5.4], strength: 1 },
  { name: 'Golden brown dye', kind: 'dye', carrier: 'water', lab: [70.2, 11.8, 43.6], strength: 0.5 },
  { name: 'Medium brown dye', kind: 'dye', carrier: 'water', lab: [58.9, 12.9, 35.2], strength: 0.5 },
  { name: 'Red-brown dye', kind: 'dye', carrier: 'water', lab: [52.3, 27.4, 30.4], strength: 0.5 },
  { name: 'Dark brown dye', kind: 'dye', carrier: 'water', lab: [46.1, 10.3, 23.7], strength: 0.5 },
  { name: 'Black dye', kind: 'dye', carrier: 'water', lab: [45, 0.8, 1.5], strength: 0.3 },
  { name: 'Raw umber glaze', kind: 'pigment', carrier: 'shellac', lab: [31.3, 5.2, 16.5], strength: 0.08 },
  { name: 'Burnt umber glaze', kind: 'pigment', carrier: 'shellac', lab: [23.4, 9.6, 12.2], strength: 0.08 },
  { name: 'Burnt sienna glaze', kind: 'pigment', carrier: 'shellac', lab: [34, 24.4, 29.4], strength: 0.08 },
  { name: 'Amber toner', kind: 'toner', carrier: 'shellac', lab: [78.8, 6.3, 39.3], strength: 0.3 },
  { name: 'Red toner', kind: 'toner', carrier: 'shellac', lab: [69.5, 22.2, 20.4], strength: 0.3 },
  { name: 'Brown toner', kind: 'toner', carrier: 'shellac', lab: [66.6, 10.4, 27], strength: 0.3 },
  { name: 'Green toner', kind: 'toner', carrier: 'shellac', lab: [80.7, -10.8, 20.3], strength: 0.3 },
  { name: 'Blond shellac', kind: 'clear', carrier: 'shellac', lab: [96, -0.5, 9], strength: 0.6 },
  { name: 'Orange shellac', kind: 'clear', carrier: 'shellac', lab: [87.1, 2, 30.7], strength: 0.6 },
  { name: 'Clear lacquer', kind: 'clear', carrier: 'lacquer', lab: [98.9, -0.4, 2], strength: 0.6 },
];

/** General kinds to begin with, until a shop has put its own tins on the shelf. */
export const STARTER_SHELF = sourced(
  ROWS,
  memory('colours and strengths of general kinds; photograph your own and make a test board'),
);

/** The starter shelf as records are made of it. */
export const starterColours = (): Colour[] =>
  STARTER_SHELF.value.map((row) => ({ ...row, general: true, note: '' }));

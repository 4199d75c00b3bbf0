import { memory, published, type Sourced, sourced } from '../sources';

export type Species = {
  id: string;
  name: string;
  /** Oven-dry mass at 12 % moisture volume over that of water. */
  specificGravity: Sourced;
  /** Compression perpendicular to the grain at the proportional limit, MPa, where it is known. */
  crushingMPa?: Sourced;
};

const handbook = (value: number): Sourced =>
  sourced(
    value,
    published('Wood Handbook (Forest Products Laboratory)', 'Table 5-3a, 12 % moisture content'),
  );
const recalled = (value: number): Sourced => sourced(value, memory('species density'));
const species = (id: string, name: string, gravity: Sourced, crushingMPa?: Sourced): Species =>
  crushingMPa ? { id, name, specificGravity: gravity, crushingMPa } : { id, name, specificGravity: gravity };

/** Woods met as face veneer and furniture timber. Shrinkage and more species belong to the movement work. */
export const SPECIES: readonly Species[] = [
  species('walnut', 'Walnut', handbook(0.55), handbook(7.0)),
  species('cherry', 'Cherry', handbook(0.5), handbook(4.8)),
  species('maple', 'Maple', handbook(0.63), handbook(10.1)),
  species('redOak', 'Red oak', handbook(0.63), handbook(7.0)),
  species('whiteOak', 'White oak', handbook(0.68), recalled(7.4)),
  species('birch', 'Birch', handbook(0.62), recalled(6.7)),
  species('poplar', 'Tulip poplar', handbook(0.42), handbook(3.4)),
  species('mahogany', 'Mahogany', recalled(0.45), recalled(7.6)),
  species('teak', 'Teak', recalled(0.55)),
  species('ash', 'Ash', recalled(0.6), recalled(8.0)),
  species('beech', 'Beech', recalled(0.64), recalled(7.0)),
  species('sapele', 'Sapele', recalled(0.62)),
  species('rosewood', 'Rosewood', recalled(0.8)),
  species('elm', 'Elm', recalled(0.5), recalled(4.8)),
  species('pine', 'Pine', recalled(0.42), recalled(3.5)),
];

/** @throws RangeError when the species is not in the table */
export function speciesById(id: string): Species {
  const found = SPECIES.find((s) => s.id === id);
  if (!found) throw new RangeError(`The wood “${id}” is not in the table.`);
  return found;
}

import { memory, published, sourced, type Sourced } from '../sources';
import { DENSITY_SHRINKAGE_SOURCE, shrinkageByDensity } from './density';

export type Species = {
  id: string;
  name: string;
  /** Other names it goes by in the trade, in small letters. */
  aliases: string[];
  softwood: boolean;
  /** Met so often that it is offered first. */
  common: boolean;
  /** Oven-dry mass over volume at 12 % moisture, relative to water. */
  specificGravity: Sourced;
  /** Shrinkage from green to oven-dry, % of the green size. */
  radialPercent: Sourced;
  tangentialPercent: Sourced;
  /** Stiffness along the grain at 12 % moisture, GPa. */
  stiffnessGPa: Sourced;
  /** Compression perpendicular to the grain at the proportional limit, MPa, where it is known. */
  crushingMPa?: Sourced;
};

/**
 * How sure a row is: all were written down from memory; `table` rows were checked against a second list of the same figures,
 * and of a `density` row only the weight is known, its shrinkage being worked out from that.
 */
type Known = 'table' | 'memory' | 'density';
type Row = [
  id: string,
  name: string,
  aliases: string,
  known: Known,
  gravity: number,
  radial: number,
  tangential: number,
  stiffness: number,
  crushing?: number,
];

/** Woods found in furniture. Specific gravity, shrinkage %, stiffness GPa, crushing MPa. */
const HARDWOODS: Row[] = [
  ['walnut', 'Walnut', 'black walnut, american walnut', 'table', 0.55, 5.5, 7.8, 11.6, 7.0],
  ['cherry', 'Cherry', 'black cherry, american cherry', 'table', 0.5, 3.7, 7.1, 10.3, 4.8],
  ['maple', 'Maple', 'sugar maple, hard maple, rock maple', 'table', 0.63, 4.8, 9.9, 12.6, 10.1],
  ['redOak', 'Red oak', 'northern red oak', 'table', 0.63, 4.0, 8.6, 12.5, 7.0],
  ['whiteOak', 'White oak', 'american white oak', 'table', 0.68, 5.6, 10.5, 12.3],
  ['birch', 'Birch', 'yellow birch', 'table', 0.62, 7.3, 9.5, 13.9],
  ['poplar', 'Tulip poplar', 'yellow-poplar, tulip tree, whitewood', 'table', 0.42, 4.6, 8.2, 10.9, 3.4],
  ['mahogany', 'Mahogany', 'honduras mahogany, genuine mahogany', 'table', 0.45, 3.0, 4.1, 10.3],
  ['teak', 'Teak', 'burmese teak', 'table', 0.55, 2.5, 5.8, 10.7],
  ['ash', 'Ash', 'white ash', 'memory', 0.6, 4.9, 7.8, 12.0, 8.0],
  ['beech', 'Beech', 'american beech', 'memory', 0.64, 5.5, 11.9, 11.9, 7.0],
  ['sapele', 'Sapele', 'sapelli', 'memory', 0.55, 4.6, 7.4, 12.5],
  ['rosewood', 'Rosewood', 'indian rosewood, east indian rosewood', 'memory', 0.75, 2.7, 5.8, 12.3],
  ['elm', 'Elm', 'american elm', 'memory', 0.5, 4.2, 9.5, 9.2, 4.8],
  ['europeanWalnut', 'European walnut', 'english walnut, french walnut', 'memory', 0.57, 4.3, 6.4, 10.8],
  ['khaya', 'African mahogany', 'khaya', 'memory', 0.42, 2.5, 4.5, 9.7],
  ['redMaple', 'Red maple', 'soft maple', 'memory', 0.54, 4.0, 8.2, 11.3],
  ['silverMaple', 'Silver maple', '', 'memory', 0.47, 3.0, 7.2, 7.9],
  ['paperBirch', 'Paper birch', 'white birch', 'memory', 0.55, 6.3, 8.6, 11.0],
  ['basswood', 'Basswood', 'american lime, linden', 'memory', 0.37, 6.6, 9.3, 10.1],
  ['butternut', 'Butternut', 'white walnut', 'memory', 0.38, 3.4, 6.4, 8.1],
  ['chestnut', 'Chestnut', 'american chestnut', 'memory', 0.43, 3.4, 6.7, 8.5],
  ['alder', 'Alder', 'red alder', 'memory', 0.41, 4.4, 7.3, 9.5],
  ['aspen', 'Aspen', 'quaking aspen', 'memory', 0.38, 3.5, 6.7, 8.1],
  ['cottonwood', 'Cottonwood', 'eastern cottonwood', 'memory', 0.4, 3.9, 9.2, 9.4],
  ['hickory', 'Hickory', 'shagbark hickory', 'memory', 0.72, 7.0, 10.5, 14.9],
  ['locust', 'Black locust', 'robinia, false acacia', 'memory', 0.69, 4.6, 7.2, 14.1],
  ['sweetgum', 'Sweetgum', 'red gum, satin walnut', 'memory', 0.52, 5.3, 10.2, 11.3],
  ['sycamore', 'Sycamore', 'american plane', 'memory', 0.49, 5.0, 8.4, 9.8],
  ['hackberry', 'Hackberry', '', 'memory', 0.53, 4.8, 8.9, 8.2],
  ['europeanOak', 'European oak', 'english oak, french oak', 'memory', 0.62, 4.7, 8.4, 10.6],
  ['ebony', 'Ebony', 'gaboon ebony, african ebony', 'memory', 0.96, 8.3, 10.8, 16.9],
  ['satinwood', 'Satinwood', 'east indian satinwood, ceylon satinwood', 'memory', 0.87, 6.0, 7.0, 13.6],
  [
    'bandingTulipwood',
    'Tulipwood (banding wood)',
    'brazilian tulipwood, pinkwood',
    'density',
    0.85,
    0,
    0,
    13.0,
  ],
  ['blackTupelo', 'Tupelo', 'black gum', 'memory', 0.5, 5.1, 8.7, 8.3],
];

const SOFTWOODS: Row[] = [
  ['pine', 'Pine', 'eastern white pine, white pine, deal', 'memory', 0.35, 2.1, 6.1, 8.5, 3.0],
  ['ponderosa', 'Ponderosa pine', 'western yellow pine', 'memory', 0.4, 3.9, 6.2, 8.9],
  [
    'longleaf',
    'Longleaf pine',
    'pitch pine, heart pine, southern yellow pine',
    'memory',
    0.59,
    5.1,
    7.5,
    13.7,
  ],
  ['douglasFir', 'Douglas fir', 'oregon pine', 'memory', 0.48, 4.8, 7.6, 13.4],
  ['spruce', 'Spruce', 'sitka spruce', 'memory', 0.4, 4.3, 7.5, 10.8],
  ['redcedar', 'Western red cedar', '', 'memory', 0.32, 2.4, 5.0, 7.7],
  ['aromaticCedar', 'Aromatic cedar', 'eastern red cedar, juniper', 'memory', 0.47, 3.1, 4.7, 6.1],
  ['redwood', 'Redwood', 'sequoia', 'memory', 0.4, 2.6, 4.4, 9.2],
  ['cypress', 'Cypress', 'bald cypress', 'memory', 0.46, 3.8, 6.2, 9.9],
];

const COMMON = new Set(['walnut', 'cherry', 'maple', 'redOak', 'whiteOak', 'birch', 'poplar', 'mahogany', 'teak', 'ash', 'beech', 'sapele', 'rosewood', 'elm', 'pine']); // prettier-ignore
const HANDBOOK = 'Wood Handbook (Forest Products Laboratory)';

const speciesOf =
  (softwood: boolean) =>
  ([id, name, aliases, known, gravity, radial, tangential, stiffness, crushing]: Row): Species => {
    const from = (value: number, table: string): Sourced =>
      sourced(
        value,
        known === 'table'
          ? published(HANDBOOK, `${table}, written down from memory`)
          : memory(
              known === 'memory'
                ? `${HANDBOOK}, ${table}`
                : `${table} of ${name.toLowerCase()}; little is known of it`,
            ),
      );
    const strength = 'Tables 5-3 to 5-5, 12 % moisture';
    const shrinkage = 'Tables 4-3 and 4-4';
    const byDensity = shrinkageByDensity(gravity);
    return {
      id,
      name,
      softwood,
      aliases: aliases === '' ? [] : aliases.split(', '),
      common: COMMON.has(id),
      specificGravity: from(gravity, strength),
      radialPercent:
        known === 'density'
          ? sourced(byDensity.radialPercent, DENSITY_SHRINKAGE_SOURCE)
          : from(radial, shrinkage),
      tangentialPercent:
        known === 'density'
          ? sourced(byDensity.tangentialPercent, DENSITY_SHRINKAGE_SOURCE)
          : from(tangential, shrinkage),
      stiffnessGPa: from(stiffness, strength),
      ...(crushing === undefined ? {} : { crushingMPa: from(crushing, strength) }),
    };
  };

export const SPECIES: readonly Species[] = [
  ...HARDWOODS.map(speciesOf(false)),
  ...SOFTWOODS.map(speciesOf(true)),
];

/** @throws RangeError when the species is not in the table */
export function speciesById(id: string): Species {
  const found = SPECIES.find((s) => s.id === id);
  if (!found) throw new RangeError(`The wood “${id}” is not in the table.`);
  return found;
}

/** Trade names that go for several woods, which differ too much for one to be taken silently. */
const SEVERAL: Readonly<Record<string, readonly string[]>> = {
  oak: ['redOak', 'whiteOak', 'europeanOak'],
  'yellow pine': ['longleaf', 'ponderosa'],
  tulipwood: ['bandingTulipwood', 'poplar'],
  cedar: ['redcedar', 'aromaticCedar'],
};

/** The woods that a trade name may mean, when it means more than one. */
export const woodsCalled = (name: string): readonly Species[] =>
  (SEVERAL[name.trim().toLowerCase()] ?? []).map(speciesById);

/**
 * The wood meant by an id, a name or a trade name, in any letters; nothing when it is in no table.
 *
 * @throws RangeError for a trade name of several woods; it names them
 */
export function findSpecies(name: string): Species | undefined {
  const wanted = name.trim().toLowerCase();
  const several = woodsCalled(name);
  if (several.length > 0) {
    throw new RangeError(
      `“${name.slice(0, 60)}” may be ${several.map((s) => s.name.toLowerCase()).join(' or ')}. Say which.`,
    );
  }
  return SPECIES.find((s) => s.id === name || s.name.toLowerCase() === wanted || s.aliases.includes(wanted));
}

/**
 * The wood meant by an id, a name or a trade name, in any letters.
 *
 * @throws RangeError when the name is in no table, and for a trade name of several woods; it says what to do
 */
export function speciesByName(name: string): Species {
  const found = findSpecies(name);
  if (!found) {
    throw new RangeError(
      `The wood “${name.slice(0, 60)}” is not in the table. Give the name of a wood of like density, or its shrinkage.`,
    );
  }
  return found;
}

/** Stands for a wood that is not in the table. */
export const OTHER_WOOD = 'other';

/** The name of a wood for reading; a wood that is in no table is called so. */
export const woodName = (id: string): string =>
  SPECIES.find((s) => s.id === id)?.name ?? (id === OTHER_WOOD ? 'Another wood' : id);

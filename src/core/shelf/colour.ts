import type { Lab } from '../colour';
import type { CoatKind } from '../pigment';

/** How a product colours: mixed and filled in, or laid on in coats. */
export type ColourUse = 'mix' | CoatKind;

type KindRow = { label: string; use: ColourUse; help: string };

/** What stands on the shelf, by how it is used. */
export const COLOUR_KINDS = {
  stick: { label: 'Burn-in or melting stick', use: 'mix', help: 'Its colour as it lies there, opaque.' },
  wax: { label: 'Wax', use: 'mix', help: 'Its colour as it lies there, opaque.' },
  putty: { label: 'Putty', use: 'mix', help: 'Its colour once it is dry.' },
  filler: { label: 'Filler', use: 'mix', help: 'Its colour once it is dry.' },
  paint: { label: 'Paint', use: 'mix', help: 'Its colour once it is dry, opaque.' },
  dye: { label: 'Dye', use: 'dye', help: 'One coat over white paper or white wood.' },
  stain: { label: 'Stain', use: 'dye', help: 'One coat over white wood.' },
  gelStain: { label: 'Gel stain', use: 'glaze', help: 'A thick layer through which nothing shows.' },
  pigment: { label: 'Pigment in shellac', use: 'glaze', help: 'A thick layer through which nothing shows.' },
  glaze: { label: 'Glaze', use: 'glaze', help: 'A thick layer through which nothing shows.' },
  toner: { label: 'Toner', use: 'toner', help: 'One coat over white paper.' },
  marker: { label: 'Marker', use: 'toner', help: 'One stroke on white paper.' },
  clear: { label: 'Clear finish', use: 'clear', help: 'One coat over white paper.' },
} as const satisfies Record<string, KindRow>;
export type ColourKind = keyof typeof COLOUR_KINDS;

export const CARRIERS = {
  water: 'Water',
  spirit: 'Spirit',
  oil: 'Oil',
  shellac: 'Shellac',
  lacquer: 'Lacquer',
  wax: 'Wax',
  none: 'None',
} as const;
export type Carrier = keyof typeof CARRIERS;

/** A colourant or filler on the shelf. */
export type Colour = {
  name: string;
  kind: ColourKind;
  carrier: Carrier;
  /** Its colour: see the help of its kind. */
  lab: Lab;
  /** See `Coat` and `Colourant`: 1 where nothing else is known of something that is mixed. */
  strength: number;
  /** A general kind out of the starter shelf, its colour from memory. */
  general?: boolean;
  pictureId?: string;
  note: string;
};

/** Thin coats of one product: as it comes, or with so many parts of its carrier to one part of it. */
export type CoatsOf = { colourId: string; coats: number; carrierParts?: number };
export const MOST_CARRIER_PARTS = 9;

/** A test board: bare wood, what went on, and the colour it had in the end. */
export type TestBoard = {
  name: string;
  /** The wood, and the last grit it was sanded with. */
  wood: string;
  grit?: number;
  ground: Lab;
  coats: CoatsOf[];
  measured: Lab;
  doneAt: string;
  note: string;
  pictureId?: string;
};

/** Limits of what may be typed. */
export const STRENGTH_LIMITS = {
  least: 0.01,
  most: 20,
  step: { mix: 0.1, dye: 0.1, glaze: 0.02, toner: 0.1, clear: 0.1 },
};

/** What its strength means, by how a product is used. */
export const STRENGTH_HELP = {
  mix: 'How much it pulls a mixture beside what its colour lets expect. 1 until a trial has shown it.',
  dye: 'How much of the colour above one thin coat gives.',
  glaze: 'How much one thin coat hides: 0.1 is thin, 2 covers.',
  toner: 'How much of the colour above one thin coat gives.',
  clear: 'How much it wets bare wood: 0.6 is common, 1 is a smooth thick film.',
} as const satisfies Record<ColourUse, string>;
export const MOST_BOARD_COATS = 20;

export const roleOf = (kind: ColourKind): ColourUse => COLOUR_KINDS[kind].use;

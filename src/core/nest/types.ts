import type { Point, Polygon } from '../geometry';
import type { Rectangle } from './rectangle';

/** A patch to be cut. Its grain lies along x. */
export type NestPiece = {
  id: string;
  /** mm */
  outline: Polygon;
  /** Sheets it may come from, the best first; any of them when not given. */
  sheets?: readonly string[];
  /** Where it must be cut, when its figure has chosen a place: its middle on the sheet, its turn, and whether from the other face. */
  spot?: { sheet: string; xMm: number; yMm: number; degrees: number; flipped: boolean };
};

/** What is left of a sheet, its grain along x, and what is gone out of it. mm */
export type NestSheet = { id: string; outline: Polygon; holes?: readonly Polygon[] };

export type NestInput = {
  pieces: readonly NestPiece[];
  sheets: readonly NestSheet[];
  /** Left between two cuts, and to the rim of a sheet. */
  gapMm: number;
  /** Grain may be turned by as much. */
  grainToleranceDegrees: number;
  /** Orders of cutting that are tried. */
  tries?: number;
  seed?: number;
};

export type Nested = {
  id: string;
  sheet: string;
  /** Where the middle of the outline comes to lie. */
  xMm: number;
  yMm: number;
  degrees: number;
  flipped: boolean;
  outline: Point[];
};

/** One more of a patch, beside those that are needed. */
export type Spare = Nested & { of: string };

export type NestPlan = {
  placed: Nested[];
  unplaced: { id: string; why: string }[];
  /** Every sheet that is cut: what is cut from it, and the largest rectangle that stays whole. */
  sheets: { id: string; cutMm2: number; leftMm2: number; offcut: Rectangle }[];
};

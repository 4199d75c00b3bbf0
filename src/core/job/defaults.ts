import type { Point } from '../geometry';
import type { Lumber } from '../letin';
import type { Damage, Face, Piece, Shop } from './types';

/** A shop as it is before its owner has said anything; every figure can be changed. */
export const DEFAULT_SHOP: Shop = {
  lengthUnit: 'mm',
  temperatureUnit: 'C',
  temperatureC: 20,
  relativeHumidity: 0.5,
  climateFrom: 'typed',
  hands: 1,
  clamps: [
    { id: 'fStyle', count: 6 },
    { id: 'cClamp', count: 4 },
    { id: 'deepC', count: 2 },
    { id: 'spring', count: 6 },
    { id: 'goBar', count: 0 },
  ],
  caulWidthMm: 45,
  caulHeightMm: 38,
  platenMm: 18,
  workingHours: { from: '08:00', to: '17:00' },
  theme: 'system',
  paper: 'a4',
};

/** Handles start a little inside the picture. */
export const INSET_CORNERS: Point[] = [
  [0.08, 0.08],
  [0.92, 0.08],
  [0.92, 0.92],
  [0.08, 0.92],
];

export const newPiece = (name: string, createdAt: string): Piece => ({
  name,
  client: '',
  school: 'clear',
  goal: 'shellac',
  note: '',
  createdAt,
});

/** A board as it stands before it was measured. */
export const newLumber = (number: number): Lumber => ({
  name: `Board ${number}`,
  species: 'whiteOak',
  alongMm: 600,
  acrossMm: 120,
  thickMm: 22,
  note: '',
});

export const newFace = (pieceId: string, name: string): Face => ({
  pieceId,
  name,
  build: 'solidCore',
  species: 'walnut',
  veneerMm: 0.6,
  show: true,
  finishNow: 'shellac',
  faceCorners: INSET_CORNERS,
});

export const newDamage = (
  pieceId: string,
  faceId: string | undefined,
  number: number,
  kind: Damage['kind'],
): Damage => ({
  pieceId,
  ...(faceId ? { faceId } : {}),
  number,
  kind,
  outline: [],
  answers: {},
  methodReason: '',
  glue: {},
  patch: {},
});

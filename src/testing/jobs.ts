import {
  DEFAULT_SHOP,
  newFace,
  newPiece,
  type Damage,
  type Face,
  type Job,
  type Named,
  type Piece,
} from '../core/job';

const WHOLE: [number, number][] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
type Sized = [widthMm: number, heightMm: number];

/** A measured face of solid pine, with what is special of it. */
export const faceOf = (name: string, [widthMm, heightMm]: Sized, over: Partial<Face>): Named<Face> => ({
  id: name.toLowerCase(),
  body: {
    ...newFace('p', name),
    build: 'solid',
    veneerMm: 0,
    species: 'pine',
    scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm, heightMm },
    grain: [[0, 0.5], [1, 0.5]], // prettier-ignore
    ...over,
  },
});

/** A job of one piece with the common shop. */
export const jobOf = (piece: Partial<Piece>, faces: Named<Face>[], damages: Named<Damage>[] = []): Job => ({
  piece: { id: 'p', body: { ...newPiece('Piece', '2026-03-02T08:00:00'), ...piece } },
  faces,
  damages,
  shop: DEFAULT_SHOP,
});

export const BIG: Sized = [1000, 500];
export const SQUARE: Sized = [500, 500];
export const VENEERED: Partial<Face> = { build: 'solidCore', veneerMm: 0.6, species: 'walnut' };

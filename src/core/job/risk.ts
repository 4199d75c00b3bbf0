import type { RiskySurface } from '../safety';
import type { Face, Piece } from './types';

/** What the cautions of a step ask of the surface it is done on. */
export const surfaceRisk = (piece: Piece, face: Face | undefined): RiskySurface => ({
  ...(face ? { finishNow: face.finishNow, species: face.species } : {}),
  ...(piece.holds ? { holds: piece.holds } : {}),
});

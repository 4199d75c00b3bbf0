import type { BenchTask, DoneStep, Schedule } from '@/core/bench';
import type { JobContext } from '@/core/check';
import type { Tones } from '@/core/colour';
import type { Front } from '@/core/front';
import type { Polygon } from '@/core/geometry';
import type { FaceView, Job, KnownShop, Piece, Plan } from '@/core/job';
import type { Stored } from '@/records/types';

/** What can be read off stored photos; nothing where there is no decoder, as in a test. */
export type PhotoReaders = {
  around: (view: FaceView, damage: Polygon, others: Polygon[], face: Polygon) => Promise<Tones>;
  within: (view: FaceView, place: Polygon, face: Polygon) => Promise<Tones>;
  swatch: (pictureId: string) => Promise<Tones>;
  /** The face in small as JPEG, base64. */
  small: (view: FaceView) => Promise<string>;
};

/** What hangs on one piece. */
export type Own = { faces: Stored<'face'>[]; damages: Stored<'damage'>[]; log: Stored<'log'>[] };

/** What hangs on each of some pieces, by a look at every record once. */
export function ownByPiece(all: Own): (pieceId: string) => Own {
  const byPiece = new Map<string, Own>();
  const of = (pieceId: string): Own => {
    const own = byPiece.get(pieceId) ?? { faces: [], damages: [], log: [] };
    byPiece.set(pieceId, own);
    return own;
  };
  all.faces.forEach((f) => of(f.body.pieceId).faces.push(f));
  all.damages.forEach((d) => of(d.body.pieceId).damages.push(d));
  all.log.forEach((l) => of(l.body.pieceId).log.push(l));
  return of;
}

/** What hangs on pieces, read from the store at one time. */
export type Shelf = {
  pieces: Stored<'piece'>[];
  unreadable: number;
  veneers: Stored<'veneer'>[];
  colours: Stored<'colour'>[];
  own: (pieceId: string) => Own;
  /** All of them, whatever piece they hang on. */
  all: Own;
  shop: KnownShop;
  shopRecord: Stored<'shop'> | undefined;
};

export type PieceTask = BenchTask & { pieceId: string; pieceName: string };

export type BenchPlan = {
  tasks: PieceTask[];
  done: DoneStep[];
  schedule?: Schedule;
  /** Why there is no schedule. */
  problem?: string;
  /** Pieces that cannot be planned, each with the step or limit that is the reason; the others are. */
  stuck?: { pieceId: string; pieceName: string; reason: string }[];
};

export type BenchOptions = {
  /** How many orders are tried beyond the rules of thumb. */
  tries?: number;
  /** What was known of the pieces last. */
  last?: Front;
};

/** The plan of a piece as it stands, or with other choices or another way of working. */
export type PlanFor = (
  piece: Stored<'piece'>,
  shelf: Shelf,
  choices?: Job['choices'],
  otherwise?: Partial<Piece>,
  context?: JobContext,
) => Promise<Plan>;

import type { Colour, TestBoard } from '@/core/shelf';
import type { Lumber } from '@/core/letin';
import type { Damage, Face, LogEntry, Piece, Shop, Veneer } from '@/core/job';

export type {
  Answers,
  Damage,
  Face,
  FaceGrain,
  GlueChoice,
  HeldBy,
  HomeClimate,
  KnownShop,
  LogEntry,
  Part,
  PatchChoice,
  Photo,
  PhotoRole,
  Piece,
  Shop,
  Veneer,
} from '@/core/job';

export type { Lumber } from '@/core/letin';
export type { Colour, TestBoard } from '@/core/shelf';

export type Picture = {
  name: string;
  widthPx: number;
  heightPx: number;
  /** JPEG, base64. */
  jpeg: string;
};

export type Bodies = {
  piece: Piece;
  face: Face;
  damage: Damage;
  veneer: Veneer;
  log: LogEntry;
  colour: Colour;
  board: TestBoard;
  lumber: Lumber;
  shop: Shop;
  picture: Picture;
};

export type Kind = keyof Bodies;

/** Which device changed each field last, by that device's own count of its changes; and the counts a copy has seen. */
export type Edits = {
  edits?: Record<string, { by: string; at: number }>;
  seen?: Record<string, number>;
};

/** What is stored under `kind/id`: the body, with its shape's version and a revision that counts its changes. */
export type Stored<K extends Kind> = Edits & {
  kind: K;
  id: string;
  version: number;
  revision: number;
  savedAt: string;
  body: Bodies[K];
};

export type AnyStored = { [K in Kind]: Stored<K> }[Kind];

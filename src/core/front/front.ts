// What the first page shows, kept as it was last known. This room carries no sums, so that the page opens with it alone.

/** What has changed since the shop was last saved to a file; local time. */
export type Unsaved = { last?: string; changed: number };

export type FrontMark = {
  relief: 'raised' | 'sunk' | 'groove' | 'hole' | 'stain';
  number: number;
  /** Places in the picture's own units. */
  outline: readonly (readonly [number, number])[];
};

/** The worst face of a piece in small, with its damages. */
export type FrontPicture = {
  /** What it was made from; the same again needs no new picture. */
  from: string;
  /** Size of what is drawn, mm. */
  widthMm: number;
  heightMm: number;
  /** JPEG as base64; a face without a photo has none. */
  jpeg?: string;
  marks: FrontMark[];
};

export type StepState = 'done' | 'now' | 'waits';

export type FrontPiece = {
  id: string;
  /** What it was made from; the same again is not worked out again. */
  from?: string;
  name: string;
  school: string;
  createdAt: string;
  /** A day, `2026-05-01`. */
  deadline?: string;
  /** Why it is not in work, in words. */
  rest?: string;
  /** What is next, in words. */
  next: string;
  /** Ticked steps of all. */
  done: number;
  all: number;
  /** The trail, one state a step. */
  trail: { title: string; state: StepState }[];
  picture?: FrontPicture;
};

/** A step on the days ahead. Times are local, without a zone. */
export type Bar = {
  id: string;
  title: string;
  piece: string;
  pieceId?: string;
  start: string;
  attendedEnd: string;
  end: string;
  done: boolean;
  /** The next thing to do. */
  next: boolean;
  /** Clamps it holds, by the name of their kind. */
  clamps: Record<string, number>;
};

export type Front = {
  pieces: FrontPiece[];
  /** Stored pieces that could not be read. */
  unreadable: number;
  bars: Bar[];
  /** Working hours in minutes of the day. */
  hours: { from: number; to: number };
  unsaved?: Unsaved;
};

export const NO_FRONT: Front = { pieces: [], unreadable: 0, bars: [], hours: { from: 0, to: 0 } };

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isText = (value: unknown): value is string => typeof value === 'string';
const isNumber = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value);
const isCount = (value: unknown): boolean => isNumber(value) && value >= 0;
const optional = (value: unknown, is: (v: unknown) => boolean): boolean => value === undefined || is(value);
const STATES: readonly unknown[] = ['done', 'now', 'waits'];
const RELIEFS: readonly unknown[] = ['raised', 'sunk', 'groove', 'hole', 'stain'];
const LOCAL = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}$/;
const isLocal = (value: unknown): boolean => isText(value) && LOCAL.test(value);

const isMark = (m: unknown): boolean =>
  isObject(m) &&
  RELIEFS.includes(m.relief) &&
  isNumber(m.number) &&
  Array.isArray(m.outline) &&
  m.outline.every((p: unknown) => Array.isArray(p) && p.length === 2 && p.every(isNumber));

const isPicture = (p: unknown): boolean =>
  isObject(p) &&
  isText(p.from) &&
  isNumber(p.widthMm) &&
  isNumber(p.heightMm) &&
  p.widthMm > 0 &&
  p.heightMm > 0 &&
  optional(p.jpeg, (j) => isText(j) && /^\/9j[A-Za-z0-9+/]+={0,2}$/.test(j)) &&
  Array.isArray(p.marks) &&
  p.marks.every(isMark);

const isPiece = (p: unknown): boolean =>
  isObject(p) &&
  [p.id, p.name, p.school, p.createdAt, p.next].every(isText) &&
  /^[A-Za-z0-9_-]{1,64}$/.test(String(p.id)) &&
  isCount(p.done) &&
  isCount(p.all) &&
  optional(p.rest, isText) &&
  optional(p.from, isText) &&
  optional(p.deadline, (d) => isText(d) && /^\d{4}-\d{2}-\d{2}$/.test(d)) &&
  Array.isArray(p.trail) &&
  p.trail.every((t: unknown) => isObject(t) && isText(t.title) && STATES.includes(t.state)) &&
  optional(p.picture, isPicture);

const isBar = (b: unknown): boolean =>
  isObject(b) &&
  [b.id, b.title, b.piece].every(isText) &&
  optional(b.pieceId, isText) &&
  [b.start, b.attendedEnd, b.end].every(isLocal) &&
  typeof b.done === 'boolean' &&
  typeof b.next === 'boolean' &&
  isObject(b.clamps) &&
  Object.values(b.clamps).every(isCount);

const isFront = (value: unknown): value is Front =>
  isObject(value) &&
  Array.isArray(value.pieces) &&
  value.pieces.every(isPiece) &&
  isCount(value.unreadable) &&
  Array.isArray(value.bars) &&
  value.bars.every(isBar) &&
  isObject(value.hours) &&
  isCount(value.hours.from) &&
  isCount(value.hours.to) &&
  optional(value.unsaved, (u) => isObject(u) && isCount(u.changed) && optional(u.last, isLocal));

/**
 * Looks at the shape of what was stored. It is made from the records and made again, so a light look is enough here; the records
 * themselves are checked whole. Never throws.
 */
export function readFront(text: string | null): Front | undefined {
  if (text === null) return undefined;
  try {
    const value: unknown = JSON.parse(text);
    return isFront(value) ? value : undefined;
  } catch {
    return undefined;
  }
}

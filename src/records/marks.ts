import Joi from 'joi';
import { DAY_MIN, localFrom, minutesFrom } from '@/core/calendar';
import { attempt, parseJson } from '@/core/check';
import { localTime } from '@/core/job';
import { sawAll, seenByBoth } from './edits';
import { idSchema, KINDS, seenSchema } from './schemas';
import type { AnyStored, Edits, Kind } from './types';

/**
 * What stays of a record that was deleted, so that another device's copy does not bring it back unasked. Like a copy it knows which
 * changes it has seen, the deletion among them.
 */
export type Mark = {
  kind: Kind;
  id: string;
  /** As its owner would call it. */
  title: string;
  /** The piece it belonged to. */
  pieceId?: string;
  /** By the clock of the device that holds the mark. */
  deletedAt: string;
  seen: Record<string, number>;
};

const MARKS = 'deleted/';
export const markKey = ({ kind, id }: { kind: Kind; id: string }): string => `${MARKS}${kind}/${id}`;
export const isMarkKey = (key: string): boolean => key.startsWith(MARKS);

export const MOST_TITLE = 200;
const markSchema: Joi.ObjectSchema<Mark> = Joi.object({
  kind: Joi.string()
    .valid(...KINDS)
    .required(),
  id: idSchema.required(),
  title: Joi.string().allow('').max(MOST_TITLE).required(),
  pieceId: idSchema,
  deletedAt: localTime.required(),
  seen: seenSchema.required(),
});

/** What claims to be a mark; nothing when it is none. */
export function readMark(raw: unknown): Mark | undefined {
  const { error, value } = markSchema.validate(raw, { convert: false });
  return error ? undefined : value;
}

/** Marks by the names of the records they stand for; what cannot be read as one is let go. */
export function marksIn(texts: ReadonlyMap<string, string>): Map<string, Mark> {
  return new Map(
    [...texts.values()].flatMap((text): [string, Mark][] => {
      try {
        const mark = readMark(parseJson(text));
        return mark ? [[`${mark.kind}/${mark.id}`, mark]] : [];
      } catch {
        return [];
      }
    }),
  );
}

/** Marks are kept for a year; a device that was not heard of for longer brings back what was deleted meanwhile. */
const KEPT_MIN = 365 * DAY_MIN;
const ageMin = (mark: Mark, now: string): number => minutesFrom(now) - minutesFrom(mark.deletedAt);
export const isOver = (mark: Mark, now: string): boolean => ageMin(mark, now) > KEPT_MIN;

/** A mark of another device, dated by this one's clock: it is as old here as it was there, whatever the two clocks say. */
export function asOldHere(mark: Mark, savedAt: string, now: string): Mark {
  const age = attempt(() => Math.max(0, ageMin(mark, savedAt)));
  return { ...mark, deletedAt: age.ok ? localFrom(minutesFrom(now) - age.value) : now };
}

export type Standing = 'alive' | 'deleted' | 'asked';

/** Whether a record or the mark of its deletion is the later word; asked where neither knew of the other. */
export function standing(record: Edits, mark: Pick<Mark, 'seen'>): Standing {
  if (sawAll(record.seen, mark.seen)) return 'alive';
  return sawAll(mark.seen, record.seen) ? 'deleted' : 'asked';
}

/** The mark of a record that a device deletes. @param before the mark that stood for it already */
export function markOf(
  record: AnyStored,
  {
    title,
    pieceId,
    now,
    device,
    before,
  }: { title: string; pieceId?: string; now: string; device: string; before?: Mark },
): Mark {
  const seen = seenByBoth(record.seen, before?.seen);
  return {
    kind: record.kind,
    id: record.id,
    title: title.slice(0, MOST_TITLE),
    ...(pieceId === undefined ? {} : { pieceId }),
    deletedAt: now,
    seen: { ...seen, [device]: (seen[device] ?? 0) + 1 },
  };
}

/** Two marks of one record: what either has seen, as old as the older. */
export const bothMarks = (one: Mark, other: Mark): Mark => ({
  ...one,
  deletedAt: one.deletedAt < other.deletedAt ? one.deletedAt : other.deletedAt,
  seen: seenByBoth(one.seen, other.seen),
});

/** A record that came back: it knows of its deletion, and this device says so. */
export function revived<R extends AnyStored>(
  record: R,
  mark: Pick<Mark, 'seen'> | undefined,
  device: string,
): R {
  const seen = seenByBoth(record.seen, mark?.seen);
  return {
    ...record,
    revision: record.revision + 1,
    seen: { ...seen, [device]: (seen[device] ?? 0) + 1 },
  };
}

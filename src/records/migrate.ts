import { parseJson } from '@/core/check';
import { SHAPE_VERSION, STORED_SCHEMAS } from './schemas';
import type { AnyStored, Kind } from './types';

/** One step per version that came before the present one: takes a body of version n, gives one of version n + 1. */
type Step = (body: Record<string, unknown>) => Record<string, unknown>;
export const MIGRATIONS: Partial<Record<Kind, Record<number, Step>>> = {};

export type ReadResult = { ok: true; record: AnyStored } | { ok: false; reason: string; newer: boolean };

const isKind = (value: unknown): value is Kind =>
  typeof value === 'string' && Object.hasOwn(STORED_SCHEMAS, value);

/** Looks at what claims to be a record, brings it to the present shape and validates it whole. Never throws. */
export function readRecord(raw: unknown): ReadResult {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return { ok: false, reason: 'It is no record.', newer: false };
  const given: Record<string, unknown> = { ...raw };
  const { kind, version } = given;
  if (!isKind(kind))
    return { ok: false, reason: `It is of an unknown kind “${String(kind).slice(0, 40)}”.`, newer: false };
  if (
    version !== undefined &&
    !(typeof version === 'number' && Number.isSafeInteger(version) && version >= 1)
  ) {
    return {
      ok: false,
      reason: `Its version “${String(version).slice(0, 40)}” is no whole number from 1 on.`,
      newer: false,
    };
  }
  if (version !== undefined && version > SHAPE_VERSION) {
    return {
      ok: false,
      reason: `It was written by a newer version of the app (shape ${version}; this app knows ${SHAPE_VERSION}).`,
      newer: true,
    };
  }
  for (let v = version ?? SHAPE_VERSION; v < SHAPE_VERSION; v++) {
    const step = MIGRATIONS[kind]?.[v];
    const body = given.body;
    if (step && typeof body === 'object' && body !== null) given.body = step({ ...body });
    given.version = v + 1;
  }
  const { error, value } = STORED_SCHEMAS[kind].validate(given, { convert: false });
  return error
    ? { ok: false, reason: error.message, newer: false }
    : { ok: true, record: value as AnyStored };
}

/** Reads stored text. */
export function readText(text: string): ReadResult {
  try {
    return readRecord(parseJson(text));
  } catch {
    return { ok: false, reason: 'It is not readable as safe JSON.', newer: false };
  }
}

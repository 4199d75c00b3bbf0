import { practice, type Source } from '../sources';
import { CARE } from './care';
import { CORE } from './core';
import { FILL } from './fill';
import { LET_IN } from './letIn';
import { PATCH } from './patch';
import { REGLUE } from './reglue';
import type { Row } from './row';
import { STRUCTURE } from './structure';
import { SURFACE } from './surface';

const TABLE = { ...REGLUE, ...PATCH, ...CORE, ...STRUCTURE, ...LET_IN, ...FILL, ...SURFACE, ...CARE };

const MARKS_SOURCE: Source = practice('judged on the method done well');

export type MethodId = keyof typeof TABLE;
/** `source` is that of its marks and of the figures in its words. */
export type Method = Row & { id: MethodId; source: Source };

/** Repair methods in the words of the trade. Marks are common practice. */
export const METHODS: readonly Method[] = (Object.entries(TABLE) as [MethodId, Row][]).map(([id, row]) => ({
  ...row,
  id,
  source: MARKS_SOURCE,
}));

const BY_ID: ReadonlyMap<string, Method> = new Map(METHODS.map((m) => [m.id, m]));

/** @throws RangeError for a method that does not exist */
export function methodById(id: string): Method {
  const found = BY_ID.get(id);
  if (!found) throw new RangeError(`There is no repair method “${id}”.`);
  return found;
}

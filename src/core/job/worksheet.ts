import { methodById, type MethodId } from '../catalogue';
import type { Damage, GlueChoice } from './types';

/**
 * The sheet on which a method is worked out: under platen and clamps, a patch and its cut, a joint or poured fill, or the amounts
 * and steps of everything else.
 */
export type Worksheet = 'press' | 'patch' | 'joint' | 'sheet';

export function worksheetOf(method: MethodId): Worksheet {
  const { family, needs, steps } = methodById(method);
  const glued = steps.some((s) => s.glued);
  if (family === 'reglue' && glued) return 'press';
  if (family === 'patch') return 'patch';
  const poured = (family === 'fill' || family === 'core') && needs.includes('epoxy');
  return glued || poured ? 'joint' : 'sheet';
}

/** Address of a damage's page for one method of its chain. */
export const linkedPage = (damageId: string, page: string, method: MethodId, main: MethodId): string =>
  `/damage/${damageId}/${page}${method === main ? '' : `?link=${method}`}`;

/** Address of the worksheet of a method. */
export const worksheetPage = (damageId: string, method: MethodId, main: MethodId): string =>
  linkedPage(damageId, worksheetOf(method), method, main);

/** Glue and clamps chosen for one method of a chain. */
export const glueChoice = (damage: Damage, method: MethodId, main: MethodId): GlueChoice =>
  method === main ? damage.glue : (damage.linkGlue?.[method] ?? {});

/** The change of a damage that keeps a choice of glue and clamps with its method. */
export const keptGlue = (
  damage: Damage,
  method: MethodId,
  main: MethodId,
  glue: GlueChoice,
): Partial<Damage> => (method === main ? { glue } : { linkGlue: { ...damage.linkGlue, [method]: glue } });

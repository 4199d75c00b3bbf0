import { methodById, type MethodId } from '@/core/catalogue';
import type { Damage, GlueChoice } from '@/records';

/** A page of a damage, for one method of its chain. */
export const linkedPage = (damageId: string, page: string, method: MethodId, main: MethodId): string =>
  `/damage/${damageId}/${page}${method === main ? '' : `?link=${method}`}`;

/** The page on which a method is worked out; nothing for what goes straight to the bench. */
export function worksheetOf(damageId: string, method: MethodId, main: MethodId): string | undefined {
  const { family, needs, steps } = methodById(method);
  const glued = steps.some((s) => s.glued);
  if (family === 'reglue' && glued) return linkedPage(damageId, 'press', method, main);
  if (family === 'patch') return linkedPage(damageId, 'patch', method, main);
  const poured = (family === 'fill' || family === 'core') && needs.includes('epoxy');
  return glued || poured ? linkedPage(damageId, 'joint', method, main) : undefined;
}

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

import type { HollowShape, HollowSize } from '../adhesive';
import { methodById, type MethodId } from '../catalogue';
import { memory, sourced } from '../sources';
import { boardThickMm } from './glued';
import type { Surveyed } from './survey';
import type { Damage, Face } from './types';

const START = memory('where the fields of a hollow begin before anything is measured; measure yours');
/** Sizes of a hollow that nobody has measured. mm. */
const STARTS: Record<HollowSize, { value: number }> = {
  length: sourced(50, START),
  width: sourced(2, START),
  depth: sourced(10, START),
  diameter: sourced(20, START),
  inner: sourced(19, START),
};

/** The hollow that a method's glue fills, as far as the survey knows its sizes; nothing where glue only joins. */
export function hollowOf(
  method: MethodId,
  survey: Surveyed | undefined,
  damage: Damage,
  face: Face | undefined,
): { shape: HollowShape; sizes: Record<HollowSize, number> } | undefined {
  const { hollow: shape } = methodById(method);
  if (shape === 'none') return undefined;
  return {
    shape,
    sizes: {
      length: survey?.lengthMm ?? survey?.measures.alongMm ?? STARTS.length.value,
      width: survey?.gapMm ?? survey?.measures.acrossMm ?? STARTS.width.value,
      depth: damage.answers.depthMm ?? Math.min(boardThickMm(face), STARTS.depth.value),
      diameter: STARTS.diameter.value,
      inner: STARTS.inner.value,
    },
  };
}

/** What does not close by hand has shrunk: a clamp would close it, and the wood would split elsewhere. */
export const wouldBeForced = (method: MethodId, { answers }: Damage): boolean =>
  answers.closesByHand === false && methodById(method).glue === 'split';

import { COAT_WAITS, deltaE00, type Lab } from '../colour';
import type { EvenInput, EvenPlan, Fit } from '../pigment';
import { memory, sourced } from '../sources';
import { upperFirst } from '../terms';
import { outlookBefore, type Outlook } from './outlook';
import { coatsOf, type OnShelf } from './plans';

/** Parts may differ by as much at first, in whole ΔE00, and what a person may ask for. */
export const CLOSE_ENOUGH = {
  start: sourced(3, memory('seen side by side, hardly from standing height')),
  least: sourced(1, memory('just seen side by side')),
  most: sourced(10, memory('two colours that nobody takes for one')),
};
/** More thin coats on one part are a film that is seen. */
const MOST_ON_A_PART = 5;

/** What `colour.even` is asked; nothing with fewer than two parts, or nothing on the shelf to put on. @param within ΔE00 */
export function evenInput(
  parts: readonly { id: string; lab: Lab }[],
  shelf: readonly OnShelf[],
  fit: Fit | undefined,
  within: number,
): EvenInput | undefined {
  const products = coatsOf(shelf, fit).filter((p) => p.kind !== 'clear');
  if (parts.length < 2 || products.length === 0) return undefined;
  return { parts: parts.map(({ id, lab }) => ({ id, lab })), products, mostCoats: MOST_ON_A_PART, within };
}

/** How sure it is that parts come as near to each other: the more one of them is changed, the less. */
export const evenOutlook = (plan: EvenPlan, parts: EvenInput['parts']): Outlook =>
  outlookBefore(
    plan.after,
    Math.max(0, ...plan.parts.map((p) => deltaE00(parts.find((q) => q.id === p.id)?.lab ?? p.lab, p.lab))),
  );

const thinCoats = (n: number): string => (n === 1 ? 'one thin coat' : `${n} thin coats`);

/** What goes on which part, product by product in order. */
export const evenSteps = (
  { steps }: EvenPlan,
  productName: (id: string) => string,
  partName: (id: string) => string,
): string[] =>
  steps.map(
    ({ productId, on }, i) =>
      `${i + 1}. ${productName(productId)}: ${on.map((o) => `${thinCoats(o.coats)} on ${partName(o.partId)}`).join(', ')}.`,
  );

type EvenStep = {
  phase: 'blend';
  title: string;
  detail: string;
  attendedMin: number;
  waitMin: number;
  lays: { colourId: string; on: { faceId?: string; coats: number }[] };
};

/** What begins the name of a step that evens parts out. */
export const EVEN_STEP = 'Even out: ';
/** One thin coat on one part. min. */
const COAT_MIN = sourced(10, memory('a thin coat of toner on one part, and looking at it'));

/** The same as steps of the piece's plan, product by product in order. @param isFace whether a part is a face of the piece, which has a size */
export const evenForPlan = (
  { steps }: EvenPlan,
  productName: (id: string) => string,
  partName: (id: string) => string,
  isFace: (id: string) => boolean,
): EvenStep[] =>
  steps.map(({ productId, on }) => {
    const most = Math.max(0, ...on.map((o) => o.coats));
    return {
      phase: 'blend',
      title: `${EVEN_STEP}${productName(productId)}`,
      detail: `${upperFirst(on.map((o) => `${thinCoats(o.coats)} on ${partName(o.partId)}`).join(', '))}. Look between the coats.`,
      attendedMin: COAT_MIN.value * on.reduce((sum, o) => sum + o.coats, 0),
      waitMin: COAT_WAITS.toner.value * most,
      lays: {
        colourId: productId,
        on: on.map(({ partId, coats }) => ({ ...(isFace(partId) ? { faceId: partId } : {}), coats })),
      },
    };
  });

/** A piece's own steps with those that even its parts out, in place of the ones that were decided on before. */
export const withEvenSteps = <S extends { title: string; lays?: object }>(
  own: readonly S[],
  coats: readonly S[],
): S[] => [
  // What was put in before such steps said what they lay goes by its name.
  ...own.filter((s) => !s.lays && !s.title.startsWith(EVEN_STEP)),
  ...coats,
];

/** Which part the others are brought to. */
export const evenGoalWords = ({ steps, goal }: EvenPlan, partName: (id: string) => string): string =>
  steps.length === 0
    ? 'They are as near to each other as your products bring them: nothing goes on.'
    : `${partName(goal)} stays as it is; the others are brought to it.`;

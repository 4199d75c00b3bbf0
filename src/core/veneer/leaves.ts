import Joi from 'joi';
import { memory, practice, sourced, type Source } from '../sources';

export type LeafMatch = 'slip' | 'book' | 'centre';

export const LEAF_MATCHES: Record<LeafMatch, string> = {
  slip: 'Slip: leaf beside leaf as they came off, the same face up',
  book: 'Book: every second leaf turned over, so that neighbours mirror each other',
  centre: 'Centre: booked, an even number of equal leaves, a seam in the middle',
};

export type LeavesInput = {
  /** The face along the grain of its veneer and across. mm */
  alongMm: number;
  acrossMm: number;
  overhangMm: number;
  /** One leaf as it lies in the stock. mm */
  leafAlongMm: number;
  leafAcrossMm: number;
  match: LeafMatch;
};

export type LeavesPlan = {
  leaves: number;
  /** Widths of the leaves side by side, over the overhang on both sides. mm */
  widthsMm: number[];
  /** Seams from the face's own edge. mm */
  seamsMm: number[];
  /** Leaf by leaf, whether its other face is up. */
  turned: boolean[];
  lengthMm: number;
  /** Off each leaf that is cut down, across. mm */
  wasteMm: number;
  words: string;
};

/** What shooting takes off each edge that is joined. mm */
const SHOT_MM = sourced(2, memory('a millimetre or two off each edge on the shooting board'));
/** A seam is not laid so near to the edge of a face. mm */
const LEAST_STRIP_MM = sourced(40, memory('a narrow strip at an edge lifts and looks like a mend'));
export const LEAVES_SOURCE: Source = practice(
  'leaves are kept in the order they came off; booked leaves take light differently on their two faces',
);

const mm = (least: number, most: number): Joi.NumberSchema => Joi.number().min(least).max(most).required();
/** Input of `veneer.face`: `{alongMm, acrossMm, overhangMm, leafAlongMm, leafAcrossMm, match: 'slip' | 'book' | 'centre'}`. */
export const leavesSchema = Joi.object({
  alongMm: mm(5, 5000),
  acrossMm: mm(5, 5000),
  overhangMm: mm(0, 100),
  leafAlongMm: mm(5, 10_000),
  leafAcrossMm: mm(5, 3000),
  match: Joi.string().valid('slip', 'book', 'centre').required(),
});

/**
 * Registry `veneer.face`: leaves that cover a whole face, how wide each is cut, where their seams lie and which are turned over.
 *
 * @throws RangeError for leaves shorter than the face, or too narrow to be joined
 */
export function leavesPlan({
  alongMm,
  acrossMm,
  overhangMm,
  leafAlongMm,
  leafAcrossMm,
  match,
}: LeavesInput): LeavesPlan {
  const lengthMm = alongMm + 2 * overhangMm;
  const wide = acrossMm + 2 * overhangMm;
  if (leafAlongMm < lengthMm)
    throw new RangeError(
      `A leaf is ${leafAlongMm.toFixed(0)} mm long and the face takes ${lengthMm.toFixed(0)} mm with its overhang. Take longer leaves, or lay four to a corner.`,
    );
  const usable = (leaves: number): number => (leaves === 1 ? leafAcrossMm : leafAcrossMm - 2 * SHOT_MM.value);
  if (usable(2) <= 0) throw new RangeError(`Leaves ${leafAcrossMm} mm wide are too narrow to be joined.`);
  let leaves = usable(1) >= wide ? 1 : Math.ceil(wide / usable(2) - 1e-9);
  if (match === 'centre' && leaves > 1 && leaves % 2 === 1) leaves++;
  const widthsMm = match === 'slip' ? slipped(wide, leaves, usable(leaves), overhangMm) : new Array<number>(leaves).fill(wide / leaves); // prettier-ignore
  let at = -overhangMm;
  const seamsMm = widthsMm.slice(0, -1).map((w) => (at += w));
  const turned = widthsMm.map((_, i) => match !== 'slip' && i % 2 === 1);
  const wasteMm = usable(leaves) - Math.min(...widthsMm);
  return { leaves, widthsMm, seamsMm, turned, lengthMm, wasteMm, words: wordsOf(leaves, match) };
}

/** Full leaves and what is left; a strip that would be narrow is shared with its neighbour. */
function slipped(wide: number, leaves: number, usable: number, overhangMm: number): number[] {
  if (leaves === 1) return [wide];
  const rest = wide - (leaves - 1) * usable;
  const full = (n: number): number[] => new Array<number>(n).fill(usable);
  return rest - overhangMm >= LEAST_STRIP_MM.value
    ? [...full(leaves - 1), rest]
    : [...full(leaves - 2), (usable + rest) / 2, (usable + rest) / 2];
}

function wordsOf(leaves: number, match: LeafMatch): string {
  if (leaves === 1) return 'One leaf covers it: lay it so that its figure sits in the middle of the face.';
  return [
    'Number the leaves as they lie, shoot them in pairs, tape every seam across and then along, on the show face.',
    match === 'slip'
      ? 'The same face stays up.'
      : 'Booked leaves show their tight and their loose face by turns: stain them on a trial first.',
  ].join(' ');
}

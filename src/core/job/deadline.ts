import { methodById, type MethodId } from '../catalogue';
import type { RankedMethod } from '../method';
import { rankingOf } from './decide';
import { repairOf } from './repairs';
import { damageLabel } from './survey';
import type { Damage, Face, KnownShop, Named, Piece } from './types';

/** Another way to mend a damage, and what it costs against the present one. */
export type Alternative = { damageId: string; label: string; method: MethodId; costs: string };

export type Deadline = {
  /** Days, `2026-05-01`. */
  wanted: string;
  ready: string;
  /** Days to spare; negative when it is late. */
  slackDays: number;
  /** Steps that hold up the end, in order. */
  chain: string[];
  /** What would have it ready earlier, the earliest first. */
  ways: (Alternative & { ready: string; slackDays: number })[];
};

const MARKS = ['strength', 'invisibility', 'reversibility'] as const;
const MARK_WORDS: Record<(typeof MARKS)[number], string> = {
  strength: 'holds less well',
  invisibility: 'shows more',
  reversibility: 'is harder to undo',
};

/** What is given up by taking one method for another, in the marks of their chains. */
function costsOf(from: RankedMethod | undefined, to: RankedMethod): string {
  const worse = MARKS.filter((m) => (to.criteria[m] ?? 0) < (from?.criteria[m] ?? 0));
  return worse.length === 0
    ? 'It costs nothing in looks or strength.'
    : `It ${worse.map((m) => `${MARK_WORDS[m]} (${to.criteria[m]} instead of ${from?.criteria[m]} of 5)`).join(', ')}.`;
}

/** Fewer ways are better looked at than many. */
const PER_DAMAGE = 2;

/** Ways to mend a piece's damages that are quicker than those taken; leaving a damage as it is comes last. */
export function quickerWays(
  piece: Named<Piece>,
  faces: readonly Named<Face>[],
  damages: readonly Named<Damage>[],
  shop: KnownShop,
): Alternative[] {
  return damages.flatMap((damage): Alternative[] => {
    const { face, onFace, chain } = repairOf(piece, faces, damages, damage, shop);
    const ranking = rankingOf(piece.body, face?.body, damage.body, onFace, shop);
    if (!ranking.ok || !chain || chain.method === 'leave') return [];
    const { ranked } = ranking.value;
    const now = ranked.find((r) => r.method === chain.method);
    const label = damageLabel(damage.body);
    const quicker = ranked
      .filter((r) => r.method !== chain.method && r.method !== 'leave' && r.despite.length === 0)
      .filter((r) => (r.criteria.speed ?? 0) > (now?.criteria.speed ?? 0))
      .slice(0, PER_DAMAGE)
      .map((r) => ({ damageId: damage.id, label, method: r.method, costs: costsOf(now, r) }));
    return [
      ...quicker,
      { damageId: damage.id, label, method: 'leave', costs: 'It stays as it is, and is told to the owner.' },
    ];
  });
}

/** “Burn in instead: Gouge, no. 1”. */
export const alternativeWords = ({ label, method }: Alternative): string =>
  method === 'leave'
    ? `Leave ${label.toLowerCase()} as it is`
    : `${methodById(method).label} for ${label.toLowerCase()}`;

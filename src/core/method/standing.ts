import { materialWords, METHODS, type MaterialId, type Method, type MethodId } from '../catalogue';
import { DAMAGE_KINDS } from '../damage';
import { inWorkOrder, type Chain } from './chain';
import type { Facts } from './facts';
import { SCHOOL_WEIGHTS, type Criterion } from './rankInput';
import { criteriaOf, linksOf, missingFor, plainBan, POINTS_PER_WEIGHT, rulingOf, sum, weightedScore, type Ban, type Bench, type ChainLink, type Reason, type RuleBook } from './ruling'; // prettier-ignore

/** A repair in its place, `first` and `then` in the order of work. */
export type RankedMethod = Chain & {
  score: number;
  links: ChainLink[];
  for: Reason[];
  against: Reason[];
  /** What rules it out: set only when it is offered all the same, as the least bad. */
  despite: Ban[];
  /** Marks 0…5 of the whole chain; what cannot be judged is left out and does not count. */
  criteria: Partial<Record<Criterion, number>>;
  /** Materials of the whole chain that are not in stock; empty when the stock is not known. */
  missing: MaterialId[];
};
export type ExcludedMethod = { method: MethodId; because: Ban[] };
const kindNames = (method: Method): string => {
  const names = method.kinds.map((k) => DAMAGE_KINDS[k].label.toLowerCase());
  return names.length > 4 ? `${names.slice(0, 4).join(', ')} and the like` : names.join(' or ');
};

const wrongKind = (method: Method, facts: Facts): Ban =>
  plainBan(
    'kind',
    method.kinds.length === 0
      ? 'It goes before or after another repair and is none by itself.'
      : `It is a repair for ${kindNames(method)}; this is ${DAMAGE_KINDS[facts.kind].label.toLowerCase()}.`,
  );

/** Neither a repair nor a decision: it only gains time. */
const GAINS_TIME: readonly MethodId[] = ['makeSafe'];
const isRepair = (id: MethodId): boolean => id !== 'leave' && !GAINS_TIME.includes(id);

type Placed = RankedMethod & { bans: Ban[]; waits: boolean };

/** What may be taken comes first; then what waits for a fact; then what has something against it; last what only gains time. */
function place({ method, despite, waits, for: speaksFor, against }: Placed): number {
  if (GAINS_TIME.includes(method)) return 3;
  if (despite.length > 0 || (method === 'leave' && sum(against) > sum(speaksFor))) return 2;
  return waits ? 1 : 0;
}

/** Of the methods that are all ruled out the one that is least so. */
function leastBad(out: readonly Placed[], tonight: boolean): Placed | undefined {
  const worst = (p: Placed): number => Math.max(...p.bans.map((b) => b.weight));
  return out
    .filter((p) => isRepair(p.method) && !(tonight && p.missing.length > 0))
    .sort(
      (a, b) =>
        worst(a) - worst(b) ||
        sum(a.bans) - sum(b.bans) ||
        b.score - a.score ||
        a.method.localeCompare(b.method),
    )[0];
}

type Standing = { ranked: Placed[]; excluded: Placed[] };

/** Methods for this kind of damage, in order, and those that are ruled out. */
export function standing(facts: Facts, book: RuleBook, bench: Bench): Standing {
  const { weights, stock, tonight = false } = bench;
  const ruling = rulingOf(facts, book, bench);
  const counted = { ...SCHOOL_WEIGHTS[facts.school], ...weights };
  const all = METHODS.filter((m) => m.kinds.includes(facts.kind)).map(({ id }): Placed => {
    const judged = ruling.judged(id);
    const links = linksOf(id, facts, ruling, book, bench);
    const of = (when: ChainLink['when']): MethodId[] =>
      inWorkOrder(links.filter((l) => l.when === when).map((l) => l.method));
    const chain = { method: id, first: of('first'), then: of('then') };
    const criteria = criteriaOf(chain, facts, stock);
    const missing = missingFor([...chain.first, id, ...chain.then], stock);
    const lacking =
      tonight && missing.length > 0
        ? [plainBan('tonight', `Not in stock tonight: ${materialWords(missing)}.`, 'it is bought')]
        : [];
    const bans = [...judged.bans, ...lacking];
    const points = sum(judged.for) - sum(judged.against) - sum(bans);
    return {
      ...chain,
      links: links.sort((a, b) => a.method.localeCompare(b.method)),
      score: Math.round(weightedScore(criteria, counted) + points * POINTS_PER_WEIGHT),
      for: judged.for,
      against: judged.against,
      despite: [],
      criteria,
      missing,
      bans,
      waits: judged.waits,
    };
  });
  const allowed = all.filter((p) => p.bans.length === 0);
  const least = allowed.some((p) => isRepair(p.method))
    ? undefined
    : leastBad(
        all.filter((p) => p.bans.length > 0),
        tonight,
      );
  const ranked = [...allowed, ...(least ? [{ ...least, despite: least.bans }] : [])].sort(
    (a, b) => place(a) - place(b) || b.score - a.score || a.method.localeCompare(b.method),
  );
  return { ranked, excluded: all.filter((p) => p.bans.length > 0 && p.method !== least?.method) };
}

/** Everything that is set aside, in the order of the catalogue: ruled out, or made for other damage. */
export const excludedMethods = (facts: Facts, excluded: readonly Placed[]): ExcludedMethod[] =>
  METHODS.flatMap((m): ExcludedMethod[] => {
    if (!m.kinds.includes(facts.kind)) return [{ method: m.id, because: [wrongKind(m, facts)] }];
    const out = excluded.find((p) => p.method === m.id);
    return out ? [{ method: m.id, because: out.bans }] : [];
  });

import { methodById, type MaterialId, type Method, type MethodId } from '../catalogue';
import { describeSource, memory } from '../sources';
import { lowerFirst } from '../terms';
import { chainMarks, type Chain } from './chain';
import type { Facts } from './facts';
import { CRITERIA, SCHOOL_WEIGHTS, type Criterion, type RankInput, type Weights } from './rankInput';
import type { Judgement, Link, Rule } from './rule';

/** What one step of a rule's weight is worth beside the criteria, which add up to 100. */
export const POINTS_PER_WEIGHT = 8;
export const POINTS_PER_WEIGHT_SOURCE = memory(
  'our own measure: a strong reason weighs as much as a quarter of all marks',
);

export type Reason = { rule: string; text: string; source: string; weight: number };
/** Why a method cannot be taken, and what would change that: said after “if”. */
export type Ban = Reason & { lift?: string };
/** A further method of a chain, why it is there, and what could be taken in its place. */
export type ChainLink = { method: MethodId; when: 'first' | 'then'; reason: Reason; options: MethodId[] };

const isLink = (r: Rule): r is Link => r.verdict === 'first' || r.verdict === 'then';

/** Where a rule comes from, and where the sizes at which it turns come from. */
const sourceWords = (r: Rule): string =>
  [
    describeSource(r.source),
    ...new Set((r.when.limits ?? []).map((l) => `Its limit: ${lowerFirst(describeSource(l.source))}`)),
  ].join(' ');

const reasonOf = (r: Rule): Reason => ({
  rule: r.id,
  text: r.text,
  source: sourceWords(r),
  weight: isLink(r) ? 3 : r.weight,
});

type Said = { rule: Judgement; reason: Ban };
type Linked = { rule: Link; reason: Reason };

/** Rules by the methods they speak of, each with its reason in words. */
export type RuleBook = {
  judgements: ReadonlyMap<MethodId, readonly Said[]>;
  links: ReadonlyMap<MethodId, readonly Linked[]>;
};

export function ruleBook(rules: readonly Rule[]): RuleBook {
  const judgements = new Map<MethodId, Said[]>();
  const links = new Map<MethodId, Linked[]>();
  const add = <T>(to: Map<MethodId, T[]>, methods: readonly MethodId[], said: T): void =>
    methods.forEach((id) => to.set(id, [...(to.get(id) ?? []), said]));
  for (const rule of rules) {
    const reason = reasonOf(rule);
    if (isLink(rule)) add(links, rule.methods, { rule, reason });
    else add(judgements, rule.methods, { rule, reason: { ...reason, ...(rule.lift ? { lift: rule.lift } : {}) } }); // prettier-ignore
  }
  return { judgements, links };
}

export const plainBan = (rule: string, text: string, lift?: string): Ban => ({
  rule,
  text,
  source: describeSource({ kind: 'practice' }),
  weight: 3,
  ...(lift ? { lift } : {}),
});

/** How a method suits the state the surface will be in when the repair is made. */
function fitMark(method: Method, { goal, finishNow }: Facts): number | undefined {
  if (goal === undefined || finishNow === undefined) return undefined;
  if (method.worksOn === 'any') return 4;
  const film = goal === 'keep' && finishNow !== 'bare';
  return (method.worksOn === 'film') === film ? 5 : 1;
}

export type Bench = Pick<RankInput, 'weights' | 'stock' | 'tonight' | 'links'>;

export const missingFor = (
  ids: readonly MethodId[],
  stock: readonly MaterialId[] | undefined,
): MaterialId[] =>
  stock ? [...new Set(ids.flatMap((id) => methodById(id).needs))].filter((m) => !stock.includes(m)) : [];

export function criteriaOf(
  { method, first, then }: Chain,
  facts: Facts,
  stock: readonly MaterialId[] | undefined,
): Partial<Record<Criterion, number>> {
  const fit = fitMark(methodById(method), facts);
  const marks = { ...chainMarks(first, method, then), ...(fit === undefined ? {} : { fit }) };
  if (!stock) return marks;
  const all = [...first, method, ...then];
  const needed = new Set(all.flatMap((id) => methodById(id).needs)).size;
  const share = needed === 0 ? 1 : 1 - missingFor(all, stock).length / needed;
  return { ...marks, stock: 5 * share };
}

export function weightedScore(marks: Partial<Record<Criterion, number>>, weights: Weights): number {
  const judged = (Object.keys(CRITERIA) as Criterion[]).filter((c) => marks[c] !== undefined);
  const total = judged.reduce((s, c) => s + weights[c], 0);
  if (total === 0) return 0;
  return (judged.reduce((s, c) => s + weights[c] * (marks[c] ?? 0), 0) / (5 * total)) * 100;
}

export const sum = (reasons: readonly Reason[]): number => reasons.reduce((s, r) => s + r.weight, 0);
const byWeight = <R extends Reason>(reasons: R[]): R[] =>
  reasons.sort((a, b) => b.weight - a.weight || a.rule.localeCompare(b.rule));

type Judged = {
  for: Reason[];
  against: Reason[];
  bans: Ban[];
  /** A fact that decides it is not known. */
  waits: boolean;
};

/** Rules that hold: what they say of each method, how each would stand by itself, and the links they make. */
type Ruling = {
  judged: (method: MethodId) => Judged;
  alone: (method: MethodId) => number;
  links: (method: MethodId) => Linked[];
};

/** A value for each key, worked out when it is first asked for. */
function once<K, V>(make: (key: K) => V): (key: K) => V {
  const made = new Map<K, V>();
  return (key) => {
    const known = made.get(key);
    if (known !== undefined) return known;
    const value = make(key);
    made.set(key, value);
    return value;
  };
}

export function rulingOf(facts: Facts, { judgements, links }: RuleBook, { weights, stock }: Bench): Ruling {
  const counted = { ...SCHOOL_WEIGHTS[facts.school], ...weights };
  const holds = once((rule: Rule) => rule.when(facts) === true);
  const judged = once((method: MethodId): Judged => {
    const holding = (judgements.get(method) ?? []).filter((s) => holds(s.rule));
    const say = (verdict: Judgement['verdict']): Ban[] =>
      byWeight(holding.filter((s) => s.rule.verdict === verdict).map((s) => s.reason));
    return {
      for: say('for'),
      against: say('against'),
      bans: say('rulesOut'),
      waits: holding.some((s) => s.rule.waits !== undefined),
    };
  });
  const alone = once((id: MethodId): number => {
    const said = judged(id);
    const marks = weightedScore(criteriaOf({ method: id, first: [], then: [] }, facts, stock), counted);
    return marks + (sum(said.for) - sum(said.against)) * POINTS_PER_WEIGHT;
  });
  return { judged, alone, links: (method) => (links.get(method) ?? []).filter((l) => holds(l.rule)) };
}

/** The gap beside a damage is a damage of its own: what was measured and found of the first does not hold for it. */
const besides = ({ kind: _, areaMm2, alongMm, acrossMm, openingMm, depthMm, coreSound, ...rest }: Facts, kind: Facts['kind']): Facts => ({ ...rest, kind }); // prettier-ignore

/** The further methods of a chain: of each link's candidates the one that the user took, or the best that nothing rules out. */
export function linksOf(
  method: MethodId,
  facts: Facts,
  ruling: Ruling,
  book: RuleBook,
  bench: Bench,
): ChainLink[] {
  const { links: taken = [] } = bench;
  return ruling.links(method).flatMap(({ rule: r, reason }): ChainLink[] => {
    const there = r.as ? rulingOf(besides(facts, r.as), book, bench) : ruling;
    const candidates = r.put
      .filter((id) => id !== method)
      .map((id) => {
        const { bans, waits } = there.judged(id);
        return { id, bans: sum(bans), waits, score: there.alone(id) };
      })
      .sort(
        (a, b) =>
          a.bans - b.bans ||
          Number(a.waits) - Number(b.waits) ||
          b.score - a.score ||
          a.id.localeCompare(b.id),
      );
    const best = candidates.find((c) => taken.includes(c.id)) ?? candidates[0];
    return best
      ? [
          {
            method: best.id,
            when: r.verdict,
            reason,
            options: candidates.filter((c) => c.bans === 0 || c === best).map((c) => c.id),
          },
        ]
      : [];
  });
}

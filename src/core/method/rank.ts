import {
  materialWords,
  METHODS,
  methodById,
  type MaterialId,
  type Method,
  type MethodId,
} from '../catalogue';
import { assertRange } from '../check';
import { DAMAGE_KINDS, QUESTIONS, type AskedFact } from '../damage';
import { describeSource, memory, sourced } from '../sources';
import { chainMarks, inWorkOrder } from './chain';
import { factsOf, type Facts } from './facts';
import { LOSS_RULES } from './lossRules';
import { PARTS_RULES } from './partsRules';
import { CRITERIA, SCHOOL_WEIGHTS, type Criterion, type RankInput, type Weights } from './rankInput';
import type { Judgement, Link, Rule } from './rule';
import { SURFACE_RULES } from './surfaceRules';
import { VENEER_RULES } from './veneerRules';
import { WOOD_RULES } from './woodRules';

export const RULES: readonly Rule[] = [
  ...VENEER_RULES,
  ...WOOD_RULES,
  ...LOSS_RULES,
  ...SURFACE_RULES,
  ...PARTS_RULES,
];

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

export type RankedMethod = {
  method: MethodId;
  score: number;
  /** What is done before it, and what follows, each in the order of work. */
  first: MethodId[];
  then: MethodId[];
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
export type OpenQuestion = {
  fact: AskedFact;
  ask: string;
  look: string;
  changes: { answer: string; first: MethodId }[];
};
export type Ranking = {
  ranked: RankedMethod[];
  excluded: ExcludedMethod[];
  questions: OpenQuestion[];
  /** Only when asked for tonight: what would come first with everything at hand, and how well each hides, 0…5. */
  tonight?: { best: MethodId; bestLooks: number; looks: number };
};

/** Veneer outside this range is not veneer but a misread rule. mm. */
export const VENEER_RANGE_MM = {
  least: 0.2,
  most: 6,
  source: memory('veneer is sawn to at most some millimetres and cut to no less than a fifth of one'),
};

export const assertVeneerThickness = (mm: number): void =>
  assertRange('The veneer thickness', mm, 'mm', VENEER_RANGE_MM.least, VENEER_RANGE_MM.most);

const isLink = (r: Rule): r is Link => r.verdict === 'first' || r.verdict === 'then';

const reason = (r: Rule): Reason => ({
  rule: r.id,
  text: r.text,
  source: describeSource(r.source),
  weight: isLink(r) ? 3 : r.weight,
});

const ban = (r: Judgement): Ban => ({ ...reason(r), ...(r.lift ? { lift: r.lift } : {}) });

const plainBan = (rule: string, text: string, lift?: string): Ban => ({
  rule,
  text,
  source: describeSource({ kind: 'practice' }),
  weight: 3,
  ...(lift ? { lift } : {}),
});

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

/** How a method suits the state the surface will be in when the repair is made. */
function fitMark(method: Method, { goal, finishNow }: Facts): number | undefined {
  if (goal === undefined || finishNow === undefined) return undefined;
  if (method.worksOn === 'any') return 4;
  const film = goal === 'keep' && finishNow !== 'bare';
  return (method.worksOn === 'film') === film ? 5 : 1;
}

type Bench = Pick<RankInput, 'weights' | 'stock' | 'tonight' | 'links'>;

const missingFor = (ids: readonly MethodId[], stock: readonly MaterialId[] | undefined): MaterialId[] =>
  stock ? [...new Set(ids.flatMap((id) => methodById(id).needs))].filter((m) => !stock.includes(m)) : [];

function criteriaOf(
  { method, first, then }: Pick<RankedMethod, 'method' | 'first' | 'then'>,
  facts: Facts,
  stock: readonly MaterialId[] | undefined,
): Partial<Record<Criterion, number>> {
  const all = [...first, method, ...then];
  const fit = fitMark(methodById(method), facts);
  const needed = new Set(all.flatMap((id) => methodById(id).needs)).size;
  const share = needed === 0 ? 1 : 1 - missingFor(all, stock).length / needed;
  return {
    ...chainMarks(first, method, then),
    ...(fit === undefined ? {} : { fit }),
    ...(stock ? { stock: 5 * share } : {}),
  };
}

function weightedScore(marks: Partial<Record<Criterion, number>>, weights: Weights): number {
  const judged = (Object.keys(CRITERIA) as Criterion[]).filter((c) => marks[c] !== undefined);
  const total = judged.reduce((s, c) => s + weights[c], 0);
  if (total === 0) return 0;
  return (judged.reduce((s, c) => s + weights[c] * (marks[c] ?? 0), 0) / (5 * total)) * 100;
}

const sum = (reasons: readonly Reason[]): number => reasons.reduce((s, r) => s + r.weight, 0);
const byWeight = <R extends Reason>(reasons: R[]): R[] =>
  reasons.sort((a, b) => b.weight - a.weight || a.rule.localeCompare(b.rule));

type Judged = {
  for: Reason[];
  against: Reason[];
  bans: Ban[];
  /** A fact that decides it is not known. */
  waits: boolean;
};

function judge(method: MethodId, holding: readonly Rule[]): Judged {
  const mine = holding.filter((r): r is Judgement => !isLink(r) && r.methods.includes(method));
  const by = (verdict: Judgement['verdict']): Judgement[] => mine.filter((r) => r.verdict === verdict);
  return {
    for: byWeight(by('for').map(reason)),
    against: byWeight(by('against').map(reason)),
    bans: byWeight(by('rulesOut').map(ban)),
    waits: mine.some((r) => r.waits !== undefined),
  };
}

/** The gap beside a damage is a damage of its own: what was measured and found of the first does not hold for it. */
const besides = ({ kind: _, areaMm2, alongMm, acrossMm, openingMm, depthMm, coreSound, ...rest }: Facts, kind: Facts['kind']): Facts => ({ ...rest, kind }); // prettier-ignore

const holdingRules = (facts: Facts, rules: readonly Rule[]): Rule[] =>
  rules.filter((r) => r.when(facts) === true);

/** The further methods of a chain: of each link's candidates the one that the user took, or the best that nothing rules out. */
function linksOf(
  method: MethodId,
  facts: Facts,
  holding: readonly Rule[],
  rules: readonly Rule[],
  { weights, stock, links: taken = [] }: Bench,
): ChainLink[] {
  const counted = { ...SCHOOL_WEIGHTS[facts.school], ...weights };
  return holding
    .filter(isLink)
    .filter((r) => r.methods.includes(method))
    .flatMap((r): ChainLink[] => {
      const there = r.as ? besides(facts, r.as) : facts;
      const ruling = r.as ? holdingRules(there, rules) : holding;
      const candidates = r.put
        .filter((id) => id !== method)
        .map((id) => {
          const judged = judge(id, ruling);
          const marks = weightedScore(criteriaOf({ method: id, first: [], then: [] }, there, stock), counted);
          const score = marks + (sum(judged.for) - sum(judged.against)) * POINTS_PER_WEIGHT;
          return { id, bans: sum(judged.bans), waits: judged.waits, score };
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
              reason: reason(r),
              options: candidates.filter((c) => c.bans === 0 || c === best).map((c) => c.id),
            },
          ]
        : [];
    });
}

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

function rankFacts(facts: Facts, rules: readonly Rule[], bench: Bench): Omit<Ranking, 'questions'> {
  const { weights, stock, tonight = false } = bench;
  const holding = holdingRules(facts, rules);
  const counted = { ...SCHOOL_WEIGHTS[facts.school], ...weights };
  const all = METHODS.filter((m) => m.kinds.includes(facts.kind)).map(({ id }): Placed => {
    const judged = judge(id, holding);
    const links = linksOf(id, facts, holding, rules, bench);
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
  const excluded = METHODS.flatMap((m): ExcludedMethod[] => {
    if (!m.kinds.includes(facts.kind)) return [{ method: m.id, because: [wrongKind(m, facts)] }];
    const out = all.find((p) => p.method === m.id && p.bans.length > 0 && p.method !== least?.method);
    return out ? [{ method: m.id, because: out.bans }] : [];
  });
  return { ranked: ranked.map(({ bans: _, waits: __, ...r }) => r), excluded };
}

/** Facts not known whose answer would put another method first. */
function openQuestions(
  facts: Facts,
  first: MethodId | undefined,
  rules: readonly Rule[],
  bench: Bench,
): OpenQuestion[] {
  return QUESTIONS.filter(
    (q) => q.kinds.includes(facts.kind) && facts[q.fact] === undefined && (q.when?.(facts) ?? true),
  ).flatMap((q) => {
    const changes = q.answers.flatMap(({ label, value }) => {
      const then = rankFacts({ ...facts, [q.fact]: value }, rules, bench).ranked[0]?.method;
      return then && then !== first ? [{ answer: label, first: then }] : [];
    });
    return changes.length > 0 ? [{ fact: q.fact, ask: q.ask, look: q.look, changes }] : [];
  });
}

function checkedFacts(input: RankInput): Facts {
  if (input.surface.veneerMm !== undefined && input.surface.build !== 'solid')
    assertVeneerThickness(input.surface.veneerMm);
  return factsOf(input);
}

/**
 * Registry `method.rank`: every repair method, ranked with what speaks for and against it, or set aside with why.
 *
 * An entry is a chain: `first` lists the methods that come before it (mend the core, wash the glue line), `then` those that
 * follow (patch the gap, a film over the fill), `links` says why and what could be taken instead; marks, materials and score
 * are those of the whole chain. A rule whose facts are not known says nothing; what would change the first choice is listed as
 * a question, and a method whose deciding fact is not known stands behind those that are certain. When everything is ruled
 * out, the least bad is ranked with what rules it out as `despite`; no ranking is empty.
 *
 * Score = weighted mean of the criteria in percent, plus or minus {@link POINTS_PER_WEIGHT} for every step of a rule's weight.
 *
 * @throws RangeError when the veneer thickness is impossible
 */
export function rankMethods(input: RankInput, rules: readonly Rule[] = RULES): Ranking {
  const facts = checkedFacts(input);
  const ranking = rankFacts(facts, rules, input);
  const first = ranking.ranked[0];
  const questions = openQuestions(facts, first?.method, rules, input);
  if (!input.tonight || !first) return { ...ranking, questions };
  const { links } = input;
  const best = rankFacts(facts, rules, { ...input, tonight: false, ...(links ? { links } : {}) }).ranked[0];
  const looks = (r: RankedMethod): number => r.criteria.invisibility ?? 0;
  return {
    ...ranking,
    questions,
    ...(best ? { tonight: { best: best.method, bestLooks: looks(best), looks: looks(first) } } : {}),
  };
}

/** The chain that comes first, or that of a method chosen, without the questions: for lists and plans. @throws RangeError as {@link rankMethods} */
export function chainOf(
  input: RankInput,
  chosen?: MethodId,
): { first: MethodId[]; method: MethodId; then: MethodId[] } {
  const facts = checkedFacts(input);
  if (chosen === undefined) {
    const [best] = rankFacts(facts, RULES, input).ranked;
    return { first: best?.first ?? [], method: best?.method ?? 'leave', then: best?.then ?? [] };
  }
  const links = linksOf(chosen, facts, holdingRules(facts, RULES), RULES, input);
  const of = (when: ChainLink['when']): MethodId[] =>
    inWorkOrder(links.filter((l) => l.when === when).map((l) => l.method));
  return { first: of('first'), method: chosen, then: of('then') };
}

const BEHIND = {
  hardly: sourced(4, memory('less than half of a hint')),
  little: sourced(16, memory('up to two hints')),
  clearly: sourced(40, memory('a strong reason and more')),
};

/** How far a method stands behind the first, in words: a score says nothing by itself. */
export function distanceWords(score: number, firstScore: number): string {
  const behind = firstScore - score;
  if (behind <= BEHIND.hardly.value) return 'Hardly behind the first';
  if (behind <= BEHIND.little.value) return 'A little behind the first';
  return behind <= BEHIND.clearly.value ? 'Clearly behind the first' : 'Far behind the first';
}

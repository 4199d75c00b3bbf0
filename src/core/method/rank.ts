import { assertRange } from '../check';
import { DAMAGE_KINDS, QUESTIONS, type AskedFact } from '../damage';
import { describeSource } from '../sources';
import { factsOf, type Facts } from './facts';
import { LOSS_RULES } from './lossRules';
import { materialWords, type MaterialId } from './materials';
import { CRITERIA, METHODS, type Criterion, type Method, type MethodId } from './methods';
import { PARTS_RULES } from './partsRules';
import { SCHOOL_WEIGHTS, type RankInput, type Weights } from './rankInput';
import type { Rule } from './rule';
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

export type Reason = { rule: string; text: string; source: string; weight: number };
export type RankedMethod = {
  method: MethodId;
  score: number;
  for: Reason[];
  against: Reason[];
  /** Marks 0…5; what cannot be judged is left out and does not count. */
  criteria: Partial<Record<Criterion, number>>;
  /** Materials that are not in stock; empty when the stock is not known. */
  missing: MaterialId[];
};
export type ExcludedMethod = { method: MethodId; because: Reason[] };
export type OpenQuestion = {
  fact: AskedFact;
  ask: string;
  look: string;
  changes: { answer: string; first: MethodId }[];
};
export type Ranking = { ranked: RankedMethod[]; excluded: ExcludedMethod[]; questions: OpenQuestion[] };

/** Veneer outside this range is not veneer but a misread rule. mm. */
export const VENEER_RANGE_MM = { least: 0.2, most: 6 };

export const assertVeneerThickness = (mm: number): void =>
  assertRange('The veneer thickness', mm, 'mm', VENEER_RANGE_MM.least, VENEER_RANGE_MM.most);

const reason = (r: Rule): Reason => ({
  rule: r.id,
  text: r.text,
  source: describeSource(r.source),
  weight: r.weight,
});

const plainReason = (rule: string, text: string): Reason => ({
  rule,
  text,
  source: describeSource({ kind: 'practice' }),
  weight: 3,
});

const kindNames = (method: Method): string => {
  const names = method.kinds.map((k) => DAMAGE_KINDS[k].label.toLowerCase());
  return names.length > 4 ? `${names.slice(0, 4).join(', ')} and the like` : names.join(' or ');
};

const wrongKind = (method: Method, facts: Facts): Reason =>
  plainReason(
    'kind',
    `It is a repair for ${kindNames(method)}; this is ${DAMAGE_KINDS[facts.kind].label.toLowerCase()}.`,
  );

/** How a method suits the state the surface will be in when the repair is made. */
function fitMark(method: Method, { goal, finishNow }: Facts): number | undefined {
  if (goal === undefined || finishNow === undefined) return undefined;
  if (method.worksOn === 'any') return 4;
  const film = goal === 'keep' && finishNow !== 'bare';
  return (method.worksOn === 'film') === film ? 5 : 1;
}

const missingFor = (method: Method, stock: readonly MaterialId[] | undefined): MaterialId[] =>
  stock ? method.needs.filter((m) => !stock.includes(m)) : [];

function criteriaOf(
  method: Method,
  facts: Facts,
  stock: readonly MaterialId[] | undefined,
): Partial<Record<Criterion, number>> {
  const fit = fitMark(method, facts);
  const share =
    method.needs.length === 0 ? 1 : 1 - missingFor(method, stock).length / Math.max(1, method.needs.length);
  return {
    ...method.marks,
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

type Bench = Pick<RankInput, 'weights' | 'stock' | 'tonight'>;

function rankFacts(
  facts: Facts,
  rules: readonly Rule[],
  { weights, stock, tonight }: Bench,
): Omit<Ranking, 'questions'> {
  const holding = rules.filter((r) => r.when(facts) === true);
  const counted = { ...SCHOOL_WEIGHTS[facts.school], ...weights };
  const ranked: RankedMethod[] = [];
  const excluded: ExcludedMethod[] = [];
  for (const method of METHODS) {
    if (!method.kinds.includes(facts.kind)) {
      excluded.push({ method: method.id, because: [wrongKind(method, facts)] });
      continue;
    }
    const mine = holding.filter((r) => r.methods.includes(method.id));
    const by = (verdict: Rule['verdict']): Reason[] =>
      mine
        .filter((r) => r.verdict === verdict)
        .map(reason)
        .sort((a, b) => b.weight - a.weight || a.rule.localeCompare(b.rule));
    const out = by('rulesOut');
    const missing = missingFor(method, stock);
    if (tonight && missing.length > 0) {
      out.push(plainReason('tonight', `Not in stock tonight: ${materialWords(missing)}.`));
    }
    if (out.length > 0) {
      excluded.push({ method: method.id, because: out });
      continue;
    }
    const speaksFor = by('for');
    const speaksAgainst = by('against');
    const sum = (rs: Reason[]): number => rs.reduce((s, r) => s + r.weight, 0) * POINTS_PER_WEIGHT;
    const criteria = criteriaOf(method, facts, stock);
    const score = Math.round(weightedScore(criteria, counted) + sum(speaksFor) - sum(speaksAgainst));
    ranked.push({ method: method.id, score, for: speaksFor, against: speaksAgainst, criteria, missing });
  }
  ranked.sort((a, b) => b.score - a.score || a.method.localeCompare(b.method));
  return { ranked, excluded };
}

/** Facts not known whose answer would put another method first. */
function openQuestions(
  facts: Facts,
  first: MethodId | undefined,
  rules: readonly Rule[],
  bench: Bench,
): OpenQuestion[] {
  return QUESTIONS.filter((q) => q.kinds.includes(facts.kind) && facts[q.fact] === undefined).flatMap((q) => {
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
 * A rule whose facts are not known says nothing; what would change the first choice is listed as a question instead.
 * Score = weighted mean of the criteria in percent, plus or minus {@link POINTS_PER_WEIGHT} for every step of a rule's weight.
 *
 * @throws RangeError when the veneer thickness is impossible
 */
export function rankMethods(input: RankInput, rules: readonly Rule[] = RULES): Ranking {
  const facts = checkedFacts(input);
  const ranking = rankFacts(facts, rules, input);
  return { ...ranking, questions: openQuestions(facts, ranking.ranked[0]?.method, rules, input) };
}

/** The method that comes first, without the questions: for lists and plans. @throws RangeError as {@link rankMethods} */
export const firstMethod = (input: RankInput): MethodId | undefined =>
  rankFacts(checkedFacts(input), RULES, input).ranked[0]?.method;

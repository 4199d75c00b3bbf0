import type { MethodId } from '../catalogue';
import { assertRange } from '../check';
import { QUESTIONS, type AskedFact } from '../damage';
import { memory, sourced } from '../sources';
import { inWorkOrder, type Chain } from './chain';
import { factsOf, type Facts } from './facts';
import { LOSS_RULES } from './lossRules';
import { PARTS_RULES } from './partsRules';
import type { RankInput } from './rankInput';
import type { Rule } from './rule';
import { linksOf, ruleBook, rulingOf, type Ban, type Bench, type ChainLink, type RuleBook } from './ruling';
import { excludedMethods, standing, type ExcludedMethod, type RankedMethod } from './standing';
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
const BOOK = ruleBook(RULES);

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

/** Facts not known whose answer would put another method first. */
function openQuestions(
  facts: Facts,
  first: MethodId | undefined,
  book: RuleBook,
  bench: Bench,
): OpenQuestion[] {
  return QUESTIONS.filter(
    (q) => q.kinds.includes(facts.kind) && facts[q.fact] === undefined && (q.when?.(facts) ?? true),
  ).flatMap((q) => {
    const changes = q.answers.flatMap(({ label, value }) => {
      const then = standing({ ...facts, [q.fact]: value }, book, bench).ranked[0]?.method;
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
export function rankMethods(input: RankInput, book: RuleBook = BOOK): Ranking {
  const facts = checkedFacts(input);
  const { ranked, excluded } = standing(facts, book, input);
  const ranking = {
    ranked: ranked.map(({ bans: _, waits: __, ...r }) => r),
    excluded: excludedMethods(facts, excluded),
  };
  const first = ranking.ranked[0];
  const questions = openQuestions(facts, first?.method, book, input);
  if (!input.tonight || !first) return { ...ranking, questions };
  const best = standing(facts, book, { ...input, tonight: false }).ranked[0];
  const looks = (r: RankedMethod): number => r.criteria.invisibility ?? 0;
  return {
    ...ranking,
    questions,
    ...(best ? { tonight: { best: best.method, bestLooks: looks(best), looks: looks(first) } } : {}),
  };
}

/** The chain that comes first, or that of a method chosen, without the questions: for lists and plans. @throws RangeError as {@link rankMethods} */
export function chainOf(input: RankInput, chosen?: MethodId): Chain {
  const facts = checkedFacts(input);
  if (chosen === undefined) {
    const [best] = standing(facts, BOOK, input).ranked;
    return { first: best?.first ?? [], method: best?.method ?? 'leave', then: best?.then ?? [] };
  }
  const links = linksOf(chosen, facts, rulingOf(facts, BOOK, input), BOOK, input);
  const of = (when: ChainLink['when']): MethodId[] =>
    inWorkOrder(links.filter((l) => l.when === when).map((l) => l.method));
  return { first: of('first'), method: chosen, then: of('then') };
}

/** What rules a method out, where something does and it is not the least bad of all; for lists and plans. @throws RangeError as {@link rankMethods} */
export function refusalOf(input: RankInput, method: MethodId): Ban[] | undefined {
  const facts = checkedFacts(input);
  const { excluded } = standing(facts, BOOK, input);
  return excludedMethods(facts, excluded).find((e) => e.method === method)?.because;
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

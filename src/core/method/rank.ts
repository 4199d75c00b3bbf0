import Joi from 'joi';
import { assertRange } from '../check';
import { QUESTIONS, type AskedFact, DAMAGE_KINDS } from '../damage';
import { describeSource } from '../sources';
import {
  BUILDS,
  factsOf,
  FINISH_GOALS,
  FINISHES_NOW,
  SCHOOLS,
  type Facts,
  type RepairCase,
  type School,
} from './facts';
import { METHODS, type Criterion, type Method, type MethodId } from './methods';
import type { Rule } from './rule';
import { LIFTED_RULES } from './liftedRules';
import { MISSING_RULES } from './missingRules';

export const RULES: readonly Rule[] = [...LIFTED_RULES, ...MISSING_RULES];

/** How much each criterion counts in a school. Common practice; the sum does not matter. */
export const SCHOOL_WEIGHTS: Record<School, Record<Criterion, number>> = {
  conserve: { strength: 2, invisibility: 3, reversibility: 5, speed: 1, ease: 1 },
  clear: { strength: 4, invisibility: 5, reversibility: 1, speed: 2, ease: 2 },
  paint: { strength: 4, invisibility: 1, reversibility: 0, speed: 5, ease: 3 },
};

const POINTS_PER_WEIGHT = 8;

export type Reason = { rule: string; text: string; source: string; weight: number };
export type RankedMethod = { method: MethodId; score: number; for: Reason[]; against: Reason[] };
export type ExcludedMethod = { method: MethodId; because: Reason[] };
export type OpenQuestion = {
  fact: AskedFact;
  ask: string;
  look: string;
  changes: { answer: string; first: MethodId }[];
};
export type Ranking = { ranked: RankedMethod[]; excluded: ExcludedMethod[]; questions: OpenQuestion[] };

const oneOf = (table: object): Joi.StringSchema => Joi.string().valid(...Object.keys(table));

/** Input of `method.rank`. Facts that are not known are left out. */
export const rankSchema = Joi.object({
  damage: Joi.object({
    kind: oneOf(DAMAGE_KINDS).required(),
    areaMm2: Joi.number().min(0),
    alongMm: Joi.number().min(0),
    acrossMm: Joi.number().min(0),
    atEdge: Joi.boolean(),
    openingMm: Joi.number().min(0),
    woodAllPresent: Joi.boolean(),
    oldGlue: Joi.string().valid('hide', 'other'),
    glueLine: Joi.string().valid('clean', 'powdery', 'waxy'),
    brittle: Joi.boolean(),
    coreSound: Joi.boolean(),
    donor: Joi.boolean(),
    edgeBanding: Joi.boolean(),
    faceShare: Joi.number().min(0).max(1),
  }).required(),
  surface: Joi.object({
    build: oneOf(BUILDS),
    show: Joi.boolean(),
    finishNow: oneOf(FINISHES_NOW),
    goal: oneOf(FINISH_GOALS),
    veneerMm: Joi.number(),
  }).required(),
  school: oneOf(SCHOOLS).required(),
});

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

const wrongKind = (method: Method, facts: Facts): Reason => ({
  rule: 'kind',
  text: `It is a repair for ${method.kinds.map((k) => DAMAGE_KINDS[k].label.toLowerCase()).join(' or ')}; this is ${DAMAGE_KINDS[facts.kind].label.toLowerCase()}.`,
  source: describeSource({ kind: 'practice' }),
  weight: 3,
});

function baseScore(method: Method, school: School): number {
  const weights = SCHOOL_WEIGHTS[school];
  const criteria = Object.keys(weights) as Criterion[];
  const total = criteria.reduce((s, c) => s + weights[c], 0);
  return (criteria.reduce((s, c) => s + weights[c] * method.marks[c], 0) / (5 * total)) * 100;
}

function rankFacts(facts: Facts, rules: readonly Rule[]): Omit<Ranking, 'questions'> {
  const ranked: RankedMethod[] = [];
  const excluded: ExcludedMethod[] = [];
  for (const method of METHODS) {
    if (!method.kinds.includes(facts.kind)) {
      excluded.push({ method: method.id, because: [wrongKind(method, facts)] });
      continue;
    }
    const holding = rules.filter((r) => r.methods.includes(method.id) && r.when(facts) === true);
    const by = (verdict: Rule['verdict']): Reason[] =>
      holding
        .filter((r) => r.verdict === verdict)
        .map(reason)
        .sort((a, b) => b.weight - a.weight || a.rule.localeCompare(b.rule));
    const out = by('rulesOut');
    if (out.length > 0) {
      excluded.push({ method: method.id, because: out });
      continue;
    }
    const speaksFor = by('for');
    const speaksAgainst = by('against');
    const sum = (rs: Reason[]): number => rs.reduce((s, r) => s + r.weight, 0) * POINTS_PER_WEIGHT;
    const score = Math.round(baseScore(method, facts.school) + sum(speaksFor) - sum(speaksAgainst));
    ranked.push({ method: method.id, score, for: speaksFor, against: speaksAgainst });
  }
  ranked.sort((a, b) => b.score - a.score || a.method.localeCompare(b.method));
  return { ranked, excluded };
}

/** Facts not known whose answer would put another method first. */
function openQuestions(facts: Facts, rules: readonly Rule[]): OpenQuestion[] {
  const first = rankFacts(facts, rules).ranked[0]?.method;
  return QUESTIONS.filter((q) => q.kinds.includes(facts.kind) && facts[q.fact] === undefined).flatMap((q) => {
    const changes = q.answers.flatMap(({ label, value }) => {
      const then = rankFacts({ ...facts, [q.fact]: value }, rules).ranked[0]?.method;
      return then && then !== first ? [{ answer: label, first: then }] : [];
    });
    return changes.length > 0 ? [{ fact: q.fact, ask: q.ask, look: q.look, changes }] : [];
  });
}

/**
 * Registry `method.rank`: every repair method, ranked with what speaks for and against it, or set aside with why.
 *
 * A rule whose facts are not known says nothing; what would change the first choice is listed as a question instead.
 *
 * @throws RangeError when the veneer thickness is impossible
 */
export function rankMethods(input: RepairCase, rules: readonly Rule[] = RULES): Ranking {
  if (input.surface.veneerMm !== undefined && input.surface.build !== 'solid')
    assertVeneerThickness(input.surface.veneerMm);
  const facts = factsOf(input);
  return { ...rankFacts(facts, rules), questions: openQuestions(facts, rules) };
}

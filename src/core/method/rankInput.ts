import Joi from 'joi';
import { DAMAGE_KINDS, QUESTIONS } from '../damage';
import { MATERIALS, METHODS, type MarkedCriterion, type MaterialId, type MethodId } from '../catalogue';
import { BUILDS, FINISH_GOALS, FINISHES_NOW, SCHOOLS, type School } from '../terms';
import type { RepairCase } from './facts';
import { practice, type Source } from '../sources';

export type Criterion = MarkedCriterion | 'fit' | 'stock';

export const CRITERIA: Record<Criterion, string> = {
  fit: 'Fits the finish',
  strength: 'Strength',
  invisibility: 'Invisibility',
  reversibility: 'Can be undone',
  speed: 'Speed',
  ease: 'Little skill needed',
  stock: 'Materials in stock',
};

export type Weights = Record<Criterion, number>;

/** The schools’ aims, in numbers that the user may change. */
export const SCHOOL_WEIGHTS_SOURCE: Source = practice('what each school puts first');
/** How much each criterion counts in a school; the sum does not matter. Common practice; the user can change every one. */
export const SCHOOL_WEIGHTS: Record<School, Weights> = {
  conserve: { fit: 2, strength: 2, invisibility: 3, reversibility: 5, speed: 1, ease: 1, stock: 1 },
  clear: { fit: 3, strength: 4, invisibility: 5, reversibility: 1, speed: 2, ease: 2, stock: 1 },
  paint: { fit: 2, strength: 4, invisibility: 1, reversibility: 0, speed: 5, ease: 3, stock: 2 },
};
export const MOST_WEIGHT = 10;

/** What is ranked, and by whose measure. */
export type RankInput = RepairCase & {
  weights?: Partial<Weights>;
  /** What the shop has; not known when left out. */
  stock?: readonly MaterialId[];
  /** Only with what is in stock: a method that lacks something is set aside. */
  tonight?: boolean;
  /** Where a chain could go on in several ways, the methods that the user took. */
  links?: readonly MethodId[];
};

const oneOf = (table: object): Joi.StringSchema => Joi.string().valid(...Object.keys(table));

/** Every answer that may be given, by fact. */
export const answersSchema = Object.fromEntries(
  QUESTIONS.map((q) => [q.fact, Joi.valid(...q.answers.map((a) => a.value))]),
);

export const weightsSchema = Joi.object(
  Object.fromEntries(Object.keys(CRITERIA).map((c) => [c, Joi.number().min(0).max(MOST_WEIGHT)])),
);
export const stockSchema = Joi.array().items(oneOf(MATERIALS)).unique().max(Object.keys(MATERIALS).length);

export const linksSchema = Joi.array()
  .items(Joi.string().valid(...METHODS.map((m) => m.id)))
  .unique()
  .max(METHODS.length);

/** Input of `method.rank`. Facts that are not known are left out. */
export const rankSchema = Joi.object({
  damage: Joi.object({
    kind: oneOf(DAMAGE_KINDS).required(),
    ...Object.fromEntries(
      ['areaMm2', 'alongMm', 'acrossMm', 'openingMm', 'gapMm', 'depthMm', 'diameterMm', 'movesMm'].map(
        (f) => [f, Joi.number().min(0)],
      ),
    ),
    atEdge: Joi.boolean(),
    faceShare: Joi.number().min(0).max(1),
    ...answersSchema,
  }).required(),
  surface: Joi.object({
    build: oneOf(BUILDS),
    show: Joi.boolean(),
    finishNow: oneOf(FINISHES_NOW),
    goal: oneOf(FINISH_GOALS),
    veneerMm: Joi.number(),
    underPaint: Joi.string().valid('wood', 'fill'),
  }).required(),
  school: oneOf(SCHOOLS).required(),
  weights: weightsSchema,
  stock: stockSchema,
  tonight: Joi.boolean(),
  links: linksSchema,
});

import Joi from 'joi';
import type { BenchTask } from '../bench';
import { planOf } from './plan';
import { localTime, STEP_NAME } from './kinds/common';
import { choicesSchema } from './kinds/damage';
import { idSchema, JOB_SCHEMAS } from './schemas';
import type { Damage, Face, Named, Piece, Shop, Veneer } from './types';

/** A piece with everything that its work is derived from. */
export type JobInput = {
  piece: Named<Piece>;
  faces: Named<Face>[];
  damages: Named<Damage>[];
  veneers?: Named<Veneer>[];
  shop: Shop;
};

const named = (body: Joi.ObjectSchema): Joi.ObjectSchema =>
  Joi.object({ id: idSchema.required(), body: body.required() });
/** No piece of furniture has more. */
const MOST_PARTS = 500;
const list = (body: Joi.ObjectSchema): Joi.ArraySchema =>
  Joi.array().items(named(body)).unique('id').max(MOST_PARTS);

const survey = {
  piece: named(JOB_SCHEMAS.piece).required(),
  faces: list(JOB_SCHEMAS.face).required(),
  damages: list(JOB_SCHEMAS.damage).required(),
  shop: JOB_SCHEMAS.shop.required(),
};

/** Input of `job.tasks`: bodies as they are stored, each under its name. */
export const jobSchema = Joi.object({ ...survey, veneers: list(JOB_SCHEMAS.veneer) });

const lab = Joi.array().items(Joi.number().min(-200).max(200)).length(3);
const tones = Joi.object().pattern(
  idSchema,
  Joi.object({
    mean: lab.required(),
    ground: lab.required(),
    line: lab.required(),
    coherence: Joi.number().min(0).max(1).required(),
    pixels: Joi.number().integer().min(0).required(),
  }).unknown(false),
);

/**
 * Input of `job.plan`: `{piece, faces, damages, choices?, stock?, shop, done?, learned?, tones?, at?}`. Bodies are as they are stored, each
 * under its name; `choices` by the damage's id; `done` is what was ticked off; `learned`
 * has the shop's own minutes by kind of work, as shares of the book's; without `at` there are no days.
 */
export const planSchema = Joi.object({
  ...survey,
  choices: Joi.object().pattern(idSchema, choicesSchema),
  stock: list(JOB_SCHEMAS.veneer),
  shelf: list(JOB_SCHEMAS.colour),
  done: Joi.array()
    .items(
      Joi.object({
        taskId: Joi.string().max(200).required(),
        doneAt: localTime.required(),
        actualMin: Joi.number().min(0).max(527_040).required(),
        faces: Joi.array().items(idSchema).max(MOST_PARTS),
        places: Joi.array().items(idSchema).max(MOST_PARTS),
      }),
    )
    .max(5000),
  learned: Joi.object()
    .pattern(STEP_NAME, Joi.array().items(Joi.number().min(0.1).max(10)).max(20))
    .max(1000),
  tones: Joi.object({ around: tones.required(), stock: tones.required(), within: tones }),
  at: localTime,
});

/**
 * Registry `job.tasks`: the steps of a piece in the order of its work, each with its minutes, waits, demands and cautions, and
 * the resources of the shop; ready for `bench.schedule` once its hours and a start are added.
 *
 * A damage without a chosen method takes the one that comes first. Colouring is left out: it is read from photos.
 */
export function jobTasks({ veneers = [], ...job }: JobInput): {
  tasks: BenchTask[];
  resources: Record<string, number>;
} {
  const { tasks, resources } = planOf({ ...job, stock: veneers });
  return { tasks, resources };
}

import Joi from 'joi';
import { tasksFor, type BenchTask } from '../bench';
import { JOB_SCHEMAS, idSchema } from './schemas';
import type { Damage, Face, Named, Piece, Shop, Veneer } from './types';
import { resourcesOf, workOf } from './work';

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

/** Input of `job.tasks`: bodies as they are stored, each under its name. */
export const jobSchema = Joi.object({
  piece: named(JOB_SCHEMAS.piece).required(),
  faces: list(JOB_SCHEMAS.face).required(),
  damages: list(JOB_SCHEMAS.damage).required(),
  veneers: list(JOB_SCHEMAS.veneer),
  shop: JOB_SCHEMAS.shop.required(),
});

/**
 * Registry `job.tasks`: the steps of a piece in the order of its work, each with its minutes, waits, demands and cautions, and
 * the resources of the shop; ready for `bench.schedule` once its hours and a start are added.
 *
 * A damage without a chosen method takes the one that comes first. Colouring is left out: it is read from photos.
 */
export function jobTasks({ piece, faces, damages, veneers = [], shop }: JobInput): {
  tasks: BenchTask[];
  resources: Record<string, number>;
} {
  return {
    tasks: tasksFor(workOf(piece, faces, damages, veneers, shop, new Map())),
    resources: resourcesOf(shop),
  };
}

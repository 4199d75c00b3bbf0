import Joi from 'joi';
import type { Lumber } from '../../letin';
import { millimetres, textSchema } from './common';

/** How a board of the rack looks where it is stored, in a file, or at the registry's doors. */
export const lumberBodySchema: Joi.ObjectSchema<Lumber> = Joi.object({
  name: Joi.string().min(1).max(120).required(),
  species: textSchema(60).required(),
  alongMm: millimetres(5, 10_000).required(),
  acrossMm: millimetres(5, 3000).required(),
  thickMm: millimetres(3, 300).required(),
  note: textSchema(2000).required(),
});

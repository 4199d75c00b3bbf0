import Joi from 'joi';
import { labSchema } from '../../colour';
import type { TestBoard } from '../../shelf';
import { coatsSchemaOf, idSchema, localTime, textSchema } from './common';

/** How a test board looks where it is stored, in a file, or at the registry's doors. */
export const boardSchema: Joi.ObjectSchema<TestBoard> = Joi.object({
  name: Joi.string().min(1).max(120).required(),
  wood: textSchema(120).required(),
  grit: Joi.number().integer().min(40).max(3000),
  ground: labSchema.required(),
  coats: coatsSchemaOf(1).min(1).required(),
  measured: labSchema.required(),
  doneAt: localTime.required(),
  note: textSchema(2000).required(),
  pictureId: idSchema,
});

import Joi from 'joi';
import { labSchema } from '../../colour';
import { MOST_BOARD_COATS, type TestBoard } from '../../shelf';
import { idSchema, localTime, textSchema } from './common';

/** How a test board looks where it is stored, in a file, or at the registry's doors. */
export const boardSchema: Joi.ObjectSchema<TestBoard> = Joi.object({
  name: Joi.string().min(1).max(120).required(),
  wood: textSchema(120).required(),
  grit: Joi.number().integer().min(40).max(3000),
  ground: labSchema.required(),
  coats: Joi.array()
    .items(
      Joi.object({
        colourId: idSchema.required(),
        coats: Joi.number().integer().min(1).max(MOST_BOARD_COATS).required(),
      }),
    )
    .min(1)
    .max(20)
    .required(),
  measured: labSchema.required(),
  doneAt: localTime.required(),
  note: textSchema(2000).required(),
  pictureId: idSchema,
});

import Joi from 'joi';
import { labSchema } from '../../colour';
import { CARRIERS, COLOUR_KINDS, STRENGTH_LIMITS, type Colour } from '../../shelf';
import { idSchema, keys, textSchema } from './common';

/** How a product of the colour shelf looks where it is stored, in a file, or at the registry's doors. */
export const colourSchema: Joi.ObjectSchema<Colour> = Joi.object({
  name: Joi.string().min(1).max(120).required(),
  kind: keys(COLOUR_KINDS).required(),
  carrier: keys(CARRIERS).required(),
  lab: labSchema.required(),
  strength: Joi.number().min(STRENGTH_LIMITS.least).max(STRENGTH_LIMITS.most).required(),
  general: Joi.boolean(),
  pictureId: idSchema,
  note: textSchema(2000).required(),
});

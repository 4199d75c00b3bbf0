import Joi from 'joi';
import { deltaE00, type Lab } from './lab';

/** A colour as CIE L*a*b* under D65. */
export const labSchema = Joi.array()
  .ordered(
    Joi.number().min(0).max(100).required(),
    Joi.number().min(-200).max(200).required(),
    Joi.number().min(-200).max(200).required(),
  )
  .length(3);

/** Input of `colour.difference`: two colours as CIE L*a*b*. */
export const differenceSchema = Joi.object({ a: labSchema.required(), b: labSchema.required() });

/** Registry `colour.difference`. */
export const colourDifference = ({ a, b }: { a: Lab; b: Lab }): { deltaE00: number } => ({
  deltaE00: deltaE00(a, b),
});

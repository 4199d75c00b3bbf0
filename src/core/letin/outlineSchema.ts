import Joi from 'joi';

const mm = Joi.number().min(-6000).max(6000).required();

/** An outline on a face: `[[xMm, yMm], …]`. */
export const outlineSchema = Joi.array()
  .items(Joi.array().ordered(mm, mm).length(2))
  .min(3)
  .max(2000)
  .required();

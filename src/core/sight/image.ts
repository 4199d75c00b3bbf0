import Joi from 'joi';

/** A picture at a door: four bytes a pixel, in rows. */
export const imageSchema = Joi.object({
  width: Joi.number().integer().min(16).max(20_000).required(),
  height: Joi.number().integer().min(16).max(20_000).required(),
  data: Joi.any().required(),
});

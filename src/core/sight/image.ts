import Joi from 'joi';

/** A picture at a door: four bytes a pixel, in rows. */
export const imageSchema = Joi.object({
  width: Joi.number().integer().min(16).max(20_000).required(),
  height: Joi.number().integer().min(16).max(20_000).required(),
  data: Joi.any().required(),
});

/** A stroke on a picture, in its pixels; its ends may lie beside it. */
export const strokeSchema = Joi.array()
  .items(Joi.array().items(Joi.number().min(-20_000).max(40_000).required()).length(2))
  .min(2)
  .max(500);

/** Millimetres that a pixel shows. */
export const scaleSchema = Joi.number().min(0.001).max(100);

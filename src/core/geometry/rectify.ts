import Joi from 'joi';
import { homographyFrom, project, rmsOf } from './homography';
import type { Point } from './point';

const point = Joi.array().ordered(Joi.number().required(), Joi.number().required()).length(2);

/** Input of `geometry.rectify`: matching points in the picture and on the face, and points to carry over. */
export const rectifySchema = Joi.object({
  image: Joi.array().items(point).min(4).max(10_000).required(),
  world: Joi.array().items(point).min(4).max(10_000).required(),
  points: Joi.array().items(point).max(100_000).required(),
});

export type RectifyInput = { image: Point[]; world: Point[]; points: Point[] };

/** Registry `geometry.rectify`: picture points to places in mm, with the root mean square misfit of the pairs in mm. */
export function rectify({ image, world, points }: RectifyInput): { points: Point[]; rmsMm: number } {
  const h = homographyFrom(image, world);
  return { points: points.map((p) => project(h, p)), rmsMm: rmsOf(h, image, world) };
}

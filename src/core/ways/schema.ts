import Joi from 'joi';
import { WAY_IDS, WAYS } from './ways';

/** What a piece stores of the ways it takes. */
export const waysSchema = Joi.object(
  Object.fromEntries(WAY_IDS.map((id) => [id, Joi.string().valid(...Object.keys(WAYS[id].ways))])),
);

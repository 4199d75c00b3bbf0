import Joi from 'joi';
import { idSchema, JOB_SCHEMAS, textSchema } from '@/core/job';
import { SHOP_ID } from './defaults';
import type { Bodies, Kind } from './types';

export { idSchema };

/** Version of every shape that this app writes. */
export const SHAPE_VERSION = 10;

export const MOST_JPEG_CHARS = 4_000_000;

export const BODY_SCHEMAS: { [K in Kind]: Joi.ObjectSchema<Bodies[K]> } = {
  ...JOB_SCHEMAS,
  picture: Joi.object({
    name: textSchema(200).required(),
    widthPx: Joi.number().integer().min(1).max(8000).required(),
    heightPx: Joi.number().integer().min(1).max(8000).required(),
    jpeg: Joi.string()
      .pattern(/^\/9j[A-Za-z0-9+/]+={0,2}$/)
      .max(MOST_JPEG_CHARS)
      .required(),
  }),
};

export const KINDS = Object.keys(BODY_SCHEMAS) as Kind[];

/** A shop has some devices, not hundreds. */
const MOST_DEVICES = 200;
const count = Joi.number().integer().min(1).max(Number.MAX_SAFE_INTEGER).required();
/** For each device the highest count of its changes that a copy knows. */
export const seenSchema = Joi.object().pattern(idSchema, count).max(MOST_DEVICES);
const FIELD = /^[A-Za-z][A-Za-z0-9]{0,40}$/;

const envelopeFor = (kind: Kind): Joi.ObjectSchema =>
  Joi.object({
    kind: Joi.string().valid(kind).required(),
    id: kind === 'shop' ? Joi.string().valid(SHOP_ID).required() : idSchema.required(), // there is one shop
    version: Joi.number().integer().min(1).required(),
    revision: Joi.number().integer().min(1).max(Number.MAX_SAFE_INTEGER).required(),
    savedAt: Joi.string().max(40).required(),
    edits: Joi.object()
      .pattern(FIELD, Joi.object({ by: idSchema.required(), at: count }))
      .max(100),
    seen: seenSchema,
    body: BODY_SCHEMAS[kind].required(),
  });

export const STORED_SCHEMAS: { [K in Kind]: Joi.ObjectSchema } = {
  piece: envelopeFor('piece'),
  face: envelopeFor('face'),
  damage: envelopeFor('damage'),
  veneer: envelopeFor('veneer'),
  log: envelopeFor('log'),
  colour: envelopeFor('colour'),
  board: envelopeFor('board'),
  lumber: envelopeFor('lumber'),
  shop: envelopeFor('shop'),
  picture: envelopeFor('picture'),
};

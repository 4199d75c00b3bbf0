import Joi from 'joi';
import { fieldSchema, type CaulInput } from '../field';
import type { Point, Polygon } from '../geometry';

export type OwnedClamp = { id: string; count: number; forceN: number; reachMm: number };
export type PlacedClamp = { at: Point; forceN: number; kind: string; caul?: number };
export type Arrangement = { platenMm: number; cauls: CaulInput[]; clamps: PlacedClamp[] };

export type ArrangeInput = {
  /** What the platen covers, its corner at the origin, mm. */
  panel: { widthMm: number; heightMm: number };
  /** What is to be pressed, on the panel. */
  region: Polygon;
  /** The whole face in the panel's frame: clamps come in from its edge. */
  face: Polygon;
  /** Boards owned. */
  platens: { thicknessMm: number; modulusMPa: number; poisson: number }[];
  cauls: { widthMm: number; heightMm: number; modulusMPa: number }[];
  clamps: OwnedClamp[];
  foundation: { stiffnessMPaPerMm: number };
  target: { leastKPa: number; mostKPa: number };
  gridMm: number;
  /** The layout to be beaten. */
  own?: Arrangement;
};

// What both computations take is described once.
const part = (key: string): Joi.Schema => fieldSchema.extract(key);
const place = Joi.array().ordered(Joi.number().required(), Joi.number().required()).length(2).required();
const shape = Joi.array().items(place.optional()).min(3).max(500).required();

/** Input of `press.arrange`. */
export const arrangeSchema = Joi.object({
  panel: part('panel').required(),
  region: shape,
  face: shape,
  platens: Joi.array().items(part('platen')).min(1).max(8).required(),
  cauls: Joi.array()
    .items(
      Joi.object({
        widthMm: Joi.number().min(10).max(300).required(),
        heightMm: Joi.number().min(5).max(150).required(),
        modulusMPa: Joi.number().min(100).max(300_000).required(),
      }),
    )
    .min(1)
    .max(8)
    .required(),
  clamps: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().max(40).required(),
        count: Joi.number().integer().min(0).max(500).required(),
        forceN: Joi.number().min(1).max(50_000).required(),
        reachMm: Joi.number().min(1).max(10_000).required(),
      }),
    )
    .max(20)
    .required(),
  foundation: part('foundation').required(),
  target: part('target').required(),
  gridMm: Joi.number().min(1).max(100).required(),
  own: Joi.object({
    platenMm: Joi.number().min(0.5).max(200).required(),
    cauls: fieldSchema.extract('cauls'),
    clamps: Joi.array()
      .items(
        Joi.object({
          at: place,
          forceN: Joi.number().min(0).max(50_000).required(),
          kind: Joi.string().max(40).required(),
          caul: Joi.number().integer().min(0),
        }),
      )
      .max(200)
      .required(),
  }),
});

import Joi from 'joi';
import { HAZARDS, type Hazard } from '../../safety';
import { FINISH_GOALS, RESTS, SCHOOLS, type FinishGoal, type Rest, type School } from '../../terms';
import { waysSchema, type WayChoices } from '../../ways';
import type { Air } from '../../wood';
import { keys, idSchema, textSchema, localTime, day, millimetres, photos, type Photo } from './common';

/** What was taken off a piece, and where it goes back. */
export type Part = {
  id: string;
  kind: 'part' | 'screw' | 'hardware';
  label: string;
  count: number;
  /** For screws and other lengths; not set when it does not matter. */
  lengthMm?: number;
  from: string;
  /** The odd one out: a shorter screw, a broken key. */
  odd: string;
  /** Ticked when it is back in its place. */
  back: boolean;
};

/** The air where a piece lives, in its driest and its dampest month. */
export type HomeClimate = { dry: Air; damp: Air };

export type Piece = {
  name: string;
  client: string;
  school: School;
  goal: FinishGoal;
  note: string;
  createdAt: string;
  /** A day, such as 2026-05-01. */
  deadline?: string;
  home?: HomeClimate;
  photos?: Photo[];
  parts?: Part[];
  /** What is in it or feared of it, for its cautions. */
  holds?: Hazard[];
  /** Where practitioners differ, the ways that were switched to for this piece. */
  ways?: WayChoices;
  /** Not in work: nothing of it is planned. */
  rest?: Rest;
};

const air = Joi.object({
  temperatureC: Joi.number().min(-10).max(45).required(),
  relativeHumidity: Joi.number().min(0).max(0.98).required(),
});

const parts = Joi.array()
  .items(
    Joi.object({
      id: idSchema.required(),
      kind: Joi.string().valid('part', 'screw', 'hardware').required(),
      label: Joi.string().min(1).max(120).required(),
      count: Joi.number().integer().min(1).max(999).required(),
      lengthMm: millimetres(1, 3000),
      from: textSchema(300).required(),
      odd: textSchema(300).required(),
      back: Joi.boolean().required(),
    }),
  )
  .max(300);

/** How a piece looks where it is stored, in a file, or at the registry's doors. */
export const pieceSchema: Joi.ObjectSchema<Piece> = Joi.object({
  name: Joi.string().min(1).max(120).required(),
  client: textSchema(120).required(),
  school: keys(SCHOOLS).required(),
  goal: keys(FINISH_GOALS).required(),
  note: textSchema(4000).required(),
  createdAt: localTime.required(),
  deadline: day,
  home: Joi.object({ dry: air.required(), damp: air.required() }),
  photos,
  parts,
  holds: Joi.array().items(keys(HAZARDS)).unique(),
  ways: waysSchema,
  rest: keys(RESTS),
});

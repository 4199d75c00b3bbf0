import Joi from 'joi';
import { labSchema, type Lab } from '../../colour';
import { JOINTS, OLD_GLUES, type JointId, type OldGlue } from '../../apart';
import { MOST_GOES, OWN_MINUTES, OWN_WAIT_MINUTES, type OwnStep, type StepChange } from '../../bench';
import { PHASES } from '../../catalogue';
import type { Point } from '../../geometry';
import { HAZARDS, type Hazard } from '../../safety';
import { FINISH_GOALS, RESTS, SCHOOLS, type FinishGoal, type Rest, type School } from '../../terms';
import { waysSchema, type WayChoices } from '../../ways';
import type { Air } from '../../wood';
import { keys, idSchema, textSchema, localTime, day, millimetres, photos, place, type Photo } from './common';

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
  /** Where on a photo it was, as fractions of the picture. */
  spot?: { pictureId: string; at: Point };
  /** Parts that have to be in before it. */
  after?: string[];
  /** How it is held, and so how it comes off. */
  joint?: JointId;
  /** The glue in that joint. */
  oldGlue?: OldGlue;
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
  /** Parts that are finished apart from the frame, by name. */
  apart?: string[];
  /** Steps of one's own. */
  ownSteps?: OwnStep[];
  /** What was changed of the plan's steps. */
  stepChanges?: StepChange[];
  /** Colours of its parts that are no face of their own, for evening them out. */
  evenParts?: { name: string; lab: Lab }[];
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
      spot: Joi.object({ pictureId: idSchema.required(), at: place.required() }),
      after: Joi.array().items(idSchema).unique().max(300),
      joint: keys(JOINTS),
      oldGlue: keys(OLD_GLUES),
    }),
  )
  .max(300);

const TASK_ID = Joi.string().min(1).max(200);
const goes = Joi.number().integer().min(1).max(MOST_GOES);
const ownMinutes = Joi.number().integer().min(OWN_MINUTES.least).max(OWN_MINUTES.most);
const ownWait = Joi.number().integer().min(OWN_WAIT_MINUTES.least).max(OWN_WAIT_MINUTES.most);
const phase = Joi.string().valid(...PHASES.map((p) => p.id));

const ownSteps = Joi.array()
  .items(
    Joi.object({
      id: idSchema.required(),
      phase: phase.required(),
      title: Joi.string().min(1).max(120).required(),
      detail: textSchema(1000).required(),
      attendedMin: ownMinutes.required(),
      waitMin: ownWait.required(),
      faceId: idSchema,
      lays: Joi.object({
        colourId: idSchema.required(),
        on: Joi.array()
          .items(Joi.object({ faceId: idSchema, coats: Joi.number().integer().min(1).max(20).required() }))
          .min(1)
          .max(80)
          .required(),
      }),
      after: TASK_ID,
    }),
  )
  .unique('id')
  .max(200);

const stepChanges = Joi.array()
  .items(
    Joi.object({
      taskId: TASK_ID.required(),
      skip: textSchema(300),
      attendedMin: ownMinutes,
      waitMin: ownWait,
      goes,
      after: TASK_ID,
      places: Joi.array().items(idSchema).max(500),
    }),
  )
  .unique('taskId')
  .max(500);

/** A step of one's own as a shop keeps it for other pieces. */
export const stepTemplates = Joi.array()
  .items(
    Joi.object({
      phase: phase.required(),
      title: Joi.string().min(1).max(120).required(),
      detail: textSchema(1000).required(),
      attendedMin: ownMinutes.required(),
      waitMin: ownWait.required(),
    }),
  )
  .unique('title')
  .max(100);

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
  apart: Joi.array().items(Joi.string().min(1).max(40)).unique().max(40),
  ownSteps,
  stepChanges,
  evenParts: Joi.array()
    .items(Joi.object({ name: Joi.string().min(1).max(60).required(), lab: labSchema.required() }))
    .max(40),
});

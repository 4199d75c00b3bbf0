import Joi from 'joi';
import { MOST_DEPTH_MM } from '../../damage';
import { finishTestSchema, type FinishTestResult } from '../../finish';
import { REFERENCE_OBJECTS, type FaceShape, type Point, type ScaleReference } from '../../geometry';
import { PREPARATIONS, type PreparationId } from '../../prepare';
import {
  BUILDS,
  FINISH_GOALS,
  FINISH_STATES,
  FINISHES_NOW,
  PROFILES,
  SCHOOLS,
  type Build,
  type FinishGoal,
  type FinishNow,
  type FinishState,
  type Profile,
  type School,
} from '../../terms';
import { keys, idSchema, textSchema, place, places, millimetres, photos, type Photo } from './common';

export type Face = {
  pieceId: string;
  name: string;
  /** The photo the face was surveyed on; its size stands here so that places can be reckoned without loading it. */
  picture?: { id: string; widthPx: number; heightPx: number };
  build: Build;
  species: string;
  /** 0 for solid wood. */
  veneerMm: number;
  show: boolean;
  finishNow: FinishNow;
  /** What tells the picture's scale; places are fractions of the picture. Not set until the user has set it. */
  scale?: ScaleReference;
  /** The face's own corners in the picture, for references other than the face. */
  faceCorners: Point[];
  /** Two places in the picture between which the grain runs. */
  grain?: Point[];
  /** A rectangle when not given. */
  shape?: FaceShape;
  /** How the grain departs from one direction over the whole face; places as fractions of the picture. */
  grainPlan?: FaceGrain;
  /** Thickness of the board or panel. */
  boardMm?: number;
  /** Where this face is treated otherwise than its piece. */
  school?: School;
  goal?: FinishGoal;
  photos?: Photo[];
  thicknessReadings?: number[];
  /** Fractions of dry mass. */
  moistureReadings?: number[];
  finishTests?: FinishTestResult[];
  /** What a wipe with mineral spirits showed. */
  wipeNote?: string;
  /** How its finish is; not set while nobody has looked. */
  finishState?: FinishState;
  /** When its veneer was cut, in the owner's words. */
  period?: string;
  /** Flat when not given. */
  profile?: Profile;
  /** So many faces that are alike, such as four legs; one when not given. */
  alike?: number;
  /** How it is prepared, where that is not what the evidence proposes. */
  prepare?: PreparationId;
  /** The part it belongs to, such as a leaf or a drawer; the frame when not given. */
  part?: string;
  /** What keeps a hand or a clamp from its back. */
  back?: FaceBack;
};

/** Where the back of a face can be reached: always, when the top or a drawer is off, or only when the piece is apart. */
export type FaceBack = 'open' | 'partOff' | 'apart';
export const FACE_BACKS: Record<FaceBack, string> = {
  open: 'Open as it stands',
  partOff: 'When a part is off',
  apart: 'Only when it is apart',
};

export type FaceGrain =
  | { kind: 'radial'; at: Point }
  | { kind: 'border'; widthMm: number }
  | { kind: 'zones'; zones: { name: string; outline: Point[]; degrees: number }[] };

const scale = Joi.alternatives(
  Joi.object({
    kind: Joi.string().valid('rectangle').required(),
    object: Joi.string()
      .valid('face', ...Object.keys(REFERENCE_OBJECTS))
      .required(),
    squareFace: Joi.boolean(),
    corners: places(4, 4).required(),
    widthMm: millimetres(5, 5000).required(),
    heightMm: millimetres(5, 5000).required(),
  }),
  Joi.object({
    kind: Joi.string().valid('length').required(),
    ends: places(2, 2).required(),
    lengthMm: millimetres(5, 5000).required(),
  }),
);

const shape = Joi.alternatives(
  Joi.object({ kind: Joi.string().valid('rectangle', 'round').required() }),
  Joi.object({
    kind: Joi.string().valid('halfRound').required(),
    straight: Joi.string().valid('top', 'bottom').required(),
  }),
  Joi.object({ kind: Joi.string().valid('polygon').required(), corners: places(3, 60).required() }),
  Joi.object({ kind: Joi.string().valid('band').required(), round: Joi.boolean().required() }),
);

const degrees = Joi.number().min(0).max(180).required();
const grainPlan = Joi.alternatives(
  Joi.object({ kind: Joi.string().valid('radial').required(), at: place.required() }),
  Joi.object({ kind: Joi.string().valid('border').required(), widthMm: millimetres(1, 1000).required() }),
  Joi.object({
    kind: Joi.string().valid('zones').required(),
    zones: Joi.array()
      .items(Joi.object({ name: textSchema(80).required(), outline: places(3, 60).required(), degrees }))
      .max(60)
      .required(),
  }),
);

/** How a face looks where it is stored, in a file, or at the registry's doors. */
export const faceSchema: Joi.ObjectSchema<Face> = Joi.object({
  pieceId: idSchema.required(),
  name: Joi.string().min(1).max(120).required(),
  picture: Joi.object({
    id: idSchema.required(),
    widthPx: Joi.number().integer().min(1).max(8000).required(),
    heightPx: Joi.number().integer().min(1).max(8000).required(),
  }),
  build: keys(BUILDS).required(),
  species: textSchema(60).required(),
  veneerMm: Joi.alternatives(Joi.number().valid(0), millimetres(0.2, 6)).required(),
  show: Joi.boolean().required(),
  finishNow: keys(FINISHES_NOW).required(),
  scale,
  faceCorners: places(4, 4).required(),
  grain: places(2, 2),
  shape,
  grainPlan,
  boardMm: millimetres(1, MOST_DEPTH_MM),
  school: keys(SCHOOLS),
  goal: keys(FINISH_GOALS),
  photos,
  thicknessReadings: Joi.array().items(millimetres(0.2, 6)).max(200),
  moistureReadings: Joi.array().items(Joi.number().min(0.02).max(0.4)).max(200),
  finishTests: finishTestSchema.extract('results').optional(),
  wipeNote: textSchema(2000),
  finishState: keys(FINISH_STATES),
  period: textSchema(60),
  profile: keys(PROFILES),
  alike: Joi.number().integer().min(1).max(60),
  prepare: keys(PREPARATIONS),
  part: Joi.string().trim().min(1).max(40),
  back: keys(FACE_BACKS),
});

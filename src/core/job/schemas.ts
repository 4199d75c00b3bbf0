import Joi from 'joi';
import { ADHESIVES, GLUE_FIGURES } from '../adhesive';
import { METHODS } from '../catalogue';
import { DAMAGE_KINDS, markSchema, MOST_DEPTH_MM } from '../damage';
import { finishTestSchema } from '../finish';
import { REFERENCE_OBJECTS } from '../geometry';
import { answersSchema, linksSchema, stockSchema, weightsSchema } from '../method';
import { CLAMPS } from '../press';
import { PAPERS } from '../print';
import { HAZARDS } from '../safety';
import { BUILDS, FINISH_GOALS, FINISHES_NOW, SCHOOLS } from '../terms';
import { PATCH_SHAPES } from '../veneer';
import { waysSchema } from '../ways';
import type { Damage, Face, LogEntry, Piece, Shop, Veneer } from './types';

const keys = (table: object): Joi.StringSchema => Joi.string().valid(...Object.keys(table));
const ids = (list: readonly { id: string }[]): Joi.StringSchema =>
  Joi.string().valid(...list.map((x) => x.id));
export const idSchema = Joi.string().pattern(/^[A-Za-z0-9_-]{1,64}$/);
export const textSchema = (most: number): Joi.StringSchema => Joi.string().allow('').max(most);
const localTime = Joi.string().pattern(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}$/);
// Handles may be dragged a little outside the picture.
const place = Joi.array()
  .ordered(Joi.number().min(-2).max(3).required(), Joi.number().min(-2).max(3).required())
  .length(2);
// Where something stands on a face, mm.
const spotMm = Joi.array()
  .ordered(Joi.number().min(-1000).max(6000).required(), Joi.number().min(-1000).max(6000).required())
  .length(2);
const places = (least: number, most: number): Joi.ArraySchema =>
  Joi.array().items(place).min(least).max(most);
const millimetres = (least: number, most: number): Joi.NumberSchema => Joi.number().min(least).max(most);

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

const ownGlue = Joi.object(
  Object.fromEntries(
    Object.entries(GLUE_FIGURES).map(([f, { least, most }]) => [f, Joi.number().min(least).max(most)]),
  ),
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

const photos = Joi.array()
  .items(
    Joi.object({
      pictureId: idSchema.required(),
      role: Joi.string().valid('overall', 'raking', 'detail', 'before', 'after').required(),
      note: textSchema(500).required(),
    }),
  )
  .max(60);

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

const glueChoice = Joi.object({
  held: Joi.string().valid('edge', 'half', 'round', 'cup', 'case', 'hammer'),
  adhesive: ids(ADHESIVES),
  clamp: ids(CLAMPS),
  targetKPa: Joi.number().min(5).max(2000),
  caulWidthMm: millimetres(10, 300),
  caulHeightMm: millimetres(10, 150),
  platenMm: millimetres(3, 100),
  placed: Joi.object({
    cauls: Joi.array()
      .items(
        Joi.object({
          from: spotMm.required(),
          to: spotMm.required(),
          widthMm: millimetres(10, 300).required(),
          heightMm: millimetres(5, 150).required(),
          camberMm: millimetres(0, 50).required(),
        }),
      )
      .max(40)
      .required(),
    clamps: Joi.array()
      .items(
        Joi.object({
          at: spotMm.required(),
          clamp: ids(CLAMPS).required(),
          forceN: Joi.number().min(0).max(50_000).required(),
        }),
      )
      .max(200)
      .required(),
    loose: Joi.object({ areaMm2: Joi.number().min(0).max(1e8).required(), at: spotMm.required() }),
  }),
});

type Shapes = { piece: Piece; face: Face; damage: Damage; veneer: Veneer; log: LogEntry; shop: Shop };

/** What each part of a job looks like where it is stored, in a file, or at the registry's doors. */
export const JOB_SCHEMAS: { [K in keyof Shapes]: Joi.ObjectSchema<Shapes[K]> } = {
  piece: Joi.object({
    name: Joi.string().min(1).max(120).required(),
    client: textSchema(120).required(),
    school: keys(SCHOOLS).required(),
    goal: keys(FINISH_GOALS).required(),
    note: textSchema(4000).required(),
    createdAt: localTime.required(),
    deadline: Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/),
    home: Joi.object({ dry: air.required(), damp: air.required() }),
    photos,
    parts,
    holds: Joi.array().items(keys(HAZARDS)).unique(),
    ways: waysSchema,
  }),
  face: Joi.object({
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
  }),
  damage: Joi.object({
    pieceId: idSchema.required(),
    faceId: idSchema,
    number: Joi.number().integer().min(1).max(9999).required(),
    kind: keys(DAMAGE_KINDS).required(),
    outline: places(0, 500).required(),
    roughAreaMm2: Joi.number().min(0).max(1e7),
    taps: Joi.array()
      .items(Joi.object({ at: place.required(), hollow: Joi.boolean().required() }))
      .max(400),
    answers: Joi.object({
      openingMm: millimetres(0, 200),
      depthMm: millimetres(0, MOST_DEPTH_MM),
      ...answersSchema,
    }).required(),
    mark: markSchema(place),
    board: Joi.object({
      acrossMm: millimetres(1, 3000).required(),
      cut: Joi.string().valid('flat', 'quarter', 'rift').required(),
      specificGravity: Joi.number().min(0.2).max(1.3),
    }),
    method: ids(METHODS),
    links: linksSchema,
    methodReason: textSchema(2000).required(),
    glue: glueChoice.required(),
    linkGlue: Joi.object(Object.fromEntries(METHODS.map((m) => [m.id, glueChoice]))),
    glueUp: Joi.object({
      stage: Joi.number().integer().min(1).max(60).required(),
      startedAt: Joi.number().min(0).max(1e14).required(),
      clampedAt: Joi.number().min(0).max(1e14),
      method: ids(METHODS),
    }),
    patch: Joi.object({
      veneerId: idSchema,
      shape: keys(PATCH_SHAPES),
      marginMm: millimetres(0, 20),
      overhangMm: millimetres(0, 30),
      slantDeg: Joi.number().min(15).max(75),
    }).required(),
    figures: Joi.object()
      .pattern(/^[a-z]{2,12}\.[a-z]{2,20}$/i, [Joi.number().min(-1e5).max(1e5), Joi.string().max(40)])
      .max(80),
  }),
  veneer: Joi.object({
    name: Joi.string().min(1).max(120).required(),
    species: textSchema(60).required(),
    thicknessMm: millimetres(0.2, 6).required(),
    alongMm: millimetres(5, 5000).required(),
    acrossMm: millimetres(5, 5000).required(),
    pictureId: idSchema,
    note: textSchema(2000).required(),
  }),
  log: Joi.object({
    pieceId: idSchema.required(),
    taskId: Joi.string().max(200).required(),
    title: textSchema(300).required(),
    doneAt: localTime.required(),
    actualMin: Joi.number().min(0).max(527_040).required(),
    note: textSchema(4000).required(),
    pictures: Joi.array()
      .items(
        Joi.object({
          pictureId: idSchema.required(),
          role: Joi.string().valid('before', 'after').required(),
        }),
      )
      .max(50)
      .required(),
  }),
  shop: Joi.object({
    lengthUnit: Joi.string().valid('mm', 'in').required(),
    temperatureUnit: Joi.string().valid('C', 'F').required(),
    temperatureC: Joi.number().min(-10).max(45).required(),
    relativeHumidity: Joi.number().min(0).max(0.98).required(),
    climateFrom: Joi.string().valid('typed', 'instrument').required(),
    hands: Joi.number().integer().min(1).max(20).required(),
    clamps: Joi.array()
      .items(
        Joi.object({
          id: ids(CLAMPS).required(),
          count: Joi.number().integer().min(0).max(500).required(),
          forceN: Joi.number().min(10).max(50_000),
        }),
      )
      .max(50)
      .required(),
    caulWidthMm: millimetres(10, 300).required(),
    caulHeightMm: millimetres(10, 150).required(),
    platenMm: millimetres(3, 100).required(),
    platens: Joi.array().items(millimetres(3, 100)).max(8),
    cauls: Joi.array()
      .items(
        Joi.object({ widthMm: millimetres(10, 300).required(), heightMm: millimetres(5, 150).required() }),
      )
      .max(8),
    pace: Joi.object({
      spreadMinPer100Cm2: Joi.number().min(0.05).max(30).required(),
      secondsPerClamp: Joi.number().min(1).max(600).required(),
    }),
    workingHours: Joi.object({
      from: Joi.string()
        .pattern(/^\d{2}:\d{2}$/)
        .required(),
      to: Joi.string()
        .pattern(/^\d{2}:\d{2}$/)
        .required(),
    }).required(),
    theme: Joi.string().valid('daylight', 'lamplight', 'system').required(),
    paper: keys(PAPERS).required(),
    weights: Joi.object(Object.fromEntries(Object.keys(SCHOOLS).map((k) => [k, weightsSchema]))),
    materials: stockSchema,
    shopping: stockSchema,
    glues: Joi.object(Object.fromEntries(ADHESIVES.map((a) => [a.id, ownGlue]))),
  }),
};

import Joi from 'joi';
import { ADHESIVES, type AdhesiveId } from '../../adhesive';
import { METHODS, type MethodId } from '../../catalogue';
import {
  DAMAGE_KINDS,
  markSchema,
  MOST_DEPTH_MM,
  type AskedFact,
  type AskedLength,
  type DamageFacts,
  type DamageKind,
  type Mark,
} from '../../damage';
import type { Point } from '../../geometry';
import { answersSchema, linksSchema } from '../../method';
import { CLAMPS, type ClampId, type PlacedLayout } from '../../press';
import {
  AIM_FROM,
  FIRST,
  type First,
  MOST_AIM_POINTS,
  MOST_OWN_PARTS,
  OUTCOMES,
  TRIED,
  type CoatsOf,
  type ColourAim,
  type Mixes,
  type Tried,
} from '../../shelf';
import { labSchema } from '../../colour';
import { PATCH_SHAPES, type PatchShape } from '../../veneer';
import type { Cut } from '../../wood';
import {
  coatsSchemaOf,
  tonesSchema,
  keys,
  ids,
  idSchema,
  localTime,
  textSchema,
  place,
  spotMm,
  places,
  millimetres,
} from './common';

/** What a person answered about a damage. */
export type Answers = Pick<DamageFacts, AskedFact | AskedLength>;

/** Ways of holding where a flat press does not do. */
export type HeldBy = 'edge' | 'half' | 'round' | 'cup' | 'case' | 'hammer';

export type GlueChoice = {
  /** Nothing: the clamps of the press plan. */
  held?: HeldBy | undefined;
  adhesive?: AdhesiveId;
  clamp?: ClampId;
  targetKPa?: number;
  caulWidthMm?: number;
  caulHeightMm?: number;
  platenMm?: number;
  /** Nothing: the layout of the 45° rule. */
  placed?: PlacedLayout | undefined;
};

export type PatchChoice = {
  veneerId?: string;
  shape?: PatchShape;
  marginMm?: number;
  overhangMm?: number;
  slantDeg?: number;
  /** Corners that were dragged or traced, as fractions of the face's picture; worked out from the shape when not given. */
  own?: Point[];
  /** Where on the photo of the chosen veneer it is cut: middle of the patch, its turn, and whether from the other face. */
  spot?: { xMm: number; yMm: number; degrees: number; flipped: boolean };
};

/** What a damage was before it grew. */
export type Grown = { at: string; note: string; kind: DamageKind; method?: MethodId; areaMm2?: number };

/** What was seen and measured of a damage: facts, which no decision changes. */
export type Seen = {
  pieceId: string;
  /** Not set for a damage kept from a quick answer, before it has been outlined on a face. */
  faceId?: string;
  number: number;
  kind: DamageKind;
  /** Places in the face's picture, as fractions. */
  outline: Point[];
  /** How it is marked when not by its outline: a line, a circle, a run along the edge, a corner. */
  mark?: Exclude<Mark, { tool: 'area' }>;
  /** The board that opens into a crack: its width across the grain and how it was sawn. */
  board?: { acrossMm: number; cut: Cut; specificGravity?: number };
  /** Size from a quick answer, until there is an outline. */
  roughAreaMm2?: number;
  answers: Answers;
  /** Each time it turned out to be more than was thought: what it was before stays told, and its steps are planned anew. */
  grew?: Grown[];
  /** Taps on the face, places as fractions of its picture. */
  taps?: { at: Point; hollow: boolean }[];
};

/** What was decided for it: can be taken back and given anew at any time. */
export type Chosen = {
  method?: MethodId;
  /** Where the chain of the method can go on in several ways, those taken. */
  links?: MethodId[];
  /** Worked by itself, however many places are like it. */
  alone?: true;
  /** Glue and clamps of the other methods of the chain. */
  linkGlue?: Partial<Record<MethodId, GlueChoice>>;
  methodReason: string;
  glue: GlueChoice;
  patch: PatchChoice;
  /** The colouring that was decided on, in thin coats of the shop's own products. */
  coats?: CoatsOf[];
  /** The colour it shall have, where that is not taken from the sound wood round it. */
  aim?: ColourAim;
  /** Fills that were mixed by hand, in parts. */
  mixes?: Mixes;
  /** What is done before any colour goes on, where that was chosen. */
  first?: First;
  /** What was tried of the colouring and how it came out, the last one last. */
  tried?: Tried[];
  /** What was entered for the sums on its pages, field by field; those not there are at their start. */
  figures?: Record<string, number | string>;
};

/** What is being done to it. What is done goes into the log and stays there. */
export type Doing = {
  /** A glue-up that is running, or the last one. Moments in milliseconds since 1970. */
  glueUp?: { stage: number; startedAt: number; clampedAt?: number; method?: MethodId };
};

/** One record: a change is written whole, and two windows that change different fields do not disturb each other. */
export type Damage = Seen & Chosen & Doing;

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

const seen = {
  pieceId: idSchema.required(),
  faceId: idSchema,
  number: Joi.number().integer().min(1).max(9999).required(),
  kind: keys(DAMAGE_KINDS).required(),
  outline: places(0, 500).required(),
  roughAreaMm2: Joi.number().min(0).max(1e7),
  taps: Joi.array()
    .items(Joi.object({ at: place.required(), hollow: Joi.boolean().required() }))
    .max(400),
  grew: Joi.array()
    .items(
      Joi.object({
        at: localTime.required(),
        note: textSchema(1000).required(),
        kind: keys(DAMAGE_KINDS).required(),
        method: ids(METHODS),
        areaMm2: Joi.number().min(0).max(1e8),
      }),
    )
    .max(40),
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
};

const mixSchema = Joi.array()
  .items(
    Joi.object({
      colourId: idSchema.required(),
      parts: Joi.number().integer().min(1).max(MOST_OWN_PARTS).required(),
    }),
  )
  .max(20);

const chosen: Record<keyof Chosen, Joi.Schema> = {
  method: ids(METHODS),
  links: linksSchema,
  methodReason: textSchema(2000),
  alone: Joi.valid(true),
  glue: glueChoice,
  linkGlue: Joi.object(Object.fromEntries(METHODS.map((m) => [m.id, glueChoice]))),
  patch: Joi.object({
    veneerId: idSchema,
    shape: keys(PATCH_SHAPES),
    marginMm: millimetres(0, 20),
    overhangMm: millimetres(0, 30),
    slantDeg: Joi.number().min(15).max(75),
    own: places(3, 60),
    spot: Joi.object({
      xMm: Joi.number().min(0).max(5000).required(),
      yMm: Joi.number().min(0).max(5000).required(),
      degrees: Joi.number().min(-180).max(180).required(),
      flipped: Joi.boolean().required(),
    }),
  }),
  coats: coatsSchemaOf(0),
  aim: Joi.object({
    from: keys(AIM_FROM).required(),
    label: textSchema(200).required(),
    tones: tonesSchema.required(),
    faceId: idSchema,
    points: places(1, MOST_AIM_POINTS),
  }),
  mixes: Joi.object({ ground: mixSchema, line: mixSchema }),
  first: keys(FIRST),
  tried: Joi.array()
    .items(
      Joi.object({
        at: localTime.required(),
        what: keys(TRIED).required(),
        outcome: keys(OUTCOMES).required(),
        note: textSchema(500).required(),
        lab: labSchema,
        finished: Joi.boolean(),
      }),
    )
    .max(100),
  figures: Joi.object()
    .pattern(/^[a-z]{2,12}\.[a-z]{2,20}$/i, [Joi.number().min(-1e5).max(1e5), Joi.string().max(40)])
    .max(80),
};

/** Choices that are given beside a damage: as many of them as there are. */
export const choicesSchema: Joi.ObjectSchema<Partial<Chosen>> = Joi.object(chosen);

/** How a damage looks where it is stored, in a file, or at the registry's doors. */
export const damageSchema: Joi.ObjectSchema<Damage> = Joi.object({
  ...seen,
  ...chosen,
  methodReason: chosen.methodReason.required(),
  glue: chosen.glue.required(),
  patch: chosen.patch.required(),
  glueUp: Joi.object({
    stage: Joi.number().integer().min(1).max(60).required(),
    startedAt: Joi.number().min(0).max(1e14).required(),
    clampedAt: Joi.number().min(0).max(1e14),
    method: ids(METHODS),
  }),
});

import Joi from 'joi';
import type { Point } from '../../geometry';
import { idSchema, textSchema, millimetres, places } from './common';

/** Sliced with a knife, or sawn: sawn veneers are mostly the older and thicker ones. */
export type VeneerCut = 'sawn' | 'knife';

export type Veneer = {
  name: string;
  species: string;
  /** The least of its readings, where it was read. */
  thicknessMm: number;
  alongMm: number;
  acrossMm: number;
  pictureId?: string;
  /** How much of the sheet its photo shows from left to right, the grain running that way. mm */
  photoWideMm?: number;
  /** What is left of it, as fractions of its photo; all that the photo shows when not given. */
  outline?: Point[];
  /** What was cut out of it, as fractions of its photo, and for which damage. */
  cuts?: { outline: Point[]; damageId?: string }[];
  thicknessReadings?: number[];
  cut?: VeneerCut;
  /** When it was cut, in the owner's words. */
  period?: string;
  /** A place on a piece that gives its veneer: a hidden edge, a back, the inside of a door. It gets new veneer instead. */
  harvest?: { pieceId: string; place: string };
  /** A photo of it wiped with spirits: so it looks under a clear finish. */
  wipedPictureId?: string;
  note: string;
};

/** How a veneer looks where it is stored, in a file, or at the registry's doors. */
export const veneerSchema: Joi.ObjectSchema<Veneer> = Joi.object({
  name: Joi.string().min(1).max(120).required(),
  species: textSchema(60).required(),
  thicknessMm: millimetres(0.2, 6).required(),
  alongMm: millimetres(5, 5000).required(),
  acrossMm: millimetres(5, 5000).required(),
  pictureId: idSchema,
  photoWideMm: millimetres(5, 5000),
  outline: places(3, 60),
  cuts: Joi.array()
    .items(Joi.object({ outline: places(3, 200).required(), damageId: idSchema }))
    .max(200),
  thicknessReadings: Joi.array().items(millimetres(0.2, 6)).max(60),
  cut: Joi.string().valid('sawn', 'knife'),
  period: textSchema(60),
  harvest: Joi.object({ pieceId: idSchema.required(), place: textSchema(200).required() }),
  wipedPictureId: idSchema,
  note: textSchema(2000).required(),
});

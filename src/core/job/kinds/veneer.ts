import Joi from 'joi';
import { idSchema, textSchema, millimetres } from './common';

export type Veneer = {
  name: string;
  species: string;
  thicknessMm: number;
  alongMm: number;
  acrossMm: number;
  pictureId?: string;
  /** How much of the sheet its photo shows from left to right, the grain running that way. mm */
  photoWideMm?: number;
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
  note: textSchema(2000).required(),
});

import Joi from 'joi';
import { idSchema, textSchema, localTime, STEP_NAME } from './common';

export type LogEntry = {
  pieceId: string;
  taskId: string;
  title: string;
  /** Local time without zone. */
  doneAt: string;
  actualMin: number;
  /** What kind of work it was, and what the book gives for it: from these the shop's own minutes are learned. */
  step?: string;
  bookMin?: number;
  /** The faces it was done to; all that the step had where none is named. */
  faces?: string[];
  /** The damages it was done for at once; the one of its name where none is given. */
  places?: string[];
  note: string;
  pictures: { pictureId: string; role: 'before' | 'after' }[];
};

/** How a log looks where it is stored, in a file, or at the registry's doors. */
export const logSchema: Joi.ObjectSchema<LogEntry> = Joi.object({
  pieceId: idSchema.required(),
  taskId: Joi.string().max(200).required(),
  title: textSchema(300).required(),
  doneAt: localTime.required(),
  actualMin: Joi.number().min(0).max(527_040).required(),
  step: Joi.string().pattern(STEP_NAME),
  bookMin: Joi.number().min(0).max(527_040),
  faces: Joi.array().items(idSchema).max(500),
  places: Joi.array().items(idSchema).max(500),
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
});

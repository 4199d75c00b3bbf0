import Joi from 'joi';
import { labSchema } from '../../colour';
import { MOST_BOARD_COATS, MOST_CARRIER_PARTS } from '../../shelf';
import { calendarOf, minutesFrom, type WorkingHours } from '../../calendar';
import type { PhotoRole } from '../../terms';

/** Something that is stored under a name. */
export type Named<Body> = { id: string; body: Body };

export type Photo = { pictureId: string; role: PhotoRole; note: string };

export const keys = (table: object): Joi.StringSchema => Joi.string().valid(...Object.keys(table));

export const ids = (list: readonly { id: string }[]): Joi.StringSchema =>
  Joi.string().valid(...list.map((x) => x.id));

export const idSchema = Joi.string().pattern(/^[A-Za-z0-9_-]{1,64}$/);
export const textSchema = (most: number): Joi.StringSchema => Joi.string().allow('').max(most);

/** Refuses a text that a reader of it refuses. */
const readable =
  (read: (text: string) => unknown): Joi.CustomValidator<string> =>
  (text) => {
    read(text);
    return text;
  };

/** A moment that a calendar and a clock show, `2026-03-02T08:00:00`. */
export const localTime = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}$/)
  .custom(readable(minutesFrom));

/** A day of the calendar, `2026-03-02`. */
export const day = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}$/)
  .custom(readable((text) => minutesFrom(`${text}T00:00:00`)));

/** Working hours that run forward within a day. */
export const workingHours = Joi.object({
  from: Joi.string().required(),
  to: Joi.string().required(),
}).custom((hours: WorkingHours) => {
  calendarOf(hours);
  return hours;
});
// Handles may be dragged a little outside the picture.
export const place = Joi.array()
  .ordered(Joi.number().min(-2).max(3).required(), Joi.number().min(-2).max(3).required())
  .length(2);

// Where something stands on a face, mm.
export const spotMm = Joi.array()
  .ordered(Joi.number().min(-1000).max(6000).required(), Joi.number().min(-1000).max(6000).required())
  .length(2);

export const places = (least: number, most: number): Joi.ArraySchema =>
  Joi.array().items(place).min(least).max(most);

export const millimetres = (least: number, most: number): Joi.NumberSchema =>
  Joi.number().min(least).max(most);

export const photos = Joi.array()
  .items(
    Joi.object({
      pictureId: idSchema.required(),
      role: Joi.string().valid('overall', 'raking', 'detail', 'before', 'after').required(),
      note: textSchema(500).required(),
    }),
  )
  .max(60);

/** Thin coats of products. @param least coats of one */
export const coatsSchemaOf = (least: number): Joi.ArraySchema =>
  Joi.array()
    .items(
      Joi.object({
        colourId: idSchema.required(),
        coats: Joi.number().integer().min(least).max(MOST_BOARD_COATS).required(),
        carrierParts: Joi.number().integer().min(1).max(MOST_CARRIER_PARTS),
      }),
    )
    .max(20);

/** What was read of wood. */
export const tonesSchema = Joi.object({
  ground: labSchema.required(),
  mean: labSchema.required(),
  line: labSchema.required(),
  coherence: Joi.number().min(0).max(1).required(),
  pixels: Joi.number().integer().min(0).max(1e8).required(),
});

/** A kind of work that the log learns the minutes of, such as “burnIn.fill”. */
export const STEP_NAME = /^[a-z]{1,30}(\.[a-z0-9]{1,30})?$/i;

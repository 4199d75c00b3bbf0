import Joi from 'joi';
import { parseLength, type LengthUnit } from './units';

/** Input of `units.length`. It stands apart from `units/`, which the interface loads at once and which carries no Joi. */
export const lengthSchema = Joi.object({
  text: Joi.string().allow('').max(200).required(),
  unit: Joi.string().valid('in', 'mm'),
});

/** Registry `units.length`. */
export const readLength = ({ text, unit }: { text: string; unit?: LengthUnit }): { mm: number } => ({
  mm: parseLength(text, unit),
});

import type { ObjectSchema, Schema } from 'joi';

const shown = (value: unknown): string => {
  const text = JSON.stringify(value);
  if (text === undefined) return String(value);
  return text.length > 80 ? `${text.slice(0, 77)}…` : text;
};

/**
 * Returns the value when the schema takes it.
 *
 * @throws RangeError that names the field, what was given and what is allowed
 */
export function assertValid<T>(schema: ObjectSchema<T> | Schema<T>, value: unknown, what: string): T {
  const result = schema.validate(value, { abortEarly: true, convert: false });
  if (result.error) {
    const detail = result.error.details[0];
    const given =
      detail?.context && 'value' in detail.context ? ` (given: ${shown(detail.context.value)})` : '';
    throw new RangeError(`${what}: ${detail?.message ?? result.error.message}${given}.`);
  }
  return result.value;
}

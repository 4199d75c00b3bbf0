import Joi from 'joi';
import { assertValid } from '@/core/check';
import { labSchema } from '@/core/colour';
import type { ColourReading, InstrumentReading } from '@/core/readings';

const common = { at: Joi.string().max(40).required(), simulated: Joi.boolean().required() };
const readingSchema = Joi.object<InstrumentReading>({
  value: Joi.number().min(0).max(1000).required(),
  ...common,
});
const colourSchema = Joi.object<ColourReading>({ lab: labSchema.required(), ...common });

async function readInstrument<T>(name: string, path: string, schema: Joi.ObjectSchema<T>): Promise<T> {
  const response = await fetch(path).catch(() => undefined);
  if (!response?.ok)
    throw new Error(`The ${name} does not answer. Type the reading, or check that the shop’s server runs.`);
  return assertValid<T>(schema, await response.json(), `The ${name}`);
}

/** One reading of the caliper, mm. @throws Error when there is none */
export const readCaliper = async (): Promise<number> =>
  (await readInstrument('caliper', '/api/instruments/caliper', readingSchema)).value;

/** One reading of the moisture meter, as a fraction of dry mass. @throws Error when there is none */
export const readMoistureMeter = async (): Promise<number> =>
  (await readInstrument('moisture meter', '/api/instruments/moisture', readingSchema)).value;

/** One reading of the colour reader. @throws Error when there is none */
export const readColour = (): Promise<ColourReading> =>
  readInstrument('colour reader', '/api/instruments/colour', colourSchema);

import Joi from 'joi';
import { assertValid } from '@/core/check';
import type { InstrumentReading } from '@/core/readings';

const readingSchema = Joi.object<InstrumentReading>({
  value: Joi.number().min(0).max(1000).required(),
  at: Joi.string().max(40).required(),
  simulated: Joi.boolean().required(),
});

async function readInstrument(name: string, path: string): Promise<number> {
  const response = await fetch(path).catch(() => undefined);
  if (!response?.ok)
    throw new Error(`The ${name} does not answer. Type the reading, or check that the shop’s server runs.`);
  return assertValid<InstrumentReading>(readingSchema, await response.json(), `The ${name}`).value;
}

/** One reading of the caliper, mm. @throws Error when there is none */
export const readCaliper = (): Promise<number> => readInstrument('caliper', '/api/instruments/caliper');

/** One reading of the moisture meter, as a fraction of dry mass. @throws Error when there is none */
export const readMoistureMeter = (): Promise<number> =>
  readInstrument('moisture meter', '/api/instruments/moisture');

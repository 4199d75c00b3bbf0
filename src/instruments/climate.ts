import Joi from 'joi';
import { assertValid } from '@/core/check';
import type { Climate } from '@/core/climate';

const climateSchema = Joi.object<Climate>({
  temperatureC: Joi.number().min(-40).max(60).required(),
  relativeHumidity: Joi.number().min(0).max(1).required(),
  at: Joi.string().max(40).required(),
  simulated: Joi.boolean().required(),
});

/** Reads the thermo-hygrometer over the local server. @throws when there is none, or its answer makes no sense */
export async function readClimate(url = '/api/instruments/climate'): Promise<Climate> {
  const response = await fetch(url);
  if (!response.ok) throw new Error(`The thermo-hygrometer answered with ${response.status}.`);
  return assertValid<Climate>(climateSchema, await response.json(), 'The thermo-hygrometer');
}

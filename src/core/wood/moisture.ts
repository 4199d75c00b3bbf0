import Joi from 'joi';
import { assertRange } from '../check';

/** Input of `wood.moisture`. */
export const moistureSchema = Joi.object({
  temperatureC: Joi.number().required(),
  relativeHumidity: Joi.number().required(),
});

/**
 * Equilibrium moisture content of wood (Hailwood–Horrobin, two hydrates).
 *
 * @param temperatureC dry-bulb temperature, °C, -5…60
 * @param relativeHumidity 0…0.98
 * @returns moisture content as a fraction of oven-dry mass
 * @throws RangeError outside those ranges
 * @source Wood Handbook (Forest Products Laboratory, 2021), eq. 4-5
 */
export function equilibriumMoisture(temperatureC: number, relativeHumidity: number): number {
  assertRange('The temperature', temperatureC, '°C', -5, 60);
  assertRange('The relative humidity', relativeHumidity, '(0 to 1)', 0, 0.98);
  const t = temperatureC;
  const w = 349 + 1.29 * t + 0.0135 * t * t;
  const k = 0.805 + 0.000736 * t - 0.00000273 * t * t;
  const k1 = 6.27 - 0.00938 * t - 0.000303 * t * t;
  const k2 = 1.91 + 0.0407 * t - 0.000293 * t * t;
  const kh = k * relativeHumidity;
  const hydrate = (k1 * kh + 2 * k1 * k2 * kh * kh) / (1 + k1 * kh + k1 * k2 * kh * kh);
  return (18 / w) * (kh / (1 - kh) + hydrate);
}

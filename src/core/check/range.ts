/**
 * Refuses an impossible quantity.
 *
 * @throws RangeError that names the quantity, the value with its unit and the allowed range
 */
export function assertRange(name: string, value: number, unit: string, least: number, most: number): void {
  if (!Number.isFinite(value) || value < least || value > most) {
    const u = unit ? ` ${unit}` : '';
    throw new RangeError(`${name} is ${value}${u}; it must lie between ${least}${u} and ${most}${u}.`);
  }
}

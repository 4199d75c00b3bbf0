import { formatLength } from './length';

/**
 * Refuses a length out of its range in the words of a field.
 *
 * @throws RangeError
 */
export const lengthBetween =
  (what: string, least: number, most: number) =>
  (mm: number): void => {
    if (mm < least || mm > most)
      throw new RangeError(
        `${what} has ${formatLength(mm, 'mm')}; it must have between ${least} and ${most} mm.`,
      );
  };

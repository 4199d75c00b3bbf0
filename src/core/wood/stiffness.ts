import { memory, sourced } from '../sources';
import { SPECIES } from './species';

/** Taken for a wood that is not in the table. */
const COMMON_GPA = sourced(11, memory('between poplar and oak'));

/** Stiffness along the grain, MPa; of a wood that is not in the table a middling one's. */
export const woodStiffnessMPa = (speciesId: string): number =>
  1000 * (SPECIES.find((s) => s.id === speciesId)?.stiffnessGPa ?? COMMON_GPA).value;

const COMMON_GRAVITY = sourced(0.55, memory('between poplar and oak'));

/** Oven-dry mass over volume at 12 % moisture, relative to water; of a wood that is not in the table a middling one's. */
export const gravityOf = (speciesId: string): number =>
  (SPECIES.find((s) => s.id === speciesId)?.specificGravity ?? COMMON_GRAVITY).value;

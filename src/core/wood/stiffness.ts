import { memory, sourced } from '../sources';
import { SPECIES } from './species';

/** Taken for a wood that is not in the table. */
const COMMON_GPA = sourced(11, memory('between poplar and oak'));

/** Stiffness along the grain, MPa; of a wood that is not in the table a middling one's. */
export const woodStiffnessMPa = (speciesId: string): number =>
  1000 * (SPECIES.find((s) => s.id === speciesId)?.stiffnessGPa ?? COMMON_GPA).value;

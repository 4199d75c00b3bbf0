import { boardSchema } from './kinds/board';
import { colourSchema } from './kinds/colour';
import { damageSchema } from './kinds/damage';
import { faceSchema } from './kinds/face';
import { lumberBodySchema } from './kinds/lumber';
import { logSchema } from './kinds/log';
import { pieceSchema } from './kinds/piece';
import { shopSchema } from './kinds/shop';
import { veneerSchema } from './kinds/veneer';

export { idSchema, localTime, textSchema } from './kinds/common';

/** What each part of a job looks like where it is stored, in a file, or at the registry's doors. */
export const JOB_SCHEMAS = {
  piece: pieceSchema,
  face: faceSchema,
  damage: damageSchema,
  veneer: veneerSchema,
  log: logSchema,
  colour: colourSchema,
  board: boardSchema,
  lumber: lumberBodySchema,
  shop: shopSchema,
};

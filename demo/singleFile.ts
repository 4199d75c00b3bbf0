import { SHAPE_VERSION } from '../src/records/schemas';
import type { AnyStored } from '../src/records/types';

/** Records with their photos as one text, as files of the first kind were and the demo still is. */
export const singleFile = (records: readonly AnyStored[], savedAt: string): string =>
  JSON.stringify({
    format: 'rustic-lantern',
    formatVersion: 1,
    shapeVersion: SHAPE_VERSION,
    savedAt,
    records,
  });

import * as Comlink from 'comlink';
import { tonesAround, tonesOfSwatch, tonesWithin } from '@/core/colour';
import { compute } from '@/core/computations';
import { base64Of } from '@/records/backup/bytes';
import { browserStore } from '@/records/browserStore';
import { storedFrom, decode, JPEG_QUALITY, jpegOf, photo, prepared, redraw } from './photos';
import { createPlanner } from './planning';
import { files } from './files';
import { cancel, job, type Outcome, type Progress } from './job';
import { plans } from './plans';
import { readings } from './readings';
import { showing } from './showing';

const darkroom = { redraw, photo, jpegOf, decode, prepared, storedFrom };
const planner = createPlanner(
  browserStore,
  {
    around: async (view, damage, others, face) =>
      tonesAround(await redraw(view), view.mmPerPixel, damage, others, face),
    within: async (view, place, face) => tonesWithin(await redraw(view), view.mmPerPixel, place, face),
    swatch: async (pictureId) => tonesOfSwatch(await photo(pictureId)),
    small: async (view) =>
      base64Of(new Uint8Array(await (await jpegOf(await redraw(view), JPEG_QUALITY)).arrayBuffer())),
  },
  // The name of the script changes with what is in it.
  self.location.pathname,
);

const api = {
  ping: (): true => true,

  cancel,

  compute(id: number, name: string, input: unknown, onProgress?: Progress): Promise<Outcome<unknown>> {
    return job(id, onProgress, (context) => compute(name, input, context));
  },

  ...readings(darkroom),
  ...showing(darkroom, browserStore),
  ...plans(planner),
  ...files,
};

export type ShopWorker = typeof api;
Comlink.expose(api);

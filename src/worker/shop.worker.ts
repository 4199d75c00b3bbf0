import * as Comlink from 'comlink';
import { tonesAround, tonesOfSwatch, tonesWithin } from '@/core/colour';
import type { JobContext } from '@/core/check';
import { compute } from '@/core/computations';
import type { Raster } from '@/core/picture';
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

/** Everything that the worker does, by name: the client's `call` knows its names and shapes from here. */
const jobs = {
  compute: ({ name, input }: { name: string; input: unknown }, context: JobContext): Promise<unknown> =>
    compute(name, input, context),
  ...readings(darkroom),
  ...showing(darkroom, browserStore),
  ...plans(planner),
  ...files,
};
export type Jobs = typeof jobs;

type Inputs = { [N in keyof Jobs]: Parameters<Jobs[N]>[0] };
type Answers = { [N in keyof Jobs]: Awaited<ReturnType<Jobs[N]>> };
const byName: { [N in keyof Jobs]: (input: Inputs[N], context: JobContext) => Promise<Answers[N]> } = jobs;

const isRaster = (value: unknown): value is Raster =>
  typeof value === 'object' && value !== null && 'data' in value && value.data instanceof Uint8ClampedArray;

const api = {
  ping: (): true => true,

  cancel,

  /** Pixels are handed over, not copied. */
  async call<N extends keyof Jobs>(
    id: number,
    name: N,
    input: Inputs[N],
    onProgress?: Progress,
  ): Promise<Outcome<Answers[N]>> {
    const outcome = await job(id, onProgress, (context) => byName[name](input, context));
    return 'value' in outcome && isRaster(outcome.value)
      ? Comlink.transfer(outcome, [outcome.value.data.buffer])
      : outcome;
  },
};

/** What goes over the wire; `call` of the client gives it back its shapes. */
export type ShopWorker = Pick<typeof api, 'ping' | 'cancel'> & {
  call: (id: number, name: keyof Jobs, input: unknown, onProgress?: Progress) => Promise<Outcome<unknown>>;
};
Comlink.expose(api);

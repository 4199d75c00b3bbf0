import * as Comlink from 'comlink';
import type { JobContext } from '@/core/check';
import {
  labFromRgb,
  tonesAround,
  tonesAtPlaces,
  tonesOfSwatch,
  tonesWithin,
  type Tones,
} from '@/core/colour';
import { compute } from '@/core/computations';
import type { Bar, Front } from '@/core/front';
import type { Point, Polygon } from '@/core/geometry';
import { quietSlit, type QuietSlit } from '@/core/glueup';
import type { Deadline, FaceView, Moves, Plan, RepairView, Spot, SpotSearch } from '@/core/job';
import {
  calibrate,
  calibrationWords,
  evenLight,
  evenLightWords,
  findCorners,
  findKnown,
  recoloured,
  snapToCrack,
  type CalibrationCard,
  type CrackFound,
  findRegion,
  photoQuality,
  type KnownFound,
  type PhotoCorner,
  type KnownThing,
  type PhotoQuality,
  GAP_REACH_MM,
  readGaps,
  type GapsFound,
} from '@/core/sight';
import {
  cardAround,
  designPatch,
  readCentre,
  readGrain,
  type CentreRead,
  traceToFigure,
  woodCard,
  type Design,
  type DesignInput,
  type GrainRead,
  type Traced,
  type WoodCard,
} from '@/core/veneer';
import {
  previewBackup,
  readBackup,
  takeBackup,
  takeBackupBack,
  writeBackup,
  type Backup,
  type Manifest,
  type Preview,
  type TakeChoices,
  type Taken,
} from '@/records/backup';
import { base64Of, bytesOf } from '@/records/backup/bytes';
import { browserStore, newId } from '@/records/browserStore';
import { lastBackup } from '@/records/lastBackup';
import { roomTaken, thinPictures, type Room } from '@/records/room';
import { keepFront, loadFront } from '@/records/frontStore';
import {
  storedFrom,
  decode,
  JPEG_QUALITY,
  jpegOf,
  photo,
  prepared,
  redraw,
  shrink,
  type StoredPicture,
} from './photos';
import { createPlanner } from './planning';
import type { BenchPlan } from './shelf';
import type { Raster } from '@/core/picture';
import { cuttingOf, type CuttingPlan } from './cutting';
import { repairLooker, type Look } from './looks';
import { spotLooker, spotsOf, type FoundSpots } from './spots';

/** A photo whose colours were changed, and what was done to it. */
export type Recoloured = StoredPicture & { words: string };

export type Progress = (fraction: number) => void;

/** Errors cross to the page as plain data: structured cloning would turn a RangeError into something else on the way. */
export type Outcome<T> = { value: T } | { error: string; kind: 'input' | 'aborted' | 'other' };

const running = new Map<number, AbortController>();
const lookAt = spotLooker({ redraw, photo, jpegOf });
const lookAtRepair = repairLooker(redraw, lookAt);

/** Lets messages in (such as a cancel) between portions of work; timers would be slowed down by the browser. */
const pause = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(0);
  });

async function job<T>(
  id: number,
  onProgress: Progress | undefined,
  work: (context: JobContext) => Promise<T>,
): Promise<Outcome<T>> {
  const controller = new AbortController();
  running.set(id, controller);
  try {
    return { value: await work({ signal: controller.signal, progress: (f) => void onProgress?.(f), pause }) };
  } catch (error) {
    const message = error instanceof Error ? error.message : String(error);
    const kind = controller.signal.aborted ? 'aborted' : error instanceof RangeError ? 'input' : 'other';
    return { error: message, kind };
  } finally {
    running.delete(id);
  }
}

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

/** What was known of the pieces last, where anything was. */
async function known(): Promise<{ last?: Front }> {
  const last = await loadFront();
  return last ? { last } : {};
}

/** A full store keeps the page from being quick next time, and nothing else. */
async function keepIfNew(front: Front, last: Front | undefined): Promise<void> {
  if (JSON.stringify(front) !== JSON.stringify(last)) await keepFront(front).catch(() => undefined);
}

/** The backup that was opened last, with how it was read: what is taken in is what was looked at. */
let openedBackup: { key: string; backup: Promise<Backup> } | undefined;
const fileKey = (file: Blob, name: string): string =>
  `${name} ${file.size} ${file instanceof File ? file.lastModified : 0}`;
const half = (context: JobContext, from: number): JobContext => ({
  ...context,
  progress: (f) => context.progress?.(from + f / 2),
});
function openBackup(file: Blob, name: string, context: JobContext): Promise<Backup> {
  const backup = readBackup(file, name, context);
  openedBackup = { key: fileKey(file, name), backup };
  backup.catch(() => (openedBackup = undefined));
  return backup;
}

const api = {
  ping: (): true => true,

  cancel(id: number): void {
    running.get(id)?.abort();
  },

  compute(id: number, name: string, input: unknown, onProgress?: Progress): Promise<Outcome<unknown>> {
    return job(id, onProgress, (context) => compute(name, input, context));
  },

  storePicture(id: number, file: Blob, name: string): Promise<Outcome<StoredPicture>> {
    return job(id, undefined, () => prepared(file, name));
  },

  /** The face as seen square on, to scale. */
  rectify(id: number, view: FaceView, onProgress?: Progress): Promise<Outcome<Blob>> {
    return job(id, onProgress, async (job) => jpegOf(await redraw(view, job), 0.9));
  },

  tonesAround(
    id: number,
    view: FaceView,
    damage: Polygon,
    others: Polygon[],
    face: Polygon,
  ): Promise<Outcome<Tones>> {
    return job(id, undefined, async (job) =>
      tonesAround(await redraw(view, job), view.mmPerPixel, damage, others, face),
    );
  },

  tonesWithin(id: number, view: FaceView, place: Polygon, face: Polygon): Promise<Outcome<Tones>> {
    return job(id, undefined, async (job) =>
      tonesWithin(await redraw(view, job), view.mmPerPixel, place, face),
    );
  },

  /** @param loose outline of the blister in the view's own frame, mm */
  quietSlit(id: number, view: FaceView, loose: Polygon, grainDeg: number): Promise<Outcome<QuietSlit>> {
    return job(id, undefined, async (job) =>
      quietSlit(
        {
          picture: await redraw(view, job),
          mmPerPixel: view.mmPerPixel,
          lightness: (r, g, b) => labFromRgb(r, g, b)[0],
        },
        loose,
        grainDeg,
      ),
    );
  },

  /** The best spots on a sheet for a patch, each as a picture of the patched face. */
  spots(id: number, search: SpotSearch, onProgress?: Progress): Promise<Outcome<FoundSpots>> {
    return job(id, onProgress, (context) => spotsOf(search, { redraw, photo, jpegOf }, context));
  },

  /** The face with its patch from one place of the sheet, its pixels handed over. */
  spotLook(id: number, search: SpotSearch, at: Spot, toned: boolean): Promise<Outcome<Raster>> {
    return job(id, undefined, () => lookAt(search, at, toned)).then((outcome) =>
      'value' in outcome ? Comlink.transfer(outcome, [outcome.value.data.buffer]) : outcome,
    );
  },

  /** A repair on its face in one colour, its pixels handed over. */
  repairLook(id: number, repair: RepairView, look: Look): Promise<Outcome<Raster>> {
    return job(id, undefined, () => lookAtRepair(repair, look)).then((outcome) =>
      'value' in outcome ? Comlink.transfer(outcome, [outcome.value.data.buffer]) : outcome,
    );
  },

  /** @param places on the view, mm */
  tonesAt(id: number, view: FaceView, places: Point[], face: Polygon): Promise<Outcome<Tones>> {
    return job(id, undefined, async (job) =>
      tonesAtPlaces(await redraw(view, job), view.mmPerPixel, places, face),
    );
  },

  /** The card of a surface. @param wideMm what its photo shows from left to right */
  woodCard(id: number, pictureId: string, wideMm: number): Promise<Outcome<WoodCard>> {
    return job(id, undefined, async () => {
      const picture = await photo(pictureId);
      return woodCard(picture, wideMm / picture.width);
    });
  },

  /** The card of the sound wood round a damage. */
  cardAround(
    id: number,
    view: FaceView,
    damage: Polygon,
    others: Polygon[],
    face: Polygon,
  ): Promise<Outcome<WoodCard>> {
    return job(id, undefined, async (context) =>
      cardAround(await redraw(view, context), view.mmPerPixel, damage, others, face),
    );
  },

  design(id: number, input: DesignInput): Promise<Outcome<{ ranked: Design[] }>> {
    return job(id, undefined, () => Promise.resolve(designPatch(input)));
  },

  /** An outline along the figure's lines, in the view. @param damage in the view, mm */
  trace(
    id: number,
    view: FaceView,
    damage: Polygon,
    marginMm: number,
    slantDeg: number,
  ): Promise<Outcome<Traced | undefined>> {
    return job(id, undefined, async (context) =>
      traceToFigure(await redraw(view, context), view.mmPerPixel, damage, marginMm, slantDeg),
    );
  },

  fileTones(id: number, file: Blob, name: string): Promise<Outcome<Tones>> {
    return job(id, undefined, async () => {
      const { jpeg } = await prepared(file, name);
      return tonesOfSwatch(await decode(new Blob([bytesOf(jpeg)], { type: 'image/jpeg' })));
    });
  },

  /** Where the known thing lies in a photo, or its corners moved onto the edges. */
  known(
    id: number,
    pictureId: string,
    object: KnownThing,
    near: Point[] | undefined,
    onProgress?: Progress,
  ): Promise<Outcome<KnownFound>> {
    return job(id, onProgress, async (context) =>
      findKnown({ image: await photo(pictureId), object, ...(near ? { near } : {}) }, context),
    );
  },

  corners(id: number, pictureId: string): Promise<Outcome<PhotoCorner[]>> {
    return job(
      id,
      undefined,
      async (context) => (await findCorners({ image: await photo(pictureId) }, context)).corners,
    );
  },

  /** The outline of what was tapped on a face, mm; nothing where nothing stands out. */
  region(id: number, view: FaceView, [x, y]: Point): Promise<Outcome<Point[]>> {
    return job(id, undefined, async (context) => {
      const image = await redraw(view, context);
      const [wide, tall] = [image.width * view.mmPerPixel, image.height * view.mmPerPixel];
      return findRegion({ image, at: [x / wide, y / tall] }).outline.map(([u, v]): Point => [
        u * wide,
        v * tall,
      ]);
    });
  },

  /** A photo with its colours set right by a card in it, as a new one. */
  calibrate(
    id: number,
    pictureId: string,
    card: CalibrationCard,
    corners: Point[],
  ): Promise<Outcome<Recoloured>> {
    return job(id, undefined, async () => {
      const image = await photo(pictureId);
      const found = calibrate({ image, card, corners });
      return { ...(await storedFrom(recoloured(image, found.matrix))), words: calibrationWords(found, card) };
    });
  },

  /** A photo without the slow change of light over a place that is even. @param within corners as fractions */
  evenLight(id: number, pictureId: string, within: Point[]): Promise<Outcome<Recoloured>> {
    return job(id, undefined, async () => {
      const image = await photo(pictureId);
      const { picture, uneven } = evenLight(
        image,
        within.map(([x, y]): Point => [x * image.width, y * image.height]),
      );
      return { ...(await storedFrom(picture)), words: evenLightWords(uneven) };
    });
  },

  quality(id: number, pictureId: string): Promise<Outcome<PhotoQuality>> {
    return job(id, undefined, async () => photoQuality({ image: await photo(pictureId) }));
  },

  /** A stroke laid on the crack beside it. @param line in the view's own frame, mm */
  crack(id: number, view: FaceView, line: Point[]): Promise<Outcome<CrackFound>> {
    return job(id, undefined, async (context) => {
      const k = view.mmPerPixel;
      const px = line.map(([x, y]): Point => [x / k, y / k]);
      const found = snapToCrack({ image: await redraw(view, context), line: px, mmPerPixel: k });
      return { ...found, line: found.line.map(([x, y]): Point => [x * k, y * k]) };
    });
  },

  /** How wide a joint gapes at places along it. @param line its ends in the view's own frame, mm */
  gaps(id: number, view: FaceView, line: Point[], stations: number): Promise<Outcome<GapsFound>> {
    return job(id, undefined, async (context) => {
      return readGaps({
        image: await redraw(view, context),
        line: line.map(([x, y]): Point => [x / view.mmPerPixel, y / view.mmPerPixel]),
        mmPerPixel: view.mmPerPixel,
        stations,
        reachMm: GAP_REACH_MM.value,
      });
    });
  },

  /** The way of the grain in a part of a face, and how surely. */
  grain(id: number, view: FaceView, within: Polygon): Promise<Outcome<GrainRead>> {
    return job(id, undefined, async (context) =>
      readGrain(await redraw(view, context), view.mmPerPixel, within),
    );
  },

  /** What is cut from which sheet and board, over all pieces in work. */
  cutting(id: number, onProgress?: Progress): Promise<Outcome<CuttingPlan>> {
    return job(id, onProgress, (context) => cuttingOf(browserStore, context));
  },

  /** Where the grain of a sunburst runs to. */
  centre(id: number, view: FaceView, within: Polygon): Promise<Outcome<CentreRead>> {
    return job(id, undefined, async (context) =>
      readCentre(await redraw(view, context), view.mmPerPixel, within),
    );
  },

  swatchTones(id: number, pictureId: string): Promise<Outcome<Tones>> {
    return job(id, undefined, async () => tonesOfSwatch(await photo(pictureId)));
  },

  /** The plan of a piece, from the records as they are stored now. */
  plan(id: number, pieceId: string): Promise<Outcome<Plan | undefined>> {
    return job(id, undefined, () => planner.plan(pieceId));
  },

  /** The days over all pieces. @param tries 0 for a first answer at once */
  bench(id: number, at: string, tries?: number): Promise<Outcome<BenchPlan>> {
    return job(id, undefined, async (context) =>
      planner.bench(at, context, { ...(tries === undefined ? {} : { tries }), ...(await known()) }),
    );
  },

  /** How the day a piece is wanted by stands. */
  deadline(id: number, pieceId: string, at: string): Promise<Outcome<Deadline | undefined>> {
    return job(id, undefined, (context) => planner.deadline(pieceId, at, context));
  },

  /** What moving a phase, or finishing a part apart, would change. */
  moves(id: number, pieceId: string, at: string): Promise<Outcome<Moves | undefined>> {
    return job(id, undefined, (context) => planner.moves(pieceId, at, context));
  },

  /** The pieces on the first page; kept for the next time it is opened. */
  front(id: number): Promise<Outcome<Front>> {
    return job(id, undefined, async () => {
      const last = await loadFront();
      const front = await planner.front(last, await lastBackup());
      await keepIfNew(front, last);
      return front;
    });
  },

  /** Packs the shop, or one piece of it, and reads the file back before it says that it is whole. */
  saveBackup(
    id: number,
    savedAt: string,
    only: string | undefined,
    onProgress?: Progress,
  ): Promise<Outcome<{ blob: Blob; manifest: Manifest }>> {
    return job(id, onProgress, async (context) => {
      const made = await writeBackup(
        browserStore,
        { savedAt, ...(only === undefined ? {} : { only }) },
        half(context, 0),
      );
      const back = await readBackup(made.blob, 'The backup', half(context, 0.5));
      const [bad] = back.unreadable;
      const whole = made.manifest.counts.picture === back.pictures.length;
      if (bad || !whole)
        throw new Error(
          `The file was packed and does not read back whole${bad ? ` (${bad.part}: ${bad.reason})` : ''}, so it was not saved. Your work here is safe. Try once more, with fewer other pages open.`,
        );
      return made;
    });
  },

  /** What taking a file in would do. */
  previewBackup(id: number, file: Blob, name: string, onProgress?: Progress): Promise<Outcome<Preview>> {
    return job(id, onProgress, async (context) =>
      previewBackup(browserStore, await openBackup(file, name, context)),
    );
  },

  /** @param device name of this browser */
  takeBackup(
    id: number,
    file: Blob,
    name: string,
    choices: TakeChoices,
    at: { now: string; device: string },
    onProgress?: Progress,
  ): Promise<Outcome<Taken>> {
    return job(id, onProgress, async (context) => {
      const backup = await (openedBackup?.key === fileKey(file, name)
        ? openedBackup.backup
        : openBackup(file, name, half(context, 0)));
      return takeBackup(browserStore, backup, choices, at, half(context, 0.5));
    });
  },

  /** What takes room in the store, and which photos could go. */
  room(id: number, onProgress?: Progress): Promise<Outcome<Room>> {
    return job(id, onProgress, ({ progress }) => roomTaken(browserStore, progress));
  },

  /** Makes photos smaller of which nothing is measured; gives the bytes that were gained. @param device name of this browser */
  thin(id: number, pictures: string[], device: string, onProgress?: Progress): Promise<Outcome<number>> {
    return job(id, onProgress, ({ progress }) =>
      thinPictures(browserStore, pictures, { shrink, newId, device }, progress),
    );
  },

  takeBackupBack(id: number, taken: Taken): Promise<Outcome<void>> {
    return job(id, undefined, () => takeBackupBack(browserStore, taken));
  },

  /** The days ahead, kept beside the pieces. */
  days(id: number, at: string): Promise<Outcome<Bar[]>> {
    return job(id, undefined, async (context) => {
      const bars = await planner.days(at, context, await known());
      const last = await loadFront();
      if (last) await keepIfNew({ ...last, bars }, last);
      return bars;
    });
  },
};

export type ShopWorker = typeof api;
Comlink.expose(api);

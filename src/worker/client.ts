import * as Comlink from 'comlink';
import type { Tones } from '@/core/colour';
import type { Bar, Front } from '@/core/front';
import type { Point, Polygon } from '@/core/geometry';
import type { QuietSlit } from '@/core/glueup';
import type { Deadline, FaceView, Moves, Plan, RepairView, Spot, SpotSearch } from '@/core/job';
import type { Manifest, Preview, TakeChoices, Taken } from '@/records/backup';
import type { Raster } from '@/core/picture';
import type { Room } from '@/records/room';
import type {
  CalibrationCard,
  CrackFound,
  GapsFound,
  KnownFound,
  PhotoCorner,
  KnownThing,
  PhotoQuality,
} from '@/core/sight';
import type { CentreRead, Design, DesignInput, GrainRead, Traced, WoodCard } from '@/core/veneer';
import { openLine, overLine, type Line } from './line';
import type { BenchPlan } from './shelf';
import type { CuttingPlan } from './cutting';
import type { Look } from './looks';
import type { FoundSpots } from './spots';
import type { StoredPicture } from './photos';
import type { Outcome, Progress } from './job';
import type { Recoloured } from './readings';
import type { ShopWorker } from './shop.worker';

export type JobOptions = { signal?: AbortSignal; onProgress?: Progress };

let line: Line<Comlink.Remote<ShopWorker>> | undefined;
let lastId = 0;

function shop(): Line<Comlink.Remote<ShopWorker>> {
  if (line) return line;
  // Metro finds the worker by this literal; it must be written exactly so.
  const worker = new Worker(new URL('./shop.worker', import.meta.url));
  const remote = Comlink.wrap<ShopWorker>(worker);
  line = openLine(
    worker,
    remote,
    () => remote.ping(),
    () => (line = undefined),
  );
  return line;
}

/**
 * Runs a job in the worker; an abort reaches it there. Input errors come back as RangeError. A worker that is lost is started again,
 * and what does no harm twice is done once more.
 *
 * @param again whether it may be done twice
 */
async function run<T>(
  options: JobOptions,
  start: (
    id: number,
    worker: Comlink.Remote<ShopWorker>,
    onProgress: Progress | undefined,
  ) => Promise<Outcome<T>>,
  again = true,
): Promise<T> {
  options.signal?.throwIfAborted();
  const id = ++lastId;
  const cancel = (): void => void line?.remote.cancel(id);
  options.signal?.addEventListener('abort', cancel, { once: true });
  const onProgress = options.onProgress ? Comlink.proxy(options.onProgress) : undefined;
  try {
    const outcome = await overLine(shop, (remote) => start(id, remote, onProgress), again);
    if ('value' in outcome) return outcome.value;
    if (outcome.kind === 'aborted') throw new DOMException(outcome.error, 'AbortError');
    throw outcome.kind === 'input' ? new RangeError(outcome.error) : new Error(outcome.error);
  } finally {
    options.signal?.removeEventListener('abort', cancel);
  }
}

/** Runs a registered computation in the worker. The caller names the shape of the answer, which the registry documents. */
export const computeInWorker = (name: string, input: unknown, options: JobOptions = {}): Promise<unknown> =>
  run(options, (id, worker, onProgress) => worker.compute(id, name, input, onProgress));

export const storePicture = (file: Blob, name: string): Promise<StoredPicture> =>
  run({}, (id, worker) => worker.storePicture(id, file, name));

export const rectifyFace = (view: FaceView, options: JobOptions = {}): Promise<Blob> =>
  run(options, (id, worker, onProgress) => worker.rectify(id, view, onProgress));

export const tonesAroundDamage = (
  view: FaceView,
  damage: Polygon,
  others: Polygon[],
  face: Polygon,
): Promise<Tones> => run({}, (id, worker) => worker.tonesAround(id, view, damage, others, face));

/** Colour of a place itself. @param place outline on the face, mm */
export const tonesOfPlace = (view: FaceView, place: Polygon, face: Polygon): Promise<Tones> =>
  run({}, (id, worker) => worker.tonesWithin(id, view, place, face));

/** Colour of sound wood at picked places. @param places on the face, mm */
export const tonesAtPicked = (view: FaceView, places: Point[], face: Polygon): Promise<Tones> =>
  run({}, (id, worker) => worker.tonesAt(id, view, places, face));

/** A repair on its face in one colour, as it is seen from where one stands. */
export const lookAtRepair = (repair: RepairView, look: Look): Promise<Raster> =>
  run({}, (id, worker) => worker.repairLook(id, repair, look));

/** @param loose outline of the blister in the view's own frame, mm */
export const quietSlitInPhoto = (view: FaceView, loose: Polygon, grainDeg: number): Promise<QuietSlit> =>
  run({}, (id, worker) => worker.quietSlit(id, view, loose, grainDeg));

/** The best spots on a sheet for a patch, each as a picture of the patched face. */
export const findSpots = (search: SpotSearch, options: JobOptions): Promise<FoundSpots> =>
  run(options, (id, worker, onProgress) => worker.spots(id, search, onProgress));

/** The face with its patch from one place of the sheet. @param toned its mean colour brought to that of the wood round it */
export const lookAtSpot = (search: SpotSearch, at: Spot, toned: boolean): Promise<Raster> =>
  run({}, (id, worker) => worker.spotLook(id, search, at, toned));

/** The card of a surface. @param wideMm what its photo shows from left to right */
export const readWoodCard = (pictureId: string, wideMm: number): Promise<WoodCard> =>
  run({}, (id, worker) => worker.woodCard(id, pictureId, wideMm));

/** The card of the sound wood round a damage. */
export const readCardAround = (
  view: FaceView,
  damage: Polygon,
  others: Polygon[],
  face: Polygon,
): Promise<WoodCard> => run({}, (id, worker) => worker.cardAround(id, view, damage, others, face));

/** An outline round a damage along the figure's lines; nothing where none can be followed. @param damage in the view, mm */
export const traceInPhoto = (
  view: FaceView,
  damage: Polygon,
  marginMm: number,
  slantDeg: number,
  options: JobOptions,
): Promise<Traced | undefined> =>
  run(options, (id, worker) => worker.trace(id, view, damage, marginMm, slantDeg));

/** Outlines of a patch, the least seen first. */
export const designOutlines = (input: DesignInput, options: JobOptions): Promise<{ ranked: Design[] }> =>
  run(options, (id, worker, onProgress) => worker.design(id, input, onProgress));

/** Where a card, a sheet or the face lies in a photo. @param near corners to be moved onto the edges, in shares of the photo */
export const findKnownThing = (
  pictureId: string,
  object: KnownThing,
  near: Point[] | undefined,
  options: JobOptions,
): Promise<KnownFound> =>
  run(options, (id, worker, onProgress) => worker.known(id, pictureId, object, near, onProgress));

/** Places of a photo where straight edges meet, for a dragged handle to catch on. */
export const cornersInPhoto = (pictureId: string): Promise<PhotoCorner[]> =>
  run({}, (id, worker) => worker.corners(id, pictureId));

/** The outline of what was tapped on a face; empty where nothing stands out. @param at mm in the view's own frame */
export const regionInPhoto = (view: FaceView, at: Point): Promise<Point[]> =>
  run({}, (id, worker) => worker.region(id, view, at));

/** A photo with its colours set right by a card in it. @param corners of the card, as fractions */
export const calibratePhoto = (
  pictureId: string,
  card: CalibrationCard,
  corners: Point[],
): Promise<Recoloured> => run({}, (id, worker) => worker.calibrate(id, pictureId, card, corners));

/** A photo without the slow change of light over wood that is even. @param within its corners, as fractions */
export const evenPhoto = (pictureId: string, within: Point[]): Promise<Recoloured> =>
  run({}, (id, worker) => worker.evenLight(id, pictureId, within));

/** Whether a photo is sharp and well lit. */
export const readQuality = (pictureId: string): Promise<PhotoQuality> =>
  run({}, (id, worker) => worker.quality(id, pictureId));

/** A stroke laid on the crack beside it. @param line in the view's own frame, mm */
export const crackInPhoto = (view: FaceView, line: Point[]): Promise<CrackFound> =>
  run({}, (id, worker) => worker.crack(id, view, line));

/** How wide a joint gapes at places along it, ends among them. @param line in the view's own frame, mm */
export const gapsInPhoto = (view: FaceView, line: Point[], stations: number): Promise<GapsFound> =>
  run({}, (id, worker) => worker.gaps(id, view, line, stations));

/** The way of the grain in a part of a face. @param within its outline in the view's own frame, mm */
export const grainInPhoto = (view: FaceView, within: Polygon): Promise<GrainRead> =>
  run({}, (id, worker) => worker.grain(id, view, within));

/** Where the grain of a sunburst runs to. @param within the face in the view's own frame, mm */
export const centreInPhoto = (view: FaceView, within: Polygon): Promise<CentreRead> =>
  run({}, (id, worker) => worker.centre(id, view, within));

/** The tones of a photo that is not kept. */
export const fileTones = (file: Blob, name: string): Promise<Tones> =>
  run({}, (id, worker) => worker.fileTones(id, file, name));

export const swatchTones = (pictureId: string): Promise<Tones> =>
  run({}, (id, worker) => worker.swatchTones(id, pictureId));

/** What is cut from which sheet and board, over all pieces in work. */
export const planCutting = (options: JobOptions): Promise<CuttingPlan> =>
  run(options, (id, worker, onProgress) => worker.cutting(id, onProgress));

/** The plan of a piece as it is stored now; nothing when there is no such piece. */
export const planPiece = (pieceId: string): Promise<Plan | undefined> =>
  run({}, (id, worker) => worker.plan(id, pieceId));

/** The days over all pieces. @param at local time without zone; `tries`: 0 for a first answer at once */
export const planBench = (at: string, tries?: number): Promise<BenchPlan> =>
  run({}, (id, worker) => worker.bench(id, at, tries));

/** The pieces on the first page, with the days as they were last known. */
export const planFront = (): Promise<Front> => run({}, (id, worker) => worker.front(id));

/** The days ahead over all pieces. @param at local time without zone */
export const planDays = (at: string): Promise<Bar[]> => run({}, (id, worker) => worker.days(id, at));

/** Packs everything, or one piece, into a file that was read back. @param only a piece's id */
export const saveBackup = (
  savedAt: string,
  only: string | undefined,
  options: JobOptions,
): Promise<{ blob: Blob; manifest: Manifest }> =>
  run(options, (id, worker, onProgress) => worker.saveBackup(id, savedAt, only, onProgress));

/** What taking a backup in would do; nothing is changed. */
export const previewBackup = (file: Blob, name: string, options: JobOptions): Promise<Preview> =>
  run(options, (id, worker, onProgress) => worker.previewBackup(id, file, name, onProgress));

export const takeBackup = (
  file: Blob,
  name: string,
  choices: TakeChoices,
  at: { now: string; device: string },
  options: JobOptions,
): Promise<Taken> =>
  run(options, (id, worker, onProgress) => worker.takeBackup(id, file, name, choices, at, onProgress), false);

export const takeBackupBack = (taken: Taken): Promise<void> =>
  run({}, (id, worker) => worker.takeBackupBack(id, taken), false);

/** What takes room in this browser, and which photos could go. */
export const roomInBrowser = (options: JobOptions): Promise<Room> =>
  run(options, (id, worker, onProgress) => worker.room(id, onProgress));

/** Makes photos smaller of which nothing is measured. @param device name of this browser @returns bytes gained */
export const thinPhotos = (pictures: string[], device: string, options: JobOptions): Promise<number> =>
  run(options, (id, worker, onProgress) => worker.thin(id, pictures, device, onProgress), false);

/** How the day a piece is wanted by stands; nothing without such a day. @param at local time without zone */
export const planDeadline = (pieceId: string, at: string): Promise<Deadline | undefined> =>
  run({}, (id, worker) => worker.deadline(id, pieceId, at));

/** What moving a phase, or finishing a part apart, would change. @param at local time without zone */
export const planMoves = (pieceId: string, at: string): Promise<Moves | undefined> =>
  run({}, (id, worker) => worker.moves(id, pieceId, at));

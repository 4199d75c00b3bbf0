import { benchInput, impossible, schedule, type DoneStep } from '@/core/bench';
import { byTime, calendarOf, DAY_MIN, localFrom, minutesFrom } from '@/core/calendar';
import { breathe, type JobContext } from '@/core/check';
import { type Bar, type Front, type FrontPicture, type FrontPiece } from '@/core/front';
import { learnedFrom } from '@/core/figures';
import {
  barsOf,
  boardOf,
  decidedOf,
  breakEven,
  type BreakEven,
  DEFAULT_SHOP,
  frontPicture,
  frontPiece,
  restingPiece,
  planOf,
  type Moves,
  type Deadline,
  type Job,
  type Repair,
  resourcesOf,
  viewOf,
  worstFace,
  type Plan,
} from '@/core/job';
import { isOf } from '@/records/reading';
import type { Store } from '@/records/store';
import { revisionsOf } from '@/records/revisions';
import type { Stored } from '@/records/types';
import { deadlineOf, movesOf } from './comparing';
import { kept } from './kept';
import { ownByPiece, type BenchOptions, type BenchPlan, type PhotoReaders, type PieceTask, type PlanFor, type Shelf } from './shelf'; // prettier-ignore
import { tonesReader } from './tonesRead';

const SMALL_PX = 168;
const doneSteps = (log: readonly Stored<'log'>[]): DoneStep[] =>
  log.map(({ body: { taskId, doneAt, actualMin, faces, places } }) => ({
    taskId,
    doneAt,
    actualMin,
    ...(faces ? { faces } : {}),
    ...(places ? { places } : {}),
  }));

/** The newest first; what is not in work stands at the end. */
const inWorkFirst = (a: FrontPiece, b: FrontPiece): number =>
  Number(a.rest !== undefined) - Number(b.rest !== undefined) || byTime(b.createdAt, a.createdAt);

/** The colours that are in the recipes and mixes of a piece's damages, or even its parts out. */
function coloursOf(
  piece: Stored<'piece'>,
  damages: readonly Stored<'damage'>[],
  colours: readonly Stored<'colour'>[],
): Stored<'colour'>[] {
  const used = new Set([
    ...damages.flatMap(({ body: { coats = [], mixes = {} } }) =>
      [...coats, ...(mixes.ground ?? []), ...(mixes.line ?? [])].map((c) => c.colourId),
    ),
    ...(piece.body.ownSteps ?? []).flatMap((s) => s.lays?.colourId ?? []),
  ]);
  return colours.filter((c) => used.has(c.id));
}

/**
 * Plans over a store of records. Every answer is kept under the revisions of the records it was made from.
 *
 * @param build name of this version of the sums: what another has made is made anew
 */
export function createPlanner(store: Store, photos?: PhotoReaders, build = '') {
  const plans = kept<Promise<Plan>>();
  const tonesFor = tonesReader(photos);

  async function read(): Promise<Shelf> {
    const { records } = await store.listAll(['piece', 'face', 'damage', 'veneer', 'colour', 'log', 'shop']);
    const [shopRecord] = records.filter((r) => isOf(r, 'shop'));
    const log = records.filter((r) => isOf(r, 'log'));
    const learned = learnedFrom(log.map((l) => l.body));
    const pieces = records.filter((r) => isOf(r, 'piece'));
    const all = {
      faces: records.filter((r) => isOf(r, 'face')),
      damages: records.filter((r) => isOf(r, 'damage')),
      log,
    };
    // What was set aside, at whatever time, and what had to stay where it lay.
    const names = await store.keys();
    const aside = names.aside.filter((key) => key.startsWith('aside/piece/')).length;
    const lying = names.records.filter((key) => key.startsWith('piece/')).length - pieces.length;
    return {
      pieces,
      unreadable: aside + Math.max(0, lying),
      veneers: records.filter((r) => isOf(r, 'veneer')),
      colours: records.filter((r) => isOf(r, 'colour')),
      own: ownByPiece(all),
      all,
      shop: { ...(shopRecord?.body ?? DEFAULT_SHOP), learned },
      shopRecord,
    };
  }

  /** Another text whenever the plan of a piece may be another. */
  function keyOfPlan(piece: Stored<'piece'>, { own, veneers, colours, shopRecord, shop }: Shelf): string {
    const { faces, damages, log } = own(piece.id);
    const records = revisionsOf(
      [piece],
      faces,
      damages,
      veneers.filter((v) => damages.some((d) => d.body.patch.veneerId === v.id)),
      coloursOf(piece, damages, colours),
      log,
      [shopRecord],
    );
    return `${build} ${records} ${JSON.stringify(shop.learned)}`;
  }

  /** A piece with all that its plan is made of, and what is decided of it, by which photos are read. */
  async function jobFor(
    piece: Stored<'piece'>,
    shelf: Shelf,
    choices: Job['choices'],
    { beat }: JobContext,
  ): Promise<{ job: Job; decided: Repair[] }> {
    const own = shelf.own(piece.id);
    const job = {
      piece,
      faces: own.faces,
      damages: own.damages,
      ...(choices ? { choices } : {}),
      stock: shelf.veneers.filter((v) => own.damages.some((d) => d.body.patch.veneerId === v.id)),
      shelf: coloursOf(piece, own.damages, shelf.colours),
      shop: shelf.shop,
      done: doneSteps(own.log),
    };
    const decided = decidedOf(job, beat);
    return { job: { ...job, tones: await tonesFor(decided, own, shelf.veneers) }, decided };
  }

  const planFor: PlanFor = (given, shelf, choices, otherwise = {}, context = {}) => {
    const piece = { ...given, body: { ...given.body, ...otherwise } };
    const key = `${keyOfPlan(piece, shelf)} ${JSON.stringify([choices, otherwise])}`;
    return plans(key, async () => {
      const { job, decided } = await jobFor(piece, shelf, choices, context);
      return planOf(job, context.beat, decided);
    });
  };

  /** A piece that rests, or was finished before yesterday, takes no part in the days and costs no time. */
  function isThrough(
    piece: Stored<'piece'>,
    shelf: Shelf,
    known: FrontPiece | undefined,
    at: string,
  ): boolean {
    if (piece.body.rest) return true;
    if (!known || known.all === 0 || known.done < known.all || known.from !== keyOfPlan(piece, shelf))
      return false;
    const yesterday = localFrom(minutesFrom(`${at.slice(0, 10)}T00:00:00`) - DAY_MIN);
    return shelf.own(piece.id).log.every((l) => l.body.doneAt < yesterday);
  }

  async function benchOf(
    shelf: Shelf,
    at: string,
    context: JobContext,
    { tries, last }: BenchOptions,
  ): Promise<BenchPlan> {
    const front = new Map(last?.pieces.map((p) => [p.id, p]));
    const { workingHours } = shelf.shop;
    const hours = { resources: resourcesOf(shelf.shop), workingHours };
    const tasks: PieceTask[] = [];
    const done: DoneStep[] = [];
    const stuck: NonNullable<BenchPlan['stuck']> = [];
    for (const [i, piece] of shelf.pieces.entries()) {
      if (isThrough(piece, shelf, front.get(piece.id), at)) continue;
      await breathe(context, i / shelf.pieces.length);
      const plan = await planFor(piece, shelf, undefined, {}, context);
      const own = plan.tasks.map((t) => ({ ...t, pieceId: piece.id, pieceName: piece.body.name }));
      const reason = impossible(benchInput(own, plan.done, hours, at));
      if (reason) stuck.push({ pieceId: piece.id, pieceName: piece.body.name, reason });
      else {
        tasks.push(...own);
        done.push(...plan.done);
      }
    }
    const found = { tasks, done, ...(stuck.length > 0 ? { stuck } : {}) };
    if (tasks.length === 0) return found;
    const input = { ...benchInput(tasks, done, hours, at), ...(tries === undefined ? {} : { tries }) };
    try {
      return { ...found, schedule: await schedule(input, context) };
    } catch (error) {
      if (error instanceof RangeError) return { ...found, problem: error.message };
      throw error;
    }
  }

  async function pictureOf(
    piece: Stored<'piece'>,
    shelf: Shelf,
    last: FrontPiece | undefined,
  ): Promise<FrontPicture | undefined> {
    const { faces, damages } = shelf.own(piece.id);
    const face = worstFace(faces, damages);
    if (!face) return undefined;
    const onFace = damages.filter((d) => d.body.faceId === face.id);
    const stored = faces.find((f) => f.id === face.id);
    const from = revisionsOf([stored], onFace);
    if (last?.picture?.from === from) return last.picture;
    const picture = frontPicture(face, onFace, from);
    const pictureId = face.body.picture?.id;
    if (!picture || !photos || !pictureId) return picture;
    const board = boardOf(face.body);
    const jpeg = board.ok
      ? await photos.small(viewOf(board.value, pictureId, SMALL_PX)).catch(() => undefined)
      : undefined;
    return jpeg ? { ...picture, jpeg } : picture;
  }

  async function found(pieceId: string): Promise<{ piece: Stored<'piece'> | undefined; shelf: Shelf }> {
    const shelf = await read();
    return { piece: shelf.pieces.find((p) => p.id === pieceId), shelf };
  }

  return {
    /** The plan of one piece; nothing when there is no such piece. */
    async plan(pieceId: string, context: JobContext = {}): Promise<Plan | undefined> {
      const { piece, shelf } = await found(pieceId);
      return piece ? planFor(piece, shelf, undefined, {}, context) : undefined;
    },

    /** Patches or a new sheet for a face, by the bench's own minutes; nothing where there is no such question. */
    async breakEven(faceId: string, context: JobContext = {}): Promise<BreakEven | undefined> {
      const shelf = await read();
      const face = shelf.all.faces.find((f) => f.id === faceId);
      const piece = shelf.pieces.find((p) => p.id === face?.body.pieceId);
      return piece
        ? breakEven((await jobFor(piece, shelf, undefined, context)).job, faceId, context.beat)
        : undefined;
    },

    /** The days over all pieces. @param at local time without zone */
    async bench(at: string, context: JobContext = {}, options: BenchOptions = {}): Promise<BenchPlan> {
      return benchOf(await read(), at, context, options);
    },

    /** How the day a piece is wanted by stands; nothing without such a day, or days. */
    async deadline(pieceId: string, at: string, context: JobContext = {}): Promise<Deadline | undefined> {
      const { piece, shelf } = await found(pieceId);
      const wanted = piece?.body.deadline;
      if (!piece || wanted === undefined) return undefined;
      const bench = await benchOf(shelf, at, context, {});
      return deadlineOf({ piece, shelf, bench, planFor, at }, wanted, context);
    },

    /** What every move of the order would change; nothing when there is no such piece. */
    async moves(pieceId: string, at: string, context: JobContext = {}): Promise<Moves | undefined> {
      const { piece, shelf } = await found(pieceId);
      if (!piece) return undefined;
      const bench = await benchOf(shelf, at, context, { tries: 0 });
      return movesOf({ piece, shelf, bench, planFor, at }, context);
    },

    /** The pieces on the first page. @param last what it showed before: pictures that are still true, and the days, are taken from it; and when the shop was last saved to a file */
    async front(last: Front | undefined, savedAt?: string, context: JobContext = {}): Promise<Front> {
      const shelf = await read();
      const before = new Map(last?.pieces.map((p) => [p.id, p]));
      const all = [
        ...shelf.pieces,
        ...shelf.all.faces,
        ...shelf.all.damages,
        ...shelf.veneers,
        ...shelf.all.log,
      ];
      const changed = all.filter((r) => savedAt === undefined || r.savedAt > savedAt).length;
      const pieces: FrontPiece[] = [];
      for (const piece of shelf.pieces) {
        await breathe(context, pieces.length / shelf.pieces.length);
        const picture = await pictureOf(piece, shelf, before.get(piece.id));
        const { rest } = piece.body;
        const from = keyOfPlan(piece, shelf);
        const was = before.get(piece.id);
        if (was && was.from === from && was.picture?.from === picture?.from) {
          pieces.push(was);
          continue;
        }
        const known = was ?? { done: 0, all: 0, trail: [] };
        pieces.push(
          rest
            ? { ...restingPiece(piece, rest, known, picture), from }
            : { ...frontPiece(piece, await planFor(piece, shelf, undefined, {}, context), picture), from },
        );
      }
      const { fromMin, toMin } = calendarOf(shelf.shop.workingHours);
      return {
        pieces: pieces.sort(inWorkFirst),
        unreadable: shelf.unreadable,
        bars: last?.bars ?? [],
        hours: { from: fromMin, to: toMin },
        unsaved: { ...(savedAt === undefined ? {} : { last: savedAt }), changed },
      };
    },

    /** The days ahead for the first page; apart from its pieces, which need not wait for them. */
    async days(at: string, context: JobContext = {}, options: BenchOptions = {}): Promise<Bar[]> {
      const { tasks, done, schedule: days } = await benchOf(await read(), at, context, options);
      return days ? barsOf(tasks, days, new Set(done.map((d) => d.taskId))) : [];
    },
  };
}

export type Planner = ReturnType<typeof createPlanner>;

import {
  benchInput,
  drivingChain,
  impossible,
  schedule,
  type BenchTask,
  type DoneStep,
  type Schedule,
} from '@/core/bench';
import { calendarOf, DAY_MIN, localFrom, minutesFrom } from '@/core/calendar';
import { tonesIn } from '@/core/catalogue';
import { breathe, type JobContext } from '@/core/check';
import type { Tones } from '@/core/colour';
import { slackDays, type Bar, type Front, type FrontPicture, type FrontPiece } from '@/core/front';
import { learnedFrom } from '@/core/figures';
import type { Polygon } from '@/core/geometry';
import {
  barsOf,
  boardOf,
  DEFAULT_SHOP,
  frontPicture,
  frontPiece,
  restingPiece,
  linksOfChain,
  planOf,
  handsMin,
  isTicked,
  possibleMoves,
  type Reached,
  quickerWays,
  type Moves,
  type Piece,
  type Deadline,
  type Job,
  repairOf,
  resourcesOf,
  surroundingsOf,
  viewOf,
  worstFace,
  type FaceView,
  type Plan,
  type Repair,
  type KnownShop,
} from '@/core/job';
import { isOf, type Store } from '@/records/store';
import { revisionsOf } from '@/records/revisions';
import type { Stored } from '@/records/types';

/** What can be read off stored photos; nothing where there is no decoder, as in a test. */
export type PhotoReaders = {
  around: (view: FaceView, damage: Polygon, others: Polygon[], face: Polygon) => Promise<Tones>;
  within: (view: FaceView, place: Polygon, face: Polygon) => Promise<Tones>;
  swatch: (pictureId: string) => Promise<Tones>;
  /** The face in small as JPEG, base64. */
  small: (view: FaceView) => Promise<string>;
};

/** What hangs on pieces, read from the store at one time. */
type Shelf = {
  pieces: Stored<'piece'>[];
  unreadable: number;
  faces: Stored<'face'>[];
  damages: Stored<'damage'>[];
  veneers: Stored<'veneer'>[];
  log: Stored<'log'>[];
  shop: KnownShop;
  shopRecord: Stored<'shop'> | undefined;
};

export type PieceTask = BenchTask & { pieceId: string; pieceName: string };

export type BenchPlan = {
  tasks: PieceTask[];
  done: DoneStep[];
  schedule?: Schedule;
  /** Why there is no schedule. */
  problem?: string;
  /** Pieces that cannot be planned, each with the step or limit that is the reason; the others are. */
  stuck?: { pieceId: string; pieceName: string; reason: string }[];
};

export type BenchOptions = {
  /** How many orders are tried beyond the rules of thumb. */
  tries?: number;
  /** What was known of the pieces last. */
  last?: Front;
};

/** Orders tried for each plan that is only compared: enough to be near the best, few enough to wait for. */
const COMPARED_TRIES = 100;

/** Each takes a plan and its days. */
const MOST_WAYS = 12;

const SMALL_PX = 168;
/** Answers that are kept; the oldest are let go. */
const MOST_KEPT = 400;

/** Answers by key, made once; a bounded number is kept. */
function kept<T>(): (key: string, make: () => T) => T {
  const known = new Map<string, T>();
  return (key, make) => {
    const found = known.get(key);
    if (found !== undefined) return found;
    const made = make();
    known.set(key, made);
    const [oldest] = known.keys();
    if (known.size > MOST_KEPT && oldest !== undefined) known.delete(oldest);
    return made;
  };
}

const reachedOf = ({ ready, steps, handsMin }: Reached): Reached => ({ ready, steps, handsMin });

const doneSteps = (log: readonly Stored<'log'>[]): DoneStep[] =>
  log.map(({ body: { taskId, doneAt, actualMin, faces } }) => ({
    taskId,
    doneAt,
    actualMin,
    ...(faces ? { faces } : {}),
  }));

/** The newest first; what is not in work stands at the end. */
const inWorkFirst = (a: FrontPiece, b: FrontPiece): number =>
  Number(a.rest !== undefined) - Number(b.rest !== undefined) || b.createdAt.localeCompare(a.createdAt);

/**
 * Plans over a store of records. Every answer is kept under the revisions of the records it was made from.
 *
 * @param build name of this version of the sums: what another has made is made anew
 */
export function createPlanner(store: Store, photos?: PhotoReaders, build = '') {
  const plans = kept<Promise<Plan>>();
  const around = kept<Promise<Tones | undefined>>();
  const within = kept<Promise<Tones | undefined>>();
  const swatches = kept<Promise<Tones | undefined>>();

  async function read(): Promise<Shelf> {
    const { records, unreadable } = await store.listAll(['piece', 'face', 'damage', 'veneer', 'log', 'shop']);
    const [shopRecord] = records.filter((r) => isOf(r, 'shop'));
    const log = records.filter((r) => isOf(r, 'log'));
    const learned = learnedFrom(log.map((l) => l.body));
    return {
      pieces: records.filter((r) => isOf(r, 'piece')),
      unreadable: unreadable.piece ?? 0,
      faces: records.filter((r) => isOf(r, 'face')),
      damages: records.filter((r) => isOf(r, 'damage')),
      veneers: records.filter((r) => isOf(r, 'veneer')),
      log,
      shop: { ...(shopRecord?.body ?? DEFAULT_SHOP), learned },
      shopRecord,
    };
  }

  /** A photo that cannot be read leaves its colour unknown. */
  const tonesAround = (
    damage: Stored<'damage'>,
    face: Stored<'face'> | undefined,
    onFace: readonly Stored<'damage'>[],
  ): Promise<Tones | undefined> => {
    const pictureId = face?.body.picture?.id;
    if (!photos || !face || !pictureId) return Promise.resolve(undefined);
    return around(revisionsOf([face], onFace, [damage]), async () => {
      const others = onFace.filter((o) => o !== damage).map((o) => o.body);
      const place = surroundingsOf(damage.body, face.body, others);
      if (!place.ok) return undefined;
      const { board, outline, others: covered } = place.value;
      return photos
        .around(viewOf(board, pictureId), outline, covered, board.plane.outline)
        .catch(() => undefined);
    });
  };

  const tonesOfPlace = ({ damage, face, survey }: Repair): Promise<Tones | undefined> => {
    const pictureId = face?.body.picture?.id;
    if (!photos || !face || !pictureId || !survey.ok) return Promise.resolve(undefined);
    const { board, outline } = survey.value;
    const view = viewOf(board, pictureId);
    return within(JSON.stringify([damage.id, view, outline]), () =>
      photos.within(view, outline, board.plane.outline).catch(() => undefined),
    );
  };

  const tonesOfVeneer = (veneer: Stored<'veneer'>): Promise<Tones | undefined> => {
    const { pictureId } = veneer.body;
    if (!photos || !pictureId) return Promise.resolve(undefined);
    return swatches(pictureId, () => photos.swatch(pictureId).catch(() => undefined));
  };

  /** Only what is chosen for a damage is read from photos: a shelf may hold hundreds. */
  async function tonesFor(
    piece: Stored<'piece'>,
    damages: readonly Stored<'damage'>[],
    { faces, veneers, shop }: Shelf,
  ) {
    const empty = (): Record<string, Tones> => ({});
    const tones = { around: empty(), stock: empty(), within: empty() };
    for (const damage of damages) {
      const veneer = veneers.find((v) => v.id === damage.body.patch.veneerId);
      const repair = repairOf(piece, faces, damages, damage, shop);
      const toned = repair.chain !== undefined && linksOfChain(repair.chain).some(tonesIn);
      if (!veneer && !toned) continue;
      const onFace = damages.filter((d) => d.body.faceId === damage.body.faceId);
      const face = faces.find((f) => f.id === damage.body.faceId);
      const old = await tonesAround(damage, face, onFace);
      const bare = veneer ? await tonesOfVeneer(veneer) : undefined;
      const place = toned ? await tonesOfPlace(repair) : undefined;
      if (old) tones.around[damage.id] = old;
      if (veneer && bare) tones.stock[veneer.id] = bare;
      if (place) tones.within[damage.id] = place;
    }
    return tones;
  }

  /** Another text whenever the plan of a piece may be another. */
  function keyOfPlan(
    piece: Stored<'piece'>,
    { faces, damages, veneers, log, shopRecord, shop }: Shelf,
  ): string {
    const own = damages.filter((d) => d.body.pieceId === piece.id);
    const records = revisionsOf(
      [piece],
      faces.filter((f) => f.body.pieceId === piece.id),
      own,
      veneers.filter((v) => own.some((d) => d.body.patch.veneerId === v.id)),
      log.filter((l) => l.body.pieceId === piece.id),
      [shopRecord],
    );
    return `${build} ${records} ${JSON.stringify(shop.learned)}`;
  }

  function planFor(
    given: Stored<'piece'>,
    shelf: Shelf,
    choices?: Job['choices'],
    otherwise: Partial<Piece> = {},
  ): Promise<Plan> {
    const piece = { ...given, body: { ...given.body, ...otherwise } };
    const faces = shelf.faces.filter((f) => f.body.pieceId === piece.id);
    const damages = shelf.damages.filter((d) => d.body.pieceId === piece.id);
    const log = shelf.log.filter((l) => l.body.pieceId === piece.id);
    const used = shelf.veneers.filter((v) => damages.some((d) => d.body.patch.veneerId === v.id));
    const key = `${keyOfPlan(piece, shelf)} ${JSON.stringify([choices, otherwise])}`;
    return plans(key, async () =>
      planOf({
        piece,
        ...(choices ? { choices } : {}),
        faces,
        damages,
        stock: used,
        shop: shelf.shop,
        done: doneSteps(log),
        tones: await tonesFor(piece, damages, shelf),
      }),
    );
  }

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
    return shelf.log.every((l) => l.body.pieceId !== piece.id || l.body.doneAt < yesterday);
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
    for (const piece of shelf.pieces) {
      if (isThrough(piece, shelf, front.get(piece.id), at)) continue;
      const plan = await planFor(piece, shelf);
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

  const onlyOf = (tasks: readonly PieceTask[], pieceId: string): PieceTask[] =>
    tasks.filter((t) => t.pieceId === pieceId);

  /** The day on which the last step of a piece ends. */
  function readyDay({ tasks, schedule: days }: BenchPlan, pieceId: string): string | undefined {
    const own = new Set(onlyOf(tasks, pieceId).map((t) => t.id));
    const ends = days?.tasks.filter((t) => own.has(t.id)).map((t) => t.end) ?? [];
    return ends.length > 0 ? ends.reduce((a, b) => (a > b ? a : b)).slice(0, 10) : undefined;
  }

  /** The days with a piece mended otherwise: a first answer is enough to compare. */
  async function readyWith(
    { tasks, done }: BenchPlan,
    piece: Stored<'piece'>,
    shelf: Shelf,
    { choices, otherwise }: { choices?: Job['choices']; otherwise?: Partial<Piece> },
    at: string,
  ): Promise<(Reached & { order: string }) | undefined> {
    const other = await planFor(piece, shelf, choices, otherwise);
    const own = other.tasks.map((t) => ({ ...t, pieceId: piece.id, pieceName: piece.body.name }));
    const others = tasks.filter((t) => t.pieceId !== piece.id);
    const all = [...others, ...own];
    const known = new Set(others.map((t) => t.id));
    const hours = { resources: resourcesOf(shelf.shop), workingHours: shelf.shop.workingHours };
    const input = benchInput(all, [...done.filter((d) => known.has(d.taskId)), ...other.done], hours, at);
    if (impossible(input)) return undefined;
    const ready = readyDay(
      { tasks: all, done, schedule: await schedule({ ...input, tries: COMPARED_TRIES }) },
      piece.id,
    );
    return ready === undefined
      ? undefined
      : {
          ready,
          steps: other.tasks.filter(isTicked).length,
          handsMin: handsMin(other.tasks),
          order: JSON.stringify(other.tasks.map((t) => [t.id, t.phase])),
        };
  }

  async function pictureOf(
    piece: Stored<'piece'>,
    shelf: Shelf,
    last: FrontPiece | undefined,
  ): Promise<FrontPicture | undefined> {
    const damages = shelf.damages.filter((d) => d.body.pieceId === piece.id);
    const face = worstFace(
      shelf.faces.filter((f) => f.body.pieceId === piece.id),
      damages,
    );
    if (!face) return undefined;
    const onFace = damages.filter((d) => d.body.faceId === face.id);
    const stored = shelf.faces.find((f) => f.id === face.id);
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

  return {
    /** The plan of one piece; nothing when there is no such piece. */
    async plan(pieceId: string): Promise<Plan | undefined> {
      const shelf = await read();
      const piece = shelf.pieces.find((p) => p.id === pieceId);
      return piece ? planFor(piece, shelf) : undefined;
    },

    /** The days over all pieces. @param at local time without zone */
    async bench(at: string, context: JobContext = {}, options: BenchOptions = {}): Promise<BenchPlan> {
      return benchOf(await read(), at, context, options);
    },

    /** How the day a piece is wanted by stands, what holds it up and what could be done; nothing without such a day, or days. */
    async deadline(pieceId: string, at: string, context: JobContext = {}): Promise<Deadline | undefined> {
      const shelf = await read();
      const piece = shelf.pieces.find((p) => p.id === pieceId);
      const wanted = piece?.body.deadline;
      if (!piece || wanted === undefined) return undefined;
      const bench = await benchOf(shelf, at, context, {});
      const ready = readyDay(bench, pieceId);
      if (ready === undefined) return undefined;
      const own = onlyOf(bench.tasks, pieceId);
      const title = new Map(own.map((t) => [t.id, t.title]));
      const ways: Deadline['ways'] = [];
      const slack = slackDays(wanted, ready);
      if (slack < 0) {
        const quicker = quickerWays(
          piece,
          shelf.faces,
          shelf.damages.filter((d) => d.body.pieceId === pieceId),
          shelf.shop,
        );
        for (const way of quicker.slice(0, MOST_WAYS)) {
          await breathe(context, ways.length / quicker.length);
          const choices = { [way.damageId]: { method: way.method } };
          const then = await readyWith(bench, piece, shelf, { choices }, at);
          if (then !== undefined && then.ready < ready)
            ways.push({ ...way, ready: then.ready, slackDays: slackDays(wanted, then.ready) });
        }
      }
      return {
        wanted,
        ready,
        slackDays: slack,
        chain: drivingChain(own, bench.schedule?.tasks ?? []).flatMap((id) => title.get(id) ?? []),
        ways: ways.sort((a, b) => a.ready.localeCompare(b.ready)),
      };
    },

    /** What every move of the order would change: steps, hands and the day the piece is ready. */
    async moves(pieceId: string, at: string, context: JobContext = {}): Promise<Moves | undefined> {
      const shelf = await read();
      const piece = shelf.pieces.find((p) => p.id === pieceId);
      if (!piece) return undefined;
      const bench = await benchOf(shelf, at, context, { tries: 0 });
      const now = await readyWith(bench, piece, shelf, {}, at);
      const moves: Moves['moves'] = [];
      for (const move of possibleMoves(
        piece.body,
        shelf.faces.filter((f) => f.body.pieceId === pieceId),
      )) {
        await breathe(context, 0.5);
        const then = await readyWith(bench, piece, shelf, { otherwise: move.otherwise }, at);
        // A move that touches no step of this piece is none.
        if (then && then.order !== now?.order) moves.push({ ...move, ...reachedOf(then) });
      }
      return { ...(now ? { now: reachedOf(now) } : {}), moves };
    },

    /** The pieces on the first page. @param last what it showed before: pictures that are still true, and the days, are taken from it; and when the shop was last saved to a file */
    async front(last: Front | undefined, savedAt?: string): Promise<Front> {
      const shelf = await read();
      const before = new Map(last?.pieces.map((p) => [p.id, p]));
      const all = [...shelf.pieces, ...shelf.faces, ...shelf.damages, ...shelf.veneers, ...shelf.log];
      const changed = all.filter((r) => savedAt === undefined || r.savedAt > savedAt).length;
      const pieces: FrontPiece[] = [];
      for (const piece of shelf.pieces) {
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
            : { ...frontPiece(piece, await planFor(piece, shelf), picture), from },
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

import { breathe, type JobContext } from '../check';
import { pressField, type PressField } from '../field';
import { areaOf, boundingBox, contains, type Point } from '../geometry';
import { candidatesFor, UNIT_FORCE_N, type Candidate } from './candidates';
import { depthFromEdge } from '../press';
import type { Arrangement, ArrangeInput } from './input';

export type Arranged = Arrangement & {
  leastKPa: number;
  meanKPa: number;
  greatestKPa: number;
  coverage: number;
  /** All of the region lies within the target. */
  reached: boolean;
  /** The user's own layout was not beaten. */
  kept: boolean;
  tried: number;
  /** What would bring it to the target, when it does not reach it. */
  missing: string[];
};

const MOST_CLAMPS = 24;
/** The search looks at so many nodes across the region's shorter side; the answer is worked out on the grid asked for. */
const SEARCH_NODES = 9;
/** So many of the most promising layouts of a number of clamps are worked out on the grid asked for. */
const WORTH_VERIFYING = 3;
/** Clamps are turned a little firmer than the sum asks for. */
const MARGIN = 1.06;

type Rated = { arrangement: Arrangement; field: PressField; reached: boolean };

const reaches = (f: PressField, t: ArrangeInput['target']): boolean =>
  f.leastKPa >= t.leastKPa && f.greatestKPa <= t.mostKPa;

/** Which of two is better: reaching the target, then the share well pressed, then fewer clamps, then the more even. */
export function better(a: Rated, b: Rated): boolean {
  if (a.reached !== b.reached) return a.reached;
  if (!a.reached && Math.abs(a.field.coverage - b.field.coverage) > 0.005)
    return a.field.coverage > b.field.coverage;
  const [na, nb] = [a.arrangement.clamps.length, b.arrangement.clamps.length];
  if (na !== nb) return na < nb;
  return a.field.greatestKPa - a.field.leastKPa < b.field.greatestKPa - b.field.leastKPa - 1e-6;
}

const rate = async (
  input: ArrangeInput,
  arrangement: Arrangement,
  gridMm: number,
  job: JobContext,
): Promise<Rated> => {
  const platen = input.platens.find((p) => p.thicknessMm === arrangement.platenMm) ?? input.platens[0];
  if (!platen) throw new RangeError('There is no board for a platen. Enter the boards you own.');
  const { panel, foundation, target, region } = input;
  const field = await pressField(
    {
      panel,
      platen: { ...platen, thicknessMm: arrangement.platenMm },
      foundation,
      target,
      region,
      gridMm,
      overhang: true,
      cauls: arrangement.cauls,
      clamps: arrangement.clamps.map(({ at, forceN, caul }) => ({
        at,
        forceN,
        ...(caul === undefined ? {} : { caul }),
      })),
    },
    job,
  );
  return { arrangement, field, reached: reaches(field, target) };
};

/** The same, but nothing for a layout that cannot stand, such as a caul that tips. */
const rateIfStanding = async (...given: Parameters<typeof rate>): Promise<Rated | undefined> => {
  try {
    return await rate(...given);
  } catch (error) {
    if (error instanceof RangeError) return undefined;
    throw error;
  }
};

/** How many times the unit force: what the least pressure asks for, within what the clamps give and the wood bears. */
function turnsFor(
  { mostForceN }: Candidate,
  field: PressField,
  target: ArrangeInput['target'],
  shares: (m: number) => number,
): number {
  const most = mostForceN / UNIT_FORCE_N;
  const wood = target.mostKPa / Math.max(field.greatestKPa, 1e-9);
  const need = (MARGIN * target.leastKPa) / Math.max(field.leastKPa, 1e-9);
  if (need <= Math.min(most, wood)) return need;
  if (need / MARGIN <= Math.min(most, wood)) return Math.min(most, wood);
  // It cannot be had everywhere: as firm as covers most.
  const tries = [1, 0.85, 0.7, 0.55, 0.4].map((s) => s * most).concat(wood <= most ? [wood] : []);
  return tries.reduce((best, m) => (shares(m) > shares(best) ? m : best));
}

const scaled = (c: Candidate, platenMm: number, m: number): Arrangement => ({
  platenMm,
  cauls: c.cauls.map((b) => ({ ...b, camberMm: b.camberMm * m })),
  clamps: c.clamps.map((p) => ({ ...p, forceN: p.forceN * m })),
});

/** Pressures over the region, of nodes that count, to be scaled. */
function pressuresIn(field: PressField, { panel, region }: ArrangeInput): number[] {
  const { columns, rows, kPa } = field.grid;
  return kPa.filter((_, n) =>
    contains(region, [
      ((n % columns) * panel.widthMm) / (columns - 1),
      (Math.floor(n / columns) * panel.heightMm) / (rows - 1),
    ]),
  );
}

/**
 * Looks for the fewest clamps that reach the target, with the boards and clamps owned.
 *
 * A plate that only pushes answers in proportion when forces and bows grow together, so one solution per layout tells every
 * force. The stiffest boards are tried first: what fails with them is not tried with weaker ones.
 */
async function search(
  input: ArrangeInput,
  job: JobContext,
  most: number,
): Promise<{ best?: Rated; tried: number }> {
  const box = boundingBox(input.region);
  const coarse = Math.max(input.gridMm, Math.min(box.right - box.left, box.bottom - box.top) / SEARCH_NODES);
  const platens = [...input.platens].sort((a, b) => a.thicknessMm - b.thicknessMm);
  const sections = [...input.cauls].sort((a, b) => a.heightMm - b.heightMm);
  const [platen, section] = [platens[platens.length - 1], sections[sections.length - 1]];
  if (!platen || !section) return { tried: 0 };
  const strongest = Math.max(0, ...input.clamps.filter((c) => c.count > 0).map((c) => c.forceN));
  const least = Math.max(
    1,
    Math.ceil((areaOf(input.region) * input.target.leastKPa) / 1000 / Math.max(1, strongest)),
  );
  let best: Rated | undefined;
  let tried = 0;
  type Look = { c: Candidate; platenMm: number; m: number; rough: Rated };
  const look = async (c: Candidate, platenMm: number): Promise<Look[]> => {
    tried++;
    const unit = await rateIfStanding(input, scaled(c, platenMm, 1), coarse, {});
    if (!unit) return [];
    const p = pressuresIn(unit.field, input);
    const { leastKPa, mostKPa } = input.target;
    const share = (m: number): number =>
      p.filter((v) => v * m >= leastKPa && v * m <= mostKPa).length / p.length;
    const m = turnsFor(c, unit.field, input.target, share);
    const { leastKPa: l, greatestKPa: g } = unit.field;
    const field = { ...unit.field, leastKPa: l * m, greatestKPa: g * m, coverage: share(m) };
    const rough = { arrangement: scaled(c, platenMm, m), field, reached: reaches(field, input.target) };
    return [{ c, platenMm, m, rough }];
  };
  /** On the grid asked for; turned once more where that grid asks for a little more. */
  const verify = async ({ c, platenMm, m, rough }: Look): Promise<Rated> => {
    const found = await rate(input, rough.arrangement, input.gridMm, {});
    if (found.reached || !rough.reached) return found;
    const again = turnsFor(
      c,
      { ...found.field, leastKPa: found.field.leastKPa / m, greatestKPa: found.field.greatestKPa / m },
      input.target,
      () => 0,
    );
    const second = await rate(input, scaled(c, platenMm, again), input.gridMm, {});
    return better(second, found) ? second : found;
  };
  const first = Math.min(least, most);
  for (let n = first; n <= most; n++) {
    const looks: Look[] = [];
    const all = candidatesFor(n, section, input);
    for (const [i, c] of all.entries()) {
      await breathe(job, (0.95 * (n - first + i / all.length)) / (most - first + 1));
      looks.push(...(await look(c, platen.thicknessMm)));
    }
    looks.sort((a, b) => (better(a.rough, b.rough) ? -1 : 1));
    const promising = looks
      .slice(0, WORTH_VERIFYING)
      .filter((l) => !best || l.rough.reached || l.rough.field.coverage > best.field.coverage - 0.02);
    let reachedHere = false;
    for (const l of promising) {
      await breathe(job, (0.95 * (n - first + 1)) / (most - first + 1));
      const found = await verify(l);
      if (!best || better(found, best)) best = found;
      reachedHere = reachedHere || found.reached;
    }
    if (!reachedHere) continue;
    // So many clamps do. The lightest boards that still reach are the handiest.
    for (const s of sections) {
      for (const p of platens) {
        if (s === section && p === platen) break;
        for (const c of candidatesFor(n, s, input)) {
          await breathe(job, 0.95);
          const [l] = await look(c, p.thicknessMm);
          if (!l?.rough.reached) continue;
          const lighter = await verify(l);
          if (lighter.reached) return { best: lighter, tried };
        }
      }
    }
    break;
  }
  return { ...(best ? { best } : {}), tried };
}

const kN = (n: number): string => `${(n / 1000).toFixed(1)} kN`;

/** What stands between these clamps and boards and the target: force, reach, boards or number, each tried out. */
async function missingFor(
  input: ArrangeInput,
  { signal, pause }: JobContext,
  most: number,
): Promise<string[]> {
  // These searches come after the one whose progress is shown.
  const quiet: JobContext = { ...(signal ? { signal } : {}), ...(pause ? { pause } : {}) };
  const { region, face, target } = input;
  const owned = input.clamps.filter((c) => c.count > 0);
  const needN = (areaOf(region) * target.leastKPa) / 1000;
  const box = boundingBox(region);
  const middle: Point = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  const depth = depthFromEdge(face, middle);
  const reaching = owned.filter((c) => c.reachMm >= depth);
  const said: string[] = [];
  if (owned.length === 0) return [`There are no clamps: ${kN(needN)} are needed. Nothing holds it down.`];
  if (reaching.length === 0)
    said.push(
      `Its middle lies ${Math.round(depth)} mm in from the edge, and no clamp that you own reaches that far. Take deeper clamps, bars from above, weights, or a stiffer caul across the whole face.`,
    );
  const gives = reaching.reduce((s, c) => s + c.count * c.forceN, 0);
  if (reaching.length > 0 && gives < needN)
    said.push(
      `The area needs ${kN(needN)} at least; the clamps that reach its middle give ${kN(gives)} together.`,
    );
  const whatIf = async (words: string, changed: Partial<ArrangeInput>, upTo = most): Promise<void> => {
    const { best } = await search({ ...input, ...changed }, quiet, upTo);
    if (best?.reached) said.push(`${words}: ${best.arrangement.clamps.length} clamps would do.`);
  };
  const thick = Math.max(...input.platens.map((p) => p.thicknessMm));
  const [platen] = input.platens;
  if (platen) {
    const twice = Math.min(100, 2 * thick);
    await whatIf(`With a platen of ${Math.round(twice)} mm`, {
      platens: [{ ...platen, thicknessMm: twice }],
    });
  }
  if (reaching.length > 0 && (said.length === 0 || gives < needN)) {
    const more = reaching.reduce((a, b) => (a.forceN >= b.forceN ? a : b));
    await whatIf(
      'With more clamps of the strongest kind that reaches',
      { clamps: [{ ...more, count: MOST_CLAMPS }] },
      MOST_CLAMPS,
    );
  }
  if (said.length === 0)
    said.push(
      'Neither thicker boards nor more clamps of these kinds reach it everywhere. Press it in smaller sections, or use a vacuum bag.',
    );
  return said;
}

/** Are there as many clamps of each kind as a layout takes, and do they reach? What cannot be set up is not to be beaten. */
function canBeSetUp({ clamps }: Arrangement, { clamps: owned, face }: ArrangeInput): boolean {
  const kinds = [...new Set(clamps.map((c) => c.kind))];
  return (
    clamps.length > 0 &&
    kinds.every((kind) => {
      const mine = owned.find((o) => o.id === kind);
      const taken = clamps.filter((c) => c.kind === kind);
      return (
        mine && taken.length <= mine.count && taken.every((c) => depthFromEdge(face, c.at) <= mine.reachMm)
      );
    })
  );
}

/**
 * Registry `press.arrange`: where clamps and cauls go so that the region lies within the target with the fewest clamps, from what
 * is owned. The user's own layout is kept unless it is beaten; one that takes more clamps than are owned, or deeper ones, does not
 * count.
 *
 * @throws RangeError for what `press.field` refuses; AbortError when cancelled
 */
export async function arrange(input: ArrangeInput, job: JobContext = {}): Promise<Arranged> {
  const count = input.clamps.reduce((s, c) => s + c.count, 0);
  const most = Math.min(MOST_CLAMPS, count);
  const own =
    input.own && canBeSetUp(input.own, input)
      ? await rateIfStanding(input, input.own, input.gridMm, job)
      : undefined;
  const { best, tried } = most > 0 ? await search(input, job, most) : { best: undefined, tried: 0 };
  const chosen = own && (!best || !better(best, own)) ? own : best;
  if (!chosen) {
    throw new RangeError((await missingFor(input, job, most)).join(' '));
  }
  const missing = chosen.reached ? [] : await missingFor(input, job, most);
  const { leastKPa, meanKPa, greatestKPa, coverage } = chosen.field;
  await breathe(job, 1);
  return {
    ...chosen.arrangement,
    leastKPa,
    meanKPa,
    greatestKPa,
    coverage,
    reached: chosen.reached,
    kept: chosen === own,
    tried,
    missing,
  };
}

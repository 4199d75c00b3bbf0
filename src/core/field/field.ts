import Joi from 'joi';
import { assertRange, breathe, type JobContext } from '../check';
import { contains, type Point, type Polygon } from '../geometry';
import { elimination, type Step } from './cholesky';
import { dissect } from './dissection';
import { bilinear, gridFor, modelOf, type Grid, type Model, type PlateInput } from './plate';

export type FieldInput = PlateInput & {
  foundation: { stiffnessMPaPerMm: number };
  gridMm: number;
  target: { leastKPa: number; mostKPa: number };
  /** Where the pressure counts, mm on the panel; the whole panel when not given. */
  region?: Polygon;
  /** Cauls may reach beyond what the platen covers, and be clamped there, as bars across a whole face are. */
  overhang?: boolean;
  /** The foundation pulls as well as it pushes: what the textbooks solve. For checks only; it is not taken from outside. */
  bonded?: boolean;
};

export type PressField = {
  /** Over the region. */
  leastKPa: number;
  meanKPa: number;
  greatestKPa: number;
  /** Share of the region whose pressure lies within the target, 0…1. */
  coverage: number;
  /** What the foundation gives back over the whole panel; it balances the clamps. */
  reactionN: number;
  /** Row by row from the top left, at the nodes. */
  grid: { columns: number; rows: number; kPa: number[] };
  /** Share of the panel from which the platen has lifted off. */
  liftedShare: number;
};

const point = Joi.array().ordered(Joi.number().required(), Joi.number().required()).length(2).required();

/** Input of `press.field`. */
export const fieldSchema = Joi.object({
  panel: Joi.object({ widthMm: Joi.number().required(), heightMm: Joi.number().required() }).required(),
  platen: Joi.object({
    thicknessMm: Joi.number().required(),
    modulusMPa: Joi.number().required(),
    poisson: Joi.number().required(),
  }).required(),
  foundation: Joi.object({ stiffnessMPaPerMm: Joi.number().required() }).required(),
  cauls: Joi.array()
    .items(
      Joi.object({
        from: point,
        to: point,
        widthMm: Joi.number().required(),
        heightMm: Joi.number().required(),
        modulusMPa: Joi.number().required(),
        camberMm: Joi.number().required(),
      }),
    )
    .max(40)
    .required(),
  clamps: Joi.array()
    .items(Joi.object({ at: point, forceN: Joi.number().required(), caul: Joi.number().integer().min(0) }))
    .max(200)
    .required(),
  gridMm: Joi.number().required(),
  target: Joi.object({ leastKPa: Joi.number().required(), mostKPa: Joi.number().required() }).required(),
  region: Joi.array().items(point.optional()).min(3).max(500),
  overhang: Joi.boolean(),
});

/** More nodes than this would take more memory than a phone gives. */
const MOST_NODES = 60_000;
/** What has lifted off is held by a thread, so that a platen that tips is still a solvable one. Share of the foundation. */
const THREAD = 1e-8;
const MOST_STEPS = 40;
/** The coarse solution that the fine one starts from has cells so many times as wide. */
const COARSER = 2;
/** So much of the clamps' force may stand on the wrong side of the contact's rim. */
const WRONG_SHARE = 8e-4;
const COARSE_ENOUGH = 400;
/** When the threads bear more than this, something is not held at all. Share of the force. */
const TIPPED_SHARE = 1e-3;
/** Nor is it when the foundation does not give back what the clamps give. */
const UNBALANCED_SHARE = 3e-3;

function assertField({
  panel,
  platen,
  foundation,
  cauls,
  clamps,
  gridMm,
  target,
  overhang,
}: FieldInput): void {
  assertRange('The width of the panel', panel.widthMm, 'mm', 20, 5000);
  assertRange('The height of the panel', panel.heightMm, 'mm', 20, 5000);
  assertRange('The thickness of the platen', platen.thicknessMm, 'mm', 0.5, 200);
  assertRange('The stiffness of the platen', platen.modulusMPa, 'MPa', 1, 300_000);
  assertRange('Poisson’s ratio of the platen', platen.poisson, '', 0, 0.49);
  assertRange('The stiffness of what is pressed', foundation.stiffnessMPaPerMm, 'MPa/mm', 1e-4, 10_000);
  assertRange('The grid', gridMm, 'mm', 0.5, 500);
  assertRange('The least pressure', target.leastKPa, 'kPa', 0, 1e5);
  assertRange('The greatest pressure', target.mostKPa, 'kPa', target.leastKPa, 1e6);
  const { columns, rows } = gridFor(panel, gridMm);
  if (columns * rows > MOST_NODES) {
    throw new RangeError(
      `A grid of ${gridMm} mm makes ${columns * rows} nodes on this panel; up to ${MOST_NODES} can be worked out. Take a coarser grid.`,
    );
  }
  const off = ([x, y]: Point): boolean =>
    x < -0.5 || y < -0.5 || x > panel.widthMm + 0.5 || y > panel.heightMm + 0.5;
  cauls.forEach((c, i) => {
    assertRange(`The width of caul ${i + 1}`, c.widthMm, 'mm', 1, 500);
    assertRange(`The height of caul ${i + 1}`, c.heightMm, 'mm', 1, 500);
    assertRange(`The stiffness of caul ${i + 1}`, c.modulusMPa, 'MPa', 1, 300_000);
    assertRange(`The camber of caul ${i + 1}`, c.camberMm, 'mm', 0, 50);
    const lengthMm = Math.hypot(c.to[0] - c.from[0], c.to[1] - c.from[1]);
    if (lengthMm < 10) throw new RangeError(`Caul ${i + 1} has no length. Drag its ends apart.`);
    assertRange(`The length of caul ${i + 1}`, lengthMm, 'mm', 10, 10_000);
    if (!overhang && (off(c.from) || off(c.to))) {
      throw new RangeError(
        `Caul ${i + 1} is ${Math.round(lengthMm)} mm long and reaches beyond the panel. Shorten it, or lay it inside.`,
      );
    }
  });
  if (clamps.length === 0)
    throw new RangeError('There are no clamps: nothing holds the platen down. Place at least one.');
  clamps.forEach((c, i) => {
    assertRange(`The force of clamp ${i + 1}`, c.forceN, 'N', 0, 50_000);
    if (off(c.at) && !(overhang && c.caul !== undefined)) {
      throw new RangeError(
        `Clamp ${i + 1} at ${Math.round(c.at[0])}, ${Math.round(c.at[1])} mm stands off the panel. Move it onto the panel.`,
      );
    }
    if (c.caul !== undefined && !cauls[c.caul])
      throw new RangeError(`Clamp ${i + 1} stands on caul ${c.caul + 1}, which is not there.`);
  });
  if (clamps.every((c) => c.forceN === 0))
    throw new RangeError('All clamps are loose: nothing presses. Give at least one of them a force.');
}

/** Where a coarser solution presses, read between its nodes at those of a finer grid. */
function carried(from: Grid, w: Float64Array, to: Grid, nodes: number): Uint8Array {
  const pressed = new Uint8Array(nodes);
  for (let n = 0; n < nodes; n++) {
    const { at, share } = bilinear(from, [(n % to.columns) * to.dx, Math.floor(n / to.columns) * to.dy]);
    pressed[n] = at.reduce((s, m, k) => s + (share[k] ?? 0) * (w[m] ?? 0), 0) > 0 ? 1 : 0;
  }
  return pressed;
}

type Contacts = { pressed: Uint8Array; touching: Uint8Array };

/** Values of the matrix and the right side with the contacts as they are taken to be; and which rows differ from the last time. */
function stepOf(
  model: Model,
  stiffness: number,
  now: Contacts,
  before?: Contacts,
): { step: Step; rhs: Float64Array } {
  const { size, nodes, bending, area, contacts, load } = model;
  const { pressed, touching } = now;
  const extra = new Float64Array(size);
  const changed = new Uint8Array(size);
  for (let n = 0; n < nodes; n++) {
    extra[n] = stiffness * (area[n] ?? 0) * (pressed[n] ? 1 : THREAD);
    if (before && before.pressed[n] !== pressed[n]) changed[n] = 1;
  }
  // A caul that touches nowhere is held by a thread too.
  for (let n = nodes; n < size; n++) extra[n] = stiffness * THREAD;
  const value = Float64Array.from(bending.value);
  const rhs = Float64Array.from(load);
  contacts.forEach((c, k) => {
    if (before && before.touching[k] !== touching[k]) for (const i of c.at) changed[i] = 1;
    if (!touching[k]) return;
    for (let p = 0; p < c.at.length; p++) {
      const i = c.at[p] ?? 0;
      rhs[i] = (rhs[i] ?? 0) + c.stiffness * c.gapMm * (c.weights[p] ?? 0);
      for (let q = 0; q < c.at.length; q++) {
        const j = c.at[q] ?? 0;
        const add = c.stiffness * (c.weights[p] ?? 0) * (c.weights[q] ?? 0);
        for (let e = bending.start[i] ?? 0; e < (bending.start[i + 1] ?? 0); e++)
          if (bending.column[e] === j) value[e] = (value[e] ?? 0) + add;
      }
    }
  });
  return { step: { value, extra, ...(before ? { changed } : {}) }, rhs };
}

async function settle(
  input: FieldInput,
  gridMm: number,
  job: JobContext,
): Promise<{ model: Model; w: Float64Array }> {
  const model = modelOf(input, gridMm);
  const { nodes, contacts, area } = model;
  let pressed: Uint8Array = new Uint8Array(nodes).fill(1);
  if (nodes > COARSE_ENOUGH && !input.bonded) {
    const coarse = await settle(input, gridMm * COARSER, job);
    pressed = carried(coarse.model.grid, coarse.w, model.grid, nodes);
  }
  const eliminate = elimination(model.bending, dissect(model.bending, model.x, model.y));
  const stiffness = input.foundation.stiffnessMPaPerMm;
  const force = input.clamps.reduce((s, c) => s + c.forceN, 0);
  let touching: Uint8Array = new Uint8Array(contacts.length).fill(1);
  let before: Contacts | undefined;
  for (let step = 0; ; step++) {
    await breathe(job, Math.min(0.95, step / 8));
    const { step: values, rhs } = stepOf(model, stiffness, { pressed, touching }, before);
    const w = eliminate(values)(rhs);
    // Force that is on the wrong side: pulled where it should have lifted off, or missed where it should press.
    let wrong = 0;
    const nextPressed = new Uint8Array(nodes);
    for (let n = 0; n < nodes; n++) {
      nextPressed[n] = (w[n] ?? 0) > 0 ? 1 : 0;
      if (nextPressed[n] !== pressed[n]) wrong += stiffness * (area[n] ?? 0) * Math.abs(w[n] ?? 0);
    }
    const nextTouching = new Uint8Array(contacts.length);
    contacts.forEach((c, k) => {
      const short = c.at.reduce((s, n, p) => s + (w[n] ?? 0) * (c.weights[p] ?? 0), 0) - c.gapMm;
      nextTouching[k] = short > 0 ? 1 : 0;
      if (nextTouching[k] !== touching[k]) wrong += c.stiffness * Math.abs(short);
    });
    if (input.bonded || wrong <= WRONG_SHARE * force || step >= MOST_STEPS) return { model, w };
    before = { pressed, touching };
    pressed = nextPressed;
    touching = nextTouching;
  }
}

/** What hangs on the threads, upwards and downwards: of a caul that tips they bear a couple, and the forces balance all the same. */
function heldByThreads({ nodes, size, area }: Model, w: Float64Array, stiffness: number): number {
  let sum = 0;
  for (let n = 0; n < size; n++) {
    const moved = w[n] ?? 0;
    if (n >= nodes) sum += stiffness * THREAD * Math.abs(moved);
    else if (moved < 0) sum -= stiffness * THREAD * (area[n] ?? 0) * moved;
  }
  return sum;
}

/**
 * Registry `press.field`: the pressure under a platen that clamps and cauls press on a panel.
 *
 * The platen is a thin plate on an elastic foundation that only pushes: where the plate would pull, it lifts off. Cauls are beams
 * that only push on the platen, and may be bowed. The set of places that press is found by Newton's method, from a coarser grid to
 * a finer; each step is one sparse factorisation (nested dissection, multifrontal).
 *
 * @throws RangeError for clamps off the panel, a platen without thickness, a caul longer than the panel, a negative force, no clamps
 */
export async function pressField(input: FieldInput, job: JobContext = {}): Promise<PressField> {
  assertField(input);
  const { model, w } = await settle(input, input.gridMm, job);
  const { grid, nodes, area, x, y } = model;
  const stiffness = input.foundation.stiffnessMPaPerMm;
  const kPa: number[] = [];
  let [least, greatest, sum, counted, covered, reaction, lifted, whole] = [Infinity, 0, 0, 0, 0, 0, 0, 0];
  const { region, target } = input;
  for (let n = 0; n < nodes; n++) {
    const pressure = 1000 * stiffness * (input.bonded ? (w[n] ?? 0) : Math.max(0, w[n] ?? 0));
    const a = area[n] ?? 0;
    kPa.push(pressure);
    reaction += (pressure / 1000) * a;
    whole += a;
    if ((w[n] ?? 0) <= 0) lifted += a;
    if (region && !contains(region, [x[n] ?? 0, y[n] ?? 0])) continue;
    least = Math.min(least, pressure);
    greatest = Math.max(greatest, pressure);
    sum += pressure * a;
    counted += a;
    if (pressure >= target.leastKPa && pressure <= target.mostKPa) covered += a;
  }
  const force = input.clamps.reduce((s, c) => s + c.forceN, 0);
  const unheld = heldByThreads(model, w, stiffness) > TIPPED_SHARE * force;
  if (!input.bonded && (unheld || Math.abs(reaction - force) > UNBALANCED_SHARE * force))
    throw new RangeError(
      'A caul tips: it is clamped beyond what lies under it, with nothing to hold its other end. Clamp it on both sides of the platen, or move it over the platen.',
    );
  if (counted === 0)
    throw new RangeError(
      'No node of the grid lies in the place that counts. Take a finer grid or a larger place.',
    );
  await breathe(job, 1);
  return {
    leastKPa: least,
    meanKPa: sum / counted,
    greatestKPa: greatest,
    coverage: covered / counted,
    reactionN: reaction,
    grid: { columns: grid.columns, rows: grid.rows, kPa },
    liftedShare: lifted / whole,
  };
}

import { phaseOrder, UNMEASURED, type BenchTask, type DoneStep, type FaceWork } from '../bench';
import { MATERIALS, USES, type MaterialId, type PhaseId } from '../catalogue';
import { PREPARATIONS } from '../prepare';
import { FINISH_GOALS, lowerFirst } from '../terms';
import { formatSmall } from '../units';
import { waysOf } from './decide';
import type { Plan } from './plan';
import { isTicked } from './trail';
import type { Named, Piece, Shop } from './types';

/** What is done to one face in one phase; a step over several faces stands in each of their rows. */
export type PlanCell = { phase: PhaseId; tasks: BenchTask[]; done: number; all: number };

export type PlanRow = {
  /** A face's id; none for what is done to the whole piece. */
  faceId?: string;
  name: string;
  /** How it is prepared and what it gets. */
  words: string;
  /** What it is finished apart with. */
  part?: string;
  cells: PlanCell[];
};

export type PlanTable = {
  /** In the order of this piece, those without a step left out. */
  phases: PhaseId[];
  rows: PlanRow[];
  /** Hands at all steps, each counted once, and of those that are still to do. min. */
  handsMin: number;
  leftMin: number;
  /** The same as the book's range. min. */
  range: { leastMin: number; mostMin: number };
};

/** A face's preparation and finish in words: “Scuff and coat over, then paint”. */
export function faceWords({ preparation, goal }: FaceWork): string {
  const { label } = PREPARATIONS[preparation.id];
  if (goal === 'keep') return preparation.id === 'leave' ? FINISH_GOALS.keep : `${label}; the finish stays`;
  return `${label}, then ${lowerFirst(FINISH_GOALS[goal])}`;
}

/** The plan of a piece as a table: faces as rows, phases as columns, what is done counted in each cell. */
export function planTable(plan: Pick<Plan, 'tasks' | 'done' | 'faces'>, piece: Named<Piece>): PlanTable {
  const ticked = new Set(plan.done.map((d: DoneStep) => d.taskId));
  const used = new Set(plan.tasks.map((t) => t.phase));
  const phases = phaseOrder(waysOf(piece.body)).filter((id) => used.has(id));
  const cellsOf = (tasks: readonly BenchTask[]): PlanCell[] =>
    phases.map((phase) => {
      const own = tasks.filter((t) => t.phase === phase);
      const all = own.filter(isTicked);
      return { phase, tasks: own, done: all.filter((t) => ticked.has(t.id)).length, all: all.length };
    });
  const whole = plan.tasks.filter((t) => !t.faces);
  const rows: PlanRow[] = plan.faces.map((face) => ({
    faceId: face.id,
    name: face.name,
    words: `${faceWords(face)}${face.unmeasured ? `; not measured yet, reckoned as ${UNMEASURED.areaM2.value} m²` : ''}`,
    ...(face.part ? { part: face.part } : {}),
    cells: cellsOf(plan.tasks.filter((t) => t.faces?.includes(face.id))),
  }));
  const sum = (tasks: readonly BenchTask[], of: (t: BenchTask) => number): number =>
    tasks.reduce((total, t) => total + of(t), 0);
  return {
    phases,
    rows: [
      { name: 'The whole piece', words: 'What is done once for all of it', cells: cellsOf(whole) },
      ...rows,
    ],
    handsMin: sum(plan.tasks, (t) => t.attendedMin),
    leftMin: sum(
      plan.tasks.filter((t) => !ticked.has(t.id)),
      (t) => t.attendedMin,
    ),
    range: {
      leastMin: sum(plan.tasks, (t) => t.attendedRange?.leastMin ?? t.attendedMin),
      mostMin: sum(plan.tasks, (t) => t.attendedRange?.mostMin ?? t.attendedMin),
    },
  };
}

/** What a piece takes of one material, over all its repairs and faces. */
export type Need = {
  /** Of its kind, or of its product. */
  id: string;
  /** Nothing for an own product of the colour shelf. */
  material?: MaterialId;
  label: string;
  grams?: number;
  ml?: number;
  sheets?: number;
  /** Sizes of wood and veneer, along and across the grain. */
  wood: { alongMm: number; acrossMm: number; thickMm?: number }[];
  /** What it is thinned with. */
  thinner?: { ml: number; label: string };
  /** Round ones of one size each. */
  pieces?: { count: number; diameterMm: number }[];
  /** Nothing of it is used up; it has to be at hand. */
  tool: boolean;
  /** Whether it is in stock; not known until the owner has said what there is. */
  stands?: 'have' | 'listed' | 'missing';
};

const standsOf = (
  material: MaterialId,
  have: readonly MaterialId[],
  listed: readonly MaterialId[] = [],
): NonNullable<Need['stands']> =>
  have.includes(material) ? 'have' : listed.includes(material) ? 'listed' : 'missing';

/** Everything that a piece takes, amounts added up, and what of it the shop has. */
export function needsOf(
  plan: Pick<Plan, 'repairs' | 'tasks' | 'evening'>,
  shop: Pick<Shop, 'materials' | 'shopping'>,
): Need[] {
  const needs = new Map<MaterialId, Need>();
  const need = (material: MaterialId): Need => {
    const known = needs.get(material);
    if (known) return known;
    const made: Need = {
      id: material,
      material,
      label: MATERIALS[material],
      wood: [],
      tool: USES[material].by === 'tool' && material !== 'paper',
      ...(shop.materials ? { stands: standsOf(material, shop.materials, shop.shopping) } : {}),
    };
    needs.set(material, made);
    return made;
  };
  for (const amount of plan.repairs.flatMap((r) => r.links.flatMap((l) => l.amounts))) {
    const row = need(amount.material);
    if (amount.of === 'weight') row.grams = (row.grams ?? 0) + amount.grams;
    if (amount.of === 'volume') row.ml = (row.ml ?? 0) + amount.ml;
    if (amount.of === 'pieces') {
      row.pieces = [...(row.pieces ?? []), { count: amount.count, diameterMm: amount.diameterMm }];
      row.tool = false;
    }
    if (amount.of === 'wood') {
      const { alongMm, acrossMm, thickMm, count = 1 } = amount;
      for (let n = 0; n < count; n++)
        row.wood.push({ alongMm, acrossMm, ...(thickMm === undefined ? {} : { thickMm }) });
    }
  }
  for (const spent of plan.tasks.flatMap((t) => t.spends ?? [])) {
    const row = need(spent.material);
    if (spent.of === 'volume') row.ml = (row.ml ?? 0) + spent.ml;
    else row.sheets = (row.sheets ?? 0) + spent.sheets;
  }
  const products = new Map<string, Need>();
  for (const { colourId, name, productMl, carrierMl, carrier } of [
    ...plan.repairs.flatMap((r) => r.colours),
    ...plan.evening,
  ]) {
    const row = products.get(colourId) ?? { id: `colour/${colourId}`, label: name, ml: 0, wood: [], tool: false }; // prettier-ignore
    const thinnerMl = (row.thinner?.ml ?? 0) + carrierMl;
    products.set(colourId, {
      ...row,
      ml: (row.ml ?? 0) + productMl,
      ...(thinnerMl > 0 ? { thinner: { ml: thinnerMl, label: carrier } } : {}),
    });
  }
  return [...needs.values(), ...products.values()];
}

/** Only whole sheets are bought. */
const wholeSheets = (sheets: number): string => {
  const count = Math.max(1, Math.ceil(sheets - 1e-9));
  return `${count} ${count === 1 ? 'sheet' : 'sheets'}`;
};

/** How much of it, in words; nothing for what only has to be at hand. @param length a length in words */
export function needWords(
  { grams, ml, thinner, sheets, pieces = [], wood }: Need,
  length: (mm: number) => string,
): string {
  const small = (value: number, unit: string): string => `${formatSmall(value)} ${unit}`;
  return [
    ...(grams === undefined ? [] : [small(grams, 'g')]),
    ...(ml === undefined ? [] : [`${small(ml, 'ml')}${thinner ? ` with ${small(thinner.ml, 'ml')} of ${thinner.label}` : ''}`]),
    ...(sheets === undefined ? [] : [wholeSheets(sheets)]),
    ...pieces.map((p) => `${p.count} of ${length(p.diameterMm)}`),
    ...wood.map((w) => `${length(w.alongMm)} × ${length(w.acrossMm)}${w.thickMm === undefined ? '' : ` × ${length(w.thickMm)}`}`),
  ].join(', '); // prettier-ignore
}

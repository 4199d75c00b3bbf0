import type { BenchTask } from '../bench';
import { phaseLabel } from '../catalogue';
import {
  handWords,
  isTicked,
  needsOf,
  needWords,
  planTable,
  type Damage,
  type Face,
  type Named,
  type Piece,
  type Plan,
  type Shop,
  wholeHands,
} from '../job';
import { setPages, type Block, type Page, type Paper } from '../print';
import { CAUTIONS, type CautionId } from '../safety';
import { SCHOOLS } from '../terms';
import { formatMinutes } from '../units';
import { clampById } from '../press';
import { mapMarks, type ReportPictures } from './reportPages';

export type SheetOf = {
  piece: Named<Piece>;
  faces: readonly Named<Face>[];
  damages: readonly Named<Damage>[];
  plan: Plan;
  shop: Shop;
  /** The day on which the last step ends, where there are days. */
  ready?: string;
};

function stepWords(task: BenchTask, names: ReadonlyMap<string, string>): string {
  const clamps = Object.entries(task.needs).map(([id, n]) => `${n} × ${clampById(id).label}`);
  const faces = (task.faces ?? []).flatMap((id) => names.get(id) ?? []);
  return [
    handWords(task),
    ...(task.unattendedMin > 0 ? [`then ${formatMinutes(task.unattendedMin)} of waiting`] : []),
    ...clamps,
    ...(faces.length > 0 ? [`on ${faces.join(', ').toLowerCase()}`] : []),
  ].join(', ');
}

/** The job sheet of a piece, to hang over the bench: every step with a box to tick, figures, amounts, cautions, faces. */
export function jobSheet(
  { piece, faces, damages, plan, shop, ready }: SheetOf,
  pictures: Pick<ReportPictures, 'faces'>,
  paper: Paper,
  length: (mm: number) => string,
  today: string,
): Page[] {
  const table = planTable(plan, piece);
  const ticked = new Set(plan.done.map((d) => d.taskId));
  const names = new Map(faces.map((f) => [f.id, f.body.name]));
  const row = (left: string, right: string): Block => ({ kind: 'row', left, right });
  const needs = needsOf(plan, shop);
  const cautions = [...new Set(plan.tasks.flatMap((t) => t.cautions))];
  const numbers = new Map<CautionId, number>(cautions.map((c, i) => [c, i + 1]));
  const said = (t: BenchTask): string =>
    t.cautions.length > 1 ? ` Cautions ${t.cautions.map((c) => numbers.get(c)).join(', ')}.` : '';
  const blocks: Block[] = [
    { kind: 'heading', level: 1, text: `Job sheet: ${piece.body.name}` },
    row('School', SCHOOLS[piece.body.school].label),
    ...(piece.body.client ? [row('Owner', piece.body.client)] : []),
    ...(piece.body.deadline ? [row('Wanted by', piece.body.deadline)] : []),
    ...(ready ? [row('Ready on', ready)] : []),
    row('Hands', wholeHands(table)),
    row('Printed on', today),
    ...table.rows.filter((r) => r.faceId).map((r) => row(r.name, `${r.words}${r.part ? `; finished apart, with ${r.part.toLowerCase()}` : ''}`)),
    ...plan.problems.map((text): Block => ({ kind: 'paragraph', text })),
  ]; // prettier-ignore
  for (const phase of table.phases) {
    blocks.push({ kind: 'heading', level: 2, text: phaseLabel(phase) });
    for (const task of plan.tasks.filter((t) => t.phase === phase)) {
      blocks.push(
        isTicked(task)
          ? { kind: 'check', title: task.title, detail: `${stepWords(task, names)}. ${task.detail}${said(task)}`, ticked: ticked.has(task.id) } // prettier-ignore
          : { kind: 'paragraph', quiet: true, text: `${task.title}: ${formatMinutes(task.unattendedMin)}. ${task.detail}` }, // prettier-ignore
      );
    }
  }
  blocks.push({ kind: 'heading', level: 2, text: 'What it takes' });
  for (const n of needs)
    blocks.push(row(n.label, [needWords(n, length) || 'at hand', ...(n.stands === 'missing' || n.stands === 'listed' ? ['to be bought'] : [])].join(', '))); // prettier-ignore
  const maps = faces.flatMap((face): Block[] => {
    const onFace = damages.filter((d) => d.body.faceId === face.id);
    const map = onFace.length > 0 ? mapMarks(face, onFace, pictures.faces.get(face.id)) : undefined;
    return map ? [{ kind: 'drawing', ...map, caption: face.body.name }] : [];
  });
  if (maps.length > 0) blocks.push({ kind: 'heading', level: 2, text: 'Where' }, ...maps);
  blocks.push({ kind: 'heading', level: 2, text: 'Cautions' });
  for (const c of cautions) blocks.push({ kind: 'paragraph', text: `${numbers.get(c)}. ${CAUTIONS[c]}` });
  return setPages(blocks, paper, `${piece.body.name}, job sheet of ${today}`);
}

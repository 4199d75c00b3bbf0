import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fontkit from '@pdf-lib/fontkit';
import { GOLDEN, type Golden } from '../../testing/goldenJobs';
import { DEFAULT_SHOP, isTicked, newDamage, planOf, type Job, type LogEntry } from '../job';
import { PAPERS, printable, type Mark, type Page, type Paper } from '../print';
import { CAUTIONS } from '../safety';
import { formatMinutes } from '../units';
import { jobSheet } from './jobSheet';
import { recordPages } from './recordPages';

/** The printed face itself says how wide a line becomes. */
const faces = (['Text.ttf', 'TextBold.ttf'] as const).map((name) =>
  fontkit.create(readFileSync(join(__dirname, '../../../assets/fonts', name))),
);
function widthMm({ text, sizeMm, bold }: Extract<Mark, { kind: 'text' }>): number {
  const face = faces[bold ? 1 : 0];
  if (!face) throw new Error('The face is not there.');
  return (face.layout(printable(text)).advanceWidth / face.unitsPerEm) * sizeMm;
}

const textsOf = (pages: readonly Page[]) =>
  pages.flatMap((p) => p.marks.flatMap((m) => (m.kind === 'text' ? [m] : [])));
const wordsOf = (pages: readonly Page[]): string =>
  textsOf(pages)
    .map((m) => m.text)
    .join(' ');
const length = (mm: number): string => `${mm.toFixed(0)} mm`;
const sheetOf = (job: Job, paper: Paper): Page[] =>
  jobSheet({ ...job, plan: planOf(job) }, { faces: new Map() }, paper, length, '2026-03-02');

describe.each(Object.entries(GOLDEN))('%s', (...[, { job, steps, takes }]: [string, Golden]) => {
  test.each(['a4', 'letter'] as const)('its sheet on %s: every step, minute and millilitre', (paper) => {
    const pages = sheetOf(job, paper);
    const words = wordsOf(pages);
    const boxes = pages.flatMap((p) => p.marks).filter((m) => m.kind === 'polygon');
    const { tasks } = planOf(job);
    expect(boxes).toHaveLength(tasks.filter(isTicked).length);
    // The minutes worked out by hand stand on the paper, step by step, in that order.
    let from = 0;
    for (const [i, step] of steps.entries()) {
      const [, hands] = step.split(' ');
      const told = `${tasks[i]?.title ?? '?'} ${formatMinutes(Number(hands))}`;
      const at = words.indexOf(told, from);
      expect([told, at >= from]).toEqual([told, true]);
      from = at;
    }
    const list = words.slice(words.indexOf('What it takes'));
    for (const [material, amount] of Object.entries(takes))
      if (material !== 'paper' && amount >= 10) expect(list).toContain(`${Math.ceil(amount)} ml`);
    for (const c of new Set(tasks.flatMap((t) => t.cautions)))
      expect(words).toContain(CAUTIONS[c].slice(0, 40));
    expect(words).not.toMatch(/undefined|NaN|Infinity/);
  });

  test('nothing runs over the edge of the paper, as the face itself is wide', () => {
    for (const paper of ['a4', 'letter'] as const)
      for (const m of textsOf(sheetOf(job, paper))) {
        expect(m.at[0]).toBeGreaterThanOrEqual(10);
        expect(m.at[1]).toBeLessThan(PAPERS[paper].heightMm - 5);
        expect([m.text, m.at[0] + (m.centred ? widthMm(m) / 2 : widthMm(m)) < PAPERS[paper].widthMm - 8]).toEqual([m.text, true]); // prettier-ignore
      }
  });

  test('ticked as planned, the record says the same steps and minutes', () => {
    const { tasks } = planOf(job);
    const log = tasks.filter(isTicked).map((t, i) => ({
      id: `l${i}`,
      body: { pieceId: 'p', taskId: t.id, title: t.title, doneAt: '2026-03-02T09:00:00', actualMin: t.attendedMin, note: '', pictures: [] } satisfies LogEntry,
    })); // prettier-ignore
    const pages = recordPages({ ...job, log, pictures: new Map(), shop: DEFAULT_SHOP, length, area: String });
    const words = wordsOf(pages);
    for (const step of steps)
      expect(words).toContain(`2026-03-02 09:00, ${formatMinutes(Number(step.split(' ')[1]))}`);
    for (const { body } of log) expect(words).toContain(body.title);
  });
});

test('a marked face is drawn with its numbers, and what is to be bought is said', () => {
  const [golden] = Object.values(GOLDEN);
  if (!golden) throw new Error('There are no golden jobs.');
  const { job } = golden;
  const [face] = job.faces;
  const damage = {
    id: 'd',
    body: { ...newDamage('p', face?.id, 7, 'dent'), mark: { tool: 'circle' as const, at: [0.5, 0.5] as [number, number], diameterMm: 20 } },
  }; // prettier-ignore
  const pages = sheetOf({ ...job, damages: [damage], shop: { ...job.shop, materials: [] } }, 'a4');
  expect(textsOf(pages).filter((m) => m.centred)).toMatchObject([{ text: '7' }]);
  expect(wordsOf(pages)).toContain('to be bought');
});

import type { MethodId } from '../src/core/catalogue';
import type { DamageKind } from '../src/core/damage';
import type { Point } from '../src/core/geometry';
import {
  amountWords,
  DEFAULT_SHOP,
  needsOf,
  needWords,
  newDamage,
  newFace,
  newPiece,
  planOf,
  worksheetPage,
  type Amount,
  type Damage,
  type Face,
  type Named,
  type Piece,
} from '../src/core/job';
import { formatLength } from '../src/core/units';
import { expect, pdfText, putStored, save, test } from './fixtures';

const named = <B>(id: string, body: B): Named<B> => ({ id, body });
const WHOLE: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
const face = (name: string, more: Partial<Face>): Face => ({
  ...newFace('chest', name),
  boardMm: 18,
  scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 600, heightMm: 400 },
  grain: [[0, 0.5], [1, 0.5]], // prettier-ignore
  ...more,
});
/** A veneered top and a solid board, both of 600 × 400 mm. */
const FACES = [
  named('veneered', face('Top', { build: 'solidCore', veneerMm: 0.8, species: 'walnut' })),
  named('solid', face('Board', { build: 'solid', veneerMm: 0, species: 'oak' })),
];
/** A place of so many millimetres round a point. */
const place = (x: number, y: number, w: number, h: number): Point[] =>
  [[-w, -h], [w, -h], [w, h], [-w, h]].map(([dx = 0, dy = 0]): Point => [(x + dx / 2) / 600, (y + dy / 2) / 400]); // prettier-ignore
const line = (x: number, y: number, lengthMm: number, widthMm: number): NonNullable<Damage['mark']> => ({
  tool: 'line',
  points: [[x / 600, y / 400], [(x + lengthMm) / 600, y / 400]], // prettier-ignore
  widthMm,
});
const circle = (x: number, y: number, diameterMm: number): NonNullable<Damage['mark']> => ({ tool: 'circle', at: [x / 600, y / 400], diameterMm }); // prettier-ignore

type Case = { on: 'veneered' | 'solid'; kind: DamageKind; method: MethodId } & Partial<
  Pick<Damage, 'outline' | 'mark' | 'answers'>
>;
// prettier-ignore
const CASES: Case[] = [
  { on: 'veneered', kind: 'liftedEdge', method: 'floodAndPress', outline: place(300, 380, 120, 40) },
  { on: 'veneered', kind: 'blister', method: 'injectAndPress', outline: place(150, 200, 70, 50) },
  { on: 'veneered', kind: 'looseVeneer', method: 'warmCaul', outline: place(450, 200, 160, 90) },
  { on: 'veneered', kind: 'looseVeneer', method: 'liftAndRelay', outline: place(200, 90, 100, 60) },
  { on: 'veneered', kind: 'missingVeneer', method: 'veneerPatch', outline: place(430, 90, 78, 41) },
  { on: 'veneered', kind: 'wornThrough', method: 'harvestedPatch', outline: place(320, 260, 55, 30) },
  { on: 'veneered', kind: 'chippedVeneer', method: 'polyesterFiller', outline: place(90, 300, 24, 13), answers: { depthMm: 0.8 } },
  { on: 'solid', kind: 'hole', method: 'epoxyFill', outline: [], mark: circle(100, 60, 22), answers: { depthMm: 14 } },
  { on: 'solid', kind: 'hole', method: 'facePlug', outline: [], mark: circle(200, 60, 9), answers: { depthMm: 12 } },
  { on: 'solid', kind: 'hole', method: 'uvResin', outline: [], mark: circle(300, 60, 6), answers: { depthMm: 5 } },
  { on: 'solid', kind: 'gouge', method: 'bareFiller', outline: place(420, 60, 60, 9), answers: { depthMm: 4 } },
  { on: 'solid', kind: 'gouge', method: 'burnIn', outline: place(520, 60, 30, 7), answers: { depthMm: 2 } },
  { on: 'solid', kind: 'gouge', method: 'dutchman', outline: place(120, 160, 74, 33), answers: { depthMm: 7 } },
  { on: 'solid', kind: 'scratch', method: 'hardWax', outline: [], mark: line(220, 160, 120, 1.5), answers: { depthMm: 1 } },
  { on: 'solid', kind: 'endSplit', method: 'glueSplit', outline: [], mark: line(0, 220, 180, 1) },
  { on: 'solid', kind: 'longCrack', method: 'sliver', outline: [], mark: line(200, 260, 260, 2) },
  { on: 'solid', kind: 'openGlueLine', method: 'dowelJoint', outline: [], mark: line(0, 300, 600, 0.5) },
  { on: 'solid', kind: 'colourMismatch', method: 'toneIn', outline: place(420, 180, 150, 60) },
  { on: 'solid', kind: 'blackMark', method: 'oxalicAcid', outline: place(520, 340, 90, 70) },
  { on: 'solid', kind: 'shadow', method: 'woodBleach', outline: place(150, 350, 110, 50) },
];

const piece = named<Piece>('chest', {
  ...newPiece('Chest of twenty', '2026-03-02T08:00:00'),
  goal: 'shellac',
});
const damages = CASES.map(({ on, ...more }, i) =>
  named<Damage>(`case-${i + 1}`, { ...newDamage('chest', on, i + 1, more.kind), outline: [], ...more }),
);
const length = (mm: number): string => formatLength(mm, 'mm');
const wordsOf = (amount: Amount): string[] => [amountWords(amount, length)].flatMap((w) => w ?? []);
/** A patch shows its sides as figures of their own, and no glue. */
const sidesOf = (amount: Amount): string[] => {
  if (amount.material === 'veneer' && amount.of === 'wood')
    return [length(amount.alongMm), length(amount.acrossMm)];
  return wordsOf(amount);
};
const glueOf = (amount: Amount): string[] => (amount.of === 'weight' ? wordsOf(amount) : []);

const FOOT = /Chest of twenty, job sheet of [\d-]+ \d+ of \d+ /g;

test('twenty repairs: what their pages work out stands at the bench, on the list and on the job sheet', async ({
  page,
}) => {
  test.setTimeout(300_000);
  expect(new Set(CASES.map((c) => c.method)).size).toBe(20);
  const plan = planOf({ piece, faces: FACES, damages, shop: DEFAULT_SHOP });
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Add a piece' })).toBeVisible();
  await putStored(page, [
    { kind: 'piece', ...piece },
    ...FACES.map((f) => ({ kind: 'face' as const, ...f })),
    ...damages.map((d) => ({ kind: 'damage' as const, ...d })),
  ]);
  const text = async (): Promise<string> => (await page.locator('body').innerText()).replace(/\s+/g, ' ');

  for (const { damageId, links, method = 'leave' } of plan.repairs) {
    const link = links.find((l) => l.method === method);
    if (!link) throw new Error(`${damageId} has no worksheet.`);
    await test.step(`${method}: its page`, async () => {
      await page.goto(worksheetPage(damageId, method, method));
      const own = link.worksheet === 'patch' ? link.amounts.filter((a) => a.of === 'wood') : link.amounts;
      for (const words of own.flatMap(sidesOf))
        await expect.poll(text, { message: `${method}: ${words}` }).toContain(words);
      if (link.worksheet !== 'patch') return;
      // A patch is cut on one page and glued on another.
      await page.goto(`/damage/${damageId}/press`);
      for (const words of link.amounts.flatMap(glueOf))
        await expect.poll(text, { message: `${method}: ${words}` }).toContain(words);
    });
  }

  const sheetSteps = plan.tasks.filter((t) => t.places);
  await page.goto('/piece/chest/plan');
  await expect(page.getByText('What it takes')).toBeVisible();
  for (const need of needsOf(plan, DEFAULT_SHOP).filter((n) => !n.tool))
    await expect(page.getByText(needWords(need, length), { exact: true }).first()).toBeVisible();
  // Without what stands at the foot of every page, in the middle of whatever goes on over it.
  const sheet = pdfText(await save(page, 'Job sheet as PDF')).replace(FOOT, '');
  const flat = (words: string): string => words.replace(/\s+/g, ' ').trim();
  for (const t of sheetSteps) expect(sheet).toContain(flat(t.detail));
  for (const need of needsOf(plan, DEFAULT_SHOP).filter((n) => !n.tool))
    expect(sheet).toContain(flat(needWords(need, length)));

  await page.goto('/bench?piece=chest');
  for (const { damageId, method } of plan.repairs) {
    const carrier = sheetSteps.find((t) => t.places?.includes(damageId) && t.method === method && /\d/.test(t.detail)); // prettier-ignore
    if (!carrier) continue;
    await test.step(`${method}: at the bench`, async () => {
      const row = page.getByRole('button', { name: carrier.title }).first();
      await row.click();
      await expect(page.getByText(flat(carrier.detail)).first()).toBeVisible();
      await row.click();
    });
  }
});

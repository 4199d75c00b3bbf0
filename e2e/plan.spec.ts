import type { Page } from '@playwright/test';
import { GOLDEN } from '../demo/goldenJobs';
import { needsOf, needWords, planOf, planTable } from '../src/core/job';
import { formatMinutes } from '../src/core/units';
import { bringDemo, expect, pdfText, putStored, save, storedTexts, test } from './fixtures';

const isNarrow = (page: Page): boolean => (page.viewportSize()?.width ?? 0) < 700;
const WHEN = '2026-03-02T08:00:00';
const JOBS = Object.entries(GOLDEN).map(([name, { job, steps }], i) => ({ name, job, steps, id: `job${i}` }));

test('twelve jobs from the survey to the job sheet: the page, the bench and the sheet agree with the plan', async ({
  page,
}) => {
  test.setTimeout(360_000);
  await bringDemo(page);
  const envelope = { version: 5, revision: 1, savedAt: WHEN };
  const moved = JOBS.map(({ job, ...rest }) => ({
    ...rest,
    piece: { id: rest.id, body: { ...job.piece.body, name: rest.id } },
    faces: job.faces.map((f) => ({ id: `${rest.id}-${f.id}`, body: { ...f.body, pieceId: rest.id } })),
    job,
  }));
  await putStored(
    page,
    moved.flatMap(({ piece, faces }) => [
      { kind: 'piece', ...envelope, ...piece },
      ...faces.map((f) => ({ kind: 'face', ...envelope, ...f })),
    ]),
  );
  for (const { name, id, piece, faces, job } of moved) {
    await test.step(name, async () => {
      const plan = planOf({ ...job, piece, faces });
      const table = planTable(plan, piece);
      await page.goto(`/piece/${id}/plan`);
      await expect(page.getByText(`${formatMinutes(table.handsMin)} of hands in all`)).toBeVisible();
      for (const need of needsOf(plan, job.shop).filter((n) => !n.tool))
        await expect(page.getByText(needWords(need, String), { exact: true }).first()).toBeVisible();
      const sheet = pdfText(await save(page, 'Job sheet as PDF'));
      expect(sheet).toContain(`${formatMinutes(table.handsMin)} in all`);
      for (const t of plan.tasks.filter((o) => o.attendedMin > 0)) {
        expect(sheet).toContain(t.title);
        expect(sheet).toContain(formatMinutes(t.attendedMin));
      }
      await page.goto(`/bench?piece=${id}`);
      await expect(page.getByText(`${formatMinutes(table.leftMin)}`).first()).toBeVisible({
        timeout: 20_000,
      });
    });
  }
});

test('a painted case with a clear top, entered by hand: survey, preparation, plan, own step, a tick, and a face that comes later', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await page.goto('/');
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Wash stand');
  await page.getByRole('textbox', { name: 'Name' }).blur();
  const about = page.url();
  const pieceUrl = about.replace(/\/about.*/, '');
  await page.getByRole('radio', { name: 'Paint', exact: true }).first().click();
  const addFace = async (name: string): Promise<void> => {
    await page.goto(about);
    await page.getByRole('button', { name: 'Add a face without a photo' }).click();
    await page.getByRole('textbox', { name: 'Name of the face' }).fill(name);
    await page.getByRole('textbox', { name: 'Name of the face' }).blur();
    await page.getByRole('button', { name: 'Take this size' }).click();
  };
  await addFace('Case');
  await page.getByRole('radio', { name: 'Solid wood, no veneer' }).click();
  await page.getByRole('radio', { name: 'Varnish or polyurethane' }).click();
  await page.getByRole('radio', { name: 'Sound', exact: true }).click();
  await expect(page.getByRole('heading', { name: /^Strip/ })).toBeVisible();
  await page.goto(about);
  await page.getByRole('radio', { name: 'Paint', exact: true }).last().click();
  await page.goto(`${pieceUrl}/plan`);
  await expect(page.getByText('Scuff and coat over, then paint.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Wash and scuff the old finish/ })).toBeVisible();

  await test.step('an own step of 0 minutes is refused, one of 45 is planned', async () => {
    await page.getByRole('button', { name: 'Add a step of your own' }).click();
    await page.getByRole('textbox', { name: 'What is done' }).fill('Line the drawer');
    await page.getByRole('radio', { name: 'Top coats' }).click();
    const takes = page.getByRole('textbox', { name: /^It takes/ }).last();
    await takes.fill('0');
    await takes.press('Enter');
    await expect(page.getByText(/“0” is not a number between 1 and 1440/)).toBeVisible();
    await takes.fill('10000');
    await takes.press('Enter');
    await expect(page.getByText(/“10000” is not a number between 1 and 1440/)).toBeVisible();
    await takes.fill('45');
    await takes.press('Enter');
    await page.getByRole('button', { name: 'Add the step' }).click();
    await expect(page.getByRole('button', { name: 'Take out: Line the drawer' })).toBeVisible();
    expect((await storedTexts(page, 'piece/')).join()).toContain('"attendedMin":45');
  });

  await test.step('a step is ticked at the bench; a face that comes later is done in a round of its own', async () => {
    await page.goto(`/bench?piece=${pieceUrl.split('/').pop() ?? ''}`);
    for (const step of ['Photograph, clean, take off hardware', 'Wash and scuff the old finish']) {
      await expect(page.getByRole('heading', { name: step, exact: true })).toBeVisible({ timeout: 20_000 });
      await page.getByRole('button', { name: 'Tick it off' }).click();
      await page.getByRole('button', { name: `Done: ${step}` }).click();
      await expect.poll(async () => (await storedTexts(page, 'log/')).join()).toContain(step);
    }
    await addFace('Door');
    await page.getByRole('radio', { name: 'Solid wood, no veneer' }).click();
    await page.getByRole('radio', { name: 'Varnish or polyurethane' }).click();
    await page.getByRole('radio', { name: 'Sound', exact: true }).click();
    await page.goto(`${pieceUrl}/plan`);
    await expect(page.getByText(/^2 of|are left\./).first()).toBeVisible();
    if (isNarrow(page)) await page.getByRole('radio', { name: 'Door' }).click();
    else await page.getByRole('button', { name: /^Door, strip: 0 of 1/ }).click();
    await expect(page.getByText(/Here: Door\./)).toHaveCount(0);
    await page.getByRole('button', { name: /^Wash and scuff the old finish/ }).click();
    await expect(page.getByText(/Here: Door\./)).toBeVisible();
  });
});

test('a phase is moved where the trade moves it, and told why where it never goes', async ({ page }) => {
  test.setTimeout(120_000);
  await bringDemo(page);
  await page.goto('/piece/lectern/plan');
  await expect(page.getByText(/of hands in all/)).toBeVisible();
  if (isNarrow(page)) {
    await page.getByRole('button', { name: 'The order of the work' }).click();
    await page.getByRole('button', { name: 'Try another place for a phase' }).click();
    await page.getByRole('button', { name: 'Patch earlier' }).click();
  } else {
    // Dragged over the strip to its left.
    const head = page.getByRole('columnheader', { name: /^Patch/ });
    const box = await head.boundingBox();
    if (!box) throw new Error('the head of the column is not shown');
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x - box.width, box.y + box.height / 2, { steps: 6 });
    await page.mouse.up();
  }
  await expect(page.getByText('Patch was moved. No step is lost by it.')).toBeVisible();
  expect((await storedTexts(page, 'piece/lectern')).join()).toContain('"patchOrder":"before"');
  if (isNarrow(page)) {
    await page.getByRole('button', { name: 'Reglue veneer later' }).click();
  } else {
    const head = page.getByRole('columnheader', { name: /^Reglue/ });
    const box = await head.boundingBox();
    if (!box) throw new Error('the head of the column is not shown');
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + 2.6 * box.width, box.y + box.height / 2, { steps: 6 });
    await page.mouse.up();
  }
  await expect(page.getByText(/Reglue veneer comes before/)).toBeVisible();
  await page.goto('/piece/lectern/plan');
  await page.getByRole('button', { name: 'The order of the work' }).click();
  await page.getByRole('button', { name: 'What moving it would change' }).click();
  await expect(page.getByText(/as many steps/).first()).toBeVisible({ timeout: 30_000 });
});

test('parts that wait for each other are told; a screw gets its place on the photo; a repair that grew is planned anew', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await bringDemo(page);
  await page.goto('/piece/table/parts');
  const holds = page.getByRole('button', { name: 'How it is held, and where it was' });
  await holds.first().click();
  await page.getByRole('checkbox', { name: 'Leaves', exact: true }).first().click();
  await expect(page.getByText(/wait for each other: none of them could go in first/)).toBeVisible();
  await page.goto('/piece/table/plan');
  await expect(page.getByText('These parts cannot go in')).toBeVisible();
  await page.goto('/piece/cabinet/parts');
  await holds.first().click();
  await page
    .getByRole('group', { name: /^Photo on which/ })
    .first()
    .click();
  await expect.poll(async () => (await storedTexts(page, 'piece/cabinet')).join()).toContain('"spot"');
  await page.goto('/damage/lectern-2');
  await page.getByRole('button', { name: 'It turned out to be more' }).click();
  await page
    .getByRole('textbox', { name: 'What has shown itself' })
    .fill('The chip ran on under the finish.');
  await page.getByRole('button', { name: 'Plan it anew' }).click();
  await expect(page.getByRole('button', { name: 'It has grown (1)' })).toBeVisible();
  await expect(page.getByText(/The chip ran on under the finish\./).first()).toBeVisible();
});

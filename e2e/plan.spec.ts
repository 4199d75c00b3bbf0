import type { Page } from '@playwright/test';
import { GOLDEN } from '../src/testing/goldenJobs';
import { needsOf, needWords, planOf, planTable, roundTime, wholeHands, type Face } from '../src/core/job';
import { BUILDS, FINISH_GOALS, FINISH_STATES, FINISHES_NOW, PROFILES, SCHOOLS } from '../src/core/terms';
import { bringDemo, expect, pdfText, save, storedTexts, test } from './fixtures';

const isNarrow = (page: Page): boolean => (page.viewportSize()?.width ?? 0) < 700;
const JOBS = Object.entries(GOLDEN).map(([name, { job }]) => ({ name, job }));

/** Enters a face as a person would, from its name to the part it belongs to. */
async function enterFace(page: Page, about: string, face: Face): Promise<void> {
  const radio = (group: string, label: string) =>
    page.getByRole('radiogroup', { name: group, exact: true }).getByRole('radio', { name: label, exact: true }).click(); // prettier-ignore
  const fill = async (label: string | RegExp, text: string): Promise<void> => {
    const box = page.getByRole('textbox', { name: label }).first();
    await box.fill(text);
    await box.press('Enter');
  };
  await page.goto(about);
  await page.getByRole('button', { name: 'Add a face without a photo' }).click();
  await fill('Name of the face', face.name);
  const { scale } = face;
  if (scale?.kind !== 'rectangle') throw new Error('A golden face has a size.');
  await fill(/^Width/, String(scale.widthMm));
  await fill(/^Height/, String(scale.heightMm));
  await radio('Build', BUILDS[face.build]);
  if (face.build !== 'solid') await fill('Veneer thickness', String(face.veneerMm));
  await radio('Finish on it now', FINISHES_NOW[face.finishNow]);
  if (face.finishState) await radio('State of the finish', FINISH_STATES[face.finishState]);
  if (face.profile) await radio('What a hand has to follow', PROFILES[face.profile]);
  if (face.alike) await fill(/^Faces that are alike/, String(face.alike));
  if (face.school || face.goal) {
    await page.getByRole('button', { name: 'This face is treated otherwise than the piece' }).click();
    if (face.school) await radio('School of this face', SCHOOLS[face.school].label);
    if (face.goal) await radio('Finish of this face in the end', FINISH_GOALS[face.goal]);
  }
  if (face.part) {
    await page.getByRole('button', { name: 'Its part, and its back' }).click();
    await fill('Part it belongs to', face.part);
  }
}

test('twelve jobs entered by hand, from the survey to the job sheet', async ({ page }) => {
  test.setTimeout(600_000);
  for (const { name, job } of JOBS) {
    await test.step(name, async () => {
      const { piece, faces } = job;
      await page.goto('/');
      await page.getByRole('button', { name: 'Add a piece' }).click();
      await page.waitForURL(/about/);
      const about = page.url();
      const pieceUrl = about.replace(/\/about.*/, '');
      await page.getByRole('radiogroup', { name: 'School', exact: true }).getByRole('radio', { name: SCHOOLS[piece.body.school].label, exact: true }).click(); // prettier-ignore
      await page.getByRole('radiogroup', { name: 'Finish in the end' }).getByRole('radio', { name: FINISH_GOALS[piece.body.goal], exact: true }).click(); // prettier-ignore
      for (const f of faces) await enterFace(page, about, f.body);
      await page.goto(`${pieceUrl}/plan`);
      for (const part of piece.body.apart ?? []) {
        await page.getByRole('button', { name: 'The order of the work' }).click();
        await page.getByRole('button', { name: 'What moving it would change' }).click();
        await page.getByRole('button', { name: `Take: ${part}: finished apart from the frame` }).click();
      }
      const plan = planOf(job);
      await expect(page.getByText(`Hands: ${wholeHands(planTable(plan, piece))}.`)).toBeVisible();
      for (const need of needsOf(plan, job.shop).filter((n) => !n.tool))
        await expect(page.getByText(needWords(need, String), { exact: true }).first()).toBeVisible();
      const sheet = pdfText(await save(page, 'Job sheet as PDF'));
      for (const t of plan.tasks.filter((o) => o.attendedMin > 0)) expect(sheet).toContain(t.title);
      await page.goto(`/bench?piece=${pieceUrl.split('/').pop() ?? ''}`);
      await expect(page.getByText(roundTime(planTable(plan, piece).leftMin), { exact: true }).first()).toBeVisible({ timeout: 20_000 }); // prettier-ignore
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
  // Shellac holds on a sound varnish once it is scuffed.
  await expect(page.getByRole('heading', { name: 'Scuff and coat over' })).toBeVisible();
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
  await expect(page.getByText(/^Hands: .* in all/)).toBeVisible();
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

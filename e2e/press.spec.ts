import { bringDemo, expect, pdfText, save, storedTexts, test } from './fixtures';

test('the pressure under the platen follows the stack; the bow of the caul goes to paper', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/damage/lectern-1/press');
  await expect(page.getByText('Pressure under the platen')).toBeVisible({ timeout: 20_000 });
  await expect(page.getByRole('button', { name: /^Well pressed: 100 %/ })).toBeVisible();
  const greatest = page.getByRole('button', { name: /^Greatest:/ });
  const before = (await greatest.getAttribute('aria-label')) ?? '';
  // A thin platen and a thin caul press harder under the clamps.
  await page.getByRole('button', { name: 'Change glue, clamps or the stack' }).click();
  const platen = page.getByRole('textbox', { name: 'Platen thickness' });
  await platen.fill('3');
  await platen.press('Enter');
  const caul = page.getByRole('textbox', { name: 'Caul height' });
  await caul.fill('10');
  await caul.press('Enter');
  await expect(greatest).not.toHaveAccessibleName(before);
  await expect(page.getByText(/The 45° rule says \d+ % is pressed/)).toBeVisible();
  await platen.fill('0');
  await platen.press('Enter');
  await expect(page.getByText('The platen has 0 mm')).toBeVisible();
  await page.getByRole('button', { name: 'Back to the defaults' }).click();
  await page.getByRole('button', { name: 'Bow of the caul' }).click();
  await expect(page.getByText('In the middle')).toBeVisible();
  const text = pdfText(await save(page, 'Print the curve at full size (PDF)'));
  expect(text).toContain('Caul for Lectern, Lifted edge, no. 1');
  expect(text).toContain('it must be 100 mm');
});

test('a glue-up runs on through a reload, and writes what it took to the log', async ({ page }) => {
  await bringDemo(page);
  await page.goto('/damage/lectern-1/press');
  await page.getByRole('button', { name: 'Start the glue-up' }).click();
  await expect(page.getByText('Within reach before the glue is out')).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Places' })).toHaveCount(0);
  await page.getByRole('checkbox', { name: 'Everything closed once, dry' }).click();
  await page.getByRole('button', { name: 'Start: the first glue is on' }).click();
  const timer = page.getByRole('timer');
  await expect(timer).toHaveAccessibleName(/\d+:\d\d left to get the clamps on/);
  await expect
    .poll(async () => (await storedTexts(page, 'damage/lectern-1')).join())
    .toContain('"startedAt"');
  await page.reload();
  await expect(timer).toHaveAccessibleName(/left to get the clamps on/);
  await page.getByRole('button', { name: 'All clamps are on' }).click();
  await expect(timer).toHaveAccessibleName(/until the clamps come off/);
  await expect(page.getByText('Clamps off at')).toBeVisible();
  await expect
    .poll(async () => (await storedTexts(page, 'log/')).join())
    .toContain('Glued and clamped: Lifted edge, no. 1');
  await page.getByRole('button', { name: 'Back to the bench' }).click();
  await expect(page.getByText('Your hands')).toBeVisible();
});

test('clamps are arranged, dragged and counted; the stack is dragged; the layout is kept', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/damage/lectern-1/press');
  // The page comes in parts: what stands above the button has to be there before it is pressed.
  await expect(page.getByRole('button', { name: /^Well pressed: / })).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'Arrange for me' }).click();
  await expect(page.getByText('The target is reached everywhere')).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('button', { name: /^Well pressed: 100 %/ })).toBeVisible();
  const arranged = page.getByText(/caul.* long.*, platen/);
  const words = await arranged.textContent();
  await expect.poll(async () => (await storedTexts(page, 'damage/lectern-1')).join()).toContain('"placed"');
  await page.reload();
  await expect(arranged).toHaveText(words ?? '', { timeout: 20_000 });
  await page.getByRole('radio', { name: 'Drag on the plan' }).click();
  const clamp = page.getByRole('button', { name: /^Clamp 1\./ });
  const least = page.getByRole('button', { name: /^Least:/ }).or(page.getByText('over the damage'));
  await expect(least.first()).toBeVisible();
  for (let i = 0; i < 4; i++) await clamp.press('Shift+ArrowLeft');
  // Pushed aside, it no longer presses everywhere.
  await expect(page.getByRole('button', { name: /^Well pressed: 100 %/ })).toBeHidden();
  await page.getByRole('button', { name: 'Add a clamp' }).click();
  await expect(page.getByRole('button', { name: /^Clamp 2\./ })).toBeVisible();
  const platen = page.getByRole('button', { name: /^Top of the platen\./ });
  for (let i = 0; i < 7; i++) await platen.press('ArrowUp');
  await expect(page.getByText(/platen 25 mm\./)).toBeVisible();
  await page.getByRole('button', { name: 'Back to the 45° layout' }).click();
  await expect(page.getByRole('button', { name: 'Back to the 45° layout' })).toBeHidden();
});

test('an opening deeper than the veneer is wide is refused; awkward shapes have their figures', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/damage/lectern-1/decide');
  await page.getByRole('button', { name: /What is known/ }).click();
  const opening = page.getByRole('textbox', { name: 'Opening at the mouth' });
  await opening.fill('90');
  await opening.press('Enter');
  await expect
    .poll(async () => (await storedTexts(page, 'damage/lectern-1')).join())
    .toContain('"openingMm":90');
  await page.goto('/damage/lectern-1/press');
  await expect(page.getByText('That opening cannot be')).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'Flood it, step by step' }).click();
  await expect(page.getByText('1. Prop the mouth open')).toBeVisible();
  await page.getByRole('button', { name: 'Rounds, edges, cups, cases, hammer' }).click();
  await page.getByRole('radio', { name: 'Half-round top' }).click();
  await expect(page.getByText(/Block cut to 72°/).first()).toBeVisible();
  await page.getByRole('radio', { name: 'Hammer veneering' }).click();
  await expect(page.getByText(/a section takes about/)).toBeVisible();
});

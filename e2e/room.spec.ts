import path from 'node:path';
import { bringDemo, expect, pdfText, pick, PICTURES, save, storedTexts, test } from './fixtures';

test('parts go on the tray and are ticked back; a photo keeps its role; the home’s air is entered', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/piece/stool/parts');
  await page.getByRole('radio', { name: 'Screws' }).click();
  await page.getByRole('textbox', { name: 'Where it came from' }).first().fill('Under the seat');
  await page.getByRole('textbox', { name: 'Odd one out' }).first().fill('One is shorter');
  await page.getByRole('textbox', { name: 'Length of the screws' }).fill('25');
  await page.getByRole('textbox', { name: 'Length of the screws' }).press('Enter');
  await page.getByRole('button', { name: 'Put it on the tray' }).click();
  await page.getByRole('checkbox', { name: 'Bag A is back in its place' }).click();
  await expect(page.getByText('1 of 1')).toBeVisible();
  await expect(page.getByText('Odd one out: One is shorter')).toBeVisible();
  expect((await storedTexts(page, 'piece/stool')).join()).toContain('"lengthMm":25');

  await page.goto('/piece/stool/about');
  await page.getByLabel('To be ready by').fill('2026-12-24');
  await page.getByRole('button', { name: 'The air where it lives' }).click();
  await page.getByRole('button', { name: 'Driest month: humidity: less' }).click();
  await expect
    .poll(async () => (await storedTexts(page, 'piece/stool')).join())
    .toContain('"relativeHumidity":0.35');
  await page.getByRole('button', { name: /^Photos of the whole piece/ }).click();
  await page.getByRole('radio', { name: 'In raking light' }).click();
  await pick(page, 'Add a photo', path.join(PICTURES, 'worn-floor.png'));
  await expect(page.getByRole('button', { name: 'Photos of the whole piece (1)' })).toBeVisible();
  const stored = async () => (await storedTexts(page, 'piece/stool')).join();
  await expect.poll(stored).toContain('"role":"raking"');
  expect(await stored()).toContain('2026-12-24');
});

test('the finish is told test by test and entered; readings come from the caliper and by hand', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/face/cabinet-side/tests');
  await page.getByRole('radio', { name: 'It stays on top and wipes off.' }).click();
  await page.getByRole('radio', { name: 'The cloth stays clean and the shine stays.' }).click();
  await page.getByRole('radio', { name: 'It turns soft or sticky.' }).click();
  await expect(page.getByRole('heading', { name: 'Shellac' })).toBeVisible();
  await page.getByRole('button', { name: 'Take back: A drop of linseed oil' }).click();
  await expect(page.getByRole('button', { name: 'Take back: A drop of linseed oil' })).toHaveCount(0);
  for (let i = 1; i <= 2; i++) {
    await page.getByRole('button', { name: 'Read the caliper' }).click();
    await expect(page.getByText(`${i} readings`)).toBeVisible();
  }
  const moisture = page.getByRole('textbox', { name: 'Moisture of the wood: a reading, %' });
  await moisture.fill('90');
  await moisture.blur();
  await page.getByRole('button', { name: 'Add the reading of moisture of the wood' }).click();
  await expect(page.getByText(/it must lie between 2 % and 40 %/)).toBeVisible();
});

test('half-round and many-sided faces, a sunburst and a border, are drawn and kept', async ({ page }) => {
  await bringDemo(page);
  await page.goto('/face/stool-seat');
  const kept = async (): Promise<string> => (await storedTexts(page, 'face/stool-seat')).join();
  await page.getByRole('radio', { name: 'Half-round' }).click();
  await page.getByRole('radio', { name: 'At the bottom' }).click();
  await expect.poll(kept).toContain('"straight":"bottom"');
  await page.getByRole('radio', { name: 'Many-sided' }).click();
  await page.getByRole('button', { name: 'Remove corner 1' }).click();
  await expect(page.getByRole('textbox', { name: 'Corner 7, right' })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Corner 8, right' })).toHaveCount(0);
  await page.goto('/face/stool-seat/grain');
  await page.getByRole('radio', { name: /^Sunburst/ }).click();
  const middle = page.getByRole('button', { name: /^Middle of the sunburst/ });
  await middle.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect.poll(kept).toContain('"kind":"radial"');
  await page.getByRole('radio', { name: 'Crossbanded border' }).click();
  await page.getByRole('textbox', { name: 'Width of the border' }).fill('30');
  await page.getByRole('textbox', { name: 'Width of the border' }).press('Enter');
  await expect.poll(kept).toContain('"widthMm":30');
});

test('what is left as it is carries its reason into the report', async ({ page }) => {
  await bringDemo(page);
  await page.goto('/damage/stool-2/decide');
  await page.getByRole('button', { name: /\. Leave it as it is/ }).click();
  await page.getByRole('button', { name: 'Choose this: Leave it as it is' }).click();
  const why = page.getByRole('textbox', { name: 'Why may it stay?' });
  await why.fill('Honest wear of fifty years');
  await why.blur();
  await expect.poll(async () => (await storedTexts(page, 'damage/stool-2')).join()).toContain('Honest wear');
  await page.goto('/piece/stool/report');
  expect(pdfText(await save(page, 'Report as PDF'))).toContain('Honest wear of fifty years');
});

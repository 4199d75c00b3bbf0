import { readFileSync } from 'node:fs';
import { bringDemo, expect, save, storedTexts, test } from './fixtures';

test('the stock is promised, cut and given back', async ({ page }) => {
  await bringDemo(page);
  await page.goto('/stock');
  await page.getByRole('link', { name: /^Cutting plan/ }).click();
  await expect(page.getByText(/^1 patch is still to be cut, from 1 sheet/)).toBeVisible();
  await expect(page.getByRole('img', { name: /to scale, its grain from left to right, with 1 patch/ })).toBeVisible(); // prettier-ignore
  await page.getByRole('button', { name: /^1\. is cut from Burr walnut/ }).click();
  await expect(page.getByText('Nothing to cut')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Largest whole piece')).toBeVisible();
});

test('an outline is designed, its corner dragged, and the patch is placed by hand on its sheet and printed on its picture', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/damage/lectern-2/patch');
  await page.getByRole('button', { name: 'Find the outline that is seen least' }).click();
  await expect(page.getByText('Seen least', { exact: true })).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'Take outline 2' }).click();
  await page.getByRole('button', { name: 'Drag its corners' }).click();
  const corner = page.getByRole('button', { name: /^Corner 1\. Drag it/ });
  await corner.focus();
  await corner.press('ArrowLeft');
  await expect(page.getByRole('button', { name: 'As it is worked out again' })).toBeVisible();
  await page.getByRole('button', { name: 'Place it by hand' }).click();
  const held = page.getByRole('img', { name: 'The face with the patch from where it is held' });
  await held.scrollIntoViewIfNeeded();
  const seen = (): Promise<string> =>
    held.evaluate((c) => (c instanceof HTMLCanvasElement ? c.toDataURL('image/jpeg', 0.3) : ''));
  await expect.poll(async () => (await seen()).length).toBeGreaterThan(4000);
  const before = await seen();
  const middle = page.getByRole('button', { name: /^The patch\. Drag it/ });
  await middle.focus();
  for (let i = 0; i < 4; i++) await middle.press('ArrowRight');
  await expect.poll(seen).not.toBe(before);
  await expect.poll(async () => (await storedTexts(page, 'damage/lectern-2')).join()).toContain('"spot"');
  const pdf = readFileSync(await save(page, 'On the picture of the sheet'));
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  expect(pdf.length).toBeGreaterThan(8000);
});

test('uneven light is taken out of a photo, and the photo handed back', async ({ page }) => {
  await bringDemo(page);
  await page.goto('/face/settle-back');
  await page.getByRole('button', { name: 'Set its colours right' }).click();
  await page.getByText('Even wood, for uneven light').click();
  await page.getByRole('button', { name: 'Set the colours of the photo right' }).click();
  await expect(page.getByText(/^The light was \d+ % brighter at one place/)).toBeVisible();
  expect((await storedTexts(page, 'face/settle-back')).join()).not.toContain('settle-photo');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect
    .poll(async () => (await storedTexts(page, 'face/settle-back')).join())
    .toContain('settle-photo');
});

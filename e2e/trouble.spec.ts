import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { bringDemo, changeStored, expect, storedTexts, test } from './fixtures';

test('a record that cannot be read is told on the page of its piece, and everything else stays', async ({
  page,
}) => {
  await bringDemo(page);
  await changeStored(page, 'damage/lectern-2', { number: 'two' });
  await page.goto('/piece/lectern');
  await expect(page.getByText('Not shown here, because it could not be read: 1 damage')).toBeVisible();
  await expect(page.getByRole('link', { name: /^Lifted edge, no. 1/ }).first()).toBeVisible();
  await page.getByRole('link', { name: 'See what was set aside' }).click();
  await expect(page.getByText('1 record could not be read')).toBeVisible();
  expect(await storedTexts(page, 'aside/damage/lectern-2')).toHaveLength(1);
});

test('a page whose part cannot be had says what happened and what is safe, and the way back works', async ({
  page,
  context,
  allowed,
}) => {
  await bringDemo(page);
  allowed('Failed to load resource');
  allowed('could not be loaded');
  await page.goto('/');
  await expect(page.getByRole('link', { name: /^Lectern/ })).toBeVisible();
  await page.evaluate(async () => {
    for (const r of await navigator.serviceWorker.getRegistrations()) await r.unregister();
    for (const key of await caches.keys()) await caches.delete(key);
  });
  await context.route(/workshop-[0-9a-f]+\.js/, (route) => route.fulfill({ status: 404, body: '' }));
  await page.goto('/piece/lectern');
  await expect(page.getByText('This page stopped')).toBeVisible();
  await expect(page.getByText('All that was saved is safe')).toBeVisible();
  await expect(page.getByText(/What happened: This part of the app could not be loaded/)).toBeVisible();
  const report = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a report to a file' }).click();
  expect((await report).suggestedFilename()).toBe('rustic-lantern-report.txt');
  await page.getByRole('button', { name: 'Back to the pieces' }).click();
  await expect(page.getByRole('link', { name: /^Lectern/ })).toBeVisible();
  await context.unroute(/workshop-[0-9a-f]+\.js/);
  await page.getByRole('link', { name: /^Lectern/ }).click();
  await expect(page.getByText('Now', { exact: true }).first()).toBeVisible();
});

test('a worker that the browser took away is started again, and the answer comes', async ({ page }) => {
  await bringDemo(page);
  await page.goto('/piece/lectern');
  await expect(page.getByText('Now', { exact: true }).first()).toBeVisible();
  const [worker] = page.workers();
  if (!worker) throw new Error('there is no worker');
  await worker.evaluate(() => self.close());
  // The page asks for another plan, and the old worker will never answer.
  await page.getByRole('navigation').getByRole('link', { name: 'Pieces' }).click();
  await page.getByRole('link', { name: /^Reading table/ }).click();
  await expect(page.getByText('Now', { exact: true }).first()).toBeVisible({ timeout: 30_000 });
});

test('a photo that only reminds is made smaller, and still stands where it stood', async ({ page }) => {
  await bringDemo(page);
  await page.goto('/piece/lectern/about');
  const large = await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 1600, height: 1200 });
    const pen = canvas.getContext('2d');
    if (!pen) throw new Error('there is no canvas');
    for (let y = 0; y < 1200; y += 4)
      for (let x = 0; x < 1600; x += 4) {
        pen.fillStyle = `hsl(${(x * y) % 60} 60% ${20 + ((x * 7 + y * 13) % 60)}%)`;
        pen.fillRect(x, y, 4, 4);
      }
    return canvas.toDataURL('image/jpeg', 0.9).split(',')[1] ?? '';
  });
  await page.getByRole('button', { name: /^Photos of the whole piece/ }).click();
  await page
    .locator('input[aria-label="Add a photo"]')
    .setInputFiles({ name: 'whole.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(large, 'base64') });
  await expect.poll(async () => (await storedTexts(page, 'piece/lectern')).join('')).toContain('pictureId');
  await page.goto('/data');
  await page.getByRole('button', { name: 'Show what takes room' }).click();
  await page.getByRole('button', { name: /smaller/ }).click();
  await expect(page.getByText(/were gained\. Nothing is measured on these photos/)).toBeVisible();
  await page.goto('/piece/lectern/about');
  await expect(page.getByRole('img').first()).toBeVisible();
});

test('the first page asks for no more than 400 kB of script, packed', () => {
  const sources = [...readFileSync('dist/index.html', 'utf8').matchAll(/<script src="([^"]+)"/g)];
  const packed = sources.map(([, src = '']) => gzipSync(readFileSync(`dist${src}`)).length);
  expect(packed.length).toBeGreaterThan(1);
  expect(packed.reduce((sum, bytes) => sum + bytes, 0)).toBeLessThan(400_000);
});

import { bringDemo, drawing, expect, storedTexts, test } from './fixtures';

test('a tap map: where it tells most, or where a finger points; the loose place becomes the outline', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/damage/lectern-1');
  await page.getByRole('button', { name: 'Find it by tapping' }).click();
  await expect(page.getByRole('heading', { name: 'Tap map' })).toBeVisible();
  const solid = page.getByRole('button', { name: 'It sounds solid' });
  const hollow = page.getByRole('button', { name: 'It sounds hollow' });
  await expect(solid).toBeEnabled({ timeout: 20_000 });
  // Three where the cross is, then a field of places of our own: loose to the right of 430 mm, above 270 mm.
  const cross = page.getByTestId('next-tap');
  for (let i = 0; i < 3; i++) {
    const before = (await cross.textContent()) ?? '';
    await solid.click();
    await expect
      .poll(async () => (await storedTexts(page, 'damage/lectern-1')).join().match(/"hollow"/g)?.length)
      .toBe(i + 1);
    // The next tap is another one.
    await expect(cross).not.toHaveText(before);
  }
  let count = 3;
  for (const y of [50, 150, 230, 320, 410]) {
    for (const x of [60, 220, 380, 490, 560]) {
      const spot = (await drawing(page, /^Face with taps/, { width: 600, height: 450 })).at(x, y);
      await page.mouse.click(spot.x, spot.y);
      await (x > 430 && y < 270 ? hollow : solid).click();
      count++;
      await expect
        .poll(async () => (await storedTexts(page, 'damage/lectern-1')).join().match(/"hollow"/g)?.length)
        .toBe(count);
    }
  }
  await expect(page.getByText(String(count), { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Take back the last tap' }).click();
  await expect(page.getByText(String(count - 1), { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Take this as the outline' }).click();
  await expect(page.getByText('Perimeter')).toBeVisible();
  await expect(page.getByText('It reaches the edge of the face.')).toBeVisible();
  // About 170 × 270 mm; the taps leave a margin of half their distance.
  const area = Number.parseFloat(await page.locator('text=/^\\d+(\\.\\d+)? cm²$/').first().innerText());
  expect(area).toBeGreaterThan(280);
  expect(area).toBeLessThan(640);
});

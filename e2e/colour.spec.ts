import path from 'node:path';
import { bringDemo, changeStored, drawing, expect, pick, PICTURES, test } from './fixtures';

test('recipes in the products on the shelf, and a test board that counts from then on', async ({ page }) => {
  test.setTimeout(120_000);
  await bringDemo(page);

  await test.step('new wood: which products in how many coats, with how sure that is', async () => {
    await page.goto('/damage/lectern-2/blend');
    await expect(page.getByRole('heading', { name: 'In your own products' })).toBeVisible();
    await expect(page.getByText(/^1\. .+ thin coats?$/)).toBeVisible({ timeout: 30_000 });
    await expect(page.getByText(/^\d+\.\d ± \d+\.\d/).first()).toBeVisible();
  });

  await test.step('a board is photographed and kept', async () => {
    await page.getByRole('button', { name: 'I made a test board' }).click();
    await pick(page, 'Photograph the board and keep it', path.join(PICTURES, 'worn-floor.png'));
    await expect(page.getByText(/^The board is kept/)).toBeVisible();
    await page.goto('/colours');
    await expect(page.getByRole('button', { name: /^Board of \d{4}-\d{2}-\d{2}/ })).toBeVisible();
    await page.getByRole('searchbox', { name: 'Find a board' }).fill('golden');
    await expect(page.getByRole('button', { name: 'Board for the lectern, on Burr walnut' })).toBeVisible();
  });

  await test.step('a fill is mixed in whole parts for its ground and its lines; a trial says what it wants', async () => {
    await changeStored(page, 'damage/lectern-2', { method: 'burnIn' });
    await page.goto('/damage/lectern-2/blend');
    await expect(page.getByText(/^(Melt or stir|Take) /)).toHaveCount(2, { timeout: 30_000 });
    await page.getByRole('button', { name: 'Compare a trial of the ground' }).click();
    await pick(page, 'Photograph the trial', path.join(PICTURES, 'green-pine-cladding.jpg'));
    await expect(page.getByText(/^It wants to be /)).toBeVisible();
  });
});

test('a photo reads itself: corners, grain and an outline are proposed, and undone', async ({ page }) => {
  test.setTimeout(120_000);
  await bringDemo(page);

  await test.step('the corners of the face are found again after they were moved away', async () => {
    const corners = [[0.2, 0.2], [0.8, 0.2], [0.8, 0.8], [0.2, 0.8]]; // prettier-ignore
    await changeStored(page, 'face/lectern-slope', {
      scale: { kind: 'rectangle', object: 'face', corners, widthMm: 600, heightMm: 450 },
    });
    await page.goto('/face/lectern-slope/scale');
    await page.getByRole('button', { name: 'Find it in the photo' }).click();
    await expect(page.getByText(/^The handles lie on the/)).toBeVisible({ timeout: 30_000 });
    await expect(page.getByText('450 mm').first()).toBeVisible();
  });

  await test.step('the grain is read, with how sure that is', async () => {
    await page.goto('/face/lectern-slope/grain');
    await page.getByRole('button', { name: 'Read it from the photo' }).click();
    await expect(page.getByText(/^(The grain runs at|The figure runs many ways here)/)).toBeVisible();
  });

  await test.step('one tap inside a loss outlines it', async () => {
    await page.goto('/damage/lectern-2');
    const area = page.getByText(/cm²$/).first();
    await expect(area).toBeVisible();
    await page.getByRole('button', { name: 'Start again' }).click();
    await page.getByRole('button', { name: 'Propose the outline from one tap' }).click();
    await page.getByRole('button', { name: 'Show all' }).click();
    const face = await drawing(page, /^Face to scale/, { width: 600, height: 450 });
    const at = face.at(585, 15);
    await page.mouse.click(at.x, at.y);
    await expect(page.getByText(/^The outline is proposed/)).toBeVisible({ timeout: 30_000 });
    await expect(page.getByText('It reaches the edge of the face.', { exact: false })).toBeVisible();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
  });
});

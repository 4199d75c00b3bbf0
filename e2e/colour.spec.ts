import path from 'node:path';
import { bringDemo, changeStored, drawing, expect, pick, PICTURES, storedTexts, test } from './fixtures';

test('recipes in the products on the shelf, and a test board that counts from then on', async ({ page }) => {
  test.setTimeout(120_000);
  await bringDemo(page);

  await test.step('new wood: which products in how many coats, with how sure that is', async () => {
    await page.goto('/damage/lectern-2/blend');
    await expect(page.getByRole('heading', { name: 'In your own products' })).toBeVisible();
    await expect(page.getByText(/^1\. .+ thin coats?$/)).toBeVisible({ timeout: 30_000 });
    await expect(page.getByText(/^\d+\.\d ± \d+\.\d/).first()).toBeVisible();
  });

  await test.step('thinned coats where whole ones miss: taken, and the recipe taken back', async () => {
    await changeStored(page, 'damage/lectern-2', { patch: { veneerId: 'v-cherry' } });
    await page.goto('/damage/lectern-2/blend');
    await expect(page.getByText('Thinned it aims nearer')).toBeVisible({ timeout: 30_000 });
    const kept = async (): Promise<string> => (await storedTexts(page, 'damage/lectern-2')).join();
    await page.getByRole('button', { name: 'Take the thinned coats' }).click();
    await expect.poll(kept).toContain('"carrierParts":');
    await expect(page.getByText('This is your recipe for this place, below.')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(kept).not.toContain('"carrierParts":');
    await changeStored(page, 'damage/lectern-2', { patch: { veneerId: 'v-burr-old' } });
    await page.goto('/damage/lectern-2/blend');
    await expect(page.getByText(/^1\. .+ thin coats?$/)).toBeVisible({ timeout: 30_000 });
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

test('a colour is taken from picked places; what was tried plans the rest; the repair is seen as it will look', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await bringDemo(page);
  await page.goto('/damage/lectern-2/blend');
  await expect(page.getByText(/^1\. .+ thin coats?$/)).toBeVisible({ timeout: 30_000 });
  const kept = async (): Promise<string> => (await storedTexts(page, 'damage/lectern-2')).join();

  await test.step('places on the face', async () => {
    await page.getByRole('button', { name: /^The colour it shall have/ }).click();
    await page.getByRole('radio', { name: 'Places I pick' }).click();
    const face = await drawing(page, /tap sound wood$/, { width: 600, height: 450 });
    const at = face.at(200, 220);
    await page.mouse.click(at.x, at.y);
    await expect.poll(kept).toContain('"from":"points"');
    await page.getByRole('radio', { name: 'The colour reader' }).click();
    await page.getByRole('button', { name: 'Read the colour' }).click();
    await expect.poll(kept).toContain('colour reader (simulated)');
    await page.getByRole('radio', { name: 'The sound wood round it' }).click();
    await expect.poll(kept).not.toContain('"from":');
  });

  await test.step('a product more, thinned; each on or off on the face, close and standing', async () => {
    await page.getByRole('radio', { name: 'Medium brown dye' }).first().click();
    await page
      .getByRole('radio', { name: /^1 part with 3 of / })
      .first()
      .click();
    await expect.poll(kept).toContain('"carrierParts":3');
    const look = page.getByRole('img', { name: /^The repair on its face/ });
    await expect.poll(async () => Number(await look.getAttribute('width'))).toBeGreaterThan(100);
    const drawn = (): Promise<string> =>
      look.evaluate((c) => (c instanceof HTMLCanvasElement ? c.toDataURL() : ''));
    const on = await drawn();
    await page.getByRole('checkbox', { name: /^Medium brown dye, 1/ }).click();
    await expect.poll(drawn).not.toBe(on);
    const off = await drawn();
    await page.getByRole('radio', { name: 'Standing' }).click();
    await expect.poll(drawn).not.toBe(off);
  });

  await test.step('what was tried is kept, and plans the bench', async () => {
    await page.getByRole('button', { name: 'Tried something? Plan from there' }).click();
    await page.getByRole('radio', { name: 'It vanishes' }).click();
    await expect(page.getByText(/^The difference vanished under spirits/)).toBeVisible();
    await expect(page.getByText(/^1\. .+ thin coats?$/)).toHaveCount(0);
    await page.getByRole('button', { name: 'Take the last one back' }).click();
    await page.getByRole('radio', { name: 'A coat is on' }).click();
    await page.getByRole('radio', { name: 'Too green' }).click();
    await expect(page.getByText('A coat is on: too green.')).toBeVisible();
    await page.reload();
    await expect(page.getByRole('button', { name: 'What was tried (1)' })).toBeVisible();
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

  await test.step('a corner that is dragged a little off lies down on it again', async () => {
    const corner = async (): Promise<[number, number]> => {
      const [text = ''] = await storedTexts(page, 'face/lectern-slope');
      const { body }: { body: { scale: { corners: [number, number][] } } } = JSON.parse(text);
      return body.scale.corners[0] ?? [0, 0];
    };
    const before = await corner();
    const handle = await page.getByRole('button', { name: /^Top left corner/ }).boundingBox();
    if (!handle) throw new Error('no handle');
    const [x, y] = [handle.x + handle.width / 2, handle.y + handle.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x - 60, y + 60, { steps: 3 });
    await page.mouse.move(x + 9, y - 7, { steps: 3 });
    await page.mouse.up();
    await expect.poll(async () => (await corner()).join()).not.toBe(before.join());
    const after = await corner();
    // Let go where the finger was it would lie a hundredth and a half off at the least.
    expect(Math.hypot(after[0] - before[0], after[1] - before[1])).toBeLessThan(0.01);
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

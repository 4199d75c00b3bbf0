import type { Page } from '@playwright/test';
import { bringDemo, changeStored, expect, storedTexts, test } from './fixtures';

test('what is let in, filled, closed and levelled has its sums on its worksheet, kept with the damage', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await bringDemo(page);
  await changeStored(page, 'damage/settle-3', { kind: 'hole', method: 'facePlug', mark: { tool: 'circle', at: [0.5, 0.5], diameterMm: 9 } }); // prettier-ignore
  await changeStored(page, 'damage/settle-5', { method: 'dutchman' });
  await changeStored(page, 'damage/settle-2', { method: 'glueSplit' });

  await test.step('a plug: 9 mm bored to 10', async () => {
    await page.goto('/damage/settle-3/joint');
    await expect(page.getByRole('heading', { name: 'The plug and its hole' })).toBeVisible();
    await expect(page.getByRole('group', { name: /in section with the plug/ })).toBeVisible();
    const deep = page.getByRole('textbox', { name: 'Depth of the hole' });
    await deep.fill('40');
    await deep.press('Enter');
    await expect(page.getByText(/the board only 18 mm thick/)).toBeVisible();
    await deep.fill('12');
    await deep.press('Enter');
    await expect(page.getByText('13.9 mm').first()).toBeVisible();
    await page.reload();
    await expect(page.getByText('13.9 mm').first()).toBeVisible();
  });

  await test.step('a block let in at the corner runs out at both edges', async () => {
    await page.goto('/damage/settle-5/joint');
    await expect(page.getByText(/It runs out at 2 edges/)).toBeVisible();
    await page.getByRole('radio', { name: 'Run out along the grain' }).click();
    await expect(page.getByRole('group', { name: /The recess on the face/ })).toBeVisible();
  });

  await test.step('a gaping split: what the clamps leave open, and none where it meets', async () => {
    await page.goto('/damage/settle-2/joint');
    await expect(page.getByRole('heading', { name: 'Will it close?' })).toBeVisible();
    for (const place of ['Gap a quarter along', 'Gap in the middle', 'Gap three quarters along']) {
      await page.getByRole('textbox', { name: place }).fill('0');
      await page.getByRole('textbox', { name: place }).press('Enter');
    }
    await expect(page.getByText(/It closes by hand/)).toBeVisible();
  });

  await test.step('a fill in layers: each within the limit, the last proud', async () => {
    await page.goto('/damage/settle-1/sheet');
    const layer = page.getByRole('textbox', { name: 'Thickest layer, by its label' });
    await layer.fill('2');
    await layer.press('Enter');
    await expect(page.getByText('Layer 1 of 3')).toBeVisible();
    await expect(page.getByText('The last stands 0.5 mm proud and is levelled.')).toBeVisible();
  });
});

test('the best spot on a sheet is found, seen on the face before it is cut, taken and kept', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await bringDemo(page);
  await page.goto('/damage/lectern-2/patch');
  await page.getByRole('button', { name: 'Find the best spot' }).click();
  await expect(page.getByRole('img', { name: /with the patch from spot 1/ })).toBeVisible({
    timeout: 60_000,
  });
  await page.getByRole('radio', { name: 'As it is cut' }).click();
  const line = page.getByRole('slider', { name: /^Before and with the patch from spot 1/ });
  await line.focus();
  await page.keyboard.press('ArrowRight');
  await expect(line).toHaveAttribute('aria-valuenow', '55');
  await page.getByRole('radio', { name: 'Drawn', exact: true }).click();
  await page.getByRole('button', { name: 'Take spot 1' }).click();
  await expect(page.getByText(/^Taken: Its middle \d+ mm from the left/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^Taken: Its middle \d+ mm from the left/)).toBeVisible();

  // With a second patch on the piece the stock can be ranked for both.
  await changeStored(page, 'damage/lectern-1', { method: 'veneerPatch' });
  await page.reload();
  await page.getByRole('radio', { name: /^All 2 patches of the piece/ }).click();
  await expect(page.getByText(/^1\. /).first()).toBeVisible();
  await expect(page.getByRole('radio', { name: /^All 2 patches of the piece/ })).toHaveAttribute(
    'aria-checked',
    'true',
  );
});

/** Drags the ring of a size by so many page pixels. */
async function pullRing(page: Page, size: string, dx: number, dy: number): Promise<void> {
  const ring = page.getByRole('button', { name: `${size}. Drag it` }).first();
  await ring.scrollIntoViewIfNeeded();
  const box = await ring.boundingBox();
  if (!box) throw new Error(`there is no ring for ${size}`);
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx, y + dy, { steps: 5 });
  await page.mouse.up();
}

test('every drawing of a worksheet has rings: strips, part, banding, drawer, screw', async ({ page }) => {
  await bringDemo(page);
  const pulled = async (route: string, size: string, dx: number, dy: number, ready = size): Promise<void> => {
    if (!page.url().endsWith(route)) await page.goto(route);
    const field = page.getByRole('textbox', { name: ready }).first();
    const before = await field.inputValue();
    await pullRing(page, size, dx, dy);
    await expect(field).not.toHaveValue(before);
  };
  await pulled('/damage/bookcase-10/sheet', 'Width of the block', 30, 0);
  await page.getByRole('button', { name: 'A banding or stringing round corners' }).click();
  await pulled('/damage/bookcase-10/sheet', 'Side 1', -30, 0, 'Runs from corner to corner');
  await pulled('/damage/bookcase-8/sheet', 'Its grain is turned by', 0, 30);
  await pulled('/damage/bookcase-13/sheet', 'Drawer, wide at the front', -20, 0);
  await pulled('/damage/bookcase-4/sheet', 'Length of the screw', 0, -12);
});

test('a size is pulled at its ring, a block is sawn off a board of the rack, and gaps are read from the photo', async ({
  page,
}) => {
  await bringDemo(page);
  await changeStored(page, 'damage/settle-1', { method: 'dutchman' });
  await page.goto('/damage/settle-1/joint');
  const margin = page.getByRole('textbox', { name: 'Into sound wood' });
  await expect(margin).toHaveValue('2.5 mm');
  await pullRing(page, 'Into sound wood', 40, 0);
  await expect(margin).not.toHaveValue('2.5 mm');
  await page
    .getByRole('button', { name: /^Saw it off/ })
    .first()
    .click();
  await expect(page.getByText(/ is .* long now\./)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/ stay\./).first()).toBeVisible();

  // A photo of the same boards with a gap of 5 mm drawn along the crack that is marked.
  const photo = await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 1280, height: 1280 });
    const pen = canvas.getContext('2d');
    if (!pen) throw new Error('there is no canvas');
    pen.fillStyle = '#b08a5a';
    pen.fillRect(0, 0, 1280, 1280);
    pen.strokeStyle = '#201810';
    pen.lineWidth = 10;
    pen.beginPath();
    for (const [x, y] of [[470, 60], [474, 220], [468, 410]] as const) pen.lineTo(2 * x, 2 * y); // prettier-ignore
    pen.stroke();
    return canvas.toDataURL('image/jpeg', 0.92).split(',')[1] ?? '';
  });
  await changeStored(page, 'picture/settle-photo', { jpeg: photo, widthPx: 1280, heightPx: 1280 });
  await changeStored(page, 'face/settle-back', { picture: { id: 'settle-photo', widthPx: 1280, heightPx: 1280 } }); // prettier-ignore
  await changeStored(page, 'damage/settle-2', { method: 'sliver' });
  await page.goto('/damage/settle-2/joint');
  await page.getByRole('button', { name: 'Read the gaps from the photo' }).click();
  await expect(page.getByText(/^Read from the photo; finer than/)).toBeVisible();
  const wide = page.getByRole('textbox', { name: 'Wide in the middle' });
  await expect.poll(async () => Math.abs(parseFloat(await wide.inputValue()) - 5)).toBeLessThan(0.4);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(wide).toHaveValue('1.5 mm');
});

test('alike places are worked in one go, ticked off together, and one can be taken out', async ({ page }) => {
  await bringDemo(page);
  const [first] = await storedTexts(page, 'damage/settle-1');
  const { faceId } = JSON.parse(first ?? '{}').body as { faceId: string };
  const at = [0.2, 0.4, 0.6];
  for (const [i, x] of at.entries())
    await changeStored(page, `damage/settle-${i + 1}`, {
      faceId,
      kind: 'scratch',
      method: 'burnIn',
      mark: undefined,
      figures: undefined,
      answers: { depthMm: 1 + i },
      outline: [[x, 0.4], [x + 0.05, 0.4], [x + 0.05, 0.45], [x, 0.45]], // prettier-ignore
    });
  await page.goto('/bench?piece=settle');
  const row = page.getByRole('button', { name: /3 places \(1–3\)/ }).first();
  await expect(row).toBeVisible({ timeout: 30_000 });
  await row.click();
  await page.getByRole('button', { name: '3 places worked together' }).first().click();
  await page
    .getByRole('button', { name: /^Work by itself: .*no\. 2$/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: /2 places \(1, 3\)/ }).first()).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /2 places \(1, 3\)/ }).first().click({ timeout: 30_000 }); // prettier-ignore
  await page.getByRole('button', { name: /^Tick off: .*2 places \(1, 3\)/ }).first().click(); // prettier-ignore
  await page.getByRole('button', { name: /^Done: .*2 places/ }).click();
  await expect.poll(async () => (await storedTexts(page, 'log/')).join()).toContain('"places":["settle-1","settle-3"]'); // prettier-ignore
  await page.getByRole('button', { name: /^Done \(/ }).click();
  await expect(page.getByRole('button', { name: /^Not done: .*2 places \(1, 3\)/ })).toBeVisible();
});

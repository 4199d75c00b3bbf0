import { unzipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { bringDemo, expect, pdfText, pick, PICTURES, save, tapAt, test } from './fixtures';

const FACE = { width: 600, height: 450 };

test('the whole job: from a photo to the finished record, out to a file and into a clean browser', async ({
  page,
  browser,
  baseURL,
}) => {
  test.setTimeout(240_000);
  // A stock to choose from comes with the demo; the piece is our own.
  await bringDemo(page);

  await test.step('1. piece and face from a photo', async () => {
    await page.getByRole('button', { name: 'Add a piece' }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill('Washstand top');
    await page.getByRole('textbox', { name: 'Name' }).blur();
    await page.getByRole('radio', { name: 'Clear finish' }).click();
    await page.getByRole('radio', { name: 'New lacquer' }).click();
    await pick(page, 'Add a face from a photo', path.join(PICTURES, 'worn-floor.png'));
    await expect(page.getByRole('heading', { name: 'Top', level: 1 })).toBeVisible();
    await page.getByRole('radio', { name: 'Elm' }).click();
    const thickness = page.getByRole('textbox', { name: 'Veneer thickness' });
    await thickness.fill('40 mm');
    await thickness.press('Enter');
    await expect(page.getByText('A veneer of 40 mm cannot be')).toBeVisible();
    await thickness.fill('0');
    await thickness.press('Enter');
    await expect(page.getByText('A veneer of 0 mm cannot be')).toBeVisible();
    await thickness.fill('0,9 mm');
    await thickness.press('Enter');
    await expect(thickness).toHaveValue('0.9 mm');
  });

  await test.step('2. scale from the face itself, by dragging and by keys', async () => {
    await page.getByRole('button', { name: 'Set the scale' }).click();
    const corner = page.getByRole('button', { name: /^Top left corner/ });
    const before = await corner.boundingBox();
    if (!before) throw new Error('no handle');
    await page.mouse.move(before.x + 22, before.y + 22);
    await page.mouse.down();
    await page.mouse.move(before.x + 12, before.y + 14, { steps: 4 });
    await expect(page.getByTestId('magnifier')).toBeVisible();
    await page.mouse.up();
    await expect(page.getByTestId('magnifier')).toBeHidden();
    await expect
      .poll(async () => Math.round((await corner.boundingBox())?.x ?? 0))
      .toBe(Math.round(before.x - 10));
    await corner.focus();
    await page.keyboard.press('Shift+ArrowRight');
    await expect
      .poll(async () => Math.round((await corner.boundingBox())?.x ?? 0))
      .toBe(Math.round(before.x));
    await page.getByRole('textbox', { name: 'Width, along the top' }).fill('600 mm');
    await page.getByRole('textbox', { name: 'Width, along the top' }).press('Enter');
    await page.getByRole('textbox', { name: 'Height, down the side' }).fill('450');
    await page.getByRole('textbox', { name: 'Height, down the side' }).press('Enter');
    await expect(page.getByText('Scale at the centre')).toBeVisible();
    await expect(page.getByText(/± \d+\.\d+/).first()).toBeVisible();
    await page.getByRole('button', { name: /Take this scale|Next: the grain/ }).click();
  });

  await test.step('grain by the arrow', async () => {
    await expect(page.getByRole('heading', { name: 'Draw the grain' })).toBeVisible();
    const tip = page.getByRole('button', { name: /^Tip of the grain arrow/ });
    await tip.focus();
    await page.keyboard.press('ArrowDown');
    await page.getByRole('textbox', { name: 'Or type the angle, °' }).fill('0');
    await page.getByRole('textbox', { name: 'Or type the angle, °' }).press('Enter');
    await expect(page.getByText('Grain, from level, clockwise')).toBeVisible();
    await page.getByRole('button', { name: 'Next: mark the damage' }).click();
  });

  await test.step('3. outline the lifted edge: tap, drag, undo', async () => {
    await page.getByRole('button', { name: 'Mark it on the picture' }).click();
    await tapAt(page, /^Face to scale/, FACE, [[180, 449], [200, 415], [330, 412], [350, 449]]); // prettier-ignore
    await expect(page.getByText('Along the grain')).toBeVisible();
    await expect(page.getByText('It reaches the edge of the face.')).toBeVisible();
    const area = page.locator('text=/^\\d+(\\.\\d+)? cm²$/').first();
    const first = await area.innerText();
    // (170 + 130) / 2 × 36 mm ≈ 54 cm²
    expect(Math.abs(Number.parseFloat(first) - 54)).toBeLessThan(4);
    const point = page.getByRole('button', { name: /^Point 2 of 4/ });
    await point.focus();
    await page.keyboard.press('Shift+ArrowUp');
    await expect(area).not.toHaveText(first);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(area).toHaveText(first);
    await page.getByRole('button', { name: 'Zoom in' }).click();
    await page.getByRole('button', { name: 'Show all' }).click();
    await page.getByRole('button', { name: 'Next: decide the repair' }).click();
  });

  await test.step('4. decide, with reasons and what is set aside', async () => {
    await expect(page.getByText('Recommended')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Flood and press' })).toBeVisible();
    await page.getByRole('button', { name: /^Set aside/ }).click();
    await expect(
      page.getByText('Most of the face is sound; taking it up would loosen what holds.'),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Choose the recommended: Flood and press' }).click();
    await page.getByRole('button', { name: 'Work it out' }).click();
  });

  await test.step('5. glue and press', async () => {
    await expect(page.getByText('Under pressure')).toBeVisible();
    await expect(page.getByText('1. Two of water to one of glue')).toBeVisible();
    await expect(page.getByRole('group', { name: /^Section through the stack/ })).toBeVisible();
    await page.getByRole('button', { name: /^Clamps stay on/ }).click();
    await expect(page.getByText(/hide glue: clamps at least 1 h/)).toBeVisible();
  });

  await test.step('the corner: outline and decide', async () => {
    await page.goto('/');
    await page.getByRole('link', { name: /Washstand top/ }).click();
    await page.getByRole('link', { name: /^Top\. Photo/ }).click();
    await page.getByRole('radio', { name: 'Missing veneer' }).click();
    await page.getByRole('button', { name: 'Mark it on the picture' }).click();
    await tapAt(page, /^Face to scale/, FACE, [[560, 1], [598, 1], [598, 30], [580, 16]]); // prettier-ignore
    await page.getByRole('button', { name: 'Next: decide the repair' }).click();
    await expect(page.getByRole('heading', { name: 'Veneer patch', level: 2 })).toBeVisible();
    await page.getByRole('button', { name: 'Choose the recommended: Veneer patch' }).click();
    await page.getByRole('button', { name: 'Work it out' }).click();
  });

  await test.step('6. match and patch, printed at full size', async () => {
    const first = page.getByRole('radio', { name: /colour difference/ }).first();
    await expect(first).toBeVisible({ timeout: 30_000 });
    expect(await page.getByRole('radio', { name: /colour difference/ }).count()).toBeGreaterThanOrEqual(6);
    await first.click();
    await expect(first).toHaveAttribute('aria-checked', 'true');
    const pdf = await save(page, 'Print the patch (PDF)');
    const text = pdfText(pdf);
    expect(text).toContain('Washstand top, Top: Missing veneer, no. 2');
    expect(text).toContain('it must be 100 mm');
    const svg = readFileSync(await save(page, 'Save as SVG'), 'utf8');
    expect(svg).toContain('mm" viewBox="0 0 210 297"');
    await page.getByRole('button', { name: 'Next: colour it' }).click();
  });

  await test.step('7. blend and sanding budget', async () => {
    await expect(page.getByText('Difference expected after all layers')).toBeVisible({ timeout: 30_000 });
    await expect(page.getByText(/Seal with thin shellac/)).toBeVisible();
    await expect(page.getByText('Veneer left')).toBeVisible();
    await page.getByRole('button', { name: 'Open the bench plan' }).click();
  });

  await test.step('8. and 9. the bench plan, ticked off with a photo', async () => {
    await expect(page.getByText('Photograph, clean, take off hardware').first()).toBeVisible({
      timeout: 30_000,
    });
    await expect(page.getByRole('img', { name: /^Day 20/ }).first()).toBeVisible();
    await page.getByRole('button', { name: 'Tick it off' }).first().click();
    await page.getByRole('textbox', { name: 'It took, min' }).fill('35');
    await page.getByRole('textbox', { name: 'It took, min' }).press('Enter');
    await page.getByRole('textbox', { name: 'Note' }).fill('Old screws in a tin, two are odd.');
    await pick(page, 'Photo before', path.join(PICTURES, 'weathered-boards.png'));
    await expect(page.getByText('1 photo added.')).toBeVisible();
    await page.getByRole('button', { name: /^Done: / }).click();
    await expect(page.getByText(/^Next, /)).toContainText(/\d\d:\d\d|in the (morning|afternoon)/);
    await expect(page.getByRole('heading', { name: /^Clean the glue line/ })).toBeVisible();
    await page.goto('/');
    await page.getByRole('link', { name: /Washstand top/ }).click();
    await page.getByRole('link', { name: /^Record/ }).click();
    await expect(page.getByText('Old screws in a tin, two are odd.')).toBeVisible();
    const text = pdfText(await save(page, 'Print the record (PDF)'));
    expect(text).toContain('Washstand top');
    expect(text).toContain('Old screws in a tin');
    expect(text).toContain('Flood and press');
    expect(text).toContain('35 min');
  });

  await test.step('10. export, and import into a clean browser', async () => {
    await page.goto('/data');
    const file = await save(page, 'Save everything to a file');
    expect(file).toMatch(/\.zip$/);
    const clean = await browser.newContext({ ...(baseURL ? { baseURL } : {}) });
    const other = await clean.newPage();
    await other.goto('/data');
    await pick(other, 'Read in a file', file);
    await expect(other.getByText('This backup opens, and all of it is whole')).toBeVisible();
    await other.getByRole('button', { name: 'Read it in' }).click();
    await expect(other.getByText(/records and \d+ photos were written/)).toBeVisible();
    await other.goto('/');
    await other.getByRole('link', { name: /Washstand top/ }).click();
    await other.getByRole('link', { name: /^Record/ }).click();
    await expect(other.getByText('Old screws in a tin, two are odd.')).toBeVisible();
    await expect(other.getByRole('img', { name: 'Photo of the place before' })).toBeVisible();
    // Out again, it is the same but for the time of saving.
    await other.goto('/data');
    const again = await save(other, 'Save everything to a file');
    const records = (f: string): Record<string, string> =>
      Object.fromEntries(
        Object.entries(unzipSync(readFileSync(f)))
          .filter(([name]) => name !== 'manifest.json')
          .map(([name, bytes]) => [name, Buffer.from(bytes).toString('base64')]),
      );
    expect(records(again)).toEqual(records(file));
    await clean.close();
  });
});

test('11. a quick answer without a record, then kept', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Quick answer' }).click();
  await page.getByRole('radio', { name: 'Missing veneer' }).click();
  await page.getByRole('textbox', { name: 'Size along the grain' }).fill(`1 1/2"`);
  await page.getByRole('textbox', { name: 'Size along the grain' }).press('Enter');
  await expect(page.getByRole('textbox', { name: 'Size along the grain' })).toHaveValue('38.1 mm');
  await page.getByRole('textbox', { name: 'Size across the grain' }).fill('a hand');
  await page.getByRole('textbox', { name: 'Size across the grain' }).press('Enter');
  await expect(page.getByText('“a hand” is not a length')).toBeVisible();
  await page.getByRole('textbox', { name: 'Size across the grain' }).fill('20');
  await page.getByRole('textbox', { name: 'Size across the grain' }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Veneer patch', level: 2 })).toBeVisible();
  await expect(
    page.getByText('On a face that shows, under a clear finish, only wood looks like wood.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(
    page.getByRole('heading', { name: 'Missing veneer, from a quick answer', level: 1 }),
  ).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Missing veneer, from a quick answer/ })).toBeVisible();
});

import { bringDemo, expect, storedTexts, test } from './fixtures';

test('impossible sizes are refused in words, a depth beyond the board is asked about, and nothing is lost', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/damage/settle-3/decide');
  await page.getByRole('button', { name: 'What is known of this damage' }).click();
  const depth = page.getByRole('textbox', { name: 'Depth' });
  await expect(depth).toHaveValue('12 mm');
  await depth.fill('-3');
  await depth.press('Enter');
  await expect(page.getByText('The value before it, 12 mm, still counts.')).toBeVisible();
  await depth.fill('900');
  await depth.press('Enter');
  await expect(page.getByText('A depth of 900 mm cannot be')).toBeVisible();
  expect((await storedTexts(page, 'damage/settle-3')).join()).toContain('"depthMm":12');
  // The hole is entered as not going through; forget that, and a depth beyond the 18 mm board asks.
  await page.getByRole('button', { name: 'Forget the answers' }).click();
  await depth.fill('25');
  await depth.press('Enter');
  await expect(
    page.getByText('The board is 18 mm thick and the depth is 25 mm. Does it go right through?'),
  ).toBeVisible();
  await page.getByRole('radio', { name: 'Yes, right through' }).click();
  await expect
    .poll(async () => (await storedTexts(page, 'damage/settle-3')).join())
    .toContain('"through":true');

  await page.goto('/damage/settle-2');
  const width = page.getByRole('textbox', { name: 'Width of the crack' });
  await width.fill('0');
  await width.press('Enter');
  await expect(page.getByText('The width must lie between 0.05 mm and 60 mm.')).toBeVisible();
  expect((await storedTexts(page, 'damage/settle-2')).join()).toContain('"widthMm":1.5');
});

test('a damage dragged off the face is told, and comes back by undo', async ({ page }) => {
  await bringDemo(page);
  await page.goto('/damage/settle-1');
  await expect(page.getByText('Perimeter')).toBeVisible();
  const whole = page.getByRole('button', { name: /^The whole damage/ });
  await whole.focus();
  for (let i = 0; i < 60; i++) await page.keyboard.press('Shift+ArrowUp');
  await expect(
    page.getByText('The damage leaves the face. Drag its points back onto the wood.'),
  ).toBeVisible();
  const undo = page.getByRole('button', { name: 'Undo', exact: true });
  for (let i = 0; i < 60 && (await undo.isEnabled()); i++) await undo.click();
  await expect(page.getByText('Perimeter')).toBeVisible();
});

test('taps that disagree at one spot are named; one outside the wood is told and can be taken back', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/damage/lectern-1/tap');
  const solid = page.getByRole('button', { name: 'It sounds solid' });
  await expect(solid).toBeEnabled({ timeout: 20_000 });
  const group = page.getByRole('group', { name: /^Face with taps/ });
  const box = await group.boundingBox();
  if (!box) throw new Error('the drawing is not shown');
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await page.mouse.click(middle.x, middle.y);
  await solid.click();
  await page.mouse.click(middle.x, middle.y);
  await page.getByRole('button', { name: 'It sounds hollow' }).click();
  await expect(page.getByText('One spot sounded both solid and hollow')).toBeVisible();
  await page.mouse.click(box.x + 4, box.y + 4);
  await solid.click();
  await expect(page.getByText(/lies outside the area\. Move it onto the wood or take it away/)).toBeVisible();
  await page.getByRole('button', { name: 'Take back the last tap' }).click();
  await expect(page.getByText(/lies outside the area/)).toBeHidden();
});

test('stock and shopping list: what is missing is marked, bought, and tonight does without', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/shop');
  await page.getByRole('checkbox', { name: 'Wood glue (hide or PVA)' }).click();
  await expect(page.getByRole('button', { name: 'Leave the stock out of decisions' })).toBeVisible();
  await page.goto('/damage/stool-1/decide');
  await expect(page.getByText('Not in stock', { exact: true }).first()).toBeVisible();
  await page
    .getByRole('button', { name: /^Put on the shopping list/ })
    .first()
    .click();
  await expect(page.getByText('It is on the shopping list.').first()).toBeVisible();
  await page.getByRole('radio', { name: 'With what I have tonight' }).click();
  await page.getByRole('button', { name: /^Set aside/ }).click();
  await expect(page.getByText(/^Not in stock tonight:/).first()).toBeVisible();
  await page.goto('/shop');
  await page
    .getByRole('button', { name: /^Bought:/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: /^Bought:/ })).toHaveCount(0);
});

test('one choice for similar damages is made and undone at once; weights can be changed and put back', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/damage/settle-4');
  await page.getByRole('button', { name: 'Move, copy, mirror' }).click();
  await page.getByRole('button', { name: 'Copy it beside' }).click();
  await expect(page.getByRole('heading', { name: 'Dent, no. 6' })).toBeVisible();
  await page.goto('/damage/settle-4/decide');
  await page.getByRole('button', { name: /^Choose the recommended/ }).click();
  await page.getByRole('button', { name: 'The same for similar damages (1)' }).click();
  await page.getByRole('button', { name: 'Choose it for all of them' }).click();
  await expect(page.getByText(/was chosen for 1 more/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name: 'The same for similar damages (1)' })).toBeVisible();
  await page.getByRole('button', { name: 'What counts in “Paint”' }).click();
  await page.getByRole('button', { name: 'Speed: less' }).click();
  await expect(page.getByText('Changed; it was 5.')).toBeVisible();
  await page.getByRole('button', { name: 'Back to common practice' }).click();
  await expect(page.getByText('Changed; it was 5.')).toBeHidden();
});

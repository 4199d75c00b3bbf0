import { bringDemo, changeStored, expect, storedTexts, test } from './fixtures';

const MIDDLE = [[0.4, 0.45], [0.5, 0.42], [0.6, 0.45], [0.61, 0.52], [0.5, 0.56], [0.41, 0.53]]; // prettier-ignore
const number = (name: string | null): number => Number(/([\d.]+)/.exec(name ?? '')?.[1]);

test('a hollow is filled: its shape and sizes stay, and a glue that fills nothing gives way to one that does', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/damage/stool-1/joint');
  await page.getByRole('button', { name: 'Change the glue' }).click();
  await page.getByRole('radio', { name: 'Liquid hide glue', exact: true }).click();
  await expect(page.getByText(/Liquid hide glue holds wood on wood and fills nothing/)).toBeVisible();
  await expect(page.getByText('Not with these figures')).toHaveCount(0);
  await page.getByRole('radio', { name: 'Epoxy', exact: true }).click();
  await page.getByRole('radio', { name: 'Bored hole' }).click();
  const type = async (label: string, text: string): Promise<void> => {
    const field = page.getByRole('textbox', { name: label });
    await field.fill(text);
    await field.press('Enter');
  };
  await type('Diameter of the hole', '10');
  await expect
    .poll(async () => (await storedTexts(page, 'damage/stool-1')).join())
    .toContain('"hollow.diameter":10');
  await type('Depth of the hollow', '25');
  // π/4 · 10² · 25 = 1963 mm³, and a fifth more.
  await expect(page.getByRole('button', { name: /^To fill it: 2\.4 ml/ })).toBeVisible();
  await expect
    .poll(async () => (await storedTexts(page, 'damage/stool-1')).join())
    .toContain('"hollow.depth":25');
  await page.reload();
  await expect(page.getByRole('button', { name: /^To fill it: 2\.4 ml/ })).toBeVisible();
  await type('Depth of the hollow', '-3');
  await expect(page.getByText(/The value before it, 25 mm, still counts/)).toBeVisible();
});

test('a blister in the middle: its slit goes round the figure, and cauls reach across the face', async ({
  page,
}) => {
  await bringDemo(page);
  await changeStored(page, 'damage/lectern-1', {
    kind: 'blister',
    method: 'injectAndPress',
    outline: MIDDLE,
    glue: {},
  });
  await page.goto('/damage/lectern-1/press');
  const cuts = page.getByRole('button', { name: /^Lines it cuts:/ });
  await expect(page.getByText(/In the photo the longest line would cut through/)).toBeVisible({
    timeout: 20_000,
  });
  const calm = number(await cuts.getAttribute('aria-label'));
  const aside = page.getByRole('textbox', { name: 'Move the slit across the grain' });
  await aside.fill('0');
  await aside.press('Enter');
  // On its longest line it cuts through more of them.
  await expect.poll(async () => number(await cuts.getAttribute('aria-label'))).toBeGreaterThan(calm);
  await page.getByRole('button', { name: 'Back to where the figure is calm' }).click();
  await expect.poll(async () => number(await cuts.getAttribute('aria-label'))).toBe(calm);
  // The rule asks for more deep clamps than there are.
  await expect(page.getByText(/It takes \d+ clamps and you own/)).toBeVisible();
  await page.getByRole('button', { name: 'Arrange for me' }).click();
  await expect(page.getByText('The target is reached everywhere')).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/cauls? up to 4\d\d mm long/)).toBeVisible();
  await expect(page.getByText(/It takes \d+ clamps and you own/)).toBeHidden();
  await expect.poll(async () => (await storedTexts(page, 'damage/lectern-1')).join()).toContain('"loose"');
  // An outline that has grown since is told of.
  await changeStored(page, 'damage/lectern-1', {
    outline: MIDDLE.map(([x = 0, y = 0]) => [x, 0.5 + 1.3 * (y - 0.5)]),
  });
  await page.reload();
  await expect(page.getByText('The outline has changed since these clamps were placed')).toBeVisible({
    timeout: 20_000,
  });
});

test('core and veneer are changed in the stack; the bag is planned for the shop’s height', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/damage/lectern-1/press');
  const core = page.getByRole('button', { name: /^Underside of the core\./ });
  await expect(core).toBeVisible({ timeout: 20_000 });
  for (let i = 0; i < 4; i++) await core.press('ArrowDown');
  await expect(page.getByText(/core 22 mm, block, bench/)).toBeVisible();
  await expect
    .poll(async () => (await storedTexts(page, 'face/lectern-slope')).join())
    .toContain('"boardMm":22');
  await page.getByRole('button', { name: 'Change glue, clamps or the stack' }).click();
  const veneer = page.getByRole('textbox', { name: 'Veneer thickness, of the whole face' });
  await veneer.fill('1.2');
  await veneer.press('Enter');
  await expect(page.getByText(/veneer 1\.2 mm on glue \(drawn/)).toBeVisible();
  await veneer.fill('9');
  await veneer.press('Enter');
  await expect(page.getByText(/The veneer has 9 mm/)).toBeVisible();
  await changeStored(page, 'shop/shop', {
    clamps: [
      { id: 'fStyle', count: 6 },
      { id: 'vacuum', count: 1 },
    ],
  });
  await page.reload();
  await page.getByRole('button', { name: 'In the vacuum bag instead' }).click();
  await expect(page.getByRole('button', { name: /^Bag presses with: 80 kPa/ })).toBeVisible();
  const height = page.getByRole('textbox', { name: 'The shop lies above the sea' });
  await height.fill('2000');
  await height.press('Enter');
  // The pump leaves 101.3 − 80 = 21.3 kPa inside wherever it stands; the air at 2000 m presses with 79.5 kPa.
  await expect(page.getByRole('button', { name: /^Bag presses with: 58 kPa/ })).toBeVisible();
});

import { strToU8, unzipSync, zipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import { bringDemo, changeStored, expect, pick, save, storedTexts, test } from './fixtures';

const ZIP = 'application/zip';

test('two devices: what each changed comes together, what both changed is chosen, and undo takes back just that', async ({
  page,
  browser,
  baseURL,
}) => {
  await bringDemo(page);
  await page.goto('/data');
  const first = await save(page, 'Save everything to a file');
  await expect(page.getByText(/^Saved, and read back whole: 6 pieces, 10 photos/)).toBeVisible();

  const desk = await browser.newContext({ ...(baseURL ? { baseURL } : {}) });
  const other = await desk.newPage();
  await other.goto('/data');
  await pick(other, 'Read in a file', first);
  await expect(
    other.getByText(
      'It holds 6 pieces, 14 faces, 25 damages, 1 log entry, 7 veneers, 24 colours, 3 boards, 1 test board, 10 photos.',
    ),
  ).toBeVisible();
  await other.getByRole('button', { name: 'Read it in' }).click();
  await expect(other.getByText(/82 records and 10 photos were written/)).toBeVisible();

  const rename = async (p: typeof page, box: string, text: string): Promise<void> => {
    await p.goto('/piece/lectern/about');
    const field = p.getByRole('textbox', { name: box });
    await field.fill(text);
    await field.blur();
    await expect(field).toHaveValue(text);
  };
  await rename(other, 'Owner', 'The new warden');
  await rename(other, 'Notes', 'Seen at the desk');
  await rename(page, 'Notes', 'Seen at the bench');
  await other.goto('/data');
  const second = await save(other, 'Save everything to a file');
  await desk.close();

  await page.goto('/data');
  await pick(page, 'Read in a file', second);
  await expect(page.getByText(/Changed on both sides: 1\./)).toBeVisible();
  await expect(page.getByRole('radio', { name: 'In the file: “Seen at the desk”' })).toBeVisible();
  await page.getByRole('radio', { name: 'Here: “Seen at the bench”' }).click();
  await page.getByRole('button', { name: 'Read it in' }).click();
  await expect(page.getByText(/was read in: 1 record and 0 photos/)).toBeVisible();
  const lectern = async () => JSON.parse((await storedTexts(page, 'piece/lectern'))[0] ?? '').body;
  expect(await lectern()).toMatchObject({ client: 'The new warden', note: 'Seen at the bench' });
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await lectern()).client).not.toBe('The new warden');
  expect(await lectern()).toMatchObject({ note: 'Seen at the bench' });
});

test('a damaged file: what is whole comes in, what is not is named, and a test alone changes nothing', async ({
  page,
  browser,
  baseURL,
}) => {
  await bringDemo(page);
  await page.goto('/data');
  const file = await save(page, 'Save everything to a file');
  const files = unzipSync(readFileSync(file));
  delete files['records/piece.json'];
  delete files['manifest.json'];
  const pictures = Object.keys(files).filter((f) => f.startsWith('pictures/'));
  delete files[pictures[0] ?? ''];
  files['../out.json'] = strToU8('{}');
  const broken = { name: 'broken.zip', mimeType: ZIP, buffer: Buffer.from(zipSync(files)) };

  const clean = await browser.newContext({ ...(baseURL ? { baseURL } : {}) });
  const empty = await clean.newPage();
  await empty.goto('/data');
  await pick(empty, 'Only test whether a file opens', broken);
  await expect(empty.getByText('This backup opens, but not all of it is whole')).toBeVisible();
  await expect(empty.getByText('../out.json: Its name is none that a backup has.')).toBeVisible();
  expect(await storedTexts(empty, 'face/')).toEqual([]);
  await empty.getByRole('button', { name: 'Close', exact: true }).click();

  await pick(empty, 'Read in a file', broken);
  await expect(empty.getByText(/records have lost their piece/)).toBeVisible();
  await empty.getByRole('button', { name: 'Read it in' }).click();
  await expect(empty.getByText(/broken\.zip was read in/)).toBeVisible();
  await empty.goto('/');
  await expect(empty.getByRole('link', { name: /^Found again/ }).first()).toBeVisible();
  await clean.close();
});

test('a record of a newer version: nothing is written any more, and the page says so', async ({ page }) => {
  await bringDemo(page);
  await changeStored(page, 'piece/stool', {}, { version: 99 });
  await page.goto('/piece/lectern/about');
  await expect(page.getByText('A newer version of the app has written here')).toBeVisible();
  const note = page.getByRole('textbox', { name: 'Notes' });
  await note.fill('Will this stay?');
  await note.blur();
  await expect(
    page.getByRole('alert').filter({ hasText: 'All that was saved is safe' }).first(),
  ).toBeVisible();
  expect(JSON.parse((await storedTexts(page, 'piece/stool'))[0] ?? '').version).toBe(99);
});

test('photos that nothing shows are found, put away and come back', async ({ page }) => {
  await bringDemo(page);
  await changeStored(page, 'veneer/v-walnut', { pictureId: undefined });
  await page.goto('/data');
  await page.getByRole('button', { name: 'Show what takes room' }).click();
  await expect(
    page.getByText(/^1 photo \(.*\) that no piece, face, veneer or log entry shows/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Put the unused photos away' }).click();
  await expect.poll(() => storedTexts(page, 'picture/').then((t) => t.length)).toBe(9);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => storedTexts(page, 'picture/').then((t) => t.length)).toBe(10);
});

test('a stock list from a spreadsheet comes onto the shelf, and the rows that are none are named', async ({
  page,
}) => {
  await page.goto('/stock');
  await page.getByRole('button', { name: 'Read in a list from a spreadsheet' }).click();
  const list = 'Veneer,Wood,Thickness,Length,Width\nBurr 4,Walnut,0.6,800,300\nWide,Oak,0.6,many,300\n';
  await pick(page, 'Choose a CSV list', {
    name: 'shelf.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(list),
  });
  await expect(page.getByText('1 of 2 rows are no veneer and stay out')).toBeVisible();
  await expect(page.getByText('Row 3: Length along the grain: “many” is not a length')).toBeVisible();
  await page.getByRole('button', { name: 'Take 1 onto the shelf' }).click();
  await expect(page.getByRole('link', { name: /^Burr 4/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /^Burr 4/ })).toHaveCount(0);
});

import type { Page } from '@playwright/test';
import { bringDemo, expect, save, pick, storedTexts, test } from './fixtures';
import { MAKES, madeIn, openMaker, tapTwice } from '../scripts/torture/makes';

const count = async (page: Page, kind: string): Promise<number> => (await storedTexts(page, `${kind}/`)).length; // prettier-ignore

/** Milliseconds between the two taps, in turn; the torture run taps every button with each of them. */
const APART_MS = [60, 120, 200];

test('two taps of one hand make one record, on every page that makes one', async ({ page, context }) => {
  test.setTimeout(240_000);
  const cdp = await context.newCDPSession(page);
  for (const [i, row] of MAKES.entries()) {
    const apartMs = APART_MS[i % APART_MS.length] ?? 0;
    await bringDemo(page);
    await openMaker(page, row);
    const made = async (): Promise<number> => madeIn(row, await storedTexts(page, `${row.kind}/`));
    const before = await made();
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    await tapTwice(page, cdp, row.button, apartMs);
    await expect.poll(made).toBeGreaterThan(before);
    await page.waitForTimeout(400);
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    expect([row.at, row.button, apartMs, (await made()) - before]).toEqual([row.at, row.button, apartMs, 1]);
  }
});

test('a mark that was opened and left makes no damage and no work, and the next mark is made of it', async ({
  page,
}) => {
  await bringDemo(page);
  await page.goto('/bench?piece=stool');
  await expect(page.getByText('Your hands')).toBeVisible();
  const steps = await page.getByText(/^\d+ of \d+$/).innerText();
  const before = await count(page, 'damage');
  await page.goto('/face/stool-seat');
  await page.getByRole('button', { name: 'Mark it on the picture' }).click();
  await expect(page).toHaveURL(/\/damage\//);
  const first = page.url();
  await page.goBack();
  await page.goto('/bench?piece=stool');
  await expect(page.getByText('Your hands')).toBeVisible();
  await expect(page.getByText(steps, { exact: true })).toBeVisible();
  await page.goto('/face/stool-seat');
  await page.getByRole('button', { name: 'Mark it on the picture' }).click();
  await expect(page).toHaveURL(first);
  expect(await count(page, 'damage')).toBe(before + 1);
});

test('what was typed on a page that was closed stays in its field while there is no room, is told, and is saved later', async ({
  page,
}) => {
  await bringDemo(page);
  // A browser without room refuses every write.
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...given: [unknown, IDBValidKey?]) {
      if (localStorage.getItem('no-room')) throw new DOMException('full', 'QuotaExceededError');
      return put.apply(this, given);
    };
  });
  const stored = async () => JSON.parse((await storedTexts(page, 'piece/lectern'))[0] ?? '').body.client;
  const before = (await stored()) as string;
  await page.goto('/shop');
  await page.evaluate((client) => {
    localStorage.setItem('no-room', 'yes');
    const note = { kind: 'piece', id: 'lectern', base: { client }, patch: { client: 'The new warden' }, gone: [] };
    localStorage.setItem('rustic-lantern.pending.x', JSON.stringify(note));
  }, before);
  await page.goto('/piece/lectern/about');
  await expect(page.getByText('Not saved yet', { exact: true })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Owner' })).toHaveValue('The new warden');
  await expect(page.getByText(/It is kept here, and stands in its field\. The browser has no room/)).toBeVisible();
  expect(await stored()).toBe(before);
  await page.evaluate(() => localStorage.removeItem('no-room'));
  await page.getByRole('button', { name: /^Save it now/ }).click();
  await expect(page.getByText('Not saved yet', { exact: true })).toHaveCount(0);
  expect(await stored()).toBe('The new warden');
}); // prettier-ignore

test('a window that waits for another says so within seconds, reads meanwhile, and saves when it is its turn', async ({
  page,
  context,
}) => {
  await bringDemo(page);
  await page.goto('/api/health');
  const other = await context.newPage();
  await other.goto('/api/health');
  await other.evaluate(() => {
    void navigator.locks.request(
      'rustic-lantern-records',
      () => new Promise<void>((done) => Object.assign(window, { letGo: done })),
    );
  });
  await page.goto('/piece/lectern/about');
  const notes = page.getByRole('textbox', { name: 'Notes' });
  await notes.fill('Written while another window writes');
  await notes.blur();
  await expect(page.getByText('Another window of this app is writing')).toBeVisible({ timeout: 4000 });
  // A reload reads what is there, and what was typed stands in its field.
  await page.reload();
  await expect(notes).toHaveValue('Written while another window writes', { timeout: 6000 });
  await expect(page.getByText('Another window of this app is writing')).toBeVisible({ timeout: 6000 });
  await other.evaluate(() => (window as unknown as { letGo: () => void }).letGo());
  await expect(page.getByText('Another window of this app is writing')).toHaveCount(0);
  await expect.poll(async () => (await storedTexts(page, 'piece/lectern'))[0]).toContain('Written while another window'); // prettier-ignore
});

test('a store that is cleared while the page is open is told, and the page stands', async ({
  page,
  context,
}) => {
  await bringDemo(page);
  await page.goto('/piece/lectern/about');
  const owner = page.getByRole('textbox', { name: 'Owner' });
  await expect(owner).toBeVisible();
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const request = indexedDB.deleteDatabase('rustic-lantern');
        request.onblocked = () => resolve();
        request.onsuccess = () => resolve();
      }),
  );
  await expect(page.getByText('This app’s store is being cleared from outside')).toBeVisible();
  await expect(owner).toHaveValue(/./);
  // Thrown out at once, as by the browser's own clearing.
  const cdp = await context.newCDPSession(page);
  const { origin } = new URL(page.url());
  await cdp.send('Storage.clearDataForOrigin', { origin, storageTypes: 'indexeddb' });
  await owner.fill('Typed after it was gone');
  await owner.blur();
  await expect(
    page
      .getByRole('alert')
      .filter({ hasText: /store|saved/ })
      .first(),
  ).toBeVisible();
  await expect(owner).toHaveValue('Typed after it was gone');
});

test('deleted here and changed on another device: it is asked, and kept with all that hangs on it', async ({
  page,
  browser,
  baseURL,
}) => {
  await bringDemo(page);
  await page.goto('/data');
  const first = await save(page, 'Save everything to a file');
  const desk = await browser.newContext({ ...(baseURL ? { baseURL } : {}) });
  const other = await desk.newPage();
  await other.goto('/data');
  await pick(other, 'Read in a file', first);
  await other.getByRole('button', { name: 'Read it in' }).click();
  await expect(other.getByText(/were written/)).toBeVisible();
  await other.goto('/piece/settle/about');
  await other.getByRole('textbox', { name: 'Notes' }).fill('The lid is loose too');
  await other.getByRole('textbox', { name: 'Notes' }).blur();
  await expect.poll(async () => (await storedTexts(other, 'piece/settle'))[0]).toContain('The lid is loose');
  await other.goto('/data');
  const second = await save(other, 'Save everything to a file');
  await desk.close();

  for (const piece of ['settle', 'stool']) {
    await page.goto(`/piece/${piece}/about`);
    await page.getByRole('button', { name: 'Delete this piece' }).first().click();
    await page.getByRole('button', { name: 'Delete this piece' }).last().click();
    await expect(page.getByText(/was deleted\./)).toBeVisible();
  }
  await page.goto('/data');
  await pick(page, 'Read in a file', second);
  await expect(page.getByText(/settle: deleted here/i)).toBeVisible();
  await expect(page.getByText(/It was changed on the other device without knowing of that/)).toBeVisible();
  await expect(page.getByText(/Deleted here, and stays away: \d+\./)).toBeVisible();
  await page.getByRole('button', { name: 'Read it in' }).click();
  await expect(page.getByText(/was read in/)).toBeVisible();
  expect((await storedTexts(page, 'piece/settle'))[0]).toContain('The lid is loose too');
  expect((await storedTexts(page, 'damage/settle')).length).toBeGreaterThan(0);
  expect(await storedTexts(page, 'piece/stool')).toEqual([]);
});

test('a piece is deleted in one window while another adds a damage to it: nothing hangs on what is gone', async ({
  page,
  context,
}) => {
  await bringDemo(page);
  await page.goto('/piece/lectern/about');
  const other = await context.newPage();
  await other.goto('/face/lectern-slope');
  await expect(other.getByRole('button', { name: 'Mark it on the picture' })).toBeVisible();
  await page.getByRole('button', { name: 'Delete this piece' }).first().click();
  const remove = page.getByRole('button', { name: 'Delete this piece' }).last();
  // Where the deletion is told first there is nothing left to press: that is right as well.
  const mark = other.getByRole('button', { name: 'Mark it on the picture' });
  await Promise.all([remove.click(), mark.click({ timeout: 4000 }).catch(() => undefined)]);
  await expect.poll(() => storedTexts(page, 'piece/lectern').then((t) => t.length)).toBe(0);
  await page.waitForTimeout(500);
  expect((await storedTexts(page, 'damage/')).filter((t) => t.includes('"pieceId":"lectern"'))).toEqual([]);
  expect((await storedTexts(page, 'face/')).filter((t) => t.includes('"pieceId":"lectern"'))).toEqual([]);
});

// Every button of every page is pressed; where that can be undone, it is, and the shop must stand as it stood.
import type { Page } from '@playwright/test';
import { isDeepStrictEqual } from 'node:util';
import { openBrowser, openContext, texts } from './browser';
import { tally, type Tally } from './shop';

const ROUTES = [
  '/', '/bench', '/stock', '/stock/cutting', '/shop', '/data', '/quick', '/colours', '/colours/colour-10', '/piece/lectern', '/piece/lectern/about',
  '/piece/bookcase/parts', '/piece/lectern/record', '/piece/lectern/report', '/piece/lectern/ways', '/piece/lectern/plan',
  '/piece/table/plan', '/piece/bookcase/even', '/face/lectern-slope', '/face/lectern-slope/scale', '/face/lectern-slope/grain',
  '/face/lectern-slope/tests', '/face/stool-seat', '/damage/lectern-1', '/damage/lectern-1/decide', '/damage/lectern-1/press',
  '/damage/lectern-1/glueup', '/damage/lectern-1/tap', '/damage/lectern-2', '/damage/lectern-2/decide', '/damage/lectern-2/patch',
  '/damage/lectern-2/blend', '/damage/bookcase-12/joint', '/damage/settle-2/movement', '/damage/bookcase-9/sheet',
  '/damage/bookcase-1/special', '/damage/stool-1/decide', '/stock/v-walnut', '/lumber/lumber-oak',
]; // prettier-ignore
/** Deeper than this no fold lies in a fold. */
const MOST_FOLDS_DEEP = 3;
const SETTLED_MS = 700;
/** Less is a page that still loads. */
const LEAST_TEXT = 80;
/** What takes its time shows how far it is. */
const MOST_WORK_MS = 20_000;
const MOST_SAVE_MS = 4000;

type Texts = Record<string, string>;

/** Copies all records between the app's store and one beside it, within the browser: photos are heavy. */
const copy = (page: Page, way: 'aside' | 'back'): Promise<void> =>
  page.evaluate(async (way) => {
    const first = indexedDB.open('rustic-lantern');
    await new Promise((resolve) => (first.onsuccess = resolve));
    const app = first.result;
    const table = app.objectStoreNames[0] ?? '';
    const second = indexedDB.open('beside');
    second.onupgradeneeded = () => second.result.createObjectStore(table);
    await new Promise((resolve) => (second.onsuccess = resolve));
    const beside = second.result;
    const [from, to] = way === 'aside' ? [app, beside] : [beside, app];
    const source = from.transaction(table).objectStore(table);
    const [keys, values] = [source.getAllKeys(), source.getAll()];
    await new Promise((resolve) => (values.onsuccess = resolve));
    const tx = to.transaction(table, 'readwrite');
    tx.objectStore(table).clear();
    keys.result.forEach((k, i) => tx.objectStore(table).put(values.result[i], k));
    await new Promise((resolve) => (tx.oncomplete = resolve));
    app.close();
    beside.close();
  }, way);

/** A list that is empty says the same as none. */
const withoutEmpty = (_: string, value: unknown): unknown =>
  Array.isArray(value) && value.length === 0 ? undefined : value;

/** What was entered: of each record its body, whatever the envelope says of when and by whom. What is no record is left out. */
const bodies = (all: Texts): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(all).flatMap(([key, text]) => {
      if (!text.startsWith('{')) return [];
      const { kind, body } = JSON.parse(text, withoutEmpty) as { kind?: string; body?: unknown };
      return kind && body ? [[key, body]] : [];
    }),
  );

async function openAll(page: Page): Promise<void> {
  for (let deep = 0; deep < MOST_FOLDS_DEEP; deep++) {
    const shut = page.locator('[role="main"] [aria-expanded="false"]');
    const count = await shut.count();
    if (count === 0) return;
    for (let i = count - 1; i >= 0; i--) await shut.nth(i).click({ timeout: 2000 }).catch(() => undefined); // prettier-ignore
    await page.waitForTimeout(SETTLED_MS / 2);
  }
}

async function open(page: Page, route: string): Promise<void> {
  await page.goto('/api/health');
  await copy(page, 'back');
  await page.goto(route);
  const main = page.locator('[role="main"]');
  await main.waitFor();
  for (let waited = 0; waited < MOST_WORK_MS; waited += 100) {
    const text = await main.innerText();
    if (text.length > LEAST_TEXT && !text.includes('One moment')) break;
    await page.waitForTimeout(100);
  }
  await page.waitForTimeout(SETTLED_MS);
  await openAll(page);
}

const buttons = (page: Page) =>
  page.locator('[role="main"] [role="button"]:not([aria-expanded]):not([aria-disabled="true"])');

/** Presses the button, and the one that asks again. */
async function press(page: Page, name: string, nth: number): Promise<void> {
  const same = page.locator('[role="main"]').getByRole('button', { name, exact: true });
  const before = await same.count();
  await same.nth(nth).click({ timeout: 3000 });
  await page.waitForTimeout(100);
  if ((await same.count()) > before) await same.last().click({ timeout: 3000 });
}

async function whenWorkIsOver(page: Page): Promise<void> {
  const undo = page.getByRole('button', { name: 'Undo', exact: true });
  for (let waited = 0; waited < MOST_WORK_MS; waited += 100) {
    if ((await undo.last().isVisible()) && (await page.locator('[role="status"]').count()) > 0) return;
    if (waited >= SETTLED_MS && (await page.getByRole('progressbar').count()) === 0) return;
    await page.waitForTimeout(100);
  }
}

/** What differs from before, in words; nothing when all stands as it stood. */
async function difference(page: Page, good: Texts): Promise<string | undefined> {
  const was = bodies(good);
  const now = bodies(await texts(page, 'named'));
  const keys = [...new Set([...Object.keys(was), ...Object.keys(now)])];
  const other = keys.filter((k) => !isDeepStrictEqual(was[k], now[k]));
  return other.length > 0 ? other.join(', ') : undefined;
}

/** Presses everything once, undoes what can be undone, and tells what was not as before. @param from the page to begin with */
export async function undos(base: string, from = '/'): Promise<Tally & { pressed: number }> {
  const browser = await openBrowser();
  const page = await (await openContext(browser, base)).newPage();
  const result = { ...tally(), pressed: 0 };
  let where = '';
  page.on('pageerror', (e) => result.foreign.push(`${where}: ${e.message}`));
  await page.goto('/demo?load=1');
  await page.getByRole('link', { name: /Card-index cabinet/ }).waitFor();
  const good = await texts(page, 'named');
  await page.goto('/api/health');
  await copy(page, 'aside');
  const toast = page.locator('[role="status"]').getByRole('button', { name: 'Undo', exact: true });
  for (const route of ROUTES.slice(ROUTES.indexOf(from))) {
    await open(page, route);
    const names = await buttons(page).evaluateAll((all) => all.map((b) => b.getAttribute('aria-label') ?? b.textContent ?? '')); // prettier-ignore
    const address = page.url();
    console.error(`  ${route}: ${names.length} buttons`);
    let dirty = false;
    for (const [i, name] of names.entries()) {
      if (dirty || page.url() !== address) await open(page, route);
      where = `${route} “${name}”`;
      result.pressed++;
      const nth = names.slice(0, i).filter((n) => n === name).length;
      dirty = true;
      try {
        await press(page, name, nth);
      } catch {
        continue;
      }
      await whenWorkIsOver(page);
      if (!(await toast.isVisible())) {
        dirty = (await difference(page, good)) !== undefined;
        continue;
      }
      result.done++;
      await toast.click();
      let left = await difference(page, good);
      for (let waited = 0; left && waited < MOST_SAVE_MS; waited += 200) {
        await page.waitForTimeout(200);
        left = await difference(page, good);
      }
      if (left) {
        result.lost++;
        console.log(`  ${where}: ${left}`);
      }
    }
  }
  await browser.close();
  return result;
}

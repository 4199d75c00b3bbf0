// What a browser and its machine do on a bad day: a disk that is full, a tab put to sleep, back and forward while the page works,
// a server that is gone in the middle of the first install.
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { execFileSync, type ChildProcess } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, appendFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { seededRandom } from '../../src/core/check';
import { EXECUTABLE, openBrowser, openContext, texts } from './browser';
import { tally, type Tally } from './shop';

const SEED = 29;

const bodyOf = (all: Record<string, string>, key: string): Record<string, unknown> =>
  (JSON.parse(all[key] ?? '{"body":{}}') as { body: Record<string, unknown> }).body;

async function withDemo(context: BrowserContext): Promise<Page> {
  const page = await context.newPage();
  await page.goto('/demo?load=1');
  await page.getByRole('link', { name: /Card-index cabinet/ }).waitFor({ timeout: 60_000 });
  return page;
}

/** Writes until there is no block left. */
function fill(file: string): void {
  for (const bytes of [1_000_000, 1000])
    try {
      for (;;) appendFileSync(file, Buffer.alloc(bytes));
    } catch {
      // As meant.
    }
}

/** The demo alone has more. */
const LEAST_RECORDS = 10;

async function isEmptied(context: BrowserContext): Promise<boolean> {
  const page = await context.newPage();
  await page.goto('/');
  await page.waitForTimeout(1500);
  const empty = Object.keys(await texts(page)).length < LEAST_RECORDS;
  await page.close();
  return empty;
}

const aboutLectern = async (page: Page) => {
  await page.goto('/piece/lectern/about');
  const notes = page.getByRole('textbox', { name: 'Notes' });
  await notes.waitFor();
  return notes;
};

/**
 * A file system of its own that is really full while something is typed, and has room again after it. Needs the right to mount one.
 * What was typed is saved, or told and kept until there is room; where the browser itself falls, what was saved before is there.
 */
export async function fullDisk(base: string, rounds: number): Promise<Tally> {
  const result = tally();
  const folder = mkdtempSync(path.join(tmpdir(), 'full-'));
  const [image, disk] = [path.join(folder, 'image'), path.join(folder, 'disk')];
  execFileSync('fallocate', ['-l', '200M', image]);
  execFileSync('mkfs.ext4', ['-q', '-F', '-m', '0', image]);
  mkdirSync(disk);
  execFileSync('mount', ['-o', 'loop', image, disk]);
  const filler = path.join(disk, 'filler');
  const opened = (): Promise<BrowserContext> =>
    chromium.launchPersistentContext(path.join(disk, 'profile'), {
      executablePath: EXECUTABLE,
      args: ['--no-sandbox', '--disable-gpu', '--disk-cache-size=1'],
      baseURL: base,
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'block',
    });
  const tallied = { saved: 0, kept: 0, fell: 0, emptied: 0 };
  try {
    let context = await opened();
    await withDemo(context);
    let before = 'Stands by the window; the slope takes the sun.';
    for (let n = 0; n < rounds; n++) {
      result.done++;
      await context.close().catch(() => undefined);
      context = await opened();
      // What the browser itself threw away at its start no page could have kept.
      if (await isEmptied(context)) {
        tallied.emptied++;
        await withDemo(context);
      }
      const typed = `Round ${n}: ${'x'.repeat(3900)}`;
      let fell = false;
      let now: unknown;
      try {
        const page = await context.newPage();
        page.setDefaultTimeout(10_000);
        // What the storage package leaves behind of a write that failed is told by the page all the same.
        page.on('pageerror', (e) => /NO_SPACE|AbortError/.test(e.message) || result.foreign.push(e.message));
        const notes = await aboutLectern(page);
        await notes.focus();
        await notes.press('Control+A');
        fill(filler);
        await page.keyboard.insertText(typed);
        await notes.blur();
        await page.waitForTimeout(4000);
        if ((await notes.inputValue()) !== typed) result.lost++;
        rmSync(filler, { force: true });
        // The browser has closed the store for this page: another page has it again, and what was typed.
        await aboutLectern(page);
        const again = page.getByRole('button', { name: /^Save it now/ }).first();
        await again.click({ timeout: 4000 }).then(() => tallied.kept++, () => tallied.saved++); // prettier-ignore
        await page.waitForTimeout(1500);
        now = bodyOf(await texts(page), 'piece/lectern').note;
      } catch (error) {
        fell = true;
        tallied.fell++;
        console.log(`  round ${n}: ${String(error).split('\n')[0]}`);
        rmSync(filler, { force: true });
        await context.close().catch(() => undefined);
        context = await opened();
        if (await isEmptied(context)) continue;
        const page = await context.newPage();
        await aboutLectern(page);
        now = bodyOf(await texts(page), 'piece/lectern').note;
      }
      if (now !== typed && !(fell && now === before)) {
        result.lost++;
        console.log(`  round ${n}: ${String(now).slice(0, 30)}`);
      }
      before = String(now);
    }
    await context.close();
  } finally {
    console.log(
      `  ${tallied.saved} saved at once, ${tallied.kept} told and saved later, the browser fell ${tallied.fell} times and began with an empty store ${tallied.emptied} times`,
    );
    execFileSync('umount', ['-l', disk]);
    rmSync(folder, { recursive: true, force: true });
  }
  return result;
}

const FROZEN_AFTER_MS = 120;

/** A tab is put to sleep while it saves; the other goes on, or says why not, and in the end both have saved. */
export async function frozenTab(base: string, rounds: number): Promise<Tally> {
  const random = seededRandom(SEED);
  const result = tally();
  const browser = await openBrowser();
  const context = await openContext(browser, base);
  const page = await withDemo(context);
  const other = await context.newPage();
  for (const p of [page, other]) p.on('pageerror', (e) => result.foreign.push(e.message));
  const cdp = await context.newCDPSession(page);
  const count = async (): Promise<number> =>
    Object.keys(await texts(other)).filter((k) => k.startsWith('colour/')).length;
  for (let n = 0; n < rounds; n++) {
    result.done++;
    await page.goto('/colours');
    await other.goto('/piece/lectern/about');
    const add = page.getByRole('button', { name: 'Add a colour', exact: true });
    const notes = other.getByRole('textbox', { name: 'Notes' });
    await add.waitFor();
    await notes.waitFor();
    const before = await count();
    await add.click({ noWaitAfter: true });
    await page.waitForTimeout(random() * FROZEN_AFTER_MS);
    await cdp.send('Page.setWebLifecycleState', { state: 'frozen' });
    await notes.fill(`Typed beside a sleeping tab, ${n}`);
    await notes.blur();
    await other.waitForTimeout(3000);
    const saved = async (): Promise<boolean> =>
      bodyOf(await texts(other), 'piece/lectern').note === `Typed beside a sleeping tab, ${n}`;
    const waits = await other.getByText('Another window of this app is writing').isVisible();
    if (!(await saved()) && !waits) result.lost++;
    await cdp.send('Page.setWebLifecycleState', { state: 'active' });
    for (let waited = 0; waited < 6000; waited += 200) {
      if ((await saved()) && (await count()) > before) break;
      await other.waitForTimeout(200);
    }
    if (!(await saved())) result.lost++;
    const made = (await count()) - before;
    if (made > 1) result.doubled++;
    if (made < 1) result.lost++;
  }
  await browser.close();
  return result;
}

const WORKING = [
  '/bench', '/damage/lectern-1/press', '/damage/lectern-2/patch', '/damage/lectern-2/blend', '/piece/lectern/plan',
  '/damage/settle-1/decide', '/stock/v-walnut', '/piece/bookcase/report', '/face/lectern-slope', '/',
]; // prettier-ignore
const MOST_PAUSE_MS = 400;

/** Back and forward at random while pages work: none stays empty, none stops. */
export async function backAndForward(base: string, rounds: number): Promise<Tally> {
  const random = seededRandom(SEED);
  const result = tally();
  const browser = await openBrowser();
  const page = await withDemo(await openContext(browser, base));
  page.on('pageerror', (e) => result.foreign.push(e.message));
  const good = await texts(page);
  for (let n = 0; n < rounds; n++) {
    result.done++;
    // Within the app, as a finger goes: the history is the app's own.
    for (let step = 0; step < 8; step++) {
      const to = WORKING[Math.floor(random() * WORKING.length)] ?? '/';
      const way = random();
      // A page that goes takes the answer with it.
      await page
        .evaluate(
          ({ path, way }) => {
            if (way < 0.3) history.back();
            else if (way < 0.5) history.forward();
            else {
              history.pushState(null, '', path);
              dispatchEvent(new PopStateEvent('popstate', { state: null }));
            }
          },
          { path: to, way },
        )
        .catch(() => undefined);
      if (!page.url().startsWith('http')) await page.goto('/');
      await page.waitForTimeout(random() * MOST_PAUSE_MS).catch(() => undefined);
    }
    const main = page.locator('[role="main"]');
    let text = '';
    for (let looks = 0; looks < 60 && text.length < 40; looks++) {
      text = await main.innerText({ timeout: 5000 }).catch(() => '');
      if (text.length < 40) await page.waitForTimeout(100);
    }
    if (text.length < 40 || text.includes('This page stopped')) {
      result.lost++;
      console.log(`  ${page.url()}: ${text.slice(0, 60)}`);
    }
  }
  // Going about changes nothing.
  const now = await texts(page);
  if (Object.keys(good).some((k) => now[k] !== good[k])) result.lost++;
  await browser.close();
  return result;
}

const MOST_INSTALL_MS = 2500;

/** The server is gone at some moment of the first visit and comes back: the next visit has all, and stands without the server. */
export async function halfInstalled(
  base: string,
  rounds: number,
  served: () => Promise<ChildProcess>,
): Promise<Tally> {
  const random = seededRandom(SEED);
  const result = tally();
  const browser = await openBrowser();
  let server = await served();
  for (let n = 0; n < rounds; n++) {
    result.done++;
    const context = await browser.newContext({ baseURL: base, viewport: { width: 390, height: 844 } });
    const page = await context.newPage();
    const errors: string[] = [];
    page.on('pageerror', (e) => errors.push(e.message));
    const opening = page.goto('/').catch(() => undefined);
    await new Promise((resolve) => setTimeout(resolve, random() * MOST_INSTALL_MS));
    server.kill('SIGKILL');
    await opening;
    await page.reload().catch(() => undefined);
    server = await served();
    errors.length = 0;
    await page.goto('/');
    const told = page.getByText('One damage, one answer');
    const stands = await told.waitFor({ timeout: 15_000 }).then(() => true, () => false); // prettier-ignore
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
      if (!navigator.serviceWorker.controller)
        await new Promise((resolve) =>
          navigator.serviceWorker.addEventListener('controllerchange', resolve, { once: true }),
        );
    });
    server.kill('SIGKILL');
    await page.goto('/stock').catch(() => undefined);
    const offline = await page.getByRole('heading', { name: 'Stock', level: 1 }).waitFor({ timeout: 15_000 }).then(() => true, () => false); // prettier-ignore
    if (!stands || !offline) {
      result.lost++;
      console.log(`  round ${n}: online ${stands}, offline ${offline}`);
    }
    result.foreign.push(...errors);
    server = await served();
    await context.close();
  }
  server.kill('SIGKILL');
  await browser.close();
  return result;
}

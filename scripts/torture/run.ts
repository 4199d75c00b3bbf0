// The large forms of what the suite has in small: `npm run build && npm run torture`. Figures go into docs/benchmarks.md.
import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { promisify } from 'node:util';
import { scheduleOf } from './load';
import { openBrowser, openContext, put, texts } from './browser';
import { spoiltFiles } from './files';
import type { Tally } from './shop';
import { merges } from './merges';
import { bracketLoads } from './brackets';
import { doubleTaps, largeShops } from './pages';
import { undos } from './undos';
import { backAndForward, frozenTab, fullDisk, halfInstalled } from './weather';
import { failingWrites, kills, twoWindows } from './writes';

const run = promisify(execFile);
const PORT = Number(process.env.PORT ?? 8099);
const BASE = `http://127.0.0.1:${PORT}`;
const tell = (what: string, answer: string): void => console.log(`| ${what} | ${answer} |`);
const counted = ({ done, lost, doubled, foreign }: Tally): string =>
  `${done} done, ${lost} lost, ${doubled} doubled, ${foreign.length} foreign errors${foreign.length > 0 ? `: ${[...new Set(foreign)].slice(0, 3).join('; ')}` : ''}`;

/** All that were begun, so that none outlives a part that failed. */
const servers: ChildProcess[] = [];

async function served(): Promise<ChildProcess> {
  const server = spawn('node', ['--import', 'tsx', 'server/index.ts'], {
    env: { ...process.env, PORT: String(PORT), WEB_ROOT: 'dist' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  servers.push(server);
  await new Promise((resolve) => server.stdout?.once('data', resolve));
  return server;
}

/** How long health takes to answer, asked by a process of its own: this one is busy with the load. */
async function healthMs(): Promise<number> {
  const { stdout } = await run('curl', [
    '-s',
    '-o',
    '/dev/null',
    '-w',
    '%{time_total}',
    `${BASE}/api/health`,
  ]);
  return 1000 * Number(stdout);
}

/** Health while a load is on: the slowest answer, ms, and how the load was answered. */
async function underLoad(name: string, body: string, requests: number): Promise<string> {
  const begun = performance.now();
  const answers = Array.from({ length: requests }, () =>
    fetch(`${BASE}/api/compute/${name}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
    }).then((r) => r.status),
  );
  let slowest = 0;
  let open = true;
  const all = Promise.all(answers).finally(() => (open = false));
  while (open) {
    slowest = Math.max(slowest, await healthMs());
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  const statuses = await all;
  const by = [...new Set(statuses)].sort().map((s) => `${statuses.filter((x) => x === s).length} × ${s}`);
  return `health within ${Math.ceil(slowest)} ms; ${by.join(', ')} after ${((performance.now() - begun) / 1000).toFixed(0)} s`;
}

const SPOILT: Record<string, (text: string) => string> = {
  'torn text': (text) => text.slice(0, text.length / 2),
  'an impossible field': (text) =>
    JSON.stringify({ ...JSON.parse(text), body: { ...JSON.parse(text).body, from: 'nowhere' } }),
  'an old version': (text) => JSON.stringify({ ...JSON.parse(text), version: 1 }),
  'a newer version': (text) => JSON.stringify({ ...JSON.parse(text), version: 99 }),
};
const ROUTES = [
  '/', '/bench', '/stock', '/shop', '/data', '/quick', '/piece/lectern', '/piece/lectern/about', '/piece/lectern/parts',
  '/piece/lectern/record', '/piece/lectern/report', '/piece/lectern/ways', '/piece/lectern/plan', '/face/lectern-slope', '/damage/lectern-1',
  '/damage/lectern-1/decide', '/damage/lectern-1/press', '/damage/lectern-1/glueup', '/damage/lectern-2/patch',
  '/damage/lectern-2/blend', '/damage/stool-1/joint', '/damage/stool-1/movement', '/stock/v-walnut', '/lumber/lumber-oak', '/nowhere',
]; // prettier-ignore
const KINDS = ['piece', 'face', 'damage', 'veneer', 'colour', 'board', 'lumber', 'log', 'shop', 'picture'];
/** A page is given six seconds. */
const LOOK_EVERY_MS = 100;
const MOST_LOOKS = 60;
/** Less than a heading and a sentence is a blank page. */
const LEAST_TEXT = 40;

/** Records of every kind spoilt in every way, on every page. */
async function spoiltPages(): Promise<string> {
  const browser = await openBrowser();
  const context = await openContext(browser, BASE);
  const page = await context.newPage();
  const errors: string[] = [];
  page.on('pageerror', (e) => errors.push(e.message));
  await page.goto('/demo?load=1');
  await page.getByRole('link', { name: /Card-index cabinet/ }).waitFor();
  const good = await texts(page);
  const blank: string[] = [];
  let [visits, stopped, frozen] = [0, 0, 0];
  for (const kind of KINDS)
    for (const [way, spoil] of Object.entries(SPOILT)) {
      await page.goto('/nowhere');
      await put(
        page,
        Object.fromEntries(
          Object.entries(good).map(([k, v]) => [k, k.startsWith(`${kind}/`) ? spoil(v) : v]),
        ),
      );
      for (const route of ROUTES) {
        visits++;
        await page.goto(route, { waitUntil: 'domcontentloaded' });
        const main = page.locator('[role="main"]');
        let text = '';
        // “One moment” is told while records load; a page that never says more is blank.
        for (let i = 0; i < MOST_LOOKS && text.length < LEAST_TEXT; i++) {
          const began = performance.now();
          text = await main.innerText({ timeout: 5000 }).catch(() => '');
          // The page answers as soon as it is free.
          if (i > 0 && performance.now() - began > 1000) frozen++;
          if (text.length < LEAST_TEXT) await page.waitForTimeout(LOOK_EVERY_MS);
        }
        if (text.length < LEAST_TEXT) blank.push(`${route} with ${kind}: ${way}`);
        if (text.includes('This page stopped')) stopped++;
      }
    }
  await browser.close();
  return `${visits} visits, ${blank.length} blank${blank.length ? ` (${blank.slice(0, 4).join('; ')})` : ''}, ${stopped} stopped, ${frozen} frozen for over a second, ${errors.length} foreign errors${errors.length ? `: ${[...new Set(errors)].slice(0, 3).join('; ')}` : ''}`;
}

const PARTS: Record<string, () => Promise<void>> = {
  async files() {
    tell('10,000 spoilt backups, half of them ZIP', counted(await spoiltFiles(10_000)));
  },
  async writes() {
    tell('2,000 failing writes over all kinds', counted(await failingWrites(2000)));
    tell('200 browsers ended while saving or reading in', counted(await kills(200)));
    tell('1,000 rounds of two windows with creating, deleting and undoing', counted(await twoWindows(1000)));
    tell('200 shops on two to four devices, laid together with deletions', counted(await merges(200)));
  },
  async server() {
    const server = await served();
    tell(
      'Server: 40 schedules of 2,000 tasks at once',
      await underLoad('bench.schedule', scheduleOf(2000, 1900), 40),
    );
    tell(
      'Server: one schedule beyond all measure',
      await underLoad('bench.schedule', scheduleOf(2000, 20_000), 1),
    );
    const field = { panel: { widthMm: 1200, heightMm: 600 }, platen: { thicknessMm: 18, modulusMPa: 9000, poisson: 0.3 }, foundation: { stiffnessMPaPerMm: 2 }, cauls: [], clamps: [{ at: [600, 300], forceN: 2000 }], gridMm: 5, target: { leastKPa: 70, mostKPa: 1000 } }; // prettier-ignore
    tell('Server: 500 pressure fields at once', await underLoad('press.field', JSON.stringify(field), 500));
    for (const [what, told] of await bracketLoads(BASE, healthMs)) tell(what, told);
    server.kill('SIGKILL');
  },
  async taps() {
    const server = await served();
    tell('500 double taps on buttons that make something', await doubleTaps(BASE, 500));
    server.kill('SIGKILL');
  },
  async shops() {
    const server = await served();
    for (const [what, told] of await largeShops(BASE)) tell(what, told);
    server.kill('SIGKILL');
  },
  async undos() {
    const server = await served();
    const result = await undos(BASE, process.env.TORTURE_FROM);
    tell(`${result.pressed} buttons of all pages pressed, what can be undone undone`, counted(result));
    server.kill('SIGKILL');
  },
  async weather() {
    const server = await served();
    tell('Back and forward 100 times in eights while pages work', counted(await backAndForward(BASE, 100)));
    tell('A tab put to sleep while it saves, 40 times', counted(await frozenTab(BASE, 40)));
    server.kill('SIGKILL');
  },
  async disk() {
    const server = await served();
    tell('A disk really full while something is typed, 6 times', counted(await fullDisk(BASE, 6)));
    server.kill('SIGKILL');
  },
  async install() {
    tell('The server gone in the middle of the first install, 20 times', counted(await halfInstalled(BASE, 20, served))); // prettier-ignore
  },
  async pages() {
    const server = await served();
    tell('Pages over spoilt records of every kind', await spoiltPages());
    server.kill('SIGKILL');
  },
};

async function main(): Promise<void> {
  const asked = process.argv.slice(2);
  for (const [name, part] of Object.entries(PARTS))
    if (asked.length === 0 || asked.includes(name)) await part();
}

main()
  .catch((error: unknown) => {
    console.error(error);
    process.exitCode = 1;
  })
  .finally(() => {
    servers.forEach((server) => server.kill('SIGKILL'));
    // A browser that is still open would keep this process.
    process.exit();
  });

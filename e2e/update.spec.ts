import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import {
  cpSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect, test, underServiceWorker } from './fixtures';

const PORT = 8098;
const BASE = `http://127.0.0.1:${PORT}`;
const HASH = /[0-9a-f]{32}/g;
const turned = (hash: string): string => [...hash].reverse().join('');

/** The present build, and one that follows it: every hashed part has another name, and the first page another word. */
function twoBuilds(): { root: string; serve: (build: 'old' | 'new') => void } {
  const folder = mkdtempSync(path.join(tmpdir(), 'builds-'));
  const [old, next, root] = ['old', 'new', 'root'].map((n) => path.join(folder, n)) as [
    string,
    string,
    string,
  ];
  cpSync('dist', old, { recursive: true });
  cpSync('dist', next, { recursive: true });
  const files = readdirSync(next, { recursive: true, withFileTypes: true }).filter((f) => f.isFile());
  for (const f of files) {
    const file = path.join(f.parentPath, f.name);
    if (/\.(js|html|json)$/.test(f.name) && !file.includes('/demo/')) {
      const text = readFileSync(file, 'utf8').replace(HASH, turned);
      writeFileSync(file, text.replaceAll('One damage, one answer', 'One damage, one newer answer'));
    }
    if (HASH.test(f.name)) renameSync(file, path.join(f.parentPath, f.name.replace(HASH, turned)));
    HASH.lastIndex = 0;
  }
  execFileSync('node', ['scripts/build-sw.mjs', next]);
  const serve = (build: 'old' | 'new'): void => {
    rmSync(root, { force: true });
    symlinkSync(build === 'old' ? old : next, root);
  };
  serve('old');
  return { root, serve };
}

let builds: ReturnType<typeof twoBuilds>;
let server: ChildProcess;
test.beforeAll(async () => {
  builds = twoBuilds();
  server = spawn('node', ['--import', 'tsx', 'server/index.ts'], {
    env: { ...process.env, PORT: String(PORT), WEB_ROOT: builds.root },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((resolve) => server.stdout?.once('data', resolve));
});
test.afterAll(() => void server.kill('SIGKILL'));
test.beforeEach(() => builds.serve('old'));

test('an open page goes on with the old version, offers the new one, and takes it up when asked', async ({
  browser,
}) => {
  const context = await browser.newContext({ baseURL: BASE });
  const page = await context.newPage();
  await page.goto('/');
  await underServiceWorker(page);
  // Opened anew, it stands under the worker, and has loaded nothing but the first page.
  await page.goto('/');
  await expect(page.getByText('One damage, one answer')).toBeVisible();
  builds.serve('new');
  await page.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()));
  await expect(page.getByText('A newer version is ready.')).toBeVisible();
  // What it had not loaded yet is still that of its own version.
  await page.getByRole('button', { name: 'Add a piece' }).click();
  const note = page.getByRole('textbox', { name: 'Notes' });
  await note.fill('Typed under the old version');
  await page.getByRole('button', { name: 'Use the newer version' }).click();
  await expect(page.getByRole('textbox', { name: 'Notes' })).toHaveValue('Typed under the old version');
  await expect(page.getByText('A newer version is ready.')).toHaveCount(0);
  await page.getByRole('link', { name: 'Pieces', exact: true }).click();
  await expect(page.getByText('One damage, one newer answer')).toBeVisible();
  await context.close();
});

test('a part that is gone anyway loads the page anew, once, at the same address', async ({
  browser,
  allowed,
}) => {
  allowed('404');
  allowed('Refused to execute script');
  const context = await browser.newContext({ baseURL: BASE, serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.goto('/');
  await expect(page.getByText('One damage, one answer')).toBeVisible();
  builds.serve('new');
  await page.getByRole('link', { name: 'Stock' }).click();
  await expect(page.getByRole('heading', { name: 'Stock', level: 1 })).toBeVisible();
  expect(new URL(page.url()).pathname).toBe('/stock');
  await page.getByRole('link', { name: 'Pieces', exact: true }).click();
  await expect(page.getByText('One damage, one newer answer')).toBeVisible();
  await context.close();
});

test('photos shared by another app wait, and become faces of a piece', async ({ browser }) => {
  const context = await browser.newContext({ baseURL: BASE });
  const page = await context.newPage();
  await page.goto('/');
  await underServiceWorker(page);
  const picture = readFileSync('public/icon.png').toString('base64');
  await page.evaluate(async (png) => {
    const bytes = Uint8Array.from(atob(png), (c) => c.charCodeAt(0));
    const form = new FormData();
    form.append('photos', new File([bytes], 'chest.png', { type: 'image/png' }));
    await fetch('/shared', { method: 'POST', body: form });
  }, picture);
  await page.goto('/shared');
  await expect(page.getByText('1 photo waits: chest.png.')).toBeVisible();
  await page.getByRole('button', { name: 'Add them' }).click();
  await expect(page.getByRole('link', { name: /^Face 1/ })).toBeVisible();
  await page.goto('/shared');
  await expect(page.getByText(/^None are waiting/)).toBeVisible();
  await context.close();
});

test('it can be put on a home screen: icons of every size it names, and a place for shared photos', async ({
  request,
}) => {
  const manifest = (await (await request.get(`${BASE}/manifest.webmanifest`)).json()) as {
    icons: { src: string; sizes: string; purpose?: string }[];
    share_target: { action: string };
  };
  expect(manifest.share_target.action).toBe('/shared');
  expect(manifest.icons.some((i) => i.purpose === 'maskable')).toBe(true);
  for (const { src, sizes } of manifest.icons) {
    const bytes = await (await request.get(`${BASE}${src}`)).body();
    // Width and height stand in the header of a PNG.
    expect(`${bytes.readUInt32BE(16)}x${bytes.readUInt32BE(20)}`).toBe(sizes);
  }
});

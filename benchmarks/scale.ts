// A shop of 50 pieces beside one of 500, in the browser: opening, listing, searching, saving and reading in.
import { chromium, type Page } from '@playwright/test';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { INSET_CORNERS, newDamage, newFace, newPiece } from '../src/records/defaults';
import { writeBackup } from '../src/records/backup';
import { SHAPE_VERSION } from '../src/records/schemas';
import { createStore } from '../src/records/store';
import type { AnyStored, Bodies, Kind } from '../src/records/types';
import { memoryStorage } from '../src/testing/memoryStorage';

const WHEN = '2026-03-02T09:00:00';
const PER_PIECE = 4;
const PHOTO = 'demo/pictures/green-pine-cladding.jpg';

const stored = <K extends Kind>(kind: K, id: string, body: Bodies[K]): AnyStored =>
  ({ kind, id, version: SHAPE_VERSION, revision: 1, savedAt: WHEN, body }) as AnyStored;

/** Pieces with a face, four damages and four photos each. */
async function shopFile(pieces: number, photo: string): Promise<string> {
  const store = createStore(memoryStorage(), { now: () => WHEN });
  const all: AnyStored[] = [];
  const picture = (id: string): AnyStored =>
    stored('picture', id, { name: `${id}.jpg`, widthPx: 1600, heightPx: 1200, jpeg: photo });
  for (let i = 0; i < pieces; i++) {
    const [p, f] = [`p${i}`, `f${i}`];
    const photos = [1, 2, 3].map((k) => ({ pictureId: `x${i}-${k}`, role: 'detail' as const, note: '' }));
    all.push(
      stored('piece', p, { ...newPiece(`Piece ${i} of the store room`, WHEN), photos }),
      stored('face', f, {
        ...newFace(p, 'Top'),
        picture: { id: `x${i}-0`, widthPx: 1600, heightPx: 1200 },
        scale: { kind: 'rectangle', object: 'face', corners: INSET_CORNERS, widthMm: 800, heightMm: 500 },
      }),
      picture(`x${i}-0`),
      ...photos.map((x) => picture(x.pictureId)),
    );
    for (let k = 0; k < PER_PIECE; k++) {
      const c = 0.2 + 0.15 * k;
      const outline: [number, number][] = [[c, c], [c + 0.06, c], [c + 0.06, c + 0.05], [c, c + 0.05]]; // prettier-ignore
      all.push(
        stored('damage', `d${i}-${k}`, {
          ...newDamage(p, f, k + 1, k % 2 ? 'gouge' : 'liftedEdge'),
          outline,
        }),
      );
    }
  }
  await store.putAll(all);
  const { blob } = await writeBackup(store, { savedAt: WHEN });
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'scale-')), `${pieces}.zip`);
  writeFileSync(file, new Uint8Array(await blob.arrayBuffer()));
  return file;
}

/** The longest task of the page since the last time this was asked, ms. */
const longest = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const w = window as unknown as { longest: number };
    const found = w.longest;
    w.longest = 0;
    return Math.round(found);
  });
const s = (ms: number): string => `${(ms / 1000).toFixed(1)} s`;

async function measured(file: string, pieces: number, base: string): Promise<Record<string, string>> {
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] }); // prettier-ignore
  const context = await browser.newContext({ baseURL: base, viewport: { width: 390, height: 844 }, serviceWorkers: 'block' }); // prettier-ignore
  const page = await context.newPage();
  await page.addInitScript(() => {
    const w = window as unknown as { longest: number };
    w.longest = 0;
    new PerformanceObserver((list) => {
      for (const e of list.getEntries()) w.longest = Math.max(w.longest, e.duration);
    }).observe({ entryTypes: ['longtask'] });
  });
  const out: Record<string, string> = {};
  const clock = async (name: string, work: () => Promise<unknown>): Promise<void> => {
    await longest(page).catch(() => 0);
    const begun = performance.now();
    await work();
    const took = performance.now() - begun;
    out[name] = `${s(took)}, longest task ${await longest(page)} ms`;
  };
  await page.goto('/data');
  await clock('Reading in', async () => {
    await page.locator('input[aria-label="Read in a file"]').setInputFiles(file);
    await page.getByRole('button', { name: 'Read it in' }).click({ timeout: 600_000 });
    await page.getByText(/was read in/).waitFor({ timeout: 600_000 });
  });
  await clock('First list after that', async () => {
    await page.goto('/');
    await page
      .getByRole('link', { name: /^Piece/ })
      .first()
      .waitFor({ timeout: 120_000 });
  });
  // What the worker makes is kept then; the next time the list stands at once.
  await page.waitForTimeout(pieces * 60);
  await clock('List, opened again', async () => {
    await page.goto('/');
    await page
      .getByRole('link', { name: /^Piece/ })
      .first()
      .waitFor({ timeout: 120_000 });
  });
  await clock('Searching', async () => {
    await page.getByRole('searchbox', { name: 'Find a piece' }).fill(`piece ${pieces - 1} `);
    await page.getByRole('link', { name: new RegExp(`^Piece ${pieces - 1} `) }).waitFor();
  });
  await clock('The bench, first days', async () => {
    await page.goto('/bench');
    await page.getByText('Your hands').first().waitFor({ timeout: 300_000 });
  });
  await page.goto('/data');
  await clock('Saving everything', async () => {
    const download = page.waitForEvent('download', { timeout: 600_000 });
    await page.getByRole('button', { name: 'Save everything to a file' }).click();
    await (await download).path();
  });
  await browser.close();
  return out;
}

/** Rows for docs/benchmarks.md. */
export async function scale(base: string): Promise<void> {
  const photo = readFileSync(PHOTO).toString('base64');
  const columns: Record<string, string>[] = [];
  for (const pieces of [50, 500]) columns.push(await measured(await shopFile(pieces, photo), pieces, base));
  for (const name of Object.keys(columns[0] ?? {}))
    console.log(`| ${name} | ${columns.map((c) => c[name]).join(' | ')} |`);
}

if (process.argv[1]?.endsWith('scale.ts')) void scale(process.argv[2] ?? 'http://127.0.0.1:8092');

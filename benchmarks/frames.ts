// How smoothly a face with 300 damages moves under the finger, beside an empty one; and how soon a list of 200 pieces stands.
import { chromium, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { DAMAGE_KINDS, type DamageKind } from '../src/core/damage';
import { seededRandom } from '../src/core/check';
import { newDamage, newFace, newPiece } from '../src/records/defaults';
import { SHAPE_VERSION } from '../src/records/schemas';
import { singleFile } from '../demo/singleFile';
import type { AnyStored, Bodies, Kind } from '../src/records/types';

const WHEN = '2026-03-02T09:00:00';
const PORT = 8094;
const DAMAGES = 300;
const PIECES = 200;
const SMOOTH_MS = 20;

const stored = <K extends Kind>(kind: K, id: string, body: Bodies[K]): AnyStored =>
  ({ kind, id, version: SHAPE_VERSION, revision: 1, savedAt: WHEN, body }) as AnyStored;

const face = (id: string, pieceId: string, name: string): AnyStored =>
  stored('face', id, {
    ...newFace(pieceId, name),
    scale: { kind: 'rectangle', object: 'face', corners: [[0, 0], [1, 0], [1, 1], [0, 1]], widthMm: 1200, heightMm: 700 },
    grain: [[0.1, 0.5], [0.9, 0.5]],
  }); // prettier-ignore

/** Damages of every area kind with eight points each, and pieces with two damages each. */
function crowd(): AnyStored[] {
  const random = seededRandom(5);
  const kinds = (Object.keys(DAMAGE_KINDS) as DamageKind[]).filter((k) => DAMAGE_KINDS[k].tool === 'area');
  const outline = (): [number, number][] => {
    const [cx, cy, r] = [0.05 + 0.9 * random(), 0.05 + 0.9 * random(), 0.008 + 0.015 * random()];
    return Array.from({ length: 8 }, (_, i) => [cx + r * Math.cos((i * Math.PI) / 4), cy + 1.7 * r * Math.sin((i * Math.PI) / 4)]); // prettier-ignore
  };
  const damage = (id: string, pieceId: string, faceId: string, number: number): AnyStored =>
    stored('damage', id, {
      ...newDamage(pieceId, faceId, number, kinds[number % kinds.length] ?? 'gouge'),
      outline: outline(),
    });
  return [
    stored('piece', 'crowded', newPiece('Crowded', WHEN)),
    face('full', 'crowded', 'Full face'),
    face('empty', 'crowded', 'Empty face'),
    ...Array.from({ length: DAMAGES }, (_, i) => damage(`d${i}`, 'crowded', 'full', i + 1)),
    ...Array.from({ length: PIECES }, (_, i) => [
      stored('piece', `p${i}`, newPiece(`Piece ${i}`, WHEN)),
      face(`f${i}`, `p${i}`, 'Top'),
      damage(`a${i}`, `p${i}`, `f${i}`, 1),
      damage(`b${i}`, `p${i}`, `f${i}`, 2),
    ]).flat(),
  ];
}

/** Frame times while a finger drags round and a wheel zooms in and out, ms. */
async function frames(page: Page, faceId: string, ready: string): Promise<number[]> {
  await page.goto(`http://127.0.0.1:${PORT}/face/${faceId}`);
  await page.getByRole('group', { name: ready }).waitFor();
  await page.waitForTimeout(1500);
  const box = await page.getByRole('group', { name: ready }).boundingBox();
  if (!box) throw new Error('the drawing is not shown');
  return page.evaluate(
    async ({ x, y, w, h }) => {
      const at = (dx: number, dy: number) => ({
        clientX: x + w / 2 + dx,
        clientY: y + h / 2 + dy,
        bubbles: true,
      });
      const target = document.elementFromPoint(x + w / 2, y + h / 2);
      const times: number[] = [];
      let last = performance.now();
      const next = (): Promise<void> =>
        new Promise((resolve) =>
          requestAnimationFrame(() => {
            const now = performance.now();
            times.push(now - last);
            last = now;
            resolve();
          }),
        );
      const send = (type: string, dx: number, dy: number): void =>
        void target?.dispatchEvent(new PointerEvent(type, { ...at(dx, dy), pointerId: 7, isPrimary: true }));
      send('pointerdown', 0, 0);
      for (let i = 0; i < 150; i++) {
        send('pointermove', 80 * Math.sin(i / 12), 50 * Math.cos(i / 9));
        await next();
      }
      send('pointerup', 0, 0);
      for (let i = 0; i < 150; i++) {
        target?.dispatchEvent(
          new WheelEvent('wheel', { ...at(0, 0), deltaY: i % 60 < 30 ? -18 : 18, cancelable: true }),
        );
        await next();
      }
      return times.slice(5);
    },
    { x: box.x, y: box.y, w: box.width, h: box.height },
  );
}

const share = (times: number[], ms: number): number => times.filter((t) => t <= ms).length / times.length;
const percentile = (times: number[], p: number): number =>
  [...times].sort((a, b) => a - b)[Math.floor(p * (times.length - 1))] ?? 0;

export async function smoothness(
  row: (name: string, value: string, peer?: string, ratio?: string) => void,
): Promise<void> {
  const server = spawn('node', ['--import', 'tsx', 'server/index.ts'], {
    env: { ...process.env, PORT: String(PORT) },
  });
  await new Promise((resolve) => server.stdout.once('data', resolve));
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  // The TypeScript runner names functions by a helper that the page does not have.
  await page.addInitScript('globalThis.__name = (f) => f');
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'crowd-')), 'crowd.lantern.json');
  writeFileSync(file, singleFile(crowd(), WHEN));
  await page.goto(`http://127.0.0.1:${PORT}/shop`);
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Read in a file' }).first().click();
  await (await chooser).setFiles(file);
  await page.getByRole('button', { name: 'Read it in' }).click();
  await page.waitForTimeout(3000);

  const full = await frames(page, 'full', 'Full face to scale');
  const empty = await frames(page, 'empty', 'Empty face to scale');
  row(
    `Pan and zoom over ${DAMAGES} damages on one face: frames within ${SMOOTH_MS} ms`,
    `${(100 * share(full, SMOOTH_MS)).toFixed(0)} %, 95th ${percentile(full, 0.95).toFixed(1)} ms`,
    `an empty face ${(100 * share(empty, SMOOTH_MS)).toFixed(0)} %, 95th ${percentile(empty, 0.95).toFixed(1)} ms`,
    `${(percentile(full, 0.95) / percentile(empty, 0.95)).toFixed(2)} ×`,
  );

  const opened: number[] = [];
  for (let i = 0; i < 5; i++) {
    await page.goto(`http://127.0.0.1:${PORT}/stock`);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    const start = Date.now();
    await page.getByRole('link', { name: 'Pieces', exact: true }).click();
    await page
      .getByRole('link', { name: /^Piece \d+\./ })
      .first()
      .waitFor();
    opened.push(Date.now() - start);
  }
  row(
    `The list of ${PIECES} pieces, from the tap to the first rows`,
    `${percentile(opened, 0.5)} ms`,
    '',
    '',
  );
  await browser.close();
  server.kill('SIGTERM');
}

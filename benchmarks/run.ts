// Speed and size, side by side with a general-purpose peer where there is one: `npm run build && npm run bench`.
import { chromium } from '@playwright/test';
import cv from '@techstark/opencv-js';
import { spawn } from 'node:child_process';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { cpus } from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { schedule, type ScheduleInput } from '../src/core/bench';
import { homographyFrom, type Point } from '../src/core/geometry';
import { warp } from '../src/core/picture';
import { seededRandom } from '../src/core/check';
import { pressing } from './field';
import { smoothness } from './frames';
import { opening } from './opening';
import { tapping } from './tapping';

const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

async function timed(runs: number, work: () => unknown): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const start = performance.now();
    await work();
    times.push(performance.now() - start);
  }
  return median(times);
}

const row = (name: string, value: string, peer = '', ratio = ''): void =>
  console.log(`| ${name} | ${value} | ${peer} | ${ratio} |`);

async function rectifying(): Promise<void> {
  if (!cv.Mat) await new Promise<void>((resolve) => (cv.onRuntimeInitialized = resolve));
  const [sw, sh, w, h] = [4000, 3000, 1400, 1050];
  const random = seededRandom(1);
  const data = new Uint8ClampedArray(sw * sh * 4).map(() => random() * 255);
  const corners: Point[] = [[500, 400], [3500, 350], [3800, 2700], [200, 2600]]; // prettier-ignore
  const square: Point[] = [[0, 0], [w, 0], [w, h], [0, h]]; // prettier-ignore
  const map = homographyFrom(square, corners);
  const ours = await timed(5, () => warp({ data, width: sw, height: sh }, map, w, h));
  const input = new cv.Mat(sh, sw, cv.CV_8UC4);
  input.data.set(data);
  const output = new cv.Mat();
  const from = cv.matFromArray(4, 1, cv.CV_32FC2, corners.flat());
  const to = cv.matFromArray(4, 1, cv.CV_32FC2, square.flat());
  const perspective = cv.getPerspectiveTransform(from, to);
  const theirs = await timed(5, () =>
    cv.warpPerspective(input, output, perspective, new cv.Size(w, h), cv.INTER_LINEAR),
  );
  row(
    'Rectifying a photo of 12 megapixels to 1400 × 1050',
    `${ours.toFixed(0)} ms`,
    `opencv (wasm) ${theirs.toFixed(0)} ms`,
    `${(ours / theirs).toFixed(1)} ×`,
  );
}

function sixtyTasks(): ScheduleInput {
  const random = seededRandom(60);
  const tasks = Array.from({ length: 60 }, (_, i) => ({
    id: `t${i}`,
    attendedMin: 5 + Math.floor(random() * 60),
    unattendedMin: random() < 0.5 ? Math.floor(random() * 900) : 0,
    after: i > 2 && random() < 0.7 ? [`t${Math.floor(random() * i)}`] : [],
    needs: { clamps: Math.floor(random() * 4) },
    attendedNeeds: { hands: 1 },
  }));
  return {
    tasks,
    resources: { hands: 1, clamps: 6 },
    start: '2026-03-02T08:00:00',
    workingHours: { from: '08:00', to: '17:00' },
  };
}

async function scheduling(): Promise<void> {
  const input = sixtyTasks();
  const ours = await timed(5, () => schedule(input));
  const greedy = await timed(5, () => schedule({ ...input, tries: 0 }));
  const [best, first] = [await schedule(input), await schedule({ ...input, tries: 0 })];
  row(
    'A schedule of 60 tasks, 400 orders tried',
    `${ours.toFixed(0)} ms, finish ${best.finish}`,
    `rules of thumb only ${greedy.toFixed(0)} ms, finish ${first.finish}`,
    `bound ${best.lowerBound}`,
  );
}

async function coldStart(): Promise<void> {
  const port = 8094;
  const server = spawn('node', ['--import', 'tsx', 'server/index.ts'], {
    env: { ...process.env, PORT: String(port) },
  });
  await new Promise((resolve) => server.stdout.once('data', resolve));
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const loaded = new Set<string>();
  const workers = new Set<string>();
  const usable = await timed(5, async () => {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    page.on('response', (r) => {
      if (r.url().endsWith('.js')) loaded.add(new URL(r.url()).pathname);
    });
    page.on('worker', (w) => workers.add(new URL(w.url()).pathname));
    await page.goto(`http://127.0.0.1:${port}/`);
    await page.getByRole('button', { name: 'Add a piece' }).waitFor();
    await context.close();
  });
  for (const { page, ms } of await opening(browser, `http://127.0.0.1:${port}`))
    row(`Opening ${page}, processor four times slower`, `${ms.toFixed(0)} ms`);
  await browser.close();
  server.kill('SIGTERM');
  const sizeOf = (paths: readonly string[]): string => {
    const files = paths.map((p) => readFileSync(path.join('dist', p)));
    const raw = files.reduce((s, b) => s + b.length, 0);
    const zipped = files.reduce((s, b) => s + gzipSync(b).length, 0);
    return `${(raw / 1000).toFixed(0)} kB raw, ${(zipped / 1000).toFixed(0)} kB gzip`;
  };
  row(
    'Cold start: first load to a usable list (new browser profile, local server)',
    `${usable.toFixed(0)} ms`,
  );
  row('JavaScript of the first load', sizeOf([...loaded].filter((p) => !workers.has(p))));
  row('What the worker loads for itself, beside the page', sizeOf([...workers]));
  const folder = 'dist/_expo/static/js/web';
  const all = readdirSync(folder).reduce((s, f) => s + statSync(path.join(folder, f)).size, 0);
  row('JavaScript of the whole app, loaded as it is needed', `${(all / 1000).toFixed(0)} kB raw`);
}

async function main(): Promise<void> {
  console.log(`Machine: ${cpus().length} cores, ${cpus()[0]?.model ?? 'unknown'}, Node ${process.version}\n`);
  console.log('| what | here | beside it | ratio |\n| --- | --- | --- | --- |');
  await rectifying();
  await scheduling();
  await pressing(row);
  await coldStart();
  await smoothness(row);
  await tapping();
}

main().then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(error);
    process.exit(1);
  },
);

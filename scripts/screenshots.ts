// One current picture of each main view, from demo data only: `npm run build && npm run shots`.
import { chromium, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';

const FOLDER = process.env.SHOTS ?? 'docs/screenshots';
const ONLY = process.env.ONLY?.split(',');

type View = {
  name: string;
  route: string;
  ready: string;
  prepare?: (page: Page) => Promise<void>;
  scroll?: number;
};

const PHONE: View[] = [
  { name: 'pieces', route: '/', ready: 'Quick answer' },
  { name: 'quick', route: '/quick', ready: 'Keep this', scroll: 700 },
  { name: 'trail', route: '/piece/lectern', ready: 'Survey' },
  { name: 'scale', route: '/face/cabinet-side/scale', ready: 'Scale at the centre' },
  { name: 'outline', route: '/damage/lectern-1', ready: 'Perimeter' },
  { name: 'decide', route: '/damage/cabinet-1/decide', ready: 'Recommended' },
  { name: 'press', route: '/damage/lectern-1/press', ready: 'Under pressure' },
  { name: 'patch', route: '/damage/lectern-2/patch', ready: 'Old ground' },
  { name: 'blend', route: '/damage/lectern-2/blend', ready: 'Difference left' },
  { name: 'bench', route: '/bench?piece=lectern', ready: 'Your hands' },
  { name: 'record', route: '/piece/lectern/record', ready: 'Print the record' },
  { name: 'stock', route: '/stock', ready: 'On the shelf' },
];
const WIDE: View[] = [
  { name: 'trail', route: '/piece/lectern', ready: 'Survey' },
  { name: 'press', route: '/damage/lectern-1/press', ready: 'Under pressure' },
  { name: 'patch', route: '/damage/lectern-2/patch', ready: 'Old ground' },
  { name: 'bench', route: '/bench?piece=lectern', ready: 'Your hands' },
];
const LAMPLIGHT: View[] = [
  { name: 'press', route: '/damage/lectern-1/press', ready: 'Under pressure', scroll: 380 },
  { name: 'trail', route: '/piece/lectern', ready: 'Survey' },
];

async function main(): Promise<void> {
  mkdirSync(FOLDER, { recursive: true });
  const port = 8093;
  const server = spawn('node', ['--import', 'tsx', 'server/index.ts'], {
    env: { ...process.env, PORT: String(port) },
  });
  await new Promise((resolve) => server.stdout.once('data', resolve));
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  for (const [suffix, width, height, views, colorScheme] of [
    ['phone', 390, 844, PHONE, 'light'],
    ['wide', 1280, 800, WIDE, 'light'],
    ['lamplight', 390, 844, LAMPLIGHT, 'dark'],
  ] as const) {
    const context = await browser.newContext({
      viewport: { width, height },
      colorScheme,
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    await page.clock.install({ time: new Date('2026-03-02T10:00:00') });
    await page.goto(`http://127.0.0.1:${port}/demo`);
    await page.getByRole('button', { name: 'Bring them in' }).click();
    await page.getByRole('link', { name: /Card-index cabinet/ }).waitFor();
    for (const view of views) {
      const name = `${view.name}-${suffix}`;
      if (ONLY && !ONLY.includes(name)) continue;
      await page.goto(`http://127.0.0.1:${port}${view.route}`);
      await page.getByText(view.ready, { exact: false }).first().waitFor({ timeout: 30_000 });
      await page.waitForTimeout(1500);
      if (view.scroll) {
        await page.mouse.move(width - 60, height - 200);
        await page.mouse.wheel(0, view.scroll);
        await page.waitForTimeout(300);
      }
      await page.screenshot({ path: `${FOLDER}/${name}.png` });
      console.log(name);
    }
    await context.close();
  }
  await browser.close();
  server.kill('SIGTERM');
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});

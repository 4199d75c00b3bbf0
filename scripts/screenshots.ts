// One current picture of each main view, phone and wide side by side, from demo data only: `npm run build && npm run shots`.
import { chromium, type Page } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';

const FOLDER = process.env.SHOTS ?? 'docs/screenshots';
const ONLY = process.env.ONLY?.split(',');
const PORT = 8093;
const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };
const GAP = 24;

type View = { name: string; route: string; ready: string; scroll?: number; dark?: boolean };

const VIEWS: View[] = [
  { name: 'pieces', route: '/', ready: 'Add a piece' },
  { name: 'quick', route: '/quick', ready: 'Keep this', scroll: 1250 },
  { name: 'trail', route: '/piece/settle', ready: 'Survey' },
  { name: 'face', route: '/face/stool-seat', ready: 'What it is made of' },
  { name: 'scale', route: '/face/cabinet-side/scale', ready: 'Scale at the centre' },
  { name: 'tap', route: '/damage/cabinet-1/tap', ready: 'Still open' },
  { name: 'decide', route: '/damage/lectern-1/decide', ready: 'Chosen' },
  { name: 'press', route: '/damage/lectern-1/press', ready: 'Well pressed' },
  { name: 'patch', route: '/damage/lectern-2/patch', ready: 'Old ground' },
  { name: 'blend', route: '/damage/lectern-2/blend', ready: 'Difference expected after' },
  { name: 'bench', route: '/bench?piece=lectern', ready: 'Your hands' },
  { name: 'movement', route: '/damage/settle-2/movement', ready: 'Gap now' },
  { name: 'mark', route: '/damage/stool-1', ready: 'Width of the crack' },
  { name: 'data', route: '/data', ready: 'Room in this browser' },
  { name: 'report', route: '/piece/settle/report', ready: 'The worst first' },
  { name: 'record', route: '/piece/lectern/record', ready: 'Print the record' },
  { name: 'stock', route: '/stock', ready: 'On the shelf' },
  { name: 'shop', route: '/shop', ready: 'Wood settles' },
  { name: 'plan', route: '/piece/table/plan', ready: 'in all', dark: true },
];

async function shot(page: Page, { route, ready, scroll, dark }: View, size: typeof PHONE): Promise<Buffer> {
  await page.setViewportSize(size);
  await page.emulateMedia({ colorScheme: dark ? 'dark' : 'light' });
  await page.goto(`http://127.0.0.1:${PORT}${route}`);
  await page.getByText(ready, { exact: false }).first().waitFor({ timeout: 30_000 });
  await page.waitForTimeout(1500);
  if (scroll && size === PHONE) {
    await page.mouse.move(size.width - 60, size.height - 200);
    await page.mouse.wheel(0, scroll);
    await page.waitForTimeout(300);
  }
  return page.screenshot();
}

async function main(): Promise<void> {
  mkdirSync(FOLDER, { recursive: true });
  const server = spawn('node', ['--import', 'tsx', 'server/index.ts'], {
    env: { ...process.env, PORT: String(PORT) },
  });
  await new Promise((resolve) => server.stdout.once('data', resolve));
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const context = await browser.newContext({ viewport: PHONE, serviceWorkers: 'block' });
  const page = await context.newPage();
  await page.clock.install({ time: new Date('2026-03-02T10:00:00') });
  await page.goto(`http://127.0.0.1:${PORT}/demo?load=1`);
  await page.getByRole('link', { name: /Card-index cabinet/ }).waitFor();
  const frame = await (
    await browser.newContext({ viewport: { width: PHONE.width + GAP + WIDE.width, height: PHONE.height } })
  ).newPage();
  for (const view of VIEWS) {
    if (ONLY && !ONLY.includes(view.name)) continue;
    const pictures = [await shot(page, view, PHONE), await shot(page, view, WIDE)].map(
      (b) => `<img src="data:image/png;base64,${b.toString('base64')}">`,
    );
    await frame.setContent(
      `<body style="margin:0;display:flex;gap:${GAP}px;align-items:flex-start;background:#888">${pictures.join('')}</body>`,
    );
    writeFileSync(`${FOLDER}/${view.name}.png`, await frame.screenshot());
    console.log(view.name);
  }
  await browser.close();
  server.kill('SIGTERM');
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});

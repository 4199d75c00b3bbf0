import { chromium, type Page } from '/work/main/node_modules/@playwright/test';
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
const OUT = '/tmp/look'; mkdirSync(OUT, { recursive: true });
export async function run(steps: [string, (p: Page) => Promise<void>, boolean?][]) {
  const PORT = 8097;
  const server = spawn('node', ['--import', 'tsx', 'server/index.ts'], { cwd: '/work/main', env: { ...process.env, PORT: String(PORT) } });
  await new Promise((r) => server.stdout.once('data', r));
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream'] });
  for (const wide of [false, true]) {
    const c = await browser.newContext({ viewport: wide ? { width: 1280, height: 800 } : { width: 390, height: 844 }, serviceWorkers: 'block', baseURL: `http://127.0.0.1:${PORT}` });
    const p = await c.newPage();
    p.on('pageerror', (e) => console.log('PAGEERROR', e.message));
    p.on('console', (m) => { if (m.type() === 'error') console.log('CONSOLE', m.text().slice(0, 300)); });
    await p.goto('/demo?load=1'); await p.getByRole('link', { name: /Card-index cabinet/ }).waitFor();
    for (const [name, step, wideToo] of steps) {
      if (wide && !wideToo) continue;
      try { await step(p); } catch (e) { console.log(name, 'FAILED', String(e).slice(0, 400)); }
      await p.waitForTimeout(900);
      await p.screenshot({ path: `${OUT}/${name}-${wide ? 'w' : 'p'}.png` });
    }
    await c.close();
  }
  await browser.close(); server.kill();
}

// Double taps on whatever makes something, and shops far larger than any.
import type { Page } from '@playwright/test';
import { MAKES, madeIn, openMaker, tapTwice, type Makes } from './makes';
import { newDamage, newFace, newPiece } from '../../src/records/defaults';
import { openBrowser, openContext, put, texts } from './browser';
import { asTexts, NOW, record } from './shop';

const APART_MS = [60, 120, 200];
/** The processor so many times slower. */
const SLOWER = 4;
/** Pages that are tapped side by side. */
const HANDS = 2;

const countOf = async (page: Page, row: Makes): Promise<number> =>
  madeIn(
    row,
    Object.entries(await texts(page)).flatMap(([k, text]) => (k.startsWith(`${row.kind}/`) ? [text] : [])),
  );

export async function doubleTaps(base: string, count: number): Promise<string> {
  const browser = await openBrowser();
  const ways = MAKES.flatMap((m) => APART_MS.map((apart) => ({ ...m, apart })));
  let [done, doubled, lost] = [0, 0, 0];
  const errors: string[] = [];
  const hand = async (): Promise<void> => {
    const context = await openContext(browser, base);
    const page = await context.newPage();
    page.on('pageerror', (e) => errors.push(e.message));
    await page.goto('/demo?load=1');
    await page.getByRole('link', { name: /Card-index cabinet/ }).waitFor();
    const good = await texts(page);
    const cdp = await context.newCDPSession(page);
    while (done < count) {
      const way = ways[done++ % ways.length];
      if (!way) break;
      await page.goto('/api/health');
      await put(page, good);
      await openMaker(page, way);
      const before = await countOf(page, way);
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
      await tapTwice(page, cdp, way.button, way.apart);
      await page.waitForTimeout(700);
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
      let made = 0;
      for (let look = 0; look < 20 && made === 0; look++) {
        made = (await countOf(page, way)) - before;
        if (made === 0) await page.waitForTimeout(200);
      }
      if (made === 0) lost++;
      if (made > 1) doubled++;
      if (made !== 1) console.log(`  ${way.at} “${way.button}”, ${way.apart} ms apart: ${made} made`);
    }
  };
  await Promise.all(Array.from({ length: HANDS }, hand));
  await browser.close();
  return `${count} done, ${lost} lost, ${doubled} doubled, ${errors.length} foreign errors${errors.length ? `: ${[...new Set(errors)].slice(0, 3).join('; ')}` : ''}`;
}

const WHOLE: [number, number][] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
const face = (piece: string) => ({ ...newFace(piece, 'Top'), scale: { kind: 'rectangle' as const, object: 'face' as const, corners: WHOLE, widthMm: 800, heightMm: 500 } }); // prettier-ignore
const damage = (piece: string, of: string, n: number, x: number, y: number, size: number) => ({ ...newDamage(piece, of, n + 1, n % 2 ? 'gouge' : 'liftedEdge'), outline: [[x, y], [x + size, y], [x + size, y + size], [x, y + size]] as [number, number][] }); // prettier-ignore

/** So many damages on one face. */
const oneFace = (damages: number) =>
  asTexts([
    record('piece', 'p', newPiece('Big chest', NOW)),
    record('face', 'f', face('p')),
    ...Array.from({ length: damages }, (_, i) =>
      record('damage', `d${i}`, damage('p', 'f', i, (i % 40) / 41, Math.floor(i / 40) / 26, 0.015)),
    ),
  ]);

/** So many pieces with four damages each. */
const manyPieces = (pieces: number) =>
  asTexts(
    Array.from({ length: pieces }, (_, p) => [
      record('piece', `p${p}`, newPiece(`Piece ${p}`, NOW)),
      record('face', `f${p}`, face(`p${p}`)),
      ...Array.from({ length: 4 }, (_unused, k) =>
        record('damage', `d${p}-${k}`, damage(`p${p}`, `f${p}`, k, 0.2 + 0.15 * k, 0.2 + 0.15 * k, 0.06)),
      ),
    ]).flat(),
  );

const PAGES: [string, string, string][] = [
  ['piece', '/piece/p', 'Now'],
  ['face', '/face/f', 'grain'],
  ['plan', '/piece/p/plan', 'in all'],
  ['report', '/piece/p/report', 'Score'],
  ['bench', '/bench', 'Your hands'],
];

/** How long pages of very large shops take, and their longest task. */
export async function largeShops(base: string): Promise<[string, string][]> {
  const browser = await openBrowser();
  const page = await (await openContext(browser, base)).newPage();
  await page.addInitScript(() => {
    const w = window as unknown as { longest: number };
    w.longest = 0;
    new PerformanceObserver((list) => {
      for (const e of list.getEntries()) w.longest = Math.max(w.longest, e.duration);
    }).observe({ entryTypes: ['longtask'] });
  });
  const longest = (): Promise<number> =>
    page.evaluate(() => Math.round((window as unknown as { longest: number }).longest));
  await page.goto('/');
  await page.waitForTimeout(1500);
  await page.goto('/api/health');
  await put(page, oneFace(1000));
  const told: string[] = [];
  for (const [name, at, text] of PAGES) {
    const begun = performance.now();
    await page.goto(at);
    await page.getByText(text).first().waitFor({ timeout: 60_000 });
    const took = (performance.now() - begun) / 1000;
    await page.waitForTimeout(2500);
    told.push(`${name} ${took.toFixed(1)} s, ${await longest()} ms`);
  }
  await page.goto('/api/health');
  await put(page, manyPieces(500));
  const begun = performance.now();
  await page.goto('/bench');
  await page.getByText('Your hands').first().waitFor({ timeout: 120_000 });
  const took = (performance.now() - begun) / 1000;
  await page.waitForTimeout(15_000);
  const stopped = (await page.locator('body').innerText()).includes('stopped; the browser');
  await browser.close();
  return [
    ['1,000 damages on one face: page, longest task of its thread', told.join('; ')],
    ['500 pieces, 2,000 damages: the bench’s next days', `${took.toFixed(1)} s, ${stopped ? 'the worker was called lost' : 'the worker was never called lost'}`], // prettier-ignore
  ];
}

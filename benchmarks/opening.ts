// How long a page takes from the tap to its heading, with the processor four times slower, as a mobile audit has it.
import type { Browser } from '@playwright/test';

const SLOWER = 4;
/** From the finger's touch to the click that follows it: between these the next page may begin to load. */
const TOUCH_MS = 90;
const PAGES: [name: string, link: RegExp][] = [
  ['decide', /^Decide/],
  ['press', /^Glue and press/],
  ['patch', /^Match and patch/],
  ['record', /^Record/],
];

/** Written as text: what runs in the page must not be rewritten on its way there. Another heading is the new page. */
const WATCH = `
  window.seen = new Promise((resolve) => {
    const heading = () => [...document.querySelectorAll('h1')].find((e) => e.offsetParent)?.textContent;
    const before = heading();
    let tapped = 0;
    const look = () => {
      const now = heading();
      if (now && now !== before && now !== 'Opening') resolve(performance.now() - tapped);
      else requestAnimationFrame(look);
    };
    document.addEventListener('click', () => { tapped = performance.now(); requestAnimationFrame(look); }, { once: true, capture: true });
  });
  undefined;`;

/** The other pages load at the first sign of a hand, and without one after a while. */
const SOON_MS = 5000;
const LOADED_MS = 22_000;

/** @param soon whether the first page is opened five seconds after the list, or when the rest of the app has been loaded */
export async function opening(
  browser: Browser,
  url: string,
  soon = true,
): Promise<{ page: string; ms: number }[]> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await page.goto(`${url}/demo?load=1`);
  await page.getByRole('link', { name: /Lectern/ }).waitFor();
  // The service worker fetches the rest.
  await page.waitForTimeout(10_000);
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  await page.goto(url);
  await page.getByRole('link', { name: /Lectern/ }).waitFor();
  await page.waitForTimeout(soon ? SOON_MS : LOADED_MS);
  const timed = async (link: RegExp): Promise<number> => {
    const row = page.getByRole('link', { name: link }).first();
    await row.scrollIntoViewIfNeeded();
    await page.evaluate(WATCH);
    const box = await row.boundingBox();
    if (!box) throw new Error(`There is no link ${String(link)}.`);
    await page.mouse.move(box.x + 50, box.y + 12);
    await page.mouse.down();
    await page.waitForTimeout(TOUCH_MS);
    await page.mouse.up();
    const ms: unknown = await page.evaluate('window.seen');
    await page.waitForTimeout(2500);
    return Number(ms);
  };
  const times = [{ page: 'a piece, first of the pages that do sums', ms: await timed(/^Lectern/) }];
  for (const [name, link] of PAGES) {
    times.push({ page: name, ms: await timed(link) });
    await page.goBack();
    await page.waitForTimeout(2500);
  }
  await context.close();
  return times;
}

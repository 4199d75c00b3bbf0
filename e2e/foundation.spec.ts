import { AxeBuilder } from '@axe-core/playwright';
import { bringDemo, expect, storedTexts, test, underServiceWorker } from './fixtures';

const ROUTES = [
  '/',
  '/quick',
  '/piece/lectern',
  '/piece/lectern/about',
  '/piece/lectern/record',
  '/piece/settle/report',
  '/piece/cabinet/parts',
  '/face/stool-seat',
  '/face/cabinet-side/tests',
  '/damage/stool-1',
  '/damage/stool-3',
  '/damage/settle-2/movement',
  '/damage/stool-1/joint',
  '/damage/settle-1/decide',
  '/face/lectern-slope',
  '/face/cabinet-side/scale',
  '/face/lectern-slope/grain',
  '/damage/lectern-1',
  '/damage/cabinet-1/decide',
  '/damage/cabinet-1/tap',
  '/damage/lectern-1/press',
  '/damage/lectern-1/glueup',
  '/damage/lectern-1/special',
  '/damage/lectern-2/patch',
  '/stock/cutting',
  '/piece/lectern/even',
  '/damage/lectern-2/blend',
  '/piece/lectern/ways',
  '/piece/lectern/plan',
  '/bench',
  '/stock',
  '/stock/v-cherry',
  '/shop',
];

/** Texts that reach beyond the screen, but for what a finger can push along; runs in the page. */
const beyondTheEdge = (): string[] =>
  [...document.querySelectorAll('[role="main"] *')]
    .filter((e) => {
      if (e.childElementCount > 0 || !e.textContent?.trim() || e.closest('svg')) return false;
      for (let p = e.parentElement; p; p = p.parentElement)
        if (['auto', 'scroll'].includes(getComputedStyle(p).overflowX)) return false;
      const { left, right, width } = e.getBoundingClientRect();
      return width > 2 && (right > window.innerWidth + 1 || left < -1);
    })
    .map((e) => e.textContent?.slice(0, 80) ?? '');

for (const colorScheme of ['light', 'dark'] as const) {
  test(`every page has names, order and contrast (${colorScheme})`, async ({ page }, { project }) => {
    // Colours are the same at every size: the dark theme is looked at once.
    test.skip(colorScheme === 'dark' && project.name === 'wide');
    test.setTimeout(480_000);
    await page.emulateMedia({ colorScheme });
    await bringDemo(page);
    for (const route of ROUTES) {
      await page.goto(route);
      await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
      await page.waitForLoadState('networkidle');
      // What the worker plans comes after the page: it is looked at too.
      await expect(page.getByRole('progressbar')).toHaveCount(0, { timeout: 30_000 });
      const axe = new AxeBuilder({ page });
      // Only the colours change with the theme.
      if (colorScheme === 'dark') axe.withRules('color-contrast');
      else axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']);
      const { violations } = await axe.analyze();
      const found = violations.map(
        (v) =>
          `${route} ${v.id}: ${v.nodes[0]?.html.slice(0, 200)} ${v.nodes[0]?.failureSummary?.slice(0, 200)}`,
      );
      expect(found).toEqual([]);
      expect([route, await page.evaluate(beyondTheEdge)]).toEqual([route, []]);
    }
  });
}

test('works offline after one load: other pages, fonts, workers, a PDF, saving', async ({
  page,
  context,
  allowed,
}) => {
  allowed('ERR_INTERNET_DISCONNECTED');
  allowed('Failed to load resource');
  await bringDemo(page);
  await underServiceWorker(page);
  await context.setOffline(true);
  await page.goto('/damage/lectern-2/patch');
  await expect(page.getByRole('radio', { name: /colour difference/ }).first()).toBeVisible({
    timeout: 30_000,
  });
  await page.evaluate(() => document.fonts.ready);
  expect(
    await page.evaluate(() => [...document.fonts].filter((f) => f.status === 'loaded').length),
  ).toBeGreaterThanOrEqual(3);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Print the patch (PDF)' }).click();
  expect((await download).suggestedFilename()).toMatch(/\.pdf$/);
  await page.goto('/shop');
  await expect(page.getByText('No thermo-hygrometer answers')).toBeVisible();
  await page.getByRole('radio', { name: 'Inches, fractions' }).click();
  // Shown at once, but only what the store has taken survives a reload.
  await expect.poll(async () => (await storedTexts(page, 'shop/')).join()).toContain('"lengthUnit":"in"');
  await page.reload();
  await expect(page.getByRole('radio', { name: 'Inches, fractions' })).toHaveAttribute(
    'aria-checked',
    'true',
  );
});

test('the thermo-hygrometer is read and its reading taken', async ({ page }) => {
  await page.goto('/shop');
  await expect(page.getByText(/The thermo-hygrometer reads \d+ °C and \d+ % \(simulated\)/)).toBeVisible();
  await page.getByRole('button', { name: 'Take this reading' }).click();
  await expect(page.getByText('Wood settles at a moisture of')).toBeVisible();
});

test('pinch and wheel come closer; a deleted piece comes back by undo', async ({ page }) => {
  await bringDemo(page);
  await page.goto('/damage/lectern-1');
  const point = page.getByRole('button', { name: /^Point 1 of/ });
  const other = page.getByRole('button', { name: /^Point 6 of/ });
  const gap = async (): Promise<number> =>
    ((await other.boundingBox())?.x ?? 0) - ((await point.boundingBox())?.x ?? 0);
  const before = await gap();
  const box = await page.getByRole('group', { name: /^Face to scale/ }).boundingBox();
  if (!box) throw new Error('no drawing');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 4);
  await page.mouse.wheel(0, -200);
  await expect.poll(gap).toBeGreaterThan(before * 1.3);
  const wheeled = await gap();
  await page.evaluate(([x, y]) => {
    const host = document.querySelector('[role="group"][aria-label^="Face to scale"]');
    const send = (type: string, id: number, dx: number): void => {
      host?.dispatchEvent(new PointerEvent(type, { pointerId: id, clientX: (x ?? 0) + dx, clientY: y ?? 0, bubbles: true }));
    };
    send('pointerdown', 11, -20);
    send('pointerdown', 12, 20);
    for (const d of [30, 40, 50]) {
      send('pointermove', 11, -d);
      send('pointermove', 12, d);
    }
    send('pointerup', 11, -50);
    send('pointerup', 12, 50);
  }, [box.x + box.width / 2, box.y + box.height / 4] as const); // prettier-ignore
  await expect.poll(gap).toBeGreaterThan(wheeled * 1.5);

  await page.goto('/piece/settle/about');
  await page.getByRole('button', { name: 'Delete this piece', expanded: false }).click();
  await page.getByRole('button', { name: 'Delete this piece' }).last().click();
  await expect(page.getByText('Settle was deleted.')).toBeVisible();
  await expect(page.getByRole('link', { name: /Settle/ })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /Settle/ })).toBeVisible();
});

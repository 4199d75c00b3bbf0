import { run } from './.look';
const open = async (p: import('@playwright/test').Page) => {
  await p.goto('/damage/demo-cabinet-lifted/press').catch(() => {});
};
void run([
  ['press', async (p) => { await p.getByRole('link', { name: /Card-index cabinet/ }).click(); await p.waitForTimeout(800);
    const href = await p.evaluate(() => [...document.querySelectorAll('a')].map((a) => a.getAttribute('href')).filter((h) => h && h.startsWith('/damage/')));
    console.log(href.join(' '));
    await open(p);
    const d = href[0]?.split('/')[2]; await p.goto(`/damage/${d}/press`); await p.waitForTimeout(2500); await p.getByRole('button', { name: 'Arrange for me' }).scrollIntoViewIfNeeded(); }, true],
  ['arranged', async (p) => { const t = Date.now(); await p.getByRole('button', { name: 'Arrange for me' }).click(); await p.waitForTimeout(150); await p.screenshot({ path: '/tmp/look/progress.png' });
    await p.getByText(/layouts were tried|does not reach the rest/).waitFor({ timeout: 90000 }); console.log('arranged in', Date.now() - t); }, true],
  ['hand', async (p) => { await p.getByRole('radio', { name: 'Drag on the plan' }).click(); await p.waitForTimeout(300); await p.evaluate(() => window.scrollTo(0, 0)); const k = p.getByRole('slider', { name: 'Clamp 1', exact: true }).or(p.getByRole('button', { name: 'Clamp 1', exact: true })); console.log(await k.count()); await k.first().scrollIntoViewIfNeeded(); }, true],
]);

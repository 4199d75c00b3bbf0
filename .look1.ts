import { run } from './.look';
void run([
  ['hand', async (p) => { await p.goto('/damage/lectern-1/press'); await p.getByRole('button', { name: 'Arrange for me' }).waitFor(); await p.waitForTimeout(1500);
    await p.getByRole('radio', { name: 'Drag on the plan' }).click(); await p.waitForTimeout(600);
    const k = p.getByRole('button', { name: /^Clamp 1\./ }); await k.scrollIntoViewIfNeeded(); const b = await k.boundingBox(); if (!b) return;
    const t = Date.now(); await p.mouse.move(b.x + b.width / 2, b.y + b.height / 2); await p.mouse.down(); for (let i = 1; i <= 10; i++) await p.mouse.move(b.x + b.width / 2 + 3 * i, b.y + b.height / 2 + 2 * i); console.log('drag', Date.now() - t);
    await p.waitForTimeout(300); await p.screenshot({ path: '/tmp/look/dragging.png' }); await p.mouse.up(); await p.waitForTimeout(1200); }, true],
  ['stack', async (p) => { const k = p.getByRole('button', { name: /^Top of the platen\./ }); await k.scrollIntoViewIfNeeded(); for (let i = 0; i < 6; i++) await k.press('ArrowUp'); await p.waitForTimeout(1200); }, true],
  ['edge', async (p) => { await p.goto('/damage/lectern-1/special'); await p.getByRole('radio', { name: 'Curved' }).click(); }, true],
  ['half', async (p) => { await p.getByRole('radio', { name: 'Half-round top' }).click(); await p.waitForTimeout(300); await p.getByText('Clamps from the straight side').scrollIntoViewIfNeeded(); }, true],
  ['hammer', async (p) => { await p.getByRole('radio', { name: 'Hammer veneering' }).click(); await p.waitForTimeout(300); await p.getByText('Paths of the hammer').scrollIntoViewIfNeeded(); await p.mouse.wheel(0, 300); }, true],
  ['cup', async (p) => { await p.getByRole('radio', { name: 'Cupped board' }).click(); await p.waitForTimeout(300); await p.getByText('It can be drawn').or(p.getByText(/Dampen the hollow|Do not force/)).first().scrollIntoViewIfNeeded(); }, false],
  ['shop', async (p) => { await p.goto('/shop'); await p.getByText('How hard yours press').click(); await p.waitForTimeout(300); await p.getByText('How hard yours press').scrollIntoViewIfNeeded(); await p.mouse.wheel(0, 400);}, true],
]);

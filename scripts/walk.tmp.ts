import { writeFileSync } from 'node:fs';
import { openBrowser, openContext, put } from './torture/browser';
import { oneFace } from './torture/pages';
async function main() {
  const b = await openBrowser(); const c = await openContext(b, 'http://127.0.0.1:8095'); const page = await c.newPage();
  await page.goto('/'); await page.waitForTimeout(1500);
  await page.goto('/api/health'); await put(page, oneFace(1000));
  for (const [name, at] of [['piece', '/piece/p'], ['face', '/face/f']] as const) {
    await page.goto('/api/health');
    const events: any[] = [];
    const cdp = await c.newCDPSession(page);
    cdp.on('Tracing.dataCollected', (e: any) => events.push(...e.value));
    await cdp.send('Tracing.start', { transferMode: 'ReportEvents', traceConfig: { includedCategories: ['devtools.timeline', 'disabled-by-default-v8.cpu_profiler', 'toplevel', 'blink.user_timing', 'v8'] } } as any);
    await page.goto(at); await page.waitForTimeout(7000);
    const done = new Promise((r) => cdp.once('Tracing.tracingComplete', r));
    await cdp.send('Tracing.end'); await done;
    const main = events.filter((e) => e.ph === 'X' && (e.name === 'RunTask' || e.name === 'ThreadControllerImpl::RunTask') && e.dur > 70_000);
    for (const t of main.sort((a, z) => z.dur - a.dur).slice(0, 6)) {
      const inside = events.filter((e) => e.ph === 'X' && e.tid === t.tid && e.pid === t.pid && e.ts >= t.ts && e.ts + (e.dur ?? 0) <= t.ts + t.dur && e.dur > 4000 && e !== t);
      console.log(name, Math.round(t.dur / 1000), 'at', Math.round((t.ts - events.filter((e)=>e.ts)[0].ts) / 1000), inside.map((e) => `${e.name}${e.args?.data?.functionName ? ':' + e.args.data.functionName : ''} ${Math.round(e.dur / 1000)}`).slice(0, 14).join(', '));
    }
    writeFileSync(`/tmp/w/trace-${name}.json`, JSON.stringify({ traceEvents: events }));
  }
  await b.close();
}
main();

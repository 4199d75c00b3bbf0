// What is sent to wear the server out: brackets without end, bodies that come by the letter.
import { connect } from 'node:net';

const PORT_OF = (base: string): number => Number(new URL(base).port);

async function posted(base: string, door: string, body: string): Promise<number> {
  return fetch(`${base}/api/compute/${door}`, { method: 'POST', headers: { 'content-type': 'application/json' }, body }) // prettier-ignore
    .then((r) => r.status)
    .catch(() => 0);
}

/** A body that is announced and hardly comes. */
const slow = (base: string): Promise<number> =>
  new Promise((resolve) => {
    const socket = connect(
      PORT_OF(base),
      '127.0.0.1',
      () =>
      socket.write('POST /api/compute/bench.schedule HTTP/1.1\r\nHost: x\r\nContent-Type: application/json\r\nContent-Length: 5000\r\n\r\n{'), // prettier-ignore
    );
    socket.on('data', (d) => resolve(Number(/^HTTP\/1\.1 (\d+)/.exec(String(d))?.[1] ?? 0)));
    socket.on('error', () => resolve(0));
  });

/** Each load with the slowest answer of health while it is on, and how it was answered. */
export async function bracketLoads(
  base: string,
  healthMs: () => Promise<number>,
): Promise<[string, string][]> {
  const deep = '['.repeat(2 * 1024 * 1024 - 10);
  const loads: [string, () => Promise<number>[]][] = [
    ['Server: 20 times two megabytes of brackets on a light door', () => Array.from({ length: 20 }, () => posted(base, 'units.length', deep))], // prettier-ignore
    ['Server: 100 times the same', () => Array.from({ length: 100 }, () => posted(base, 'wood.moisture', deep))], // prettier-ignore
    ['Server: 100 times two megabytes of brackets on a heavy door', () => Array.from({ length: 100 }, () => posted(base, 'bench.schedule', deep))], // prettier-ignore
    ['Server: 60 bodies that come by the letter', () => Array.from({ length: 60 }, () => slow(base))],
  ];
  const told: [string, string][] = [];
  for (const [what, begin] of loads) {
    const answers = begin();
    let [slowest, open] = [0, true];
    const all = Promise.all(answers).finally(() => (open = false));
    while (open) {
      slowest = Math.max(slowest, await healthMs());
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    const statuses = await all;
    const by = [...new Set(statuses)].sort().map((s) => `${statuses.filter((x) => x === s).length} × ${s}`);
    told.push([what, `health within ${Math.ceil(slowest)} ms (wish: 250); ${by.join(', ')}`]);
  }
  return told;
}

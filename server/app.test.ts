import { connect } from 'node:net';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { checkRoot, createApp } from './app';
import { createPool, type Pool } from './pool';

let server: Server;
let base: string;
let pool: Pool;
const logged: string[] = [];
const MORNING = Date.UTC(2026, 2, 2, 5);

beforeAll(async () => {
  const outer = mkdtempSync(path.join(tmpdir(), 'outer-'));
  writeFileSync(path.join(outer, 'secret.txt'), 'not to be served');
  const root = path.join(outer, 'root');
  mkdirSync(root);
  writeFileSync(path.join(root, 'index.html'), '<!doctype html><title>app</title>');
  mkdirSync(path.join(root, '_expo/static'), { recursive: true });
  writeFileSync(path.join(root, '_expo/static/a-0123.js'), `${'x = 1;'.repeat(2000)}`);
  pool = createPool({ mostMs: 8000, mostWaitMs: 20_000 });
  const log = (line: string): void => void logged.push(line);
  server = createApp({ root: checkRoot(root), seed: 1, now: () => MORNING, pool, log }).listen(
    0,
    '127.0.0.1',
  );
  await new Promise((resolve) => server.once('listening', resolve));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
  await pool.close();
});

const post = (name: string, body: string, type = 'application/json') =>
  fetch(`${base}/api/compute/${name}`, { method: 'POST', headers: { 'content-type': type }, body });

/** A request written by hand, byte for byte. */
const raw = (given: string): Promise<{ status: number; body: string }> =>
  new Promise((resolve, reject) => {
    const { port } = server.address() as AddressInfo;
    const socket = connect(port, '127.0.0.1', () =>
      socket.write(
        `GET ${given} HTTP/1.1\r\nHost: 127.0.0.1\r\nAccept: text/html\r\nConnection: close\r\n\r\n`,
      ),
    );
    const parts: Buffer[] = [];
    socket.on('data', (part) => parts.push(part));
    socket.on('error', reject);
    socket.on('end', () => {
      const [head = '', ...rest] = Buffer.concat(parts).toString('utf8').split('\r\n\r\n');
      resolve({ status: Number(head.split(' ')[1]), body: rest.join('') });
    });
  });

test('computes by name', async () => {
  const answer = await post('units.length', JSON.stringify({ text: '3/4"' }));
  expect([answer.status, await answer.json()]).toEqual([200, { mm: 19.049999999999997 }]);
});

test.each([
  ['units.length', '{"text":7}', 400, '"text" must be a string (given: 7)'],
  ['units.length', '{"text":', 400, 'JSON'],
  ['wood.moisture', '{"temperatureC":-40,"relativeHumidity":0.5}', 400, 'The temperature is -40 °C'],
  ['no.such', '{}', 404, 'There is no computation “no.such”'],
  ['units.length', JSON.stringify({ text: 'x'.repeat(3e5) }), 413, 'larger than 64kb'],
])('%s with bad input: %s', async (name, body, status, message) => {
  const answer = await post(name, body.slice(0, 3_000_100));
  expect(answer.status).toBe(status);
  expect(((await answer.json()) as { error: string }).error).toContain(message);
});

test('the page comes with a policy that needs no eval, and no path leads out of the folder', async () => {
  const page = await fetch(`${base}/piece/1`, { headers: { accept: 'text/html' } });
  expect(await page.text()).toContain('<title>app</title>');
  const policy = page.headers.get('content-security-policy') ?? '';
  expect(policy).toContain("script-src 'self'");
  expect(policy).not.toContain('unsafe-eval');
  expect(page.headers.get('cache-control')).toBe('no-cache');
  expect(page.headers.get('x-powered-by')).toBeNull();
  expect((await fetch(`${base}/missing.js`)).status).toBe(404);
});

// Sent as they stand: a client of its own would tidy the path before it is sent.
test.each([
  '/../secret.txt',
  '/..%2fsecret.txt',
  '/%2e%2e/secret.txt',
  '/_expo/../../secret.txt',
  '/..%5csecret.txt',
  '/%00secret.txt',
])('no path leads out of the folder: %s', async (given) => {
  const { status, body } = await raw(given);
  expect(body).not.toContain('not to be served');
  expect([200, 400, 403, 404]).toContain(status);
  // A path that is not a file of the app is the app's own page, or an error; nothing else.
  expect(status === 200 ? body.includes('<title>app</title>') : true).toBe(true);
});

test('a file inside the folder is served, so that the refusals above mean something', async () => {
  expect(await raw('/_expo/static/a-0123.js')).toMatchObject({
    status: 200,
    body: expect.stringContaining('x = 1;'),
  });
});

test.each([
  ['caliper', 0.5, 1.1],
  ['moisture', 0.05, 0.15],
])('the simulated %s reads anew each time, never from a cache', async (name, least, most) => {
  const read = async () => fetch(`${base}/api/instruments/${name}`);
  const [a, b] = [await read(), await read()];
  const [one, two] = [
    (await a.json()) as { value: number; simulated: boolean },
    (await b.json()) as { value: number },
  ];
  expect(one.simulated).toBe(true);
  expect(one.value).toBeGreaterThan(least);
  expect(one.value).toBeLessThan(most);
  expect(two.value).not.toBe(one.value);
  expect(a.headers.get('cache-control')).toBe('no-store');
});

test('hashed files are kept for a year and sent compressed', async () => {
  const file = await fetch(`${base}/_expo/static/a-0123.js`, { headers: { 'accept-encoding': 'gzip' } });
  expect(file.headers.get('cache-control')).toContain('immutable');
  expect(file.headers.get('content-encoding')).toBe('gzip');
});

test('the thermo-hygrometer is the same for the same seed and swings with the day', async () => {
  const read = async () =>
    (await (await fetch(`${base}/api/instruments/climate`)).json()) as {
      temperatureC: number;
      relativeHumidity: number;
    };
  const one = await read();
  expect(await read()).toEqual(one);
  expect(one.temperatureC).toBeLessThan(18);
  expect(one.relativeHumidity).toBeGreaterThan(0.52);
});

test.each(['/piece/%', '/%E0%A4%A', '/damage/%zz/decide'])(
  'an address that cannot be decoded gets the app’s own page: %s',
  async (given) => {
    const { status, body } = await raw(given);
    expect([status, body.includes('<title>app</title>')]).toEqual([200, true]);
  },
);

test('health answers with a slash at its end too', async () => {
  expect(await (await fetch(`${base}/api/health/`)).json()).toEqual({ ok: true });
});

test.each(['units.length', 'bench.schedule'])(
  '%s: nesting without end is refused in words',
  async (name) => {
    const answer = await post(name, '['.repeat(60_000));
    expect([answer.status, await answer.json()]).toEqual([400, { error: 'It is nested more than 40 deep.' }]);
  },
  30_000,
);

test('a body that comes too slowly is let go, and holds no place meanwhile', async () => {
  const { port } = server.address() as AddressInfo;
  const slow = Array.from({ length: 40 }, () => {
    const socket = connect(port, '127.0.0.1', () =>
      socket.write(
        'POST /api/compute/bench.schedule HTTP/1.1\r\nHost: x\r\nContent-Type: application/json\r\nContent-Length: 5000\r\n\r\n{',
      ),
    );
    socket.on('error', () => undefined);
    return new Promise<string>((resolve) => socket.once('data', (d) => resolve(String(d))));
  });
  await new Promise((resolve) => setTimeout(resolve, 300));
  // More than the queue is long, and yet whoever has said what he wants is served.
  const served = await post('job.tasks', '{}');
  expect(served.status).toBe(400);
  for (const said of await Promise.all(slow)) expect(said).toContain('408');
}, 20_000);

test('what is not there answers as JSON', async () => {
  const answer = await fetch(`${base}/api/nothing`);
  expect([answer.status, await answer.json()]).toEqual([
    404,
    { error: 'There is nothing at GET /api/nothing.' },
  ]);
});

describe('under load', () => {
  /** Tasks of many pieces that compete for two hands; more tries than can be done in the time there is. */
  const days = (tries: number): string =>
    JSON.stringify({
      tasks: Array.from({ length: 2000 }, (_, i) => ({
        id: `t${i}`,
        attendedMin: 5 + ((i * 7) % 50),
        unattendedMin: (i * 31) % 300,
        after: i % 10 === 0 ? [] : [`t${i - 1}`],
        attendedNeeds: { hands: 1 },
      })),
      resources: { hands: 2 },
      start: '2026-03-02T08:00:00',
      workingHours: { from: '08:00', to: '17:00' },
      tries,
    });
  const answered = async (response: Response) => ({
    status: response.status,
    retry: response.headers.get('retry-after'),
    error: ((await response.json()) as { error: string }).error,
  });

  test('what is too much by far is refused before it is begun', async () => {
    const { status, error } = await answered(await post('bench.schedule', days(20_000)));
    expect([status, error]).toEqual([400, expect.stringContaining('The tasks times the tries is 40000000')]);
  });

  test('health answers while threads work; the queue is short, and work is stopped in time', async () => {
    const asked = Array.from({ length: 14 }, () => post('bench.schedule', days(1900)).then(answered));
    for (let i = 0; i < 5; i++) {
      await new Promise((resolve) => setTimeout(resolve, 100));
      expect(await (await fetch(`${base}/api/health`)).json()).toEqual({ ok: true });
    }
    const answers = await Promise.all(asked);
    expect(answers.filter((a) => a.status === 503).every((a) => Number(a.retry) > 0)).toBe(true);
    expect(answers.some((a) => a.error.includes('at work on others'))).toBe(true);
    // Its time counts from when it is begun: the one that had its turn first was stopped, those behind it waited, and are told that.
    expect(answers.some((a) => a.error.includes('took longer than 8 s'))).toBe(true);
    expect(answers.some((a) => a.error.includes('waited 20 s for its turn'))).toBe(true);
    // Afterwards it works as before.
    const after = await post('job.tasks', '{}');
    expect(await answered(after)).toMatchObject({ status: 400, error: 'job.tasks: "piece" is required.' });
  }, 60_000);

  test('work that nobody waits for any more is stopped', async () => {
    const stop = new AbortController();
    const gone = fetch(`${base}/api/compute/bench.schedule`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: days(1900),
      signal: stop.signal,
    });
    setTimeout(() => stop.abort(), 300);
    await expect(gone).rejects.toThrow();
    // The one thread is free for the next at once, not when the time of the last is over.
    const next = await answered(await post('job.tasks', '{}'));
    expect(next).toMatchObject({ status: 400, error: 'job.tasks: "piece" is required.' });
  }, 30_000);
});

test.each([[''], ['text/plain'], ['application/x-www-form-urlencoded']])(
  'a body as %p is 415',
  async (type) => {
    const answer = await fetch(`${base}/api/compute/units.length`, {
      method: 'POST',
      headers: type ? { 'content-type': type } : {},
      body: new TextEncoder().encode('{"text":"3"}'),
    });
    expect([answer.status, await answer.json()]).toEqual([
      415,
      { error: 'Send the input as application/json.' },
    ]);
  },
);

test('a message is a few lines, however long what was sent', async () => {
  const answer = await post('units.length', JSON.stringify({ text: 'x'.repeat(60_000) }));
  expect((await answer.text()).length).toBeLessThan(700);
});

test('a fault is logged with its place and without what was sent', async () => {
  const broken = createApp({
    root: '.',
    seed: 1,
    now: () => MORNING,
    pool: {
      isFull: () => false,
      isLight: () => false,
      run: () => Promise.reject(new Error('inside')),
      close: async () => undefined,
    },
    log: (line) => void logged.push(line),
  }).listen(0, '127.0.0.1');
  await new Promise((resolve) => broken.once('listening', resolve));
  const { port } = broken.address() as AddressInfo;
  const answer = await fetch(`http://127.0.0.1:${port}/api/compute/units.length`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{"text":"a secret"}',
  });
  expect([answer.status, await answer.text()]).toEqual([500, expect.not.stringContaining('inside')]);
  const [line = ''] = logged.slice(-1);
  expect(line).toContain('POST /api/compute/units.length: Error: inside');
  expect(line).not.toContain('secret');
  broken.closeAllConnections();
  await new Promise((resolve) => broken.close(resolve));
});

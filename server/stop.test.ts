import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { connect, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

const PORT = 8097;

async function started(): Promise<ChildProcess> {
  const root = mkdtempSync(path.join(tmpdir(), 'root-'));
  writeFileSync(path.join(root, 'index.html'), '<!doctype html>');
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/index.ts'], {
    env: { ...process.env, PORT: String(PORT), WEB_ROOT: root },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((resolve) => child.stdout?.once('data', resolve));
  return child;
}
const ended = (child: ChildProcess): Promise<number | null> =>
  new Promise((resolve) => child.once('exit', (code) => resolve(code)));

/** A connection that says half a request, and then nothing. */
const silent = (): Promise<Socket> =>
  new Promise((resolve) => {
    const socket = connect(PORT, '127.0.0.1', () => {
      socket.write('POST /api/compute/units.length HTTP/1.1\r\nHost: x\r\nContent-Length: 50\r\n');
      resolve(socket);
    });
    socket.on('error', () => undefined);
  });

test('it stops within ten seconds, silent connections or not', async () => {
  const child = await started();
  const socket = await silent();
  const end = ended(child);
  const begun = process.hrtime.bigint();
  child.kill('SIGTERM');
  expect(await end).toBe(0);
  expect(Number(process.hrtime.bigint() - begun) / 1e9).toBeLessThan(10);
  socket.destroy();
}, 40_000);

test('who asks twice means at once', async () => {
  const child = await started();
  const socket = await silent();
  const end = ended(child);
  child.kill('SIGTERM');
  await new Promise((resolve) => setTimeout(resolve, 200));
  child.kill('SIGTERM');
  expect(await end).toBe(1);
  socket.destroy();
}, 40_000);

import { checkRoot, createApp } from './app';
import { createPool } from './pool';

const root = checkRoot(process.env.WEB_ROOT ?? 'dist');
const port = Number(process.env.PORT ?? 8080);
const localMilliseconds = (): number => Date.now() - new Date().getTimezoneOffset() * 60_000;
const seed = Number(process.env.CLIMATE_SEED ?? 1);
/** A connection that says nothing, or says it too slowly, is let go. */
const HEADERS_MS = 10_000;
const REQUEST_MS = 30_000;
/** Answers under way have so long when the server is stopped. */
const STOP_MS = 8_000;

const pool = createPool();
const server = createApp({ root, seed, now: localMilliseconds, pool }).listen(
  port,
  '127.0.0.1',
  (error?: Error) => {
    if (error) throw error;
    console.log(`Rustic Lantern is at http://127.0.0.1:${port}${process.env.START_AT ?? '/'}`);
  },
);
server.headersTimeout = HEADERS_MS;
server.requestTimeout = REQUEST_MS;

let stopping = false;
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    // Who asks twice means at once.
    if (stopping) process.exit(1);
    stopping = true;
    server.close(() => process.exit(0));
    // Kept-alive connections that wait for nothing are closed; answers under way are finished, but not for ever.
    server.closeIdleConnections();
    setTimeout(() => {
      server.closeAllConnections();
      void pool.close().finally(() => process.exit(0));
    }, STOP_MS);
  });
}

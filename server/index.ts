import { checkRoot, createApp } from './app';

const root = checkRoot(process.env.WEB_ROOT ?? 'dist');
const port = Number(process.env.PORT ?? 8080);
const localMilliseconds = (): number => Date.now() - new Date().getTimezoneOffset() * 60_000;
const seed = Number(process.env.CLIMATE_SEED ?? 1);

const server = createApp({ root, seed, now: localMilliseconds }).listen(
  port,
  '127.0.0.1',
  (error?: Error) => {
    if (error) throw error;
    console.log(`Rustic Lantern is at http://127.0.0.1:${port}${process.env.START_AT ?? '/'}`);
  },
);

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => process.exit(0));
    // Kept-alive connections that wait for nothing are closed; answers under way are finished.
    server.closeIdleConnections();
  });
}

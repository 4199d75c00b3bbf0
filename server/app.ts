import compression from 'compression';
import express, { type ErrorRequestHandler, type Request } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import path from 'node:path';
import { localFrom } from '../src/core/calendar';
import { simulatedClimate } from '../src/core/climate';
import { COMPUTATIONS } from '../src/core/computations';
import { createDoor } from './door';
import { Busy, RETRY_AFTER_S, TooLong, type Pool } from './pool';
import { Waited } from './turns';
import { simulatedCaliper, simulatedColourReader, simulatedMoistureMeter } from '../src/core/readings';

export type ServerOptions = {
  /** Folder of the exported app. */
  root: string;
  /** Seed of the simulated thermo-hygrometer. */
  seed: number;
  /** Local time of the shop in milliseconds since 1970. */
  now: () => number;
  pool: Pool;
  /** Told of what failed here; never of what was sent. */
  log?: (line: string) => void;
};

/** What a light computation is told is a few numbers; a heavy one may be given a shop's days or an outline. */
const LIMIT = { light: '64kb', heavy: '2mb' } as const;
const limitOf = (pool: Pool, name: string): string => LIMIT[pool.isLight(name) ? 'light' : 'heavy'];

/** A message is a few lines, whatever was sent. */
const MOST_LETTERS = 600;
const brief = (text: string): string =>
  text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS)} …` : text;

function statusOf(error: unknown): number {
  if (error instanceof RangeError) return 400;
  if (error instanceof Busy || error instanceof TooLong || error instanceof Waited) return 503;
  const given = typeof error === 'object' && error !== null && 'status' in error ? error.status : undefined;
  return typeof given === 'number' && given >= 400 && given < 500 ? given : 500;
}

/** Serves the exported app, the registry over HTTP and the simulated instruments. It stores nothing. */
export function createApp({ root, seed, now, pool, log = console.error }: ServerOptions): Server {
  const app = express();
  app.post('/api/compute/:name', (req, res, next) => {
    if (req.is('application/json')) next();
    else res.status(415).json({ error: 'Send the input as application/json.' });
  });
  app.use(compression());
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'", 'blob:'],
          // react-native-web writes its rules into a style element.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'blob:', 'data:'],
          fontSrc: ["'self'", 'data:'],
          connectSrc: ["'self'", 'blob:', 'data:'],
          objectSrc: ["'none'"],
          frameAncestors: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
        },
      },
      referrerPolicy: { policy: 'no-referrer' },
      // It serves plain HTTP on the shop's own machine.
      strictTransportSecurity: false,
    }),
  );

  app.get('/api/instruments/climate', (_req, res) => {
    const minutes = now() / 60_000;
    res.set('Cache-Control', 'no-store').json(simulatedClimate(seed, minutes, localFrom(minutes)));
  });
  // A reading differs from the one before, as at the next place on the wood.
  const instruments = {
    caliper: simulatedCaliper,
    moisture: simulatedMoistureMeter,
    colour: simulatedColourReader,
  };
  let readings = 0;
  for (const [name, read] of Object.entries(instruments)) {
    app.get(`/api/instruments/${name}`, (_req, res) => {
      res.set('Cache-Control', 'no-store').json(read(seed + ++readings, localFrom(now() / 60_000)));
    });
  }
  app.post(
    '/api/compute/:name',
    (req, res, next) => {
      express.raw({ type: () => true, limit: limitOf(pool, req.params.name) })(req, res, next);
    },
    async (req: Request<{ name: string }>, res) => {
      const { name } = req.params;
      if (!COMPUTATIONS.has(name)) {
        res.status(404).json({
          error: `There is no computation “${name}”. There are: ${[...COMPUTATIONS.keys()].join(', ')}.`,
        });
        return;
      }
      const stop = new AbortController();
      res.on('close', () => stop.abort());
      const sent = Buffer.isBuffer(req.body) ? req.body : Buffer.from('{}');
      res.json(await pool.run(name, sent, stop.signal));
    },
  );
  app.use('/api', (req, res) => {
    res.status(404).json({ error: `There is nothing at ${req.method} ${req.originalUrl.slice(0, 200)}.` });
  });

  // Names that carry a hash never change.
  const forever = { immutable: true, maxAge: '1y', index: false, fallthrough: false } as const;
  app.use('/_expo/static', express.static(path.join(root, '_expo/static'), forever));
  app.use('/assets', express.static(path.join(root, 'assets'), forever));
  app.use(
    express.static(root, {
      index: false,
      setHeaders: (res) => void res.setHeader('Cache-Control', 'no-cache'),
    }),
  );
  // Every other address is the app's own page, one that cannot be decoded too: the app says that there is nothing.
  app.use((req, res) => {
    const isAsked = req.method === 'GET' || req.method === 'HEAD';
    const wantsPage = isAsked && req.accepts(['html', 'json']) === 'html' && !path.extname(req.path);
    if (!wantsPage) res.status(404).type('txt').send('Not found');
    else res.set('Cache-Control', 'no-cache').sendFile(path.join(root, 'index.html'));
  });

  const onError: ErrorRequestHandler = (error: unknown, req, res, _next) => {
    // Whoever went away, or was let go, hears nothing more; there is nothing to log.
    if (res.headersSent || res.destroyed) {
      res.destroy();
      return;
    }
    const status = statusOf(error);
    if (status === 500)
      log(`${req.method} ${req.path.slice(0, 200)}: ${error instanceof Error ? (error.stack ?? error.message) : String(error)}`); // prettier-ignore
    if (status === 503) res.set('Retry-After', String(RETRY_AFTER_S));
    const message =
      status === 413
        ? `The input is larger than ${limitOf(pool, req.path.split('/').pop() ?? '')}.`
        : status === 500
          ? 'The server failed on this. Nothing was stored; try again.'
          : error instanceof Error
            ? error.message
            : 'Not found';
    res.status(status).json({ error: brief(message) });
  };
  app.use(onError);
  return createServer(createDoor(app, pool));
}

/** @throws Error when the folder holds no exported app */
export function checkRoot(root: string): string {
  const absolute = path.resolve(root);
  if (!existsSync(path.join(absolute, 'index.html'))) {
    throw new Error(`There is no index.html in ${absolute}. Run “npm run build” first.`);
  }
  return absolute;
}

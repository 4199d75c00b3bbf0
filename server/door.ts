import type { RequestListener, ServerResponse } from 'node:http';
import { BUSY_WORDS, RETRY_AFTER_S, type Pool } from './pool';

const COMPUTE = /^\/api\/compute\/([^/?]+)/;
const HEALTH = /^\/api\/health\/?$/;

/** So many are read at one time, and so much of what they announce; a shop has a few pages open. */
const MOST_READ = { count: 50, bytes: 32 * 1024 * 1024 };
/** No door takes more: what announces more, or does not say how long it is, counts as this and is sent away when it is read. */
const LARGEST_BYTES = 2 * 1024 * 1024;
/** What is sent comes from this machine: who takes longer to say it holds a place for nothing. */
const MOST_READ_MS = 5000;

function answer(res: ServerResponse, status: number, body: object, more: Record<string, string> = {}): void {
  res.writeHead(status, { 'Content-Type': 'application/json; charset=utf-8', ...more });
  res.end(JSON.stringify(body));
}

/**
 * The door before the app: who asks after the server's health, and who is sent away, is answered before anything else is done, so
 * that a rush costs next to nothing. What comes in is counted here from its first line until it is answered, and nothing holds a place by
 * being slow; what is to be computed is counted again once it is read.
 */
export function createDoor(app: RequestListener, pool: Pool): RequestListener {
  const inside = { count: 0, bytes: 0 };
  return (req, res) => {
    const { method, url = '/' } = req;
    if (method === 'GET' && HEALTH.test(url)) return answer(res, 200, { ok: true });
    if (method === 'POST' && COMPUTE.test(url)) {
      const bytes = Math.min(LARGEST_BYTES, Number(req.headers['content-length'] ?? LARGEST_BYTES));
      const full = inside.count >= MOST_READ.count || inside.bytes + bytes > MOST_READ.bytes;
      if (full || pool.isFull())
        return answer(res, 503, { error: BUSY_WORDS }, { 'Retry-After': String(RETRY_AFTER_S) });
      inside.count++;
      inside.bytes += bytes;
      const late = setTimeout(() => {
        if (!req.complete && !res.headersSent) {
          answer(
            res,
            408,
            { error: `What was sent did not come within ${MOST_READ_MS / 1000} s.` },
            { Connection: 'close' },
          );
          req.destroy();
        }
      }, MOST_READ_MS);
      req.on('end', () => clearTimeout(late));
      res.on('close', () => {
        clearTimeout(late);
        inside.count--;
        inside.bytes -= bytes;
      });
    }
    app(req, res);
  };
}

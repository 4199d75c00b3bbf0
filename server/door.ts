import type { RequestListener, ServerResponse } from 'node:http';
import { BUSY_WORDS, RETRY_AFTER_S, type Pool } from './pool';

const COMPUTE = /^\/api\/compute\/([^/?]+)/;

function answer(res: ServerResponse, status: number, body: object, more: Record<string, string> = {}): void {
  res.writeHead(status, { 'Content-Type': 'application/json; charset=utf-8', ...more });
  res.end(JSON.stringify(body));
}

/**
 * The door before the app: who asks after the server's health, and who is sent away, is answered before anything else is done, so
 * that a rush costs next to nothing. Heavy computations are counted from here on: what was sent is read only of those who will be served.
 */
export function createDoor(app: RequestListener, pool: Pool): RequestListener {
  let inside = 0;
  return (req, res) => {
    const { method, url = '/' } = req;
    if (method === 'GET' && url === '/api/health') return answer(res, 200, { ok: true });
    const name = method === 'POST' ? COMPUTE.exec(url)?.[1] : undefined;
    if (name !== undefined && !pool.isLight(name)) {
      if (inside >= pool.most)
        return answer(res, 503, { error: BUSY_WORDS }, { 'Retry-After': String(RETRY_AFTER_S) });
      inside++;
      res.on('close', () => inside--);
    }
    app(req, res);
  };
}

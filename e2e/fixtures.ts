import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { SHAPE_VERSION } from '../src/records/schemas';

type Fixtures = { problems: string[]; allowed: (text: string) => void };

/** Fails a test on any page error, console error or request that leaves this machine, unless the test allows it. */
export const test = base.extend<Fixtures>({
  problems: [
    async ({ context }, provide) => {
      const problems: string[] = [];
      const watch = (page: Page): void => {
        page.on('pageerror', (e) => problems.push(`pageerror ${e.message}`));
        page.on('console', (m) => {
          if (m.type() === 'error') problems.push(`console ${m.text()} ${m.location().url}`);
        });
        page.on('request', (r) => {
          const host = new URL(r.url()).hostname;
          if (!['127.0.0.1', 'localhost', ''].includes(host)) problems.push(`outside request ${r.url()}`);
        });
      };
      context.on('page', watch);
      await provide(problems);
      expect(problems).toEqual([]);
    },
    { auto: true },
  ],
  allowed: async ({ problems }, provide) => {
    const texts: string[] = [];
    await provide((text) => texts.push(text));
    const left = problems.filter((p) => !texts.some((t) => p.includes(t)));
    problems.splice(0, problems.length, ...left);
  },
});
export { expect };

export const PICTURES = path.join(__dirname, '../demo/pictures');

type Store = { version: number; table: string; entries: [string, unknown][] };

/** The store as it stands once the demo was brought in: kept for the tests that follow. */
let withDemo: Store | undefined;

/** Brings in the demo pieces: through the interface the first time, then as the store stood after it and nothing else. */
export async function bringDemo(page: Page): Promise<void> {
  const cabinet = page.getByRole('link', { name: /Card-index cabinet/ });
  if (withDemo) {
    // A page of the same origin without the app: nothing else has the store open.
    await page.goto('/api/health');
    await page.evaluate(async ({ version, table, entries }) => {
      const request = indexedDB.open('rustic-lantern', version);
      request.onupgradeneeded = () => request.result.createObjectStore(table);
      const db = await new Promise<IDBDatabase>(
        (resolve) => (request.onsuccess = () => resolve(request.result)),
      );
      const tx = db.transaction(table, 'readwrite');
      tx.objectStore(table).clear();
      for (const [key, value] of entries) tx.objectStore(table).put(value, key);
      await new Promise((resolve) => (tx.oncomplete = resolve));
      db.close();
    }, withDemo);
    await page.goto('/');
    await expect(cabinet).toBeVisible();
    return;
  }
  await page.goto('/demo');
  await page.getByRole('button', { name: 'Bring them in' }).click();
  await expect(cabinet).toBeVisible();
  withDemo = await page.evaluate(async () => {
    const request = indexedDB.open('rustic-lantern');
    const db = await new Promise<IDBDatabase>(
      (resolve) => (request.onsuccess = () => resolve(request.result)),
    );
    const table = db.objectStoreNames[0] ?? '';
    const store = db.transaction(table).objectStore(table);
    const [keys, values] = [store.getAllKeys(), store.getAll()];
    const entries = await new Promise<[string, unknown][]>(
      (resolve) =>
        (values.onsuccess = () => resolve(keys.result.map((key, i) => [String(key), values.result[i]]))),
    );
    db.close();
    return { version: db.version, table, entries };
  });
}

/** Picks a file in the dialog that a button opens. */
export async function pick(
  page: Page,
  button: string,
  file: string | { name: string; mimeType: string; buffer: Buffer },
): Promise<void> {
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: button }).first().click();
  await (await chooser).setFiles(file);
}

/** The drawing whose name begins so, with the fit the app gives it: content units to page pixels. */
export async function drawing(
  page: Page,
  name: RegExp,
  content: { width: number; height: number },
  margin = 24,
) {
  const group: Locator = page.getByRole('group', { name });
  await expect(group).toBeVisible();
  await group.scrollIntoViewIfNeeded();
  const box = await group.boundingBox();
  if (!box) throw new Error('the drawing is not shown');
  const k = Math.min((box.width - 2 * margin) / content.width, (box.height - 2 * margin) / content.height);
  const left = box.x + (box.width - k * content.width) / 2;
  const top = box.y + (box.height - k * content.height) / 2;
  return { at: (x: number, y: number) => ({ x: left + k * x, y: top + k * y }), k };
}

/** Downloads what a button gives and returns the file's path. */
export async function save(page: Page, button: string): Promise<string> {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: button }).click();
  const done = await download;
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'lantern-')), done.suggestedFilename());
  await done.saveAs(file);
  return file;
}

/** The text of a PDF in the order it was written, read by poppler, its line breaks taken as spaces. */
export const pdfText = (file: string): string =>
  execFileSync('pdftotext', ['-raw', file, '-']).toString().replace(/\s+/g, ' ');

/** Taps places of a drawing, in its own units. The drawing is measured anew for each, as the page may move under it. */
export async function tapAt(
  page: Page,
  name: RegExp,
  content: { width: number; height: number },
  places: readonly (readonly [number, number])[],
): Promise<void> {
  for (const [i, [x, y]] of places.entries()) {
    const p = (await drawing(page, name, content)).at(x, y);
    await page.mouse.click(p.x, p.y);
    await expect(page.locator('[data-handle]:not([data-handle="whole"])')).toHaveCount(i + 1);
  }
}

/** Changes a record where it is stored, as if it had been entered so; seen at the next load. */
export const changeStored = (page: Page, key: string, patch: object, envelope: object = {}): Promise<void> =>
  page.evaluate(
    async ({ key, patch, envelope, gone }) => {
      const request = indexedDB.open('rustic-lantern');
      const db = await new Promise<IDBDatabase>(
        (resolve) => (request.onsuccess = () => resolve(request.result)),
      );
      const table = db.objectStoreNames[0] ?? '';
      const tx = db.transaction(table, 'readwrite');
      const found = tx.objectStore(table).get(key);
      const text = await new Promise<string>((resolve) => (found.onsuccess = () => resolve(found.result)));
      const record = JSON.parse(text);
      // What is set to nothing is taken away.
      record.body = { ...record.body, ...patch };
      for (const field of gone) delete record.body[field];
      tx.objectStore(table).put(JSON.stringify({ ...record, ...envelope }), key);
      await new Promise((resolve) => (tx.oncomplete = resolve));
      db.close();
    },
    { key, patch, envelope, gone: Object.entries(patch).flatMap(([f, v]) => (v === undefined ? [f] : [])) },
  );

/** Puts records into the store as if they had been entered; seen at the next load. */
export const putStored = (
  page: Page,
  records: readonly { kind: string; id: string; body: object }[],
): Promise<void> =>
  page.evaluate(
    async ({ records, version }) => {
      const request = indexedDB.open('rustic-lantern');
      const db = await new Promise<IDBDatabase>(
        (resolve) => (request.onsuccess = () => resolve(request.result)),
      );
      const table = db.objectStoreNames[0] ?? '';
      const tx = db.transaction(table, 'readwrite');
      for (const { kind, id, body } of records) {
        const record = { kind, id, body, version, revision: 1, savedAt: '2026-03-02T08:00:00' };
        tx.objectStore(table).put(JSON.stringify(record), `${kind}/${id}`);
      }
      await new Promise((resolve) => (tx.oncomplete = resolve));
      db.close();
    },
    { records: [...records], version: SHAPE_VERSION },
  );

/** What the browser has stored under names that begin so. */
export const storedTexts = (page: Page, prefix: string): Promise<string[]> =>
  page.evaluate(async (start) => {
    const request = indexedDB.open('rustic-lantern');
    const db = await new Promise<IDBDatabase>(
      (resolve) => (request.onsuccess = () => resolve(request.result)),
    );
    const store = db.transaction(db.objectStoreNames[0] ?? '').objectStore(db.objectStoreNames[0] ?? '');
    const all = store.getAll(IDBKeyRange.bound(start, `${start}\uffff`));
    const texts = await new Promise<string[]>((resolve) => (all.onsuccess = () => resolve(all.result)));
    db.close();
    return texts;
  }, prefix);

/** Waits until the service worker answers for the page: from then on it works without a network. */
export const underServiceWorker = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    if (!navigator.serviceWorker.controller)
      await new Promise((resolve) =>
        navigator.serviceWorker.addEventListener('controllerchange', resolve, { once: true }),
      );
  });

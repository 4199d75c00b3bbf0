// A browser and its store, for the large forms of the walks.
import { chromium, type Browser, type BrowserContext, type Page } from '@playwright/test';

export const EXECUTABLE = process.env.CHROMIUM ?? '/usr/bin/chromium';

export const openBrowser = (): Promise<Browser> =>
  chromium.launch({ executablePath: EXECUTABLE, args: ['--no-sandbox', '--disable-gpu'] }); // prettier-ignore

export const openContext = (browser: Browser, baseURL: string): Promise<BrowserContext> =>
  browser.newContext({ baseURL, viewport: { width: 390, height: 844 }, serviceWorkers: 'block' });

/** In the place of a photo, where only that it is there matters. */
const A_PHOTO = '{"kind":"picture","body":{}}';

/** All that is stored, by name. @param photos whether they come whole: they are heavy */
export const texts = (page: Page, photos: 'whole' | 'named' = 'whole'): Promise<Record<string, string>> =>
  page.evaluate(
    async (inPlace) => {
      const request = indexedDB.open('rustic-lantern');
      const db = await new Promise<IDBDatabase>(
        (resolve) => (request.onsuccess = () => resolve(request.result)),
      );
      const table = db.objectStoreNames[0] ?? '';
      const store = db.transaction(table).objectStore(table);
      const [keys, values] = [store.getAllKeys(), store.getAll()];
      await new Promise((resolve) => (values.onsuccess = resolve));
      db.close();
      return Object.fromEntries(
        keys.result.map((k, i) => [
          String(k),
          inPlace && String(k).startsWith('picture/') ? inPlace : values.result[i],
        ]),
      ) as Record<string, string>;
    },
    photos === 'named' ? A_PHOTO : '',
  );

/** Puts other records in the place of all that is stored. */
export const put = (page: Page, entries: Record<string, string>): Promise<void> =>
  page.evaluate(async (all) => {
    const request = indexedDB.open('rustic-lantern');
    const db = await new Promise<IDBDatabase>(
      (resolve) => (request.onsuccess = () => resolve(request.result)),
    );
    const table = db.objectStoreNames[0] ?? '';
    const tx = db.transaction(table, 'readwrite');
    tx.objectStore(table).clear();
    for (const [k, v] of Object.entries(all)) tx.objectStore(table).put(v, k);
    await new Promise((resolve) => (tx.oncomplete = resolve));
    db.close();
  }, entries);

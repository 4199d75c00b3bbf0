import { StoreError } from './errors';

const FULL =
  'The browser has no room left for this. Nothing that was saved before is lost. Export your work to a file, delete pictures you do not need, then try again.';

/** Chromium closes a store whose disk is full or whose data is cleared, and opens it again for another page only. */
const CLOSED =
  'The browser closed its store, as it does when the disk is full or its data is cleared. What you typed still stands in its field after the page is loaded anew. Make room on the disk, then load the page again.';

function asStoreError(error: unknown): StoreError {
  if (error instanceof StoreError) return error;
  const message = error instanceof Error ? error.message : '';
  if (/connection is clos/i.test(message)) return new StoreError(CLOSED);
  // A full IndexedDB rejects with QuotaExceededError or, through the storage package, with an empty message.
  if (message === '' || /quota|full|exceed|no_space/i.test(message)) return new StoreError(FULL);
  return new StoreError(
    `The browser's store did not take the change (${message}). What was saved before is safe. Reload the page and try again.`,
  );
}

/** Does something with the browser's store; what goes wrong there is told in words that say what is safe. @throws StoreError */
export async function guarded<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    throw asStoreError(error);
  }
}

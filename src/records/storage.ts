import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { noteClearing } from './clearing';

/** The browser's store of this app: records under `kind/id`, and what the first page shows under `front`. */
export const storage = createAsyncStorage('rustic-lantern');

// Somebody clears the store from outside. The storage package throws where nobody can catch it; in a worker that would end the worker.
if (typeof globalThis.addEventListener === 'function')
  globalThis.addEventListener('error', (event: ErrorEvent) => {
    if (!/is blocking upgrade/.test(event.message)) return;
    event.preventDefault();
    noteClearing();
  });

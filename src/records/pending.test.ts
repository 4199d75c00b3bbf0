import type * as browser from './browserStore';
import { newPiece } from './defaults';
import type * as memory from '../testing/memoryStorage';
import type * as notes from './pending';
import type { Stored } from './types';

// What follows from a change stays in this process.
jest.mock('./changes', () => ({ changed: async () => undefined, noteNewer: () => undefined }));
jest.mock('./storage', () => {
  const { memoryStorage } = jest.requireActual<typeof memory>('../testing/memoryStorage');
  return { storage: memoryStorage() };
});

/** A notebook as browsers have it: keys are its own properties. */
function notebook(): Storage {
  const own: Record<string, string> = {};
  Object.defineProperties(own, {
    getItem: { value: (k: string) => own[k] ?? null },
    setItem: { value: (k: string, v: string) => void (own[k] = v) },
    removeItem: { value: (k: string) => void delete own[k] },
  });
  return own as unknown as Storage;
}
const notesLeft = (): string[] => Object.keys(localStorage).filter((k) => k.includes('pending'));
const NOW = '2026-03-02T08:00:00';
let pending: typeof notes;
let store: typeof browser.browserStore;
let record: Stored<'piece'>;

beforeEach(async () => {
  Object.defineProperty(globalThis, 'localStorage', { value: notebook(), configurable: true });
  pending = jest.requireActual('./pending');
  ({ browserStore: store } = jest.requireActual('./browserStore'));
  await store.remove([{ kind: 'piece', id: 'p' }]);
  record = await store.create('piece', 'p', { ...newPiece('Chest', NOW), deadline: '2026-05-01' });
});
const stored = async () => (await store.get('piece', 'p'))?.body;

test('a change that was shown and not yet written is written by the next page', async () => {
  pending.notePending(record, { note: 'A radio is in it.', deadline: undefined });
  expect(await stored()).toMatchObject({ note: '' });
  await pending.writePending();
  expect(await stored()).toMatchObject({ note: 'A radio is in it.' });
  expect(await stored()).not.toHaveProperty('deadline');
  expect(notesLeft()).toEqual([]);
});

test('a change that was written leaves no note', async () => {
  pending.notePending(record, { note: 'x' })();
  expect(notesLeft()).toEqual([]);
});

test('what was changed since stays; other fields of the note are not forced in', async () => {
  pending.notePending(record, { note: 'mine' });
  await store.update('piece', 'p', record.body, { note: 'later' });
  await pending.writePending();
  expect(await stored()).toMatchObject({ note: 'later' });
});

test.each<[string, string]>([
  ['no JSON', '{'],
  ['another shape', '[1]'],
  ['a kind nobody knows', '{"kind":"ghost","id":"p","base":{},"patch":{"note":"x"},"gone":[]}'],
  ['a record that is gone', '{"kind":"piece","id":"q","base":{},"patch":{"note":"x"},"gone":[]}'],
  ['a value that makes no sense', '{"kind":"piece","id":"p","base":{"school":"clear"},"patch":{"school":"x"},"gone":[]}'],
  ['a way into the prototype', '{"kind":"piece","id":"p","base":{},"patch":{"__proto__":{"polluted":true}},"gone":[]}'],
])('%s is thrown away, and nothing is changed', async (_, text) => {
  localStorage.setItem('rustic-lantern.pending.1', text);
  const before = await stored();
  await pending.writePending();
  expect(await stored()).toEqual(before);
  expect(notesLeft()).toEqual([]);
  expect({}).not.toHaveProperty('polluted');
}); // prettier-ignore

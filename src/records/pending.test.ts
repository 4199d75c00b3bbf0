import type * as browser from './browserStore';
import { newPiece } from './defaults';
import type * as memory from '../testing/memoryStorage';
import type * as notes from './pending';
import type { Held } from './changes';
import { SHAPE_VERSION } from './schemas';
import type { Stored } from './types';

// What follows from a change stays in this process.
jest.mock('./changes', () => ({
  changed: async () => undefined,
  listKey: (kind: string) => `records/${kind}`,
  noteNewer: () => undefined,
  noteAside: () => undefined,
  noteWaiting: () => undefined,
  noteHeld: (held: Held[]) => void mockTold.push(held),
}));
const mockTold: Held[][] = [];
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
let storage: ReturnType<typeof memory.memoryStorage>;

beforeEach(async () => {
  // A page that is loaded anew: nothing is remembered but what is stored.
  jest.resetModules();
  mockTold.length = 0;
  Object.defineProperty(globalThis, 'localStorage', { value: notebook(), configurable: true });
  pending = jest.requireActual('./pending');
  ({ browserStore: store } = jest.requireActual('./browserStore'));
  ({ storage } = jest.requireMock<{ storage: ReturnType<typeof memory.memoryStorage> }>('./storage'));
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

const told = (): Held[] => mockTold[mockTold.length - 1] ?? [];
const shown = async () => pending.withNotes(await store.list('piece')).records.map((r) => r.body.note);

test('what was changed since stays, and what was typed over it is kept and told', async () => {
  pending.notePending(record, { note: 'mine' });
  await store.update('piece', 'p', record.body, { note: 'later' });
  await pending.writePending();
  expect(await stored()).toMatchObject({ note: 'later' });
  expect(await shown()).toEqual(['later']);
  expect(told()).toEqual([expect.objectContaining({ conflict: true, title: 'Chest', text: 'mine' })]);
  await pending.saveHeld(told()[0]?.key ?? '');
  expect(await stored()).toMatchObject({ note: 'mine' });
  expect([told(), notesLeft()]).toEqual([[], []]);
});

test('where the store has no room it stays, stands in its field and is told; and is saved once there is room', async () => {
  pending.notePending(record, { note: 'A radio is in it.' });
  storage.full = true;
  await pending.writePending();
  expect(notesLeft()).toHaveLength(1);
  expect(await stored()).toMatchObject({ note: '' });
  expect(await shown()).toEqual(['A radio is in it.']);
  expect(told()).toEqual([
    expect.objectContaining({ conflict: false, what: ['Note: “A radio is in it.”'], gone: false }),
  ]);
  expect(told()[0]?.problem).toContain('no room left');
  storage.full = false;
  await pending.saveHeld(told()[0]?.key ?? '');
  expect(await stored()).toMatchObject({ note: 'A radio is in it.' });
  expect([told(), notesLeft()]).toEqual([[], []]);
});

test('typing on in such a field saves what stands there now, without a conflict, and the note is over', async () => {
  pending.notePending(record, { note: 'A radio', deadline: undefined });
  storage.full = true;
  await pending.writePending();
  storage.full = false;
  const [page] = pending.withNotes(await store.list('piece')).records;
  if (!page) throw new Error('The piece is not listed.');
  await store.update('piece', 'p', pending.storedUnder(page), { note: 'A radio is in it.' });
  pending.settled(page, ['note']);
  expect(await stored()).toMatchObject({ note: 'A radio is in it.' });
  // The other field of the note is still held.
  expect(notesLeft()).toHaveLength(1);
  await pending.writePending();
  expect(await stored()).toMatchObject({ note: 'A radio is in it.' });
  expect(await stored()).not.toHaveProperty('deadline');
  expect(notesLeft()).toEqual([]);
});

test('what is let go is gone, and comes back with Undo', async () => {
  pending.notePending(record, { note: 'mine' });
  storage.full = true;
  await pending.writePending();
  const undo = await pending.letGoHeld(told()[0]?.key ?? '');
  expect([await shown(), notesLeft(), told()]).toEqual([[''], [], []]);
  await undo();
  expect([await shown(), notesLeft().length, told().length]).toEqual([['mine'], 1, 1]);
});

test('an old window that met a newer record keeps what was typed', async () => {
  pending.notePending(record, { note: 'typed' });
  storage.data.set('piece/p', JSON.stringify({ ...record, version: SHAPE_VERSION + 1 }));
  await pending.writePending();
  expect(notesLeft()).toHaveLength(1);
  expect(told()[0]).toMatchObject({ text: 'typed', problem: expect.stringContaining('newer version') });
});

test.each<[string, string]>([
  ['a record that is gone', '{"kind":"piece","id":"q","base":{},"patch":{"note":"x"},"gone":[]}'],
  ['a value that makes no sense', '{"kind":"piece","id":"p","base":{"school":"clear"},"patch":{"school":"x"},"gone":[]}'],
])('%s: nothing is changed, and what was entered is told', async (_, text) => {
  localStorage.setItem('rustic-lantern.pending.1', text);
  const before = await stored();
  await pending.writePending();
  expect(await stored()).toEqual(before);
  expect([notesLeft().length, told().length]).toEqual([1, 1]);
}); // prettier-ignore

test.each<[string, string]>([
  ['no JSON', '{'],
  ['another shape', '[1]'],
  ['a kind nobody knows', '{"kind":"ghost","id":"p","base":{},"patch":{"note":"x"},"gone":[]}'],
  ['a way into the prototype', '{"kind":"piece","id":"p","base":{},"patch":{"__proto__":{"polluted":true}},"gone":[]}'],
])('%s is thrown away, and nothing is changed', async (_, text) => {
  localStorage.setItem('rustic-lantern.pending.1', text);
  const before = await stored();
  await pending.writePending();
  expect(await stored()).toEqual(before);
  expect(notesLeft()).toEqual([]);
  expect({}).not.toHaveProperty('polluted');
}); // prettier-ignore

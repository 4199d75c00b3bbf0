import { act, renderHook, waitFor } from '@testing-library/react-native';
import {
  browserStore,
  changeRecord,
  createRecord,
  newPiece,
  readEarly,
  removeRecords,
  StoreError,
  useList,
  useOne,
  useShop,
  changeShop,
  DEFAULT_SHOP,
} from './index';

const NOW = '2026-03-02T08:00:00';
const names = (list: { records: { body: { name: string } }[] }): string[] =>
  list.records.map((r) => r.body.name);

afterEach(() => jest.restoreAllMocks());

test('what is created, changed and removed is seen by every part of the page, and removal can be undone', async () => {
  const pieces = renderHook(() => useList('piece'));
  const one = renderHook(() => useOne('piece', 'p1'));
  await act(async () => void (await createRecord('piece', newPiece('Lectern', NOW), 'p1')));
  await waitFor(() => expect(names(pieces.result.current)).toEqual(['Lectern']));
  const record = one.result.current.record;
  if (!record) throw new Error('not there');
  await act(async () => void (await changeRecord(record, { name: 'Lectern, slope' })));
  await waitFor(() => expect(one.result.current.record?.body.name).toBe('Lectern, slope'));
  expect(one.result.current.record?.revision).toBe(2);
  let undo = async (): Promise<void> => undefined;
  await act(async () => {
    undo = await removeRecords([{ kind: 'piece', id: 'p1' }]);
  });
  await waitFor(() => expect(names(pieces.result.current)).toEqual([]));
  await act(undo);
  await waitFor(() => expect(names(pieces.result.current)).toEqual(['Lectern, slope']));
});

test('a change is shown at once, and taken back when the store refuses it', async () => {
  const { result } = renderHook(() => useOne('piece', 'p1'));
  await waitFor(() => expect(result.current.record?.body.name).toBe('Lectern, slope'));
  let refuse: (error: Error) => void = () => undefined;
  jest
    .spyOn(browserStore, 'update')
    .mockImplementationOnce(() => new Promise((_, reject) => (refuse = reject)));
  const record = result.current.record;
  if (!record) throw new Error('not there');
  let outcome: Promise<unknown> = Promise.resolve();
  act(() => {
    outcome = changeRecord(record, { name: 'Too much' });
  });
  outcome.catch(() => undefined);
  await waitFor(() => expect(result.current.record?.body.name).toBe('Too much'));
  await act(async () => refuse(new StoreError('The browser has no room left.')));
  await expect(outcome).rejects.toThrow('no room left');
  await waitFor(() => expect(result.current.record?.body.name).toBe('Lectern, slope'));
});

test('a new piece that cannot be stored does not stay on the screen', async () => {
  const { result } = renderHook(() => useList('piece'));
  await waitFor(() => expect(result.current.records).toHaveLength(1));
  jest.spyOn(browserStore, 'create').mockRejectedValueOnce(new StoreError('full'));
  await act(async () => {
    await expect(createRecord('piece', newPiece('Ghost', NOW), 'p2')).rejects.toThrow('full');
  });
  await waitFor(() => expect(names(result.current)).toEqual(['Lectern, slope']));
});

test('the shop has its defaults until something is changed, and keeps the rest then', async () => {
  const { result } = renderHook(() => useShop());
  await waitFor(() => expect(result.current.loading).toBe(false));
  expect(result.current.shop).toEqual({ ...DEFAULT_SHOP, learned: {} });
  await act(() => changeShop(result.current.record, { lengthUnit: 'in' }));
  await waitFor(() => expect(result.current.shop).toMatchObject({ ...DEFAULT_SHOP, lengthUnit: 'in' }));
  await act(() => changeShop(result.current.record, { hands: 2 }));
  await waitFor(() =>
    expect(result.current.shop).toMatchObject({ ...DEFAULT_SHOP, lengthUnit: 'in', hands: 2 }),
  );
});

test('settings changed faster than they are written all stay', async () => {
  const { result } = renderHook(() => useShop());
  await waitFor(() => expect(result.current.loading).toBe(false));
  const { record } = result.current;
  // None of them waits for the others, and none has seen them.
  await act(() =>
    Promise.all([
      changeShop(record, { hands: 3 }),
      changeShop(record, { temperatureC: 12 }),
      changeShop(record, { paper: 'letter' }),
      changeShop(record, { theme: 'lamplight' }),
    ]),
  );
  await waitFor(() =>
    expect(result.current.shop).toMatchObject({
      hands: 3,
      temperatureC: 12,
      paper: 'letter',
      theme: 'lamplight',
    }),
  );
});

test('what is read early while something is being written does not hide it', async () => {
  const { result } = renderHook(() => useList('veneer'));
  await waitFor(() => expect(result.current.loading).toBe(false));
  let write: () => void = () => undefined;
  const create = browserStore.create.bind(browserStore);
  jest.spyOn(browserStore, 'create').mockImplementationOnce(async (...args) => {
    await new Promise<void>((resolve) => (write = resolve));
    return create(...args);
  });
  const sheet = { name: 'Ash', species: 'ash', thicknessMm: 0.6, alongMm: 300, acrossMm: 90, note: '' };
  await act(async () => {
    const created = createRecord('veneer', sheet, 'v1');
    const early = readEarly('veneer');
    // Long enough for the list to be read as it was.
    await new Promise((resolve) => setTimeout(resolve, 50));
    write();
    await Promise.all([created, early]);
  });
  await waitFor(() => expect(names(result.current)).toEqual(['Ash']));
  await act(async () => void (await new Promise((resolve) => setTimeout(resolve, 50))));
  expect(names(result.current)).toEqual(['Ash']);
});

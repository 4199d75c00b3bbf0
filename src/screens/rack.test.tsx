import { act, screen, waitFor } from '@testing-library/react-native';
import { browserStore, createRecord, newLumber, rehearse, removeRecords } from '@/records';
import { boxWith, IN_THE_MIDDLE, openPage, press, route, stored, type } from '@/testing/room';
import { DecideScreen } from './decide/DecideScreen';
import { JointScreen } from './joint/JointScreen';
import { LumberScreen } from './stock/LumberScreen';
import { StockScreen } from './stock/StockScreen';

jest.mock('expo-router', () => jest.requireActual('@/testing/room').routerMock);
jest.mock('@/worker', () => jest.requireActual('@/testing/room').workerMock);
jest.setTimeout(30_000);

const solid = { face: { build: 'solid' as const, veneerMm: 0, boardMm: 20, species: 'whiteOak' } };
const loss = { kind: 'gouge' as const, method: 'dutchman' as const, outline: IN_THE_MIDDLE, answers: { depthMm: 5 } }; // prettier-ignore

test('a block is laid out on the board of which least is spent, sawn off it, and put back', async () => {
  const { damage } = await boxWith(loss, solid);
  await openPage(<JointScreen />, { id: damage }, 'From which board');
  expect(screen.getByText('No boards in the rack yet')).toBeOnTheScreen();
  await act(async () => {
    await createRecord(
      'lumber',
      { ...newLumber(1), name: 'Long board', acrossMm: 200, alongMm: 900 },
      'long',
    );
    await createRecord('lumber', { ...newLumber(2), name: 'Short board', acrossMm: 80, alongMm: 300 }, 'short'); // prettier-ignore
  });
  // The block is 107 mm along and 66 across; a kerf of 1 mm goes with it.
  await waitFor(() => expect(screen.getByText(/Cut off 108 mm; 192 mm stay/)).toBeOnTheScreen());
  expect(screen.queryByText('Long board')).toBeNull();
  await press('Saw it off Short board');
  await waitFor(async () => expect((await stored('lumber', 'short'))?.alongMm).toBeCloseTo(192, 6));
  await press('Undo');
  await waitFor(async () => expect((await stored('lumber', 'short'))?.alongMm).toBe(300));
});

test('a board that is used up leaves the stock, and undo brings it back; one that is too small is said', async () => {
  await act(async () => {
    await removeRecords((await browserStore.list('lumber')).records);
    await createRecord('lumber', { ...newLumber(3), name: 'Shelf end', alongMm: 110, acrossMm: 70 }, 'end');
  });
  const { damage } = await boxWith(loss, solid);
  await openPage(<JointScreen />, { id: damage }, 'From which board');
  await waitFor(() => expect(screen.getByText(/The whole board is used/)).toBeOnTheScreen());
  await press('Saw it off Shelf end');
  await waitFor(async () => expect(await stored('lumber', 'end')).toBeUndefined());
  await press('Undo');
  await waitFor(async () => expect((await stored('lumber', 'end'))?.alongMm).toBe(110));
  await type('Into sound wood', '10');
  await waitFor(() => expect(screen.getByText('No board gives it')).toBeOnTheScreen());
});

test('a board is added, named and measured; a thickness that none has is told', async () => {
  await openPage(<StockScreen />, {}, 'Boards in the rack');
  await press('Add a board');
  await waitFor(() => expect(route.went.at(-1)).toMatch(/^\/lumber\//));
  const id = route.went.at(-1)?.split('/').at(-1) ?? '';
  await openPage(<LumberScreen />, { id }, 'Board in the rack');
  await type('Name', 'Ash plank');
  await type('Thickness', '400');
  await type('Length along the grain', '1250');
  await waitFor(async () => expect(await stored('lumber', id)).toMatchObject({ name: 'Ash plank', alongMm: 1250, thickMm: 22 })); // prettier-ignore
  await press('Delete this board');
  await waitFor(async () => expect(await stored('lumber', id)).toBeUndefined());
});

test('what is worked out beforehand changes nothing, and a shop without pieces is none', async () => {
  await boxWith({ kind: 'liftedEdge', method: 'floodAndPress' });
  const before = JSON.stringify((await browserStore.listAll(['piece', 'face', 'damage', 'shop'])).records);
  await rehearse();
  expect(JSON.stringify((await browserStore.listAll(['piece', 'face', 'damage', 'shop'])).records)).toBe(before); // prettier-ignore
  const { damage } = await boxWith(loss, solid);
  await openPage(<DecideScreen />, { id: damage }, 'Decide the repair');
});

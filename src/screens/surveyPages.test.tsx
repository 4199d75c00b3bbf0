import type { ReactElement } from 'react';
import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { browserStore } from '@/records';
import {
  boxWith,
  IN_THE_MIDDLE,
  numberIn,
  onTop,
  press,
  openPage,
  route,
  said,
  stored,
  type,
  pressAgain,
} from '@/testing/room';
import { QuickScreen } from './decide/QuickScreen';
import { PatchScreen } from './patch/PatchScreen';
import { RecordScreen } from './record/RecordScreen';
import { ReportScreen } from './report/ReportScreen';
import { AboutScreen } from './survey/AboutScreen';
import { MarkScreen } from './survey/MarkScreen';
import { PartsScreen } from './survey/PartsScreen';
import { TestsScreen } from './survey/TestsScreen';

jest.mock('expo-router', () => jest.requireActual('@/testing/room').routerMock);
jest.mock('@/worker', () => jest.requireActual('@/testing/room').workerMock);
jest.setTimeout(30_000);

const open = (page: ReactElement, id: string, until: string | RegExp): Promise<void> =>
  openPage(page, { id }, until);

describe('about a piece', () => {
  test('its facts are kept as they are entered; a name is never empty', async () => {
    const { piece } = await boxWith({});
    await open(<AboutScreen />, piece, 'About this piece');
    await type('Owner', 'Village reading room');
    await press('Conserve');
    await type('Name', '   ');
    await waitFor(async () => expect((await stored('piece', piece))?.school).toBe('conserve'));
    expect(await stored('piece', piece)).toMatchObject({
      client: 'Village reading room',
      name: expect.stringMatching(/^Writing box/),
    });
  });

  test('a face is added, and the piece is deleted with all that hangs on it', async () => {
    const { piece, face, damage } = await boxWith({});
    await open(<AboutScreen />, piece, 'About this piece');
    await press('Add a face without a photo');
    await waitFor(() => expect(route.went).toHaveLength(1));
    expect((await browserStore.list('face')).records.filter((f) => f.body.pieceId === piece)).toHaveLength(2);
    await press('Delete this piece');
    await press('Delete this piece');
    await waitFor(async () => expect(await stored('piece', piece)).toBeUndefined());
    expect([await stored('face', face), await stored('damage', damage)]).toEqual([undefined, undefined]);
    // It can be had back for a while.
    await press('Undo');
    await waitFor(async () => expect(await stored('damage', damage)).toBeDefined());
    expect(await stored('face', face)).toBeDefined();
  });
});

describe('parts and hardware', () => {
  test('bags get the next letter; one is ticked when it is back, and the odd ones are counted', async () => {
    const { piece } = await boxWith({});
    await open(<PartsScreen />, piece, 'Parts and hardware');
    await type('Where it came from', 'Lid hinges');
    await type('Odd one out', 'One is 3 mm shorter');
    await press('Put it on the tray');
    await waitFor(async () => expect((await stored('piece', piece))?.parts).toHaveLength(1));
    await type('Where it came from', 'Lock');
    await pressAgain('Put it on the tray');
    await waitFor(async () => expect((await stored('piece', piece))?.parts?.map((p) => p.label)).toEqual(['Bag A', 'Bag B'])); // prettier-ignore
    expect(screen.getByText('0 of 2')).toBeOnTheScreen();
    await press('Bag B is back in its place');
    await waitFor(() => expect(screen.getByText('1 of 2')).toBeOnTheScreen());
    await act(async () => {
      const [first] = screen.getAllByLabelText('Change or take off the tray');
      if (first) fireEvent.press(first);
    });
    await press('Take Bag A off the tray');
    await waitFor(() => expect(screen.getByText('1 of 1')).toBeOnTheScreen());
    await press('Undo');
    await waitFor(() => expect(screen.getByText('1 of 2')).toBeOnTheScreen());
  });
});

describe('tests of finish and wood', () => {
  test('a reading that cannot be is refused, the others are kept', async () => {
    const { face } = await boxWith({});
    await open(<TestsScreen />, face, 'Which finish is it?');
    const field = 'Thickness of the veneer: a reading, mm';
    await type(field, '0.7');
    await press('Add the reading of thickness of the veneer');
    await waitFor(async () => expect((await stored('face', face))?.thicknessReadings).toEqual([0.7]));
    await type(field, '70');
    await pressAgain('Add the reading of thickness of the veneer');
    expect(screen.getByText(/A veneer of 70 mm cannot be/)).toBeOnTheScreen();
    await type(field, '0,9');
    await press('Add the reading of thickness of the veneer');
    await waitFor(async () => expect((await stored('face', face))?.thicknessReadings).toEqual([0.7, 0.9]));
    await press('Take out reading 1, 0.70 mm');
    await waitFor(async () => expect((await stored('face', face))?.thicknessReadings).toEqual([0.9]));
  });
});

describe('a damage on its face', () => {
  test('what is marked is measured; another tool takes its place and can be undone', async () => {
    const { damage } = await boxWith({ outline: IN_THE_MIDDLE });
    await open(<MarkScreen />, damage, 'Area');
    expect(screen.getByText('60 cm²')).toBeOnTheScreen();
    expect(screen.getByText('320 mm')).toBeOnTheScreen();
    await press('Start again');
    await waitFor(async () => expect((await stored('damage', damage))?.outline).toEqual([]));
    await press('Undo');
    await waitFor(async () => expect((await stored('damage', damage))?.outline).toEqual(IN_THE_MIDDLE));
    await press('Next: decide the repair');
    expect(route.went).toEqual([`/damage/${damage}/decide`]);
  });

  test('it is deleted and had back', async () => {
    const { damage, face } = await boxWith({ outline: IN_THE_MIDDLE });
    await open(<MarkScreen />, damage, 'Area');
    await press('Delete this damage');
    await press('Delete this damage');
    await waitFor(async () => expect(await stored('damage', damage)).toBeUndefined());
    expect(route.went).toEqual([`/face/${face}`]);
    await press('Undo');
    await waitFor(async () => expect(await stored('damage', damage)).toBeDefined());
  });
});

describe('the patch', () => {
  const loss = { kind: 'missingVeneer' as const, method: 'veneerPatch' as const };

  test('it is larger than the loss, along the grain most; a square one is warned of', async () => {
    const { damage } = await boxWith({ ...loss, outline: onTop([[200, 200], [260, 200], [260, 230], [200, 230]]) }); // prettier-ignore
    await open(<PatchScreen />, damage, 'The veneer to cut it from');
    // 60 mm along and 30 mm across are lost; the ends are slanted, so it grows most along the grain.
    const [along, across] = [numberIn(said('Along the grain')), numberIn(said('Across the grain'))];
    expect(across).toBeGreaterThan(30);
    expect(along - 60).toBeGreaterThan(3 * (across - 30));
    expect(screen.getByText(/There is no veneer in the stock yet/)).toBeOnTheScreen();
    expect(screen.queryByText('A seam runs square across the grain')).toBeNull();
    await press('Change the shape');
    await press('Square ends, under paint only');
    await waitFor(() => expect(screen.getByText('A seam runs square across the grain')).toBeOnTheScreen());
    expect((await stored('damage', damage))?.patch.shape).toBe('square');
  });

  test('a repair without a patch says so', async () => {
    const { damage } = await boxWith({ kind: 'scratch', method: 'softWax', outline: IN_THE_MIDDLE });
    await open(<PatchScreen />, damage, 'No patch here');
    await press('Work out: soft wax stick');
    expect(route.went).toEqual([`/damage/${damage}/sheet`]);
  });
});

describe('record and report', () => {
  test('a note is kept in the log and can be deleted', async () => {
    const { piece } = await boxWith({ method: 'floodAndPress' });
    await open(<RecordScreen />, piece, 'Print the record');
    await type('Note', 'The owner brought the lost escutcheon.');
    await press('Keep the note');
    await waitFor(() => expect(screen.getByText('The owner brought the lost escutcheon.')).toBeOnTheScreen());
    await press('Delete entry: Note');
    await waitFor(() => expect(screen.queryByText('The owner brought the lost escutcheon.')).toBeNull());
    await press('Undo');
    await waitFor(() => expect(screen.getByText('The owner brought the lost escutcheon.')).toBeOnTheScreen());
  });

  test('the report counts and measures what is hurt', async () => {
    const { piece } = await boxWith({ outline: IN_THE_MIDDLE });
    await open(<ReportScreen />, piece, 'The worst first');
    expect(screen.getAllByText('Lifted edge, no. 1').length).toBeGreaterThan(0);
    expect(screen.getByText('60 cm²')).toBeOnTheScreen();
  });
});

test('a quick answer is kept as a piece with its damage', async () => {
  await open(<QuickScreen />, '', 'The repair');
  await type('Size along the grain', '80');
  await press('Keep this');
  await waitFor(() => expect(route.went).toHaveLength(1));
  const pieceId = (route.went[0] ?? '').replace('/piece/', '');
  const damages = (await browserStore.list('damage')).records;
  const mine = damages.find((d) => d.body.pieceId === pieceId);
  // 80 × 25 mm, filled as an ellipse.
  expect(mine?.body.roughAreaMm2).toBeCloseTo((80 * 25 * Math.PI) / 4, 6);
});

import { screen, waitFor } from '@testing-library/react-native';
import { removeRecords } from '@/records';
import { boxWith, openPage, press, stored, type, pressAgain } from '@/testing/room';
import { PlanScreen } from './plan/PlanScreen';
import { FaceScreen } from './survey/FaceScreen';
import { PartsScreen } from './survey/PartsScreen';

jest.mock('expo-router', () => jest.requireActual('@/testing/room').routerMock);
jest.mock('@/worker', () => jest.requireActual('@/testing/room').workerMock);
jest.setTimeout(30_000);

const worn = { face: { finishNow: 'varnish' as const, finishState: 'worn' as const }, piece: { goal: 'varnish' as const } }; // prettier-ignore

test('the plan shows its steps; one is made longer, one is left out with its reason, one of one’s own is added', async () => {
  const { piece } = await boxWith({ method: 'floodAndPress' }, worn);
  await openPage(<PlanScreen />, { id: piece }, /^Hands: .* in all/);
  await press('Strip the old finish: how, and your own changes');
  await press('Your own changes');
  await press('It takes: more');
  await waitFor(async () => expect((await stored('piece', piece))?.stepChanges?.[0]).toMatchObject({ taskId: `${piece}/strip` })); // prettier-ignore
  await press('Leave out: Strip the old finish');
  await waitFor(() => expect(screen.queryByText('Strip the old finish')).toBeNull());
  await press('Add a step of your own');
  await press('Add the step');
  expect(screen.getByText(/Give the step a name first/)).toBeOnTheScreen();
  await type('What is done', 'Line the drawer');
  await pressAgain('Add the step');
  await waitFor(() => expect(screen.getByLabelText('Take out: Line the drawer')).toBeOnTheScreen());
  expect((await stored('piece', piece))?.ownSteps).toMatchObject([{ title: 'Line the drawer', attendedMin: 30 }]); // prettier-ignore
  await press('Put the step back');
  await waitFor(() => expect(screen.getAllByText('Strip the old finish').length).toBeGreaterThan(0));
});

test('a phase that was moved and a step that was taken out come back with an undo', async () => {
  const step = { id: 'own', phase: 'reglue' as const, title: 'Line the drawer', detail: '', attendedMin: 30, waitMin: 0 }; // prettier-ignore
  const { piece } = await boxWith(
    { method: 'floodAndPress' },
    { piece: { ...worn.piece, ownSteps: [step] } },
  );
  await openPage(<PlanScreen />, { id: piece }, /^Hands: .* in all/);
  await press('Steps of your own (1)');
  await press('Take out: Line the drawer');
  await waitFor(async () => expect((await stored('piece', piece))?.ownSteps).toEqual([]));
  await press('Undo');
  await waitFor(async () => expect((await stored('piece', piece))?.ownSteps).toEqual([step]));
  const before = (await stored('piece', piece))?.ways;
  await press('The order of the work');
  await press('Try another place for a phase');
  await press('Reglue veneer earlier');
  await waitFor(async () => expect((await stored('piece', piece))?.ways).not.toEqual(before));
  await press('Undo');
  await waitFor(async () => expect((await stored('piece', piece))?.ways).toEqual(before));
  expect(screen.queryByText(/was changed in another window/)).toBeNull();
});

test('a piece of which nothing is known yet says what to do first', async () => {
  const { piece, damage } = await boxWith({});
  await removeRecords([{ kind: 'damage', id: damage }]);
  await openPage(<PlanScreen />, { id: piece }, 'Say how the finish of a face is');
});

test('the evidence of a face: its state changes what is proposed, and another way is taken against the advice', async () => {
  const { face } = await boxWith({}, worn);
  await openPage(<FaceScreen />, { id: face }, 'How its finish is');
  await waitFor(() => expect(screen.getByText('Strip, 2 passes')).toBeOnTheScreen());
  await press('Sound');
  await waitFor(() => expect(screen.getByText('Scuff and coat over')).toBeOnTheScreen());
  await press('The other ways, and what stands against them');
  await press('Leave it');
  await waitFor(() => expect(screen.getByText(/Against the advice. Proposed: scuff and coat over/)).toBeOnTheScreen()); // prettier-ignore
  expect((await stored('face', face))?.prepare).toBe('leave');
});

test('a part that would have to be in before itself is told where it is entered', async () => {
  const part = { kind: 'part' as const, count: 1, from: '', odd: '', back: false };
  const parts = [
    { ...part, id: 'a', label: 'Lid', after: ['b'] },
    { ...part, id: 'b', label: 'Tray' },
  ];
  const { piece } = await boxWith({}, { piece: { parts } });
  await openPage(<PartsScreen />, { id: piece }, 'Lid');
  const folds = screen.getAllByLabelText('How it is held, and where it was');
  expect(folds).toHaveLength(2);
  await press('How it is held, and where it was');
  await press('Lid');
  await waitFor(() => expect(screen.getByText(/wait for each other/)).toBeOnTheScreen());
});

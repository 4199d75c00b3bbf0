import { act, screen, waitFor } from '@testing-library/react-native';
import { createRecord, type Veneer } from '@/records';
import { boxWith, IN_THE_MIDDLE, openPage, press, stored, type } from '@/testing/room';
import { CuttingScreen } from './stock/CuttingScreen';
import { VeneerScreen } from './stock/VeneerScreen';
import { PatchScreen } from './patch/PatchScreen';

jest.mock('expo-router', () => jest.requireActual('@/testing/room').routerMock);
jest.mock('@/worker', () => jest.requireActual('@/testing/room').workerMock);
jest.setTimeout(40_000);

const leaf = (name: string, more: Partial<Veneer> = {}): Veneer => ({ name, species: 'walnut', thicknessMm: 0.8, alongMm: 300, acrossMm: 150, note: '', ...more }); // prettier-ignore
const loss = { kind: 'missingVeneer' as const, method: 'veneerPatch' as const, outline: IN_THE_MIDDLE };

test('a patch is laid out on a sheet, cut out of it, and given back; without a sheet it must be bought', async () => {
  const { damage } = await boxWith(loss);
  await openPage(<CuttingScreen />, {}, 'To be bought, or cut from elsewhere');
  expect(screen.getByText(/1 patch is still to be cut: 0 from 0 sheets, 1 must be bought/)).toBeOnTheScreen();
  await act(async () => void (await createRecord('veneer', leaf('Old walnut'), 'old')));
  await waitFor(() => expect(screen.getByText('Old walnut')).toBeOnTheScreen());
  await press('1. is cut from Old walnut');
  await waitFor(async () => expect((await stored('veneer', 'old'))?.cuts?.[0]?.damageId).toBe(damage));
  await waitFor(() => expect(screen.getByText('Nothing to cut')).toBeOnTheScreen());
  await press('Undo');
  await waitFor(async () => expect((await stored('veneer', 'old'))?.cuts).toEqual([]));
  await waitFor(() => expect(screen.getByText('Largest whole piece')).toBeOnTheScreen());
});

test('a sheet says what is left of it, how it was cut and read, and whose hidden place it is', async () => {
  const { piece } = await boxWith(loss);
  const hole = { outline: [[0, 0], [0.5, 0], [0.5, 0.5], [0, 0.5]] as [number, number][] }; // prettier-ignore
  await act(async () => void (await createRecord('veneer', leaf('Door leaf', { cuts: [hole] }), 'leaf')));
  await openPage(<VeneerScreen />, { id: 'leaf' }, 'What is left of it');
  expect(screen.getByText(/^338 cm² are left/)).toBeOnTheScreen();
  await press('Hole 1 was not cut');
  await waitFor(() => expect(screen.getByText(/^450 cm² are left/)).toBeOnTheScreen());
  await press('Add a corner');
  await waitFor(async () => expect((await stored('veneer', 'leaf'))?.outline).toHaveLength(5));
  await press('All of it again');
  await waitFor(async () => expect((await stored('veneer', 'leaf'))?.outline).toBeUndefined());
  await press('How it was cut, and from where');
  await press('Sawn');
  await type('Thickness at several places', '0.9, 0.7, 0.8');
  await waitFor(async () => expect(await stored('veneer', 'leaf')).toMatchObject({ cut: 'sawn', thicknessMm: 0.7, thicknessReadings: [0.9, 0.7, 0.8] })); // prettier-ignore
  await type('Thickness at several places', '0.9, 40');
  expect(screen.getByText(/A reading has 40 mm/)).toBeOnTheScreen();
  await press(`Writing box ${piece.slice(3)}`);
  await waitFor(async () => expect((await stored('veneer', 'leaf'))?.harvest?.pieceId).toBe(piece));
});

test('the outline that is seen least is found and taken; own corners are dropped again', async () => {
  const { damage } = await boxWith(loss);
  await openPage(<PatchScreen />, { id: damage }, 'The outline that is seen least');
  await press('Find the outline that is seen least');
  await waitFor(() => expect(screen.getByText('Seen least')).toBeOnTheScreen(), { timeout: 15_000 });
  await press('Take outline 2');
  await waitFor(async () => expect((await stored('damage', damage))?.patch.shape).toBeDefined());
  await press('Drag its corners');
  await press('Add a corner');
  await waitFor(async () => expect((await stored('damage', damage))?.patch.own?.length).toBeGreaterThan(4));
  await press('As it is worked out again');
  await waitFor(async () => expect((await stored('damage', damage))?.patch.own).toBeUndefined());
});

test('a whole face is laid out in leaves, and a patch gets half shims; what cannot be is told', async () => {
  const { damage } = await boxWith({ ...loss, method: 'reveneer' });
  await openPage(<PatchScreen />, { id: damage }, 'The face in leaves');
  await type('One leaf, along its grain', '700');
  await type('One leaf, across', '204');
  await press('Centre: booked, an even number of equal leaves, a seam in the middle');
  await waitFor(() => expect(screen.getByText('Leaf 4, turned over')).toBeOnTheScreen());
  await type('One leaf, along its grain', '300');
  await waitFor(() => expect(screen.getByText(/A leaf is 300 mm long/)).toBeOnTheScreen());
  await act(async () => void (await createRecord('veneer', leaf('Thin', { thicknessMm: 0.6 }), 'thin')));
  const patched = await boxWith({ ...loss, patch: { veneerId: 'thin' } });
  await openPage(<PatchScreen />, { id: patched.damage }, 'Height of the patch');
  await type('Old veneer at its left end', '1');
  await type('Old veneer at its right end', '0.6');
  await waitFor(() => expect(screen.getByText(/half shim/)).toBeOnTheScreen());
});

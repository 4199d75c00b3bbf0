import { screen } from '@testing-library/react-native';
import { boxWith, IN_THE_MIDDLE, openPage, press, stored, type } from '@/testing/room';
import { JointScreen } from './joint/JointScreen';
import { SheetScreen } from './sheet/SheetScreen';

jest.mock('expo-router', () => jest.requireActual('@/testing/room').routerMock);
jest.mock('@/worker', () => jest.requireActual('@/testing/room').workerMock);
jest.setTimeout(30_000);

const solid = { face: { build: 'solid' as const, veneerMm: 0, boardMm: 20 } };
const CRACK = { tool: 'line' as const, points: [[0.2, 0.5], [0.7, 0.5]] as [number, number][], widthMm: 2 }; // prettier-ignore

test('a plug: sizes follow the hole, a depth over the board is told, and what was entered is kept', async () => {
  const { damage } = await boxWith({ kind: 'hole', method: 'facePlug', mark: { tool: 'circle', at: [0.5, 0.5], diameterMm: 9 } }, solid); // prettier-ignore
  await openPage(<JointScreen />, { id: damage }, 'The plug and its hole');
  await type('Depth of the hole', '25');
  expect(screen.getByText(/the board only 20 mm thick/)).toBeOnTheScreen();
  await type('Depth of the hole', '12');
  expect(screen.getByText('13.9 mm')).toBeOnTheScreen();
  await press('Yes');
  expect((await stored('damage', damage))?.figures).toMatchObject({ 'plug.depth': 12, 'plug.load': 'yes' });
  await type('Plug cutters you own', '18');
  expect(screen.getByText(/A bit of 9.5 mm or a little more/)).toBeOnTheScreen();
});

test('a block let in: the recess lies round the loss along the grain', async () => {
  const { damage } = await boxWith({ kind: 'gouge', method: 'dutchman', outline: IN_THE_MIDDLE, answers: { depthMm: 5 } }, solid); // prettier-ignore
  await openPage(<JointScreen />, { id: damage }, 'The recess and its block');
  // 100 × 60 mm with 2.5 mm all round.
  expect(screen.getByText('105 mm × 65 mm')).toBeOnTheScreen();
  await type('Depth of the loss', '30');
  expect(screen.getByText(/the board only 20 mm thick. Measure its depth again/)).toBeOnTheScreen();
});

test('a gaping split: force and clamps follow the gap; nothing is needed where it meets', async () => {
  const { damage } = await boxWith({ kind: 'longCrack', method: 'glueSplit', mark: CRACK, answers: { closesByHand: true } }, solid); // prettier-ignore
  await openPage(<JointScreen />, { id: damage }, 'Will it close?');
  expect(screen.getByText('Bar clamps to get')).toBeOnTheScreen();
  for (const place of ['Gap a quarter along', 'Gap in the middle', 'Gap three quarters along']) await type(place, '0'); // prettier-ignore
  expect(screen.getByText(/It closes by hand/)).toBeOnTheScreen();
});

test('a sliver for a gap that stays', async () => {
  const { damage } = await boxWith({ kind: 'longCrack', method: 'sliver', mark: CRACK, answers: { closesByHand: false } }, solid); // prettier-ignore
  await openPage(<JointScreen />, { id: damage }, 'The sliver');
  await type('Wide in the middle', '0');
  await type('Wide at one end', '0');
  await type('Wide at the other end', '0');
  expect(screen.getByText(/no sliver goes in/)).toBeOnTheScreen();
});

test('a foot that is short: how much is built up under it', async () => {
  const { damage } = await boxWith({ kind: 'rocks', method: 'trimFeet', outline: IN_THE_MIDDLE }, solid);
  await openPage(<SheetScreen />, { id: damage }, 'Stand it level');
  await type('Gap, front left', '0');
  expect(screen.getByText(/It stands on all its feet/)).toBeOnTheScreen();
});

test('a fill in layers, and a step that thin veneer does not bear', async () => {
  const { damage } = await boxWith({ kind: 'gouge', method: 'polyesterFiller', outline: IN_THE_MIDDLE, answers: { depthMm: 4 } }, { piece: { goal: 'paint', school: 'paint' } }); // prettier-ignore
  await openPage(<SheetScreen />, { id: damage }, 'How much, and in how many layers');
  await type('Thickest layer, by its label', '2');
  expect(screen.getByText('Layer 1 of 3')).toBeOnTheScreen();
  expect(screen.getByText(/^Mix .* g of the first part and .* g of the second/)).toBeOnTheScreen();
  await type('It stands proud by', '0.8');
  expect(screen.getByText(/fill the low side instead/)).toBeOnTheScreen();
});

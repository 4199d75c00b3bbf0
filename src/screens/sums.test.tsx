import { screen } from '@testing-library/react-native';
import { boxWith, IN_THE_MIDDLE, openPage, press, stored, type } from '@/testing/room';
import { JointScreen } from './joint/JointScreen';
import { PatchScreen } from './patch/PatchScreen';
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

test('a new part from the good one: its blank, mirrored, and why it needs a wider board', async () => {
  const { damage } = await boxWith({ kind: 'missingFoot', method: 'newPart', outline: IN_THE_MIDDLE }, solid);
  await openPage(<JointScreen />, { id: damage }, 'The new part');
  // 100 × 60 mm marked, 5 mm of room all round.
  expect(screen.getByText('110 mm × 70 mm')).toBeOnTheScreen();
  // The same blank stands among the materials, with its thickness.
  expect(screen.getByText('2 of 110 mm × 70 mm × 22 mm')).toBeOnTheScreen();
  expect(screen.getByLabelText(/^The part in its blank/)).toBeOnTheScreen();
  await press('Mirrored, left for right');
  await type('Board, across', '60');
  expect(screen.getByText(/does not fit the board/)).toBeOnTheScreen();
  expect((await stored('damage', damage))?.figures).toMatchObject({ 'part.side': 'mirrored', 'part.wide': 60 }); // prettier-ignore
  expect(screen.getByRole('button', { name: 'A screw goes in here again' })).toBeOnTheScreen();
});

test('nothing is marked: the page says how the good one is traced', async () => {
  const { damage } = await boxWith({ kind: 'missingFoot', method: 'newPart', outline: [] }, solid);
  await openPage(<JointScreen />, { id: damage }, 'Trace the good one first');
});

test('a screw goes in anew: its pilot hole, and one that would come out', async () => {
  const { damage } = await boxWith({ kind: 'endSplit', method: 'screwSplit', mark: CRACK, answers: { screwInSplit: true } }, solid); // prettier-ignore
  await openPage(<JointScreen />, { id: damage }, 'The screw, set anew');
  expect(screen.getByText('Pilot hole')).toBeOnTheScreen();
  await type('Length of the screw', '30');
  expect(screen.getByText(/or through it. Take one of at most 21 mm/)).toBeOnTheScreen();
});

test('a banding round corners: mitres and lengths; words that are no lengths are told', async () => {
  const { damage } = await boxWith({ kind: 'missingVeneer', method: 'edgeStrip', outline: IN_THE_MIDDLE });
  await openPage(<PatchScreen />, { id: damage }, 'A banding or stringing round corners');
  await press('A banding or stringing round corners');
  await type('Runs from corner to corner, one after the other', '400, 300, 400, 300');
  await press('Yes, it is a frame');
  expect(screen.getAllByText('388 mm inside')).toHaveLength(2);
  await type('Runs from corner to corner, one after the other', '8, 300');
  expect(screen.getByText(/eaten up by its mitres/)).toBeOnTheScreen();
});

test('a drawer: where it binds and by how much, and the strip under a worn side', async () => {
  const { damage } = await boxWith({ kind: 'drawerBinds', method: 'easeDrawer', outline: [] }, solid);
  await openPage(<SheetScreen />, { id: damage }, 'The drawer in its opening');
  await type('Drawer, wide at the front', '400.5');
  expect(screen.getByText(/It binds wide at the front/)).toBeOnTheScreen();
  expect(screen.getByText('Plane 1.5 mm off, no more')).toBeOnTheScreen();
  await type('Worn below, at the front', '3');
  expect(screen.getByText(/3 mm high at the front and 2 mm at the back/)).toBeOnTheScreen();
});

test('a joint is opened, cleaned and dried by its old glue; one that breaks first stays', async () => {
  const { damage } = await boxWith({ kind: 'looseJoint', method: 'reglueJoint', outline: [], answers: { oldGlue: 'hide' } }, solid); // prettier-ignore
  await openPage(<JointScreen />, { id: damage }, 'Open it, clean it, let it dry');
  expect(screen.getByText(/Warm and damp/)).toBeOnTheScreen();
  await press('Epoxy');
  expect(screen.getByText(/breaks before that glue lets go/)).toBeOnTheScreen();
});

import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { browserStore, createRecord } from '@/records';
import { boxWith, IN_THE_MIDDLE, openPage, press, route, stored, type, photoOf } from '@/testing/room';
import { BlendScreen } from './blend/BlendScreen';
import { EvenScreen } from './even/EvenScreen';
import { ColourScreen } from './colours/ColourScreen';
import { ColourShelfScreen } from './colours/ColourShelfScreen';

const mockOld = {
  ground: [52, 13, 32],
  mean: [45, 13, 28],
  line: [34, 11, 20],
  coherence: 0.5,
  pixels: 2000,
};
const mockBare = { ground: [66, 9, 24], mean: [60, 9, 23], line: [50, 9, 20], coherence: 0.5, pixels: 2000 };
const mockFound = { ...mockOld, mean: [47, 15, 30] };

jest.mock('expo-router', () => jest.requireActual('@/testing/room').routerMock);
jest.mock('@/worker', () =>
  jest.requireActual('@/testing/room').workerWith({
    storePicture: async () => ({ jpeg: '/9j/4AAQ', widthPx: 10, heightPx: 10 }),
    tonesAround: async () => mockOld,
    swatchTones: async () => mockBare,
    tonesWithin: async () => mockBare,
    fileTones: async () => mockFound,
    rectify: () => new Promise(() => undefined),
    tonesAt: async () => mockFound,
  }),
);
jest.mock('@/instruments', () => ({
  ...jest.requireActual('@/instruments'),
  readColour: async () => ({ lab: [50, 14, 30], at: 'now', simulated: true }),
}));
jest.setTimeout(30_000);

const PATCHED = {
  kind: 'missingVeneer',
  method: 'veneerPatch',
  patch: { veneerId: 'sheet-1' },
} as const;

const colours = async () => (await browserStore.list('colour')).records;

/** A photo of the face, whose colours come from the mock above. */
const PHOTO = { id: 'photo', widthPx: 600, heightPx: 450 };

const photographed = (damage: Parameters<typeof boxWith>[0]) =>
  boxWith({ outline: IN_THE_MIDDLE, ...damage }, { face: { picture: PHOTO }, piece: { school: 'clear' } });

const pick = (label: string): Promise<void> =>
  act(async () => {
    const [field] = screen.UNSAFE_getAllByProps({ type: 'file', 'aria-label': label });
    const onChange: unknown = field?.props.onChange;
    const event = { currentTarget: { files: [new File(['x'], 'board.jpg')], value: '' } };
    if (typeof onChange === 'function') onChange(event);
  });

test('an empty shelf says what it is for; a starter shelf comes onto it and can be taken off again', async () => {
  await openPage(<ColourShelfScreen />, {}, 'Put your colours on the shelf');
  await press('Begin with a starter shelf');
  await waitFor(() => expect(screen.getByText('Honey stick')).toBeOnTheScreen());
  expect(await colours()).toHaveLength(24);
  await press('Undo');
  await waitFor(async () => expect(await colours()).toEqual([]));
  await press('Begin with a starter shelf');
  await waitFor(() => expect(screen.getByText('Clear lacquer')).toBeOnTheScreen());
});

test('a colour is typed, and is then no longer a general kind', async () => {
  const [first] = await colours();
  const id = first?.id ?? '';
  await openPage(<ColourScreen />, { id }, first?.body.name ?? '');
  expect(screen.getByText(/^A general kind, its colour from memory/)).toBeOnTheScreen();
  await type('Lightness L*, black 0, white 100', '44');
  await waitFor(async () => expect((await stored('colour', id))?.lab[0]).toBe(44));
  expect((await stored('colour', id))?.general).toBeUndefined();
  await type('Lightness L*, black 0, white 100', '140');
  expect(screen.getByText(/is not a number between 0.0 and 100.0/)).toBeOnTheScreen();
  await press('Read it with the colour reader');
  await waitFor(async () => expect((await stored('colour', id))?.lab).toEqual([50, 14, 30]));
  await press('Delete this colour');
  await waitFor(async () => expect(await stored('colour', id)).toBeUndefined());
  expect(route.went).toEqual(['/colours']);
});

test('a fill is mixed from the sticks that are owned, for its ground and its lines', async () => {
  const { damage } = await photographed({ kind: 'gouge', method: 'burnIn' });
  await openPage(<BlendScreen />, { id: damage }, 'Mix the fill');
  await waitFor(() => expect(screen.getAllByText(/^(Melt or stir|Take) /)).toHaveLength(2), {
    timeout: 15_000,
  });
  expect(screen.getAllByText(/ΔE00 off\. Seen at arm’s length/)).toHaveLength(2);
  expect(screen.getAllByText(/± \d\.\d/)).toHaveLength(2);
  const before = screen.getAllByText(/^(Melt or stir|Take) /)[0]?.props.children;
  await press('Another recipe for the ground');
  await waitFor(() =>
    expect(screen.getAllByText(/^(Melt or stir|Take) /)[0]?.props.children).not.toBe(before),
  );
});

test('new wood is coloured with the dyes and toners owned; a board is kept and counts from then on', async () => {
  await act(async () => {
    await photoOf({ id: 'sheet' });
    await createRecord(
      'veneer',
      {
        name: 'Sheet',
        species: 'walnut',
        thicknessMm: 0.7,
        alongMm: 300,
        acrossMm: 200,
        note: '',
        pictureId: 'sheet',
      },
      'sheet-1',
    );
  });
  const { damage } = await photographed(PATCHED);
  await openPage(<BlendScreen />, { id: damage }, 'In your own products');
  await waitFor(() => expect(screen.getByText(/^1\. .+ thin coat/)).toBeOnTheScreen(), { timeout: 20_000 });
  expect(screen.getByText(/^(Stop here|What is left|Likely)/)).toBeOnTheScreen();
  // Half-way, by a photo: what it looks like now is where the rest begins.
  await press('Tried something? Plan from there');
  await press('A coat is on');
  await pick('Photograph it as it is now');
  await waitFor(() => expect(screen.getByText('As it is now')).toBeOnTheScreen());
  expect(screen.getByText('A coat is on: by a photo.')).toBeOnTheScreen();
  await press('Take the last one back');
  await waitFor(() => expect(screen.queryByText('As it is now')).toBeNull());
  await press('I made a test board');
  await pick('Photograph the board and keep it');
  await waitFor(async () => expect((await browserStore.list('board')).records).toHaveLength(1), {
    timeout: 10_000,
  });
  const [board] = (await browserStore.list('board')).records;
  expect(board?.body).toMatchObject({ wood: 'Sheet', ground: mockBare.mean, measured: mockBare.mean });
  expect(board?.body.coats.length).toBeGreaterThan(0);
  // The recipe is one's own from the first swatch that is tapped; a board can be copied, the proposal followed again.
  const three = screen.getAllByRole('radio', { name: /^3 coats of / })[0];
  if (!three) throw new Error('no sweep is shown');
  await act(async () => void fireEvent.press(three));
  await waitFor(async () =>
    expect((await stored('damage', damage))?.coats?.some((c) => c.coats === 3)).toBe(true),
  );
  await press(`${board?.body.name ?? ''}, Sheet`);
  await waitFor(async () => expect((await stored('damage', damage))?.coats).toEqual(board?.body.coats));
  await press('Undo');
  await waitFor(async () =>
    expect((await stored('damage', damage))?.coats?.some((c) => c.coats === 3)).toBe(true),
  );
  await press('Follow the proposal again');
  await waitFor(async () => expect((await stored('damage', damage))?.coats).toBeUndefined());
});

test('outcomes are asked, plan the rest anew, and stay in the history; what vanished is not coloured', async () => {
  const { damage } = await photographed(PATCHED);
  await openPage(<BlendScreen />, { id: damage }, 'In your own products');
  await press('Tried something? Plan from there');
  await press('A coat is on');
  await press('Too green');
  await waitFor(() => expect(screen.getByText('A coat is on: too green.')).toBeOnTheScreen());
  const [first] = (await stored('damage', damage))?.tried ?? [];
  expect(first?.lab?.[1]).toBeLessThan(mockOld.mean[1] ?? 0);
  // Too green: what is wanted next is redder than what is there.
  await waitFor(() => expect(screen.getByText('As it is now')).toBeOnTheScreen());
  await press('Wiped with spirits');
  await press('It vanishes');
  await waitFor(() => expect(screen.getByText(/^The difference vanished under spirits/)).toBeOnTheScreen());
  expect((await stored('damage', damage))?.tried).toHaveLength(2);
  expect(screen.queryByText(/^1\. .+ thin coat/)).toBeNull();
  await press('Take the last one back');
  await waitFor(() => expect(screen.queryByText(/^The difference vanished under spirits/)).toBeNull());
  expect((await stored('damage', damage))?.tried).toHaveLength(1);
});

test('a product is thinned with its carrier, in parts and drops; what is done first changes where it begins', async () => {
  const { damage } = await photographed(PATCHED);
  await openPage(<BlendScreen />, { id: damage }, 'Your recipe for this place');
  const thin = (await screen.findAllByText(/^1 part with 3 of /))[0];
  if (!thin) throw new Error('nothing can be thinned');
  await act(async () => void fireEvent.press(thin));
  await waitFor(async () =>
    expect((await stored('damage', damage))?.coats?.some((c) => c.carrierParts === 3)).toBe(true),
  );
  expect(
    screen.getByText(/^For this place: 1 part with 3 parts of .+: .+(drops?|ml) with .+(drops|ml)\.$/),
  ).toBeOnTheScreen();
  await press('Bleach it twice');
  await waitFor(async () => expect((await stored('damage', damage))?.first).toBe('bleachTwice'));
  expect(screen.getByText(/^Lye, then strong peroxide/)).toBeOnTheScreen();
});

test('thinned coats are proposed where whole ones miss; taken they are the recipe, and Undo gives back what was counted', async () => {
  // Three quarters of a coat of black under blond shellac, on wood like the sheet.
  const lab = [39.7, 8.7, 21.8] as const;
  const aim = { from: 'board', label: 'A board', tones: { ground: lab, mean: lab, line: lab, coherence: 0, pixels: 1 } } as const; // prettier-ignore
  const { damage } = await photographed({ ...PATCHED, aim });
  await openPage(<BlendScreen />, { id: damage }, 'In your own products');
  await waitFor(() => expect(screen.getByText('Thinned it aims nearer')).toBeOnTheScreen(), { timeout: 20_000 }); // prettier-ignore
  expect(screen.getByText(/^Put on .*thinned 1 to [13]/)).toBeOnTheScreen();
  expect(screen.getByText(/It is the better bet of the two|It aims nearer but is less sure/)).toBeOnTheScreen(); // prettier-ignore
  await press('Take the thinned coats');
  await waitFor(async () => expect(JSON.stringify((await stored('damage', damage))?.coats)).toMatch(/carrierParts/)); // prettier-ignore
  await waitFor(() => expect(screen.getByText('This is your recipe for this place, below.')).toBeOnTheScreen()); // prettier-ignore
  await press('Undo');
  await waitFor(async () => expect((await stored('damage', damage))?.coats).toBeUndefined());
  await waitFor(() => expect(screen.getByLabelText('Take the thinned coats')).toBeOnTheScreen());
});

test('the colour is taken from a photo, a board or the reader, and from the wood round it again', async () => {
  const { damage } = await photographed({ kind: 'gouge', method: 'burnIn' });
  await openPage(<BlendScreen />, { id: damage }, 'Mix the fill');
  await press('The colour it shall have: as the sound wood round it');
  await press('A photo');
  await pick('Take the colour from a photo');
  await waitFor(async () =>
    expect((await stored('damage', damage))?.aim?.tones.mean).toEqual(mockFound.mean),
  );
  await press('Undo');
  await waitFor(async () => expect((await stored('damage', damage))?.aim).toBeUndefined());
  await press('The colour reader');
  await press('Read the colour');
  await waitFor(async () =>
    expect((await stored('damage', damage))?.aim?.label).toBe('the colour reader (simulated)'),
  );
  expect((await stored('damage', damage))?.aim?.tones.ground).toEqual([50, 14, 30]);
  await press('The sound wood round it');
  await waitFor(async () => expect((await stored('damage', damage))?.aim).toBeUndefined());
});

test('a black mark: what oxalic acid leaves, with how far that may be off', async () => {
  const { damage } = await photographed({ kind: 'blackMark', method: 'oxalicAcid' });
  await openPage(<BlendScreen />, { id: damage }, 'After the bleach');
  expect(screen.getByText(/^± 5 ΔE00: try it where it does not show/)).toBeOnTheScreen();
});

test('places are picked on a face and read together', async () => {
  const { damage, face } = await photographed({ kind: 'gouge', method: 'burnIn' });
  await openPage(<BlendScreen />, { id: damage }, 'Mix the fill');
  await press('The colour it shall have: as the sound wood round it');
  await press('Places I pick');
  const [board] = screen.UNSAFE_getAllByProps({ label: 'Top: tap sound wood' });
  const onTap: unknown = board?.props.onTap;
  if (typeof onTap !== 'function') throw new Error('the face takes no taps');
  await act(async () => void onTap([100, 80]));
  await waitFor(async () => expect((await stored('damage', damage))?.aim).toMatchObject({ from: 'points', faceId: face, label: 'One place on Top', tones: mockFound })); // prettier-ignore
  await press('Take the last place away');
  await waitFor(async () => expect((await stored('damage', damage))?.aim).toBeUndefined());
});

test('a fill is mixed by hand: parts that are dragged are kept with the damage', async () => {
  const { damage } = await photographed({ kind: 'gouge', method: 'burnIn' });
  await openPage(<BlendScreen />, { id: damage }, 'Mix the fill');
  await waitFor(() => expect(screen.getAllByText('Mix it by hand').length).toBe(2), { timeout: 15_000 });
  await act(async () => void fireEvent.press(screen.getAllByText('Mix it by hand')[0] ?? screen.root));
  const [slider] = screen.UNSAFE_getAllByProps({ role: 'slider' });
  const key: unknown = slider?.props.onKeyDown;
  if (typeof key !== 'function') throw new Error('no slider');
  const before = slider?.props['aria-valuenow'];
  await act(async () => void key({ key: 'ArrowRight', preventDefault: () => undefined }));
  await waitFor(async () =>
    expect((await stored('damage', damage))?.mixes?.ground?.[0]?.parts).toBe(Math.min(6, before + 1)),
  );
  await press('Follow the proposal again');
  await waitFor(async () => expect((await stored('damage', damage))?.mixes).toEqual({}));
});

test('parts are brought to the darker of them, one from a photo; a wish that cannot be met is told', async () => {
  const { piece } = await photographed({});
  await openPage(<EvenScreen />, { id: piece }, 'Two parts at least');
  await type('Name of the part', 'Rail');
  await pick('Add a part from a photo');
  await waitFor(() => expect(screen.getByText('In this order')).toBeOnTheScreen(), { timeout: 20_000 });
  expect(screen.getByText('Rail stays as it is; the others are brought to it.')).toBeOnTheScreen();
  expect(screen.getByText(/^1\. .+ thin coats? on Top\.$|^1\. .+ on Top\.$/)).toBeOnTheScreen();
  expect(screen.getByText(/^(Lay every product|Together they come)/)).toBeOnTheScreen();
  // What is decided on goes to the bench, and comes back out.
  await press('Put these coats in the plan');
  await waitFor(async () =>
    expect((await stored('piece', piece))?.ownSteps?.[0]?.title).toMatch(/^Even out: /),
  );
  expect((await stored('piece', piece))?.ownSteps?.[0]?.detail).toMatch(/on Top/);
  await press('Undo');
  await waitFor(async () => expect((await stored('piece', piece))?.ownSteps ?? []).toEqual([]));
  // What was added is there the next time, and can be left out.
  expect((await stored('piece', piece))?.evenParts).toEqual([{ name: 'Rail', lab: mockFound.mean }]);
  await press('Leave out Rail');
  await waitFor(async () => expect((await stored('piece', piece))?.evenParts).toEqual([]));
  await press('Undo');
  await waitFor(async () => expect((await stored('piece', piece))?.evenParts).toHaveLength(1));
});

test('boards are found by wood or product, and one can be deleted', async () => {
  await openPage(<ColourShelfScreen />, {}, 'Test boards');
  await act(async () => void fireEvent.changeText(screen.getByLabelText('Find a board'), 'elm'));
  expect(screen.getByText('No board says that.')).toBeOnTheScreen();
  await act(async () => void fireEvent.changeText(screen.getByLabelText('Find a board'), 'sheet'));
  await press((await browserStore.list('board')).records.map((b) => `${b.body.name}, on Sheet`)[0] ?? '');
  expect(screen.getByText(/^Expected and measured differ by/)).toBeOnTheScreen();
  await press((await browserStore.list('board')).records.map((b) => `Delete ${b.body.name}`)[0] ?? '');
  await waitFor(async () => expect((await browserStore.list('board')).records).toEqual([]));
});

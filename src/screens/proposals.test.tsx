import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { useShop } from '@/records';
import { boxWith, IN_THE_MIDDLE, onTop, openPage, press, stored, type, pressAgain } from '@/testing/room';
import { GrainScreen } from './survey/GrainScreen';
import { MarkScreen } from './survey/MarkScreen';
import { ScaleScreen } from './survey/ScaleScreen';
import { PrinterField } from './shop/PrinterField';

const mockCorners = [[0.11, 0.12], [0.91, 0.1], [0.93, 0.88], [0.1, 0.9]]; // prettier-ignore
const mockOutline = [[250, 195], [350, 195], [350, 255], [250, 255], [240, 225]]; // prettier-ignore
let mockFound: { corners: number[][]; worth: number } = { corners: mockCorners, worth: 0.6 };
let mockCrack = true;
let mockRegion: number[][] = mockOutline;

jest.mock('expo-router', () => jest.requireActual('@/testing/room').routerMock);
jest.mock('@/worker', () =>
  jest.requireActual('@/testing/room').workerWith({
    rectify: () => new Promise(() => undefined),
    known: async () => mockFound,
    quality: async () => ({ blur: 0.5, burnt: 0.2, black: 0 }),
    grain: async () => ({ degrees: 90, coherence: 0.7 }),
    region: async () => mockRegion,
    centre: async () => ({ at: [150, 90], agreement: 0.99 }),
    crack: async ({ line }: { line: number[][] }) => ({
      line: mockCrack ? [...line, [60, 40]] : line,
      seen: mockCrack,
    }),
  }),
);
jest.setTimeout(30_000);

const PHOTO = { id: 'photo', widthPx: 600, heightPx: 450 };
const photographed = (damage: Parameters<typeof boxWith>[0] = {}) =>
  boxWith(damage, { face: { picture: PHOTO } });
const cornersOf = async (id: string): Promise<unknown> => {
  const scale = (await stored('face', id))?.scale;
  return scale?.kind === 'rectangle' ? scale.corners : undefined;
};

test('corners are proposed and undone; a blurred, burnt photo is told before anything is measured', async () => {
  const { face } = await photographed();
  const before = await cornersOf(face);
  await openPage(<ScaleScreen />, { id: face }, /^The photo is blurred/);
  expect(screen.getByText(/^20 % of the photo is burnt out white/)).toBeOnTheScreen();
  await press('Find it in the photo');
  await waitFor(async () => expect(await cornersOf(face)).toEqual(mockCorners));
  expect(screen.getByText(/^The handles lie on the edges that were found/)).toBeOnTheScreen();
  await press('Undo');
  await waitFor(async () => expect(await cornersOf(face)).toEqual(before));
});

test('where nothing is found no handle moves', async () => {
  mockFound = { corners: [], worth: 0 };
  const { face } = await photographed();
  const before = await cornersOf(face);
  await openPage(<ScaleScreen />, { id: face }, 'Find it in the photo');
  await press('Find it in the photo');
  await waitFor(() => expect(screen.getByText(/^No face with four clear edges/)).toBeOnTheScreen());
  expect(await cornersOf(face)).toEqual(before);
  expect(screen.queryByText('Undo')).toBeNull();
});

test('the grain is read, and undone', async () => {
  const { face } = await photographed();
  const before = (await stored('face', face))?.grain;
  await openPage(<GrainScreen />, { id: face }, 'Read it from the photo');
  expect(screen.getByText('0°')).toBeOnTheScreen();
  await press('Read it from the photo');
  await waitFor(() => expect(screen.getByText(/^The grain runs at 90° from level/)).toBeOnTheScreen());
  await waitFor(() => expect(screen.getByText('90°')).toBeOnTheScreen());
  await press('Undo');
  await waitFor(async () => expect((await stored('face', face))?.grain).toEqual(before));
});

describe('an outline from one tap', () => {
  const tapFace = async (): Promise<void> => {
    await press('Propose the outline from one tap');
    expect(screen.getByText(/^Now tap once inside the damage/)).toBeOnTheScreen();
    const [board] = screen.UNSAFE_getAllByProps({ phoneHeight: 380 });
    const onTap: unknown = board?.props.onTap;
    await act(async () => {
      if (typeof onTap === 'function') onTap([300, 225]);
    });
  };

  test('is marked, and said', async () => {
    const { damage } = await photographed({ kind: 'missingVeneer', outline: IN_THE_MIDDLE });
    await openPage(<MarkScreen />, { id: damage }, 'Propose the outline from one tap');
    await tapFace();
    await waitFor(() => expect(screen.getByText(/^The outline is proposed/)).toBeOnTheScreen());
    const outline = (await stored('damage', damage))?.outline ?? [];
    expect(outline).toHaveLength(5);
    onTop([[250, 195]]).forEach(([x, y]) => {
      expect(outline[0]?.[0]).toBeCloseTo(x, 6);
      expect(outline[0]?.[1]).toBeCloseTo(y, 6);
    });
  });

  test('that finds nothing marks nothing', async () => {
    mockRegion = [];
    const { damage } = await photographed({ kind: 'missingVeneer', outline: IN_THE_MIDDLE });
    await openPage(<MarkScreen />, { id: damage }, 'Propose the outline from one tap');
    await tapFace();
    await waitFor(() => expect(screen.getByText(/^Nothing stands out there/)).toBeOnTheScreen());
    expect((await stored('damage', damage))?.outline).toEqual(IN_THE_MIDDLE);
  });
});

test('what the bar measures makes the next print true; without a correction again by a button', async () => {
  const heard: number[] = [];
  function Field() {
    const { shop } = useShop();
    return <PrinterField scale={shop.printerScale ?? 1.01} onChange={(scale) => heard.push(scale)} />;
  }
  await openPage(<Field />, {}, /^Your printer prints 1.0 % too large/);
  await type('The bar on your last print measures, mm', '99.5');
  expect(heard[0]).toBeCloseTo(1.01 * 0.995, 9);
  await act(async () => void fireEvent.press(screen.getByText('Print without a correction')));
  expect(heard[1]).toBe(1);
});

test('the stroke of a crack is laid on it, undone, and left where none is seen', async () => {
  const points = onTop([[100, 100], [300, 110]]); // prettier-ignore
  const { damage } = await photographed({ kind: 'longCrack', mark: { tool: 'line', points, widthMm: 1 } });
  const now = async (): Promise<number> => {
    const mark = (await stored('damage', damage))?.mark;
    return mark?.tool === 'line' ? mark.points.length : 0;
  };
  await openPage(<MarkScreen />, { id: damage }, 'Lay it on the crack');
  await press('Lay it on the crack');
  await waitFor(async () => expect(await now()).toBe(3));
  await press('Undo');
  await waitFor(async () => expect(await now()).toBe(2));
  mockCrack = false;
  await pressAgain('Lay it on the crack');
  await waitFor(() => expect(screen.getByText(/^No dark line stands out/)).toBeOnTheScreen());
  expect(await now()).toBe(2);
});

test('the middle of a sunburst is read, and undone', async () => {
  const { face } = await photographed();
  await openPage(<GrainScreen />, { id: face }, 'Read it from the photo');
  await press('Sunburst, all to one point');
  await waitFor(() => expect(screen.getByText('Read its middle from the photo')).toBeOnTheScreen());
  const now = async (): Promise<unknown> => {
    const plan = (await stored('face', face))?.grainPlan;
    return plan?.kind === 'radial' ? plan.at.map((v) => Number(v.toFixed(3))) : undefined;
  };
  const before = await now();
  await press('Read its middle from the photo');
  await waitFor(async () => expect(await now()).toEqual([0.25, 0.2]));
  await press('Undo');
  await waitFor(async () => expect(await now()).toEqual(before));
});

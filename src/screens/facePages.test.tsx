import type { ReactElement } from 'react';
import { screen, waitFor } from '@testing-library/react-native';
import { browserStore, type Damage } from '@/records';
import {
  boxWith,
  IN_THE_MIDDLE,
  numberIn,
  onTop,
  openPage,
  press,
  route,
  said,
  stored,
  type,
} from '@/testing/room';
import { FaceScreen } from './survey/FaceScreen';
import { GrainScreen } from './survey/GrainScreen';
import { MarkScreen } from './survey/MarkScreen';
import { ScaleScreen } from './survey/ScaleScreen';
import { TapScreen } from './survey/TapScreen';

jest.mock('expo-router', () => jest.requireActual('@/testing/room').routerMock);
jest.mock('@/worker', () => jest.requireActual('@/testing/room').workerMock);
jest.setTimeout(30_000);

const open = (page: ReactElement, id: string, until: string | RegExp): Promise<void> =>
  openPage(page, { id }, until);
const damagesOf = async (face: string) =>
  (await browserStore.list('damage')).records.filter((d) => d.body.faceId === face);

describe('a face', () => {
  test('the next damage is marked on it, numbered on', async () => {
    const { face } = await boxWith({ outline: IN_THE_MIDDLE });
    await open(<FaceScreen />, face, 'Mark the next damage, or decide');
    await press('Mark it on the picture');
    await waitFor(() => expect(route.went).toHaveLength(1));
    const made = (await damagesOf(face)).find((d) => route.went[0] === `/damage/${d.id}`);
    expect(made?.body.number).toBe(2);
  });

  test('a veneer that cannot be is refused; solid wood has none', async () => {
    const { face } = await boxWith({});
    await open(<FaceScreen />, face, 'What it is made of');
    await type('Veneer thickness', '40');
    expect(screen.getByText(/A veneer of 40 mm cannot be/)).toBeOnTheScreen();
    await press('Solid wood, no veneer');
    await waitFor(async () => expect((await stored('face', face))?.veneerMm).toBe(0));
    expect(screen.queryByLabelText('Veneer thickness')).toBeNull();
  });

  test('without a scale it asks for one; without grain for that', async () => {
    const { face } = await boxWith({}, { bare: true });
    const body = await stored('face', face);
    expect(body?.scale).toBeUndefined();
    await open(<FaceScreen />, face, 'Size');
    await type('Width', '500');
    await waitFor(async () => expect((await stored('face', face))?.scale).toMatchObject({ widthMm: 500 }));
    await waitFor(() => expect(screen.getByText('Show the direction of the grain')).toBeOnTheScreen());
  });

  test('it is deleted with its damages and had back with them', async () => {
    const { face, damage, piece } = await boxWith({});
    await open(<FaceScreen />, face, 'What it is made of');
    await press('Another photo, or delete this face');
    await press('Delete this face');
    await waitFor(async () => expect(await stored('face', face)).toBeUndefined());
    expect(await stored('damage', damage)).toBeUndefined();
    expect(route.went).toEqual([`/piece/${piece}`]);
    await press('Undo');
    await waitFor(async () => expect(await stored('damage', damage)).toBeDefined());
  });
});

describe('the scale', () => {
  test('half the size makes every measure half', async () => {
    const { face, damage } = await boxWith({ outline: IN_THE_MIDDLE });
    await open(<ScaleScreen />, face, 'Scale at the centre');
    await type('Width, along the top', '300');
    await type('Height, down the side', '225');
    await waitFor(async () => expect((await stored('face', face))?.scale).toMatchObject({ widthMm: 300, heightMm: 225 })); // prettier-ignore
    screen.unmount();
    await open(<MarkScreen />, damage, 'Area');
    // 100 × 60 mm on the whole face became 50 × 30 mm.
    expect(screen.getByText('15 cm²')).toBeOnTheScreen();
  });

  test('a known length is told that it cannot show a tilt', async () => {
    const { face } = await boxWith({});
    await open(<ScaleScreen />, face, 'Scale at the centre');
    await press('A known length');
    await waitFor(() => expect(screen.getByText(/A single length cannot show a tilt/)).toBeOnTheScreen());
    await type('Known length', '250');
    await waitFor(async () => expect((await stored('face', face))?.scale).toMatchObject({ kind: 'length', lengthMm: 250 })); // prettier-ignore
  });

  test('a length that is no length is refused, and the one before it stays', async () => {
    const { face } = await boxWith({});
    await open(<ScaleScreen />, face, 'Scale at the centre');
    await type('Width, along the top', 'wide');
    expect(screen.getByText(/The value before it, 600 mm, still counts/)).toBeOnTheScreen();
    expect((await stored('face', face))?.scale).toMatchObject({ widthMm: 600 });
    await type('Width, along the top', '3 mm 1/8 in');
    expect(screen.getByText(/The value before it, 600 mm, still counts/)).toBeOnTheScreen();
    expect((await stored('face', face))?.scale).toMatchObject({ widthMm: 600 });
  });
});

describe('the grain', () => {
  test('its angle can be typed, and the way on leads to the damage', async () => {
    const { face } = await boxWith({});
    await open(<GrainScreen />, face, 'How does the grain run?');
    expect(screen.getByText('0°')).toBeOnTheScreen();
    await type('Or type the angle, °', '30');
    await waitFor(() => expect(screen.getByText('30°')).toBeOnTheScreen());
    const [a, b] = (await stored('face', face))?.grain ?? [];
    const angle = (Math.atan2(((b?.[1] ?? 0) - (a?.[1] ?? 0)) * 450, ((b?.[0] ?? 0) - (a?.[0] ?? 0)) * 600) * 180) / Math.PI; // prettier-ignore
    expect(angle).toBeCloseTo(30, 3);
  });
});

describe('tapping', () => {
  test('taps are kept where they were made, the last can be taken back, and what is loose becomes the outline', async () => {
    const taps: NonNullable<Damage['taps']> = [];
    for (let x = 60; x < 600; x += 60)
      for (let y = 50; y < 450; y += 50)
        taps.push({ at: onTop([[x, y]])[0] ?? [0, 0], hollow: x > 200 && x < 400 && y > 120 && y < 330 });
    const { damage } = await boxWith({ kind: 'blister', outline: [], taps });
    await open(<TapScreen />, damage, 'Taps');
    await waitFor(() => expect(said('Loose')).toMatch(/\d/), { timeout: 20_000 });
    await press('It sounds solid');
    await waitFor(async () => expect((await stored('damage', damage))?.taps).toHaveLength(taps.length + 1));
    await press('Take back the last tap');
    await waitFor(async () => expect((await stored('damage', damage))?.taps).toHaveLength(taps.length));
    await press('Take this as the outline');
    await waitFor(async () => expect((await stored('damage', damage))?.outline.length).toBeGreaterThan(5));
    const outline = (await stored('damage', damage))?.outline ?? [];
    const xs = outline.map((p) => p[0] * 600);
    // The hollow taps lie from 240 to 360 mm; its rim is somewhere between them and the solid ones beside.
    expect(Math.min(...xs)).toBeGreaterThan(180);
    expect(Math.max(...xs)).toBeLessThan(420);
  });
});

describe('copies', () => {
  test('a copy takes the shape and the answers along, not what was decided, placed or begun', async () => {
    const { damage, face } = await boxWith({
      outline: IN_THE_MIDDLE,
      method: 'floodAndPress',
      answers: { glueLine: 'powdery' },
      glue: {
        adhesive: 'pva',
        placed: { cauls: [], clamps: [{ at: [300, 225], clamp: 'cClamp', forceN: 900 }] },
      },
      figures: { 'slit.aside': 12 },
      glueUp: { stage: 1, startedAt: 1 },
    });
    await open(<MarkScreen />, damage, 'Area');
    await press('Move, copy, mirror');
    await press('Copy it beside');
    await waitFor(() => expect(route.went).toHaveLength(1));
    const copy = (await damagesOf(face)).find((d) => route.went[0] === `/damage/${d.id}`);
    expect(copy?.body).toMatchObject({
      number: 2,
      answers: { glueLine: 'powdery' },
      glue: { adhesive: 'pva' },
    });
    for (const key of ['method', 'figures', 'glueUp'] as const) expect(copy?.body[key]).toBeUndefined();
    expect(copy?.body.glue.placed).toBeUndefined();
    const [[x = 0, y = 0] = []] = copy?.body.outline ?? [];
    expect([x * 600, y * 450].map(Math.round)).toEqual([270, 215]);
  });

  test('a damage is moved as a whole by numbers, and its points one by one', async () => {
    const { damage } = await boxWith({ outline: IN_THE_MIDDLE });
    await open(<MarkScreen />, damage, 'Area');
    await press('Move, copy, mirror');
    await type('Move to the right by, mm', '50');
    await press('Move it');
    await waitFor(async () => expect(Math.round(600 * ((await stored('damage', damage))?.outline[0]?.[0] ?? 0))).toBe(300)); // prettier-ignore
    await press('Points as numbers');
    await type('Point 1, right', '280');
    await waitFor(async () => expect(Math.round(600 * ((await stored('damage', damage))?.outline[0]?.[0] ?? 0))).toBe(280)); // prettier-ignore
    await press('Remove point 1');
    await waitFor(async () => expect((await stored('damage', damage))?.outline).toHaveLength(3));
  });

  test('a circle has a diameter, and an impossible one is refused', async () => {
    const { damage } = await boxWith({ kind: 'hole', outline: [], mark: { tool: 'circle', at: [0.5, 0.5], diameterMm: 14 } }); // prettier-ignore
    await open(<MarkScreen />, damage, 'Diameter');
    await type('Diameter', '20');
    await waitFor(async () =>
      expect((await stored('damage', damage))?.mark).toMatchObject({ diameterMm: 20 }),
    );
    await type('Diameter', '0');
    expect(screen.getByText(/The diameter must lie between/)).toBeOnTheScreen();
    expect(numberIn(String(screen.getByLabelText('Diameter').props.value))).toBe(0);
    expect((await stored('damage', damage))?.mark).toMatchObject({ diameterMm: 20 });
  });
});

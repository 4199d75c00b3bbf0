import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { browserStore, changeRecord, changeShop } from '@/records';
import {
  boxWith,
  IN_THE_MIDDLE,
  LIFTED,
  numberIn,
  press,
  openPage,
  route,
  said,
  stored,
  type,
  workerJobs,
} from '@/testing/room';
import { BenchScreen } from './bench/BenchScreen';
import { DecideScreen } from './decide/DecideScreen';
import { GlueUpScreen } from './glueup/GlueUpScreen';
import { MovementScreen } from './movement/MovementScreen';
import { PiecesScreen } from './pieces/PiecesScreen';
import { TrailScreen } from './pieces/TrailScreen';
import { ShopScreen } from './shop/ShopScreen';
import { StockScreen } from './stock/StockScreen';
import { VeneerScreen } from './stock/VeneerScreen';

jest.mock('expo-router', () => jest.requireActual('@/testing/room').routerMock);
jest.mock('@/worker', () => jest.requireActual('@/testing/room').workerMock);
// What is loaded later in the browser is simply there.
jest.mock('./fromWorkshop', () => ({ loadWorkshop: async () => jest.requireActual('./workshop') }));
// No finger goes down on a document here.
jest.mock('./pieces/useEarlyWorkshop', () => ({ useEarlyWorkshop: () => undefined }));
jest.setTimeout(30_000);

describe('deciding', () => {
  test('the recommended repair is chosen and leads to its page', async () => {
    const { damage } = await boxWith({
      answers: { woodAllPresent: true, glueLine: 'powdery', oldGlue: 'hide' },
    });
    await openPage(<DecideScreen />, { id: damage }, 'Recommended');
    await press('Choose the recommended: Flood and press');
    await waitFor(() => expect(screen.getByText('Chosen')).toBeOnTheScreen());
    expect((await stored('damage', damage))?.method).toBe('floodAndPress');
    await press('Work out: wash the powdery old glue out');
    await press('Work out: flood and press');
    expect(route.went).toEqual([`/damage/${damage}/sheet?link=rinseGlueLine`, `/damage/${damage}/press`]);
  });

  test('another choice is asked for its reason, and can be taken back', async () => {
    const { damage } = await boxWith({ method: 'tack', answers: { woodAllPresent: true } });
    await openPage(<DecideScreen />, { id: damage }, 'Your choice, against the advice');
    expect(screen.getByText(/^Against it: The loose area is too large/)).toBeOnTheScreen();
    await type('Why, against the advice?', 'It is one flake.');
    await waitFor(async () =>
      expect((await stored('damage', damage))?.methodReason).toBe('It is one flake.'),
    );
    await press('Go back to flood and press');
    await waitFor(async () => expect((await stored('damage', damage))?.method).toBe('floodAndPress'));
  });

  test('a tinted epoxy fill leads to the page that works out its volume', async () => {
    const { damage } = await boxWith({ kind: 'gouge', method: 'epoxyFill', outline: IN_THE_MIDDLE });
    await openPage(<DecideScreen />, { id: damage }, 'Epoxy fill, tinted');
    await press('Work it out');
    expect(route.went).toEqual([`/damage/${damage}/joint`]);
  });
});

describe('the glue-up', () => {
  afterEach(() => jest.restoreAllMocks());

  test('the clock is taken from moments, not from ticks; the log gets what it took', async () => {
    const { damage, piece } = await boxWith({ method: 'floodAndPress' });
    const start = Date.parse('2026-03-02T10:00:00');
    const clock = jest.spyOn(Date, 'now').mockReturnValue(start);
    await openPage(<GlueUpScreen />, { id: damage }, 'Within reach before the glue is out');
    expect(screen.getByText(/caul 45 mm × 38 mm, 2\d\d mm long|cauls 45 mm × 38 mm/)).toBeOnTheScreen();
    await press('Start: the first glue is on');
    await waitFor(() => expect(screen.getByText('left to get the clamps on')).toBeOnTheScreen());
    expect(screen.getByText('10:00')).toBeOnTheScreen();
    // The phone sleeps for four minutes: ten of liquid hide glue’s open time become six.
    screen.unmount();
    clock.mockReturnValue(start + 4 * 60_000);
    await openPage(<GlueUpScreen />, { id: damage }, 'left to get the clamps on');
    expect(screen.getByText('6:00')).toBeOnTheScreen();
    await press('All clamps are on');
    await waitFor(() => expect(screen.getByText('until the clamps come off')).toBeOnTheScreen());
    const { records } = await browserStore.list('log');
    const [entry] = records.filter((r) => r.body.pieceId === piece);
    expect(entry?.body.actualMin).toBe(4);
    expect(entry?.body.title).toBe('Glued and clamped: Lifted edge, no. 1');
    await press('Back to the bench');
    expect(route.went).toEqual([`/bench?piece=${piece}`]);
  });

  test('too cold for the glue: it cannot begin, and says why', async () => {
    const { damage } = await boxWith({ method: 'floodAndPress' });
    await act(async () => void (await changeShop(undefined, { temperatureC: 4 })));
    await openPage(<GlueUpScreen />, { id: damage }, 'The glue-up cannot begin');
    expect(screen.getByText(/does not set soundly below 10 °C, and the shop has 4 °C/)).toBeOnTheScreen();
    const [shop] = (await browserStore.list('shop')).records;
    await act(async () => void (await changeShop(shop, { temperatureC: 20 })));
  });
});

describe('movement over the year', () => {
  const crack = {
    kind: 'longCrack' as const,
    outline: [],
    mark: { tool: 'line' as const, points: [[0.1, 0.5], [0.7, 0.5]] as [number, number][], widthMm: 1.5 }, // prettier-ignore
  };

  test('the board’s width makes the figures; a wider one moves more', async () => {
    const { damage } = await boxWith(crack);
    await openPage(<MovementScreen />, { id: damage }, 'Say how wide the board is');
    await type('Width across the grain', '140');
    await waitFor(() => expect(said('It moves by')).toMatch(/mm/));
    const narrow = numberIn(said('It moves by'));
    await type('Width across the grain', '280');
    await waitFor(() => expect(numberIn(said('It moves by'))).toBeGreaterThan(1.8 * narrow));
    expect((await stored('damage', damage))?.board).toEqual({ acrossMm: 280, cut: 'flat' });
    await type('Width across the grain', '9000');
    expect(screen.getByText(/A board is between 1 mm and 3000 mm wide/)).toBeOnTheScreen();
  });

  test('what is not a crack has none, and the way is shown', async () => {
    const { damage } = await boxWith({ kind: 'liftedEdge', outline: LIFTED });
    await openPage(<MovementScreen />, { id: damage }, 'No crack to reckon with yet');
    await press('Go to the damage');
    expect(route.went).toEqual([`/damage/${damage}`]);
  });
});

describe('the bench', () => {
  test('a step is ticked off with what it took, and opened again', async () => {
    const { piece } = await boxWith({ method: 'floodAndPress', answers: { woodAllPresent: true } });
    await openPage(<BenchScreen />, { piece }, /^Next,/);
    expect(said('Finished')).toMatch(/\d\d:\d\d|[A-Z][a-z]{2} \d/);
    await press('Tick it off');
    await type('It took, min', '20');
    await type('Note', 'Took off two hinges.');
    const done = screen.getByLabelText(/^Done: /);
    await press(String(done.props.accessibilityLabel ?? done.props['aria-label']));
    const mine = async () => (await browserStore.list('log')).records.filter((r) => r.body.pieceId === piece);
    await waitFor(async () => expect(await mine()).toHaveLength(1));
    expect((await mine())[0]?.body).toMatchObject({ actualMin: 20, note: 'Took off two hinges.' });
    await waitFor(() => expect(screen.getByText(/^1 of \d+$/)).toBeOnTheScreen());
    await press('Done (1)');
    await press('Not done: Photograph, clean, take off hardware');
    await waitFor(async () => expect(await mine()).toHaveLength(0));
  });

  test('a better plan that comes while a step is read or written up takes nothing away', async () => {
    const { piece } = await boxWith({ method: 'floodAndPress', answers: { woodAllPresent: true } });
    const { bench } = workerJobs;
    if (!bench) throw new Error('There is no bench.');
    let better: () => void = () => undefined;
    // The better plan begins ten days later: every step stands on another day.
    workerJobs.bench = async ({ at, tries }, context) => {
      if (tries !== undefined) return bench({ at, tries }, context);
      await new Promise<void>((resolve) => (better = resolve));
      return bench({ at: '2027-12-13T08:00:00', tries: 0 }, context);
    };
    try {
      await openPage(<BenchScreen />, { piece }, /^Next,/);
      const days = screen.getAllByRole('heading').map((h) => h.props.children);
      const step = screen.getAllByLabelText(/^(\d\d:\d\d|Morning|Afternoon|Evening)\s+\w/)[1];
      if (!step) throw new Error('There is no step to open.');
      await act(async () => void fireEvent.press(step));
      const tick = screen.getByLabelText(/^Tick off: /);
      await act(async () => void fireEvent.press(tick));
      await type('It took, min', '77');
      await act(async () => better());
      await waitFor(() => expect(screen.getByDisplayValue('77')).toBeOnTheScreen());
      // What is being written up holds the days still; closed, the better plan stands there, and the step is still open.
      await press('Not now');
      await waitFor(() =>
        expect(screen.getAllByRole('heading').map((h) => h.props.children)).not.toEqual(days),
      );
      expect(screen.getByLabelText(/^Tick off: /)).toBeOnTheScreen();
    } finally {
      workerJobs.bench = bench;
    }
  });
});

describe('pieces', () => {
  test('a piece is added; the list says what is next for each', async () => {
    await boxWith({ answers: {} });
    await openPage(<PiecesScreen />, {}, /Writing box/);
    expect(screen.getAllByText(/next: /).length).toBeGreaterThan(0);
    const before = (await browserStore.list('piece')).records.length;
    await press('Add a piece');
    await waitFor(async () => expect((await browserStore.list('piece')).records).toHaveLength(before + 1), {
      timeout: 20_000,
    });
    await waitFor(() => expect(route.went[0]).toBeDefined());
    expect(route.went[0]).toMatch(/^\/piece\/[\w-]+\/about$/);
  });

  test('the trail leads on: first it is decided, then it is glued', async () => {
    const { piece, damage } = await boxWith({});
    await openPage(<TrailScreen />, { id: piece }, 'Condition report');
    expect(screen.getByText('Lifted edge, no. 1')).toBeOnTheScreen();
    const undecided = screen.getByText('Decide the repair', { exact: false });
    expect(undecided).toBeOnTheScreen();
    const record = (await browserStore.list('damage')).records.find((d) => d.id === damage);
    if (!record) throw new Error('not there');
    await act(async () => void (await changeRecord(record, { method: 'floodAndPress' })));
    await waitFor(() => expect(screen.queryByText('Decide the repair', { exact: false })).toBeNull());
  });

  test('a piece that is not there is told so', async () => {
    await openPage(<TrailScreen />, { id: 'nowhere' }, /This piece/);
  });
});

describe('the stock', () => {
  test('a veneer is added without a photo, named and measured; what cannot be is refused', async () => {
    await openPage(<StockScreen />, {}, 'On the shelf');
    await press('Add a veneer without a photo');
    await waitFor(() => expect(route.went).toHaveLength(1));
    const id = (route.went[0] ?? '').replace('/stock/', '');
    screen.unmount();
    await openPage(<VeneerScreen />, { id }, 'Veneer in stock');
    await type('Name', 'Old burr');
    await waitFor(async () => expect((await stored('veneer', id))?.name).toBe('Old burr'));
    await type('Thickness', '1.4');
    await waitFor(async () => expect((await stored('veneer', id))?.thicknessMm).toBe(1.4));
    await type('Thickness', '12');
    expect(screen.getByText(/A veneer of 12 mm cannot be/)).toBeOnTheScreen();
    expect((await stored('veneer', id))?.thicknessMm).toBe(1.4);
  });
});

describe('the shop', () => {
  test('inches, hours and an own glue are kept', async () => {
    await openPage(<ShopScreen />, {}, 'Units and looks');
    await press('Inches, fractions');
    await waitFor(async () => expect((await stored('shop', 'shop'))?.lengthUnit).toBe('in'));
    await press('Millimetres');
    await press('Glues, and your own product');
    await press('PVA wood glue');
    expect(screen.getByText('In a colder or warmer shop')).toBeOnTheScreen();
    expect(screen.getByText('Too cold: it does not set soundly below 10 °C.')).toBeOnTheScreen();
    await press('What the label of your pva wood glue says');
    await type('Clamped at 20 °C, min', '40');
    await waitFor(async () => expect((await stored('shop', 'shop'))?.glues?.pva?.clampMin).toBe(40));
    expect(screen.getByText(/clamped 40 min\.$/)).toBeOnTheScreen();
    await press('Back to the common kind');
    await waitFor(async () => expect((await stored('shop', 'shop'))?.glues?.pva).toEqual({}));
  });

  test('a setting is changed by itself; what was set before stays', async () => {
    const [shop] = (await browserStore.list('shop')).records;
    await act(async () => void (await changeShop(shop, { hands: 2 })));
    await openPage(<ShopScreen />, {}, 'Hours and hands');
    await type('People at the bench', '3');
    await waitFor(async () => expect((await stored('shop', 'shop'))?.hands).toBe(3));
    expect((await stored('shop', 'shop'))?.lengthUnit).toBe('mm');
  });
});

import { act, screen, waitFor } from '@testing-library/react-native';
import {
  browserStore,
  changeShop,
  createRecord,
  DEFAULT_SHOP,
  type Damage,
  type Kind,
  type Shop,
  type Stored,
  type Veneer,
} from '@/records';
import { boxWith, IN_THE_MIDDLE, openPage, press, route, said, stored, photoOf } from '@/testing/room';
import { BlendScreen } from './blend/BlendScreen';
import { DecideScreen } from './decide/DecideScreen';
import { GlueUpScreen } from './glueup/GlueUpScreen';
import { JointScreen } from './joint/JointScreen';
import { PatchScreen } from './patch/PatchScreen';
import { PressScreen } from './press/PressScreen';
import { recordPages } from '@/core/papers';
import { AboutScreen } from './survey/AboutScreen';
import { WaysScreen } from './ways/WaysScreen';
import { planOf, stepsOfLink, type LinkPlan } from '@/core/job';
import { clampById } from '@/core/press';
import { formatMinutes, formatSmall } from '@/core/units';
import { SheetScreen } from './sheet/SheetScreen';
import { SpecialScreen } from './special/SpecialScreen';

jest.mock('expo-router', () => jest.requireActual('@/testing/room').routerMock);
jest.mock('@/worker', () => jest.requireActual('@/testing/room').workerMock);
jest.setTimeout(40_000);

/** The commonest lifted edge: a bit of it is missing, and there is wax in the glue line. */
const TORN: Partial<Damage> = {
  kind: 'liftedEdge',
  answers: { woodAllPresent: false, glueLine: 'waxy', oldGlue: 'other', brittle: false, coreSound: true, donor: false, edgeBanding: false }, // prettier-ignore
};

const whole = async <K extends Kind>(kind: K, id: string): Promise<Stored<K>> => {
  const found = await browserStore.get(kind, id);
  if (!found) throw new Error(`${kind} ${id} is not stored`);
  return found;
};
const shopNow = async (): Promise<Shop> => (await browserStore.get('shop', 'shop'))?.body ?? DEFAULT_SHOP;

describe('a repair that is a chain', () => {
  test('is recommended, chosen and worked out link by link', async () => {
    const { damage } = await boxWith(TORN);
    await openPage(<DecideScreen />, { id: damage }, 'Recommended');
    expect(screen.getAllByText('Wash wax or oil out of the glue line, then flood and press, then veneer patch').length).toBeGreaterThan(0); // prettier-ignore
    await press('Choose the recommended: Flood and press');
    await waitFor(() => expect(screen.getByText('Chosen')).toBeOnTheScreen());
    await press('Work out: flood and press');
    await press('Work out: veneer patch');
    expect(route.went).toEqual([`/damage/${damage}/press`, `/damage/${damage}/patch?link=veneerPatch`]);
  });

  test('each link keeps its own glue', async () => {
    const { damage } = await boxWith({ ...TORN, method: 'floodAndPress' });
    await openPage(<PressScreen />, { id: damage, link: 'veneerPatch' }, 'Glue and press');
    await press('Change glue, clamps or the stack');
    await press('Epoxy');
    await waitFor(async () =>
      expect((await stored('damage', damage))?.linkGlue?.veneerPatch?.adhesive).toBe('epoxy'),
    );
    expect((await stored('damage', damage))?.glue.adhesive).toBeUndefined();
  });

  test('the patch page finds the patch of the chain by itself', async () => {
    const { damage } = await boxWith({ ...TORN, method: 'floodAndPress' });
    await openPage(<PatchScreen />, { id: damage }, 'The veneer to cut it from');
    expect(screen.getByText('Before you cut')).toBeOnTheScreen();
    expect(screen.queryByText('No patch here')).toBeNull();
  });

  test('reaches the bench, the days and the record whole', async () => {
    const ids = await boxWith({ ...TORN, method: 'floodAndPress', methodReason: 'As agreed.' });
    const [piece, face, damage] = await Promise.all([
      whole('piece', ids.piece),
      whole('face', ids.face),
      whole('damage', ids.damage),
    ]);
    const shop = await shopNow();
    const { repairs, tasks } = planOf({ piece, faces: [face], damages: [damage], shop });
    expect(repairs[0]?.links.map((l) => [l.method, l.glue?.label])).toEqual([
      ['washGlueLine', undefined],
      ['floodAndPress', 'Liquid hide glue'],
      ['veneerPatch', 'Hard-setting veneer glue'],
    ]);
    const ids2 = tasks.map((t) => t.id.replace(ids.damage, 'd'));
    for (const id of ['d/washGlueLine.wash', 'd/press', 'd/veneerPatch.press', 'd/veneerPatch.trim'])
      expect(ids2).toContain(id);
    const marks = recordPages({
      piece,
      faces: [face],
      damages: [damage],
      log: [],
      pictures: new Map(),
      shop,
      length: (mm) => `${mm} mm`,
      area: (mm2) => `${mm2} mm²`,
    }).flatMap((p) => p.marks);
    const text = marks.flatMap((m) => (m.kind === 'text' ? [m.text] : [])).join(' ');
    expect(text).toContain('Wash wax or oil out of the glue line, then flood and press, then veneer patch.');
    expect(text).toContain('Reason: As agreed.');
  });

  test('a method against the advice is worked out like any other, and the record says so', async () => {
    const ids = await boxWith({
      kind: 'missingVeneer',
      outline: IN_THE_MIDDLE,
      method: 'epoxyPutty',
      methodReason: 'The owner paints it next year.',
    });
    const [piece, face, damage] = await Promise.all([
      whole('piece', ids.piece),
      whole('face', ids.face),
      whole('damage', ids.damage),
    ]);
    const shop = await shopNow();
    const { tasks } = planOf({ piece, faces: [face], damages: [damage], shop });
    expect(tasks.map((t) => t.id)).toContain(`${ids.damage}/fill1`);
    await openPage(<DecideScreen />, { id: ids.damage }, 'Your choice, against the advice');
    expect(screen.getByText(/^Against it: Epoxy putty is opaque/)).toBeOnTheScreen();
  });
});

test('a core that is not sound can be mended in another way than the one proposed', async () => {
  const { damage } = await boxWith({
    kind: 'missingVeneer',
    outline: IN_THE_MIDDLE,
    answers: { coreSound: false, coreFault: 'void', donor: false, edgeBanding: false },
    method: 'veneerPatch',
  });
  await openPage(<DecideScreen />, { id: damage }, 'Chosen');
  expect(screen.getAllByText(/^Let a wooden block into the core, then veneer patch/).length).toBeGreaterThan(
    0,
  );
  await press('Build the core up with tinted epoxy in layers');
  await waitFor(async () => expect((await stored('damage', damage))?.links).toEqual(['buildUpCore']));
  await waitFor(() =>
    expect(screen.getAllByText(/^Build the core up .*, then veneer patch/).length).toBeGreaterThan(0),
  );
});

describe('new wood of any kind is coloured', () => {
  const plain: Veneer = { name: 'Plain walnut', species: 'walnut', thicknessMm: 0.9, alongMm: 300, acrossMm: 90, pictureId: 'bare', note: '' }; // prettier-ignore
  const letIn = { kind: 'brokenChunk', method: 'dutchman', outline: IN_THE_MIDDLE } as const;
  const solid = { face: { build: 'solid', veneerMm: 0 } } as const;

  test('a dutchman reaches the blend page, and its wood is chosen there', async () => {
    const { damage } = await boxWith(letIn, solid);
    await openPage(<JointScreen />, { id: damage }, 'Before you begin');
    await press('Next: colour it');
    expect(route.went).toEqual([`/damage/${damage}/blend`]);
    await act(async () => {
      await photoOf({ id: 'bare' });
      await createRecord('veneer', plain, 'plain');
    });
    await openPage(<BlendScreen />, { id: damage }, 'The wood that is let in');
    expect(screen.queryByText('No new wood here')).toBeNull();
    expect(screen.getByText('The face has no photo')).toBeOnTheScreen();
    await press('Plain walnut');
    await waitFor(async () => expect((await stored('damage', damage))?.patch.veneerId).toBe('plain'));
  });

  test('on a face without a photo the veneer is chosen by hand, for any mark', async () => {
    const { damage } = await boxWith({
      kind: 'lostCorner',
      method: 'veneerPatch',
      mark: { tool: 'corner', at: [0.99, 0.99], legsMm: [60, 46] },
    });
    await act(async () => void (await createRecord('veneer', plain, 'leaf')));
    await openPage(<PatchScreen />, { id: damage }, 'Choose it by hand');
    await press('Plain walnut');
    await waitFor(async () => expect((await stored('damage', damage))?.patch.veneerId).toBe('leaf'));
  });

  test('a repair without new wood says so, and paint covers all of it', async () => {
    const glued = await boxWith({ method: 'floodAndPress' });
    await openPage(<BlendScreen />, { id: glued.damage }, 'No new wood here');
    const painted = await boxWith(letIn, { ...solid, piece: { goal: 'paint' } });
    await openPage(<JointScreen />, { id: painted.damage }, 'Open the bench plan');
    expect(screen.queryByText('Next: colour it')).toBeNull();
  });
});

describe('cautions before the steps that need them', () => {
  test('at intake: what a piece may hold, and old paint on any face', async () => {
    const { piece } = await boxWith({}, { face: { finishNow: 'paint' } });
    await openPage(<AboutScreen />, { id: piece }, 'Before you open, clean or move it');
    expect(screen.getByText(/^Old paint may hold lead/)).toBeOnTheScreen();
    expect(screen.getByText(/^Heat-proof linings/)).toBeOnTheScreen();
    expect(screen.queryByText(/^A radio or lamp in the piece/)).toBeNull();
    await press('A radio, lamp or other electric set');
    await waitFor(() => expect(screen.getByText(/^A radio or lamp in the piece/)).toBeOnTheScreen());
    expect((await stored('piece', piece))?.holds).toEqual(['electric']);
  });

  test('at the glue-up clock, for the link that is glued', async () => {
    const { damage } = await boxWith({ method: 'tack', kind: 'liftedEdge' });
    await openPage(<GlueUpScreen />, { id: damage }, 'Within reach before the glue is out');
    expect(screen.getByText(/^Cyanoacrylate bonds skin/)).toBeOnTheScreen();
  });

  test('at sanding on the blend page', async () => {
    const { damage } = await boxWith({ method: 'veneerPatch', kind: 'missingVeneer' });
    await openPage(<BlendScreen />, { id: damage }, 'Before you sand');
    expect(screen.getByText(/^Wood dust is carcinogenic/)).toBeOnTheScreen();
  });

  test('old paint on the face that is let into', async () => {
    const { damage } = await boxWith(
      { kind: 'brokenChunk', method: 'dutchman', outline: IN_THE_MIDDLE },
      { face: { finishNow: 'paint', build: 'solid', veneerMm: 0 } },
    );
    await openPage(<JointScreen />, { id: damage }, 'Before you begin');
    expect(screen.getByText(/^Old paint may hold lead/)).toBeOnTheScreen();
    expect(screen.getByText(/^A band saw pulls small blocks/)).toBeOnTheScreen();
  });
});

test('a glue that does not fill is not worked out for a hollow only to be refused in red', async () => {
  const { damage } = await boxWith({
    kind: 'longCrack',
    method: 'glueSplit',
    outline: [],
    mark: { tool: 'line', points: [[0.2, 0.5], [0.6, 0.5]], widthMm: 0.5 }, // prettier-ignore
  });
  await openPage(<JointScreen />, { id: damage }, 'Glue that fills a hollow');
  expect(
    screen.getByText(/Liquid hide glue holds wood on wood and fills nothing.*epoxy fills it/),
  ).toBeOnTheScreen();
  expect(screen.queryByText('Not with these figures')).toBeNull();
});

describe('where the trade disagrees', () => {
  test('what matters to this piece comes first, with what its plan takes; it can be switched', async () => {
    const { piece } = await boxWith(
      { kind: 'longCrack', method: 'glueSplit' },
      { piece: { goal: 'lacquer' } },
    );
    await openPage(<WaysScreen />, { id: piece }, 'Where the trade disagrees');
    expect(screen.getByText('What glue goes into a split?')).toBeOnTheScreen();
    expect(screen.queryByText('Oxalic acid on the mark only, or on the whole panel?')).toBeNull();
    expect(screen.getByText('Hide or PVA, and clamps (this plan)')).toBeOnTheScreen();
    await press('Thin cyanoacrylate');
    await waitFor(async () => expect((await stored('piece', piece))?.ways).toEqual({ splitGlue: 'ca' }));
    await waitFor(() => expect(screen.getByText('Thin cyanoacrylate (this plan)')).toBeOnTheScreen());
    expect(screen.getByText('This plan takes, as you switched it')).toBeOnTheScreen();
    expect(screen.getByText(/^It changes the glue of a split/)).toBeOnTheScreen();
  });

  test('who clamps hard counts clamps for more', async () => {
    const plain = await boxWith({ method: 'floodAndPress' });
    await openPage(<PressScreen />, { id: plain.damage }, 'Glue and press');
    expect(screen.getByText(/wanted 250 kPa or more/)).toBeOnTheScreen();
    screen.unmount();
    const hard = await boxWith({ method: 'floodAndPress' }, { piece: { ways: { glueAndForce: 'flooded' } } });
    await openPage(<PressScreen />, { id: hard.damage }, 'Glue and press');
    expect(screen.getByText(/wanted 700 kPa or more/)).toBeOnTheScreen();
  });

  test('overnight keeps the clamps on', async () => {
    const { damage } = await boxWith(
      { method: 'floodAndPress' },
      { piece: { ways: { clampTime: 'overnight' } } },
    );
    await openPage(<PressScreen />, { id: damage }, 'Glue and press');
    expect(said('Clamps stay on')).toContain('12 h');
  });
});

test('what can be done tonight is said with what it costs in looks', async () => {
  const { damage } = await boxWith(
    { kind: 'chippedVeneer', outline: IN_THE_MIDDLE, answers: { coreSound: true } },
    { piece: { goal: 'lacquer' } },
  );
  await act(
    async () =>
      void (await changeShop(await browserStore.get('shop', 'shop'), { materials: ['bareFiller'] })),
  );
  await openPage(<DecideScreen />, { id: damage }, 'With what?');
  await press('With what I have tonight');
  await waitFor(() => expect(screen.getByText('What tonight costs in looks')).toBeOnTheScreen());
  expect(screen.getByText(/With everything at hand it would be veneer patch, which hides 4 of 5; this hides \d of 5/)).toBeOnTheScreen(); // prettier-ignore
});

describe('the figures on a page are those of the plan', () => {
  const planned = async (ids: { piece: string; face: string; damage: string }) => {
    const [piece, face, damage] = await Promise.all([
      whole('piece', ids.piece),
      whole('face', ids.face),
      whole('damage', ids.damage),
    ]);
    const plan = planOf({ piece, faces: [face], damages: [damage], shop: await shopNow() });
    const link = plan.repairs[0]?.links.find((l) => l.method === damage.body.method);
    if (!link) throw new Error('The repair has no such link.');
    return { plan, link };
  };
  const gramsOf = ({ amounts }: LinkPlan): string =>
    amounts.flatMap((a) => (a.of === 'weight' ? [`${formatSmall(a.grams)} g`] : []))[0] ?? '';

  test('glue and press', async () => {
    const ids = await boxWith({ method: 'floodAndPress' });
    const { link } = await planned(ids);
    await openPage(<PressScreen />, { id: ids.damage }, 'Glue and press');
    expect(said('Clamps')).toContain(`${link.press?.clamps} of ${link.press?.owned}`);
    expect(said('Glue')).toContain(gramsOf(link));
  });

  test('a patch', async () => {
    const ids = await boxWith({ kind: 'missingVeneer', outline: IN_THE_MIDDLE, method: 'veneerPatch' });
    const { link } = await planned(ids);
    await openPage(<PressScreen />, { id: ids.damage }, 'Glue and press');
    expect(said('Clamps')).toContain(`${link.press?.clamps} of ${link.press?.owned}`);
    expect(said('Glue')).toContain(gramsOf(link));
  });

  test('a split', async () => {
    const line: Damage['mark'] = { tool: 'line', points: [[0.1, 0.5], [0.6, 0.5]], widthMm: 0.6 }; // prettier-ignore
    const corners: [number, number][] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
    const narrow = { scale: { kind: 'rectangle', object: 'face', corners, widthMm: 600, heightMm: 200 } as const }; // prettier-ignore
    const split: Partial<Damage> = { kind: 'longCrack', outline: [], mark: line, method: 'glueSplit' };
    const ids = await boxWith(split, { face: narrow });
    const { link } = await planned(ids);
    expect(Object.keys(link.clamps ?? {})).toEqual(['fStyle']);
    await openPage(<JointScreen />, { id: ids.damage }, 'Clamps');
    expect(said('Glue')).toContain(gramsOf(link));
    for (const [kind, count] of Object.entries(link.clamps ?? {})) {
      expect(screen.getAllByText(clampById(kind).label).length).toBeGreaterThan(0);
      expect(screen.getAllByText(String(count)).length).toBeGreaterThan(0);
    }
    screen.unmount();
    // Across 450 mm none of them opens: page and plan say so in the same words.
    const wide = await boxWith(split);
    const { link: without } = await planned(wide);
    expect(without.clamps).toBeUndefined();
    await openPage(<JointScreen />, { id: wide.damage }, 'How it is held');
    expect(screen.getByText(without.heldWords ?? '')).toBeOnTheScreen();
  });

  test('a fill: its amount, and each step with the minutes it has at the bench', async () => {
    const ids = await boxWith({ kind: 'gouge', outline: IN_THE_MIDDLE, method: 'bareFiller', answers: { depthMm: 4 } }); // prettier-ignore
    const { plan, link } = await planned(ids);
    await openPage(<SheetScreen />, { id: ids.damage }, /^1\. First fill/);
    const [amount] = link.amounts;
    expect(amount).toMatchObject({ of: 'volume' });
    if (amount?.of !== 'volume') throw new Error('A fill is no volume.');
    // Under its layers and among the materials: the same figure.
    expect(screen.getAllByText(`${formatSmall(amount.ml)} ml`)).toHaveLength(2);
    const steps = stepsOfLink(plan, ids.damage, 'bareFiller');
    for (const [i, t] of steps.entries())
      expect(said(`${i + 1}\\. ${t.title}`)).toContain(formatMinutes(t.attendedMin));
    const hands = steps.reduce((sum, t) => sum + t.attendedMin, 0);
    expect(screen.getAllByText(formatMinutes(hands)).length).toBeGreaterThan(0);
  });

  test('a way of holding chosen on the page of awkward shapes is on the sheet, the clock and the plan', async () => {
    const ids = await boxWith({ method: 'floodAndPress', figures: { 'awkward.shape': 'hammer' } });
    await openPage(<SpecialScreen />, { id: ids.damage }, 'Awkward shapes');
    await press('Hold it this way');
    await waitFor(async () => expect((await stored('damage', ids.damage))?.glue.held).toBe('hammer'));
    const { plan, link } = await planned(ids);
    expect(link.clamps).toEqual({});
    expect(plan.tasks.find((t) => t.id.endsWith('/press'))?.detail).toContain('Veneer hammer');
    screen.unmount();
    await openPage(<PressScreen />, { id: ids.damage }, 'It is held in another way than by these clamps');
    expect(screen.getByText(/^Held as: hammer veneering\. Veneer hammer;/)).toBeOnTheScreen();
    screen.unmount();
    await openPage(<GlueUpScreen />, { id: ids.damage }, 'Within reach before the glue is out');
    expect(screen.getByText('Veneer hammer')).toBeOnTheScreen();
  });
});

import { benchInput, schedule } from '../bench';
import type { MethodId } from '../catalogue';
import { areaOf as areaOfOutline, type Point } from '../geometry';
import type { PlacedLayout } from '../press';
import { DEFAULT_SHOP, newDamage, newFace, newPiece } from './defaults';
import type { Damage, Face, Named, Piece, Shop, Veneer } from './types';
import {
  BLOCK_MM,
  boardOf,
  caseOf,
  damageLabel,
  frameOf,
  methodOf,
  patchFor,
  planOf,
  pressPlan,
  rankingOf,
  resourcesOf,
  sandingOf,
  stagesOf,
  surveyed,
} from '.';
import { attempt } from '../check';

const NOW = '2026-03-02T08:00:00';
const named = <B>(id: string, body: B): Named<B> => ({ id, body });
const piece: Piece = { ...newPiece('Washstand', NOW), goal: 'lacquer' };
/** A face of 600 × 400 mm that fills its picture, so that fractions are easily turned into millimetres. */
const face: Face = {
  ...newFace('p', 'Top'),
  picture: { id: 'x', widthPx: 1200, heightPx: 800 },
  scale: { kind: 'rectangle', object: 'face', corners: [[0, 0], [1, 0], [1, 1], [0, 1]], widthMm: 600, heightMm: 400 },
  grain: [[0, 0.5], [1, 0.5]],
  veneerMm: 0.9,
}; // prettier-ignore
const mm = (outline: Point[]): Point[] => outline.map(([x, y]): Point => [x / 600, y / 400]);
const lifted: Damage = { ...newDamage('p', 'f', 1, 'liftedEdge'), outline: mm([[100, 400], [110, 360], [270, 360], [280, 400]]) }; // prettier-ignore
const chip: Damage = { ...newDamage('p', 'f', 2, 'missingVeneer'), outline: mm([[560, 0], [600, 0], [600, 30], [580, 14]]) }; // prettier-ignore
const both = [lifted, chip];
const ok = <T>(result: { ok: true; value: T } | { ok: false; problem: string }): T => {
  if (!result.ok) throw new Error(result.problem);
  return result.value;
};

describe('survey', () => {
  test('an outline in fractions of the picture is measured in millimetres', () => {
    const { measures, atEdge, board } = ok(surveyed(lifted, face));
    expect(measures.areaMm2).toBeCloseTo(6800, 3);
    expect(measures.alongMm).toBeCloseTo(180, 6);
    expect(measures.acrossMm).toBeCloseTo(40, 6);
    expect(atEdge).toBe(true);
    expect([board.plane.widthMm, board.plane.heightMm]).toEqual([
      expect.closeTo(600, 6),
      expect.closeTo(400, 6),
    ]);
  });

  test('set the scale anew and every measure follows', () => {
    const larger: Face = { ...face, scale: { kind: 'rectangle', object: 'face', corners: [[0, 0], [1, 0], [1, 1], [0, 1]], widthMm: 1200, heightMm: 800 } }; // prettier-ignore
    expect(ok(surveyed(lifted, larger)).measures.areaMm2).toBeCloseTo(4 * 6800, 2);
  });

  test.each<[string, Damage, Face | undefined, string]>([
    ['no face', lifted, undefined, 'no face yet'],
    ['no scale', lifted, { ...newFace('p', 'Top') }, 'no scale yet'],
    ['two points', { ...lifted, outline: lifted.outline.slice(0, 2) }, face, 'has 2 points'],
    ['crossing', { ...lifted, outline: mm([[10, 10], [50, 50], [50, 10], [10, 50]]) }, face, 'crosses itself'], // prettier-ignore
    ['off the face', { ...lifted, outline: mm([[590, 10], [700, 10], [700, 50]]) }, face, 'leaves the face'], // prettier-ignore
  ])('%s is a sentence, not an exception', (_, damage, on, words) => {
    const result = surveyed(damage, on);
    expect(result.ok ? '' : result.problem).toContain(words);
  });

  test('a face without a photo is a plain board of the size that was given', () => {
    const { picture: _, ...plain } = face;
    expect(frameOf(plain)).toEqual({ widthPx: 1000, heightPx: expect.closeTo(666.7, 1) });
    expect(ok(boardOf(plain)).grainDeg).toBeCloseTo(0, 6);
  });

  test('only impossible quantities become sentences; a defect stays an exception', () => {
    expect(() =>
      attempt(() => {
        throw new TypeError('a defect');
      }),
    ).toThrow('a defect');
  });
});

describe('decision', () => {
  test('facts are measured and answered; unknown ones stay out', () => {
    const { damage, surface, school } = caseOf(
      piece,
      face,
      { ...chip, answers: { donor: false } },
      both,
      DEFAULT_SHOP,
    );
    expect(damage).toMatchObject({
      kind: 'missingVeneer',
      atEdge: true,
      donor: false,
      acrossMm: expect.closeTo(30, 6),
    });
    expect(damage.faceShare).toBeCloseTo((damage.areaMm2 ?? 0) / 240_000, 9);
    expect('coreSound' in damage).toBe(false);
    expect(surface).toMatchObject({ veneerMm: 0.9, goal: 'lacquer' });
    expect(school).toBe('clear');
  });

  test('a damage kept from a quick answer is ranked by its rough size', () => {
    const { faceId: _, ...loose } = { ...chip, outline: [], roughAreaMm2: 500 };
    expect(caseOf(piece, undefined, loose, [loose], DEFAULT_SHOP).damage.areaMm2).toBe(500);
    expect(ok(rankingOf(piece, undefined, loose, [loose], DEFAULT_SHOP)).ranked.length).toBeGreaterThan(0);
  });

  test('the choice goes before the recommendation', () => {
    expect(methodOf(piece, face, chip, both, DEFAULT_SHOP)).toBe('veneerPatch');
    expect(methodOf(piece, face, { ...chip, method: 'leave' }, both, DEFAULT_SHOP)).toBe('leave');
  });
});

describe('press, patch, sanding', () => {
  const survey = ok(surveyed(lifted, face));

  test('defaults come from the shop and the glue, and each can be changed', () => {
    const plan = ok(pressPlan(piece, 'floodAndPress', lifted, survey, DEFAULT_SHOP));
    expect(plan.adhesive.id).toBe('liquidHide');
    expect(plan.targetKPa).toBe(plan.adhesive.aimPressureKPa.value);
    expect(plan.mixes).toHaveLength(3);
    const own = ok(
      pressPlan(
        piece,
        'floodAndPress',
        { ...lifted, glue: { adhesive: 'epoxy', clamp: 'fStyle', targetKPa: 400, platenMm: 30 } },
        survey,
        DEFAULT_SHOP,
      ),
    );
    expect([own.adhesive.id, own.clamp.id, own.targetKPa, own.platenMm, own.mixes]).toEqual([
      'epoxy',
      'fStyle',
      400,
      30,
      undefined,
    ]);
  });

  test('no clamps in the shop: nothing holds it', () => {
    const empty: Shop = { ...DEFAULT_SHOP, clamps: [] };
    const result = pressPlan(piece, 'floodAndPress', lifted, survey, empty);
    expect(result.ok ? '' : result.problem).toContain('nothing holds the veneer down');
  });

  test('what was placed by hand is counted, with the shop’s own force, over the rule’s layout', () => {
    const placed: PlacedLayout = {
      cauls: [{ from: [150, 20], to: [350, 20], widthMm: 60, heightMm: 45, camberMm: 1.5 }],
      clamps: [
        { at: [200, 20], clamp: 'deepC', forceN: 1000 },
        { at: [300, 20], clamp: 'pipe', forceN: 1000 },
        { at: [300, 120], clamp: 'pipe', forceN: 1000 },
      ],
    };
    const shop: Shop = { ...DEFAULT_SHOP, clamps: [{ id: 'deepC', count: 2, forceN: 1700 }, { id: 'pipe', count: 1 }] }; // prettier-ignore
    const plan = ok(pressPlan(piece, 'floodAndPress', { ...lifted, glue: { placed } }, survey, shop));
    expect(plan).toMatchObject({ byRule: false, owned: 3, clampWords: 'Deep C-clamp and Pipe or bar clamp' });
    expect(plan.clamp.forceN.value).toBe(1700);
    // Two pipe clamps are asked for and one is there; one of them stands 120 mm in, and it reaches 45.
    expect(plan.layout).toMatchObject({ stages: 2, outOfReach: 1, clampGivesN: 1000 });
    expect(plan.layout.footprints).toHaveLength(3);
    expect(plan.overBoardMm).toBe(18 + 45 + BLOCK_MM.value);
    const none = pressPlan(piece, 'floodAndPress', { ...lifted, glue: { placed: { ...placed, clamps: [] } } }, survey, shop); // prettier-ignore
    expect(none.ok ? '' : none.problem).toContain('nothing holds it down');
  });

  test('a pace that was timed changes how long laying takes; a vacuum bag is named where there is one', () => {
    const slow: Shop = { ...DEFAULT_SHOP, pace: { spreadMinPer100Cm2: 4, secondsPerClamp: 120 }, clamps: [...DEFAULT_SHOP.clamps, { id: 'vacuum', count: 1 }] }; // prettier-ignore
    const [usual, own] = [DEFAULT_SHOP, slow].map((s) =>
      ok(pressPlan(piece, 'floodAndPress', lifted, survey, s)),
    );
    expect((own?.layingMin ?? 0) / (usual?.layingMin ?? 1)).toBeCloseTo(4, 9);
    expect([usual?.bagKPa, own?.bagKPa]).toEqual([undefined, 80]);
  });

  test('a cold shop gives a plan without times', () => {
    const plan = ok(pressPlan(piece, 'floodAndPress', lifted, survey, { ...DEFAULT_SHOP, temperatureC: 3 }));
    expect(plan.times.ok).toBe(false);
    expect(plan.layout.clamps.length).toBeGreaterThan(0);
  });

  test('a patch is pressed on its recess, without what hangs over', () => {
    const corner = ok(surveyed(chip, face));
    const plan = ok(pressPlan(piece, 'veneerPatch', chip, corner, DEFAULT_SHOP));
    expect(Math.max(...plan.outline.map((p) => p[0]))).toBeLessThanOrEqual(600.001);
    expect(Math.max(...patchFor(chip, corner, piece).outline.map((p) => p[0]))).toBeCloseTo(606, 3);
  });

  test('under paint the patch may be square', () => {
    expect(patchFor(chip, ok(surveyed(chip, face)), { ...piece, school: 'paint' }).shape).toBe('square');
    expect(patchFor(chip, ok(surveyed(chip, face)), piece).shape).toBe('lozenge');
  });

  test('solid wood has no sanding budget', () => {
    expect(sandingOf(piece, { ...face, build: 'solid', veneerMm: 0 })).toBeUndefined();
    expect(sandingOf(piece, face)?.ok).toBe(true);
  });
});

describe('work', () => {
  const p = named('p', piece);
  const f = named('f', face);
  const d1 = named<Damage>('d1', { ...lifted, method: 'floodAndPress' });
  const d2 = named<Damage>('d2', { ...chip, method: 'veneerPatch', patch: { veneerId: 'v' } });
  const v = named<Veneer>('v', {
    name: 'Walnut',
    species: 'walnut',
    thicknessMm: 0.5,
    alongMm: 300,
    acrossMm: 200,
    note: '',
  });

  const plan = (damages: Named<Damage>[], shop = DEFAULT_SHOP, stock: Named<Veneer>[] = []) =>
    planOf({ piece: p, faces: [f], damages, shop, stock });

  test('a repair carries its glue, clamps and shims to the bench', () => {
    const { repairs, tasks } = plan([d1, d2], DEFAULT_SHOP, [v]);
    expect(repairs.map((r) => [r.damageId, r.method])).toEqual([['d1', 'floodAndPress'], ['d2', 'veneerPatch']]); // prettier-ignore
    expect(tasks.find((t) => t.id === 'd2/press')?.detail).toContain('Shim with 2 sheets of paper');
    const glued = repairs.map((r) => r.links[0]);
    expect(Object.keys(glued[0]?.clamps ?? {}).length).toBeGreaterThan(0);
    expect(tasks.find((t) => t.id.startsWith('p/sand.'))?.detail).toMatch(/150.*180.*220/);
    for (const r of glued)
      for (const [kind, count] of Object.entries(r?.clamps ?? {}))
        expect(resourcesOf(DEFAULT_SHOP)[kind]).toBeGreaterThanOrEqual(count);
  });

  test('a layout of two kinds of clamps demands each by itself, and never more than are owned', async () => {
    const at = (x: number): readonly [number, number] => [x, 20];
    const placed = {
      cauls: [],
      clamps: [
        ...[30, 60, 90].map((x) => ({ at: at(x), clamp: 'fStyle' as const, forceN: 2000 })),
        ...[120, 150].map((x) => ({ at: at(x), clamp: 'cClamp' as const, forceN: 3000 })),
      ],
    };
    const shop = { ...DEFAULT_SHOP, clamps: [{ id: 'fStyle' as const, count: 2 }, { id: 'cClamp' as const, count: 4 }] }; // prettier-ignore
    const d = named<Damage>('d1', { ...lifted, method: 'floodAndPress', glue: { placed } });
    const { tasks } = plan([d], shop);
    // Five clamps of which three are F-style: two goes.
    for (const id of ['d1/stage1', 'd1/press'])
      expect(tasks.find((t) => t.id === id)?.needs).toEqual({ fStyle: 2, cClamp: 1 });
    const input = benchInput(tasks, [], { resources: resourcesOf(shop), workingHours: shop.workingHours }, '2026-03-02T08:00:00'); // prettier-ignore
    expect((await schedule(input)).tasks).toHaveLength(tasks.length);
  });

  test('a new sheet is glued over the whole face, a patch over its recess', () => {
    const areaOf = (method: MethodId) =>
      plan([named<Damage>('d2', { ...chip, method })]).repairs[0]?.links.find((l) => l.method === method)?.areaMm2 ?? 0; // prettier-ignore
    const board = boardOf(face);
    const whole = board.ok ? areaOfOutline(board.value.plane.outline) : NaN;
    expect(areaOf('reveneer')).toBeCloseTo(whole, 6);
    expect(areaOf('veneerPatch')).toBeLessThan(whole / 10);
  });

  test('the bench lays a press as long as its page says, at the shop’s own pace', () => {
    const slow = { ...DEFAULT_SHOP, pace: { spreadMinPer100Cm2: 6, secondsPerClamp: 120 } };
    const page = ok(pressPlan(piece, 'floodAndPress', lifted, ok(surveyed(lifted, face)), slow));
    const { tasks, repairs } = plan([d1], slow);
    const stages = stagesOf(page)?.stages ?? [];
    expect(repairs[0]?.links[0]?.stages).toEqual(stages.map((s) => s.layingMin));
    const laid = tasks.filter((t) => /^d1\/(stage\d|press)$/.test(t.id));
    expect(laid.map((t) => t.attendedMin)).toEqual(stages.map((s) => Math.ceil(s.layingMin) + 8));
  });

  test('too cold for the glue: the plan says so at the press, and that its times are those of 20 °C', () => {
    const press = (temperatureC: number) =>
      plan([d1], { ...DEFAULT_SHOP, temperatureC }).tasks.find((t) => t.id === 'd1/press');
    expect(press(20)?.detail).not.toContain('does not set');
    expect(press(3)?.detail).toContain('does not set soundly below 10 °C');
    expect(press(3)?.detail).toContain('reckons with its times at 20 °C');
    expect(press(3)?.unattendedMin).toBe(press(20)?.unattendedMin);
  });

  test('labels', () => {
    expect(damageLabel(lifted)).toBe('Lifted edge, no. 1');
  });
});

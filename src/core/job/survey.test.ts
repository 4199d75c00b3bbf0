import { areaOf, type Point } from '../geometry';
import { DEFAULT_SHOP, newDamage, newFace, newPiece } from './defaults';
import type { Damage, Face, Named, Piece, Shop } from './types';
import {
  boardOf,
  caseOf,
  conditionFor,
  countedOf,
  crackPlanOf,
  faceAreaMm2,
  grainIsKnown,
  isMarked,
  markOf,
  measuredWords,
  methodOf,
  outlineMm,
  planOf,
  rankingOf,
  surroundingsOf,
  surveyed,
  treatedAs,
} from '.';

const WHOLE: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
const face = (more: Partial<Face> = {}): Face => ({
  ...newFace('p', 'Top'),
  scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 600, heightMm: 400 },
  grain: [[0.1, 0.5], [0.9, 0.5]],
  ...more,
}); // prettier-ignore
const damage = (more: Partial<Damage> = {}, kind: Damage['kind'] = 'longCrack'): Damage => ({
  ...newDamage('p', 'f', 1, kind),
  ...more,
});
const CRACK = damage({ mark: { tool: 'line', points: [[0.2, 0.5], [0.7, 0.5]], widthMm: 1.5 } }); // prettier-ignore
const HOLE = damage({ mark: { tool: 'circle', at: [0.5, 0.5], diameterMm: 12 } }, 'hole');
const piece: Piece = { ...newPiece('Table', '2026-03-02T08:00:00'), goal: 'lacquer' };
const ok = <T>(r: { ok: true; value: T } | { ok: false; problem: string }): T => {
  if (!r.ok) throw new Error(r.problem);
  return r.value;
};
const named = <B>(id: string, body: B): Named<B> => ({ id, body });

describe('marks to scale', () => {
  test('a crack has its length and width, a hole its diameter, an area its box', () => {
    const crack = ok(surveyed(CRACK, face()));
    expect(crack.lengthMm).toBeCloseTo(300, 6);
    expect(crack.gapMm).toBe(1.5);
    expect(crack.measures.areaMm2).toBeCloseTo(450, 6);
    const hole = ok(surveyed(HOLE, face()));
    expect(hole.diameterMm).toBe(12);
    expect(hole.measures.areaMm2).toBeCloseTo((Math.PI / 4) * 144, 2);
    const area = ok(surveyed(damage({ outline: [[0.1, 0.1], [0.2, 0.1], [0.2, 0.2], [0.1, 0.2]] }, 'gouge'), face())); // prettier-ignore
    expect(area.measures).toMatchObject({ areaMm2: expect.closeTo(2400, 6), alongMm: expect.closeTo(60, 6) });
  });

  test('a corner lies on the edge, and a mark that leaves the face is told', () => {
    const corner = damage({ mark: { tool: 'corner', at: [0.99, 0.99], legsMm: [30, 20] } }, 'lostCorner');
    expect(ok(surveyed(corner, face())).atEdge).toBe(true);
    const off = damage({ mark: { tool: 'circle', at: [1.2, 0.5], diameterMm: 12 } }, 'hole');
    const result = surveyed(off, face());
    expect(result.ok ? '' : result.problem).toContain('leaves the face');
  });

  test('the same damage on a face that has changed is measured anew', () => {
    const before = ok(surveyed(CRACK, face())).lengthMm ?? 0;
    const wider = face({
      scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 1200, heightMm: 400 },
    });
    expect(ok(surveyed(CRACK, wider)).lengthMm).toBeCloseTo(2 * before, 6);
  });

  test('a mark that is not whole covers nothing, and says what is missing', () => {
    const half = damage({ mark: { tool: 'line', points: [[0.2, 0.5]], widthMm: 1 } });
    expect(outlineMm(half, ok(boardOf(face())))).toEqual([]);
    const result = surveyed(half, face());
    expect(result.ok ? '' : result.problem).toContain('A line needs two points');
    expect(isMarked(damage())).toBe(false);
    expect(isMarked(half)).toBe(true);
    expect(markOf(damage()).tool).toBe('area');
  });
});

test('sound wood is looked for around any mark, and not in the marks beside it', () => {
  const corner = damage({ mark: { tool: 'corner', at: [0.99, 0.99], legsMm: [60, 46] } }, 'lostCorner');
  const area = damage({ outline: [[0.1, 0.1], [0.2, 0.1], [0.2, 0.2]] }, 'chippedVeneer'); // prettier-ignore
  const begun = damage({ outline: [[0.1, 0.1]] }, 'chippedVeneer');
  for (const mark of [CRACK, HOLE, corner, area]) {
    const others = [CRACK, HOLE, corner, area].filter((d) => d !== mark);
    const around = ok(surroundingsOf(mark, face(), [...others, begun]));
    expect(areaOf(around.outline)).toBeGreaterThan(50);
    expect(around.others).toHaveLength(3);
  }
  expect(surroundingsOf(begun, face(), [CRACK]).ok).toBe(false);
});

describe('shapes and grain', () => {
  test('a round face has the area of its circle, and damages outside it leave it', () => {
    const round = face({ shape: { kind: 'round' }, scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 400, heightMm: 400 } }); // prettier-ignore
    expect(areaOf(ok(boardOf(round)).plane.outline)).toBeCloseTo(Math.PI * 200 ** 2, 1);
    const inCorner = damage({ mark: { tool: 'circle', at: [0.04, 0.04], diameterMm: 6 } }, 'hole');
    expect(surveyed(inCorner, round).ok).toBe(false);
    expect(surveyed(inCorner, face()).ok).toBe(true);
  });

  test('a damage follows the grain where it lies: in a border, in a sunburst, in a leaf of its own', () => {
    const outline: Point[] = [[0.45, 0.01], [0.55, 0.01], [0.55, 0.06], [0.45, 0.06]]; // prettier-ignore
    const chip = damage({ outline }, 'missingVeneer');
    expect(ok(surveyed(chip, face())).grainDeg).toBe(0);
    expect(ok(surveyed(chip, face({ grainPlan: { kind: 'border', widthMm: 40 } }))).grainDeg).toBe(90);
    expect(ok(surveyed(chip, face({ grainPlan: { kind: 'radial', at: [0.5, 0.5] } }))).grainDeg).toBeCloseTo(
      90,
    );
    const zones = [{ name: 'left', outline: [[0.4, 0], [0.6, 0], [0.6, 0.5], [0.4, 0.5]] as Point[], degrees: 30 }]; // prettier-ignore
    const leaf = ok(surveyed(chip, face({ grainPlan: { kind: 'zones', zones } })));
    expect(leaf.grainDeg).toBe(30);
    expect(leaf.board.grainDeg).toBe(30);
  });

  test('a sunburst needs no arrow, a border still does', () => {
    const { grain: _, ...bare } = face();
    expect(grainIsKnown({ ...bare, grainPlan: { kind: 'radial', at: [0.5, 0.5] } })).toBe(true);
    expect(grainIsKnown({ ...bare, grainPlan: { kind: 'border', widthMm: 30 } })).toBe(false);
    expect(grainIsKnown(face())).toBe(true);
  });
});

describe('what the rules see', () => {
  const home = {
    dry: { temperatureC: 21, relativeHumidity: 0.3 },
    damp: { temperatureC: 21, relativeHumidity: 0.65 },
  };
  const shop: Shop = { ...DEFAULT_SHOP, temperatureC: 21, relativeHumidity: 0.5 };
  const solid = face({ build: 'solid', veneerMm: 0, species: 'whiteOak' });

  test('sizes of the mark become facts', () => {
    expect(caseOf(piece, solid, CRACK, [CRACK], shop).damage).toMatchObject({
      gapMm: 1.5,
      alongMm: expect.closeTo(300, 4),
    });
    expect(caseOf(piece, solid, HOLE, [HOLE], shop).damage).toMatchObject({ diameterMm: 12 });
  });

  test('a crack moves by its board and its home, and the ranking knows it', () => {
    const moving: Damage = {
      ...CRACK,
      board: { acrossMm: 400, cut: 'flat' },
      answers: { closesByHand: false },
    };
    expect(crackPlanOf(piece, solid, moving, shop)).toBeUndefined();
    const lived = { ...piece, home };
    const plan = crackPlanOf(lived, solid, moving, shop);
    expect(plan?.ok && plan.value.movesMm).toBeGreaterThan(5);
    expect(caseOf(lived, solid, moving, [moving], shop).damage.movesMm).toBeGreaterThan(5);
    const ranking = ok(
      rankingOf({ ...lived, school: 'paint', goal: 'paint' }, solid, moving, [moving], shop),
    );
    // It moves more than its own gap: nothing is filled, and the least bad fill stands with what forbids it.
    expect(ranking.ranked[0]?.method).toBe('leave');
    const bans = [
      ...ranking.excluded.filter((e) => e.method === 'bareFiller').flatMap((e) => e.because),
      ...ranking.ranked.filter((r) => r.method === 'bareFiller').flatMap((r) => r.despite),
    ];
    expect(bans.map((b) => b.rule)).toContain('filler-moves');
  });

  test('a wood that is not in the table takes the stated density', () => {
    const other = face({ build: 'solid', veneerMm: 0, species: 'other' });
    const moving: Damage = { ...CRACK, board: { acrossMm: 400, cut: 'flat' } };
    const plan = crackPlanOf({ ...piece, home }, other, moving, shop);
    expect(plan?.ok && plan.value.movesMm).toBeGreaterThan(2);
  });

  test('a face may be treated otherwise than its piece', () => {
    const top = face({ school: 'paint', goal: 'paint' });
    expect(treatedAs(piece, top)).toMatchObject({ school: 'paint', goal: 'paint' });
    expect(treatedAs(piece, face())).toBe(piece);
    expect(caseOf(piece, top, HOLE, [HOLE], shop).school).toBe('paint');
  });

  test('own weights and stock reach the ranking, and tonight leaves out what is missing', () => {
    const stocked: Shop = { ...shop, materials: ['woodGlue'], weights: { clear: { speed: 10 } } };
    const input = caseOf(piece, solid, HOLE, [HOLE], stocked);
    expect(input).toMatchObject({ stock: ['woodGlue'], weights: { speed: 10 } });
    const tonight = ok(rankingOf(piece, solid, HOLE, [HOLE], stocked, true));
    expect(tonight.ranked.map((r) => r.method)).not.toContain('facePlug');
    expect(methodOf(piece, solid, { ...HOLE, answers: { screwAgain: false, carriesLoad: false } }, [HOLE], shop)).toBe('facePlug'); // prettier-ignore
  });
});

describe('condition in words', () => {
  const faces = [named('f', face())];
  const damages = [named('d1', CRACK), named('d2', HOLE)];
  const units = {
    length: (mm: number) => `${mm.toFixed(1)} mm`,
    area: (mm2: number) => `${mm2.toFixed(0)} mm²`,
  };

  test('each mark is told by its own sizes', () => {
    expect(measuredWords(named('d', CRACK), faces[0], units)).toBe('300.0 mm long, 1.5 mm wide');
    const deep = named('d', { ...HOLE, answers: { depthMm: 9 } });
    expect(measuredWords(deep, faces[0], units)).toBe('12.0 mm across, 9.0 mm deep');
    expect(measuredWords(named('d', damage()), faces[0], units)).toBe('not measured');
  });

  test('the score counts what is marked, over the faces that are to scale', () => {
    expect(faceAreaMm2(named('f', face()))).toBeCloseTo(240_000, 3);
    expect(countedOf(damages, faces).map((c) => [c.kind, Math.round(c.areaMm2), c.show])).toEqual([
      ['longCrack', 450, true],
      ['hole', 113, true],
    ]);
    // Two of gravity 2: 4 + 4 points, and 40 × 563 / 240 000 for the area.
    expect(conditionFor(damages, faces).score).toBe(Math.round(100 - 8 - (40 * 563) / 240_000));
    expect(conditionFor([], faces).score).toBe(100);
  });

  test('the plan brings the same score for its own piece, and none while nothing is marked', () => {
    const job = { piece: named('p', piece), faces, damages, shop: DEFAULT_SHOP };
    const elsewhere = [named('f2', { ...face(), pieceId: 'q' })];
    const others = [named('d3', { ...HOLE, pieceId: 'q', faceId: 'f2' })];
    const plan = planOf({ ...job, faces: [...faces, ...elsewhere], damages: [...damages, ...others] });
    expect(plan.conditionScore).toBe(Math.round(100 - 8 - (40 * 563) / 240_000));
    expect(planOf({ ...job, damages: [named('d', damage())] }).conditionScore).toBeUndefined();
  });
});

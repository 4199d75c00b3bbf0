import fc from 'fast-check';
import { benchInput, schedule, type BenchTask } from '../bench';
import { methodById, METHODS, type MethodId } from '../catalogue';
import { QUESTIONS } from '../damage';
import type { CautionId } from '../safety';
import { chainFor, linksOfChain } from './decide';
import { planOf } from './plan';
import { clampById } from '../press';
import { repairWords } from './words';
import { DEFAULT_SHOP, newDamage, newFace, newPiece } from './defaults';
import { jobTasks, type JobInput } from './tasks';
import type { Damage, Face, Piece } from './types';
import { resourcesOf } from './work';

const WHOLE: [number, number][] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
const FRONT: [number, number][] = [[0.2, 1], [0.22, 0.9], [0.45, 0.9], [0.47, 1]]; // prettier-ignore
const MIDDLE: [number, number][] = [[0.42, 0.44], [0.46, 0.43], [0.48, 0.47], [0.43, 0.48]]; // prettier-ignore

/**
 * A job from the survey to the bench. What is expected was written out by hand before it was run, from the order of work and the
 * methods' own rules: common practice.
 */
type Job = {
  piece: Partial<Piece>;
  face: Partial<Face>;
  damage: Partial<Damage> & { kind: Damage['kind'] };
  /** The methods in the order of work. */
  chain: MethodId[];
  /** Steps that must come in this order. */
  order: string[];
  /** Cautions that must stand before a step. */
  said: [step: string, caution: CautionId][];
};

const JOBS: Record<string, Job> = {
  'conserve: a blister over live hide glue, shellac that stays': {
    piece: { school: 'conserve', goal: 'keep' },
    face: { finishNow: 'shellac' },
    damage: { kind: 'blister', outline: MIDDLE, answers: { oldGlue: 'hide', glueLine: 'clean', woodAllPresent: true, brittle: false, coreSound: true } },
    chain: ['warmCaul'],
    order: ['p/intake', 'd/dryRun', 'd/press', 'd/off', 'p/reassemble'],
    said: [['d/press', 'heat'], ['d/press', 'hotGlue']],
  },
  'clear: a lifted edge with a bit missing': {
    piece: { goal: 'lacquer' },
    face: { finishNow: 'lacquer' },
    damage: { kind: 'liftedEdge', outline: FRONT, answers: { oldGlue: 'other', glueLine: 'clean', woodAllPresent: false, coreSound: true, donor: false, edgeBanding: false } },
    chain: ['floodAndPress', 'veneerPatch'],
    order: ['d/press', 'p/strip.thinner', 'd/veneerPatch.cut', 'd/veneerPatch.press', 'd/veneerPatch.trim', 'p/sand.150-180-220', 'p/coat1.lacquer', 'p/rub.lacquer'],
    said: [['p/strip.thinner', 'solvent'], ['p/coat1.lacquer', 'spray'], ['p/rub.lacquer', 'oilyRags']],
  },
  'clear: a chip over crumbled particle board': {
    piece: { goal: 'varnish' },
    face: { build: 'particleBoard', finishNow: 'lacquer' },
    damage: { kind: 'missingVeneer', outline: MIDDLE, answers: { coreSound: false, coreFault: 'crumbled', donor: false, edgeBanding: false } },
    chain: ['hardenCore', 'veneerPatch'],
    order: ['d/hardenCore.soak', 'd/hardenCore.bed', 'p/strip.thinner', 'd/cut', 'd/press', 'p/sand.150-180-220', 'p/coat3.varnish', 'p/rub.varnish'],
    said: [['d/hardenCore.soak', 'epoxy'], ['p/coat1.varnish', 'oilyRags']],
  },
  'paint: the same board, painted before': {
    piece: { school: 'paint', goal: 'paint' },
    face: { build: 'particleBoard', finishNow: 'paint' },
    damage: { kind: 'missingVeneer', outline: MIDDLE, answers: { coreSound: false, coreFault: 'crumbled', donor: false, edgeBanding: false } },
    chain: ['hardenCore', 'polyesterFiller'],
    order: ['d/hardenCore.soak', 'd/hardenCore.bed', 'p/key', 'd/fill2', 'p/coat1.paint', 'p/reassemble'],
    said: [['p/key', 'leadPaint'], ['d/fill2', 'leadPaint'], ['d/hardenCore.bed', 'leadPaint'], ['d/fill2', 'polyester']],
  },
  'clear: a deep gouge in lacquer that stays': {
    piece: { goal: 'keep' },
    face: { build: 'solid', veneerMm: 0, finishNow: 'lacquer' },
    damage: { kind: 'gouge', outline: [[0.42, 0.44], [0.44, 0.44], [0.44, 0.455], [0.42, 0.455]], answers: { fibresCut: true, depthMm: 8, finishBroken: true } },
    chain: ['fillBottom', 'burnIn', 'filmOver'],
    order: ['d/fillBottom.bottom', 'd/burn', 'd/filmOver.film', 'd/filmOver.sheen', 'p/reassemble'],
    said: [['d/burn', 'heat'], ['d/filmOver.film', 'solvent'], ['d/filmOver.sheen', 'dust']],
  },
  'conserve: a dent in oil that stays': {
    piece: { school: 'conserve', goal: 'keep' },
    face: { build: 'solid', veneerMm: 0, finishNow: 'oil' },
    damage: { kind: 'dent', outline: MIDDLE, answers: { fibresCut: false, finishBroken: true } },
    chain: ['steam', 'reoil'],
    order: ['d/steam', 'd/reoil.clean', 'd/reoil.oil', 'p/reassemble'],
    said: [['d/steam', 'iron'], ['d/reoil.oil', 'oilyRags']],
  },
  'clear: a split chair seat with its screw': {
    piece: { goal: 'oil' },
    face: { build: 'solid', veneerMm: 0, finishNow: 'oil', species: 'ash' },
    damage: { kind: 'endSplit', mark: { tool: 'line', points: [[0, 0.5], [0.25, 0.5]], widthMm: 1 }, answers: { closesByHand: true, screwInSplit: true, carriesLoad: true } },
    chain: ['screwSplit'],
    order: ['d/open', 'd/glue', 'd/cure', 'p/clean', 'p/coat1.oil', 'p/coat2.oil', 'd/pilot'],
    said: [['d/pilot', 'drill'], ['p/coat1.oil', 'oilyRags']],
  },
  'clear: a gaping glue line whose edges may be planed': {
    piece: { goal: 'varnish' },
    face: { build: 'solid', veneerMm: 0, finishNow: 'varnish', species: 'whiteOak' },
    damage: { kind: 'openGlueLine', mark: { tool: 'line', points: [[0, 0.5], [1, 0.5]], widthMm: 2 }, answers: { closesByHand: false, mayPlane: true, carriesLoad: true, dirty: false } },
    chain: ['planeJoint'],
    order: ['d/apart', 'd/plane', 'd/dryRun', 'd/glue', 'd/cure', 'p/strip'],
    said: [['d/plane', 'knife'], ['d/apart', 'heat']],
  },
  'paint: a chunk gone at a hinge': {
    piece: { school: 'paint', goal: 'paint' },
    face: { build: 'solid', veneerMm: 0, finishNow: 'paint', species: 'pine' },
    damage: { kind: 'brokenChunk', outline: FRONT, answers: { pieceKept: false, carriesLoad: true, depthMm: 14 } },
    chain: ['dutchman'],
    order: ['d/cut', 'd/fit', 'd/glue', 'd/cure', 'p/key', 'd/level', 'p/coat1.paint'],
    said: [['d/cut', 'leadPaint'], ['d/cut', 'router'], ['d/fit', 'bandSaw'], ['d/level', 'leadPaint']],
  },
  'clear: a black mark on walnut': {
    piece: { goal: 'shellac' },
    face: { build: 'solid', veneerMm: 0, finishNow: 'varnish' },
    damage: { kind: 'blackMark', outline: MIDDLE, answers: { inWood: true } },
    chain: ['oxalicAcid'],
    order: ['p/strip', 'p/sand.120-150-180-220', 'd/acid', 'd/rinse', 'p/coat1.shellac'],
    said: [['d/acid', 'oxalic'], ['d/rinse', 'oxalic']],
  },
  'conserve: a faded foot is missing from a piece of rosewood': {
    piece: { school: 'conserve', goal: 'keep' },
    face: { build: 'solid', veneerMm: 0, finishNow: 'shellac', species: 'rosewood' },
    damage: { kind: 'missingFoot', mark: { tool: 'corner', at: [0.99, 0.99], legsMm: [40, 40] }, answers: { pieceKept: false, patternThere: true, faded: true } },
    chain: ['bleachNew', 'newPart'],
    order: ['d/trace', 'd/make', 'd/glue', 'p/reassemble'],
    said: [['d/bleachNew.bleach', 'bleach'], ['d/make', 'bandSaw'], ['d/make', 'protectedWood'], ['p/intake', 'protectedWood']],
  },
  'clear: a cupboard that smells of smoke and holds a radio': {
    piece: { goal: 'keep', holds: ['electric'] },
    face: { finishNow: 'varnish', show: false },
    damage: { kind: 'mouldSmell', outline: MIDDLE, answers: { smellOf: 'smoke', stillDamp: false } },
    chain: ['airOut', 'sealInside'],
    order: ['d/air', 'd/sealInside.seal', 'p/reassemble'],
    said: [['p/intake', 'electricSet'], ['d/air', 'pestTreatment'], ['d/air', 'electricSet'], ['d/sealInside.seal', 'solvent']],
  },
}; // prettier-ignore

const inputOf = ({ piece, face, damage }: Job): JobInput => ({
  piece: { id: 'p', body: { ...newPiece('Piece', '2026-03-02T08:00:00'), ...piece } },
  faces: [
    {
      id: 'f',
      body: {
        ...newFace('p', 'Top'),
        scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 600, heightMm: 400 },
        grain: [[0, 0.5], [1, 0.5]], // prettier-ignore
        ...face,
      },
    },
  ],
  damages: [{ id: 'd', body: { ...newDamage('p', 'f', 1, damage.kind), ...damage } }],
  shop: DEFAULT_SHOP,
});

describe.each(Object.entries(JOBS))('%s', (_, job) => {
  const input = inputOf(job);
  const [face] = input.faces;
  const [damage] = input.damages;
  if (!face || !damage) throw new Error('a job has a face and a damage');
  const { tasks } = jobTasks(input);
  const find = (id: string): BenchTask | undefined => tasks.find((t) => t.id === id);

  test('the chain is the one a refinisher of that school would take', () => {
    const chain = chainFor(input.piece.body, face.body, damage.body, [damage.body], input.shop);
    expect(chain && linksOfChain(chain)).toEqual(job.chain);
  });

  test('its steps stand in the order of work, and the schedule keeps it', async () => {
    const at = job.order.map((id) => tasks.findIndex((t) => t.id === id));
    expect(at).not.toContain(-1);
    const hours = { resources: resourcesOf(input.shop), workingHours: input.shop.workingHours };
    const { tasks: planned } = await schedule(benchInput(tasks, [], hours, '2026-03-02T08:00:00'));
    const starts = job.order.map((id) => planned.find((t) => t.id === id)?.start ?? '');
    expect(starts).toEqual([...starts].sort());
    expect(planned).toHaveLength(tasks.length);
  });

  test('its cautions stand before their steps, and every step that can hurt defers to label and code', () => {
    for (const [id, caution] of job.said) expect(`${id} ${find(id)?.cautions.join()}`).toContain(caution);
    for (const t of tasks) expect(t.cautions[t.cautions.length - 1]).toBe('always');
  });

  test('no more clamps are asked for than there are, and minutes have a source', () => {
    for (const t of tasks) {
      for (const [kind, count] of Object.entries(t.needs))
        expect(count).toBeLessThanOrEqual(resourcesOf(input.shop)[kind] ?? 0);
      expect(t.from).toMatch(/^Work: (From memory|Worked out here|Common practice).*\./);
    }
  });

  test('the paper names the whole chain once it is chosen', () => {
    const chain = chainFor(input.piece.body, face.body, damage.body, [damage.body], input.shop);
    const chosen: Damage = {
      ...damage.body,
      ...(chain ? { method: chain.method } : {}),
      methodReason: 'So agreed.',
    };
    const words = repairWords({ ...input, damages: [{ id: 'd', body: chosen }] }, { id: 'd', body: chosen });
    expect(words.match(/, then /g) ?? []).toHaveLength(job.chain.length - 1);
    expect(words).toContain(' Reason: So agreed.');
    const { repairs } = planOf({ ...input, damages: [{ id: 'd', body: chosen }] });
    expect(repairs[0]?.words).toBe(words);
    // Glue and clamps are those of the plan, and the bench keeps as many.
    for (const { glue, clamps = {} } of repairs[0]?.links ?? []) {
      if (glue) expect(words).toContain(`Glue: ${glue.label}.`);
      for (const [kind, count] of Object.entries(clamps))
        expect(words).toContain(`${count} × ${clampById(kind).label}`);
    }
    expect(words).not.toContain('against the advice');
  });
});

test('every school has its jobs, and every family of methods but leaving is met', () => {
  const families = new Set(Object.values(JOBS).flatMap((j) => j.chain.map((m) => methodById(m).family)));
  expect(families).toEqual(
    new Set(['reglue', 'patch', 'core', 'structure', 'letIn', 'fill', 'surface', 'care']),
  );
  const schools = new Set(Object.values(JOBS).map((j) => j.piece.school ?? 'clear'));
  expect(schools).toEqual(new Set(['conserve', 'clear', 'paint']));
  expect(Object.keys(JOBS)).toHaveLength(12);
});

/** Follows what each task waits for; true when some task waits, at the end of it, for itself. */
function chasesItself(tasks: readonly BenchTask[]): boolean {
  const left = new Map(tasks.map((t) => [t.id, new Set(t.after)]));
  for (;;) {
    const free = [...left].filter(([, after]) => [...after].every((id) => !left.has(id))).map(([id]) => id);
    if (free.length === 0) return left.size > 0;
    for (const id of free) left.delete(id);
  }
}

const anyAnswers = fc.record(
  Object.fromEntries(QUESTIONS.map((q) => [q.fact, fc.constantFrom(...q.answers.map((a) => a.value))])),
  { requiredKeys: [] },
);
const anyWays = fc.record({
  patchOrder: fc.constantFrom('before' as const, 'after' as const),
  veneerOrder: fc.constantFrom('before' as const, 'after' as const),
  crackOrder: fc.constantFrom('before' as const, 'after' as const),
});

test('whatever is known, chosen and switched, no plan chases itself and none loses a link of its chain', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...METHODS.filter((m) => m.kinds.length > 0 && m.id !== 'leave')),
      fc.constantFrom('conserve' as const, 'clear' as const, 'paint' as const),
      fc.constantFrom('keep' as const, 'shellac' as const, 'paint' as const),
      fc.constantFrom('shellac' as const, 'oil' as const, 'paint' as const),
      anyAnswers,
      anyWays,
      (method, school, goal, finishNow, answers, ways) => {
        const [kind = 'gouge'] = method.kinds;
        const damage = { kind, outline: MIDDLE, answers: { ...answers, depthMm: 8 }, method: method.id };
        const input = inputOf({ piece: { school, goal, ways }, face: { finishNow }, damage, chain: [], order: [], said: [] }); // prettier-ignore
        const [face] = input.faces;
        const [body] = input.damages;
        const { tasks } = jobTasks(input);
        expect(chasesItself(tasks)).toBe(false);
        const chain = chainFor(
          input.piece.body,
          face?.body,
          body?.body ?? newDamage('p', 'f', 1, kind),
          [],
          input.shop,
        );
        for (const link of chain ? linksOfChain(chain) : []) {
          if (link === 'renewFinish' && goal !== 'keep') continue;
          const prefix = link === method.id ? 'd/' : `d/${link}.`;
          expect(`${link} ${tasks.some((t) => t.id.startsWith(prefix))}`).toBe(`${link} true`);
        }
      },
    ),
    { numRuns: 300 },
  );
});

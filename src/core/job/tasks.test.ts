import { schedule } from '../bench';
import { compute } from '../computations';
import { DEFAULT_SHOP, newDamage, newFace, newPiece } from './defaults';
import { jobTasks, type JobInput } from './tasks';

const WHOLE: [number, number][] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore

/** A writing box: a lifted edge with a bit missing and wax in its glue line, and a painted back that is painted again. */
const JOB: JobInput = {
  piece: { id: 'box', body: { ...newPiece('Writing box', '2026-03-02T08:00:00'), goal: 'lacquer' } },
  faces: [
    {
      id: 'top',
      body: {
        ...newFace('box', 'Top'),
        finishNow: 'lacquer',
        scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 600, heightMm: 400 },
        grain: [[0, 0.5], [1, 0.5]], // prettier-ignore
      },
    },
    {
      id: 'back',
      body: { ...newFace('box', 'Back'), build: 'solid', veneerMm: 0, finishNow: 'paint', goal: 'paint' },
    },
  ],
  damages: [
    {
      id: 'd1',
      body: {
        ...newDamage('box', 'top', 1, 'liftedEdge'),
        outline: [[0.2, 1], [0.22, 0.9], [0.45, 0.9], [0.47, 1]], // prettier-ignore
        answers: { woodAllPresent: false, glueLine: 'waxy', oldGlue: 'other', brittle: false, coreSound: true, donor: false, edgeBanding: false }, // prettier-ignore
      },
    },
  ],
  shop: DEFAULT_SHOP,
};

test('a job as JSON becomes the steps of its chains, in the order of the work, each face by its own finish', async () => {
  const { tasks } = jobTasks(JOB);
  // Common practice, written out by hand: wash, flood, strip the clear face, scuff the painted one, patch, level, coat, rub.
  expect(tasks.map((t) => t.id)).toEqual([
    'box/intake',
    'd1/washGlueLine.wash', 'd1/clean', 'd1/dryRun', 'd1/press', 'd1/off', 'd1/cure',
    'box/key', 'box/strip.thinner',
    'd1/veneerPatch.cut', 'd1/veneerPatch.fit', 'd1/veneerPatch.press', 'd1/veneerPatch.off', 'd1/veneerPatch.cure',
    'd1/veneerPatch.trim', 'box/sand.150-180-220',
    'box/coat1.lacquer', 'box/coat2.lacquer', 'box/coat3.lacquer',
    'box/coat1.paint', 'box/coat2.paint', 'box/coat3.paint',
    'box/rub.lacquer',
    'box/reassemble',
  ]); // prettier-ignore
  expect(tasks.find((t) => t.id === 'box/key')?.detail).toContain('Here: Back.');
  expect(tasks.find((t) => t.id === 'box/strip.thinner')?.detail).toContain('Here: Top.');
});

test('the registry’s door gives the same, and the schedule takes it', async () => {
  const answer = (await compute('job.tasks', JSON.parse(JSON.stringify(JOB)))) as ReturnType<typeof jobTasks>;
  expect(answer).toEqual(jobTasks(JOB));
  const planned = await schedule({
    tasks: answer.tasks.map(({ id, attendedMin, unattendedMin, after, needs, attendedNeeds }) => ({ id, attendedMin, unattendedMin, after, needs, attendedNeeds })), // prettier-ignore
    resources: answer.resources,
    start: '2026-03-02T08:00:00',
    workingHours: DEFAULT_SHOP.workingHours,
  });
  expect(planned.tasks).toHaveLength(answer.tasks.length);
});

test.each<[string, unknown, string]>([
  ['no piece', { ...JOB, piece: undefined }, 'piece'],
  [
    'a method that does not exist',
    { ...JOB, damages: [{ id: 'd1', body: { ...JOB.damages[0]?.body, method: 'magic' } }] },
    'method',
  ],
  ['two damages of one name', { ...JOB, damages: [JOB.damages[0], JOB.damages[0]] }, 'damages'],
  [
    'a way that nobody knows',
    { ...JOB, piece: { id: 'box', body: { ...JOB.piece.body, ways: { acid: 'everywhere' } } } },
    'acid',
  ],
])('%s is refused by the name of its field', async (_, input, field) => {
  await expect(compute('job.tasks', JSON.parse(JSON.stringify(input)))).rejects.toThrow(field);
});

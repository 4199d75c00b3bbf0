import { BEAT, openLine, overLine, WorkerLost, type Line } from './line';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

type Fake = { worker: Worker; answers: boolean; ended: boolean; say: (data: unknown) => void };

/** Workers one after the other; the first so many never answer. */
function shopOf(dumb: number) {
  const made: Fake[] = [];
  let line: Line<Fake> | undefined;
  const open = (): Line<Fake> => {
    if (line) return line;
    const fake: Fake = {
      worker: {
        terminate: () => (fake.ended = true),
        onerror: null,
        addEventListener: (_: string, hear: (e: { data: unknown }) => void) =>
          (fake.say = (data) => hear({ data })),
      } as unknown as Worker,
      say: () => undefined,
      answers: made.length >= dumb,
      ended: false,
    };
    made.push(fake);
    line = openLine(
      fake.worker,
      fake,
      () => (fake.answers ? Promise.resolve() : new Promise(() => undefined)),
      () => (line = undefined),
    );
    return line;
  };
  const work = jest.fn((fake: Fake) =>
    fake.answers ? Promise.resolve('done') : new Promise<string>(() => undefined),
  );
  return { made, open, work };
}

test('a worker that falls silent is told within seconds, ended, and its work done by a new one', async () => {
  const { made, open, work } = shopOf(1);
  const done = overLine(open, work, true);
  await jest.advanceTimersByTimeAsync(15_000);
  await expect(done).resolves.toBe('done');
  expect(made.map((m) => m.ended)).toEqual([true, false]);
  expect(work).toHaveBeenCalledTimes(2);
});

test('a worker that beats from within its work is not lost, however long it takes; once it is silent it is', async () => {
  const { made, open, work } = shopOf(1);
  const done = overLine(open, work, false);
  const told = expect(done).rejects.toBeInstanceOf(WorkerLost);
  for (let i = 0; i < 20; i++) {
    await jest.advanceTimersByTimeAsync(10_000);
    expect(made[0]?.ended).toBe(false);
    made[0]?.say(BEAT);
    made[0]?.say('something else');
  }
  await jest.advanceTimersByTimeAsync(15_000);
  await told;
  expect(made[0]?.ended).toBe(true);
});

test('what must not be done twice is told instead', async () => {
  const { open, work } = shopOf(1);
  const done = overLine(open, work, false);
  const told = expect(done).rejects.toThrow('What was saved is safe');
  await jest.advanceTimersByTimeAsync(15_000);
  await told;
  expect(work).toHaveBeenCalledTimes(1);
});

test('a worker that cannot be loaded is told at once, and not tried for ever', async () => {
  const { made, open, work } = shopOf(9);
  const done = overLine(open, work, true);
  const told = expect(done).rejects.toBeInstanceOf(WorkerLost);
  made[0]?.worker.onerror?.(new Event('error') as ErrorEvent);
  await jest.advanceTimersByTimeAsync(0);
  made[1]?.worker.onerror?.(new Event('error') as ErrorEvent);
  await told;
  expect(made).toHaveLength(2);
});

test('a worker that is busy for some seconds is left alone, and one without work is not asked', async () => {
  const { made, open } = shopOf(0);
  let finish: (text: string) => void = () => undefined;
  const done = overLine(open, () => new Promise<string>((resolve) => (finish = resolve)), true);
  await jest.advanceTimersByTimeAsync(1000);
  if (made[0]) made[0].answers = false;
  await jest.advanceTimersByTimeAsync(9000);
  if (made[0]) made[0].answers = true;
  await jest.advanceTimersByTimeAsync(60_000);
  finish('late');
  await expect(done).resolves.toBe('late');
  await jest.advanceTimersByTimeAsync(60_000);
  expect(made.map((m) => m.ended)).toEqual([false]);
});

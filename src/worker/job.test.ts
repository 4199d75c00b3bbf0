import { breathe } from '@/core/check';
import { cancel, job } from './job';

test('an answer crosses as a value, a wrong input and a fault each as what they are', async () => {
  expect(await job(1, undefined, async () => 42)).toEqual({ value: 42 });
  const wrong = await job(2, undefined, async () => {
    throw new RangeError('No photo is there.');
  });
  expect(wrong).toEqual({ error: 'No photo is there.', kind: 'input' });
  const fault = await job(3, undefined, async () => {
    throw new TypeError('x is not a function');
  });
  expect(fault).toEqual({ error: 'x is not a function', kind: 'other' });
  // A package that throws what is no error.
  expect(await job(4, undefined, () => Promise.reject('full'))).toEqual({ error: 'full', kind: 'other' });
});

test('a job is cancelled between two portions by its number, and no other is', async () => {
  const seen: number[] = [];
  const long = (id: number) =>
    job(id, (f) => seen.push(f), async (context) => {
      for (let i = 0; i < 50; i++) {
        if (id === 7 && i === 3) cancel(7);
        await breathe(context, i / 50);
      }
      return id;
    }); // prettier-ignore
  const [one, other] = await Promise.all([long(7), long(8)]);
  expect(one).toMatchObject({ kind: 'aborted' });
  expect(other).toEqual({ value: 8 });
  expect(Math.max(...seen)).toBeCloseTo(0.98, 9);
  // A number that is not at work is nobody's.
  expect(() => cancel(99)).not.toThrow();
});

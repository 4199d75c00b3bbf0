import fc from 'fast-check';
import { emptyTimeline, fullUntil, hold } from './timeline';

type Held = { from: number; to: number; amount: number };
const helds = fc.array(
  fc.record({ from: fc.integer({ min: 0, max: 40 }), length: fc.integer({ min: 0, max: 12 }), amount: fc.integer({ min: 1, max: 3 }) }),
  { maxLength: 12 },
); // prettier-ignore

/** Minute by minute, without any of the bookkeeping. */
const usedAt = (list: readonly Held[], t: number): number =>
  list.filter((h) => h.from <= t && h.to > t).reduce((s, h) => s + h.amount, 0);

test('what is in use, and when a full stretch ends, are as counted minute by minute', () => {
  fc.assert(
    fc.property(helds, fc.integer({ min: 0, max: 50 }), fc.integer({ min: 1, max: 15 }), fc.integer({ min: 0, max: 4 }), (list, from, length, room) => {
      const line = emptyTimeline();
      const held = list.map((h) => ({ from: h.from, to: h.from + h.length, amount: h.amount }));
      for (const h of held) hold(line, h.from, h.to, h.amount);
      // The first minute from which the whole length has room.
      const free = (t: number): boolean => Array.from({ length }, (_, i) => usedAt(held, t + i)).every((u) => u <= room);
      let expected = from;
      while (!free(expected)) expected++;
      let begin = from;
      for (let until = fullUntil(line, begin, begin + length, room); until !== undefined; until = fullUntil(line, begin, begin + length, room)) begin = until;
      expect(begin).toBe(expected);
    }),
    { numRuns: 2000 },
  ); // prettier-ignore
});

test('stretches that are alike are one', () => {
  const line = emptyTimeline();
  hold(line, 0, 10, 1);
  hold(line, 10, 20, 1);
  hold(line, 20, 30, 1);
  expect(line).toEqual({ at: [-Infinity, 0, 30], used: [0, 1, 0] });
});

import type { BenchTask, Schedule } from '../bench';
import { barsOf } from './front';

const task = (id: string, attendedMin = 10): BenchTask & { pieceName: string; pieceId: string } => ({
  id, phase: 'patch', title: id, detail: '', attendedMin, unattendedMin: 0, after: [], needs: { fStyle: 2 }, attendedNeeds: { hands: 1 }, cautions: [], from: '', pieceName: 'Chest', pieceId: 'p',
}); // prettier-ignore
const at = (hour: number): string => `2026-03-02T${String(hour).padStart(2, '0')}:00:00`;

test('of the steps by their time, the first that is not done is the next, and no other', () => {
  const tasks = ['b', 'a', 'c'].map((id) => task(id));
  const timed: Schedule = {
    tasks: [['c', 10], ['a', 8], ['b', 9]].map(([id, h]) => ({ id: String(id), start: at(Number(h)), attendedEnd: at(Number(h)), end: at(Number(h) + 1) })),
    finish: at(11),
    lowerBound: at(11),
  }; // prettier-ignore
  const bars = barsOf(tasks, timed, new Set(['a']));
  expect(bars.map((b) => [b.id, b.done, b.next])).toEqual([['a', true, false], ['b', false, true], ['c', false, false]]); // prettier-ignore
  expect(bars[0]?.clamps).toEqual({ 'F-style clamp': 2 });
});

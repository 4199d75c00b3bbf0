import { planningTime } from './clock';

test.each([
  ['2026-03-02T08:00:00', '08:00'],
  ['2026-03-02T08:14:59', '08:00'],
  ['2026-03-02T08:15:00', '08:15'],
  ['2026-03-02T08:59:59', '08:45'],
])('at %s the quarter that runs is %s', (now, quarter) => {
  jest.useFakeTimers({ now: new Date(now) });
  expect(planningTime().slice(11, 16)).toBe(quarter);
  jest.useRealTimers();
});

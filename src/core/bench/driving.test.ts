import { drivingChain } from './driving';

const at = (id: string, start: number, end: number) => {
  const local = (h: number): string => `2026-03-02T${String(h).padStart(2, '0')}:00:00`;
  return { id, start: local(start), attendedEnd: local(end), end: local(end) };
};

test('the chain that drives the end goes back through what was waited for longest', () => {
  const tasks = [
    { id: 'clean', after: [] },
    { id: 'glue', after: ['clean'] },
    { id: 'dye', after: ['clean'] },
    { id: 'coat', after: ['glue', 'dye'] },
    { id: 'hinges', after: [] },
  ];
  const times = [
    at('clean', 8, 9),
    at('glue', 9, 14),
    at('dye', 9, 10),
    at('coat', 14, 15),
    at('hinges', 10, 11),
  ];
  expect(drivingChain(tasks, times)).toEqual(['clean', 'glue', 'coat']);
});

test('steps of other pieces are no part of it, and nothing drives nothing', () => {
  expect(drivingChain([{ id: 'a', after: ['gone'] }], [at('a', 8, 9), at('other', 9, 20)])).toEqual(['a']);
  expect(drivingChain([], [])).toEqual([]);
});

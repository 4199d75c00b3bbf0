import { asOldHere } from './marks';

const mark = (deletedAt: string) => ({
  kind: 'piece' as const,
  id: 'p',
  title: 'Chest',
  deletedAt,
  seen: {},
});

test('a mark of another device is as old here as it was there when its file was saved', () => {
  const now = '2030-05-01T12:00:00';
  const here = (deletedAt: string, savedAt: string): string => asOldHere(mark(deletedAt), savedAt, now).deletedAt; // prettier-ignore
  expect(here('2026-03-01T10:00:00', '2026-03-01T10:30:00')).toBe('2030-05-01T11:30:00');
  expect(here('2026-03-01T10:00:00', '2026-03-01T10:00:00')).toBe(now);
  // Deleted later than its file was saved: by a clock that was put back.
  expect(here('2026-03-01T11:00:00', '2026-03-01T10:00:00')).toBe(now);
  expect(here('not a time', '2026-03-01T10:00:00')).toBe(now);
});

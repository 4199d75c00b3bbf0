import { backupReminder } from './backup';

const TODAY = '2026-03-20T10:00:00';

test.each([
  ['a new shop with little in it is left in peace', { changed: 5 }, undefined],
  ['one that was never saved is told when there is something to lose', { changed: 12 }, 'never saved'],
  [
    'nothing changed: nothing to say, however long ago',
    { last: '2025-01-01T10:00:00', changed: 0 },
    undefined,
  ],
  ['a little changed, a short while ago', { last: '2026-03-18T10:00:00', changed: 20 }, undefined],
  ['a week ago', { last: '2026-03-13T23:59:00', changed: 1 }, '7 days ago; 1 record has changed'],
  ['much in one day', { last: '2026-03-19T10:00:00', changed: 60 }, 'yesterday; 60 records have changed'],
  ['a clock that was set back', { last: '2026-03-25T10:00:00', changed: 99 }, 'saved to a file today'],
])('%s', (_, unsaved, words) => {
  const said = backupReminder(unsaved, TODAY);
  expect(said === undefined ? undefined : said.includes(words ?? '?')).toBe(
    words === undefined ? undefined : true,
  );
});

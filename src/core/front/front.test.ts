import { differenceInCalendarDays, parseISO } from 'date-fns';
import fc from 'fast-check';
import { found, barsOn, clampsInUse, daysLeft, daysOf, daysUntil, nextWords, readFront, readyOn, slackDays, slackWords, type Bar, type Front } from '.'; // prettier-ignore

const at = (day: number, clock: string): string => `2026-03-${String(day).padStart(2, '0')}T${clock}:00`;
const bar = (id: string, start: string, attendedEnd: string, end: string, more: Partial<Bar> = {}): Bar => ({
  id,
  title: id,
  piece: 'Box',
  start,
  attendedEnd,
  end,
  done: false,
  next: false,
  clamps: {},
  ...more,
});
const FRONT: Front = {
  pieces: [
    {
      id: 'p',
      name: 'Box',
      school: 'Clear',
      createdAt: at(1, '08:00'),
      deadline: '2026-03-20',
      next: 'start at the bench',
      done: 2,
      all: 9,
      trail: [{ title: 'Survey', state: 'done' }],
      picture: {
        from: 'x',
        widthMm: 600,
        heightMm: 400,
        jpeg: '/9jAAAA',
        marks: [{ relief: 'hole', number: 1, outline: [[0, 0], [9, 0], [9, 9]] }], // prettier-ignore
      },
    },
  ],
  unreadable: 0,
  bars: [bar('a', at(2, '09:00'), at(2, '09:30'), at(2, '10:00'))],
  hours: { from: 480, to: 1020 },
};

test('what was kept is read back as it was', () => {
  expect(readFront(JSON.stringify(FRONT))).toEqual(FRONT);
});

test.each<[string, unknown]>([
  ['nothing', null],
  ['a list', []],
  ['no pieces', { ...FRONT, pieces: undefined }],
  ['a name that is none', { ...FRONT, pieces: [{ ...FRONT.pieces[0], name: 7 }] }],
  ['an id that leads elsewhere', { ...FRONT, pieces: [{ ...FRONT.pieces[0], id: '../x' }] }],
  ['a day that is none', { ...FRONT, pieces: [{ ...FRONT.pieces[0], deadline: 'soon' }] }],
  ['a state nobody knows', { ...FRONT, pieces: [{ ...FRONT.pieces[0], trail: [{ title: 'x', state: 'lit' }] }] }],
  ['a picture that is a page', { ...FRONT, pieces: [{ ...FRONT.pieces[0], picture: { ...FRONT.pieces[0]?.picture, jpeg: '<svg>' } }] }],
  ['a face without a size', { ...FRONT, pieces: [{ ...FRONT.pieces[0], picture: { ...FRONT.pieces[0]?.picture, widthMm: 0 } }] }],
  ['a bar without an end', { ...FRONT, bars: [{ ...FRONT.bars[0], end: undefined }] }],
  ['a count below nothing', { ...FRONT, unreadable: -1 }],
])('%s is not shown', (_, value) => {
  expect(readFront(JSON.stringify(value))).toBeUndefined();
}); // prettier-ignore

test('text that is no JSON is not shown, and breaks nothing', () => {
  for (const text of [null, '', '{', 'front']) expect(readFront(text)).toBeUndefined();
});

test('days until a day are those of the calendar (date-fns)', () => {
  const day = fc.date({ min: new Date('2020-01-01'), max: new Date('2035-12-31'), noInvalidDate: true });
  fc.assert(
    fc.property(day, day, (a, b) => {
      const [to, from] = [a.toISOString().slice(0, 10), b.toISOString().slice(0, 10)];
      expect(daysUntil(to, from)).toBe(differenceInCalendarDays(parseISO(to), parseISO(from)));
    }),
  );
});

test.each([
  ['2026-03-10', 'Due today'],
  ['2026-03-11', '1 day left'],
  ['2026-03-24', '14 days left'],
  ['2026-03-09', '1 day late'],
  ['2026-03-01', '9 days late'],
])('%s: %s', (deadline, words) => expect(daysLeft(deadline, '2026-03-10T10:00:00')).toBe(words));

describe('days', () => {
  const night = bar('glue', at(2, '16:00'), at(2, '16:30'), at(3, '08:00'), { clamps: { 'C-clamp': 3 } });
  const early = bar('press', at(3, '07:00'), at(3, '07:20'), at(3, '12:00'), { clamps: { 'C-clamp': 2, 'F-style clamp': 1 } }); // prettier-ignore
  const late = bar('more', at(3, '08:00'), at(3, '09:00'), at(3, '10:00'), { clamps: { 'C-clamp': 2 } });
  const done = bar('done', at(1, '08:00'), at(1, '09:00'), at(1, '09:00'), { done: true });
  const bars = [late, early, night, done];

  test('what is still to begin, and what touches a day', () => {
    expect(daysOf(bars)).toEqual(['2026-03-02', '2026-03-03']);
    expect(barsOn(bars, '2026-03-03').map((b) => b.id)).toEqual(['glue', 'press', 'more']);
    expect(barsOn(bars, '2026-03-04')).toEqual([]);
  });

  test('the most clamps at a time: 3 and 2 from seven to eight, then 2 and 2', () => {
    expect(clampsInUse(bars, '2026-03-03')).toEqual({ 'C-clamp': 5, 'F-style clamp': 1 });
    expect(clampsInUse(bars, '2026-03-02')).toEqual({ 'C-clamp': 3 });
    expect(clampsInUse(bars, '2026-03-01')).toEqual({});
  });
});

test('a search finds every word, whatever its capitals and accents', () => {
  const piece = (id: string, name: string, next = 'start at the bench') => ({
    id, name, school: 'Conserve', createdAt: '2026-03-02T08:00:00', next, done: 0, all: 0, trail: [],
  }); // prettier-ignore
  const pieces = [
    piece('a', 'Café table, small'),
    piece('b', 'Chest'),
    piece('c', 'Table', 'glue the split'),
  ];
  const ids = (search: string): string => found(pieces, search).map((p) => p.id).join(''); // prettier-ignore
  expect([ids(''), ids('  '), ids('TABLE'), ids('cafe table'), ids('table glue'), ids('conserve'), ids('sofa')]).toEqual(['abc', 'abc', 'ac', 'a', 'c', 'abc', '']); // prettier-ignore
});

test('a piece is ready on the day its last step ends, waiting too; and stands so against the day it is wanted', () => {
  const bars = [
    { ...bar('a', at(2, '09:00'), at(2, '09:30'), at(4, '10:00')), pieceId: 'p' },
    { ...bar('b', at(3, '09:00'), at(3, '09:30'), at(3, '10:00')), pieceId: 'p' },
    { ...bar('c', at(9, '09:00'), at(9, '09:30'), at(9, '10:00')), pieceId: 'other' },
  ];
  expect(readyOn(bars, 'p')).toBe('2026-03-04');
  expect(readyOn(bars, 'nobody')).toBeUndefined();
  expect([slackDays('2026-03-07', '2026-03-04'), slackDays('2026-03-04', '2026-03-04'), slackDays('2026-03-03', '2026-03-04')].map(slackWords)).toEqual(['3 days to spare', 'Ready on the day', '1 day too late']); // prettier-ignore
});

test('what is next is told with its day, to the hour where that can be known', () => {
  const today = '2026-12-01T09:00:00';
  expect(nextWords('2026-12-01T14:45:00', today)).toBe('14:45 on Tuesday 1 December');
  expect(nextWords('2026-12-04T08:00:00', today)).toBe('Friday 4 December, in the morning');
});

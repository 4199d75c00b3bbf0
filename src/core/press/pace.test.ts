import { paceOf } from './pace';

test('the pace is the book’s, then the owner’s, then what the clock has shown', () => {
  expect(paceOf({}).spreadMinPer100Cm2.value).toBe(1);
  expect(paceOf({}).secondsPerClamp.value).toBe(30);
  const pace = { spreadMinPer100Cm2: 2, secondsPerClamp: 12 };
  expect(paceOf({ pace }).secondsPerClamp.value).toBe(12);
  // Laid in half as long again as the book has it, three times over.
  const learned = { laying: [1.5, 1.5, 1.5] };
  expect(paceOf({ pace, learned }).spreadMinPer100Cm2.value).toBeCloseTo(1.5);
  expect(paceOf({ pace, learned }).secondsPerClamp.value).toBeCloseTo(45);
});

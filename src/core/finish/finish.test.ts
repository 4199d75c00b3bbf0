import { FINISH_TESTS, finishFromTests, type ClearFinish, type FinishTestResult } from './finish';

/** A finish that answers as it usually does. */
function told(finish: ClearFinish): { finish: ClearFinish | undefined; tests: FinishTestResult[] } {
  const tests: FinishTestResult[] = [];
  for (let i = 0; i < 6; i++) {
    const { next } = finishFromTests({ results: tests });
    if (!next) break;
    tests.push({ test: next, reacts: FINISH_TESTS[next].reacts[finish] > 0.5 });
  }
  return { finish: finishFromTests({ results: tests }).likely[0]?.finish, tests };
}

test.each<ClearFinish>(['bare', 'wax', 'oil', 'shellac', 'lacquer', 'waterborne', 'varnish'])(
  'common practice: %s is told by the tests that are asked for',
  (finish) => {
    const { finish: found, tests } = told(finish);
    expect(found).toBe(finish);
    // Varnish answers to nothing, so it is what is left when all the others are ruled out.
    expect(tests.length).toBeLessThanOrEqual(finish === 'varnish' ? 6 : 5);
  },
);

test('bare wood is told without any solvent that softens a finish', () => {
  expect(told('bare').tests.every((t) => FINISH_TESTS[t.test].harm === 0)).toBe(true);
});

test('a gentle test comes first: the first test asked for leaves no trace or tells a great deal', () => {
  const { next, sure } = finishFromTests({ results: [] });
  expect(sure).toBe(false);
  expect(next && FINISH_TESTS[next].harm).toBeLessThanOrEqual(2);
});

test('common practice: alcohol softens shellac only, thinner softens lacquer', () => {
  const soft = finishFromTests({ results: [{ test: 'alcohol', reacts: true }] });
  expect(soft.likely[0]?.finish).toBe('shellac');
  const hard = finishFromTests({ results: [{ test: 'alcohol', reacts: false }, { test: 'lacquerThinner', reacts: true }] }); // prettier-ignore
  expect(hard.likely[0]?.finish).toBe('lacquer');
});

test('chances add up to one, and a test made twice counts once', () => {
  const once = finishFromTests({ results: [{ test: 'waterDrop', reacts: false }] });
  const twice = finishFromTests({ results: [{ test: 'waterDrop', reacts: true }, { test: 'waterDrop', reacts: false }] }); // prettier-ignore
  expect(twice).toEqual(once);
  expect(once.likely.reduce((s, l) => s + l.chance, 0)).toBeCloseTo(1, 12);
});

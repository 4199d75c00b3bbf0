import fc from 'fast-check';
import { fcnnlsVector } from 'ml-fcnnls';
import { deltaE00, labFromRgb, type Lab } from '../colour';
import { seededRandom } from '../check';
import { absorptionOf, reflectanceOf } from './kubelkaMunk';
import { mixColour, mixtureOf, partOf, SAME_TO_THE_EYE, type Colourant } from './mix';
import { portions } from './search';
import { brightnessIn, labOf, spectrumOf } from './spectrum';

const BROWNS: Colourant[] = [
  { id: 'straw', lab: labFromRgb(222, 190, 140) },
  { id: 'honey', lab: labFromRgb(196, 142, 78) },
  { id: 'nut', lab: labFromRgb(122, 78, 44) },
  { id: 'red', lab: labFromRgb(140, 60, 36) },
  { id: 'umber', lab: labFromRgb(70, 50, 36) },
  { id: 'black', lab: labFromRgb(28, 24, 22) },
  { id: 'white', lab: labFromRgb(240, 236, 228) },
];

/** Some colours as wood has them. */
const woods = (seed: number, count: number): Colourant[] => {
  const random = seededRandom(seed);
  return Array.from({ length: count }, (_, i) => ({
    id: `c${i}`,
    lab: [20 + 65 * random(), -2 + 24 * random(), 4 + 34 * random()] as const,
    strength: 0.5 + 1.5 * random(),
  }));
};

/** Every mixture in every order of parts, each from its colours anew, without leaving anything out. */
function bruteForce(
  target: Lab,
  colourants: readonly Colourant[],
  mostColourants: number,
  mostParts: number,
): number {
  let best = Infinity;
  const counts = new Array<number>(colourants.length).fill(0);
  const at = (k: number, left: number, kinds: number): void => {
    if (k === colourants.length) {
      if (kinds === 0) return;
      const spectra = colourants.map((c) => ({ r: spectrumOf(c.lab), s: c.strength ?? 1 }));
      const mixed = new Float64Array(spectra[0]?.r.length ?? 0);
      for (let i = 0; i < mixed.length; i++) {
        let top = 0;
        let bottom = 0;
        spectra.forEach(({ r, s }, c) => {
          const scattering = (counts[c] ?? 0) * s * brightnessIn(r);
          top += scattering * absorptionOf(r[i] ?? 1);
          bottom += scattering;
        });
        mixed[i] = reflectanceOf(top / bottom);
      }
      best = Math.min(best, deltaE00(labOf(mixed), target));
      return;
    }
    for (let n = 0; n <= left; n++) {
      if (n > 0 && kinds === mostColourants) break;
      counts[k] = n;
      at(k + 1, left - n, kinds + (n > 0 ? 1 : 0));
    }
    counts[k] = 0;
  };
  at(0, mostParts, 0);
  return best;
}

test('a colour that is on the shelf is one part of itself', async () => {
  for (const c of BROWNS) {
    const { recipes } = await mixColour({
      target: c.lab,
      colourants: BROWNS,
      mostColourants: 3,
      mostParts: 6,
    });
    expect(recipes[0]?.parts).toEqual([{ id: c.id, parts: 1 }]);
    expect(recipes[0]?.deltaE00).toBeLessThan(0.05);
  }
});

test('the best of all mixtures is found, as trying every one does', async () => {
  const random = seededRandom(4);
  for (let seed = 1; seed <= 12; seed++) {
    const colourants = woods(seed, 6);
    const target: Lab = [30 + 45 * random(), 2 + 16 * random(), 8 + 24 * random()];
    const { recipes } = await mixColour({ target, colourants, mostColourants: 3, mostParts: 5 });
    expect(recipes[0]?.deltaE00).toBeCloseTo(bruteForce(target, colourants, 3, 5), 9);
    expect(recipes).toHaveLength(8);
    recipes.forEach((r, i) => {
      if (i > 0) expect(r.deltaE00).toBeGreaterThanOrEqual(recipes[i - 1]?.deltaE00 ?? Infinity);
      expect(r.parts.length).toBeLessThanOrEqual(3);
      expect(r.parts.reduce((s, p) => s + p.parts, 0)).toBeLessThanOrEqual(5);
      expect(deltaE00(r.lab, target)).toBeCloseTo(r.deltaE00, 9);
    });
  }
});

test('a mixture that was made comes back, and non-negative least squares finds the same parts', async () => {
  const made = [3, 2, 1];
  const members = [1, 3, 4].map((i) => BROWNS[i]).flatMap((c) => (c ? [c] : []));
  const mixed = mixtureOf(members.map((c, i) => ({ part: partOf(c), parts: made[i] ?? 0 })));
  const target = labOf(mixed);
  const { recipes } = await mixColour({ target, colourants: BROWNS, mostColourants: 3, mostParts: 6 });
  expect(recipes[0]?.deltaE00).toBeLessThan(1e-6);
  expect(recipes[0]?.parts).toEqual(members.map((c, i) => ({ id: c.id, parts: made[i] })));
  // At the right parts absorption less K/S times scattering is nothing in every band; the last row makes the parts six.
  const parts = BROWNS.map(partOf);
  const rows = Array.from(mixed, (r, i) =>
    parts.map((p) => (p.absorption[i] ?? 0) - absorptionOf(r) * p.scattering),
  );
  const solved = Array.from(
    fcnnlsVector([...rows, parts.map(() => 1)], [...rows.map(() => 0), 6], {
      maxIterations: 500,
    }).K.to1DArray(),
  );
  expect(solved.map((v) => Math.round(v * 1e4) / 1e4)).toEqual([0, 3, 0, 2, 1, 0, 0]);
});

test('order and common factors of the parts do not matter', () => {
  const lab = fc.tuple(
    fc.double({ min: 15, max: 90, noNaN: true }),
    fc.double({ min: -5, max: 25, noNaN: true }),
    fc.double({ min: 0, max: 40, noNaN: true }),
  );
  const some = fc.array(fc.record({ lab, parts: fc.integer({ min: 1, max: 4 }) }), {
    minLength: 2,
    maxLength: 4,
  });
  fc.assert(
    fc.property(some, (list) => {
      const parts = list.map((c) => ({ part: partOf(c), parts: c.parts }));
      const one = labOf(mixtureOf(parts));
      expect(deltaE00(one, labOf(mixtureOf([...parts].reverse())))).toBeLessThan(1e-6);
      expect(deltaE00(one, labOf(mixtureOf(parts.map((p) => ({ ...p, parts: 3 * p.parts })))))).toBeLessThan(
        1e-6,
      );
      // Never lighter than the lightest, never darker than the darkest.
      const own = list.map((c) => labOf(spectrumOf(c.lab))[0]);
      expect(one[0]).toBeLessThan(Math.max(...own) + 0.01);
    }),
  );
});

test('a stronger colour pulls the mixture further', () => {
  const mixedWith = (strength: number): number => {
    const dark = partOf({ lab: labFromRgb(70, 50, 36), strength });
    return labOf(
      mixtureOf([
        { part: partOf({ lab: labFromRgb(222, 190, 140) }), parts: 1 },
        { part: dark, parts: 1 },
      ]),
    )[0];
  };
  expect(mixedWith(2)).toBeLessThan(mixedWith(1) - 2);
  expect(mixedWith(0.5)).toBeGreaterThan(mixedWith(1) + 2);
});

test('whole parts come once each', () => {
  expect(portions(2, 3)).toEqual([
    [1, 1],
    [1, 2],
    [2, 1],
  ]);
  expect(portions(3, 6)).toHaveLength(19);
  expect(portions(3, 2)).toEqual([]);
});

test('light goes before dark where the eye sees no difference', async () => {
  const target: Lab = [45, 12, 24];
  const pair: Colourant[] = [
    { id: 'darker', lab: [44.8, 12, 24] },
    { id: 'lighter', lab: [45.3, 12, 24] },
  ];
  const ask = (preferLight: boolean) =>
    mixColour({ target, colourants: pair, mostColourants: 1, mostParts: 1, preferLight });
  expect((await ask(false)).recipes.map((r) => r.parts[0]?.id)).toEqual(['darker', 'lighter']);
  expect((await ask(true)).recipes.map((r) => r.parts[0]?.id)).toEqual(['lighter', 'darker']);
  const { recipes } = await mixColour({
    target: [52, 10, 25],
    colourants: BROWNS,
    mostColourants: 3,
    mostParts: 6,
    preferLight: true,
  });
  const grades = recipes.map((r) => Math.floor(r.deltaE00 / SAME_TO_THE_EYE.value));
  expect(grades).toEqual([...grades].sort((a, b) => a - b));
});

test('says what is missing when the shelf does not reach, and that an empty one has nothing', async () => {
  const { recipes, notes } = await mixColour({
    target: labFromRgb(250, 245, 235),
    colourants: BROWNS.filter((c) => c.id !== 'white'),
    mostColourants: 3,
    mostParts: 6,
  });
  expect(recipes[0]?.parts).toEqual([{ id: 'straw', parts: 1 }]);
  expect(notes.join(' ')).toMatch(/still \d+\.\d ΔE00 off\. A less yellow, lighter colour is missing/);
  const empty = await mixColour({ target: [50, 0, 0], colourants: [], mostColourants: 3, mostParts: 6 });
  expect(empty).toEqual({ recipes: [], notes: [expect.stringContaining('shelf is empty')] });
});

test('more mixtures than can be tried are refused', async () => {
  await expect(
    mixColour({ target: [50, 0, 0], colourants: woods(1, 120), mostColourants: 4, mostParts: 12 }),
  ).rejects.toThrow(/million mixtures.*Choose fewer colours or parts/);
});

test('can be stopped', async () => {
  const stop = new AbortController();
  const run = mixColour(
    { target: [50, 10, 20], colourants: woods(1, 40), mostColourants: 3, mostParts: 6 },
    { signal: stop.signal, progress: () => stop.abort() },
  );
  await expect(run).rejects.toThrow(/abort/i);
});

// The best three sticks of 60 in whole parts up to six, beside a plain triple loop that converts at each trial.
import { seededRandom } from '../src/core/check';
import { deltaE00, type Lab } from '../src/core/colour';
import { labOf, mixColour, mixtureOf, partOf, portions, type Colourant } from '../src/core/pigment';

const STICKS = 60;
const TARGETS: Lab[] = [
  [42, 14, 26],
  [62, 10, 30],
  [28, 8, 12],
];

const random = seededRandom(15);
const colourants: Colourant[] = Array.from({ length: STICKS }, (_, i) => ({
  id: `stick ${i + 1}`,
  lab: [18 + 66 * random(), -1 + 22 * random(), 4 + 34 * random()] as const,
}));

/** As one would write it first: every pair and triple, each colour turned into its spectrum anew. */
function plain(target: Lab): number {
  let best = Infinity;
  const attempt = (members: readonly Colourant[]): void => {
    for (const parts of portions(members.length, 6)) {
      const mixed = mixtureOf(members.map((c, i) => ({ part: partOf(c), parts: parts[i] ?? 0 })));
      best = Math.min(best, deltaE00(labOf(mixed), target));
    }
  };
  colourants.forEach((a, i) => {
    attempt([a]);
    colourants.slice(i + 1).forEach((b, j) => {
      attempt([a, b]);
      colourants.slice(i + j + 2).forEach((c) => attempt([a, b, c]));
    });
  });
  return best;
}

const ms = async <T>(work: () => T | Promise<T>): Promise<{ ms: number; value: T }> => {
  const start = performance.now();
  const value = await work();
  return { ms: performance.now() - start, value };
};

const ask = (target: Lab) => mixColour({ target, colourants, mostColourants: 3, mostParts: 6 });
async function main(): Promise<void> {
  await ask([50, 10, 20]);
  for (const target of TARGETS) {
    const ours = await ms(() => ask(target));
    const theirs = await ms(() => plain(target));
    const first = ours.value.recipes[0];
    const best = Math.min(...ours.value.recipes.map((r) => r.deltaE00));
    if (Math.abs(best - theirs.value) > 1e-9)
      throw new Error(`Not the same best: ${best} and ${theirs.value}.`);
    console.log(
      `${target.join(', ')}: ${ours.ms.toFixed(0)} ms, plain ${theirs.ms.toFixed(0)} ms, ${(theirs.ms / ours.ms).toFixed(0)} times; ΔE00 ${first?.deltaE00.toFixed(2)}`,
    );
  }
}

void main();

import Joi from 'joi';
import type { FinishNow } from '../terms';
import { memory, type Source } from '../sources';

/** Finishes that the tests tell apart; paint is seen without a test. */
export type ClearFinish = Exclude<FinishNow, 'paint'>;

export type FinishTestId = 'waterDrop' | 'oilDrop' | 'spirits' | 'alcohol' | 'lacquerThinner' | 'xylene';
export type FinishTestResult = { test: FinishTestId; reacts: boolean };

type FinishTest = {
  label: string;
  how: string;
  yes: string;
  no: string;
  /** 0 leaves no trace, 3 can soften the finish. */
  harm: number;
  caution?: string;
  /** Chance that each finish reacts. */
  reacts: Record<ClearFinish, number>;
};

export const FINISH_TEST_SOURCE: Source = memory(
  'how often each finish answers to each solvent; old, mixed and waxed finishes differ',
);

/** The gentlest first. */
export const FINISH_TESTS: Record<FinishTestId, FinishTest> = {
  waterDrop: {
    label: 'A drop of water',
    how: 'Put one drop on the hidden spot and watch for a minute.',
    yes: 'It soaks in and darkens the wood.',
    no: 'It stands as a bead.',
    harm: 0,
    reacts: {
      bare: 0.97,
      wax: 0.1,
      oil: 0.15,
      shellac: 0.02,
      lacquer: 0.02,
      waterborne: 0.02,
      varnish: 0.02,
    },
  },
  oilDrop: {
    label: 'A drop of linseed oil',
    how: 'Rub one drop on with a fingertip and wait two minutes.',
    yes: 'It soaks in.',
    no: 'It stays on top and wipes off.',
    harm: 0,
    caution: 'Dry the oily rag flat outdoors.',
    reacts: {
      bare: 0.97,
      wax: 0.2,
      oil: 0.85,
      shellac: 0.02,
      lacquer: 0.02,
      waterborne: 0.02,
      varnish: 0.02,
    },
  },
  spirits: {
    label: 'A cloth with mineral spirits',
    how: 'Rub for half a minute and look at the cloth.',
    yes: 'It comes off yellow or brown and the shine goes: wax.',
    no: 'The cloth stays clean and the shine stays.',
    harm: 0,
    caution: 'Fresh air, no flame.',
    reacts: {
      bare: 0.02,
      wax: 0.95,
      oil: 0.08,
      shellac: 0.06,
      lacquer: 0.04,
      waterborne: 0.03,
      varnish: 0.04,
    },
  },
  alcohol: {
    label: 'Alcohol on a swab',
    how: 'Hold the wet swab on the spot for half a minute, then press it lightly.',
    yes: 'It turns soft or sticky.',
    no: 'It stays hard.',
    harm: 2,
    caution: 'Fresh air, no flame. Use the hidden spot only.',
    reacts: {
      bare: 0.02,
      wax: 0.05,
      oil: 0.03,
      shellac: 0.97,
      lacquer: 0.08,
      waterborne: 0.12,
      varnish: 0.02,
    },
  },
  lacquerThinner: {
    label: 'Lacquer thinner on a swab',
    how: 'Touch the spot for a quarter of a minute, then press lightly.',
    yes: 'It turns soft or runs.',
    no: 'It stays hard, or only wrinkles.',
    harm: 3,
    caution: 'Strong vapour: outdoors or with a good draught, gloves, no flame.',
    reacts: { bare: 0.02, wax: 0.2, oil: 0.08, shellac: 0.75, lacquer: 0.97, waterborne: 0.6, varnish: 0.05 },
  },
  xylene: {
    label: 'Xylene on a swab',
    how: 'Touch the spot for a quarter of a minute, then press lightly.',
    yes: 'It turns soft or gummy.',
    no: 'It stays as it is.',
    harm: 3,
    caution: 'Strong vapour: outdoors or with a good draught, gloves, no flame.',
    reacts: {
      bare: 0.02,
      wax: 0.3,
      oil: 0.05,
      shellac: 0.03,
      lacquer: 0.03,
      waterborne: 0.93,
      varnish: 0.03,
    },
  },
};

/** How often each finish is met on furniture that comes in. */
const MET: Record<ClearFinish, number> = { bare: 0.1, wax: 0.1, oil: 0.1, shellac: 0.22, lacquer: 0.23, waterborne: 0.1, varnish: 0.15 }; // prettier-ignore

/** From this chance on a finish is taken as told. */
export const SURE = 0.85;
export const SURE_SOURCE = memory('about six to one');
/** Of how often each finish reacts to each test. */
export const FINISH_TESTS_SOURCE = memory(
  'how finishes react, in shares of a hundred trials as a refinisher would guess them',
);
/** What a step of harm is weighed at against a bit of knowledge. */
const HARM_BITS = 0.15;

/** Input of `finish.test`. */
export const finishTestSchema = Joi.object({
  results: Joi.array()
    .items(
      Joi.object({
        test: Joi.string()
          .valid(...Object.keys(FINISH_TESTS))
          .required(),
        reacts: Joi.boolean().required(),
      }),
    )
    .max(20)
    .required(),
});

type Chances = Record<ClearFinish, number>;
const FINISHES = Object.keys(MET) as ClearFinish[];
const TEST_IDS = Object.keys(FINISH_TESTS) as FinishTestId[];

const normalised = (weights: (f: ClearFinish) => number): Chances => {
  const total = FINISHES.reduce((s, f) => s + weights(f), 0);
  return Object.fromEntries(FINISHES.map((f) => [f, weights(f) / total])) as Chances;
};

const afterTest = (chances: Chances, { test, reacts }: FinishTestResult): Chances =>
  normalised((f) => chances[f] * (reacts ? FINISH_TESTS[test].reacts[f] : 1 - FINISH_TESTS[test].reacts[f]));

const entropyBits = (chances: Chances): number =>
  -FINISHES.reduce((s, f) => s + (chances[f] > 0 ? chances[f] * Math.log2(chances[f]) : 0), 0);

/** What a test is expected to tell, in bits. */
function gainBits(chances: Chances, test: FinishTestId): number {
  const yes = FINISHES.reduce((s, f) => s + chances[f] * FINISH_TESTS[test].reacts[f], 0);
  const left =
    yes * entropyBits(afterTest(chances, { test, reacts: true })) +
    (1 - yes) * entropyBits(afterTest(chances, { test, reacts: false }));
  return entropyBits(chances) - left;
}

export type FinishVerdict = {
  /** All finishes with their chances, the likeliest first. */
  likely: { finish: ClearFinish; chance: number }[];
  sure: boolean;
  /** The test that tells most for the harm it does; none when it is told, or all have been made. */
  next?: FinishTestId;
};

/**
 * Registry `finish.test`: which finish it is, by Bayes' rule over the answers so far, and the test to make next.
 *
 * A test made twice counts once, with its last answer.
 */
export function finishFromTests({ results }: { results: readonly FinishTestResult[] }): FinishVerdict {
  const last = new Map(results.map((r) => [r.test, r]));
  const chances = [...last.values()].reduce(afterTest, { ...MET });
  const likely = FINISHES.map((finish) => ({ finish, chance: chances[finish] })).sort(
    (a, b) => b.chance - a.chance,
  );
  const sure = (likely[0]?.chance ?? 0) >= SURE;
  const left = TEST_IDS.filter((t) => !last.has(t));
  const worth = (t: FinishTestId): number => gainBits(chances, t) - HARM_BITS * FINISH_TESTS[t].harm;
  const next = sure ? undefined : left.sort((a, b) => worth(b) - worth(a))[0];
  return { likely, sure, ...(next ? { next } : {}) };
}

import Joi from 'joi';
import type { JobContext } from '../check';
import { labSchema, type Lab } from '../colour';
import { derived, memory, sourced } from '../sources';
import { absorptionOf, eachBand, reflectanceOf } from './kubelkaMunk';
import { nearestMixtures, portions, type Found, type Part } from './search';
import { OUT_OF_REACH, wanted } from './wanted';
import { brightnessIn, spectrumOf, type Spectrum } from './spectrum';

/** A stick, putty, wax or paint: its colour in a thick layer, and how strongly it colours a mixture beside what its colour lets expect. */
export type Colourant = { id: string; lab: Lab; strength?: number };
export type MixInput = {
  target: Lab;
  colourants: readonly Colourant[];
  mostColourants: number;
  mostParts: number;
  /** Of recipes that are equally far off the lighter goes first: it can be made darker. */
  preferLight?: boolean;
};
export type Recipe = { parts: { id: string; parts: number }[]; lab: Lab; deltaE00: number };
export type MixResult = { recipes: Recipe[]; notes: string[] };

export const MIX_SOURCE = derived(
  'colours as spectra (Mallett and Yuksel 2019), mixed by absorption and scattering (Kubelka and Munk 1931); how much each scatters is taken from how light it is until a trial has shown its strength',
);

/** Differences closer than this are the same to the eye. ΔE00 */
export const SAME_TO_THE_EYE = sourced(0.5, memory('half of what is just seen side by side'));
const RECIPES = 8;
const MOST_MIXTURES = 40e6;

/** Input of `colour.mix`. */
export const mixSchema = Joi.object({
  target: labSchema.required(),
  colourants: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().max(100).required(),
        lab: labSchema.required(),
        strength: Joi.number().greater(0).max(100),
      }),
    )
    .unique('id')
    .max(200)
    .required(),
  mostColourants: Joi.number().integer().min(1).max(4).required(),
  mostParts: Joi.number().integer().min(1).max(12).required(),
  preferLight: Joi.boolean(),
});

/**
 * Light pigments scatter much and dark ones little, so a part scatters as its brightness (and strength) says; its absorption follows from
 * its colour.
 */
export function partOf({ lab, strength = 1 }: { lab: Lab; strength?: number }): Part {
  const own = spectrumOf(lab);
  const scattering = strength * brightnessIn(own);
  return { absorption: eachBand((i) => scattering * absorptionOf(own[i] ?? 1)), scattering };
}

/**
 * The reflectance of a mixture: absorptions and scatterings add up by parts.
 *
 * @source Duncan: The colour of pigment mixtures, Proc. Phys. Soc. 52 (1940)
 */
export function mixtureOf(parts: readonly { part: Part; parts: number }[]): Spectrum {
  const scattering = parts.reduce((sum, p) => sum + p.parts * p.part.scattering, 0);
  return eachBand((i) =>
    reflectanceOf(parts.reduce((sum, p) => sum + p.parts * (p.part.absorption[i] ?? 0), 0) / scattering),
  );
}

const choose = (n: number, k: number): number =>
  Array.from({ length: k }, (_, i) => (n - i) / (i + 1)).reduce((a, b) => a * b, 1);

/**
 * Registry `colour.mix`: which of the colourants, in whole parts, come nearest to a colour, best first.
 *
 * @throws RangeError when there are more mixtures than can be tried
 */
export async function mixColour(input: MixInput, job: JobContext = {}): Promise<MixResult> {
  const { target, colourants, mostColourants, mostParts, preferLight = false } = input;
  const most = Math.min(mostColourants, mostParts, colourants.length);
  const counts = Array.from({ length: most }, (_, i) => i + 1);
  const mixtures = counts.reduce(
    (sum, k) => sum + choose(colourants.length, k) * portions(k, mostParts).length,
    0,
  );
  if (mixtures > MOST_MIXTURES)
    throw new RangeError(
      `${colourants.length} colours in up to ${mostColourants} at a time and ${mostParts} parts make ${(mixtures / 1e6).toFixed(0)} million mixtures; at most ${MOST_MIXTURES / 1e6} million are tried. Choose fewer colours or parts.`,
    );
  if (colourants.length === 0)
    return { recipes: [], notes: ['The shelf is empty: put your sticks and colours on it first.'] };
  const best = await nearestMixtures(
    target,
    colourants.map(partOf),
    most,
    mostParts,
    // With light preferred, a recipe up to one step of the eye behind the best may still come before it.
    { count: RECIPES, slack: preferLight ? SAME_TO_THE_EYE.value : 0, mixtures },
    job,
  );
  const grade = (f: Found): number =>
    preferLight ? Math.floor(f.deltaE00 / SAME_TO_THE_EYE.value) : f.deltaE00;
  best.sort(
    (a, b) => grade(a) - grade(b) || (preferLight ? b.lab[0] - a.lab[0] : 0) || a.deltaE00 - b.deltaE00,
  );
  const recipes = best.slice(0, RECIPES).map((f): Recipe => ({
    parts: f.members.map((m, i) => ({ id: colourants[m]?.id ?? '', parts: f.parts[i] ?? 0 })),
    lab: f.lab,
    deltaE00: f.deltaE00,
  }));
  return { recipes, notes: reachNotes(target, recipes[0]) };
}

function reachNotes(target: Lab, best: Recipe | undefined): string[] {
  if (!best || best.deltaE00 <= OUT_OF_REACH.value) return [];
  return [
    `The nearest mixture of these is still ${best.deltaE00.toFixed(1)} ΔE00 off. A ${wanted(best.lab, target).join(', ')} colour is missing on the shelf.`,
  ];
}

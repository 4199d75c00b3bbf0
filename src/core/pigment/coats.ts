import Joi from 'joi';
import { breathe, type JobContext } from '../check';
import { deltaE00, labSchema, type Lab } from '../colour';
import { BANDS } from './bands';
import { derived, memory, sourced } from '../sources';
import { eachBand, filmOver, filterOver, SAUNDERSON, throughSurface } from './kubelkaMunk';
import { OUT_OF_REACH, wanted } from './wanted';
import { labOf, spectrumOf, type Light, type Spectrum } from './spectrum';

/** In the order in which they go on: what soaks in, pigment in shellac, dye in a clear film, the clear finish. */
const KINDS = ['dye', 'glaze', 'toner', 'clear'] as const;
export type CoatKind = (typeof KINDS)[number];

/**
 * Something that is put on in thin coats.
 *
 * `lab`: of a dye, toner or clear the colour of one coat over white; of a glaze the colour of a layer through which nothing shows.
 * `strength`: of a dye or toner how many such coats one thin coat is worth; of a glaze scattering times thickness of one coat (0.1 is thin, 2
 * hides the ground); of a clear how much of the full wetting of a smooth surface it gives (0…1), once, with its first coat.
 * `gain`: what test boards have taught about it, the natural logarithm of how much more of it works in red, green and blue light.
 */
export type Coat = {
  id: string;
  kind: CoatKind;
  lab: Lab;
  strength: number;
  gain?: Lab;
  leastCoats?: number;
};
export type CoatsInput = {
  start: Lab;
  goal: Lab;
  layers: readonly Coat[];
  mostCoats: number;
  /** Without it no coat may make the place darker or redder than the goal: colour is added, never removed. */
  allow?: { darker?: boolean; redder?: boolean };
};
export type CoatStep = {
  id: string;
  coats: number;
  /** The colour after these coats, and what is left to the goal. */
  lab: Lab;
  deltaE00: number;
  /** The same after each coat of them. */
  each: { lab: Lab; deltaE00: number }[];
};
export type CoatsResult = { steps: CoatStep[]; final: Lab; deltaE00: number; notes: string[] };

export const COATS_SOURCE = derived(
  'dyes, toners and clears swallow light (Beer–Lambert); a glaze is a film over the ground (Kubelka 1948); a clear wets the wood (Saunderson 1942)',
);
/** So much closer is not worth another coat. ΔE00 */
export const WORTH_A_COAT = sourced(0.1, memory('a tenth of what is just seen side by side'));
/** A goal is met as well a touch on the dark or the red side. CIELAB */
const TOUCH = 0.3;
const MOST = { layers: 8, coats: 12 };

/** A coat as it comes in. */
export const coatSchema = Joi.object({
  id: Joi.string().max(100).required(),
  kind: Joi.string()
    .valid(...KINDS)
    .required(),
  lab: labSchema.required(),
  strength: Joi.number().min(0).max(20).required(),
  gain: Joi.array().items(Joi.number().min(-6).max(6)).length(3),
  leastCoats: Joi.number().integer().min(0).max(MOST.coats),
});

/** Input of `colour.layers`. */
export const coatsSchema = Joi.object({
  start: labSchema.required(),
  goal: labSchema.required(),
  layers: Joi.array().items(coatSchema).unique('id').max(MOST.layers).required(),
  mostCoats: Joi.number().integer().min(0).max(MOST.coats).required(),
  allow: Joi.object({ darker: Joi.boolean(), redder: Joi.boolean() }),
});

/** Light of the place under the films, and how much of a smooth surface lies over it. */
export type Ground = { spectrum: Spectrum; wetting: number };

/** What is seen of it, in daylight or under a lamp. */
export const seenOf = ({ spectrum, wetting }: Ground, light: Light = 'daylight'): Lab =>
  labOf(
    wetting === 0
      ? spectrum
      : eachBand((i) =>
          throughSurface(spectrum[i] ?? 0, SAUNDERSON.leaving * wetting, SAUNDERSON.entering * wetting),
        ),
    light,
  );

/** A coat with its spectrum, and its gain band by band. */
export type Ready = { coat: Coat; own: Spectrum; gain: Spectrum };

/** Spectra that were worked out, by the colour they belong to: a fit lays the same coats thousands of times. */
const spectra = new WeakMap<Lab, Spectrum>();

/** As `spectrumOf`, worked out once for each colour; not to be written to. */
export function knownSpectrum(lab: Lab): Spectrum {
  const known = spectra.get(lab) ?? spectrumOf(lab);
  spectra.set(lab, known);
  return known;
}

/** Works the spectrum of a coat out once. The gains go with the primaries of a screen, smoothly from one into the next. */
export function readyCoat(coat: Coat): Ready {
  const [red, green, blue] = coat.gain ?? [0, 0, 0];
  const gain = BANDS.value.map((band) => Math.exp(red * band.red + green * band.green + blue * band.blue));
  return { coat, own: knownSpectrum(coat.lab), gain: Float64Array.from(gain) };
}

/** The place after another thin coat. */
export function coatedOnce(ground: Ground, { coat, own, gain }: Ready): Ground {
  const { kind, strength } = coat;
  const { spectrum, wetting } = ground;
  if (kind === 'glaze')
    return {
      spectrum: eachBand((i) => filmOver(spectrum[i] ?? 0, own[i] ?? 1, strength * (gain[i] ?? 1))),
      wetting,
    };
  // A clear takes light by its own tint whatever it does to the surface.
  const amount = kind === 'clear' ? 1 : strength;
  return {
    spectrum: eachBand((i) => filterOver(spectrum[i] ?? 0, own[i] ?? 1, amount * (gain[i] ?? 1))),
    wetting: kind === 'clear' ? Math.max(wetting, Math.min(1, strength)) : wetting,
  };
}

/**
 * The rule that colour is added and never removed: whether a coat has made the place neither darker nor redder than the goal (or than it was at
 * the start), but where that is allowed.
 */
export function withinGoal(
  start: Lab,
  goal: Lab,
  allow: { darker?: boolean; redder?: boolean },
): (lab: Lab) => boolean {
  const darkest = allow.darker ? -Infinity : Math.min(goal[0], start[0]) - TOUCH;
  const reddest = allow.redder ? Infinity : Math.max(goal[1], start[1]) + TOUCH;
  return ([lightness, red]) => lightness >= darkest && red <= reddest;
}

type Tried = { coats: readonly number[]; deltaE00: number };

/** Coats tried between two breaths. */
const PORTION = 2000;

/**
 * Registry `colour.layers`: which of the layers in how many thin coats bring a colour nearest to a goal, in the order in which they go on.
 *
 * Every number of coats is tried that keeps to the rule that colour is added and never removed: no coat makes the place darker or redder
 * than the goal (or than it was at the start) unless that is allowed. Of answers closer together than `WORTH_A_COAT` the one with the fewest
 * coats is taken.
 */
export async function layColour(input: CoatsInput, job: JobContext = {}): Promise<CoatsResult> {
  const { start, goal, mostCoats, allow = {} } = input;
  const layers = [...input.layers]
    .sort((a, b) => KINDS.indexOf(a.kind) - KINDS.indexOf(b.kind))
    .map(readyCoat);
  const least = layers.map(({ coat }) => coat.leastCoats ?? 0);
  const needed = least.reduce((a, b) => a + b, 0);
  if (needed > mostCoats)
    throw new RangeError(
      `${needed} coats are asked for at least and ${mostCoats} allowed at most. Allow more coats, or ask for fewer.`,
    );
  const bare: Ground = { spectrum: spectrumOf(start), wetting: 0 };
  const within = withinGoal(start, goal, allow);
  let tried = 0;
  const search = async (free: boolean): Promise<Tried | undefined> => {
    // The nearest for each number of coats.
    const best = Array.from({ length: mostCoats + 1 }, (): Tried | undefined => undefined);
    const keeps = (lab: Lab): boolean => free || within(lab);
    const from = async (k: number, ground: Ground, coats: readonly number[], used: number): Promise<void> => {
      const ready = layers[k];
      if (!ready) {
        const found: Tried = { coats, deltaE00: deltaE00(seenOf(ground), goal) };
        if (found.deltaE00 < (best[used]?.deltaE00 ?? Infinity)) best[used] = found;
        return;
      }
      const kept = least.slice(k + 1).reduce((a, b) => a + b, 0);
      let now = ground;
      for (let n = 0; used + n + kept <= mostCoats; n++) {
        if (n > 0) {
          if (++tried % PORTION === 0) await breathe(job, tried / (tried + 4 * PORTION));
          now = coatedOnce(now, ready);
          if (!keeps(seenOf(now))) return;
        }
        if (n >= (least[k] ?? 0)) await from(k + 1, now, [...coats, n], used + n);
      }
    };
    await from(0, bare, [], 0);
    const nearest = Math.min(...best.map((b) => b?.deltaE00 ?? Infinity));
    return best.find((b) => b !== undefined && b.deltaE00 <= nearest + WORTH_A_COAT.value);
  };
  const kept = await search(false);
  const found = kept ?? (await search(true));
  const steps: CoatStep[] = [];
  let now = bare;
  layers.forEach((ready, k) => {
    const coats = found?.coats[k] ?? 0;
    if (coats === 0) return;
    const each = Array.from({ length: coats }, () => {
      now = coatedOnce(now, ready);
      const lab = seenOf(now);
      return { lab, deltaE00: deltaE00(lab, goal) };
    });
    const last = each[each.length - 1];
    if (last) steps.push({ id: ready.coat.id, coats, ...last, each });
  });
  const final = seenOf(now);
  const result = { steps, final, deltaE00: deltaE00(final, goal) };
  return { ...result, notes: coatNotes(input, result, kept !== undefined) };
}

/** Lightness by which a start may lie under its goal before it is told. L* */
const TOO_DARK = 1;

function coatNotes(
  { start, goal, layers }: CoatsInput,
  { final, deltaE00: left }: { final: Lab; deltaE00: number },
  kept: boolean,
): string[] {
  const notes: string[] = [];
  const under = goal[0] - start[0];
  if (under > TOO_DARK && !layers.some((l) => l.kind === 'glaze' && l.lab[0] > start[0]))
    notes.push(
      `The start is ${under.toFixed(1)} L* darker than the goal. No coat takes that away: bleach it first, or choose lighter wood.`,
    );
  if (!kept)
    notes.push(
      'The clear finish alone takes it past the goal, darker or redder. What is shown comes nearest all the same; lighter wood or another finish would come nearer.',
    );
  if (layers.length === 0) notes.push('No layer was given, so nothing can be put on.');
  else if (left > OUT_OF_REACH.value)
    notes.push(
      `After these coats it is still ${left.toFixed(1)} ΔE00 off: it wants to be ${wanted(final, goal).join(' and ')}. None of these layers does that without going too far otherwise.`,
    );
  return notes;
}

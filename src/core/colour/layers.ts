import { practice, derived, memory, sourced, type Sourced } from '../sources';
import { deltaE00, labFromLinear, linearFromLab, type Lab, type Linear } from './lab';
import type { Tones } from './tones';

export type TopFinish = 'shellac' | 'lacquer' | 'varnish' | 'oil';

/** A see-through layer of colour: what share of the red, green and blue light comes back through it. */
export type Layer = { transmitted: Linear };

export type BlendStep = {
  /** `wipe` and `look`: what is asked on the way. */
  id: 'wipe' | 'look' | 'dye' | 'lines' | 'seal' | 'glaze' | 'toner';
  title: string;
  detail: string;
  /** Colour before and after, where the step changes one. */
  before?: Lab;
  after?: Lab;
  /** CIEDE2000 left to the step's own aim. */
  left?: number;
  waitMin: Sourced;
  scuffGrit?: Sourced<string>;
};

export type BlendPlan = {
  /** CIEDE2000 between the bare veneer and the old wood, whole tone against whole tone. */
  bareDifference: number;
  steps: BlendStep[];
  /** What stays after the last layer: whole tone and ground tone. */
  residual: number;
  groundResidual: number;
  final: Lab;
  /** True when the bare veneer is darker than the old wood's lightest ground: colour cannot take that away. */
  tooDark: boolean;
};

const through = (lab: Lab, layer: Layer): Lab => {
  const c = linearFromLab(lab);
  return labFromLinear([
    c[0] * layer.transmitted[0],
    c[1] * layer.transmitted[1],
    c[2] * layer.transmitted[2],
  ]);
};

/** The layer that takes one colour to another as far as a layer can: light is only taken away, never added. */
function layerBetween(from: Lab, to: Lab): Layer {
  const a = linearFromLab(from);
  const b = linearFromLab(to);
  const share = (i: 0 | 1 | 2): number => Math.min(1, b[i] / a[i]);
  return { transmitted: [share(0), share(1), share(2)] };
}

/** The same layer at a share of its strength: densities add, so transmitted shares are raised to a power. */
const atStrength = ({ transmitted: [r, g, b] }: Layer, strength: number): Layer => ({
  transmitted: [r ** strength, g ** strength, b ** strength],
});

/**
 * "Start light": the dye and the line colour stop short of their aim, since colour is added and never removed; glaze and
 * toner close the rest under control. Shares of the full strength.
 */
export const FIRST_COAT_STRENGTH = {
  dye: sourced(0.85, memory('a margin to tone into; make it smaller when your test board dries true')),
  lines: sourced(0.75, memory('a margin to glaze into')),
};

/** How strong a layer is called, by the share of all light that it takes, up to so much. */
const STRENGTHS: readonly { upTo: number; words: string }[] = [
  { upTo: 0.08, words: 'a breath of' },
  { upTo: 0.2, words: 'a weak' },
  { upTo: 0.4, words: 'a middling' },
  { upTo: 1, words: 'a strong' },
];

/** What a layer is in the words of the trade: how strong, and which way it leans. What it is mixed of is found on a test board. */
export function describeLayer({ transmitted: [r, g, b] }: Layer): string {
  const spreadShare = Math.max(r, g, b) - Math.min(r, g, b);
  const redShare = (r - g) / Math.max(spreadShare, 1e-6);
  const tint =
    spreadShare < 0.05
      ? 'grey-brown'
      : r >= g && g >= b
        ? redShare > 0.6
          ? 'red-brown'
          : redShare > 0.3
            ? 'amber'
            : 'yellow-brown'
        : g > r && g >= b
          ? 'green-umber'
          : 'cool brown';
  const taken = 1 - (r + g + b) / 3;
  const strength = STRENGTHS.find((s) => taken <= s.upTo) ?? STRENGTHS[STRENGTHS.length - 1];
  return `${strength?.words ?? 'a'} ${tint}; a test board first`;
}

/** Below this a difference is not seen from a step back. */
export const UNSEEN_FROM_A_STEP_BACK = sourced(
  2,
  memory('a CIEDE2000 of 1 is just seen side by side, 2 at a distance'),
);
const NEGLIGIBLE = 0.8;

const SCUFF: Record<TopFinish, Sourced<string>> = {
  shellac: sourced('P320', practice('scuff shellac at 320')),
  lacquer: sourced('P400', practice('scuff lacquer at 400')),
  varnish: sourced('P320', memory('scuff varnish like shellac')),
  oil: sourced('P500', practice('between colour coats scuff very lightly at 500')),
};
const BETWEEN_COLOURS = sourced('P500', practice('between colour coats scuff very lightly at 500'));

/** How long a coat is left before the next. min. */
export const COAT_WAITS = {
  stain: sourced(60, practice('a stain waits about 1 h before the next coat')),
  toner: sourced(30, practice('a glaze or toner waits about 30 min before the next coat')),
  seal: sourced(60, memory('a thin coat of shellac can be scuffed after about an hour')),
};

/** What shows the true colour, and lies between what soaks in and what goes over it. */
export const SEAL_STEP: BlendStep = {
  id: 'seal',
  title: 'Seal with thin shellac',
  detail: 'One or two thin coats. They show the true colour and keep the next layers from soaking in.',
  waitMin: COAT_WAITS.seal,
  scuffGrit: SCUFF.shellac,
};

const mix = (ground: Lab, line: Lab, lineShare: number): Lab => {
  const g = linearFromLab(ground);
  const l = linearFromLab(line);
  const part = (i: 0 | 1 | 2): number => g[i] * (1 - lineShare) + l[i] * lineShare;
  return labFromLinear([part(0), part(1), part(2)]);
};

/** The share of dark lines that makes a wood's whole tone out of its ground and line tones, by lightness. */
const lineShareOf = (t: Tones): number => {
  const span = linearFromLab(t.ground)[1] - linearFromLab(t.line)[1];
  return span < 1e-4
    ? 0.3
    : Math.min(0.7, Math.max(0.1, (linearFromLab(t.ground)[1] - linearFromLab(t.mean)[1]) / span));
};

/**
 * The colouring of a bare patch, lightest first: dye to the old wood's ground, a darker mix for the figure lines, seal,
 * glaze what is missing, tone the whole. Each layer is a filter on linear light (Beer–Lambert), so it can only darken;
 * what would need lightening stays as residual and is told.
 *
 * @param old tones of the sound wood around the damage
 * @param bare tones of the chosen veneer, bare
 */
export function blendPlan(old: Tones, bare: Tones, finish: TopFinish): BlendPlan {
  const tooDark = bare.ground[0] < old.ground[0] - 1;
  const dye = atStrength(layerBetween(bare.ground, old.ground), FIRST_COAT_STRENGTH.dye.value);
  const ground = through(bare.ground, dye);
  const lineAfterDye = through(bare.line, dye);
  const lines = atStrength(layerBetween(lineAfterDye, old.line), FIRST_COAT_STRENGTH.lines.value);
  const line = through(lineAfterDye, lines);
  const share = lineShareOf(old);
  const glaze = layerBetween(line, old.line);
  const glazedLine = through(line, glaze);
  const wholeBefore = mix(ground, glazedLine, share);
  const toner = layerBetween(wholeBefore, old.mean);
  const final = through(wholeBefore, toner);
  const finalGround = through(ground, toner);
  const steps: BlendStep[] = [];
  if (deltaE00(bare.ground, ground) > NEGLIGIBLE) {
    steps.push({
      id: 'dye',
      title: 'Dye to the lightest ground',
      detail: `Mix ${describeLayer(dye)}. Start at half strength on the test board; it can be made darker, never lighter.`,
      before: bare.ground,
      after: ground,
      left: deltaE00(ground, old.ground),
      waitMin: COAT_WAITS.stain,
    });
  }
  if (deltaE00(lineAfterDye, line) > NEGLIGIBLE) {
    steps.push({
      id: 'lines',
      title: 'Draw the figure lines',
      detail: `Add a drop of black or brown to the same dye: ${describeLayer(lines)}. Draw it with the grain, with a fine brush, from line to line of the old figure.`,
      before: lineAfterDye,
      after: line,
      left: deltaE00(line, old.line),
      waitMin: COAT_WAITS.stain,
    });
  }
  steps.push(SEAL_STEP);
  if (deltaE00(line, glazedLine) > NEGLIGIBLE) {
    steps.push({
      id: 'glaze',
      title: 'Glaze what is missing',
      detail: `Pigment in shellac: ${describeLayer(glaze)}. Draw it fine, wipe back along the grain.`,
      before: line,
      after: glazedLine,
      left: deltaE00(glazedLine, old.line),
      waitMin: COAT_WAITS.toner,
      scuffGrit: BETWEEN_COLOURS,
    });
  }
  if (deltaE00(wholeBefore, final) > NEGLIGIBLE) {
    steps.push({
      id: 'toner',
      title: 'Tone the whole repair',
      detail: `A weak toner over patch and surround: ${describeLayer(toner)}. Stop when it reads as one from a step back.`,
      before: wholeBefore,
      after: final,
      left: deltaE00(final, old.mean),
      waitMin: COAT_WAITS.toner,
      scuffGrit: SCUFF[finish],
    });
  }
  return {
    bareDifference: deltaE00(bare.mean, old.mean),
    steps,
    residual: deltaE00(final, old.mean),
    groundResidual: deltaE00(finalGround, old.ground),
    final,
    tooDark,
  };
}

export const LAYER_MODEL = derived(
  'each layer is taken as a filter on linear light (Beer–Lambert); photos in the same light compare best, and the test board has the last word',
);

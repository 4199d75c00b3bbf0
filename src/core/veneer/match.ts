import { deltaE00, type Tones } from '../colour';
import { derived, memory, practice, sourced, type Source } from '../sources';
import { thicknessPlan, type ThicknessPlan } from './thickness';

export type Candidate = {
  id: string;
  name: string;
  species: string;
  thicknessMm: number;
  /** Usable size along and across its grain, mm. */
  alongMm: number;
  acrossMm: number;
  tones: Tones;
};

export type Wanted = {
  tones: Tones;
  species?: string;
  thicknessMm: number;
  /** Size of the patch along and across its grain, mm, overhang included. */
  alongMm: number;
  acrossMm: number;
};

export type Match = {
  id: string;
  name: string;
  /** Lower is nearer: colour difference plus what speaks against. */
  cost: number;
  deltaE00: number;
  /** How much darker (+) or lighter (-) than the old wood's lightest ground, in L*. */
  darker: number;
  /** Difference in strength of the figure: dark lines against ground, in L*. */
  figureGap: number;
  thickness: ThicknessPlan;
  notes: string[];
};

export type MatchResult = { ranked: Match[]; excluded: { id: string; name: string; because: string }[] };

const DARK_WEIGHT = sourced(1, practice('lighter is better than darker; colour is added, not removed'));
const FIGURE_FIRST = practice('figure goes before colour: colour can be brought nearer, figure cannot');
const CONTRAST_WEIGHT = sourced(0.35, FIGURE_FIRST);
const COHERENCE_WEIGHT = sourced(25, FIGURE_FIRST);
const COHERENCE_DOUBT = sourced(
  0.3,
  memory('a ring of a few centimetres tells the run of a figure only this well'),
);
const SHIM_COST = sourced(
  0.6,
  memory('a sheet of paper is a minute’s work; less than a difference that is seen'),
);
const LOW_COST = sourced(
  4,
  memory('a patch that stays low is seen in raking light, as a clear difference of colour is'),
);
const SAME_WOOD = sourced(
  1,
  practice('the right stripe beats the right species; the same wood counts a little'),
);
/** What is noted beside a match: a figure so much weaker or stronger, a ground so much darker, in L*. */
const NOTED = {
  figure: sourced(6, memory('a difference of contrast that is seen from standing height')),
  darker: sourced(1, memory('a difference of lightness that is just seen')),
  lowMm: sourced(0.1, memory('a step that a fingernail finds')),
};

const contrast = (t: Tones): number => t.ground[0] - t.line[0];

/** Where the numbers of a match come from, for the screen. */
export const MATCH_SOURCE: Source = derived(
  'CIEDE2000 between the whole tones in the two photos, plus a charge for every L* darker than the old ground, for a weaker, stronger, straighter or wilder figure, and for shims',
);

function matchOne(wanted: Wanted, candidate: Candidate): Match {
  const difference = deltaE00(candidate.tones.mean, wanted.tones.mean);
  const darker = wanted.tones.ground[0] - candidate.tones.ground[0];
  const figureGap = Math.abs(contrast(candidate.tones) - contrast(wanted.tones));
  const runGap = Math.abs(candidate.tones.coherence - wanted.tones.coherence);
  const thickness = thicknessPlan(wanted.thicknessMm, candidate.thicknessMm);
  const notes: string[] = [];
  if (darker > NOTED.darker.value)
    notes.push(`Darker than the old ground by ${darker.toFixed(0)} L*; that cannot be taken away.`);
  if (figureGap > NOTED.figure.value)
    notes.push('Its figure is clearly weaker or stronger than the old one.');
  if (runGap > COHERENCE_DOUBT.value) {
    notes.push(
      candidate.tones.coherence > wanted.tones.coherence
        ? 'Its grain runs straighter than the old figure.'
        : 'Its figure is wilder than the old grain.',
    );
  }
  if (candidate.species === wanted.species) notes.push('The same wood.');
  const cost =
    difference +
    Math.max(0, darker) * DARK_WEIGHT.value +
    figureGap * CONTRAST_WEIGHT.value +
    Math.max(0, runGap - COHERENCE_DOUBT.value) * COHERENCE_WEIGHT.value +
    thickness.sheets * SHIM_COST.value +
    (thickness.proudMm < -NOTED.lowMm.value ? LOW_COST.value : 0) -
    (candidate.species === wanted.species ? SAME_WOOD.value : 0);
  return {
    id: candidate.id,
    name: candidate.name,
    cost,
    deltaE00: difference,
    darker,
    figureGap,
    thickness,
    notes,
  };
}

/**
 * Ranks a stock of veneers for one patch. Size decides first; then colour with lighter before darker, figure and thickness.
 */
export function matchVeneers(wanted: Wanted, stock: readonly Candidate[]): MatchResult {
  const excluded: MatchResult['excluded'] = [];
  const ranked: Match[] = [];
  for (const candidate of stock) {
    if (candidate.alongMm < wanted.alongMm || candidate.acrossMm < wanted.acrossMm) {
      const because = `Too small: the patch takes ${Math.ceil(wanted.alongMm)} × ${Math.ceil(wanted.acrossMm)} mm along and across the grain.`;
      excluded.push({ id: candidate.id, name: candidate.name, because });
    } else {
      ranked.push(matchOne(wanted, candidate));
    }
  }
  ranked.sort((a, b) => a.cost - b.cost || a.id.localeCompare(b.id));
  return { ranked, excluded };
}

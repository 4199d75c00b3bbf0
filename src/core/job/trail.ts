import { fillsInColour, methodById, takesColour } from '../catalogue';
import type { BenchTask } from '../bench';
import type { StepState } from '../front';
import { isUnderPaint } from './decide';
import type { LinkPlan } from './links';
import type { Repair } from './repairs';
import { boardOf, damageLabel, surveyed } from './survey';
import type { Face, Named, Piece } from './types';
import { worksheetPage, type Worksheet } from './worksheet';

export type TrailStep = { id: string; title: string; detail: string; state: StepState; href: string };
export type NextStep = { title: string; detail: string; action: string; href: string };

/** What is done and what is next for a piece, in the order of the work. */
export type Trail = { next: NextStep; steps: TrailStep[]; done: number; all: number };

/** A repair as the trail sees it. */
export type Walked = { repair: Repair; links: readonly LinkPlan[] };

/** Steps that a person ticks: waiting has no tick. */
export const isTicked = (task: Pick<BenchTask, 'attendedMin'>): boolean => task.attendedMin > 0;

/** Something to mend, a face whose finish was looked at, or a step of one's own. */
export const hasWork = (
  piece: Named<Piece>,
  faces: readonly Named<Face>[],
  damages: readonly unknown[],
): boolean =>
  damages.length > 0 ||
  faces.some((f) => f.body.finishState !== undefined) ||
  (piece.body.ownSteps ?? []).length > 0;

const plural = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

const isGlued = ({ glue }: LinkPlan): boolean => glue !== undefined;

/** The page of the first link that is worked out on such a sheet. */
function pageOf(walked: Walked | undefined, sheets: readonly Worksheet[]): string | undefined {
  const link = walked?.links.find((l) => sheets.includes(l.worksheet));
  const main = walked?.repair.chain?.method;
  return walked && link && main ? worksheetPage(walked.repair.damage.id, link.method, main) : undefined;
}

export function trailOf(
  piece: Named<Piece>,
  faces: readonly Named<Face>[],
  walked: readonly Walked[],
  { done, all }: { done: number; all: number },
): Trail {
  const base = `/piece/${piece.id}`;
  const damages = walked.map((w) => w.repair.damage);
  // What is only proposed is not yet a step of the trail.
  const chosen = walked.filter((w) => w.repair.damage.body.method);
  const survey = surveyStep(piece, faces, walked);
  const undecided = damages.find((d) => !d.body.method);
  const glued = chosen.filter((w) => w.links.some(isGlued));
  const coloured = chosen.find((w) => w.links.some((l) => takesColour(l.method) || fillsInColour(l.method)));
  const patches = chosen.filter((w) => w.links.some((l) => l.worksheet === 'patch'));
  const unmatched = patches.find(
    ({ repair }) => !repair.damage.body.patch.veneerId && !isUnderPaint(repair.treated),
  );
  const first = damages[0]?.id;
  // Without a damage there is nothing to decide, press or patch yet: those steps lead to the survey.
  const surveyHref = faces[0] ? `/face/${faces[0].id}` : `${base}/about`;
  const pageFor = (id: string | undefined, page: string): string =>
    id === undefined ? surveyHref : `/damage/${id}/${page}`;
  const decideHref = pageFor(undecided?.id ?? first, 'decide');
  const names = chosen.map(({ repair: { damage, chain } }) => {
    const method = damage.body.method ?? chain?.method;
    return method ? methodById(method).label : '';
  });
  const next = survey ?? nextOf({ undecided, unmatched, decideHref, done, all, piece });
  const isSurveyed = survey === undefined;
  const decided = isSurveyed && undecided === undefined;
  const matched = decided && unmatched === undefined;
  const benchDone = all > 0 && done === all;
  // Only one step is lit: the first that is not done.
  const reached = [isSurveyed, decided, decided, matched, matched, matched && benchDone, false];
  const lit = reached.indexOf(false);
  const state = (i: number): StepState => (i === lit ? 'now' : reached[i] && i < lit ? 'done' : 'waits');
  const steps: Omit<TrailStep, 'state'>[] = [
    {
      id: 'survey',
      title: 'Survey',
      detail: `${plural(faces.length, 'face', 'faces')}, ${plural(damages.length, 'damage', 'damages')}`,
      href: surveyHref,
    },
    {
      id: 'decide',
      title: 'Decide',
      detail: names.length > 0 ? shortList(names) : 'A reasoned repair for each damage',
      href: decideHref,
    },
    {
      id: 'press',
      title: 'Glue and press',
      detail: glued.length > 0 ? `${plural(glued.length, 'place', 'places')} to glue` : 'Glue, clamps, times',
      href: pageOf(glued[0], ['press', 'joint']) ?? pageFor(glued[0]?.repair.damage.id ?? first, 'press'),
    },
    {
      id: 'patch',
      title: 'Match and patch',
      detail: patches.length > 0 ? plural(patches.length, 'patch', 'patches') : 'No patch is planned',
      href: pageOf(patches[0], ['patch']) ?? pageFor(first, 'patch'),
    },
    {
      id: 'blend',
      title: 'Blend',
      detail: 'Colour layers and sanding',
      href: pageFor(coloured?.repair.damage.id ?? first, 'blend'),
    },
    {
      id: 'bench',
      title: 'Bench',
      detail: all > 0 ? `${done} of ${all} steps done` : 'Every step, in your hours',
      href: `/bench?piece=${piece.id}`,
    },
    { id: 'record', title: 'Record', detail: 'What was done, with photos', href: `${base}/record` },
  ];
  return { next, steps: steps.map((s, i) => ({ ...s, state: state(i) })), done, all };
}

function nextOf({
  undecided,
  unmatched,
  decideHref,
  done,
  all,
  piece,
}: {
  undecided: Repair['damage'] | undefined;
  unmatched: Walked | undefined;
  decideHref: string;
  done: number;
  all: number;
  piece: Named<Piece>;
}): NextStep {
  if (undecided)
    return {
      title: `Decide the repair of ${damageLabel(undecided.body).toLowerCase()}`,
      detail: 'The methods are ranked with reasons; you choose.',
      action: 'See the ranking',
      href: decideHref,
    };
  if (unmatched) {
    const { damage } = unmatched.repair;
    return {
      title: `Choose the veneer for ${damageLabel(damage.body).toLowerCase()}`,
      detail: 'Your stock is ranked by colour, figure and thickness.',
      action: 'Match veneer',
      href: pageOf(unmatched, ['patch']) ?? `/damage/${damage.id}/patch`,
    };
  }
  if (done < all)
    return {
      title: done === 0 ? 'Start at the bench' : 'Go on at the bench',
      detail: `${done} of ${all} steps are done.`,
      action: 'Open the bench plan',
      href: `/bench?piece=${piece.id}`,
    };
  return {
    title: 'All steps are done',
    detail: 'Print the record for the owner.',
    action: 'Open the record',
    href: `/piece/${piece.id}/record`,
  };
}

function surveyStep(
  piece: Named<Piece>,
  faces: readonly Named<Face>[],
  walked: readonly Walked[],
): NextStep | undefined {
  const [first] = faces;
  if (!first) {
    return {
      title: 'Photograph the first face',
      detail: `Take ${piece.body.name} square on, in even light, with something of known size on it.`,
      action: 'Add a face',
      href: `/piece/${piece.id}/about`,
    };
  }
  const toScale = (f: Named<Face>): boolean => boardOf(f.body).ok;
  const unscaled = faces.find((f) => f.body.picture && !toScale(f));
  if (unscaled) {
    return {
      title: `Set the scale of ${unscaled.body.name.toLowerCase()}`,
      detail: 'Four handles on something of known size, and every measure follows.',
      action: 'Set the scale',
      href: `/face/${unscaled.id}/scale`,
    };
  }
  for (const { repair } of walked) {
    const { damage, face } = repair;
    const survey = surveyed(damage.body, face?.body);
    if (!damage.body.faceId || !toScale(face ?? first) || survey.ok) continue;
    return {
      title: `Outline ${damageLabel(damage.body).toLowerCase()}`,
      detail: survey.problem,
      action: 'Go to the outline',
      href: `/damage/${damage.id}`,
    };
  }
  if (!hasWork(piece, faces, walked)) {
    return {
      title: 'Outline the first damage',
      detail: 'Or say how the finish is, where only that is to be done; size, place and steps follow.',
      action: 'Open the face',
      href: `/face/${first.id}`,
    };
  }
  return undefined;
}

/** So many repairs are named on the trail; the list of damages has them all. */
const MOST_NAMED = 4;

const shortList = (names: readonly string[]): string =>
  names.length <= MOST_NAMED
    ? names.join(' · ')
    : `${names.slice(0, MOST_NAMED).join(' · ')} · and ${names.length - MOST_NAMED} more`;

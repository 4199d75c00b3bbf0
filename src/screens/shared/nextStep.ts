import { worksheetOf } from './worksheets';
import { bringsWood, methodById, type MethodId } from '@/core/catalogue';
import type { Damage, Face, Piece, Stored } from '@/records';
import type { Progress } from './useBench';
import type { PieceView } from './usePiece';
import { boardOf, chainFor, damageLabel, isUnderPaint, linksOfChain, surveyed, treatedAs } from '@/core/job';

export type StepState = 'done' | 'now' | 'waits';
export type TrailStep = { id: string; title: string; detail: string; state: StepState; href: string };
export type NextStep = { title: string; detail: string; action: string; href: string };

const plural = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

const isPatch = (m: MethodId): boolean => methodById(m).family === 'patch';
const isGlued = (m: MethodId): boolean => methodById(m).steps.some((s) => s.glued);

const STEPS_UNKNOWN = 'The steps are being counted.';

/** What is done and what is next for one piece, in the order of the work. */
export function trailOf(
  view: PieceView & { piece: Stored<'piece'> },
  { done: doneSteps, all: allSteps, known }: Progress,
): { next: NextStep; steps: TrailStep[] } {
  const { piece, faces, damages } = view;
  const base = `/piece/${piece.id}`;
  const facing = (d: Stored<'damage'>): Stored<'face'> | undefined =>
    faces.find((f) => f.id === d.body.faceId);
  const onFace = (d: Damage): Damage[] =>
    damages.filter((o) => o.body.faceId === d.faceId).map((o) => o.body);
  // A repair is a chain: what is glued down first may be patched after.
  const chained = (d: Stored<'damage'>): MethodId[] => {
    const chain = d.body.method
      ? chainFor(piece.body, facing(d)?.body, d.body, onFace(d.body), view.shop)
      : undefined;
    return chain ? linksOfChain(chain) : [];
  };
  const sheet = (d: Stored<'damage'> | undefined, is: (method: MethodId) => boolean): string | undefined => {
    const link = d && chained(d).find(is);
    return link && worksheetOf(d.id, link, d.body.method ?? link);
  };
  const toScale = (f: Stored<'face'>): boolean => boardOf(f.body).ok;
  const survey = surveyStep(piece.body, view, toScale);
  const undecided = damages.find((d) => !d.body.method);
  const glued = damages.filter((d) => chained(d).some(isGlued));
  const coloured = damages.find((d) => chained(d).some(bringsWood));
  const patches = damages.filter((d) => chained(d).some(isPatch));
  const unmatched = patches.find(
    (d) => !d.body.patch.veneerId && !isUnderPaint(treatedAs(piece.body, facing(d)?.body)),
  );
  const decideHref = `/damage/${(undecided ?? damages[0])?.id ?? ''}/decide`;
  const names = damages
    .map((d) => (d.body.method ? methodById(d.body.method).label : undefined))
    .filter((n) => n !== undefined);
  const next: NextStep =
    survey ??
    (undecided
      ? {
          title: `Decide the repair of ${damageLabel(undecided.body).toLowerCase()}`,
          detail: 'The methods are ranked with reasons; you choose.',
          action: 'See the ranking',
          href: decideHref,
        }
      : unmatched
        ? {
            title: `Choose the veneer for ${damageLabel(unmatched.body).toLowerCase()}`,
            detail: 'Your stock is ranked by colour, figure and thickness.',
            action: 'Match veneer',
            href: sheet(unmatched, isPatch) ?? `/damage/${unmatched.id}/patch`,
          }
        : doneSteps < allSteps || !known
          ? {
              title: doneSteps === 0 && known ? 'Start at the bench' : 'Go on at the bench',
              detail: known ? `${doneSteps} of ${allSteps} steps are done.` : STEPS_UNKNOWN,
              action: 'Open the bench plan',
              href: `/bench?piece=${piece.id}`,
            }
          : {
              title: 'All steps are done',
              detail: 'Print the record for the owner.',
              action: 'Open the record',
              href: `${base}/record`,
            });
  const surveyed = survey === undefined;
  const decided = surveyed && undecided === undefined;
  const matched = decided && unmatched === undefined;
  const benchDone = allSteps > 0 && doneSteps === allSteps;
  // Only one step is lit: the first that is not done.
  const done = [surveyed, decided, decided, matched, matched, matched && benchDone, false];
  const lit = done.indexOf(false);
  const state = (i: number): StepState => (i === lit ? 'now' : done[i] && i < lit ? 'done' : 'waits');
  const steps: TrailStep[] = [
    {
      id: 'survey',
      title: 'Survey',
      detail: `${plural(faces.length, 'face', 'faces')}, ${plural(damages.length, 'damage', 'damages')}`,
      state: state(0),
      href: faces[0] ? `/face/${faces[0].id}` : `${base}/about`,
    },
    {
      id: 'decide',
      title: 'Decide',
      detail: names.length > 0 ? names.join(' · ') : 'A reasoned repair for each damage',
      state: state(1),
      href: decideHref,
    },
    {
      id: 'press',
      title: 'Glue and press',
      detail: glued.length > 0 ? `${plural(glued.length, 'place', 'places')} to glue` : 'Glue, clamps, times',
      state: state(2),
      href:
        sheet(glued[0], (m) => isGlued(m) && !isPatch(m)) ??
        `/damage/${(glued[0] ?? damages[0])?.id ?? ''}/press`,
    },
    {
      id: 'patch',
      title: 'Match and patch',
      detail: patches.length > 0 ? plural(patches.length, 'patch', 'patches') : 'No patch is planned',
      state: state(3),
      href: sheet(patches[0], isPatch) ?? `/damage/${(patches[0] ?? damages[0])?.id ?? ''}/patch`,
    },
    {
      id: 'blend',
      title: 'Blend',
      detail: 'Colour layers and sanding',
      state: state(4),
      href: `/damage/${(coloured ?? damages[0])?.id ?? ''}/blend`,
    },
    {
      id: 'bench',
      title: 'Bench',
      detail: known ? `${doneSteps} of ${allSteps} steps done` : STEPS_UNKNOWN,
      state: state(5),
      href: `/bench?piece=${piece.id}`,
    },
    {
      id: 'record',
      title: 'Record',
      detail: 'What was done, with photos',
      state: state(6),
      href: `${base}/record`,
    },
  ];
  // Without a damage there is nothing to decide, press or patch yet: those steps lead to the survey.
  const steady =
    damages.length === 0
      ? steps.map((s) => (s.href.includes('/damage/') ? { ...s, href: steps[0]?.href ?? base } : s))
      : steps;
  return { next, steps: steady };
}

function surveyStep(
  piece: Piece,
  { faces, damages, piece: stored }: PieceView,
  toScale: (f: Stored<'face'>) => boolean,
): NextStep | undefined {
  const [first] = faces;
  if (!first) {
    return {
      title: 'Photograph the first face',
      detail: `Take ${piece.name} square on, in even light, with something of known size on it.`,
      action: 'Add a face',
      href: `/piece/${stored?.id ?? ''}/about`,
    };
  }
  const unscaled = faces.find((f) => f.body.picture && !toScale(f));
  if (unscaled) {
    return {
      title: `Set the scale of ${unscaled.body.name.toLowerCase()}`,
      detail: 'Four handles on something of known size, and every measure is in millimetres.',
      action: 'Set the scale',
      href: `/face/${unscaled.id}/scale`,
    };
  }
  const unmeasured = damages.find(
    (d) =>
      d.body.faceId &&
      toScale(faces.find((f) => f.id === d.body.faceId) ?? first) &&
      problemOf(d.body, faces),
  );
  if (unmeasured) {
    return {
      title: `Outline ${damageLabel(unmeasured.body).toLowerCase()}`,
      detail: problemOf(unmeasured.body, faces) ?? '',
      action: 'Go to the outline',
      href: `/damage/${unmeasured.id}`,
    };
  }
  if (damages.length === 0) {
    return {
      title: 'Outline the first damage',
      detail: 'Tap round it on the photo; its size and place follow.',
      action: 'Open the face',
      href: `/face/${first.id}`,
    };
  }
  return undefined;
}

function problemOf(damage: Damage, faces: readonly Stored<'face'>[]): string | undefined {
  const face: Face | undefined = faces.find((f) => f.id === damage.faceId)?.body;
  const result = surveyed(damage, face);
  return result.ok ? undefined : result.problem;
}

import { step, type Deed, type PhaseId, type Step } from '../catalogue';
import { derived, sourced, type Source } from '../sources';
import type { RiskySurface } from '../safety';
import type { Ways } from '../ways';
import { sizedMinutes, type Spent } from './bySize';
import type { OwnCoats } from './coats';
import { grouped, passesFor, riskiest, type CoatGoal, type FaceWork, type Pass } from './passes';
import { roundsOf, type DoneFaces } from './rounds';

export type PieceStep = Step & {
  surface: RiskySurface;
  learns: string;
  /** Faces it is done to; none where it is done to the whole piece. */
  faces?: string[];
  part?: string;
  /** What the book says a hand may take. min. */
  range?: { leastMin: number; mostMin: number };
  spends?: Spent[];
  /** The name under which an earlier plan had it: what was ticked off then stays done. */
  aka?: string;
} & Pick<Pass, 'coat' | 'sands'>;

/** What has to come off: parts in the order in which they do, and minutes of opening their joints. */
export type ApartWork = { parts: readonly string[]; minutes: number };

const APART_SOURCE: Source = derived('minutes of each joint and of letting its old glue go');

/** Taking apart before anything else, and putting together again, the other way round after a dry fit. */
function apartSteps({ parts, minutes }: ApartWork): PieceStep[] {
  const of = (key: string, phase: PhaseId, title: string, detail: string): PieceStep => ({
    ...step(key, phase, title, detail, 0, ['takeApart'], key === 'apart' ? { after: ['intake'] } : {}),
    attended: sourced(minutes, APART_SOURCE),
    surface: {},
    learns: `piece.${key}`,
  });
  return [
    of('apart', 'intake', 'Take apart', `In this order: ${parts.join(', ')}. Label every part with its place; stop where it needs force.`), // prettier-ignore
    of('together', 'reassemble', 'Dry-fit and put together', `In this order: ${[...parts].reverse().join(', ')}. Everything once without glue first.`), // prettier-ignore
  ];
}

/** Steps of the whole piece around its repairs, face by face: intake, preparing, sanding, coats, rub-out, reassembly. */
export function pieceSteps({
  pieceId,
  faces,
  holds,
  ways,
  coats = {},
  done = [],
  apart,
}: {
  pieceId: string;
  faces: readonly FaceWork[];
  holds: RiskySurface['holds'];
  ways: Ways;
  /** The shop's own top coats. */
  coats?: Partial<Record<CoatGoal, OwnCoats>>;
  done?: readonly DoneFaces[];
  apart?: ApartWork;
}): PieceStep[] {
  const held = holds && holds.length > 0 ? { holds } : {};
  const species = faces.find((f) => f.species)?.species;
  const electric = holds?.includes('electric') ? ' Pull the plug; the electric set comes out first.' : '';
  const whole = (
    key: string,
    phase: PhaseId,
    title: string,
    detail: string,
    deeds: readonly Deed[],
    surface: RiskySurface,
  ): PieceStep => ({ ...step(key, phase, title, detail, 25, deeds), surface, learns: `piece.${key}` });
  const intake = whole(
    'intake',
    'intake',
    'Photograph, clean, take off hardware',
    `Bag and label screws; note odd ones.${electric} Vacuum with a HEPA filter and wipe down damp.`,
    ['openInside', 'clean', 'buyWood'],
    { ...riskiest(faces), ...held, ...(species ? { species } : {}) },
  );
  const reassemble = whole(
    'reassemble',
    'reassemble',
    'Reassemble and photograph',
    'Hardware on, felt pads, photos after, and what was used written down.',
    ['buyWood'],
    species ? { species } : {},
  );
  const last = apart ? { ...reassemble, after: ['together'] } : reassemble;
  // What is finished apart has its own passes; everything else goes with the frame.
  const passes = grouped(faces, (f) => f.part ?? '').flatMap(([part, own]) =>
    passesFor(own, ways, coats, held).map((pass) => ({
      part,
      pass: part ? { ...pass, key: `${pass.key}@${part}` } : pass,
    })),
  );
  const worked = passes.flatMap(({ part, pass }) =>
    roundsOf(pass, pieceId, done).map(({ pass: round, aka }) => pieceStep(round, part, faces, aka)),
  );
  return [intake, ...(apart ? apartSteps(apart) : []), ...worked, last];
}

function pieceStep(
  { key, phase, title, detail, work, passes, faces, wait, deeds, surface, learns, spends, coat, sands }: Pass,
  part: string,
  all: readonly FaceWork[],
  aka: string | undefined,
): PieceStep {
  const { attended, leastMin, mostMin } = sizedMinutes(work, faces, passes);
  const here = faces.length === all.length ? '' : ` Here: ${faces.map((f) => f.name).join(', ')}.`;
  return {
    ...step(
      key,
      phase,
      part ? `${title}: ${part}` : title,
      `${detail}${here}`,
      0,
      deeds,
      wait ? { wait } : {},
    ),
    attended,
    range: { leastMin, mostMin },
    surface,
    learns: learns ?? `piece.${work}`,
    faces: faces.map((f) => f.id),
    ...(part ? { part } : {}),
    ...(spends ? { spends: spends(faces) } : {}),
    ...(aka ? { aka } : {}),
    ...(coat ? { coat } : {}),
    ...(sands ? { sands } : {}),
  };
}

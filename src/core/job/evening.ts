import type { OwnStep } from '../bench';
import { batchOf, batchWords, roleOf, type Colour } from '../shelf';
import { carrierWords, type DecidedCoats } from './colourStage';
import { faceAreaMm2 } from './condition';
import type { Face, Named, Piece } from './types';

/** The coats that even a piece's parts out: its own steps with their amounts in words, what they take, and what cannot be followed. */
export type Evening = { ownSteps: OwnStep[]; coats: DecidedCoats[]; problems: string[] };

type Laid = { step: OwnStep; coats?: DecidedCoats; problem?: string };

function laid(step: OwnStep, faces: readonly Named<Face>[], shelf: readonly Named<Colour>[]): Laid {
  const { lays } = step;
  if (!lays) return { step };
  const colour = shelf.find((c) => c.id === lays.colourId)?.body;
  const kind = colour && roleOf(colour.kind);
  if (!colour || !kind || kind === 'mix')
    return { step, problem: `${step.title}: it is on the shelf no longer, and no amount is counted. Even the parts out again.` }; // prettier-ignore
  const sized = lays.on.map(({ faceId, coats }) => {
    const face = faces.find((f) => f.id === faceId);
    return coats * (face ? faceAreaMm2(face) * (face.body.alike ?? 1) : 0);
  });
  const coatMm2 = sized.reduce((sum, mm2) => sum + mm2, 0);
  const uncounted = sized.some((mm2) => mm2 === 0) ? ' Parts without a measured face are not in it.' : '';
  if (coatMm2 === 0)
    return { step: { ...step, detail: `${step.detail} How much it takes is not known: none of its parts has a measured face.` } }; // prettier-ignore
  const of = { colourId: lays.colourId, coats: 1 };
  const carrier = carrierWords(colour);
  const words = `${batchWords(of, coatMm2, carrier)}${uncounted}`;
  const most = Math.max(...lays.on.map((o) => o.coats));
  return {
    step: { ...step, detail: `${step.detail} ${words}` },
    coats: { ...of, name: colour.name, kind, words, ...batchOf(of, coatMm2), coats: most, carrier },
  };
}

/** Amounts follow the faces as they are measured now. */
export function eveningOf(
  { ownSteps = [] }: Piece,
  faces: readonly Named<Face>[],
  shelf: readonly Named<Colour>[],
): Evening {
  const all = ownSteps.map((step) => laid(step, faces, shelf));
  return {
    ownSteps: all.map((l) => l.step),
    coats: all.flatMap((l) => l.coats ?? []),
    problems: all.flatMap((l) => l.problem ?? []),
  };
}

import { conditionOf, type Condition, type Counted } from '../condition';
import { areaOf } from '../geometry';
import { boardOf, surveyed } from './survey';
import type { Damage, Face, Named } from './types';

/** Damages of some faces as the condition score counts them. */
export function countedOf(damages: readonly Named<Damage>[], faces: readonly Named<Face>[]): Counted[] {
  return damages.map((d) => {
    const face = faces.find((f) => f.id === d.body.faceId)?.body;
    const survey = surveyed(d.body, face);
    return {
      id: d.id,
      kind: d.body.kind,
      areaMm2: survey.ok ? survey.value.measures.areaMm2 : (d.body.roughAreaMm2 ?? 0),
      show: face?.show ?? true,
    };
  });
}

export const faceAreaMm2 = (face: Named<Face>): number => {
  const board = boardOf(face.body);
  return board.ok ? areaOf(board.value.plane.outline) : 0;
};

/** Condition of one face, or of all of them together. */
export const conditionFor = (damages: readonly Named<Damage>[], faces: readonly Named<Face>[]): Condition =>
  conditionOf(
    countedOf(damages, faces),
    faces.reduce((s, f) => s + faceAreaMm2(f), 0),
  );

export type Units = { length: (mm: number) => string; area: (mm2: number) => string };

/** What was measured of a damage, in words. */
export function measuredWords(
  d: Named<Damage>,
  face: Named<Face> | undefined,
  { length, area }: Units,
): string {
  const survey = surveyed(d.body, face?.body);
  if (!survey.ok) return 'not measured';
  const { measures, lengthMm, gapMm, diameterMm } = survey.value;
  const depth = d.body.answers.depthMm === undefined ? '' : `, ${length(d.body.answers.depthMm)} deep`;
  if (diameterMm !== undefined) return `${length(diameterMm)} across${depth}`;
  if (gapMm !== undefined && lengthMm !== undefined)
    return `${length(lengthMm)} long, ${length(gapMm)} wide${depth}`;
  return `${area(measures.areaMm2)}, ${length(measures.alongMm)} along and ${length(measures.acrossMm)} across the grain${depth}`;
}

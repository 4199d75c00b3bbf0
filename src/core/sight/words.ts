import { REFERENCE_OBJECTS } from '../geometry';
import { lowerFirst } from '../terms';
import type { KnownFound, KnownThing } from './known';

const SURE = 0.4;

/** What was found, and what to do about it. */
export function knownWords({ corners, worth }: KnownFound, object: KnownThing): string {
  const what = object === 'face' ? 'face' : lowerFirst(REFERENCE_OBJECTS[object].label);
  if (corners.length === 0)
    return `No ${what} with four clear edges was found, so the handles stay where they are. Drag them, or take a photo with a plain ground behind its edges.`;
  return worth >= SURE
    ? 'The handles lie on the edges that were found. Look at each corner, and drag what is wrong.'
    : 'The handles lie on the likeliest edges, which are faint. Look at each corner, and drag what is wrong.';
}

/** What came of one tap. @param corners of the outline that was proposed */
export const proposalWords = (corners: number): string =>
  corners < 3
    ? 'Nothing stands out there, so nothing was marked. Tap the points round the damage instead.'
    : 'The outline is proposed. Drag the points that are off; Undo takes it back.';

import type { Lab } from '../colour';
import { memory, sourced } from '../sources';

/** A difference above this is told as not reached. ΔE00 */
export const OUT_OF_REACH = sourced(3, memory('seen at once, close to'));

/** How a colour would have to change to become another, the largest change first: “lighter”, “less red”. At most two words. */
export function wanted(from: Lab, to: Lab): string[] {
  const [dl, da, db] = [to[0] - from[0], to[1] - from[1], to[2] - from[2]];
  return [
    { off: Math.abs(dl), word: dl > 0 ? 'lighter' : 'darker' },
    { off: Math.abs(da), word: da > 0 ? 'redder' : 'less red' },
    { off: Math.abs(db), word: db > 0 ? 'yellower' : 'less yellow' },
  ]
    .filter((w) => w.off > OUT_OF_REACH.value / 2)
    .sort((a, b) => b.off - a.off)
    .slice(0, 2)
    .map((w) => w.word);
}

import type { FrontPiece } from './front';

const plain = (text: string): string => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();

/** Pieces in whose name, school, or next step every word of a search is found; accents and capitals do not matter. */
export function found(pieces: readonly FrontPiece[], search: string): readonly FrontPiece[] {
  const words = plain(search).split(/\s+/).filter(Boolean);
  if (words.length === 0) return pieces;
  return pieces.filter((p) => {
    const said = plain([p.name, p.school, p.rest ?? '', p.next].join(' '));
    return words.every((w) => said.includes(w));
  });
}

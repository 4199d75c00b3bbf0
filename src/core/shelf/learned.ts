import type { Lab } from '../colour';
import { boardColour, type Coat, type Fit } from '../pigment';
import { boardsOf, coatsOf, laidOf, type OnShelf } from './plans';
import type { TestBoard } from './colour';
import { thinnedWords } from './thinned';

/** More products than this are not learned from at once. */
const MOST_LEARNED = 60;

/** What `colour.fit` is asked: the products that boards know first, then the others. */
export function learningFrom(
  shelf: readonly OnShelf[],
  boards: readonly { body: TestBoard }[],
): { products: Coat[]; boards: ReturnType<typeof boardsOf> } {
  const used = new Set(boards.flatMap((b) => b.body.coats.map((c) => c.colourId)));
  const products = coatsOf(shelf)
    .sort((a, b) => Number(used.has(b.id)) - Number(used.has(a.id)))
    .slice(0, MOST_LEARNED);
  return { products, boards: boardsOf(boards, products) };
}

/** What boards have shown of a product, for reading. */
export function learnedWords(fit: Fit, id: string): string | undefined {
  const own = fit.products.find((p) => p.id === id);
  if (!own || own.boards === 0) return undefined;
  const times = Math.exp((own.gain[0] + own.gain[1] + own.gain[2]) / 3);
  return `${own.boards === 1 ? 'One board' : `${own.boards} boards`}: it works ${times.toFixed(2)} times as strongly as its swatch says. Predictions with it were ${own.before.toFixed(1)} ΔE00 off before the boards, and are ${own.after.toFixed(1)} off now.`;
}

/** How many coats of what, on what grit: “2 coats of brown dye, 1 coat of clear; sanded to P180”. */
export function boardWords(board: TestBoard, nameOf: (id: string) => string): string {
  const coats = board.coats
    .map((c) => `${c.coats === 1 ? '1 coat' : `${c.coats} coats`} of ${nameOf(c.colourId)}${thinnedWords(c)}`)
    .join(', ');
  return board.grit === undefined ? `${coats}.` : `${coats}; sanded to P${board.grit}.`;
}

/** What a board would be expected to look like by all that is known now; nothing when one of its products is gone. */
export function predictedBoard(board: TestBoard, shelf: readonly OnShelf[], fit: Fit): Lab | undefined {
  const products = new Map(coatsOf(shelf).map((c) => [c.id, c]));
  if (board.coats.some((c) => !products.has(c.colourId))) return undefined;
  const gains = new Map(fit.products.map((p) => [p.id, p.gain]));
  return boardColour({ ground: board.ground, coats: laidOf(board.coats) }, products, gains);
}

import { assertRange } from '../check';

export type Cutting = {
  /** What each length of stock is cut into, by the index of the piece. */
  stocks: { pieces: number[]; leftMm: number }[];
};

/** Beyond so many pieces the longest-first rule alone is followed. */
const MOST_SEARCHED = 14;
const EXACT_MM = 1e-9;

/** Longest piece first, into the first stock that has room for it and the kerf before it. */
function firstFit(
  order: readonly number[],
  lengthsMm: readonly number[],
  stockMm: number,
  kerfMm: number,
): number[][] {
  const stocks: { pieces: number[]; usedMm: number }[] = [];
  for (const i of order) {
    const mm = lengthsMm[i] ?? 0;
    const room = stocks.find((s) => s.usedMm + kerfMm + mm <= stockMm + EXACT_MM);
    if (room) {
      room.pieces.push(i);
      room.usedMm += kerfMm + mm;
    } else stocks.push({ pieces: [i], usedMm: mm });
  }
  return stocks.map((s) => s.pieces);
}

/**
 * Pieces cut from the fewest lengths of stock, a kerf between two. Up to fourteen pieces it is the fewest there can be; beyond,
 * the longest are placed first.
 *
 * @throws RangeError for a piece longer than the stock
 */
export function cutFrom(lengthsMm: readonly number[], stockMm: number, kerfMm: number): Cutting {
  assertRange('The kerf', kerfMm, 'mm', 0, 10);
  const longest = Math.max(0, ...lengthsMm);
  if (longest > stockMm)
    throw new RangeError(
      `A piece of ${longest.toFixed(1)} mm cannot be cut from ${stockMm} mm. Enter a longer stock, or put the piece together from two.`,
    );
  const order = lengthsMm.map((_, i) => i).sort((a, b) => (lengthsMm[b] ?? 0) - (lengthsMm[a] ?? 0));
  let best = firstFit(order, lengthsMm, stockMm, kerfMm);
  const total = lengthsMm.reduce((a, b) => a + b + kerfMm, 0);
  const least = Math.ceil(total / (stockMm + kerfMm) - EXACT_MM);
  const stocks: { pieces: number[]; usedMm: number }[] = [];
  const place = (at: number): void => {
    if (best.length <= least || stocks.length >= best.length) return;
    const piece = order[at];
    if (piece === undefined) {
      best = stocks.map((s) => [...s.pieces]);
      return;
    }
    const mm = (lengthsMm[piece] ?? 0) + kerfMm;
    // Two stocks that are as full are the same choice.
    const tried = new Set<number>();
    for (const stock of stocks) {
      if (tried.has(stock.usedMm) || stock.usedMm + mm > stockMm + kerfMm + EXACT_MM) continue;
      tried.add(stock.usedMm);
      stock.pieces.push(piece);
      stock.usedMm += mm;
      place(at + 1);
      stock.usedMm -= mm;
      stock.pieces.pop();
    }
    if (stocks.length + 1 < best.length) {
      stocks.push({ pieces: [piece], usedMm: mm });
      place(at + 1);
      stocks.pop();
    }
  };
  if (lengthsMm.length <= MOST_SEARCHED) place(0);
  return {
    stocks: best.map((pieces) => ({
      pieces,
      leftMm: stockMm - pieces.reduce((sum, i, n) => sum + (lengthsMm[i] ?? 0) + (n > 0 ? kerfMm : 0), 0),
    })),
  };
}

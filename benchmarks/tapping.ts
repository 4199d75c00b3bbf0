// How well a loose region is known after so many taps, one in twenty misheard: where the map says, and on an even grid.
import { seededRandom } from '../src/core/check';
import { areaOfAll, contains, intersectionOf, unionOf, type Point, type Polygon } from '../src/core/geometry';
import { tapMap, type Tap } from '../src/core/tapping';

const PANEL: Polygon = [[0, 0], [600, 0], [600, 450], [0, 450]]; // prettier-ignore
const COUNTS = [20, 30, 40, 50, 60, 80];
const SEEDS = [1, 2, 3, 4, 5];

const ellipse = (cx: number, cy: number, rx: number, ry: number): Polygon =>
  Array.from({ length: 48 }, (_, i): Point => [
    cx + rx * Math.cos((i * Math.PI) / 24),
    cy + ry * Math.sin((i * Math.PI) / 24),
  ]);

const LOOSE: Record<string, Polygon[]> = {
  'an ellipse': [ellipse(230, 260, 150, 95)],
  'an L along an edge': [[[0, 450], [0, 130], [105, 130], [105, 340], [330, 340], [330, 450]]],
  'two blisters': [ellipse(160, 140, 95, 75), ellipse(430, 310, 105, 80)],
}; // prettier-ignore

const overlap = (found: readonly Polygon[], truth: readonly Polygon[]): number =>
  areaOfAll(intersectionOf(found, truth)) / areaOfAll(unionOf([...found, ...truth]));

/** A grid of about so many taps whose cells are as square as they can be: the best a grid can do. */
function gridOf(count: number): Point[] {
  const columns = Math.round(Math.sqrt((count * 600) / 450));
  const rows = Math.round(count / columns);
  return Array.from({ length: columns * rows }, (_, i): Point => [
    ((i % columns) + 0.5) * (600 / columns),
    (Math.floor(i / columns) + 0.5) * (450 / rows),
  ]);
}

export async function tapping(): Promise<void> {
  for (const [name, truth] of Object.entries(LOOSE)) {
    const guided = COUNTS.map(() => 0);
    const grid = COUNTS.map(() => 0);
    for (const seed of SEEDS) {
      const random = seededRandom(seed);
      const hear = (x: number, y: number): Tap => ({
        x,
        y,
        hollow: truth.some((t) => contains(t, [x, y])) !== random() < 0.05,
      });
      const taps: Tap[] = [];
      let next = { x: 300, y: 225 };
      while (taps.length < 80) {
        taps.push(hear(next.x, next.y));
        const map = await tapMap({ outline: PANEL, taps });
        next = map.next;
        const at = COUNTS.indexOf(taps.length);
        if (at >= 0) guided[at] = (guided[at] ?? 0) + overlap(map.looseOutlines, truth) / SEEDS.length;
      }
      for (const [at, count] of COUNTS.entries()) {
        const map = await tapMap({ outline: PANEL, taps: gridOf(count).map(([x, y]) => hear(x, y)) });
        grid[at] = (grid[at] ?? 0) + overlap(map.looseOutlines, truth) / SEEDS.length;
      }
    }
    console.log(`\n${name}\n\n| taps | guided | on a grid |\n| --- | --- | --- |`);
    COUNTS.forEach((count, i) =>
      console.log(`| ${count} | ${(guided[i] ?? 0).toFixed(2)} | ${(grid[i] ?? 0).toFixed(2)} |`),
    );
  }
}

import type { Point } from '../geometry';
import { caulUnder, type PlacedLayout } from '../press';
import type { GlueChoice } from './types';

/** A place that a finger drags; `whole`: it carries a thing with it rather than an end of it. */
export type PlacingHandle = { id: string; label: string; x: number; y: number; whole?: boolean };

/** Handles of what is placed: each clamp, each end of a caul, and a cross that moves a caul with the clamps on it. */
export const placingHandles = ({ cauls, clamps }: PlacedLayout): PlacingHandle[] => [
  ...cauls.flatMap(({ from, to }, i): PlacingHandle[] => [
    { id: `from ${i}`, label: `Left end of caul ${i + 1}`, x: from[0], y: from[1] },
    { id: `to ${i}`, label: `Right end of caul ${i + 1}`, x: to[0], y: to[1] },
    {
      id: `caul ${i}`,
      label: `Caul ${i + 1} with its clamps`,
      x: from[0] + 0.32 * (to[0] - from[0]),
      y: from[1] + 0.32 * (to[1] - from[1]),
      whole: true,
    },
  ]),
  ...clamps.map(({ at: [x, y] }, i): PlacingHandle => ({ id: `clamp ${i}`, label: `Clamp ${i + 1}`, x, y })),
];

const whole = ([x, y]: readonly [number, number]): Point => [Math.round(x), Math.round(y)];

/** What is placed after a handle was dragged to a place, in whole millimetres. */
export function movedPlacing(placed: PlacedLayout, id: string, to: readonly [number, number]): PlacedLayout {
  const [what, number] = id.split(' ');
  const index = Number(number);
  const at = whole(to);
  if (what === 'clamp')
    return { ...placed, clamps: placed.clamps.map((c, i) => (i === index ? { ...c, at } : c)) };
  const caul = placed.cauls[index];
  if (!caul) return placed;
  const replace = (patch: Partial<typeof caul>) =>
    placed.cauls.map((c, i) => (i === index ? { ...c, ...patch } : c));
  // A caul keeps some length, or it is none.
  const short = (a: Point, b: Point): boolean => Math.hypot(a[0] - b[0], a[1] - b[1]) < 20;
  if (what === 'from') return short(at, caul.to) ? placed : { ...placed, cauls: replace({ from: at }) };
  if (what === 'to') return short(at, caul.from) ? placed : { ...placed, cauls: replace({ to: at }) };
  const by: Point = [
    at[0] - (caul.from[0] + 0.32 * (caul.to[0] - caul.from[0])),
    at[1] - (caul.from[1] + 0.32 * (caul.to[1] - caul.from[1])),
  ];
  const shift = (p: Point): Point => [p[0] + by[0], p[1] + by[1]];
  return {
    ...placed,
    cauls: replace({ from: shift(caul.from), to: shift(caul.to) }),
    clamps: placed.clamps.map((c) =>
      caulUnder(placed.cauls, c.at) === index ? { ...c, at: shift(c.at) } : c,
    ),
  };
}

/** One more clamp like the last, on the widest stretch between neighbours along the first caul. */
export function withClamp(placed: PlacedLayout): PlacedLayout {
  const last = placed.clamps[placed.clamps.length - 1];
  const [caul] = placed.cauls;
  if (!last) return placed;
  if (!caul) return { ...placed, clamps: [...placed.clamps, { ...last, at: [last.at[0] + 40, last.at[1]] }] };
  const at = (t: number): Point =>
    whole([caul.from[0] + t * (caul.to[0] - caul.from[0]), caul.from[1] + t * (caul.to[1] - caul.from[1])]);
  const lengthMm = Math.hypot(caul.to[0] - caul.from[0], caul.to[1] - caul.from[1]);
  const stops = placed.clamps
    .filter((c) => caulUnder(placed.cauls, c.at) === 0)
    .map((c) => Math.hypot(c.at[0] - caul.from[0], c.at[1] - caul.from[1]) / lengthMm)
    .concat(0, 1)
    .sort((a, b) => a - b);
  let widest = [0, 1] as [number, number];
  let width = 0;
  for (let i = 1; i < stops.length; i++) {
    const [a, b] = [stops[i - 1] ?? 0, stops[i] ?? 1];
    if (b - a > width) [widest, width] = [[a, b], b - a];
  }
  return { ...placed, clamps: [...placed.clamps, { ...last, at: at((widest[0] + widest[1]) / 2) }] };
}

/** The choice with cauls of another section; those that are placed become so too. */
export function withCauls(glue: GlueChoice, section: { widthMm?: number; heightMm?: number }): GlueChoice {
  const { placed } = glue;
  return {
    ...glue,
    ...(section.heightMm === undefined ? {} : { caulHeightMm: section.heightMm }),
    ...(section.widthMm === undefined ? {} : { caulWidthMm: section.widthMm }),
    ...(placed ? { placed: { ...placed, cauls: placed.cauls.map((c) => ({ ...c, ...section })) } } : {}),
  };
}

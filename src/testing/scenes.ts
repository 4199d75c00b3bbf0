// Photos of a card, a sheet or a face on a bench, made up: seen from an angle, in shadow, among other things.
import { seededRandom } from '../core/check';
import { homographyFrom, invertHomography, project, REFERENCE_OBJECTS, type Point } from '../core/geometry';
import type { Raster } from '../core/picture';
import { REAL_WOOD, woodPhoto } from './wood';

type Rgb = readonly [number, number, number];
export type Scene = {
  picture: Raster;
  object: 'card' | 'a4' | 'letter' | 'face';
  /** Its corners in the picture, px, from the top left as it lies, clockwise. */
  corners: Point[];
};

const [WIDE, TALL] = [600, 450];
const woods = REAL_WOOD.map(woodPhoto);
const OBJECTS = ['card', 'a4', 'face', 'letter', 'card'] as const;
const CARDS: Rgb[] = [[232, 232, 228], [46, 92, 150], [196, 62, 54], [238, 214, 120], [52, 58, 62]]; // prettier-ignore

/** A corner box of this share of the picture's width is moved about at random to make the view oblique. */
const TILT = 0.16;

export function sceneOf(seed: number): Scene {
  const random = seededRandom(seed);
  const between = (a: number, b: number): number => a + (b - a) * random();
  const object = OBJECTS[seed % OBJECTS.length] ?? 'card';
  const bench = woods[Math.floor(random() * woods.length)];
  const own = woods[Math.floor(random() * woods.length)];
  const ratio =
    object === 'face'
      ? between(1.2, 1.7)
      : REFERENCE_OBJECTS[object].widthMm / REFERENCE_OBJECTS[object].heightMm;
  const wide = WIDE * (object === 'card' ? between(0.2, 0.34) : object === 'face' ? between(0.55, 0.68) : between(0.32, 0.5)); // prettier-ignore
  const tall = Math.min(wide / ratio, TALL * 0.72);
  const turn = between(-0.35, 0.35);
  const middle: Point = [WIDE / 2 + between(-40, 40), TALL / 2 + between(-30, 30)];
  const corners = (
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ] as const
  ).map(([x, y]): Point => {
    const [px, py] = [
      (x * wide) / 2 + TILT * wide * between(-0.5, 0.5),
      (y * tall) / 2 + TILT * tall * between(-0.5, 0.5),
    ];
    return [
      middle[0] + px * Math.cos(turn) - py * Math.sin(turn),
      middle[1] + px * Math.sin(turn) + py * Math.cos(turn),
    ];
  });
  const square: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore
  const toSquare = invertHomography(homographyFrom(square, corners));
  const card = CARDS[Math.floor(random() * CARDS.length)] ?? [230, 230, 230];
  // What else lies about: not over the thing itself, though its edge may touch.
  const clutter = Array.from({ length: 7 }, () => {
    const at: Point = [between(0, WIDE), between(0, TALL)];
    const [long, thin, angle] = [between(30, 150), between(8, 40), between(0, Math.PI)];
    const tint: Rgb = [between(20, 235), between(20, 220), between(20, 210)];
    const round = random() < 0.3;
    return { at, long, thin, angle, tint, round };
  });
  const shadow = {
    angle: between(0, 2 * Math.PI),
    off: between(-120, 120),
    dark: between(0.5, 0.8),
    soft: between(3, 30),
  };
  const [benchScale, ownScale] = [between(0.7, 1.3), between(350, 500)];
  const bright = object === 'face' ? between(1.15, 1.35) : 1;
  const { sin, cos, abs, hypot, exp, floor } = Math;
  const leaning = clutter.map((c) => ({ ...c, cos: cos(c.angle), sin: sin(c.angle) }));
  const colourAt = (x: number, y: number): Rgb => {
    const w = toSquare[6] * x + toSquare[7] * y + toSquare[8];
    const u = (toSquare[0] * x + toSquare[1] * y + toSquare[2]) / w;
    const v = (toSquare[3] * x + toSquare[4] * y + toSquare[5]) / w;
    if (u >= 0 && u <= 1 && v >= 0 && v <= 1) {
      if (object === 'face') {
        const c = pixel(own, u * ownScale, (v * ownScale) / ratio);
        return [c[0] * bright, c[1] * bright * 0.9, c[2] * bright * 0.75];
      }
      if (object === 'card') {
        // A stripe and a block of print.
        if (v > 0.12 && v < 0.3) return [card[0] * 0.35, card[1] * 0.35, card[2] * 0.35];
        if (u > 0.1 && u < 0.3 && v > 0.45 && v < 0.7) return [200, 180, 90];
        return card;
      }
      const printed = v > 0.12 && v < 0.8 && u > 0.12 && u < 0.86 && floor(v * 40) % 3 === 0;
      return printed ? [150, 150, 148] : [238, 236, 230];
    }
    for (const c of leaning) {
      const dx = x - c.at[0];
      const dy = y - c.at[1];
      const a = dx * c.cos + dy * c.sin;
      const b = -dx * c.sin + dy * c.cos;
      if (c.round ? hypot(dx, dy) < c.thin : abs(a) < c.long / 2 && abs(b) < c.thin / 2) return c.tint;
    }
    return pixel(bench, x * benchScale, y * benchScale);
  };
  const data = new Uint8ClampedArray(4 * WIDE * TALL);
  const [sunX, sunY] = [cos(shadow.angle), sin(shadow.angle)];
  for (let y = 0; y < TALL; y++)
    for (let x = 0; x < WIDE; x++) {
      // Two places a pixel, crosswise, soften its edges.
      const one = colourAt(x + 0.25, y + 0.25);
      const two = colourAt(x + 0.75, y + 0.75);
      const far = (x - WIDE / 2) * sunX + (y - TALL / 2) * sunY - shadow.off;
      const light = shadow.dark + (1 - shadow.dark) / (1 + exp(-far / shadow.soft));
      const o = 4 * (y * WIDE + x);
      const noise = 12 * (random() + random() + random() - 1.5);
      data[o] = ((one[0] + two[0]) / 2) * light + noise;
      data[o + 1] = ((one[1] + two[1]) / 2) * light + noise;
      data[o + 2] = ((one[2] + two[2]) / 2) * light + noise;
      data[o + 3] = 255;
    }
  return { picture: { width: WIDE, height: TALL, data }, object, corners };
}

/** A card or a sheet lying anywhere on a face that is seen whole, as a face is measured by it. */
export function sceneOnFace(seed: number): Scene {
  const random = seededRandom(1000 + seed);
  const between = (a: number, b: number): number => a + (b - a) * random();
  const object = seed % 3 === 0 ? 'a4' : 'card';
  const { widthMm, heightMm } = REFERENCE_OBJECTS[object];
  const faceMm = object === 'card' ? [between(260, 560), between(220, 400)] : [between(520, 1000), between(420, 700)]; // prettier-ignore
  const [long = 400, tall = 300] = faceMm;
  // The face fills most of the photo, seen a little from the side.
  const scale = Math.min((0.86 * WIDE) / long, (0.86 * TALL) / tall);
  const corner = (x: number, y: number): Point => [
    WIDE / 2 + x * long * scale * between(0.44, 0.5),
    TALL / 2 + y * tall * scale * between(0.44, 0.5),
  ];
  const face = [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)];
  const onFace: Point[] = [[0, 0], [long, 0], [long, tall], [0, tall]]; // prettier-ignore
  const toPicture = homographyFrom(onFace, face);
  const toFace = invertHomography(toPicture);
  const turn = between(-0.4, 0.4) + (random() < 0.3 ? Math.PI / 2 : 0);
  const reach = Math.hypot(widthMm, heightMm) / 2;
  const middle = [between(reach, long - reach), between(reach, tall - reach)] as const;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const corners = ([[-1, -1], [1, -1], [1, 1], [-1, 1]] as const).map(([x, y]): Point => {
    const [dx, dy] = [(x * widthMm) / 2, (y * heightMm) / 2];
    return project(toPicture, [middle[0] + dx * cos - dy * sin, middle[1] + dx * sin + dy * cos]);
  }); // prettier-ignore
  const wood = woods[Math.floor(random() * woods.length)];
  const bench: Rgb = [between(40, 90), between(40, 85), between(40, 80)];
  const tint = CARDS[Math.floor(random() * CARDS.length)] ?? [230, 230, 230];
  const card: Rgb = object === 'a4' ? [236, 234, 228] : tint;
  const data = new Uint8ClampedArray(4 * WIDE * TALL);
  const colourAt = (px: number, py: number): Rgb => {
    const [x, y] = project(toFace, [px, py]);
    if (x < 0 || y < 0 || x > long || y > tall) return bench;
    const [dx, dy] = [x - middle[0], y - middle[1]];
    const u = (dx * cos + dy * sin) / widthMm + 0.5;
    const v = (-dx * sin + dy * cos) / heightMm + 0.5;
    if (u >= 0 && u <= 1 && v >= 0 && v <= 1)
      return v > 0.12 && v < 0.3 && object === 'card' ? [card[0] * 0.35, card[1] * 0.35, card[2] * 0.35] : card; // prettier-ignore
    return pixel(wood, x, y);
  };
  for (let y = 0; y < TALL; y++)
    for (let x = 0; x < WIDE; x++) {
      const one = colourAt(x + 0.25, y + 0.25);
      const two = colourAt(x + 0.75, y + 0.75);
      const light = 0.7 + (0.3 * x) / WIDE;
      const noise = 10 * (random() + random() + random() - 1.5);
      const o = 4 * (y * WIDE + x);
      for (const c of [0, 1, 2] as const) data[o + c] = ((one[c] + two[c]) / 2) * light + noise;
      data[o + 3] = 255;
    }
  return { picture: { width: WIDE, height: TALL, data }, object, corners };
}

function pixel(photo: Raster | undefined, x: number, y: number): Rgb {
  if (!photo) return [120, 90, 60];
  const { width, height, data } = photo;
  const px = (((x | 0) % width) + width) % width;
  const py = (((y | 0) % height) + height) % height;
  const o = 4 * (py * width + px);
  return [data[o] ?? 0, data[o + 1] ?? 0, data[o + 2] ?? 0];
}

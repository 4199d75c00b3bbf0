import jpeg from 'jpeg-js';
import { METHODS } from '../src/core/catalogue';
import { deltaE00, tonesAround, tonesOfSwatch } from '../src/core/colour';
import { compose, facePlane, type ScaleReference } from '../src/core/geometry';
import { sumsOf } from '../src/core/job';
import { warp, type Raster } from '../src/core/picture';
import { importText } from '../src/records/transfer';
import type { AnyStored } from '../src/records/types';
import { veneerFigure } from './figure';
import { CABINET, LECTERN, readingRoom } from './scenario';
import { singleFile } from './singleFile';

let records: AnyStored[];
beforeAll(async () => {
  records = await readingRoom();
});

const picture = (id: string): Raster => {
  const found = records.find((r) => r.kind === 'picture' && r.id === id);
  if (found?.kind !== 'picture') throw new Error(`no picture ${id}`);
  const { data, width, height } = jpeg.decode(Buffer.from(found.body.jpeg, 'base64'));
  return { data: new Uint8ClampedArray(data), width, height };
};
const faceOf = (id: string) => {
  const found = records.find((r) => r.kind === 'face' && r.id === id);
  if (found?.kind !== 'face' || !found.body.scale) throw new Error(`no face ${id}`);
  return { scale: found.body.scale satisfies ScaleReference, faceCorners: found.body.faceCorners };
};
const FRAME = { widthPx: 1440, heightPx: 1080 };

test('it reads in like any export, with at least six veneers that have photos', () => {
  const summary = importText(singleFile(records, 'now'), 'demo');
  expect(summary.aside).toEqual([]);
  expect(summary.records.filter((r) => r.kind === 'piece')).toHaveLength(6);
  expect(records.filter((r) => r.kind === 'veneer' && r.body.pictureId).length).toBeGreaterThanOrEqual(6);
});

test('the card that lies on the cabinet gives the size of its side: 520 × 360 mm', () => {
  const plane = facePlane({ picture: FRAME, ...faceOf('cabinet-side') });
  expect(plane.widthMm).toBeCloseTo(520, 1);
  expect(plane.heightMm).toBeCloseTo(360, 1);
  expect(CABINET.card).toHaveLength(4);
});

test('squared up, the photo shows the loss where it was painted, and the sound wood round it is walnut brown', async () => {
  const plane = facePlane({ picture: FRAME, ...faceOf('lectern-slope') });
  const view = await warp(
    picture('lectern-photo'),
    compose(plane.faceToPicture, [0.5, 0, 0, 0, 0.5, 0, 0, 0, 1]),
    1200,
    900,
  );
  const at = (x: number, y: number): number => view.data[(y * 2 * 1200 + x * 2) * 4] ?? 0;
  expect(at(585, 12)).toBeGreaterThan(at(520, 60) + 30);
  const tones = tonesAround(view, 0.5, LECTERN.loss, [LECTERN.lifted], plane.outline);
  expect(tones.pixels).toBeGreaterThan(1000);
  expect(tones.mean[1]).toBeGreaterThan(5);
  expect(tones.mean[2]).toBeGreaterThan(10);
});

test('the leaf from the wardrobe door is nearer to the lectern than maple is', async () => {
  const plane = facePlane({ picture: FRAME, ...faceOf('lectern-slope') });
  const view = await warp(
    picture('lectern-photo'),
    compose(plane.faceToPicture, [1, 0, 0, 0, 1, 0, 0, 0, 1]),
    600,
    450,
  );
  const old = tonesAround(view, 1, LECTERN.loss, [], plane.outline);
  const difference = (id: string): number => deltaE00(tonesOfSwatch(picture(`${id}-photo`)).mean, old.mean);
  expect(difference('v-burr-old')).toBeLessThan(difference('v-maple'));
});

test('the same seed gives the same leaf, another seed another', () => {
  const leaf = (seed: number) =>
    veneerFigure({ seed, kind: 'burr', ground: [180, 120, 70], line: [90, 50, 30], periodMm: 9 }, 40, 40, 0.5)
      .data;
  expect(leaf(3)).toEqual(leaf(3));
  expect(leaf(3)).not.toEqual(leaf(4));
});

test('the demo has a repair for every sum of what is let in, filled, closed and levelled', () => {
  const methods = records.flatMap((r) => (r.kind === 'damage' && r.body.method ? [r.body.method] : []));
  const shown = new Set(methods.flatMap(sumsOf));
  const all = new Set(METHODS.flatMap((m) => sumsOf(m.id)));
  expect(shown).toEqual(all);
  for (const r of records)
    if (r.kind === 'damage' && r.body.method) {
      const { method, kind } = r.body;
      expect(METHODS.find((m) => m.id === method)?.kinds).toContain(kind);
    }
});

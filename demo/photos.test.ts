// What the worker reads off photos, and shows, with the demo's own photos: where things were painted is known to the millimetre.
import { deltaE00, linearOf, tonesOfSwatch, type Tones } from '../src/core/colour';
import { areaOf, areaOfAll, intersectionOf, type Point } from '../src/core/geometry';
import { boardOf, DEFAULT_SHOP, repairOf, repairView, viewOf, type FaceView } from '../src/core/job';
import type { Raster } from '../src/core/picture';
import { darkroomOf, photoFrom } from '../src/testing/darkroom';
import { readings } from '../src/worker/readings';
import { showing } from '../src/worker/showing';
import { createStore } from '../src/records/store';
import { memoryStorage } from '../src/testing/memoryStorage';
import type { AnyStored, Kind, Stored } from '../src/records/types';
import { LECTERN, readingRoom } from './scenario';

let records: AnyStored[];
const made = new Map<string, Raster>();
const rooms = darkroomOf((id) => {
  const known = made.get(id);
  if (known) return known;
  const stored = records.find((r) => r.kind === 'picture' && r.id === id);
  if (stored?.kind !== 'picture') return undefined;
  const raster = photoFrom(stored.body.jpeg);
  made.set(id, raster);
  return raster;
});
const read = readings(rooms);
const shown = showing(rooms, createStore(memoryStorage(), { now: () => '2026-03-02T09:00:00' }));

beforeAll(async () => {
  records = await readingRoom();
});

const of = <K extends Kind>(kind: K): Stored<K>[] =>
  records.filter((r): r is AnyStored & Stored<K> => r.kind === kind);
const named = <K extends Kind>(kind: K, id: string): Stored<K> => {
  const found = of(kind).find((r) => r.id === id);
  if (!found) throw new Error(`The demo has no ${kind} ${id}.`);
  return found;
};
function faceView(id: string): { view: FaceView; outline: Point[] } {
  const face = named('face', id);
  const board = boardOf(face.body);
  if (!board.ok || !face.body.picture) throw new Error(`The face ${id} has no scale.`);
  return { view: viewOf(board.value, face.body.picture.id), outline: [...board.value.plane.outline] };
}
/** Shared area over joined area. */
function overlap(a: readonly Point[], b: readonly Point[]): number {
  const shared = areaOfAll(intersectionOf([a], [b]));
  return shared / (Math.abs(areaOf(a)) + Math.abs(areaOf(b)) - shared);
}
/** A photo that is painted as it is said, by pixel. */
function painted(
  id: string,
  [width, height]: [number, number],
  of: (x: number, y: number) => number,
): FaceView {
  // prettier-ignore
  const data = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data.fill(of(x, y), 4 * (y * width + x), 4 * (y * width + x) + 3);
  made.set(id, { width, height, data });
  return { pictureId: id, toSource: [1, 0, 0, 0, 1, 0, 0, 0, 1], widthPx: width, heightPx: height, mmPerPixel: 0.5 }; // prettier-ignore
}

test('the card on the cabinet is found where it was painted, not the side it lies on', async () => {
  const { corners } = await read.known({ pictureId: 'cabinet-photo', object: 'card' }, {});
  const { scale } = named('face', 'cabinet-side').body;
  const drawn = scale?.kind === 'rectangle' ? scale.corners : [];
  expect(drawn).toHaveLength(4);
  // On the photo, in thousandths of its width: the one nearest to each.
  for (const [x, y] of drawn) {
    const off = Math.min(...corners.map(([u, v]) => Math.hypot(u - x, (v - y) * 0.75)));
    expect(off).toBeLessThan(0.006);
  }
});

test('a tap on the lost corner gives its outline in millimetres of the face', async () => {
  const { view } = faceView('lectern-slope');
  const found = await read.region({ view, at: [585, 14] }, {});
  expect(overlap(found, LECTERN.loss)).toBeGreaterThan(0.7);
});

test('a joint of known gaps and a crack at a known place are read in millimetres', async () => {
  // A gap along x = 200 px that opens from 4 px at the top to 12 px at the bottom: 2 to 6 mm.
  const gap = painted('gap', [400, 600], (x, y) => (Math.abs(x + 0.5 - 200) < 2 + (4 * y) / 600 ? 25 : 190));
  const { gapsMm, seen } = await read.gaps({ view: gap, line: [[100, 30], [100, 270]], stations: 5 }, {}); // prettier-ignore
  expect(seen).toBe(true);
  gapsMm.forEach((mm, i) => expect(Math.abs(mm - (2 + 4 * (30 + 60 * i) / 300))).toBeLessThan(0.5)); // prettier-ignore
  // A crack of 2 px at y = 150 px (75 mm); the stroke lies 3 mm beside it.
  const crack = painted('crack', [400, 300], (x, y) =>
    Math.abs(y + 0.5 - 150) <= 1 ? 30 : 170 + ((x * 7) % 11),
  );
  const snapped = await read.crack({ view: crack, line: [[20, 78], [100, 78], [180, 78]] }, {}); // prettier-ignore
  expect(snapped.seen).toBe(true);
  for (const [, y] of snapped.line) expect(Math.abs(y - 75)).toBeLessThan(0.6);
  const nothing = await read.crack({ view: painted('even', [400, 300], () => 150), line: [[20, 78], [180, 78]] }, {}); // prettier-ignore
  expect(nothing.seen).toBe(false);
});

test('the tones of places picked on sound wood are those round the damage; the bare loss is lighter', async () => {
  const { view, outline } = faceView('lectern-slope');
  const round = await read.tonesAround(
    { view, damage: [...LECTERN.loss], others: [[...LECTERN.lifted]], face: outline },
    {},
  );
  const picked = await read.tonesAt({ view, places: [[300, 200], [420, 260], [200, 150]], face: outline }, {}); // prettier-ignore
  expect(deltaE00(round.mean, picked.mean)).toBeLessThan(9);
  const bare = await read.tonesWithin({ view, place: [...LECTERN.loss], face: outline }, {});
  expect(bare.mean[0]).toBeGreaterThan(round.mean[0] + 10);
});

test('a swatch is read from the store and from a file alike; what is no picture is refused by name', async () => {
  const sheet = of('veneer').find((v) => v.body.pictureId)?.body.pictureId ?? '';
  const stored = await read.swatchTones({ pictureId: sheet });
  const bytes = Buffer.from(named('picture', sheet).body.jpeg, 'base64');
  const fromFile: Tones = await read.fileTones({
    file: new Blob([Uint8Array.from(bytes)]),
    name: 'sheet.jpg',
  });
  expect(deltaE00(stored.mean, fromFile.mean)).toBeLessThan(0.01);
  await expect(read.storePicture({ file: new Blob(['not a picture']), name: 'list.jpg' })).rejects.toThrow(/list\.jpg/); // prettier-ignore
  await expect(read.quality({ pictureId: 'gone' })).rejects.toThrow(RangeError);
  const { blur } = await read.quality({ pictureId: 'lectern-photo' });
  expect(blur).toBeGreaterThan(0);
});

test('light that falls off is taken out, and the grey card sets the colour right', async () => {
  painted('uneven', [320, 240], (x) => 90 + Math.round((80 * x) / 320));
  const all: Point[] = [[0.02, 0.02], [0.98, 0.02], [0.98, 0.98], [0.02, 0.98]]; // prettier-ignore
  const { jpeg, words } = await read.evenLight({ pictureId: 'uneven', within: all });
  // From byte 90 to 170: by IEC 61966-2-1 0.102 and 0.402 of the light, nearly four times as bright.
  expect(Number(/(\d+) %/.exec(words)?.[1])).toBeGreaterThan(200);
  expect(Number(/(\d+) %/.exec(words)?.[1])).toBeLessThan(330);
  const after = photoFrom(jpeg);
  const at = (x: number): number => after.data[4 * (120 * 320 + x)] ?? 0;
  expect(Math.abs(at(30) - at(290))).toBeLessThan(8);
  // A grey card under lamp light: all of it is a grey of L* about 50, seen orange.
  const lamp = painted('lamp', [200, 150], () => 118);
  const raster = made.get(lamp.pictureId);
  if (!raster) throw new Error('not painted');
  for (let i = 0; i < raster.data.length; i += 4) raster.data.set([138, 118, 100], i);
  const grey = await read.calibrate({ pictureId: 'lamp', card: 'grey', corners: [[0.2, 0.2], [0.8, 0.2], [0.8, 0.8], [0.2, 0.8]] }); // prettier-ignore
  const [l, a, b] = tonesOfSwatch(photoFrom(grey.jpeg)).mean;
  expect(Math.hypot(a, b)).toBeLessThan(2.5);
  expect(l).toBeGreaterThan(30);
  expect(Number(/was ([\d.]+) ΔE00 off/.exec(grey.words)?.[1])).toBeGreaterThan(5);
});

test('the lectern’s patch on its face: as cut, in another colour, and the best spots of its sheet', async () => {
  const [piece, damage] = [named('piece', 'lectern'), named('damage', 'lectern-2')];
  const mine = of('damage').filter((d) => d.body.pieceId === 'lectern');
  const repair = repairOf(piece, of('face'), mine, damage, DEFAULT_SHOP);
  const view = repairView(repair, named('veneer', 'v-burr-old').body);
  if (!view?.cut) throw new Error('The repair is not shown.');
  const bare = await shown.repairLook({ repair: view, look: { figure: undefined, finestMm: 0.1 } });
  const cut = await shown.spotLook({ search: view.cut.search, at: view.cut.at, toned: false });
  expect([bare.width, bare.height]).toEqual([cut.width, cut.height]);
  const green = await shown.repairLook({ repair: view, look: { figure: [{ share: 0, light: [0, 0, 0] }, { share: 1, light: linearOf([40, -30, 20]) }], finestMm: 0.1 } }); // prettier-ignore
  const [x, y] = [0, 1].map((k) => Math.round(view.outline.reduce((s, p) => s + (p[k] ?? 0), 0) / view.outline.length / view.view.mmPerPixel)); // prettier-ignore
  const at = 4 * ((y ?? 0) * green.width + (x ?? 0));
  expect((green.data[at + 1] ?? 0) - (green.data[at] ?? 0)).toBeGreaterThan(20);
  expect(green.data.slice(0, 400)).toEqual(bare.data.slice(0, 400));
  const found = await shown.spots({ ...view.cut.search, top: 2, grainToleranceDegrees: 3 }, {});
  expect(found.spots.length).toBeGreaterThan(0);
  const before = await rooms.decode(found.before);
  expect([before.width, before.height]).toEqual([cut.width, cut.height]);
  expect(found.widthMm).toBeCloseTo(before.width * view.cut.search.view.mmPerPixel, 6);
});

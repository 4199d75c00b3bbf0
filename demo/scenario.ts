import { readFileSync } from 'node:fs';
import path from 'node:path';
import jpeg from 'jpeg-js';
import type { DamageKind } from '../src/core/damage';
import { contains, homographyFrom, project, type Point, type Polygon } from '../src/core/geometry';
import type { Raster } from '../src/core/picture';
import { starterColours } from '../src/core/shelf';
import { DEFAULT_SHOP, newDamage, newFace, newPiece, SHOP_ID } from '../src/records/defaults';
import { SHAPE_VERSION } from '../src/records/schemas';
import type { AnyStored, Bodies, Damage, Face, Kind, Part } from '../src/records/types';
import { bookcaseRecords } from './bookcase';
import { veneerFigure, type Figure } from './figure';
import { paint, paintLifted, paintLoss, photograph } from './photo';

const WHEN = '2026-03-02T09:00:00';
const [WIDTH, HEIGHT] = [1440, 1080];
const MM_PER_PIXEL = 0.5;

const encode = (raster: Raster, quality = 80): string =>
  jpeg
    .encode({ data: Buffer.from(raster.data.buffer), width: raster.width, height: raster.height }, quality)
    .data.toString('base64');

const stored = <K extends Kind>(kind: K, id: string, body: Bodies[K]): AnyStored =>
  ({ kind, id, version: SHAPE_VERSION, revision: 1, savedAt: WHEN, body }) as AnyStored;

const pictureOf = (id: string, name: string, raster: Raster): AnyStored =>
  stored('picture', id, { name, widthPx: raster.width, heightPx: raster.height, jpeg: encode(raster) });

const fractions = (points: Point[], width = WIDTH, height = HEIGHT): Point[] =>
  points.map(([x, y]): Point => [x / width, y / height]);

const BURR: Figure = { seed: 4, kind: 'burr', ground: [172, 112, 64], line: [96, 54, 28], periodMm: 9 };
const CHERRY: Figure = {
  seed: 21,
  kind: 'straight',
  ground: [186, 112, 68],
  line: [146, 80, 46],
  periodMm: 11,
};

/** The lectern's slope, 600 × 450 mm, with a lifted lower edge and a lost corner. */
export const LECTERN = {
  size: { widthMm: 600, heightMm: 450 },
  corners: [[196, 150], [1246, 118], [1356, 972], [104, 930]] as Point[], // prettier-ignore
  lifted: [[150, 450], [178, 424], [226, 412], [292, 414], [338, 430], [362, 450]] as Polygon, // prettier-ignore
  loss: [[548, 0], [600, 0], [600, 44], [588, 40], [574, 22], [558, 16]] as Polygon, // prettier-ignore
};

async function lecternPhoto(): Promise<Raster> {
  const face = veneerFigure(BURR, 1200, 900, MM_PER_PIXEL);
  paintLifted(face, MM_PER_PIXEL, LECTERN.lifted);
  paintLoss(face, MM_PER_PIXEL, LECTERN.loss);
  return photograph(face, LECTERN.corners, WIDTH, HEIGHT, 7);
}

/** The cabinet's side, 520 × 360 mm, with a plain card of 85.60 × 53.98 mm lying on it. */
export const CABINET = {
  corners: [[150, 190], [1300, 210], [1240, 960], [210, 930]] as Point[], // prettier-ignore
  card: [[60, 60], [145.6, 60], [145.6, 113.98], [60, 113.98]] as Polygon, // prettier-ignore
  lifted: [[520, 120], [498, 140], [492, 190], [500, 236], [520, 252]] as Polygon, // prettier-ignore
};

async function cabinetPhoto(): Promise<Raster> {
  const face = veneerFigure(CHERRY, 1040, 720, MM_PER_PIXEL);
  paintLifted(face, MM_PER_PIXEL, CABINET.lifted);
  paint(face, MM_PER_PIXEL, CABINET.card, (_, __, rim) => (rim < 0.8 ? [150, 152, 150] : [222, 224, 220]));
  return photograph(face, CABINET.corners, WIDTH, HEIGHT, 9);
}

/** Places on a face (mm) as fractions of its photo. */
function inPhoto(corners: Point[], widthMm: number, heightMm: number, outline: Polygon): Point[] {
  const map = homographyFrom([[0, 0], [widthMm, 0], [widthMm, heightMm], [0, heightMm]], corners); // prettier-ignore
  return fractions(outline.map((p) => project(map, p)));
}

const SHEETS: {
  id: string;
  name: string;
  species: string;
  thicknessMm: number;
  size: [number, number];
  figure: Figure;
  note: string;
}[] = [
  {
    id: 'v-burr-old',
    name: 'Burr walnut, from a wardrobe door',
    species: 'walnut',
    thicknessMm: 0.8,
    size: [420, 180],
    figure: { ...BURR, seed: 31, ground: [146, 100, 60], line: [86, 52, 28] },
    note: 'Old, taken off a broken door.',
  },
  {
    id: 'v-burr-new',
    name: 'Burr walnut, new',
    species: 'walnut',
    thicknessMm: 0.6,
    size: [300, 200],
    figure: { ...BURR, seed: 32, ground: [150, 116, 88], line: [92, 68, 52] },
    note: '',
  },
  {
    id: 'v-walnut',
    name: 'Walnut, straight',
    species: 'walnut',
    thicknessMm: 0.6,
    size: [600, 160],
    figure: { seed: 33, kind: 'straight', ground: [142, 106, 78], line: [100, 70, 50], periodMm: 14 },
    note: '',
  },
  {
    id: 'v-cherry',
    name: 'Cherry, quarter-cut',
    species: 'cherry',
    thicknessMm: 0.6,
    size: [500, 140],
    figure: { ...CHERRY, seed: 34, ground: [206, 142, 98], line: [176, 112, 74] },
    note: '',
  },
  {
    id: 'v-elm',
    name: 'Elm burr offcut',
    species: 'elm',
    thicknessMm: 0.9,
    size: [160, 90],
    figure: { ...BURR, seed: 35, ground: [196, 146, 92], line: [132, 84, 46] },
    note: 'Two leaves.',
  },
  {
    id: 'v-mahogany',
    name: 'Mahogany flame',
    species: 'mahogany',
    thicknessMm: 0.7,
    size: [380, 220],
    figure: { seed: 36, kind: 'flame', ground: [150, 78, 48], line: [106, 48, 28], periodMm: 12 },
    note: '',
  },
  {
    id: 'v-maple',
    name: 'Maple, plain',
    species: 'maple',
    thicknessMm: 0.6,
    size: [700, 180],
    figure: { seed: 37, kind: 'straight', ground: [224, 190, 146], line: [206, 168, 124], periodMm: 18 },
    note: 'For the donor place, where nobody looks.',
  },
];

/** Boards in the reading room's rack. */
const BOARDS = [
  { id: 'lumber-oak', name: 'Oak shelf end', species: 'whiteOak', alongMm: 620, acrossMm: 140, thickMm: 24, note: 'From the old shelving.' },
  { id: 'lumber-walnut', name: 'Walnut offcut', species: 'walnut', alongMm: 280, acrossMm: 90, thickMm: 30, note: '' },
  { id: 'lumber-pine', name: 'Pine board', species: 'pine', alongMm: 1400, acrossMm: 180, thickMm: 22, note: 'Dry, ten years in the loft.' },
]; // prettier-ignore

/** Id under which a colour of the starter shelf stands in the demo. */
const colourNamed = (name: string): string =>
  `colour-${starterColours().findIndex((c) => c.name === name) + 1}`;

/** Where the cabinet's side was tapped, mm. */
const TAPS: Point[] = [[120, 90], [260, 180], [400, 90], [400, 270], [120, 270], [470, 60], [505, 185], [480, 185], [508, 140], [508, 230], [490, 250], [490, 120], [512, 110], [512, 262], [498, 210], [470, 150]]; // prettier-ignore

const CABINET_PARTS: Part[] = [
  { id: 'p1', kind: 'hardware', label: 'Bag A', count: 12, from: 'Label holders, drawers 1 to 12 from the left', odd: 'The one of drawer 7 is bent', back: false },
  { id: 'p2', kind: 'screw', label: 'Bag B', count: 24, lengthMm: 9.5, from: 'Label holders', odd: 'Two are 6 mm long; they sit over the lock', back: false },
  { id: 'p3', kind: 'part', label: 'Rod', count: 1, lengthMm: 410, from: 'Through the lowest row of drawers', odd: '', back: true },
]; // prettier-ignore

const ring = ([x, y]: Point, radius: number): Point[] =>
  Array.from({ length: 14 }, (_, i): Point => {
    const a = (2 * Math.PI * i) / 14;
    return [x + radius * Math.cos(a), y + radius * Math.sin(a)];
  });

/** Corners of a face that fills its picture, or has none. */
const WHOLE: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]]; // prettier-ignore

/** The settle: painted pine, knocked about. Its photo is 512 pixels square and shows 640 mm. */
function settleRecords(cladding: string): AnyStored[] {
  const onBack = (points: Point[]): Point[] => points.map(([x, y]): Point => [x / 640, y / 640]);
  const damage = (n: number, kind: DamageKind, body: Partial<Damage>): AnyStored =>
    stored('damage', `settle-${n}`, { ...newDamage('settle', 'settle-back', n, kind), ...body });
  return [
    stored('piece', 'settle', {
      ...newPiece('Settle', '2026-03-02T09:20:00'),
      client: 'Village reading room',
      school: 'paint',
      goal: 'paint',
      home: { dry: { temperatureC: 19, relativeHumidity: 0.34 }, damp: { temperatureC: 18, relativeHumidity: 0.7 } },
    }),
    stored('picture', 'settle-photo', { name: 'painted pine', widthPx: 512, heightPx: 512, jpeg: cladding }),
    stored('face', 'settle-back', {
      ...newFace('settle', 'Back boards'),
      picture: { id: 'settle-photo', widthPx: 512, heightPx: 512 },
      build: 'solid',
      species: 'pine',
      veneerMm: 0,
      boardMm: 18,
      finishNow: 'paint',
      scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm: 640, heightMm: 640 },
      faceCorners: WHOLE,
      grain: [[0.5, 0.15], [0.5, 0.85]],
    }),
    damage(1, 'gouge', {
      outline: onBack([[300, 180], [352, 188], [396, 204], [352, 216], [300, 206]]),
      answers: { fibresCut: true, finishBroken: true, depthMm: 4 },
    }),
    damage(2, 'longCrack', {
      mark: { tool: 'line', points: onBack([[470, 60], [474, 220], [468, 410]]), widthMm: 1.5 },
      board: { acrossMm: 140, cut: 'flat' },
      answers: { closesByHand: false },
    }),
    damage(3, 'hole', {
      mark: { tool: 'circle', at: [0.2, 0.62], diameterMm: 14 },
      answers: { screwAgain: false, carriesLoad: false, through: false, depthMm: 12 },
    }),
    damage(4, 'dent', { outline: onBack(ring([150, 480], 17)), answers: { fibresCut: false } }),
    damage(5, 'lostCorner', {
      mark: { tool: 'corner', at: [0.99, 0.99], legsMm: [60, 46] },
      answers: { pieceKept: false },
    }),
  ]; // prettier-ignore
}

/** The stool: a round ash seat with a split, its edge, and a leg. No photos, so that plain boards are seen too. */
function stoolRecords(): AnyStored[] {
  const face = (id: string, name: string, widthMm: number, heightMm: number, body: Partial<Face>): AnyStored =>
    stored('face', id, {
      ...newFace('stool', name),
      build: 'solid',
      species: 'ash',
      veneerMm: 0,
      boardMm: 32,
      finishNow: 'oil',
      scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm, heightMm },
      faceCorners: WHOLE,
      grain: [[0.1, 0.5], [0.9, 0.5]],
      ...body,
    }); // prettier-ignore
  return [
    stored('piece', 'stool', {
      ...newPiece('Ash stool', '2026-03-02T09:30:00'),
      client: 'Village reading room',
      goal: 'oil',
      home: { dry: { temperatureC: 20, relativeHumidity: 0.36 }, damp: { temperatureC: 19, relativeHumidity: 0.66 } },
    }),
    face('stool-seat', 'Seat', 340, 340, { shape: { kind: 'round' } }),
    face('stool-edge', 'Edge of the seat', 1068, 32, { shape: { kind: 'band', round: true } }),
    face('stool-leg', 'Front leg', 44, 460, { show: true, grain: [[0.5, 0.1], [0.5, 0.9]] }),
    stored('damage', 'stool-1', {
      ...newDamage('stool', 'stool-seat', 1, 'endSplit'),
      mark: { tool: 'line', points: [[0.004, 0.52], [0.2, 0.51], [0.36, 0.525]], widthMm: 1.2 },
      board: { acrossMm: 340, cut: 'flat' },
      answers: { carriesLoad: true, dirty: false },
    }),
    stored('damage', 'stool-2', {
      ...newDamage('stool', 'stool-leg', 2, 'scratch'),
      mark: { tool: 'line', points: [[0.3, 0.35], [0.55, 0.62]], widthMm: 0.3 },
      answers: { fibresCut: false, finishBroken: false },
    }),
    stored('damage', 'stool-3', {
      ...newDamage('stool', 'stool-edge', 3, 'dent'),
      mark: { tool: 'edge', from: [0.4, 0], to: [0.44, 0], reachMm: 8 },
      answers: { fibresCut: false },
    }),
  ]; // prettier-ignore
}

/** The reading table: a painted frame, a clear top and leaves that are finished apart; no damage, a tired finish. */
function tableRecords(): AnyStored[] {
  const face = (id: string, name: string, widthMm: number, heightMm: number, body: Partial<Face>): AnyStored =>
    stored('face', id, {
      ...newFace('table', name),
      species: 'mahogany',
      finishNow: 'varnish',
      finishState: 'worn',
      scale: { kind: 'rectangle', object: 'face', corners: WHOLE, widthMm, heightMm },
      faceCorners: WHOLE,
      grain: [[0.1, 0.5], [0.9, 0.5]],
      ...body,
    }); // prettier-ignore
  const frame = { build: 'solid', veneerMm: 0, species: 'pine', finishNow: 'paint', school: 'paint', goal: 'paint', finishState: 'sound' } as const; // prettier-ignore
  return [
    stored('piece', 'table', {
      ...newPiece('Reading table', '2026-02-27T16:00:00'),
      client: 'Village reading room',
      goal: 'varnish',
      deadline: '2026-05-15',
      apart: ['Leaves'],
      parts: [
        { id: 'table-hinges', kind: 'hardware', label: 'Hinges', count: 4, from: 'Leaves to the top', odd: 'One knuckle is bent.', back: false, joint: 'screws' },
        { id: 'table-leaves', kind: 'part', label: 'Leaves', count: 2, from: 'Both sides of the top', odd: '', back: false, after: ['table-hinges'] },
        { id: 'table-top', kind: 'part', label: 'Top', count: 1, from: 'On the frame', odd: '', back: false, joint: 'blocks', oldGlue: 'hide' },
      ],
    }),
    face('table-top', 'Top', 900, 600, { veneerMm: 0.8, back: 'partOff', part: 'Top' }),
    face('table-leaf', 'Leaf', 900, 300, { build: 'solid', veneerMm: 0, alike: 2, part: 'Leaves' }),
    face('table-legs', 'Legs', 260, 700, { ...frame, profile: 'moulded', alike: 4 }),
    face('table-aprons', 'Aprons', 800, 120, { ...frame, alike: 4 }),
  ]; // prettier-ignore
}

/** The demo scenario: a village reading room's furniture. All invented; pictures generated, or in the public domain. */
export async function readingRoom(): Promise<AnyStored[]> {
  const { widthMm, heightMm } = LECTERN.size;
  const lectern = newPiece('Lectern', WHEN);
  const cabinet = newPiece('Card-index cabinet', '2026-03-02T09:10:00');
  const cladding = readFileSync(path.join(__dirname, 'pictures/green-pine-cladding.jpg')).toString('base64');
  const frame = { widthPx: WIDTH, heightPx: HEIGHT };
  const onLectern = (outline: Polygon): Point[] => inPhoto(LECTERN.corners, widthMm, heightMm, outline);
  const onCabinet = (outline: Polygon): Point[] => inPhoto(CABINET.corners, 520, 360, outline);
  return [
    stored('shop', SHOP_ID, DEFAULT_SHOP),
    stored('piece', 'lectern', {
      ...lectern,
      client: 'Village reading room',
      goal: 'shellac',
      note: 'Stands by the window; the slope takes the sun.',
    }),
    pictureOf('lectern-photo', 'lectern slope', await lecternPhoto()),
    stored('face', 'lectern-slope', {
      ...newFace('lectern', 'Slope'),
      picture: { id: 'lectern-photo', ...frame },
      species: 'walnut',
      veneerMm: 0.9,
      scale: { kind: 'rectangle', object: 'face', corners: fractions(LECTERN.corners), widthMm, heightMm },
      grain: onLectern([[180, 240], [430, 240]]), // prettier-ignore
    }),
    stored('damage', 'lectern-1', {
      ...newDamage('lectern', 'lectern-slope', 1, 'liftedEdge'),
      outline: onLectern(LECTERN.lifted),
      answers: { woodAllPresent: true, glueLine: 'powdery', oldGlue: 'hide', openingMm: 2 },
      method: 'floodAndPress',
    }),
    stored('damage', 'lectern-2', {
      ...newDamage('lectern', 'lectern-slope', 2, 'missingVeneer'),
      outline: onLectern(LECTERN.loss),
      answers: { coreSound: true, donor: false, edgeBanding: false },
      method: 'veneerPatch',
      patch: { veneerId: 'v-burr-old' },
    }),
    stored('log', 'lectern-log-1', {
      pieceId: 'lectern',
      taskId: 'lectern/intake',
      title: 'Photograph, clean, take off hardware',
      doneAt: '2026-03-02T09:40:00',
      actualMin: 30,
      note: 'Two brass screws of the book rest are shorter; bagged apart.',
      pictures: [{ pictureId: 'lectern-photo', role: 'before' }],
    }),
    stored('piece', 'cabinet', {
      ...cabinet,
      client: 'Village reading room',
      school: 'conserve',
      goal: 'keep',
      deadline: '2026-04-24',
      parts: CABINET_PARTS,
    }),
    pictureOf('cabinet-photo', 'cabinet side', await cabinetPhoto()),
    stored('face', 'cabinet-side', {
      ...newFace('cabinet', 'Left side'),
      picture: { id: 'cabinet-photo', ...frame },
      species: 'cherry',
      veneerMm: 1.1,
      scale: {
        kind: 'rectangle',
        object: 'card',
        corners: onCabinet(CABINET.card),
        widthMm: 85.6,
        heightMm: 53.98,
      },
      faceCorners: fractions(CABINET.corners),
      grain: onCabinet([[120, 200], [400, 200]]), // prettier-ignore
    }),
    stored('damage', 'cabinet-1', {
      ...newDamage('cabinet', 'cabinet-side', 1, 'liftedEdge'),
      outline: onCabinet(CABINET.lifted),
      answers: { woodAllPresent: true },
      taps: TAPS.map(([x, y]) => ({
        at: onCabinet([[x, y]])[0] ?? [0, 0],
        hollow: contains(CABINET.lifted, [x, y]),
      })),
    }),
    stored('damage', 'cabinet-2', {
      ...newDamage('cabinet', 'cabinet-side', 2, 'whiteRing'),
      outline: onCabinet(ring([150, 250], 42)),
      answers: { finishBroken: false },
    }),
    ...settleRecords(cladding),
    ...stoolRecords(),
    ...tableRecords(),
    ...bookcaseRecords().map(({ kind, id, body }) => stored(kind, id, body)),
    ...SHEETS.flatMap(({ id, figure, size, ...sheet }): AnyStored[] => [
      pictureOf(`${id}-photo`, sheet.name, veneerFigure(figure, 320, 320, 0.35)),
      stored('veneer', id, {
        name: sheet.name,
        species: sheet.species,
        thicknessMm: sheet.thicknessMm,
        photoWideMm: 112,
        note: sheet.note,
        alongMm: size[0],
        acrossMm: size[1],
        pictureId: `${id}-photo`,
      }),
    ]),
    ...starterColours().map((colour, i) => stored('colour', `colour-${i + 1}`, colour)),
    ...BOARDS.map(({ id, ...board }) => stored('lumber', id, board)),
    stored('board', 'board-1', {
      name: 'Board for the lectern',
      wood: 'Burr walnut',
      grit: 180,
      ground: [58, 9, 20],
      coats: [
        { colourId: colourNamed('Golden brown dye'), coats: 1 },
        { colourId: colourNamed('Blond shellac'), coats: 2 },
      ],
      measured: [42.5, 12.5, 26],
      doneAt: '2026-03-01T16:00:00',
      note: 'Dye thinned by half more than the tin says.',
    }),
  ];
}

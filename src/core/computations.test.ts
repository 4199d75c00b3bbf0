import { compute, COMPUTATIONS } from './computations';
import { DEFAULT_SHOP, newFace, newPiece } from './job';

/** A photo with nothing on it, as a door takes it. */
const GREY = { width: 40, height: 30, data: Array.from({ length: 4 * 40 * 30 }, () => 128) };

/** The names and least shapes that others may rely on. */
const CARD = {
  coherence: 0.8,
  strength: 0.7,
  contrast: 18,
  pores: 'fine',
  tones: { ground: [60, 14, 26], mid: [52, 15, 25], line: [42, 14, 20] },
};
/** A picture in which no place is like another. */
const SPECKLED = {
  width: 60,
  height: 60,
  data: Uint8ClampedArray.from({ length: 4 * 60 * 60 }, (_, i) => (i % 4 === 3 ? 255 : 60 + ((i * 7919 + ((i * i) % 977) * 31) % 140))), // prettier-ignore
};

const CASES: [string, unknown, unknown][] = [
  [
    'wood.moisture',
    { temperatureC: 21.1, relativeHumidity: 0.5 },
    { moistureContent: expect.closeTo(0.092, 3) },
  ],
  [
    'colour.difference',
    { a: [50, 2.6772, -79.7751], b: [50, 0, -82.7485] },
    { deltaE00: expect.closeTo(2.0425, 4) },
  ],
  ['photo.corners', { image: GREY }, { corners: [] }],
  ['photo.known', { image: GREY, object: 'card' }, { corners: [], worth: 0 }],
  ['photo.region', { image: GREY, at: [0.5, 0.5] }, { outline: [], edge: 0 }],
  [
    'photo.gaps',
    { image: GREY, line: [[2, 8], [14, 8]], mmPerPixel: 0.3, stations: 3, reachMm: 1.5 }, // prettier-ignore
    { gapsMm: [0, 0, 0], finestMm: expect.closeTo(0.12, 9), seen: false },
  ],
  ['colour.thin', { start: [60, 10, 26], goal: [60, 10, 26], recipe: [], products: [], allow: { darker: false, redder: false } }, {}], // prettier-ignore
  [
    'colour.even',
    { parts: [{ id: 'a', lab: [60, 10, 26] }, { id: 'b', lab: [60, 10, 26] }], products: [{ id: 't', kind: 'toner', lab: [58, 12, 28], strength: 0.3 }], mostCoats: 3, within: 2 }, // prettier-ignore
    expect.objectContaining({ reached: true, steps: [] }),
  ],
  ['photo.crack', { image: GREY, line: [[5, 15], [35, 15]], mmPerPixel: 0.4 }, { line: [[5, 15], [35, 15]], seen: false }], // prettier-ignore
  [
    'photo.calibrate',
    { image: GREY, card: 'grey', corners: [[0, 0], [1, 0], [1, 1], [0, 1]] }, // prettier-ignore
    expect.objectContaining({ after: expect.closeTo(0, 3), turned: 0 }),
  ],
  ['photo.quality', { image: GREY }, { blur: 0, burnt: 0, black: 0 }],
  [
    'colour.mix',
    {
      target: [60, 10, 28],
      colourants: [
        { id: 'straw', lab: [60, 10, 28] },
        { id: 'umber', lab: [30, 8, 12] },
      ],
      mostColourants: 2,
      mostParts: 4,
    },
    {
      recipes: expect.arrayContaining([
        {
          parts: [{ id: 'straw', parts: 1 }],
          lab: [expect.closeTo(60, 1), expect.closeTo(10, 1), expect.closeTo(28, 1)],
          deltaE00: expect.closeTo(0, 1),
        },
      ]),
      notes: [],
    },
  ],
  [
    'colour.layers',
    {
      start: [75, 7, 24],
      goal: [75, 7, 24],
      layers: [{ id: 'dye', kind: 'dye', lab: [60, 12, 30], strength: 1 }],
      mostCoats: 3,
    },
    {
      steps: [],
      final: [expect.closeTo(75, 1), expect.closeTo(7, 1), expect.closeTo(24, 1)],
      deltaE00: expect.closeTo(0, 1),
      notes: [],
    },
  ],
  [
    'colour.choose',
    {
      start: [70, 8, 24],
      goal: [70, 8, 24],
      products: [{ id: 'dye', kind: 'dye', lab: [60, 12, 30], strength: 1 }],
      mostCoats: 2,
      top: 1,
    },
    { choices: [expect.objectContaining({ steps: [] })], notes: [] },
  ],
  [
    'colour.fit',
    { products: [{ id: 'dye', kind: 'dye', lab: [60, 12, 30], strength: 1 }], boards: [] },
    expect.objectContaining({
      products: [expect.objectContaining({ id: 'dye', gain: [0, 0, 0], boards: 0 })],
      doubtful: [],
    }),
  ],
  [
    'wood.movement',
    {
      species: 'walnut',
      cut: 'flat',
      widthMm: 500,
      from: { temperatureC: 21.1, relativeHumidity: 0.3 },
      to: { temperatureC: 21.1, relativeHumidity: 0.65 },
    },
    {
      fromMoisture: expect.closeTo(0.062, 3),
      toMoisture: expect.closeTo(0.12, 3),
      changeMm: expect.closeTo(7.9, 0),
    },
  ],
  [
    'geometry.rectify',
    { image: [[0, 0], [100, 0], [100, 100], [0, 100]], world: [[0, 0], [85.6, 0], [85.6, 53.98], [0, 53.98]], points: [[50, 50]] },
    { points: [[expect.closeTo(42.8, 9), expect.closeTo(26.99, 9)]], rmsMm: expect.closeTo(0, 9) },
  ], // prettier-ignore
  [
    'damage.tapmap',
    { outline: [[0, 0], [100, 0], [100, 60], [0, 60]], taps: [{ x: 20, y: 20, hollow: false }] }, // prettier-ignore
    {
      looseOutlines: [],
      looseMm2: 0,
      openShare: expect.any(Number),
      confidence: expect.any(Number),
      next: { x: expect.any(Number), y: expect.any(Number) },
      disputed: [],
    },
  ],
  [
    'press.field',
    {
      panel: { widthMm: 300, heightMm: 200 },
      platen: { thicknessMm: 18, modulusMPa: 3000, poisson: 0.3 },
      foundation: { stiffnessMPaPerMm: 1 },
      cauls: [{ from: [20, 100], to: [280, 100], widthMm: 45, heightMm: 38, modulusMPa: 11000, camberMm: 0 }],
      clamps: [{ at: [150, 100], forceN: 1000, caul: 0 }, { at: [40, 40], forceN: 500 }], // prettier-ignore
      gridMm: 50,
      target: { leastKPa: 10, mostKPa: 1000 },
    },
    {
      leastKPa: expect.any(Number),
      meanKPa: expect.closeTo(25, 0),
      greatestKPa: expect.any(Number),
      coverage: expect.any(Number),
      reactionN: expect.closeTo(1500, 0),
      grid: { columns: 7, rows: 5, kPa: expect.any(Array) },
      liftedShare: expect.any(Number),
    },
  ],
  [
    'press.arrange',
    {
      panel: { widthMm: 130, heightMm: 75 },
      region: [[15, 0], [115, 0], [115, 60], [15, 60]], // prettier-ignore
      face: [[-100, 0], [500, 0], [500, 450], [-100, 450]], // prettier-ignore
      platens: [{ thicknessMm: 18, modulusMPa: 3000, poisson: 0.25 }],
      cauls: [{ widthMm: 60, heightMm: 38, modulusMPa: 11_000 }],
      clamps: [{ id: 'fStyle', count: 4, forceN: 2000, reachMm: 100 }],
      foundation: { stiffnessMPaPerMm: 30 },
      target: { leastKPa: 60, mostKPa: 5000 },
      gridMm: 8,
    },
    expect.objectContaining({ reached: true, coverage: 1, missing: [], kept: false }),
  ],
  [
    'press.camber',
    { lengthMm: 600, widthMm: 50, heightMm: 50, modulusMPa: 12600, pressureKPa: 100, pressedWidthMm: 50 },
    {
      endForceN: expect.closeTo(1500, 6),
      midCamberMm: expect.closeTo(1.2857143, 6),
      offsets: expect.arrayContaining([{ xMm: 0, mm: 0 }]),
    },
  ],
  [
    'finish.test',
    { results: [{ test: 'alcohol', reacts: true }] },
    {
      likely: expect.arrayContaining([{ finish: 'shellac', chance: expect.any(Number) }]),
      sure: false,
      next: expect.any(String),
    },
  ],
  [
    'letin.banding',
    { runsMm: [400, 300], closed: false, cornerDeg: 90, wideMm: 6, kerfMm: 1, stockMm: 900, spares: 0 },
    expect.objectContaining({ mitreDeg: 45, stocks: 1 }),
  ],
  [
    'letin.part',
    { outline: [[0, 0], [80, 0], [80, 30], [0, 30]], grainDeg: 0, mirrored: true, thickMm: 18, kerfMm: 1, copies: 1, spares: 1, boardLongMm: 400, boardWideMm: 100 }, // prettier-ignore
    expect.objectContaining({ perBoard: 8, boards: 1, areaMm2: expect.closeTo(2400, 6) }),
  ],
  [
    'joint.across',
    { outline: [[0, 0], [900, 0], [900, 400], [0, 400]], joint: { from: [0, 150], to: [900, 150] }, atMm: [450] }, // prettier-ignore
    [expect.objectContaining({ openingMm: 400 })],
  ],
  [
    'letin.boards',
    { blanks: { alongMm: 100, acrossMm: 40, thickMm: 18, count: 5 }, boards: [{ id: 'a', species: 'oak', alongMm: 600, acrossMm: 120, thickMm: 20 }], species: 'oak', kerfMm: 1 }, // prettier-ignore
    expect.objectContaining({ missing: 0, takes: [expect.objectContaining({ columns: 3, cutOffMm: 303 })] }),
  ],
  [
    'letin.pilot',
    { screw: { gauge: 8 }, lengthMm: 25, throughMm: 3, boardMm: 30, specificGravity: 0.42 },
    expect.objectContaining({ pilotMm: expect.closeTo(2.33, 2), deepMm: 22 }),
  ],
  [
    'letin.drawer',
    { openingWideMm: [400, 400], openingHighMm: [120, 120], drawerWideMm: [399.5, 398], drawerHighMm: [116, 116], wornMm: [0, 0], lengthMm: 350, growsMm: 2 }, // prettier-ignore
    expect.objectContaining({ binds: ['wide at the front'] }),
  ],
  [
    'veneer.match',
    { target: CARD, stock: [{ ...CARD, id: 'a', thicknessMm: 0.6 }], thicknessMm: 0.9, school: 'clear' },
    { ranked: [expect.objectContaining({ id: 'a', deltaE00: 0, shims: 2 })] },
  ],
  ['veneer.shims', { oldMm: [1, 1], newMm: 0.6, lengthMm: 80 }, expect.objectContaining({ zones: [expect.objectContaining({ sheets: 2 })] })], // prettier-ignore
  [
    'veneer.face',
    { alongMm: 600, acrossMm: 450, overhangMm: 10, leafAlongMm: 700, leafAcrossMm: 204, match: 'centre' },
    expect.objectContaining({ leaves: 4, turned: [false, true, false, true] }),
  ],
  [
    'veneer.nest',
    { pieces: [{ id: 'a', outline: [[0, 0], [50, 0], [50, 20], [0, 20]] }], sheets: [{ id: 's', outline: [[0, 0], [100, 0], [100, 60], [0, 60]] }], grainToleranceDegrees: 0 }, // prettier-ignore
    expect.objectContaining({ unplaced: [], placed: [expect.objectContaining({ id: 'a', sheet: 's', xMm: expect.closeTo(27, 3), yMm: expect.closeTo(12, 3) })] }), // prettier-ignore
  ],
  [
    'veneer.outline',
    { damage: [[40, 40], [60, 40], [60, 50], [40, 50]], face: [[0, 0], [200, 0], [200, 100], [0, 100]], grainDeg: 0, underPaint: false }, // prettier-ignore
    { ranked: expect.arrayContaining([expect.objectContaining({ shape: 'lozenge' })]) },
  ],
  [
    'veneer.place',
    {
      target: { image: SPECKLED, outline: [[20, 20], [40, 20], [40, 40], [20, 40]], ringMm: 8 },
      donor: { image: SPECKLED, outline: [[0, 0], [60, 0], [60, 60], [0, 60]] },
      mmPerPixel: 1,
      grainToleranceDegrees: 0,
      flips: false,
      top: 1,
    }, // prettier-ignore
    {
      placements: [{ xMm: expect.closeTo(30, 0), yMm: expect.closeTo(30, 0), degrees: 0, flipped: false, seamError: expect.closeTo(0, 2) }], // prettier-ignore
      notes: [],
    },
  ],
  ['units.length', { text: `2' 3 5/8"` }, { mm: expect.closeTo(701.675, 6) }],
  ['units.length', { text: '.5', unit: 'in' }, { mm: 12.7 }],
  [
    'method.rank',
    { damage: { kind: 'liftedEdge', atEdge: true }, surface: {}, school: 'clear' },
    {
      ranked: expect.arrayContaining([
        expect.objectContaining({ method: 'floodAndPress', score: expect.any(Number) }),
      ]),
      excluded: expect.any(Array),
      questions: expect.any(Array),
    },
  ],
  [
    'bench.schedule',
    {
      tasks: [{ id: 'a', attendedMin: 30, unattendedMin: 60, after: [], needs: { clamps: 2 } }],
      resources: { clamps: 2 },
      start: '2026-03-02T08:00:00',
      workingHours: { from: '08:00', to: '17:00' },
    },
    {
      tasks: [
        {
          id: 'a',
          start: '2026-03-02T08:00:00',
          attendedEnd: '2026-03-02T08:30:00',
          end: '2026-03-02T09:30:00',
        },
      ],
      finish: '2026-03-02T09:30:00',
      lowerBound: '2026-03-02T09:30:00',
    },
  ],
  [
    'letin.plug',
    { holeMm: 9, depthMm: 12, boardMm: 20, clear: true, load: false, bitsMm: [10], cuttersMm: [10] },
    expect.objectContaining({ kind: 'plug', bitMm: 10, lengthMm: 13.9 }),
  ],
  [
    'letin.dutchman',
    { outline: [[20, 20], [60, 20], [60, 40], [20, 40]], face: [[0, 0], [200, 0], [200, 100], [0, 100]], grainDeg: 0, depthMm: 5, boardMm: 20, ends: 'square' }, // prettier-ignore
    expect.objectContaining({ alongMm: 45, acrossMm: 25, depthMm: 6 }),
  ],
  [
    'letin.strips',
    { runMm: 1200, highMm: 30, thickMm: 2, planedMm: 0.5, blockWideMm: 40, blockThickMm: 25, kerfMm: 1.2, slantDeg: 0, spares: 3 }, // prettier-ignore
    { eachMm: 40, pieces: 33, slicesPerBlock: 7, blocks: 5, blockLengthMm: 36 },
  ],
  [
    'letin.feet',
    { feet: [{ name: 'A', xMm: 0, yMm: 0, gapMm: 2 }, { name: 'B', xMm: 500, yMm: 0, gapMm: 0 }, { name: 'C', xMm: 0, yMm: 400, gapMm: 0 }, { name: 'D', xMm: 500, yMm: 400, gapMm: 0 }], way: 'add' }, // prettier-ignore
    expect.objectContaining({ totalMm: 2, words: 'Build up: A 2.0 mm.' }),
  ],
  [
    'letin.sliver',
    { lengthMm: 200, gapsMm: [1, 1], depthMm: 10 },
    expect.objectContaining({ highMm: 13, piecesMm: [200], glued: 'both' }),
  ],
  [
    'joint.close',
    { lengthMm: 600, boards: [{ widthMm: 50, thickMm: 20 }, { widthMm: 50, thickMm: 20 }], gapsMm: [0, 0, 0], modulusMPa: 11000, clampN: 3500, clamps: 2 }, // prettier-ignore
    expect.objectContaining({ closes: true, eachN: 0 }),
  ],
  [
    'fill.plan',
    { hollow: { shape: 'void', areaMm2: 1000, heightMm: 1 }, filler: { shrinks: 0, mostLayerMm: 3, layerWaitMin: 60, densityGPerMl: 1.5, waste: 0 }, boardMm: 18 }, // prettier-ignore
    expect.objectContaining({ volumeMl: 1, madeUpMl: 1, grams: 1.5 }),
  ],
  [
    'level.plan',
    { stepMm: 0.3, veneerMm: 0, roomMm: 200, sheen: 'satin' },
    expect.objectContaining({ tool: 'scraper', verdict: 'level' }),
  ],
  [
    'job.plan',
    {
      piece: { id: 'p', body: { ...newPiece('Stool', '2026-03-02T08:00:00'), goal: 'keep' } },
      faces: [],
      damages: [],
      shop: DEFAULT_SHOP,
    },
    {
      pieceId: 'p',
      repairs: [],
      faces: [],
      tasks: [],
      done: [],
      problems: [],
      evening: [],
      resources: expect.objectContaining({ hands: 1 }),
      materials: [],
      trail: expect.objectContaining({
        next: expect.objectContaining({ title: 'Photograph the first face' }),
      }),
    },
  ],
  [
    'job.tasks',
    {
      piece: { id: 'p', body: { ...newPiece('Stool', '2026-03-02T08:00:00'), goal: 'keep' } },
      faces: [{ id: 'f', body: { ...newFace('p', 'Seat'), finishState: 'sound' } }],
      damages: [],
      shop: DEFAULT_SHOP,
    },
    {
      tasks: [
        expect.objectContaining({
          id: 'p/intake',
          attendedMin: 25,
          cautions: expect.arrayContaining(['mould']),
        }),
        expect.objectContaining({ id: 'p/reassemble', after: ['p/intake'] }),
      ],
      resources: expect.objectContaining({ hands: 1 }),
    },
  ],
];

test.each(CASES)('%s', async (name, input, output) => {
  expect(await compute(name, input)).toEqual(output);
});

test('every name in the registry is tried above', () => {
  expect(new Set(CASES.map((c) => c[0]))).toEqual(new Set(COMPUTATIONS.keys()));
});

test.each<[string, unknown, string]>([
  ['wood.moisture', { temperatureC: 21 }, '"relativeHumidity" is required'],
  ['wood.moisture', { temperatureC: 21, relativeHumidity: 0.5, extra: 1 }, '"extra" is not allowed'],
  ['wood.moisture', null, 'must be of type object'],
  ['colour.difference', { a: [50, 0], b: [50, 0, 0] }, '"a"'],
  ['colour.mix', { target: [50, 0, 0], colourants: [], mostColourants: 0, mostParts: 6 }, '"mostColourants"'],
  [
    'colour.layers',
    { start: [50, 0, 0], goal: [40, 0, 0], layers: [], mostCoats: 1000 },
    '"mostCoats" must be less than or equal to 12',
  ],
  [
    'colour.layers',
    { start: [50, 0, 0], goal: [40, 0, 0], layers: [], mostCoats: -1 },
    '"mostCoats" must be greater than or equal to 0',
  ],
  ['geometry.rectify', { image: [], world: [], points: [] }, '"image" must contain at least 4 items'],
  ['units.length', { text: 'x'.repeat(201) }, 'less than or equal to 200'],
  [
    'method.rank',
    { damage: { kind: 'rust' }, surface: {}, school: 'clear' },
    '"damage.kind" must be one of [liftedEdge, blister',
  ],
  ['finish.test', { results: [{ test: 'fire', reacts: true }] }, '"results[0].test" must be one of'],
  ['bench.schedule', { tasks: 7 }, '"tasks" must be an array'],
  ['no.such', {}, 'There is no computation “no.such”. There are: wood.moisture'],
  ['constructor', {}, 'There is no computation'],
])('%s refuses %j', async (name, input, message) => {
  await expect(compute(name, input)).rejects.toThrow(RangeError);
  await expect(compute(name, input)).rejects.toThrow(message);
});

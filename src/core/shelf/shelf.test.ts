import { deltaE00, labFromRgb, type Lab, type Tones } from '../colour';
import {
  fitBoards,
  labOf,
  laidByHand,
  layColour,
  mixColour,
  mixtureOf,
  offUnderLamp,
  partOf,
  type Coat,
} from '../pigment';
import {
  boardsOf,
  boardWords,
  chooseInput,
  COLOUR_KINDS,
  coatsOf,
  coatsOutlook,
  coatsLampWords,
  colourantsOf,
  differenceWords,
  fillAims,
  lampWords,
  learnedWords,
  learningFrom,
  nextDrop,
  outlookBefore,
  outlookWords,
  predictedBoard,
  recipeWords,
  roleOf,
  starterColours,
  stopWords,
  trialWords,
  type OnShelf,
  type TestBoard,
} from '.';

const SHELF: OnShelf[] = starterColours().map((body) => ({ id: body.name, body }));
const nameOf = (id: string): string => id;
const BOARD: TestBoard = {
  name: 'Board',
  wood: 'walnut',
  grit: 180,
  ground: [60, 9, 22],
  coats: [
    { colourId: 'Golden brown dye', coats: 1 },
    { colourId: 'Blond shellac', coats: 2 },
  ],
  measured: [40, 13, 26],
  doneAt: '2026-03-01T09:00:00',
  note: '',
};

test('every kind of the shelf is mixed or laid on, never both and never lost', () => {
  const mixed = colourantsOf(SHELF).map((c) => c.id);
  const laid = coatsOf(SHELF).map((c) => c.id);
  expect([...mixed, ...laid].sort()).toEqual(SHELF.map((c) => c.id).sort());
  expect(Object.keys(COLOUR_KINDS).length).toBeGreaterThan(10);
  expect(roleOf('stick')).toBe('mix');
  expect(roleOf('gelStain')).toBe('glaze');
});

test('the starter shelf reaches the browns of old furniture with sticks', async () => {
  for (const [r, g, b] of [
    [176, 124, 70],
    [112, 70, 40],
    [84, 52, 34],
    [150, 96, 60],
  ] as const) {
    const { recipes } = await mixColour({
      target: labFromRgb(r, g, b),
      colourants: colourantsOf(SHELF),
      mostColourants: 3,
      mostParts: 6,
    });
    expect(recipes[0]?.deltaE00).toBeLessThan(3);
  }
});

describe('a recipe in the order of the hand', () => {
  const colourants = [
    { id: 'light', lab: [70, 10, 30] as const },
    { id: 'dark', lab: [30, 10, 15] as const },
    { id: 'red', lab: [40, 30, 20] as const },
  ];
  const words = (parts: { id: string; parts: number }[]): string =>
    recipeWords({ parts, lab: [50, 10, 20], deltaE00: 1 }, colourants, nameOf);

  test('most of it is melted first, the rest drop by drop', () => {
    expect(
      words([
        { id: 'red', parts: 1 },
        { id: 'dark', parts: 3 },
        { id: 'light', parts: 2 },
      ]),
    ).toBe(
      'Melt or stir 3 parts dark first, then bring in 2 parts light and 1 part red, drop by drop, and look after each.',
    );
  });

  test('of equal parts the lighter comes first, since dark is added and never taken out', () => {
    expect(
      words([
        { id: 'dark', parts: 1 },
        { id: 'light', parts: 1 },
      ]),
    ).toMatch(/^Melt or stir 1 part light first/);
    expect(words([{ id: 'red', parts: 1 }])).toBe('Take red as it is.');
  });
});

test('a fill has a ground and lines to be drawn into it', () => {
  const tones: Tones = {
    ground: [60, 10, 25],
    mean: [50, 10, 22],
    line: [35, 9, 15],
    coherence: 0.6,
    pixels: 1000,
  };
  expect(fillAims(tones).map((a) => [a.id, a.lab])).toEqual([
    ['ground', tones.ground],
    ['line', tones.line],
  ]);
});

describe('how sure a colour is', () => {
  test('never “0.0” without a spread; from the spread follows the chance', () => {
    const sure = outlookBefore(0, 2);
    expect(differenceWords(sure)).toMatch(/^0\.0 ± [1-9]\.\d$/);
    expect(outlookBefore(0, 20).spread).toBeGreaterThan(2 * sure.spread);
    expect(outlookWords({ difference: 9, spread: 1, atArmsLength: 1, standing: 0.5 })).toBe(
      'Seen at arm’s length nearly always, standing about 5 times in 10.',
    );
  });

  test('the stop rule: go on, stop, or make a board first', () => {
    expect(stopWords({ difference: 1, spread: 3, atArmsLength: 0.9, standing: 0.8 })).toContain('test board');
    expect(stopWords({ difference: 0.8, spread: 0.5, atArmsLength: 0.4, standing: 0.02 })).toContain(
      'Stop here',
    );
    expect(stopWords({ difference: 8, spread: 1, atArmsLength: 1, standing: 1 })).toContain(
      'Likely to be seen',
    );
  });
});

describe('what boards teach', () => {
  test('a board counts while all its products stand on the shelf', () => {
    const coats = coatsOf(SHELF);
    expect(boardsOf([{ body: BOARD }], coats)).toHaveLength(1);
    expect(
      boardsOf(
        [{ body: BOARD }],
        coats.filter((c) => c.id !== 'Blond shellac'),
      ),
    ).toEqual([]);
    expect(
      learningFrom(SHELF, [{ body: BOARD }])
        .products.slice(0, 2)
        .map((p) => p.id)
        .sort(),
    ).toEqual(['Blond shellac', 'Golden brown dye']);
  });

  test('the next board of the same is expected nearer to how this one came out, and the spread narrows', async () => {
    const before = await fitBoards(learningFrom(SHELF, []));
    const after = await fitBoards(learningFrom(SHELF, [{ body: BOARD }]));
    const off = (fit: typeof before): number =>
      deltaE00(predictedBoard(BOARD, SHELF, fit) ?? [0, 0, 0], BOARD.measured);
    expect(off(after)).toBeLessThan(off(before) / 2);
    expect(learnedWords(after, 'Golden brown dye')).toMatch(
      /^One board: it works \d\.\d\d times as strongly/,
    );
    expect(learnedWords(after, 'Red toner')).toBeUndefined();
    const input = chooseInput([60, 9, 22], [42, 13, 26], SHELF, after, 'Blond shellac', {
      darker: false,
      redder: false,
    });
    const layers = coatsOf(SHELF, after).filter((c) => c.id.includes('Golden') || c.id === 'Blond shellac');
    const laid = await layColour({ start: [60, 9, 22], goal: [42, 13, 26], layers, mostCoats: 4 });
    const spread = (fit: typeof before): number =>
      coatsOutlook([60, 9, 22], laid, layers, fit)?.spread ?? NaN;
    expect(input?.products).toHaveLength(coatsOf(SHELF).length);
    expect(laid.steps.length).toBeGreaterThan(0);
    expect(spread(after)).toBeLessThan(spread(before));
  });

  test('a board in words; one whose product is gone is kept and not predicted', () => {
    expect(boardWords(BOARD, nameOf)).toBe(
      '1 coat of Golden brown dye, 2 coats of Blond shellac; sanded to P180.',
    );
    const fit = { products: [], covariance: [], photoSd: 1, doubtful: [] };
    expect(predictedBoard({ ...BOARD, coats: [{ colourId: 'gone', coats: 1 }] }, SHELF, fit)).toBeUndefined();
  });

  test('what the fit does not know is not chosen from, and a way with a product that is gone has no outlook', async () => {
    const fit = await fitBoards(learningFrom(SHELF.slice(0, 12), []));
    const asked = chooseInput([60, 9, 22], [40, 9, 22], SHELF, fit, undefined, {
      darker: false,
      redder: false,
    });
    expect(asked?.products.map((p) => p.id)).toEqual(fit.products.map((p) => p.id));
    const laid = await layColour({
      start: [70, 9, 22],
      goal: [45, 13, 26],
      layers: coatsOf(SHELF).slice(0, 3),
      allow: { redder: true },
      mostCoats: 3,
    });
    expect(laid.steps.length).toBeGreaterThan(0);
    const none = { products: [], covariance: [], photoSd: 1, doubtful: [] };
    expect(coatsOutlook([70, 9, 22], laid, coatsOf(SHELF), none)).toBeUndefined();
    expect(coatsOutlook([70, 9, 22], laid, [], fit)).toBeUndefined();
  });

  test('a shelf of clears alone has nothing to colour with', () => {
    const clears = SHELF.filter((c) => c.body.kind === 'clear');
    expect(
      chooseInput([60, 9, 22], [40, 9, 22], clears, undefined, undefined, { darker: false, redder: false }),
    ).toBeUndefined();
  });
});

describe('under a lamp', () => {
  const colourants = [
    { id: 'teal', lab: [50, -30, -20] as const },
    { id: 'scarlet', lab: [50, 55, 35] as const },
    { id: 'brown', lab: [45, 14, 28] as const },
  ];
  const recipe = (ids: string[]) => {
    const members = ids.map((id) => ({ id, parts: 1 }));
    const lab = labOf(
      mixtureOf(
        members.map((m) => ({
          part: partOf(colourants.find((c) => c.id === m.id) ?? { lab: [50, 0, 0] }),
          parts: 1,
        })),
      ),
    );
    return { parts: members, lab, deltaE00: 0 };
  };

  test('a grey mixed of teal and scarlet parts from a grey of its own; a colour by itself does not', () => {
    const grey = recipe(['teal', 'scarlet']);
    expect(lampWords(grey, grey.lab, colourants)).toMatch(/^Under a lamp it is expected \d\.\d ΔE00 off/);
    const brown = recipe(['brown']);
    expect(lampWords(brown, brown.lab, colourants)).toBeUndefined();
  });

  test('coats of strong dyes that make a grey part from wood of that colour under the lamp; a brown dye on brown wood does not', () => {
    const start = [78, 6, 22] as const;
    const dye = (id: string, lab: Lab): Coat => ({ id, kind: 'dye', lab, strength: 1 });
    const strong = [{ coat: dye('green', [48, -45, 20]), coats: 1 }, { coat: dye('magenta', [45, 60, -25]), coats: 1 }]; // prettier-ignore
    const grey = laidByHand(start, start, strong);
    expect(coatsLampWords(start, grey.final, strong, { ...grey, deltaE00: 0 })).toMatch(/^Under a lamp .* on a test board before it goes on\.$/); // prettier-ignore
    const plain = [{ coat: dye('brown', [60, 14, 34]), coats: 2 }];
    const brown = laidByHand(start, start, plain);
    expect(coatsLampWords(start, brown.final, plain, { ...brown, deltaE00: 0 })).toBeUndefined();
    // Nothing laid on: the wood beside itself.
    expect(offUnderLamp(start, start, [])).toBeLessThan(1e-9);
  });

  test('nothing is said of a recipe whose product is gone', () => {
    expect(
      lampWords({ parts: [{ id: 'gone', parts: 1 }], lab: [50, 0, 0], deltaE00: 0 }, [50, 0, 0], colourants),
    ).toBeUndefined();
  });
});

describe('a trial beside its goal', () => {
  const colourants = colourantsOf(SHELF);

  test('one that is too light wants something darker, and what is named makes it better', () => {
    const next = nextDrop([60, 12, 34], [50, 13, 30], colourants);
    expect(next.wants[0]).toBe('darker');
    expect(next.add?.deltaE00).toBeLessThan(next.deltaE00);
  });

  test('what to do is said in parts', () => {
    const nameOf = (id: string): string => id;
    expect(
      trialWords(
        { deltaE00: 5, wants: ['darker'], add: { id: 'umber', lab: [40, 9, 20], deltaE00: 2 } },
        nameOf,
      ),
    ).toBe('It wants to be darker. To 6 parts of it bring in 1 part umber.');
    expect(trialWords({ deltaE00: 5, wants: ['lighter', 'less red'] }, nameOf)).toContain(
      'begin again from a lighter one',
    );
    expect(trialWords({ deltaE00: 0, wants: [] }, nameOf)).toContain('Use it.');
  });

  test('one that is right wants nothing', () => {
    expect(nextDrop([50, 13, 30], [50, 13, 30], colourants)).toEqual({ deltaE00: 0, wants: [] });
  });
});

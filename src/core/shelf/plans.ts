import { deltaE00, type Lab, type Tones } from '../colour';
import { roleOf, type CoatsOf, type Colour, type TestBoard } from './colour';
import { shareOf } from './thinned';
import { moreSpread, outlookBefore, outlookLearned, type Outlook } from './outlook';
import { wantedCoats, type RecipeCoats } from './recipe';
import {
  laidByHand,
  labOf,
  mixtureOf,
  offUnderLamp,
  partOf,
  predicted,
  spectrumOf,
  type Board,
  type ChooseInput,
  type Coat,
  type Colourant,
  type CoatsResult,
  type Fit,
  type Recipe,
  type WantedCoats,
} from '../pigment';

export type OnShelf = { id: string; body: Colour };

/** What can be mixed to fill with. */
export const colourantsOf = (shelf: readonly OnShelf[]): Colourant[] =>
  shelf
    .filter((c) => roleOf(c.body.kind) === 'mix')
    .map(({ id, body }) => ({ id, lab: body.lab, strength: body.strength }));

/** What can be laid on in coats, with what boards have taught about each. */
export const coatsOf = (shelf: readonly OnShelf[], fit?: Fit): Coat[] =>
  shelf.flatMap(({ id, body }): Coat[] => {
    const kind = roleOf(body.kind);
    if (kind === 'mix') return [];
    const gain = fit?.products.find((p) => p.id === id)?.gain;
    return [{ id, kind, lab: body.lab, strength: body.strength, ...(gain ? { gain } : {}) }];
  });

/** What was laid on, as a fit reads it. */
export const laidOf = (coats: readonly CoatsOf[]): Board['coats'] =>
  coats.map((c) => ({
    id: c.colourId,
    coats: c.coats,
    ...(c.carrierParts ? { share: shareOf(c.carrierParts) } : {}),
  }));

/** Boards that name only products that are on the shelf. */
export const boardsOf = (boards: readonly { body: TestBoard }[], coats: readonly Coat[]): Board[] => {
  const known = new Set(coats.map((c) => c.id));
  return boards
    .filter((b) => b.body.coats.every((c) => known.has(c.colourId)))
    .map(({ body }) => ({
      ground: body.ground,
      coats: laidOf(body.coats),
      measured: body.measured,
    }));
};

/** What a fill has to look like: the ground, and the lines drawn into it. */
export const fillAims = (tones: Tones): { id: 'ground' | 'line'; label: string; lab: Lab }[] => [
  { id: 'ground', label: 'Ground', lab: tones.ground },
  { id: 'line', label: 'Figure lines', lab: tones.line },
];

/** A hand mixes two or three, in parts it can judge; light goes first. */
export const FILL_MIX = { mostColourants: 3, mostParts: 6, preferLight: true };

/** A hand lays no more thin coats of colour than this. */
export const MOST_COATS = 8;
const WAYS = 4;

/** What `colour.choose` is asked; nothing where no coat stands on the shelf. */
export function chooseInput(
  start: Lab,
  goal: Lab,
  shelf: readonly OnShelf[],
  fit: Fit | undefined,
  clear: string | undefined,
  allow: { darker: boolean; redder: boolean },
): ChooseInput | undefined {
  // What the fit does not know has no spread: more products than can be learned at once are left out.
  const known = fit && new Set(fit.products.map((p) => p.id));
  const products = coatsOf(shelf, fit).filter((p) => !known || known.has(p.id));
  if (products.every((p) => p.kind === 'clear')) return undefined;
  return {
    start,
    goal,
    products,
    mostCoats: MOST_COATS,
    ...(clear === undefined ? {} : { clear }),
    allow,
    top: WAYS,
  };
}

/** How sure a recipe is: the further it is from its largest part, the less. */
export function recipeOutlook(recipe: Recipe, colourants: readonly Colourant[]): Outlook {
  const largest = [...recipe.parts].sort((a, b) => b.parts - a.parts)[0];
  const from = colourants.find((c) => c.id === largest?.id)?.lab ?? recipe.lab;
  return outlookBefore(recipe.deltaE00, deltaE00(from, recipe.lab));
}

/** How sure the last of a row of coats is; nothing when one of its products is no longer there, or not yet learned. @param coats as they were laid, thinned ones with less strength */
export function coatsOutlook(
  start: Lab,
  result: CoatsResult,
  coats: readonly Coat[],
  fit: Fit,
): Outlook | undefined {
  const known = new Set(fit.products.map((p) => p.id));
  if (result.steps.some((s) => !known.has(s.id) || !coats.some((c) => c.id === s.id))) return undefined;
  const board = { ground: start, coats: result.steps.map((s) => ({ id: s.id, coats: s.coats })) };
  return outlookLearned(result.deltaE00, predicted(board, coats, fit).sd);
}

/** What coats decided on by hand give, and how sure that is. @param unsure what is not known of where it begins, ΔE00, one standard deviation */
export function handLaid(
  start: Lab,
  goal: Lab,
  recipe: RecipeCoats,
  products: readonly Coat[],
  fit: Fit | undefined,
  unsure: number,
): { wanted: WantedCoats[]; result: CoatsResult; outlook: Outlook | undefined } {
  const wanted = wantedCoats(recipe, products);
  const result = laidByHand(start, goal, wanted);
  const coats = wanted.map((w) => w.coat);
  return { wanted, result, outlook: moreSpread(fit && coatsOutlook(start, result, coats, fit), unsure) };
}

/** So much more under a lamp than in daylight is told. ΔE00 */
const LAMP_MORE = 1;

/**
 * What changes when the lamp is lit: two colours that are alike in daylight need not be alike under it. As far as smooth spectra tell.
 *
 * @returns nothing to say where the lamp makes it no worse
 */
export function lampWords(recipe: Recipe, goal: Lab, colourants: readonly Colourant[]): string | undefined {
  const byId = new Map(colourants.map((c) => [c.id, partOf(c)]));
  const members = recipe.parts.flatMap((p) => {
    const part = byId.get(p.id);
    return part ? [{ part, parts: p.parts }] : [];
  });
  if (members.length !== recipe.parts.length) return undefined;
  const lit = deltaE00(labOf(mixtureOf(members), 'lamp'), labOf(spectrumOf(goal), 'lamp'));
  return litWords(lit, recipe.deltaE00, 'before you fill');
}

const litWords = (lit: number, daylight: number, when: string): string | undefined =>
  lit > daylight + LAMP_MORE
    ? `Under a lamp it is expected ${lit.toFixed(1)} ΔE00 off, more than in daylight: look at it in both ${when}.`
    : undefined;

/** The same of coats that are laid on. @param result what they give in daylight */
export const coatsLampWords = (
  start: Lab,
  goal: Lab,
  wanted: readonly WantedCoats[],
  result: CoatsResult,
): string | undefined =>
  litWords(offUnderLamp(start, goal, wanted), result.deltaE00, 'on a test board before it goes on');

const parts = (n: number): string => (n === 1 ? '1 part' : `${n} parts`);

/**
 * A recipe in the order of the hand: the lightest of the large parts first, then the others drop by drop.
 *
 * @param nameOf name of a product
 */
export function recipeWords(
  recipe: Recipe,
  colourants: readonly Colourant[],
  nameOf: (id: string) => string,
): string {
  const light = (id: string): number => colourants.find((c) => c.id === id)?.lab[0] ?? 0;
  const [first, ...rest] = [...recipe.parts].sort((a, b) => b.parts - a.parts || light(b.id) - light(a.id));
  if (!first) return '';
  if (rest.length === 0) return `Take ${nameOf(first.id)} as it is.`;
  const others = rest.map((p) => `${parts(p.parts)} ${nameOf(p.id)}`).join(' and ');
  return `Melt or stir ${parts(first.parts)} ${nameOf(first.id)} first, then bring in ${others}, drop by drop, and look after each.`;
}

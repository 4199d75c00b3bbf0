import { SEALED_UNDER, type ProductCoats } from '../bench';
import { fillsInColour, tonesIn, type MaterialId } from '../catalogue';
import { areaOf, intersectionOf } from '../geometry';
import { batchOf, batchWords, CARRIERS, roleOf, type Colour, type OwnMix } from '../shelf';
import { lowerFirst } from '../terms';
import { formatSmall } from '../units';
import { linksOfChain } from './decide';
import { patchOfRepair, takesPatch } from './cutting';
import { linkPlansOf, type LinkPlan } from './links';
import type { Repair } from './repairs';
import type { Damage, KnownShop, Named } from './types';

/** One product of the shelf as it was decided on for a repair: its coats, and what is mixed for them. */
export type DecidedCoats = ProductCoats & {
  colourId: string;
  productMl: number;
  carrierMl: number;
  carrier: string;
};

/** The colouring that was decided on for a repair, with what of it is on the shelf no longer. */
export type ColourStage = { coats: DecidedCoats[]; gone: number };

const ORDER: readonly ProductCoats['kind'][] = ['dye', 'glaze', 'toner', 'clear'];

/** What the carrier of a product is called where it is thinned. */
export const carrierWords = ({ carrier }: Colour): string =>
  carrier === 'none' ? 'its thinner' : lowerFirst(CARRIERS[carrier]);

/** The place of a repair that is coloured: its patch as far as it lies on the face, else what was marked. mm² */
export function colouredMm2(repair: Repair): number {
  const { survey, chain } = repair;
  if (!survey.ok) return 0;
  const patched = chain !== undefined && linksOfChain(chain).some(takesPatch);
  const outline = (patched ? patchOfRepair(repair)?.outline : undefined) ?? survey.value.outline;
  return Math.max(0, ...intersectionOf([outline], [survey.value.board.plane.outline]).map(areaOf));
}

/** The coats that were decided on, in the order in which they go on. */
function colourStage(repair: Repair, shelf: readonly Named<Colour>[]): ColourStage {
  const decided = (repair.damage.body.coats ?? []).filter((c) => c.coats > 0);
  const areaMm2 = decided.length > 0 ? colouredMm2(repair) : 0;
  const coats = decided.flatMap((of): DecidedCoats[] => {
    const colour = shelf.find((c) => c.id === of.colourId)?.body;
    const kind = colour && roleOf(colour.kind);
    if (!colour || !kind || kind === 'mix') return [];
    const carrier = carrierWords(colour);
    return [{ colourId: of.colourId, name: colour.name, kind, coats: of.coats, words: batchWords(of, areaMm2, carrier), ...batchOf(of, areaMm2), carrier }]; // prettier-ignore
  });
  coats.sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind));
  return { coats, gone: decided.length - coats.length };
}

const partsWords = (mix: OwnMix, shelf: readonly Named<Colour>[]): string =>
  mix
    .filter((m) => m.parts > 0)
    .map(({ colourId, parts }) => {
      const name =
        shelf.find((c) => c.id === colourId)?.body.name ?? 'a colour that is on the shelf no longer';
      return `${parts} ${parts === 1 ? 'part' : 'parts'} of ${name}`;
    })
    .join(', ');

/** What a fill is mixed of by hand, for its first step. */
function mixWords({ mixes = {} }: Damage, shelf: readonly Named<Colour>[]): string {
  const ground = partsWords(mixes.ground ?? [], shelf);
  const line = partsWords(mixes.line ?? [], shelf);
  return [ground ? `Ground: ${ground}.` : '', line ? `Lines: ${line}.` : ''].filter(Boolean).join(' ');
}

/** The worksheets of a repair, link by link, and its colouring: the one value that its pages show and the plan books. */
export function worksheetsOf(
  repair: Repair,
  shop: KnownShop,
  shelf: readonly Named<Colour>[] = [],
): { links: LinkPlan[]; colour: ColourStage } {
  const colour = colourStage(repair, shelf);
  return { links: inDecidedColour(linkPlansOf(repair, shop), colour, repair.damage.body, shelf), colour };
}

/** The links of a repair with the colour that was decided on: mixes said at their fill, no toner counted beside own coats. */
function inDecidedColour(
  links: readonly LinkPlan[],
  { coats }: ColourStage,
  damage: Damage,
  shelf: readonly Named<Colour>[],
): LinkPlan[] {
  const mixed = mixWords(damage, shelf);
  // Between what soaks in and what goes over it lies shellac; dye alone takes none.
  const sealed = coats.some((c) => SEALED_UNDER.includes(c.kind));
  const counted = (material: MaterialId): boolean =>
    material !== 'toner' && (sealed || material !== 'shellac');
  return links.map((link): LinkPlan => {
    if (coats.length > 0 && tonesIn(link.method))
      return { ...link, amounts: link.amounts.filter((a) => counted(a.material)) };
    return mixed && fillsInColour(link.method)
      ? { ...link, begins: [link.begins, mixed].filter(Boolean).join(' ') }
      : link;
  });
}

/** How decided coats are laid: “2 thin coats, with 2.4 ml of spirit; decided on the Blend page”. */
export const coatsWords = ({ coats, carrierMl, carrier }: DecidedCoats): string =>
  `${coats === 1 ? 'One thin coat' : `${coats} thin coats`}${carrierMl > 0 ? `, with ${formatSmall(carrierMl)} ml of ${carrier}` : ''}; decided on the Blend page`;

import { glueQuantity, type Adhesive, type AdhesiveId } from '../adhesive';
import { methodById, USES, type MaterialId, type MethodId } from '../catalogue';
import { areaOf, boundingBox, rotate } from '../geometry';
import { memory, sourced, type Sourced } from '../sources';
import { waysOf } from './decide';
import { patchFor, type PressPlan } from './press';
import { gluedAreaMm2, hollowDepthMm } from './glued';
import type { Repair } from './repairs';
import { FILLERS_SOURCE } from './fills';
import type { WorkedSums } from './workedSums';

/** How much of one material a repair takes. Sizes of wood are along and across the grain. */
export type Amount = { material: MaterialId } & (
  | { of: 'weight'; grams: number; source: Sourced['source'] }
  | { of: 'volume'; ml: number; source: Sourced['source']; parts?: number }
  /** So many round ones of one size. */
  | { of: 'pieces'; count: number; diameterMm: number }
  | { of: 'wood'; alongMm: number; acrossMm: number; thickMm?: number; count?: number }
  | { of: 'tool' }
);

/** What is spread goes so far beyond the place itself. mm. */
const RIM_MM = sourced(15, memory('a brush or a pad goes a finger’s breadth over the place'));
/** Less than this is not poured out. ml. */
const LEAST_ML = sourced(1, memory('the smallest amount that can be measured out'));
/** A block is this much longer and wider than the hole, to be fitted and planed. mm. */
const BLOCK_ALLOWANCE_MM = sourced(6, memory('to hold, fit and plane off'));

/**
 * What a method of a repair takes, each material by its own way of being counted; nothing while the damage has no size.
 *
 * @param sums what its page works out: wood, fill and glue are counted there
 * @param press where the method is pressed: its glue is counted there
 */
export function amountsOf(
  repair: Repair,
  method: MethodId,
  adhesive: Adhesive | undefined,
  press: PressPlan | undefined,
  sums: WorkedSums,
): Amount[] {
  const { survey, damage, face } = repair;
  const { needs } = methodById(method);
  const fitted = fittedOf(sums);
  if (fitted) return needs.map((material) => fittedAmount(material, fitted, adhesive));
  if (!survey.ok) return needs.map((material): Amount => ({ material, of: 'tool' }));
  const { measures, outline, grainDeg } = survey.value;
  const { alongMm, acrossMm, areaMm2 } = measures;
  const depthMm = hollowDepthMm(damage.body, face?.body);
  return needs.map((material): Amount => {
    const use = USES[material];
    switch (use.by) {
      case 'glue': {
        if (!adhesive) return { material, of: 'tool' };
        const poured = sums.fill?.plan;
        if (poured?.ok) return { material, of: 'weight', grams: poured.value.grams, source: FILLERS_SOURCE };
        const grams = press?.grams ?? glueQuantity(adhesive, Math.max(1, gluedAreaMm2(survey.value, damage.body, face?.body))).grams; // prettier-ignore
        return { material: gluedWith(material, adhesive), of: 'weight', grams, source: adhesive.spreadGPerM2.source }; // prettier-ignore
      }
      case 'volume': {
        const fill = sums.fill?.cap ?? sums.fill?.plan;
        if (fill?.ok) return { material, of: 'volume', ml: fill.value.madeUpMl, source: FILLERS_SOURCE };
        return {
          material,
          of: 'volume',
          ml: Math.max(LEAST_ML.value, (areaMm2 * depthMm * use.times.value) / 1000),
          source: use.times.source,
        };
      }
      case 'surface': {
        const place = (alongMm + 2 * RIM_MM.value) * (acrossMm + 2 * RIM_MM.value);
        const overAll = material === 'oxalicAcid' && waysOf(repair.treated).acid === 'panel';
        const spreadMm2 = overAll ? areaOf(survey.value.board.plane.outline) : place;
        const { eachTime } = use;
        const times = eachTime ? methodById(method).steps.filter((s) => s.deeds.includes(eachTime)).length : 1; // prettier-ignore
        const ml = (spreadMm2 / 1e6) * use.mlPerM2.value * use.coats.value * times;
        return { material, of: 'volume', ml: Math.max(LEAST_ML.value, ml), source: use.mlPerM2.source, ...(use.parts ? { parts: use.parts.value } : {}) }; // prettier-ignore
      }
      case 'sheet': {
        const piece = blockOf(sums);
        if (piece)
          return {
            material,
            of: 'wood',
            alongMm: piece.alongMm,
            acrossMm: piece.acrossMm,
            ...(piece.count ? { count: piece.count } : {}),
          };
        if (PATCHES.includes(method)) {
          const patch = patchFor(damage.body, survey.value, repair.treated);
          return { material, of: 'wood', alongMm: patch.alongMm, acrossMm: patch.acrossMm };
        }
        const box = boundingBox((press?.outline ?? outline).map((p) => rotate(p, -grainDeg)));
        return {
          material,
          of: 'wood',
          alongMm: box.right - box.left + BLOCK_ALLOWANCE_MM.value,
          acrossMm: box.bottom - box.top + BLOCK_ALLOWANCE_MM.value,
        };
      }
      case 'block': {
        const block = blockOf(sums);
        if (block) return { material, of: 'wood', ...block };
        return {
          material,
          of: 'wood',
          alongMm: alongMm + BLOCK_ALLOWANCE_MM.value,
          acrossMm: acrossMm + BLOCK_ALLOWANCE_MM.value,
          thickMm: depthMm + BLOCK_ALLOWANCE_MM.value,
        };
      }
      case 'tool':
        return material === 'dowels' ? dowelsFor(sums) : { material, of: 'tool' };
    }
  });
}

/** The dowels of an edge joint, or the one that plugs a hole. */
function dowelsFor({ dowels, plug }: WorkedSums): Amount {
  const material = 'dowels';
  if (dowels?.layout.ok)
    return {
      material,
      of: 'pieces',
      count: dowels.placesMm.length,
      diameterMm: dowels.layout.value.diameterMm,
    };
  return plug?.plan.ok && plug.plan.value.cutterMm !== undefined
    ? { material, of: 'pieces', count: 1, diameterMm: plug.plan.value.cutterMm }
    : { material, of: 'tool' };
}

/** Glued surface, one side, and blocks of what is fitted without a face: under a foot, in a joint. */
type Fitted = {
  gluedMm2: number;
  block?: { alongMm: number; acrossMm: number; thickMm: number; count: number };
};

/** What a method glues that has no face of its own; nothing for another, or where nothing is glued. */
export function fittedOf({ feet, joint }: WorkedSums): Fitted | undefined {
  if (joint) return { gluedMm2: joint.gluedMm2 };
  if (!feet?.blocks) return undefined;
  const { gluedMm2, count, thickMm } = feet.blocks;
  const alongMm = feet.footWideMm + BLOCK_ALLOWANCE_MM.value;
  const acrossMm = feet.footDeepMm + BLOCK_ALLOWANCE_MM.value;
  return { gluedMm2, block: { alongMm, acrossMm, thickMm, count } };
}

function fittedAmount(
  material: MaterialId,
  { gluedMm2, block }: Fitted,
  adhesive: Adhesive | undefined,
): Amount {
  const { by } = USES[material];
  if (by === 'glue' && adhesive)
    return { material: gluedWith(material, adhesive), of: 'weight', grams: glueQuantity(adhesive, 2 * gluedMm2).grams, source: adhesive.spreadGPerM2.source }; // prettier-ignore
  return by === 'block' && block ? { material, of: 'wood', ...block } : { material, of: 'tool' };
}

/** Glue that is no wood glue stands under its own name. */
const OWN_NAME: Partial<Record<AdhesiveId, MaterialId>> = {
  cyanoacrylate: 'thinCa',
  caMedium: 'thinCa',
  caGel: 'thinCa',
  epoxy: 'epoxy',
  epoxyFast: 'epoxy',
};

const gluedWith = (material: MaterialId, { id }: Adhesive): MaterialId => OWN_NAME[id] ?? material;

/** Cut to the outline of the patch page, whose overhang is its room to trim. */
const PATCHES: readonly MethodId[] = ['veneerPatch', 'harvestedPatch', 'edgeStrip'];

/** The wood that its own sum has worked out, as long as it is along the grain. */
function blockOf({
  dutchman,
  plug,
  part,
  wanted,
  banding,
  strips,
  sliver,
}: WorkedSums): { alongMm: number; acrossMm: number; thickMm?: number; count?: number } | undefined {
  if (dutchman?.ok) return dutchman.value.block;
  if (plug?.plan.ok && plug.plan.value.cutterMm !== undefined) {
    const { cutterMm, lengthMm = 0 } = plug.plan.value;
    const wide = cutterMm + BLOCK_ALLOWANCE_MM.value;
    return { alongMm: wide, acrossMm: wide, thickMm: lengthMm };
  }
  if (part?.ok && wanted) return { ...part.value.blank, count: wanted.copies + wanted.spares };
  if (strips?.plan.ok) {
    const { blockLengthMm, blocks } = strips.plan.value;
    const { blockWideMm, blockThickMm } = strips.input;
    return { alongMm: blockLengthMm, acrossMm: blockWideMm, thickMm: blockThickMm, count: blocks };
  }
  if (banding?.counts && banding.bought && banding.plan.ok) {
    const { stockMm, wideMm } = banding.input;
    return { alongMm: stockMm, acrossMm: wideMm, count: banding.plan.value.stocks };
  }
  if (!sliver?.ok) return undefined;
  const { piecesMm, highMm, topMm } = sliver.value;
  return { alongMm: piecesMm.reduce((a, b) => a + b, 0), acrossMm: highMm, thickMm: Math.max(...topMm) };
}

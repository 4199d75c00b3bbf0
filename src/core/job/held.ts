import { adhesiveById, glueTimes, wantedPressure, type AdhesiveId } from '../adhesive';
import {
  bandPullN,
  caseProps,
  edgeClamps,
  flattenCup,
  halfRoundEars,
  hammerPlan,
  padded,
  PADS,
  roundBlocks,
  STRIPS,
} from '../awkward';
import type { MethodId } from '../catalogue';
import { attempt, type Result } from '../check';
import { boundingBox, rotate, sides } from '../geometry';
import { clampById } from '../press';
import { bedOf } from '../stack';
import { waysOf } from './decide';
import { boardThickMm } from './glued';
import { clampOf, gluing, hotHideOf, ownedClamps, type PressPlan } from './press';
import type { Repair } from './repairs';
import type { GlueChoice, HeldBy, KnownShop } from './types';

/** What holds where a flat platen and straight cauls do not do. */
export const HELD_BY: Record<HeldBy, string> = {
  edge: 'Veneer on an edge, or a narrow strip',
  half: 'Half-round top',
  round: 'Round top',
  cup: 'Cupped board',
  case: 'Side of a case that stays together',
  hammer: 'Hammer veneering',
};

/** What a repair is held with, in place of the clamps of a flat press. */
export type Held = {
  by: HeldBy;
  /** Clamps by kind. */
  clamps: Record<string, number>;
  /** What else has to be at hand, with its sizes. */
  also: string[];
  /** Hands at it, where holding is work of its own. min */
  handMin?: number;
};

/** Where the fields of the awkward shapes begin, as far as the survey knows. */
export function heldStart({ face, survey }: Repair) {
  const known = survey.ok ? survey.value : undefined;
  const plane = known?.board.plane.outline ?? [];
  const box = known ? boundingBox(plane) : { left: 0, right: 600, top: 0, bottom: 400 };
  const [widthMm, heightMm] = [box.right - box.left, box.bottom - box.top];
  const longestMm = Math.max(0, ...sides(plane).map(([a, b]) => Math.hypot(a[0] - b[0], a[1] - b[1])));
  const along = known
    ? boundingBox(known.outline.map((p) => rotate(p, -known.grainDeg)))
    : { left: 0, right: 300, top: 0, bottom: 200 };
  const boardMm = boardThickMm(face?.body);
  const shape = face?.body.shape?.kind;
  const by: HeldBy = shape === 'halfRound' ? 'half' : shape === 'round' ? 'round' : 'edge';
  return {
    by,
    boardMm,
    bed: bedOf(face?.body.species ?? '', boardMm),
    longMm: Math.round(Math.max(widthMm, heightMm)),
    wideMm: Math.round(Math.min(widthMm, heightMm)),
    edgeMm: Math.round(longestMm) || 600,
    radiusMm: Math.round(Math.max(widthMm, heightMm) / 2),
    halfRadiusMm: Math.round(widthMm / 2),
    alongMm: Math.max(20, Math.round(along.right - along.left)),
    acrossMm: Math.max(20, Math.round(along.bottom - along.top)),
  };
}

/** The glue a hammer works with, by this shop's own figures. */
export const hammerGlue = (chosen: AdhesiveId, shop: KnownShop) => {
  const id = hotHideOf(chosen);
  return adhesiveById(id, shop.glues?.[id]);
};

/** What was entered on the page of the awkward shapes, or where its fields begin. */
function entered(repair: Repair) {
  const figures = repair.damage.body.figures ?? {};
  const number = (key: string, start: number): number => {
    const value = figures[key];
    return typeof value === 'number' ? value : start;
  };
  const choice = <K extends string>(key: string, start: K, options: readonly K[]): K =>
    options.find((o) => o === figures[key]) ?? start;
  return { number, choice };
}

const limited = (mm: number, least: number, most: number): number => Math.min(most, Math.max(least, mm));
const keysOf = <K extends string>(table: Record<K, unknown>): K[] => Object.keys(table) as K[];
const mm = (value: number): string => `${Math.round(value)} mm`;

/**
 * What a repair takes when it is held in one of these ways: clamps by kind, props, blocks and strips, from the same sums as its page.
 *
 * @param press the flat press, whose clamps a case keeps
 */
export function heldWith(
  by: HeldBy,
  repair: Repair,
  method: MethodId,
  chosen: GlueChoice,
  shop: KnownShop,
  press: PressPlan | undefined,
): Result<Held> {
  const start = heldStart(repair);
  const { number, choice } = entered(repair);
  const { adhesive } = gluing(repair.treated, method, chosen, shop);
  const targetKPa = chosen.targetKPa ?? wantedPressure(adhesive, waysOf(repair.treated).glueAndForce).value;
  const barKind = ownedClamps(shop).some((c) => c.kind.id === 'pipe') ? 'pipe' : 'fStyle';
  return attempt((): Held => {
    switch (by) {
      case 'edge': {
        const material = choice('edge.strip', 'hardwood', keysOf(STRIPS));
        const pad = choice('edge.pad', 'cork', keysOf(PADS));
        const thicknessMm = number('edge.thickness', 20);
        const { count } = edgeClamps(
          {
            thicknessMm,
            modulusMPa: STRIPS[material].modulusMPa.value,
            stiffnessMPaPerMm: padded(start.bed.stiffnessMPaPerMm, pad),
          },
          {
            lengthMm: start.edgeMm,
            widthMm: number('edge.width', start.boardMm),
            targetKPa,
            forceN: clampOf('edge', shop).forceN.value,
          },
        );
        const strip = `${STRIPS[material].label}, ${mm(thicknessMm)} thick and ${mm(start.edgeMm)} long`;
        return { by, clamps: { edge: count }, also: [strip, PADS[pad].label] };
      }
      case 'half': {
        const count = number('half.clamps', 5);
        const ears = halfRoundEars(number('half.radius', limited(start.halfRadiusMm, 50, 3000)), count);
        const blocks = ears.filter((e) => e.needsBlock);
        const cut = `${blocks.length} blocks cut to ${blocks.map((e) => `${Math.round(e.angleDeg)}°`).join(', ')}`;
        return {
          by,
          clamps: { [barKind]: count },
          also: [...(blocks.length > 0 ? [cut] : []), 'Sandpaper under the jaws'],
        };
      }
      case 'round': {
        const radiusMm = number('round.radius', limited(start.radiusMm, 50, 3000));
        const band = clampOf('band', shop);
        const owned = shop.clamps.find((c) => c.id === 'band')?.count ?? 0;
        if (owned > 0 && bandPullN(targetKPa, radiusMm, start.boardMm) <= band.forceN.value)
          return { by, clamps: { band: 1 }, also: ['A strip of hardboard under the band'] };
        const pairs = number('round.pairs', 4);
        const { hollowMm } = roundBlocks(radiusMm, pairs, number('round.block', 80));
        const blocks = `${2 * pairs} blocks, hollowed by ${hollowMm.toFixed(1)} mm`;
        return { by, clamps: { [barKind]: pairs }, also: [blocks] };
      }
      case 'cup': {
        const { bars } = flattenCup({
          lengthMm: number('cup.length', start.longMm),
          widthMm: number('cup.width', start.wideMm),
          thicknessMm: number('cup.thickness', start.boardMm),
          cupMm: number('cup.gap', 3),
          acrossMPa: start.bed.acrossMPa,
        });
        return {
          by,
          clamps: { [barKind]: 2 * bars },
          also: [`${bars} bars across, ${mm(start.wideMm)} long`],
        };
      }
      case 'case': {
        const platenMm = number('case.platen', chosen.platenMm ?? shop.platenMm);
        const { propMm, sectionMm } = caseProps({
          insideMm: number('case.inside', 500),
          platenMm,
          forceN: clampOf('fStyle', shop).forceN.value,
        });
        const props = press?.layout.clamps.length ?? 1;
        return {
          by,
          clamps: { [press?.clamp.id ?? 'fStyle']: props },
          also: [
            `${props} props of ${mm(propMm)}, ${mm(sectionMm)} square, with two wedges each`,
            'A board against the opposite side',
          ],
        };
      }
      case 'hammer': {
        const hide = hammerGlue(adhesive.id, shop);
        const { sections, minutesPerSection, waterMl } = hammerPlan({
          alongMm: number('hammer.along', start.alongMm),
          acrossMm: number('hammer.across', start.acrossMm),
          hammerMm: number('hammer.edge', 90),
          gelMin: glueTimes(hide, shop.temperatureC).openMin,
        });
        const water = `Sponge and ${Math.max(1, Math.round(waterMl))} ml of warm water`;
        return {
          by,
          clamps: {},
          also: ['Veneer hammer', water, 'Iron and damp cloth'],
          handMin: sections * minutesPerSection,
        };
      }
    }
  });
}

/** How it is held, in words for the bench and the record. */
export const heldWords = ({ by, clamps, also }: Held): string => {
  const kinds = Object.entries(clamps).map(([kind, count]) => `${count} × ${clampById(kind).label}`);
  return `Held as: ${HELD_BY[by].toLowerCase()}. ${[...kinds, ...also].join('; ')}.`;
};

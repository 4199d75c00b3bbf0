import { reachPlan, takeApart, type ReachPlan, type TakenApart } from '../apart';
import { attempt, type Result } from '../check';
import { boundingBox } from '../geometry';
import { boardThickMm } from './glued';
import type { LinkPlan } from './links';
import { BLOCK_MM, ownedClamps } from './press';
import type { Repair } from './repairs';
import type { KnownShop, Part, Piece } from './types';

/** Parts of a piece in the order in which they come off, how, and where to stop. */
export function partsPlan(
  piece: Piece,
): { ok: true; steps: TakenApart<Part>[]; minutes: number } | { ok: false; problem: string } {
  return takeApart(piece.parts ?? []);
}

/**
 * What has to come off so that a clamp reaches this repair: as it stands, with a part off, apart; nothing for a repair that is not
 * pressed, or has no size yet.
 */
export function reachOf(
  { survey, damage, face }: Pick<Repair, 'survey' | 'damage' | 'face'>,
  links: readonly LinkPlan[],
  piece: Piece,
  shop: KnownShop,
): Result<ReachPlan> | undefined {
  const press = links.find((l) => l.press)?.press;
  if (!survey.ok || !press) return undefined;
  const { outline, board } = survey.value;
  const place = boundingBox(outline);
  const whole = boundingBox(board.plane.outline);
  const parts = partsPlan(piece);
  const steps = parts.ok ? parts.steps : [];
  const own = face?.body.part?.toLowerCase();
  const part = steps.find((s) => s.part.label.toLowerCase() === own) ?? steps[0];
  const platenMm = damage.body.glue.platenMm ?? shop.platenMm;
  const caulMm = damage.body.glue.caulHeightMm ?? shop.caulHeightMm;
  return attempt(() =>
    reachPlan({
      toEdgesMm: [
        place.right - whole.left,
        whole.right - place.left,
        place.bottom - whole.top,
        whole.bottom - place.top,
      ],
      back: face?.body.back ?? 'open',
      stackMm: boardThickMm(face?.body) + platenMm + caulMm + BLOCK_MM.value,
      areaMm2: survey.value.measures.areaMm2,
      targetKPa: press.targetKPa,
      clamps: ownedClamps(shop).map(({ kind, count }) => ({
        id: kind.id,
        label: kind.label,
        acts: kind.acts,
        count,
        reachMm: kind.reachMm.value,
        openingMm: kind.openingMm.value,
        forceN: kind.forceN.value,
      })),
      costMin: { partOff: part?.minutes ?? 0, apart: parts.ok ? parts.minutes : 0 },
      stops: steps.some((s) => s.stop),
    }),
  );
}

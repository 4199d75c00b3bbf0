import type { FaceWork, PieceWork, RepairWork } from '../bench';
import { methodById, type MethodId } from '../catalogue';
import type { BlendPlan } from '../colour';
import { thicknessPlan } from '../veneer';
import { waysOf } from './decide';
import type { LinkPlan } from './links';
import { sandingOf } from './press';
import type { Repair } from './repairs';
import { surfaceRisk } from './risk';
import { damageLabel } from './survey';
import type { Face, Named, Piece, KnownShop, Veneer } from './types';

/** A repair with its worksheets: what the bench needs of it. */
export type WorkedRepair = { repair: Repair; links: LinkPlan[]; blend?: BlendPlan };

const REFRESHES: MethodId[] = ['reviveFinish', 'reoil'];

/** All of a piece's work as the bench planner takes it, from what is decided and worked out. */
export function workOf(
  piece: Named<Piece>,
  faces: readonly Named<Face>[],
  worked: readonly WorkedRepair[],
  stock: readonly Named<Veneer>[],
): PieceWork {
  const { holds } = piece.body;
  const repairs = worked.flatMap(({ repair, links, blend }): (RepairWork & { faceId?: string })[] => {
    const { damage, face, chain } = repair;
    if (!chain || links.length === 0) return [];
    const veneer = stock.find((v) => v.id === damage.body.patch.veneerId)?.body;
    const patched = links.some((l) => methodById(l.method).family === 'patch');
    return [
      {
        damageId: damage.id,
        ...(damage.body.faceId ? { faceId: damage.body.faceId } : {}),
        label: damageLabel(damage.body),
        kind: damage.body.kind,
        method: chain.method,
        chain: links,
        shimSheets:
          patched && face && veneer && face.body.veneerMm > 0
            ? thicknessPlan(face.body.veneerMm, veneer.thicknessMm).sheets
            : 0,
        ...(blend ? { blend } : {}),
        surface: surfaceRisk(piece.body, face?.body),
      },
    ];
  });
  const own = faces.filter((f) => f.body.pieceId === piece.id);
  const face = own[0]?.body;
  const sanding = face ? sandingOf(piece.body, face) : undefined;
  return {
    pieceId: piece.id,
    goal: piece.body.goal,
    faces: own.map((f): FaceWork => {
      const { name, build, veneerMm, species, finishNow, goal = piece.body.goal } = f.body;
      const refreshed = repairs.some((r) => r.faceId === f.id && REFRESHES.includes(r.method));
      return { name, build, veneerMm, species, finishNow, goal, refreshed: refreshed && goal === finishNow };
    }),
    ...(holds ? { holds } : {}),
    ways: waysOf(piece.body),
    repairs,
    ...(sanding?.ok ? { sanding: sanding.value } : {}),
  };
}

/** Hands and clamps, as the scheduler counts them. */
export const resourcesOf = (shop: KnownShop): Record<string, number> => ({
  hands: shop.hands,
  ...Object.fromEntries(shop.clamps.map((c) => [c.id, c.count])),
});

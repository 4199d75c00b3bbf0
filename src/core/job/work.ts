import { UNMEASURED, type DoneStep, type FaceWork, type PieceWork, type RepairWork } from '../bench';
import { methodById, type MethodId } from '../catalogue';
import type { BlendPlan } from '../colour';
import { perimeterOf } from '../geometry';
import { preparationOf } from '../prepare';
import { faceAreaMm2 } from './condition';
import { partsPlan } from './apart';
import { treatedAs, waysOf } from './decide';
import type { ColourStage } from './colourStage';
import type { LinkPlan } from './links';
import { sandingOf } from './press';
import type { Repair } from './repairs';
import { surfaceRisk } from './risk';
import { shimsOf, shimWords } from './shims';
import { boardOf, damageLabel } from './survey';
import type { Face, Named, Piece, KnownShop, Veneer } from './types';

/** A repair with its worksheets: what the bench needs of it. */
export type WorkedRepair = { repair: Repair; links: LinkPlan[]; colour?: ColourStage; blend?: BlendPlan };

const REFRESHES: MethodId[] = ['reviveFinish', 'reoil'];

/** All of a piece's work as the bench planner takes it, from what is decided and worked out. */
export function workOf(
  piece: Named<Piece>,
  faces: readonly Named<Face>[],
  worked: readonly WorkedRepair[],
  stock: readonly Named<Veneer>[],
  done: readonly DoneStep[] = [],
): PieceWork {
  const { holds, apart = [], ownSteps, stepChanges } = piece.body;
  const own = faces.filter((f) => f.body.pieceId === piece.id);
  const partOf = (faceId: string | undefined): { part?: string } => {
    const part = own.find((f) => f.id === faceId)?.body.part;
    return part !== undefined && apart.includes(part) ? { part } : {};
  };
  const repairs = worked.flatMap(({ repair, links, colour, blend }): RepairWork[] => {
    const { damage, face, chain } = repair;
    if (!chain || links.length === 0) return [];
    const veneer = stock.find((v) => v.id === damage.body.patch.veneerId)?.body;
    const patched = links.some((l) => methodById(l.method).family === 'patch');
    const shim = patched && veneer ? shimsOf(repair, veneer) : undefined;
    const shims = shim && shimWords(shim);
    return [
      {
        damageId: damage.id,
        number: damage.body.number,
        ...(damage.body.faceId ? { faceId: damage.body.faceId } : {}),
        label: damageLabel(damage.body),
        kind: damage.body.kind,
        method: chain.method,
        ...(damage.body.alone ? { alone: true as const } : {}),
        ...(damage.body.method === undefined ? { proposed: true as const } : {}),
        chain: links,
        ...(shims ? { shimWords: shims } : {}),
        ...(blend ? { blend } : {}),
        ...(colour && colour.coats.length > 0 ? { coats: colour.coats } : {}),
        surface: surfaceRisk(piece.body, face?.body),
        ...partOf(damage.body.faceId),
        ...(damage.body.grew ? { round: damage.body.grew.length } : {}),
      },
    ];
  });
  const off = partsPlan(piece.body);
  const parts = off.ok ? off.steps.filter((s) => !s.stop) : [];
  const jointed = parts.some((s) => (s.part.joint ?? 'lies') !== 'lies');
  return {
    pieceId: piece.id,
    goal: piece.body.goal,
    faces: own.map((f): FaceWork => {
      const refreshed = repairs.some((r) => r.faceId === f.id && REFRESHES.includes(r.method));
      return { ...faceWork(piece, f, refreshed), ...partOf(f.id) };
    }),
    ...(holds ? { holds } : {}),
    ...(off.ok && jointed ? { apart: { parts: parts.map((s) => s.part.label), minutes: off.minutes } } : {}),
    ways: waysOf(piece.body),
    repairs,
    ...(ownSteps ? { ownSteps } : {}),
    ...(stepChanges ? { changes: stepChanges } : {}),
    done,
  };
}

/** A face with its size, its preparation and its sanding. */
function faceWork(piece: Named<Piece>, face: Named<Face>, hasRefreshing: boolean): FaceWork {
  const { name, build, veneerMm, species, finishNow, finishState, prepare, profile = 'flat', alike = 1 } = face.body; // prettier-ignore
  const treated = treatedAs(piece.body, face.body);
  const { goal, school } = treated;
  const preparation = preparationOf({
    finishNow,
    ...(finishState ? { state: finishState } : {}),
    goal,
    school,
    build,
    veneerMm,
    profile,
    refreshed: hasRefreshing && goal === finishNow,
    thinVeneer: waysOf(treated).thinVeneer,
    ...(prepare ? { own: prepare } : {}),
  });
  const board = boardOf(face.body);
  const areaM2 = faceAreaMm2(face) / 1e6;
  const sanding = sandingOf(treated, face.body);
  return {
    id: face.id,
    name: alike > 1 ? `${name} (${alike})` : name,
    build,
    species,
    finishNow,
    goal,
    school,
    profile,
    areaM2: alike * (areaM2 > 0 ? areaM2 : UNMEASURED.areaM2.value),
    edgeM:
      alike *
      (board.ok && areaM2 > 0 ? perimeterOf(board.value.plane.outline) / 1000 : UNMEASURED.edgeM.value),
    ...(areaM2 > 0 ? {} : { unmeasured: true as const }),
    preparation,
    ...(sanding?.ok ? { sanding: sanding.value } : {}),
  };
}

/** Hands and clamps, as the scheduler counts them. */
export const resourcesOf = (shop: KnownShop): Record<string, number> => ({
  hands: shop.hands,
  ...Object.fromEntries(shop.clamps.map((c) => [c.id, c.count])),
});

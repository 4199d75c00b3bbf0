import { glueTimes, heldTimes, TIMES_AT_C } from '../adhesive';
import type { FaceWork, LinkWork, PieceWork, RepairWork } from '../bench';
import { methodById, PRESSED_FAMILIES, type MethodId } from '../catalogue';
import type { Result } from '../check';
import type { BlendPlan } from '../colour';
import type { RiskySurface } from '../safety';
import { thicknessPlan } from '../veneer';
import { chainFor, linksOfChain, treatedAs, waysOf } from './decide';
import { gluing, ownedClamps, pressPlan, sandingOf, type PressPlan } from './press';
import { damageLabel, surveyed, type Surveyed } from './survey';
import type { Damage, Face, Named, Piece, Shop, Veneer } from './types';

/** Along a split or an edge joint one clamp a hand's breadth, as for pressing veneer: three on 300 mm (common practice). mm. */
const CLAMP_SPACING_MM = 100;

/** Clamps across a split, a joint or a let-in piece: of the kind that the shop has most of. */
function acrossClamps(survey: Surveyed | undefined, shop: Shop): Record<string, number> | undefined {
  const [most] = ownedClamps(shop).sort((a, b) => b.count - a.count);
  if (!most) return undefined;
  const wanted = Math.ceil((survey?.lengthMm ?? CLAMP_SPACING_MM) / CLAMP_SPACING_MM);
  return { [most.kind.id]: Math.min(most.count, Math.max(1, wanted)) };
}

/** The clamps of a layout by kind; of none more than are owned, which the press page says in red. */
function clampsOf({ placed, layout, clamp, byRule }: PressPlan, shop: Shop): Record<string, number> {
  const kinds = byRule ? layout.clamps.map(() => clamp.id) : placed.clamps.map((c) => c.clamp);
  const counts: Record<string, number> = {};
  for (const id of kinds) {
    const owned = shop.clamps.find((c) => c.id === id)?.count ?? 0;
    if ((counts[id] ?? 0) < owned) counts[id] = (counts[id] ?? 0) + 1;
  }
  return counts;
}

/** One link of a chain with its glue and clamps. Glue that cannot set at this temperature is given its times at 20 °C. */
function linkWork(
  method: MethodId,
  main: boolean,
  { piece, damage, survey, shop }: { piece: Piece; damage: Damage; survey: Result<Surveyed>; shop: Shop },
): LinkWork {
  const { family, steps } = methodById(method);
  const pressed = PRESSED_FAMILIES.includes(family) && steps.some((s) => s.glued);
  // Every link of a chain has its own glue and clamps.
  const own: Damage = main ? damage : { ...damage, glue: damage.linkGlue?.[method] ?? {} };
  const plan = survey.ok && pressed ? pressPlan(piece, method, own, survey.value, shop) : undefined;
  const press = plan?.ok ? plan.value : undefined;
  const areaMm2 = press?.areaMm2 ?? damage.roughAreaMm2 ?? 2000;
  if (!steps.some((s) => s.glued)) return { method, areaMm2 };
  const { adhesive, times: here } = gluing(piece, method, own.glue.adhesive, shop);
  const times = here.ok
    ? here.value
    : heldTimes(glueTimes(adhesive, TIMES_AT_C.value), waysOf(piece).clampTime);
  const clamps =
    method === 'tack'
      ? undefined
      : !pressed
        ? acrossClamps(survey.ok ? survey.value : undefined, shop)
        : press && press.owned > 0
          ? clampsOf(press, shop)
          : undefined;
  return {
    method,
    areaMm2,
    glue: {
      id: adhesive.id,
      label: adhesive.label,
      clampMin: times.clampMin,
      workableMin: times.workableMin,
      ...(here.ok
        ? {}
        : { caution: `${here.problem} The plan reckons with its times at ${TIMES_AT_C.value} °C.` }),
    },
    ...(clamps ? { clamps } : {}),
    ...(press ? { layingMin: press.layingMin } : {}),
  };
}

const REFRESHES: MethodId[] = ['reviveFinish', 'reoil'];

/** All of a piece's work as the bench planner takes it. */
export function workOf(
  piece: Named<Piece>,
  faces: readonly Named<Face>[],
  damages: readonly Named<Damage>[],
  veneers: readonly Named<Veneer>[],
  shop: Shop,
  blends: ReadonlyMap<string, BlendPlan>,
): PieceWork {
  const mine = damages.filter((d) => d.body.pieceId === piece.id);
  const { holds } = piece.body;
  const repairs = mine.flatMap((d): (RepairWork & { faceId?: string })[] => {
    const face = faces.find((f) => f.id === d.body.faceId)?.body;
    const onFace = mine.filter((o) => o.body.faceId === d.body.faceId).map((o) => o.body);
    const chain = chainFor(piece.body, face, d.body, onFace, shop);
    if (!chain || chain.method === 'leave') return [];
    const survey = surveyed(d.body, face);
    const veneer = veneers.find((v) => v.id === d.body.patch.veneerId)?.body;
    const patched = linksOfChain(chain).some((m) => methodById(m).family === 'patch');
    const blend = blends.get(d.id);
    const treated = treatedAs(piece.body, face);
    return [
      {
        damageId: d.id,
        ...(d.body.faceId ? { faceId: d.body.faceId } : {}),
        label: damageLabel(d.body),
        kind: d.body.kind,
        method: chain.method,
        chain: linksOfChain(chain).map((m) =>
          linkWork(m, m === chain.method, { piece: treated, damage: d.body, survey, shop }),
        ),
        shimSheets:
          patched && face && veneer && face.veneerMm > 0
            ? thicknessPlan(face.veneerMm, veneer.thicknessMm).sheets
            : 0,
        ...(blend ? { blend } : {}),
        surface: surfaceRisk(piece.body, face),
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

/** What the cautions of a step ask of the surface it is done on. */
export const surfaceRisk = (piece: Piece, face: Face | undefined): RiskySurface => ({
  ...(face ? { finishNow: face.finishNow, species: face.species } : {}),
  ...(piece.holds ? { holds: piece.holds } : {}),
});

/** Hands and clamps, as the scheduler counts them. */
export const resourcesOf = (shop: Shop): Record<string, number> => ({
  hands: shop.hands,
  ...Object.fromEntries(shop.clamps.map((c) => [c.id, c.count])),
});

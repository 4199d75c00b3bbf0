import type { MethodId } from '../catalogue';
import type { DamageKind } from '../damage';
import { CRACK_KINDS } from '../damage';
import { THIN_VENEER_MM } from '../sanding';
import type { Build, FinishGoal } from '../terms';
import { WAY_IDS, type WayId } from './ways';

type Work = {
  goal: FinishGoal;
  faces: readonly { build: Build; veneerMm: number }[];
  repairs: readonly { kind: DamageKind; methods: readonly MethodId[] }[];
};

const FACE_LAID: readonly MethodId[] = ['reveneer', 'liftAndRelay'];
const PATCHED: readonly MethodId[] = ['veneerPatch', 'harvestedPatch', 'edgeStrip', 'sawnStrip', 'dutchman'];
const STICKS: readonly MethodId[] = ['burnIn', 'hardWax'];

/** The questions whose answer changes something in this piece's plan. */
export function waysThatMatter({ goal, faces, repairs }: Work): WayId[] {
  const methods = repairs.flatMap((r) => r.methods);
  const does = (ids: readonly MethodId[]): boolean => methods.some((m) => ids.includes(m));
  const kinds = repairs.map((r) => r.kind);
  const veneers = faces.filter((f) => f.build !== 'solid');
  const stripped = goal !== 'keep';
  const glued = repairs.length > 0;
  const matters: Record<WayId, boolean> = {
    acid: does(['oxalicAcid']),
    thinVeneer: stripped && veneers.some((f) => f.veneerMm < THIN_VENEER_MM.value),
    patchOrder: stripped && does(PATCHED),
    crackOrder: stripped && kinds.some((k) => CRACK_KINDS.includes(k)),
    sandingDirection: stripped,
    clampTime: glued,
    splitGlue: does(['glueSplit', 'screwSplit']),
    glueAndForce: glued,
    stickOrder: does(STICKS),
    underPaint: goal === 'paint' && kinds.includes('brokenChunk'),
    veneerOrder: does(FACE_LAID),
    coarsest: stripped && veneers.some((f) => f.veneerMm >= THIN_VENEER_MM.value),
  };
  return WAY_IDS.filter((id) => matters[id]);
}

import { methodById, type Method, type MethodId, type Row } from '../catalogue';
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

const STICKS: readonly Row['fills'][] = ['burnIn', 'hardWax'];

/** The questions whose answer changes something in this piece's plan. */
export function waysThatMatter({ goal, faces, repairs }: Work): WayId[] {
  const methods = repairs.flatMap((r) => r.methods).map(methodById);
  const does = (is: (m: Method) => boolean): boolean => methods.some(is);
  const kinds = repairs.map((r) => r.kind);
  const veneers = faces.filter((f) => f.build !== 'solid');
  const stripped = goal !== 'keep';
  const glued = repairs.length > 0;
  const matters: Record<WayId, boolean> = {
    acid: does((m) => m.id === 'oxalicAcid'),
    thinVeneer: stripped && veneers.some((f) => f.veneerMm < THIN_VENEER_MM.value),
    patchOrder: stripped && does((m) => m.steps.some((s) => s.phase === 'patch')),
    crackOrder: stripped && kinds.some((k) => CRACK_KINDS.includes(k)),
    sandingDirection: stripped,
    clampTime: glued,
    splitGlue: does((m) => m.glue === 'split'),
    glueAndForce: glued,
    stickOrder: does((m) => STICKS.includes(m.fills)),
    underPaint: goal === 'paint' && kinds.includes('brokenChunk'),
    veneerOrder: does((m) => m.extent === 'face'),
    coarsest: stripped && veneers.some((f) => f.veneerMm >= THIN_VENEER_MM.value),
  };
  return WAY_IDS.filter((id) => matters[id]);
}

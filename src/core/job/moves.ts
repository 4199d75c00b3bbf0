import { MOVES } from '../bench';
import { dayText } from '../front';
import { upperFirst } from '../terms';
import { formatMinutes } from '../units';
import { WAYS, type WayChoices } from '../ways';
import { waysOf } from './decide';
import type { Face, Named, Piece } from './types';

/** A change of the order that the trade makes, as words and as a change of the piece. */
export type Move = { id: string; label: string; why: string; otherwise: Partial<Piece> };

/** Of a piece as it stands or as it would: the day of its last step, its steps, and hands at them. */
export type Reached = { ready: string; steps: number; handsMin: number };

export type Moves = { now?: Reached; moves: (Move & Reached)[] };

/** Moves that could be made from where the piece stands: a phase to its other place, a part finished apart or with the frame. */
export function possibleMoves(piece: Piece, faces: readonly Named<Face>[]): Move[] {
  const { ways, apart = [] } = piece;
  const taken = waysOf(piece);
  const phases = MOVES.map(({ way, before, after }): Move => {
    const value = taken[way] === before ? after : before;
    const { question, ways: both } = WAYS[way];
    const other: { label: string; why: string } | undefined = Object.entries(both).find(
      ([v]) => v === value,
    )?.[1];
    return {
      id: way,
      label: `${question} ${other?.label ?? value}`,
      why: other?.why ?? '',
      otherwise: { ways: { ...ways, [way]: value } satisfies WayChoices },
    };
  });
  const parts = [...new Set(faces.flatMap((f) => f.body.part ?? []))];
  return [
    ...phases,
    ...parts.map((part): Move => {
      const is = apart.includes(part);
      return {
        id: `apart.${part}`,
        label: is ? `${part}: finished with the frame` : `${part}: finished apart from the frame`,
        why: is
          ? 'One pass for all, and one mixing of each coat.'
          : 'No waiting for the frame; it lies flat, and is reached from all sides.',
        otherwise: { apart: is ? apart.filter((p) => p !== part) : [...apart, part] },
      };
    }),
  ];
}

/** What another order would change, in a sentence. */
export function reachedWords(then: Reached, now: Reached | undefined): string {
  if (!now) return `Ready on ${dayText(then.ready)}.`;
  const steps = then.steps - now.steps;
  const minutes = then.handsMin - now.handsMin;
  const parts = [
    then.ready === now.ready ? 'ready on the same day' : `ready on ${dayText(then.ready)} instead of ${dayText(now.ready)}`,
    steps === 0 ? 'as many steps' : `${Math.abs(steps)} ${steps > 0 ? 'more' : 'fewer'} ${Math.abs(steps) === 1 ? 'step' : 'steps'}`,
    ...(minutes === 0 ? [] : [`${formatMinutes(Math.abs(minutes))} ${minutes > 0 ? 'more' : 'less'} at it`]),
  ]; // prettier-ignore
  return `${upperFirst(parts.join(', '))}.`;
}

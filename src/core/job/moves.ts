import { MOVES } from '../bench';
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
        label: is ? `${part}: finish it with the frame` : `${part}: finish it apart from the frame`,
        why: is
          ? 'One pass for all, and one mixing of each coat.'
          : 'It need not wait for the frame, lies flat, and is reached from all sides.',
        otherwise: { apart: is ? apart.filter((p) => p !== part) : [...apart, part] },
      };
    }),
  ];
}

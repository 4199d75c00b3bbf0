import { assertRange } from '../check';
import { memory, practice, sourced, type Source } from '../sources';
import { woodMovement, type Air, type Cut } from './movement';

export type CrackInput = {
  species: string;
  cut: Cut;
  /** Width of the board or panel across the grain that opens into this crack, mm. */
  boardMm: number;
  /** The gap as it is now, mm, 0…60. */
  gapMm: number;
  now: Air;
  /** Where the piece lives: its driest and its dampest month. */
  dry: Air;
  damp: Air;
  closesByHand?: boolean;
  /** For a wood that is not in the table. */
  specificGravity?: number;
};

export type CrackAdvice = 'close' | 'fill' | 'flexible' | 'sliver' | 'leave';

export const CRACK_ADVICE: Record<CrackAdvice, string> = {
  close: 'Glue and close it',
  fill: 'Fill it',
  flexible: 'Fill it with something that gives',
  sliver: 'Let in a sliver',
  leave: 'Leave it open',
};

export type CrackPlan = {
  gapDryMm: number;
  /** Below zero the boards would press on each other by so much. */
  gapDampMm: number;
  /** How far it opens and closes over the year. */
  movesMm: number;
  nowMoisture: number;
  dryMoisture: number;
  dampMoisture: number;
  advice: CrackAdvice;
  why: string;
};

export const CRACK_SOURCE: Source = practice(
  'the board is held at its far edges, so that all of its shrinking opens the crack; a frame that lets it float opens it less',
);

/** What a fill bears, and what a sliver needs. */
export const CRACK_LIMITS = {
  /** Taken as still: it opens and closes by no more. mm. */
  stillMm: sourced(0.3, memory('a crack that opens and closes by less is taken as still')),
  /** Share of a crack's own gap by which it may open and close before a stiff fill gives way. */
  stiffStrain: sourced(
    0.3,
    memory('fillers, sticks and dust in glue bear a third of their own width at the very most'),
  ),
  softStrain: sourced(
    1,
    practice('a crack that moves as much as its gap closes on anything that lies in it'),
  ),
  /** A sliver cannot be let into a thinner gap. mm. */
  hairlineMm: sourced(0.6, memory('a sliver cannot be let into a gap thinner than a thick card')),
} as const;

/**
 * What a crack or an open joint does over the year, and what may therefore be done to it.
 *
 * @throws RangeError for a wood that is not in the table, and for sizes and climates out of range
 */
export function crackPlan({ boardMm, gapMm, now, dry, damp, closesByHand, ...wood }: CrackInput): CrackPlan {
  assertRange('The gap', gapMm, 'mm', 0, 60);
  const toDry = woodMovement({ ...wood, widthMm: boardMm, from: now, to: dry });
  const toDamp = woodMovement({ ...wood, widthMm: boardMm, from: now, to: damp });
  if (toDry.toMoisture > toDamp.toMoisture) {
    throw new RangeError(
      'The driest month is damper than the dampest. Change the two round, or check their temperatures.',
    );
  }
  const gapDryMm = gapMm - toDry.changeMm;
  const gapDampMm = gapMm - toDamp.changeMm;
  const movesMm = gapDryMm - gapDampMm;
  // A hairline that moves by half of itself is not still, however little that is.
  const still = movesMm <= CRACK_LIMITS.stillMm.value && movesMm <= CRACK_LIMITS.stiffStrain.value * gapMm;
  const hairline = gapMm < CRACK_LIMITS.hairlineMm.value;
  const [advice, why] = ((): [CrackAdvice, string] => {
    if (closesByHand && still)
      return ['close', 'It closes by hand and hardly moves, so glue holds it together.'];
    if (closesByHand)
      return [
        'close',
        'It closes by hand. Glue it near its dampest state if you can; in the dry months it is under tension, so take a glue that does not creep.',
      ];
    if (still && hairline) return ['fill', 'It hardly moves and is a hairline; a fill stays in.'];
    if (still)
      return ['sliver', 'It hardly moves and is wide enough for a sliver, which is glued on both sides.'];
    if (gapDampMm <= 0)
      return hairline
        ? [
            'leave',
            'In the damp months it closes by itself. A stiff fill would be crushed and would split the board elsewhere.',
          ]
        : [
            'flexible',
            'In the damp months it closes on anything that is in it. Only wax or another soft fill gives way.',
          ];
    return gapDampMm < CRACK_LIMITS.hairlineMm.value
      ? ['flexible', 'It moves, and at its narrowest it is a hairline; a stiff fill would break out.']
      : [
          'sliver',
          'It never closes. A sliver as wide as the gap in the damp months, glued on one side only, lets the board move.',
        ];
  })();
  return {
    gapDryMm,
    gapDampMm,
    movesMm,
    nowMoisture: toDry.fromMoisture,
    dryMoisture: toDry.toMoisture,
    dampMoisture: toDamp.toMoisture,
    advice,
    why,
  };
}

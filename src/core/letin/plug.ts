import Joi from 'joi';
import { assertRange } from '../check';
import { memory, practice, sourced, type Source } from '../sources';

export type PlugInput = {
  /** The hole as it is, at its widest. */
  holeMm: number;
  depthMm: number;
  boardMm: number;
  /** A clear finish will show it. */
  clear: boolean;
  /** It carries a screw or a load. */
  load: boolean;
  /** Bits and plug cutters that are owned, by their nominal size. */
  bitsMm: readonly number[];
  cuttersMm: readonly number[];
  /** From its rim to the next hole, or to the edge of the board; none when there is nothing near. */
  nextMm?: number;
  /** How far its rim has broken out. */
  brokenMm?: number;
};

export type PlugPlan = {
  kind: 'plug' | 'dowel' | 'dutchman';
  why: string;
  bitMm?: number;
  cutterMm?: number;
  /** Cutter less bit: more than nothing is pressed, less is play. mm. */
  fitMm?: number;
  boreMm?: number;
  /** Grain across the plug's own axis, so that it takes the finish as the board does. */
  lengthMm?: number;
  proudMm?: number;
  /** What has to be got, where nothing that is owned does. */
  missing?: string;
};

/** The bit cleans out so much all round. mm. */
const CLEANED_MM = sourced(0.25, memory('the rim of an old hole is bruised by some tenths of a millimetre'));
/** How far cutter and bit may differ. mm. */
const FIT_MM = {
  play: sourced(0.1, memory('glue bridges a tenth')),
  press: sourced(0.15, memory('more splits the rim')),
};
/** Wood that has to stay between two holes, or to an edge. mm. */
const BETWEEN_MM = sourced(3, memory('thinner walls break out when the plug is tapped home'));
const FLOOR_MM = sourced(2, memory('a floor under a blind hole'));
const LEAST_BORE_MM = sourced(6, memory('a shallower plug tips when it is planed'));
const PROUD_MM = sourced(2, practice('a plug is left proud and planed off'));
const FILM_MM = sourced(0.1, memory('a film of wood glue under it'));

export const PLUG_SOURCE: Source = practice(
  'a plug with face grain takes the finish as the board does; a dowel shows end grain, drinks and goes dark',
);

/** Input of `letin.plug`: `{holeMm, depthMm, boardMm, clear, load, bitsMm: […], cuttersMm: […], nextMm?, brokenMm?}`. */
export const plugSchema = Joi.object({
  holeMm: Joi.number().min(0.5).max(120).required(),
  depthMm: Joi.number().min(0.5).max(200).required(),
  boardMm: Joi.number().min(1).max(200).required(),
  clear: Joi.boolean().required(),
  load: Joi.boolean().required(),
  bitsMm: Joi.array().items(Joi.number().min(1).max(120)).max(200).required(),
  cuttersMm: Joi.array().items(Joi.number().min(3).max(120)).max(200).required(),
  nextMm: Joi.number().min(0).max(5000),
  brokenMm: Joi.number().min(0).max(200),
});

/**
 * Registry `letin.plug`: bit, cutter, depth and length for a plug in a round hole; or why it is a dowel, or grows to a block let in.
 *
 * @throws RangeError for a hole deeper than the board is thick, and sizes out of range
 */
export function plugPlan(input: PlugInput): PlugPlan {
  const { holeMm, depthMm, boardMm, clear, load, bitsMm, cuttersMm, nextMm, brokenMm = 0 } = input;
  assertRange('The hole', holeMm, 'mm', 0.5, 120);
  if (depthMm > boardMm)
    throw new RangeError(`The hole is ${depthMm} mm deep and the board only ${boardMm} mm thick. Measure its depth again; a hole that goes through is as deep as the board.`); // prettier-ignore
  const needed = holeMm + 2 * CLEANED_MM.value + 2 * brokenMm;
  const grows = (needed - holeMm) / 2;
  if (nextMm !== undefined && nextMm - grows < BETWEEN_MM.value)
    return {
      kind: 'dutchman',
      why: `Bored clean to ${needed.toFixed(1)} mm it leaves ${Math.max(0, nextMm - grows).toFixed(1)} mm to its neighbour or the edge, and that breaks out. Let in one block over both.`,
    };
  const fits = bitsMm
    .filter((b) => b >= needed)
    .flatMap((bit) => cuttersMm.map((cutter) => ({ bit, cutter, fit: cutter - bit })))
    .filter(({ fit }) => fit >= -FIT_MM.play.value && fit <= FIT_MM.press.value)
    .sort((a, b) => a.bit - b.bit || Math.abs(a.fit) - Math.abs(b.fit));
  const [best] = fits;
  const through = depthMm >= boardMm - FLOOR_MM.value;
  const boreMm = through
    ? boardMm
    : Math.min(boardMm - FLOOR_MM.value, Math.max(depthMm, LEAST_BORE_MM.value));
  const sized = best
    ? {
        bitMm: best.bit,
        cutterMm: best.cutter,
        fitMm: best.fit,
        boreMm,
        lengthMm: boreMm + PROUD_MM.value - FILM_MM.value,
        proudMm: PROUD_MM.value,
      }
    : {
        missing: `A bit of ${needed.toFixed(1)} mm or a little more, and the plug cutter of that size.`,
      };
  if (load && !clear)
    return { kind: 'dowel', why: 'It carries load and is not seen under a clear finish: the grain of a dowel runs with the screw and holds it.', ...sized }; // prettier-ignore
  const seen = clear
    ? 'Its face grain takes the finish as the board does; a dowel would show end grain, drink it and go dark.'
    : 'Nothing loads it; a plug is planed flush and moves with the board.';
  return {
    kind: 'plug',
    why: load ? `${seen} For the screw, bore the pilot hole into the plug once it has set.` : seen,
    ...sized,
  };
}

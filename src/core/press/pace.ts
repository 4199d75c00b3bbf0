import { figureOf, LAYING as LEARNED_LAYING, type Figure, type Learned } from '../figures';
import { LAYING, type Pace } from './layout';

/**
 * How quickly glue is spread and clamps are set here: the book's pace, the owner's own, or what the clock has shown. What is
 * learned of laying as a whole goes for both its parts alike.
 */
export function paceOf({
  pace,
  learned = {},
}: {
  pace?: Pace;
  learned?: Learned;
}): Record<keyof Pace, Figure> {
  const shares = learned[LEARNED_LAYING] ?? [];
  const by = 'your own pace, entered in the shop';
  const { spreadMinPer100Cm2, minPerClamp } = LAYING;
  return {
    spreadMinPer100Cm2: figureOf(spreadMinPer100Cm2, {
      own: { value: pace?.spreadMinPer100Cm2, by },
      shares,
    }),
    secondsPerClamp: figureOf(
      { ...minPerClamp, value: 60 * minPerClamp.value },
      { own: { value: pace?.secondsPerClamp, by }, shares },
    ),
  };
}

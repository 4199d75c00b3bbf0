import { assertRange } from '../check';
import { LEAST_LEFT_MM } from '../sanding';
import { practice, sourced, type Source } from '../sources';

export type DentWay = 'raise' | 'sand' | 'fill';

export const DENT_WAYS: Record<DentWay, string> = {
  raise: 'Raise it with steam',
  sand: 'Sand the face down to it',
  fill: 'Fill it',
};

/** What may be taken off solid wood for a dent before it is a hollow of its own. mm. */
const SANDED_MM = sourced(0.4, practice('more than some tenths off one place is felt as a hollow'));
/** Of veneer so much may go for one dent, as a share of what is there above the least. */
const VENEER_SHARE = sourced(
  0.4,
  practice('less than half of what the veneer can lose, for it is sanded again one day'),
);

export const DENT_SOURCE: Source = practice(
  'crushed fibres swell back with steam on bare wood; cut fibres do not; what is shallow is sanded, the rest filled',
);

/**
 * A dent or a scratch: raised, sanded out or filled, with what stands against the other two.
 *
 * @param depthMm 0…20 mm
 * @param veneerMm 0 for solid wood
 * @throws RangeError for sizes out of range
 */
export function dentWays({
  depthMm,
  fibresCut,
  finishStays,
  veneerMm,
}: {
  depthMm: number;
  fibresCut: boolean;
  finishStays: boolean;
  veneerMm: number;
}): { way: DentWay; fits: boolean; why: string }[] {
  assertRange('The depth', depthMm, 'mm', 0, 20);
  assertRange('The veneer', veneerMm, 'mm', 0, 6);
  const room =
    veneerMm > 0 ? Math.max(0, veneerMm - LEAST_LEFT_MM.value) * VENEER_SHARE.value : SANDED_MM.value;
  const raise = fibresCut
    ? { fits: false, why: 'Its fibres are cut: steam has nothing to lift.' }
    : finishStays
      ? { fits: false, why: 'The finish stays, and steam turns it white and lifts it.' }
      : { fits: true, why: 'Its fibres are only crushed: they swell back, and nothing is taken off.' };
  const sand = finishStays
    ? { fits: false, why: 'The finish stays.' }
    : depthMm <= room
      ? { fits: true, why: `It is ${depthMm.toFixed(2)} mm deep, and ${room.toFixed(2)} mm may go.` }
      : {
          fits: false,
          why: `It is ${depthMm.toFixed(2)} mm deep, and no more than ${room.toFixed(2)} mm may go here.`,
        };
  const fill = { fits: true, why: 'A fill is always possible; it shows the most.' };
  const all = [
    { way: 'raise' as const, ...raise },
    { way: 'sand' as const, ...sand },
    { way: 'fill' as const, ...fill },
  ];
  return [...all].sort((a, b) => Number(b.fits) - Number(a.fits));
}

import type { JobContext } from '../check';
import { nestPatches } from './nest';
import type { NestInput, NestPlan, Spare } from './types';

/** So many spares of a patch are laid out at most. */
export const MOST_SPARES = 3;

/**
 * Spares of placed patches, on the sheet that each is cut from, in what the plan leaves of it.
 *
 * @param count of each
 * @returns the spares there is room for, how many there is none for, and the sheets as they are left then
 */
export async function nestSpares(
  input: NestInput,
  { placed, sheets }: NestPlan,
  count: number,
  job: JobContext = {},
): Promise<{ spares: Spare[]; without: number; sheets: NestPlan['sheets'] }> {
  const needed = placed.flatMap((p) =>
    Array.from({ length: count }, (_, i) => ({ of: p, id: `${p.id}+${i + 1}` })),
  );
  const cutFrom = new Set(sheets.map((s) => s.id));
  const left = input.sheets
    .filter((s) => cutFrom.has(s.id))
    .map((s) => ({
      ...s,
      holes: [...(s.holes ?? []), ...placed.filter((p) => p.sheet === s.id).map((p) => p.outline)],
    }));
  const plan = await nestPatches(
    {
      ...input,
      sheets: left,
      pieces: needed.flatMap(({ of, id: name }) => {
        const piece = input.pieces.find((p) => p.id === of.id);
        return piece ? [{ id: name, outline: piece.outline, sheets: [of.sheet] }] : [];
      }),
    },
    job,
  );
  return {
    spares: plan.placed.map((p) => ({ ...p, of: needed.find((n) => n.id === p.id)?.of.id ?? '' })),
    without: plan.unplaced.length,
    sheets: sheets.map((s) => {
      const now = plan.sheets.find((p) => p.id === s.id);
      return now ? { ...now, cutMm2: s.cutMm2 + now.cutMm2 } : s;
    }),
  };
}

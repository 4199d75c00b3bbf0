import type { WorkedSums } from './workedSums';

const mm = (value: number): string => `${Number(value.toFixed(1))} mm`;

/** What the sums of a let-in repair say to its steps, by their keys. */
export function letInWords({ banding, plug, dowels }: WorkedSums): Record<string, string> {
  if (banding) {
    const { plan, counts } = banding;
    if (!plan.ok || !counts) return {};
    const { mitreDeg, pieces, words } = plan.value;
    const all = (of: 'outerMm' | 'innerMm'): string => pieces.map((p) => Math.round(p[of])).join(', ');
    return { cut: `Mitres of ${mitreDeg}°, sides of ${all('outerMm')} mm outside, ${all('innerMm')} mm inside. ${words}` }; // prettier-ignore
  }
  if (plug?.plan.ok) {
    const { bitMm, boreMm = 0, cutterMm = 0, lengthMm = 0, proudMm = 0, missing } = plug.plan.value;
    if (bitMm === undefined) return {};
    const bore = `Bit ${mm(bitMm)}, ${mm(boreMm)} deep.${missing ? ` ${missing}` : ''}`;
    const cut = `${plug.dowel ? 'Dowel' : 'Plug'} of ${mm(cutterMm)}, ${mm(lengthMm)} long, ${mm(proudMm)} proud.`; // prettier-ignore
    return plug.dowel ? { glue: `${bore} ${cut}` } : { bore, glue: cut };
  }
  if (dowels?.layout.ok) {
    const { diameterMm, drillMarkMm } = dowels.layout.value;
    const { placesMm } = dowels;
    return {
      mark: `${placesMm.length} dowels of ${mm(diameterMm)}, ${placesMm.map((at) => Math.round(at)).join(', ')} mm from one end; mark on the bit ${mm(drillMarkMm)}.`, // prettier-ignore
    };
  }
  return {};
}

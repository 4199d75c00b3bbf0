import type { Bow } from '../job';
import { checkBar, pagesInUnits, PAPERS, type Mark, type Page, type Paper } from '../print';
import { formatLength, type ShopUnits } from '../units';

/** The bow at full size over as many sheets as it takes, each with a bar to check the print by. */
export function caulPages(
  { lengthMm, height, offsets }: Bow,
  paper: Paper,
  title: string,
  units: ShopUnits,
): Page[] {
  const length = (mm: number): string => formatLength(mm, units.length);
  const { widthMm, heightMm } = PAPERS[paper];
  const part = 250;
  const count = Math.ceil(lengthMm / part);
  const pages = Array.from({ length: count }, (_, i): Page => {
    // Laid along the long side of the sheet.
    const [from, to] = [i * part, Math.min(lengthMm, (i + 1) * part)];
    const [left, base] = [20, 90];
    const marks: Mark[] = [
      { kind: 'text', at: [left, 18], text: `${title}, ${length(lengthMm)}`, sizeMm: 5, bold: true },
      { kind: 'text', at: [left, 25], text: `Sheet ${i + 1} of ${count}: ${length(from)} to ${length(to)} from the left end. Plane down to the curve; the bow goes against the platen.`, sizeMm: 3 },
      { kind: 'line', from: [left, base], to: [left + to - from, base], widthMm: 0.2, dashed: true },
      ...checkBar([left, heightMm > widthMm ? 150 : 130]),
    ]; // prettier-ignore
    for (let x = from; x < to; x += 5) {
      const end = Math.min(to, x + 5);
      marks.push({
        kind: 'line',
        from: [left + x - from, base - height(x)],
        to: [left + end - from, base - height(end)],
        widthMm: 0.35,
      });
    }
    offsets
      .filter((o) => o.xMm >= from && o.xMm <= to)
      .forEach((o) => {
        const x = left + o.xMm - from;
        marks.push({ kind: 'line', from: [x, base], to: [x, base - o.mm], widthMm: 0.15 });
        marks.push({ kind: 'text', at: [x - 5, base + 5], text: length(o.mm), sizeMm: 2.8 });
        marks.push({
          kind: 'text',
          at: [x - 5, base + 9],
          text: `at ${length(o.xMm)}`,
          sizeMm: 2.4,
          grey: 0.35,
        });
      });
    return { widthMm: heightMm, heightMm: widthMm, marks };
  });
  return pagesInUnits(pages, units);
}

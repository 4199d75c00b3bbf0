import { boundingBox, type Point, type Polygon } from '../geometry';
import { checkBar, PAPERS, type Mark, type Page, type Paper } from './drawing';

export type SpotSheetInput = {
  title: string;
  /** The photo of the sheet, and how much of it that shows. */
  jpeg: Uint8Array;
  name: string;
  wideMm: number;
  tallMm: number;
  /** The patch where it is cut from it, mm from the photo's upper left corner. */
  outline: Polygon;
  notes: readonly string[];
  paper: Paper;
};

const MARGIN_MM = 15;
const HEAD_MM = 45;
const FOOT_MM = 26;
/** What a millimetre of the sheet is on paper: as large as it is where it fits, else the next of these. */
const SCALES = [1, 0.5, 0.25, 0.2, 0.1, 0.05, 0.02];

/**
 * The picture of a sheet with the patch on it where its figure was chosen, so that the spot is found by eye: with how far its outline stands
 * off the left and the upper edge of the photo.
 */
export function spotSheet({
  title,
  jpeg,
  name,
  wideMm,
  tallMm,
  outline,
  notes,
  paper,
}: SpotSheetInput): Page {
  const { widthMm, heightMm } = PAPERS[paper];
  const [roomX, roomY] = [widthMm - 2 * MARGIN_MM, heightMm - HEAD_MM - FOOT_MM - MARGIN_MM];
  const scale = SCALES.find((s) => s * wideMm <= roomX && s * tallMm <= roomY) ?? Math.min(roomX / wideMm, roomY / tallMm); // prettier-ignore
  const at = ([x, y]: Point): Point => [MARGIN_MM + scale * x, HEAD_MM + scale * y];
  const { left, top } = boundingBox(outline);
  const leftmost = outline.find(([x]) => x === left) ?? [left, top];
  const topmost = outline.find(([, y]) => y === top) ?? [left, top];
  const rim: Polygon = [[0, 0], [wideMm, 0], [wideMm, tallMm], [0, tallMm]]; // prettier-ignore
  const measured = (from: Point, to: Point, mm: number): Mark[] => {
    const [a, b] = [at(from), at(to)];
    return [
      { kind: 'line', from: a, to: b, widthMm: 0.4 },
      { kind: 'disc', at: [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2], radiusMm: 6 },
      { kind: 'text', at: [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2], text: mm.toFixed(0), sizeMm: 3.4, bold: true, centred: true }, // prettier-ignore
    ];
  };
  const words = scale === 1 ? 'As large as it is' : `1 mm on paper is ${(1 / scale).toFixed(scale < 0.02 ? 1 : 0)} mm of the sheet`; // prettier-ignore
  return {
    widthMm,
    heightMm,
    marks: [
      { kind: 'text', at: [MARGIN_MM, MARGIN_MM], text: title, sizeMm: 5, bold: true },
      ...[...notes, `Its outline stands ${left.toFixed(1)} mm off the left edge of the photo and ${top.toFixed(1)} mm off its upper edge.`].map((text, i): Mark => ({ kind: 'text', at: [MARGIN_MM, MARGIN_MM + 7 + i * 4.6], text, sizeMm: 3.2 })), // prettier-ignore
      { kind: 'picture', at: at([0, 0]), widthMm: scale * wideMm, heightMm: scale * tallMm, jpeg, name },
      { kind: 'polygon', points: rim.map(at), widthMm: 0.2 },
      // Light under dark, so that the line is seen on any wood.
      { kind: 'polygon', points: outline.map(at), widthMm: 1.4, grey: 1 },
      { kind: 'polygon', points: outline.map(at), widthMm: 0.5 },
      ...(left > 0 ? measured([0, leftmost[1]], leftmost, left) : []),
      ...(top > 0 ? measured([topmost[0], 0], topmost, top) : []),
      ...checkBar([MARGIN_MM, heightMm - FOOT_MM]),
      { kind: 'text', at: [MARGIN_MM, heightMm - FOOT_MM + 12], text: `${words}. Figures in discs: mm from the edge of the photo.`, sizeMm: 2.8 }, // prettier-ignore
    ],
  };
}

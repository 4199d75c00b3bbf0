import type { Point, Polygon } from '../geometry';
import { published } from '../sources';

/** Marks on paper, in mm from the top left corner. Ink is black unless a grey is given (0 black … 1 white). */
export type Mark =
  | { kind: 'polygon'; points: Polygon; widthMm: number; dashed?: boolean; grey?: number; filled?: boolean }
  | { kind: 'line'; from: Point; to: Point; widthMm: number; dashed?: boolean; grey?: number }
  /** A white disc with a rim, such as a number stands on. */
  | { kind: 'disc'; at: Point; radiusMm: number }
  /** Centred: `at` is the middle of the text rather than the start of its base line. */
  | {
      kind: 'text';
      at: Point;
      text: string;
      sizeMm: number;
      bold?: boolean;
      grey?: number;
      centred?: boolean;
    }
  | PictureMark;

/** A photo; its name stands in its place when it cannot be opened. */
export type PictureMark = {
  kind: 'picture';
  at: Point;
  widthMm: number;
  heightMm: number;
  jpeg: Uint8Array;
  name?: string;
};

export type Page = { widthMm: number; heightMm: number; marks: Mark[] };

/** A printer that is further off than this is set to fit the paper; that is to be put right there. */
export const PRINTER_SCALES = { least: 0.95, most: 1.05 };
/** The bar on each sheet, mm. */
export const CHECK_BAR_MM = 100;

/** The scale of a printer from a print made with one scale, on which the bar measures so much. */
export const printerScaleFrom = (before: number, measuredMm: number): number =>
  Math.min(PRINTER_SCALES.most, Math.max(PRINTER_SCALES.least, before * (measuredMm / CHECK_BAR_MM)));

/** What is done about the printer. */
export const printerWords = (scale: number): string =>
  scale === 1
    ? 'Printed as drawn.'
    : `Your printer prints ${Math.abs(100 * (scale - 1)).toFixed(1)} % too ${scale > 1 ? 'large' : 'small'}; sheets are drawn so much ${scale > 1 ? 'smaller' : 'larger'}. Print one, and see that its bar is true.`;

export type Paper = 'a4' | 'letter';
export const PAPERS_SOURCE = published('ISO 216 and ANSI/ASME Y14.1', 'A4 and Letter');
export const PAPERS: Record<Paper, { widthMm: number; heightMm: number }> = {
  a4: { widthMm: 210, heightMm: 297 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
};

/** Whether bytes begin as those of a JPEG do. */
export const isJpeg = (bytes: Uint8Array): boolean =>
  bytes.length > 3 && bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff;

/** Bytes of a stored photo; none when they are damaged, so that its name is printed in its place. */
export function jpegBytes(base64: string): Uint8Array {
  try {
    return Uint8Array.from(atob(base64), (c) => c.charCodeAt(0));
  } catch {
    return new Uint8Array();
  }
}

/** A frame with the name of a photo that cannot be opened, where the photo would be. */
export function unprintedPicture({ at: [x, y], widthMm, heightMm, name }: PictureMark): Mark[] {
  const points: Polygon = [[x, y], [x + widthMm, y], [x + widthMm, y + heightMm], [x, y + heightMm]]; // prettier-ignore
  const text = (line: string, down: number): Mark => ({ kind: 'text', at: [x + 3, y + down], text: line, sizeMm: 3, grey: 0.35 }); // prettier-ignore
  return [
    { kind: 'polygon', points, widthMm: 0.3, dashed: true, grey: 0.35 },
    text('This photo cannot be opened.', 7),
    ...(name ? [text(name.slice(0, 60), 12)] : []),
  ];
}

/** A bar of exactly 100 mm with end ticks, so that a print can be checked with a rule before anything is cut. */
export function checkBar([x, y]: Point): Mark[] {
  const tick = (at: number, half: number): Mark => ({
    kind: 'line',
    from: [x + at, y - half],
    to: [x + at, y + half],
    widthMm: 0.2,
  });
  return [
    { kind: 'line', from: [x, y], to: [x + 100, y], widthMm: 0.3 },
    tick(0, 2.5),
    tick(50, 1.5),
    tick(100, 2.5),
    {
      kind: 'text',
      at: [x, y + 6.5],
      text: 'Measure this bar: it must be 100 mm. If not, print again at 100 %, without fitting to the page.',
      sizeMm: 2.8,
    },
  ];
}

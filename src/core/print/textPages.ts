import type { Point } from '../geometry';
import type { Mark, Page, Paper } from './drawing';
import { PAPERS } from './drawing';

/** A running text for print: headings, paragraphs, rows of two columns, and pictures side by side. */
export type Block =
  | { kind: 'heading'; text: string; level: 1 | 2 }
  | { kind: 'paragraph'; text: string; quiet?: boolean }
  | { kind: 'row'; left: string; right: string }
  /** A step with a box to tick. */
  | { kind: 'check'; title: string; detail: string; ticked: boolean }
  /** Marks of a drawing of this size, in mm from its own corner; made smaller when the page has less room. */
  | { kind: 'drawing'; widthMm: number; heightMm: number; marks: readonly Mark[]; caption: string }
  | { kind: 'pictures'; items: { caption: string; jpeg: Uint8Array; aspect: number }[] };

const MARGIN_MM = 18;
/** Mean width of a character of the text face, as a share of its size; used to break lines safely early. */
const MEAN_WIDTH = 0.52;

/** Breaks a text into lines of at most so many characters, at spaces; a word that is too long is cut. */
export function breakLines(text: string, most: number): string[] {
  const lines: string[] = [];
  for (const paragraph of text.split('\n')) {
    let line = '';
    for (const word of paragraph.split(/\s+/)) {
      for (let rest = word; rest !== '';) {
        // Counted in letters, so that none is torn in two.
        const piece = [...rest].slice(0, most).join('');
        rest = rest.slice(piece.length);
        if (line === '') line = piece;
        else if ([...line].length + 1 + [...piece].length <= most) line += ` ${piece}`;
        else {
          lines.push(line);
          line = piece;
        }
      }
    }
    lines.push(line);
  }
  return lines;
}

/** A drawing leaves room for what is said about it. mm. */
const MOST_DRAWING_MM = 190;
const LEAST_DRAWING_MM = 110;

/** A mark moved to its place on the page and made smaller; lines and letters keep their size. */
function placed(mark: Mark, [x, y]: Point, k: number): Mark {
  const at = (p: Point): Point => [x + p[0] * k, y + p[1] * k];
  switch (mark.kind) {
    case 'polygon':
      return { ...mark, points: mark.points.map(at) };
    case 'line':
      return { ...mark, from: at(mark.from), to: at(mark.to) };
    case 'disc':
    case 'text':
      return { ...mark, at: at(mark.at) };
    case 'picture':
      return { ...mark, at: at(mark.at), widthMm: mark.widthMm * k, heightMm: mark.heightMm * k };
  }
}

/** Sets blocks on as many pages as they take. */
export function setPages(blocks: readonly Block[], paper: Paper, footer: string): Page[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const room = widthMm - 2 * MARGIN_MM;
  const pages: Page[] = [];
  let marks: Mark[] = [];
  let y = MARGIN_MM;
  const turnPage = (): void => {
    pages.push({ widthMm, heightMm, marks });
    marks = [];
    y = MARGIN_MM;
  };
  const need = (mm: number): void => {
    if (y + mm > heightMm - MARGIN_MM - 6) turnPage();
  };
  const lines = (
    text: string,
    sizeMm: number,
    x: number,
    width: number,
    style: { bold?: boolean; grey?: number },
  ): void => {
    for (const line of breakLines(text, Math.floor(width / (sizeMm * MEAN_WIDTH)))) {
      need(sizeMm * 1.5);
      y += sizeMm * 1.4;
      marks.push({ kind: 'text', at: [x, y], text: line, sizeMm, ...style });
    }
  };
  for (const block of blocks) {
    switch (block.kind) {
      case 'heading': {
        const size = block.level === 1 ? 7 : 4.6;
        need(size * 4);
        y += block.level === 1 ? 2 : 5;
        lines(block.text, size, MARGIN_MM, room, { bold: true });
        y += 1;
        break;
      }
      case 'paragraph':
        lines(block.text, 3.5, MARGIN_MM, room, block.quiet ? { grey: 0.35 } : {});
        y += 1;
        break;
      case 'row': {
        need(8);
        const start = y;
        lines(block.left, 3.5, MARGIN_MM, room * 0.34, { bold: true });
        const leftEnd = y;
        if (leftEnd >= start) y = start;
        lines(block.right, 3.5, MARGIN_MM + room * 0.36, room * 0.64, {});
        y = Math.max(y, leftEnd >= start ? leftEnd : y) + 1;
        break;
      }
      case 'check': {
        need(11);
        const top = y + 1.6;
        const box: Point[] = [[MARGIN_MM, top], [MARGIN_MM + 4, top], [MARGIN_MM + 4, top + 4], [MARGIN_MM, top + 4]]; // prettier-ignore
        marks.push({ kind: 'polygon', points: box, widthMm: 0.35 });
        if (block.ticked)
          marks.push(
            {
              kind: 'line',
              from: [MARGIN_MM + 0.7, top + 2],
              to: [MARGIN_MM + 1.7, top + 3.2],
              widthMm: 0.5,
            },
            {
              kind: 'line',
              from: [MARGIN_MM + 1.7, top + 3.2],
              to: [MARGIN_MM + 3.4, top + 0.8],
              widthMm: 0.5,
            },
          );
        lines(block.title, 3.5, MARGIN_MM + 7, room - 7, { bold: true });
        lines(block.detail, 3.1, MARGIN_MM + 7, room - 7, {});
        y += 1.5;
        break;
      }
      case 'drawing': {
        // What is left of the page is used when it is not too little.
        const left = heightMm - MARGIN_MM - 6 - y - 9;
        const most = left >= LEAST_DRAWING_MM ? Math.min(left, MOST_DRAWING_MM) : MOST_DRAWING_MM;
        const scale = Math.min(1, room / block.widthMm, most / block.heightMm);
        need(block.heightMm * scale + 9);
        marks.push(...block.marks.map((m) => placed(m, [MARGIN_MM, y + 2], scale)));
        y += block.heightMm * scale + 4;
        lines(block.caption, 3, MARGIN_MM, room, { grey: 0.35 });
        y += 2;
        break;
      }
      case 'pictures': {
        const width = (room - 6) / 2;
        for (let i = 0; i < block.items.length; i += 2) {
          const pair = block.items.slice(i, i + 2);
          const height = Math.max(...pair.map((p) => Math.min(90, width / p.aspect)));
          need(height + 10);
          pair.forEach((p, k) => {
            const h = Math.min(90, width / p.aspect);
            const at = [MARGIN_MM + k * (width + 6), y + 3] as const;
            marks.push({
              kind: 'picture',
              at,
              widthMm: h * p.aspect,
              heightMm: h,
              jpeg: p.jpeg,
              name: p.caption,
            });
            marks.push({ kind: 'text', at: [at[0], y + height + 7], text: p.caption, sizeMm: 3 });
          });
          y += height + 10;
        }
        break;
      }
    }
  }
  turnPage();
  return pages.map((page, i) => ({
    ...page,
    marks: [
      ...page.marks,
      { kind: 'text', at: [MARGIN_MM, heightMm - 10], text: footer, sizeMm: 2.8, grey: 0.35 },
      {
        kind: 'text',
        at: [widthMm - MARGIN_MM - 18, heightMm - 10],
        text: `${i + 1} of ${pages.length}`,
        sizeMm: 2.8,
        grey: 0.35,
      },
    ],
  }));
}

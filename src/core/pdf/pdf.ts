import fontkit from '@pdf-lib/fontkit';
import {
  concatTransformationMatrix,
  PDFDocument,
  PrintScaling,
  rgb,
  type Color,
  type PDFFont,
  type PDFImage,
  type PDFPage,
} from 'pdf-lib';
import { assertRange } from '../check/range';
import { isJpeg, unprintedPicture, type Mark, type Page } from '../print/drawing';
import { inLettersOf, printable } from '../print/letters';

const PT_PER_MM = 72 / 25.4;

/** The app's own text face as TrueType, regular and bold, already cut to the characters that are used. */
export type PrintFonts = { regular: Uint8Array; bold: Uint8Array };

type Kit = {
  page: PDFPage;
  height: number;
  regular: PDFFont;
  bold: PDFFont;
  /** What the face has, and what it was found not to have. */
  letters: ReadonlySet<number>;
  missing: Set<string>;
  grey: (v?: number) => Color;
  embed: (jpeg: Uint8Array) => Promise<PDFImage>;
};

async function draw(mark: Mark, kit: Kit): Promise<void> {
  const { page, height, regular, bold, letters, missing, grey, embed } = kit;
  const pt = (mm: number): number => mm * PT_PER_MM;
  const y = (mm: number): number => pt(height - mm);
  const dash = (dashed?: boolean) => (dashed ? { dashArray: [pt(2), pt(1.5)] } : {});
  switch (mark.kind) {
    case 'line':
      page.drawLine({
        start: { x: pt(mark.from[0]), y: y(mark.from[1]) },
        end: { x: pt(mark.to[0]), y: y(mark.to[1]) },
        thickness: pt(mark.widthMm),
        color: grey(mark.grey),
        ...dash(mark.dashed),
      });
      return;
    case 'polygon': {
      // drawSvgPath has its y axis downwards from the given origin, as our pages have.
      const path = mark.points.map((p, i) => `${i === 0 ? 'M' : 'L'}${pt(p[0])} ${pt(p[1])}`).join(' ');
      page.drawSvgPath(`${path} Z`, {
        x: 0,
        y: pt(height),
        borderColor: grey(mark.grey),
        borderWidth: pt(mark.widthMm),
        ...(mark.filled ? { color: grey(0.88) } : {}),
        ...(mark.dashed ? { borderDashArray: [pt(2), pt(1.5)] } : {}),
      });
      return;
    }
    case 'disc':
      page.drawCircle({
        x: pt(mark.at[0]),
        y: y(mark.at[1]),
        size: pt(mark.radiusMm),
        color: grey(1),
        borderColor: grey(0),
        borderWidth: pt(0.4),
      });
      return;
    case 'text': {
      const font = mark.bold ? bold : regular;
      const text = inLettersOf(mark.text, (c) => letters.has(c), missing);
      const size = pt(mark.sizeMm);
      // Digits of the text face stand seven tenths of its size high.
      const [left, drop] = mark.centred ? [font.widthOfTextAtSize(text, size) / 2, 0.35 * size] : [0, 0];
      page.drawText(text, {
        x: pt(mark.at[0]) - left,
        y: y(mark.at[1]) - drop,
        size,
        font,
        color: grey(mark.grey),
      });
      return;
    }
    case 'picture': {
      const image = isJpeg(mark.jpeg) ? await embed(mark.jpeg).catch(() => undefined) : undefined;
      if (!image) {
        for (const part of unprintedPicture(mark)) await draw(part, kit);
        return;
      }
      page.drawImage(image, {
        x: pt(mark.at[0]),
        y: y(mark.at[1] + mark.heightMm),
        width: pt(mark.widthMm),
        height: pt(mark.heightMm),
      });
    }
  }
}

/**
 * Pages as a PDF at true size; readers are asked not to scale it when printing.
 *
 * @param title shown by readers
 * @param printerScale how much larger than it should the printer prints, 0.95…1.05: all is drawn so much smaller about the page's middle
 * @returns the file's bytes, and the letters that the face has not
 */
export async function toPdf(
  title: string,
  pages: readonly Page[],
  fonts: PrintFonts,
  printerScale = 1,
): Promise<{ bytes: Uint8Array; missing: string[] }> {
  assertRange('The scale of the printer', printerScale, '', 0.95, 1.05);
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle(printable(title), { showInWindowTitleBar: true });
  document.setCreator('Rustic Lantern');
  document.catalog.getOrCreateViewerPreferences().setPrintScaling(PrintScaling.None);
  const regular = await document.embedFont(fonts.regular, { subset: false });
  const bold = await document.embedFont(fonts.bold, { subset: false });
  const letters = new Set(regular.getCharacterSet());
  const missing = new Set<string>();
  for (const { widthMm, heightMm, marks } of pages) {
    const page = document.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM]);
    if (printerScale !== 1) {
      const k = 1 / printerScale;
      const [x, y] = [(widthMm * PT_PER_MM) / 2, (heightMm * PT_PER_MM) / 2];
      page.pushOperators(concatTransformationMatrix(k, 0, 0, k, x * (1 - k), y * (1 - k)));
    }
    const kit: Kit = {
      page,
      height: heightMm,
      regular,
      bold,
      letters,
      missing,
      grey: (v = 0) => rgb(v, v, v),
      embed: (jpeg) => document.embedJpg(jpeg),
    };
    for (const mark of marks) await draw(mark, kit);
  }
  return { bytes: await document.save(), missing: [...missing] };
}

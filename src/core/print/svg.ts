import { isJpeg, unprintedPicture, type Mark, type Page } from './drawing';
import { printable } from './letters';

export const escapeXml = (text: string): string =>
  printable(text).replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
const n = (v: number): string => String(Math.round(v * 1000) / 1000);
const ink = (grey = 0): string => {
  const v = Math.round(grey * 255);
  return `rgb(${v},${v},${v})`;
};

function element(mark: Mark): string {
  switch (mark.kind) {
    case 'polygon': {
      const points = mark.points.map((p) => `${n(p[0])},${n(p[1])}`).join(' ');
      const dash = mark.dashed ? ' stroke-dasharray="2 1.5"' : '';
      return `<polygon points="${points}" fill="${mark.filled ? ink(0.88) : 'none'}" stroke="${ink(mark.grey)}" stroke-width="${n(mark.widthMm)}"${dash}/>`;
    }
    case 'line': {
      const dash = mark.dashed ? ' stroke-dasharray="2 1.5"' : '';
      return `<line x1="${n(mark.from[0])}" y1="${n(mark.from[1])}" x2="${n(mark.to[0])}" y2="${n(mark.to[1])}" stroke="${ink(mark.grey)}" stroke-width="${n(mark.widthMm)}"${dash}/>`;
    }
    case 'disc':
      return `<circle cx="${n(mark.at[0])}" cy="${n(mark.at[1])}" r="${n(mark.radiusMm)}" fill="#fff" stroke="#000" stroke-width="0.4"/>`;
    case 'text': {
      const weight = mark.bold ? ' font-weight="700"' : '';
      const middle = mark.centred ? ' text-anchor="middle" dominant-baseline="central"' : '';
      return `<text x="${n(mark.at[0])}" y="${n(mark.at[1])}" font-size="${n(mark.sizeMm)}" font-family="sans-serif" fill="${ink(mark.grey)}"${weight}${middle}>${escapeXml(mark.text)}</text>`;
    }
    case 'picture': {
      if (!isJpeg(mark.jpeg)) return unprintedPicture(mark).map(element).join('');
      let binary = '';
      for (const byte of mark.jpeg) binary += String.fromCharCode(byte);
      return `<image x="${n(mark.at[0])}" y="${n(mark.at[1])}" width="${n(mark.widthMm)}" height="${n(mark.heightMm)}" href="data:image/jpeg;base64,${btoa(binary)}"/>`;
    }
  }
}

/** A page as SVG whose user unit is the millimetre, at its true size. */
export const toSvg = (page: Page): string =>
  [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(page.widthMm)}mm" height="${n(page.heightMm)}mm" viewBox="0 0 ${n(page.widthMm)} ${n(page.heightMm)}">`,
    `<rect width="100%" height="100%" fill="#fff"/>`,
    ...page.marks.map(element),
    '</svg>',
    '',
  ].join('\n');

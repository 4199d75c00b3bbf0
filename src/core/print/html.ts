import type { Page } from './drawing';
import { escapeXml, toSvg } from './svg';

/**
 * Pages as one HTML document that prints each at its true size on a sheet of its own. It needs nothing beside it: no script,
 * no font, no picture from elsewhere.
 */
export function toHtml(title: string, pages: readonly Page[]): string {
  const [first] = pages;
  const size = first ? `${first.widthMm}mm ${first.heightMm}mm` : 'auto';
  return [
    '<!doctype html>',
    '<html lang="en"><head><meta charset="utf-8">',
    `<title>${escapeXml(title)}</title>`,
    '<style>',
    `@page { size: ${size}; margin: 0 }`,
    'body { margin: 0; background: #fff }',
    'svg { display: block; break-after: page }',
    '</style></head><body>',
    ...pages.map(toSvg),
    '</body></html>',
    '',
  ].join('\n');
}

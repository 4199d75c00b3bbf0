import { Asset } from 'expo-asset';
import regularFont from '../../assets/fonts/Text.ttf';
import boldFont from '../../assets/fonts/TextBold.ttf';
import type { Page } from '@/core/print';
import { download } from './file';

async function font(module: number): Promise<Uint8Array> {
  const asset = Asset.fromModule(module);
  const response = await fetch(asset.uri);
  if (!response.ok)
    throw new Error('The fonts for printing could not be loaded. Reload the page and try again.');
  return new Uint8Array(await response.arrayBuffer());
}

/** Pages as a PDF. The library is loaded only now. @returns letters that the printed face has not */
export async function downloadPdf(
  title: string,
  pages: readonly Page[],
  name: string,
  printerScale: number,
): Promise<string[]> {
  const [{ toPdf }, regular, bold] = await Promise.all([
    import('@/core/pdf'),
    font(regularFont),
    font(boldFont),
  ]);
  const { bytes, missing } = await toPdf(title, pages, { regular, bold }, printerScale);
  download(bytes, name, 'application/pdf');
  return missing;
}

/** Hands a document to the browser's own print dialog. */
export function printHtml(html: string): Promise<void> {
  return new Promise((resolve) => {
    const frame = document.createElement('iframe');
    frame.title = 'Sheet to print';
    frame.style.cssText = 'position:fixed;width:0;height:0;border:0';
    frame.onload = () => {
      frame.contentWindow?.print();
      // The dialog holds the page up while it is open; a moment later the sheet is no longer needed.
      setTimeout(() => frame.remove(), 60_000);
      resolve();
    };
    frame.srcdoc = html;
    document.body.append(frame);
  });
}

/** A name that every file system takes. */
export const fileName = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase()
    .slice(0, 60) || 'sheet';

// A room of its own, so that screens can load it only when something is printed: it brings two large libraries.
export { toPdf, type PrintFonts } from './pdf';

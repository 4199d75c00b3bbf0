export {
  checkBar,
  isJpeg,
  jpegBytes,
  PAPERS,
  PAPERS_SOURCE,
  unprintedPicture,
  type Mark,
  type Page,
  type Paper,
  CHECK_BAR_MM,
  PRINTER_SCALES,
  printerScaleFrom,
  printerWords,
} from './drawing';
export { inLettersOf, missingWords, printable } from './letters';
export { toSvg } from './svg';
export { toDxf, type DxfLayer } from './dxf';
export { pagesInUnits } from './pagesInUnits';
export { patchSheet, type PatchSheetInput } from './patchSheet';
export { spotSheet, type SpotSheetInput } from './spotSheet';
export { setPages, type Block } from './textPages';
export { toHtml } from './html';

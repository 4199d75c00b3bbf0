export { checkBar, PAPERS, PAPERS_SOURCE, type Mark, type Page, type Paper } from './drawing';
export { toSvg } from './svg';
export { pagesInUnits } from './pagesInUnits';
export { patchSheet, type PatchSheetInput } from './patchSheet';
export { setPages, type Block } from './textPages';
export { toHtml } from './html';

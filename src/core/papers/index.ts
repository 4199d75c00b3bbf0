export { caulPages } from './caulPages';
export { jobSheet, type SheetOf } from './jobSheet';
export { recordPages, type PaperPicture } from './recordPages';
export { reportPages, type ReportPictures } from './reportPages';

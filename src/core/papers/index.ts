export { caulPages } from './caulPages';
export { recordPages, type PaperPicture } from './recordPages';
export { reportPages, type ReportPictures } from './reportPages';

export { useClimate } from './useClimate';
export { readCaliper, readColour, readMoistureMeter } from './readings';
export { openMicrophone, simulatedMicrophone, type Microphone } from './microphone';
export { download, downloadBlob } from './file';
export { downloadPdf, fileName, printHtml } from './paper';
export { signal, useLitScreen } from './signals';

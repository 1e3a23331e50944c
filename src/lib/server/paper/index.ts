export { PAPERS, type PaperSize } from './pdf';
export { sheetPdf, type ToPrint } from './sheets';

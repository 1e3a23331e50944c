export { buyerPdf, type ForBuyer } from './buyer';
export { paperOf, type PaperSize } from './pdf';
export type { ToPrint } from './sheet';
export { sheetPdf } from './sheets';

/** The sheets of a plan that can be had as PDF. By itself, since every page’s addresses are told by it. */
export const SHEETS = ['mix-sheet', 'run-sheet', 'batch', 'labels'] as const;
export type SheetKind = (typeof SHEETS)[number];

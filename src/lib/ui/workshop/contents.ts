/** What a workshop or a backup of one holds, and when it was last changed, ms. */
export interface Contents {
  counts: { what: string; count: number }[];
  lastChange?: number;
}

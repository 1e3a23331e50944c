/** A column of a table: what stands over it, and what stands in it. */
export interface TableColumn<Row> {
  id: string;
  head?: string;
  /** What a cell says, where words are enough; a cell with more in it is drawn by the table's own `cell`. */
  text?: (row: Row) => string | number;
  /** What its rows are put in order by; without it the column cannot be sorted. */
  by?: (row: Row) => string | number;
  /** Figures: set to the right. */
  num?: boolean;
  class?: string | ((row: Row) => string);
  headClass?: string;
}

/** What a spreadsheet may take for a formula: it begins with a sign of one, or with a control character before one. */
// eslint-disable-next-line no-control-regex -- control characters are what is looked for
export const FORMULA = /^[\s\u0000-\u001f\u007f]*[=+\-@]|^[\u0000-\u001f\u007f]/;

/** The same, with quotes in front that were there already: what is marked once more when a table is to come back. */
export const MARKED = new RegExp(`^'*(?:${FORMULA.source.replaceAll(/(^|\|)\^/g, '$1')})`);

/** A cell without the mark that kept a spreadsheet from taking it for a formula. */
export const unmarked = (cell: string): string =>
  cell.startsWith("'") && MARKED.test(cell.slice(1)) ? cell.slice(1) : cell;

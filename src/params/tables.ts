import { TABLE_KINDS } from '$core/shelf/table-fields';

/** Matches the kinds of card that a table can bring in. Every page loads this: it takes nothing but the names. */
export const match = (param: string): boolean => (TABLE_KINDS as readonly string[]).includes(param);

import { TABLE_KINDS } from '$core/shelf';

/** Matches the kinds of card that a table can bring in. */
export const match = (param: string): boolean => (TABLE_KINDS as readonly string[]).includes(param);

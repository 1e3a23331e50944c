import { SHEETS } from '../lib/plan/sheets';

/** Matches the sheets of a plan that can be had as PDF. */
export const match = (param: string): boolean => (SHEETS as readonly string[]).includes(param);

import type { Problem } from '../../problem';

/** What a plan can name that is not there. */
export type Missing = 'base' | 'scale' | 'mould' | 'colourant' | 'group' | 'cup' | 'mix' | 'step';

/** Something a plan names that is not there; `path` is from inside the plan. */
export const missing = (what: Missing, path: string, sentence: string): Problem => ({
  code: `${what}-missing`,
  level: 'stop',
  path: `plan/${path}`,
  sentence,
  mend: `Choose a ${what} for it.`
});

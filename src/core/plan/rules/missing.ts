import type { About, Problem } from '../../problem';

/** What a plan can name that is not there. */
export type Missing = 'base' | 'scale' | 'mould' | 'colourant' | 'group' | 'cup' | 'mix' | 'step';

/** Something a plan names that is not there. */
export const missing = (what: Missing, about: About, sentence: string): Problem => ({
  code: `${what}-missing`,
  level: 'stop',
  ...about,
  sentence,
  mend: `Choose a ${what} for it.`
});

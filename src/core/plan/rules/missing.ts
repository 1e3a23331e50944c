import type { Problem } from '../../problem';

/** Something a plan names that is not there. */
export const missing = (what: string, path: string, sentence: string): Problem => ({
  code: `${what}-missing`,
  level: 'stop',
  path: `plan/${path}`,
  sentence,
  mend: `Choose a ${what} for it.`
});

import type { Preferences } from './preferences';

/** Where nothing was said and nothing can be guessed. */
export const USUAL_PREFERENCES: Preferences = {
  weights: 'g',
  volumes: 'ml',
  lengths: 'mm',
  temperatures: '°C',
  paper: 'A4',
  clock: '24 h',
  weekStarts: 1,
  hours: { from: 8 * 60, to: 18 * 60 },
  daysOff: [0, 6],
  makers: [],
  hands: 1,
  unlearned: [],
  sound: true
};

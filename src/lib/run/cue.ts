/** How near a weighing is to its target: what the hand should do. */
export type Cue = 'pour' | 'slow' | 'trickle' | 'stop' | 'over';

/**
 * The cue for a weighing: slow from nine tenths, trickle from within twenty divisions or two hundredths, stop within a
 * division. Grams; `division` > 0.
 */
export function cueOf(toGo: number, target: number, division: number): Cue {
  if (toGo < -division * 1.01) return 'over';
  if (toGo <= division * 1.01) return 'stop';
  if (toGo <= Math.max(20 * division, 0.02 * target)) return 'trickle';
  return toGo <= 0.1 * target ? 'slow' : 'pour';
}

/** The cue in words, large beside the number. */
export const CUE_WORDS: Record<Cue, string> = {
  pour: '',
  slow: 'slower',
  trickle: 'a trickle',
  stop: 'stop',
  over: 'too much'
};

/** How many short notes a cue is told with; none for what needs no ear. */
export const CUE_NOTES: Record<Cue, number> = { pour: 0, slow: 1, trickle: 2, stop: 3, over: 0 };

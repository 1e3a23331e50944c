import { fromNotes } from '../from-notes';

/** Stirred hard or fast, so that air went in. */
export const stirredHard = fromNotes({
  id: 'stirred-hard',
  defects: ['bubbles on the mould face', 'bubbles on the open face', 'bubbles at an edge'],
  words: /\b(stirred|mixed|whisked|blended)\b.*\b(hard|fast|quickly|roughly)\b|\bwhisk/i,
  change: 'stir slowly, scrape, and let the cup rest before it is poured',
  ask: 'how hard the cups were stirred, and how long they rested'
});

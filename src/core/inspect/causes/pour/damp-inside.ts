import { fromNotes } from '../from-notes';

/** Water in the mould, or in what was set in. */
export const dampInside = fromNotes({
  id: 'damp-inside',
  defects: ['tacky or soft', 'bubbles on the mould face', 'bubbles on the open face', 'water marks'],
  words: /\b(damp|moist|condensation|wet (mould|mold|wood|flowers?|chips?))\b/i,
  change: 'dry the mould and what goes into it, or seal it first'
});

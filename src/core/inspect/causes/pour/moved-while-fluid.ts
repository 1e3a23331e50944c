import { fromNotes } from '../from-notes';

/** Moved or knocked before it had set. */
export const movedWhileFluid = fromNotes({
  id: 'moved-while-fluid',
  defects: ['off-centre', 'overfilled lip', 'colours run together'],
  words: /\b(moved|knocked|bumped|jogged|shoved)\b.{0,20}\b(moulds?|molds?|trays?|table|bench|board)\b/i,
  change: 'pour where the mould can stay until it has set'
});

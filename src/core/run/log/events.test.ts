import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AnyEvent, eventsInForce, finishOf, MOST_GRAMS, MOST_WORDS } from './events';

const note = (id: string, at: number) => ({ id, at, type: 'note' as const, text: 'x' });
const reads = (event: unknown) => AnyEvent.safeParse(event).success;

describe('events', () => {
  it('keeps one of a newer program whole, and refuses a broken one of a kind that is known', () => {
    const newer = { id: 'newer-0001', at: 5, type: 'tilted', degrees: 3 };
    expect(AnyEvent.parse(newer)).toEqual(newer);
    expect(reads({ ...newer, words: 'x'.repeat(9000) })).toBe(false);
    expect(reads({ id: 'weighed-01', at: 5, type: 'weighed', task: 't' })).toBe(false);
  });

  it.each([
    ['before 1970', { ...note('note-0001', -1) }, false],
    ['in 1970', { ...note('note-0001', 0) }, true],
    ['in 2100', { ...note('note-0001', Date.UTC(2100, 0, 1)) }, true],
    ['past 2100', { ...note('note-0001', Date.UTC(2100, 0, 1) + 1) }, false],
    ['half a millisecond', { ...note('note-0001', 0.5) }, false],
    ['a short id', { ...note('note-01', 1) }, false],
    ['an id with a slash', { ...note('note/0001', 1) }, false],
    ['the longest note', { ...note('note-0001', 1), text: 'x'.repeat(MOST_WORDS) }, true],
    ['a longer one', { ...note('note-0001', 1), text: 'x'.repeat(MOST_WORDS + 1) }, false],
    ['an empty one', { ...note('note-0001', 1), text: '  ' }, false],
    ['the most grams', { id: 'weighed-1', at: 1, type: 'weighed', task: 't', grams: MOST_GRAMS }, true],
    ['more', { id: 'weighed-1', at: 1, type: 'weighed', task: 't', grams: MOST_GRAMS + 1 }, false],
    ['less than nothing', { id: 'weighed-1', at: 1, type: 'weighed', task: 't', grams: -1 }, false]
  ])('%s', (_, event, taken) => expect(reads(event)).toBe(taken));

  it('come to the same list in any order, each id once, undone or not', () => {
    const events = [
      note('note-0001', 3),
      note('note-0002', 3),
      note('note-0003', 1),
      { id: 'undo-0001', at: 2, type: 'undone' as const, event: 'note-0001' },
      { id: 'end-00001', at: 9, type: 'finished' as const },
      { id: 'undo-0002', at: 10, type: 'undone' as const, event: 'end-00001' },
      { id: 'end-00002', at: 8, type: 'finished' as const }
    ];
    const shuffled = fc.shuffledSubarray([...events, ...events], { minLength: 14, maxLength: 14 });
    fc.assert(
      fc.property(shuffled, (order) => {
        expect(eventsInForce(order).map((e) => e.id)).toEqual(['note-0003', 'note-0002', 'end-00002']);
        expect(finishOf(order)).toBe(8);
      })
    );
  });
});

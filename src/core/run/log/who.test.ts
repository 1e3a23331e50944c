import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { tideline } from '../../../../demo/plans';
import { shelfOf } from '../../document';
import { freeze } from '../snapshot/freeze';
import { handsOf } from './who';
import { type AnyEvent } from './events';

const { tasks } = freeze(tideline, shelfOf(tideline, cards));
const first = (kind: string) => tasks.find((t) => t.kind === kind)!.id;
const [weigh, pour] = [first('weigh'), first('pour')];
const event = (id: string, what: object) => ({ id: `event-${id}`, at: 1, ...what }) as AnyEvent;

describe('whose hands', () => {
  it('weighed and poured is read from what they signed, each named once', () => {
    const events = [
      event('1', { type: 'weighed', task: weigh, grams: 2, by: 'R.' }),
      event('2', { type: 'added', task: weigh, grams: 1, by: 'R.' }),
      event('3', { type: 'added', task: weigh, grams: 1, by: 'T.' }),
      event('4', { type: 'done', task: pour, by: 'Mo.' }),
      event('5', { type: 'note', text: 'a draught', by: 'T.' })
    ];
    expect(handsOf(tasks, events)).toEqual({ weighed: ['R.', 'T.'], poured: ['Mo.'] });
  });

  it('are nobody’s where nothing was signed, or it was undone', () => {
    const events = [
      event('1', { type: 'weighed', task: weigh, grams: 2 }),
      event('2', { type: 'done', task: pour, by: 'T.' }),
      event('3', { type: 'undone', event: 'event-2', by: 'T.' })
    ];
    expect(handsOf(tasks, events)).toEqual({ weighed: [], poured: [] });
  });
});

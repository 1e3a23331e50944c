import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { plans } from '../../../demo/plans';
import { times } from '../soak.testing';
import { foldRun } from './log/fold';
import { event } from './run.testing';
import { freeze } from './snapshot/freeze';
import { conduct, overdrawn, type Moment } from './machine-player.testing';
import { contradictions } from './one-truth.testing';

/** Runs of each plan: all of them together are a thousand in `npm run soak`. */
const RUNS = times(2, 60);

/** What is wrong at a moment of a run, in words. */
const wrongAt = (moment: Moment): string[] => [...overdrawn(moment), ...contradictions(moment)];

/** Of how many moments one is looked at with what was told last taken back. */
const EVERY = 7;

/** Looks whether what was told last, taken back, leaves the run as it was before. */
function undoing() {
  let before: Moment | undefined;
  return (moment: Moment): void => {
    const told = moment.events.slice(before?.events.length ?? 0);
    const [last] = told;
    if (before && last && told.length === 1 && last.type !== 'undone' && moment.events.length % EVERY === 0) {
      const undone = event({ type: 'undone', event: last.id }, moment.now);
      const { tasks, computed } = moment.frozen;
      expect(foldRun(tasks, [...moment.events, undone], computed.division)).toEqual(before.state);
    }
    before = moment;
  };
}

describe('a run that is conducted by an unsteady hand', () => {
  it.each(plans.map((p) => [p.name, p] as const))(
    'of %s comes to its end, gives away no more than there is, says one thing at a time, and takes anything back',
    (_, plan) => {
      const frozen = freeze(plan, cards);
      for (let seed = 0; seed < RUNS; seed++) {
        const undo = undoing();
        conduct(frozen, seed, (moment) => {
          undo(moment);
          const wrong = wrongAt(moment);
          if (wrong.length) expect([seed, moment.state.now?.task.id, ...wrong]).toEqual([]);
        });
      }
    }
  );
});

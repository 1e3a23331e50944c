import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { saltings, tideline } from '../../../demo/plans';
import { foldRun, freeze, type RunEvent } from '../run';
import { done } from '../run/run.testing';
import { traceOf } from '.';

const MINUTE = 60_000;
const T0 = 1_700_000_000_000;

/** A run of which everything was done, a task a minute. */
function whole(plan: typeof tideline) {
  const frozen = freeze(plan, cards);
  const events: RunEvent[] = frozen.tasks.map((t, i) => done(t, T0 + i * MINUTE));
  return { frozen, state: foldRun(frozen.tasks, events, frozen.computed.division) };
}

describe('a piece', () => {
  it('is traced to its cavity, its cups and their minutes at the pour', () => {
    const { frozen, state } = whole(tideline);
    const trace = traceOf(frozen, state, 'knobs', 4);
    expect(trace).toMatchObject({ cavity: 4 });
    expect(trace.bar).toBeUndefined();
    expect(trace.pours.map((p) => p.letter).join('')).toBe('ABC');
    for (const pour of trace.pours) {
      const task = state.tasks.find((t) => t.task.kind === 'pour' && t.task.stepId === pour.stepId)!;
      expect(pour.age).toBeCloseTo((task.doneAt! - state.cups.get(pour.cupId)!.zero!) / MINUTE, 9);
      const window = frozen.computed.score.windows.find((w) => w.cupId === pour.cupId)!;
      expect(pour.until).toBeCloseTo(window.to - window.zero, 9);
      const layer = frozen.computed.groups[0]!.layers.find((l) => l.stepId === pour.stepId)!;
      expect(pour.grams).toBeCloseTo(layer.grams / 6, 6);
    }
  });

  it('of a slab is a bar of one casting', () => {
    const { frozen, state } = whole(saltings);
    const { cutInto } = saltings.groups[0]!;
    expect(traceOf(frozen, state, saltings.groups[0]!.id, 7)).toMatchObject({
      cavity: 1,
      bar: { number: 7, of: cutInto }
    });
    expect(traceOf(frozen, state, saltings.groups[0]!.id, cutInto!).bar!.number).toBe(cutInto);
    // Every round of every jug went into it.
    const rounds = frozen.tasks.filter((t) => t.kind === 'pour').length;
    expect(traceOf(frozen, state, saltings.groups[0]!.id, 7).pours).toHaveLength(rounds);
  });

  it('is traced to the mix that served its casting', () => {
    const turns = { ...tideline, mixes: tideline.mixes.map((m) => ({ ...m, turns: 2 })) };
    const { frozen, state } = whole(turns);
    const mixes = [1, 2, 3, 4, 5, 6].map((n) => traceOf(frozen, state, 'knobs', n).pours[0]!.mix);
    expect(mixes).toEqual([1, 1, 1, 2, 2, 2]);
  });

  it('that was never poured has nothing to be traced to', () => {
    const frozen = freeze(tideline, cards);
    const state = foldRun(frozen.tasks, [], frozen.computed.division);
    expect(traceOf(frozen, state, 'knobs', 1).pours).toEqual([]);
  });
});

import { describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { buoy, eel, saltings, samphire, tideline } from '$demo/plans';
import { foldRun, freeze, type RunEvent, type Task } from '$core/run';
import type { Plan } from '$core/plan';
import { atBench, inCup } from '$core/plan/plans.testing';
import { instructionOf, typedGrams } from './instruction';

/** A run with some of its tasks done: weighed as aimed, or as said. */
function run(plan: Plan, upTo: number, weighed: Record<number, number> = {}) {
  const frozen = freeze(plan, cards);
  const events = frozen.tasks.slice(0, upTo).map((task: Task, i): RunEvent => {
    const at = { id: `event-${String(i).padStart(3, '0')}`, at: 1000 * (i + 1), task: task.id };
    return task.kind === 'weigh'
      ? { ...at, type: 'weighed', grams: weighed[i] ?? task.grams }
      : { ...at, type: 'done' };
  });
  const state = foldRun(frozen.tasks, events, frozen.computed.division);
  return { frozen, state, says: instructionOf(state, frozen.computed, frozen.file) };
}

const kinds = freeze(tideline, cards).tasks.map((t) => t.kind);

describe('the instruction of the moment', () => {
  it('is the first thing open, with its own button, to the end', () => {
    for (let n = 0; n < kinds.length; n++) {
      const { says, frozen } = run(tideline, n);
      expect(says?.key).toBe(frozen.tasks[n]!.id);
      expect(says?.kind).toBe(kinds[n]);
      expect(says?.title).toMatch(/^[A-Z]\S+ \S/);
      expect(says?.confirm).toMatch(/\S/);
      expect(says?.hint).toMatch(/\S/);
    }
    expect(run(tideline, kinds.length).says).toBeUndefined();
  });

  it('reads a cumulative scale over what is in the cup, and a tared one from nothing', () => {
    const first = kinds.indexOf('weigh');
    const inCup = run(tideline, first + 1);
    const { tasks } = inCup.frozen;
    const [a, b] = [tasks[first]!, tasks[first + 1]!];
    if (a.kind !== 'weigh' || b.kind !== 'weigh') throw new Error('two weighings in a row');
    expect(inCup.says).toMatchObject({ kind: 'weigh', before: a.grams, target: b.grams });
    const tared = run(atBench(tideline, { readings: 'tared' }), first + 1);
    expect(tared.says).toMatchObject({ before: 0, target: b.grams });
  });

  it('says what tells that a wait is over: a finger for a layer, nothing where only hours count', () => {
    const hintAt = (plan: Plan, kind: string) => {
      const n = freeze(plan, cards).tasks.findIndex(
        (t) => t.kind === 'gate' && t.holds === undefined && t.all?.[0]?.condition.kind === kind
      );
      return run(plan, n).says?.hint;
    };
    expect(hintAt(tideline, 'state')).toMatch(/^a fingertip leaves a mark.*gloved/);
    expect(hintAt(eel, 'state')).toMatch(/^draws threads: try .* with a stick/);
    expect(hintAt(samphire, 'since')).toBe('it stands until then; other work may go on');
  });

  it('says of what is waited for that it is at trace, or gelled', () => {
    const waits = (plan: Plan) =>
      freeze(plan, cards).tasks.flatMap((t, n) => (t.kind === 'gate' ? [run(plan, n).says?.title] : []));
    expect(waits(buoy)).toContain('Wait until balls 1–4 are at thick trace');
    expect(waits(tideline)).toContain('Wait until knobs 1–6 are gelled');
  });

  it('says how a piece comes out of a mould of rubber, metal or lined timber', () => {
    const hint = (plan: Plan) =>
      run(
        plan,
        freeze(plan, cards).tasks.findIndex((t) => t.kind === 'demould')
      ).says?.hint;
    expect(hint(tideline)).toMatch(/^flex/);
    expect(hint(eel)).toMatch(/^let it cool/);
    expect(hint(saltings)).toMatch(/lining$/);
  });

  it('says where the clock starts', () => {
    const first = kinds.indexOf('weigh');
    expect(run(tideline, first + 1).says?.hint).toBe('the clock starts when you pour it in');
    expect(run(tideline, first).says?.hint).not.toContain('clock');
  });

  it('follows an overshoot: the next part grows in the same measure', () => {
    const first = kinds.indexOf('weigh');
    const { frozen } = run(tideline, 0);
    const [a, b] = [frozen.tasks[first]!, frozen.tasks[first + 1]!];
    if (a.kind !== 'weigh' || b.kind !== 'weigh') throw new Error('two weighings in a row');
    const over = run(tideline, first + 1, { [first]: a.grams * 1.2 });
    const target = over.says?.kind === 'weigh' ? over.says.target : 0;
    expect(target).toBeCloseTo(b.grams * 1.2, 1);
  });

  it('tops up what is short before anything else', () => {
    const first = kinds.indexOf('weigh');
    const { frozen } = run(tideline, 0);
    const [a, b] = [frozen.tasks[first]!, frozen.tasks[first + 1]!];
    if (a.kind !== 'weigh' || b.kind !== 'weigh') throw new Error('two weighings in a row');
    const over = run(tideline, first + 2, { [first + 1]: b.grams * 1.3 });
    expect(over.says).toMatchObject({ topUp: true, confirm: 'Topped up' });
    expect(over.says?.title).toBe(`Top up ${a.name} in the same cup`);
    const target = over.says?.kind === 'weigh' ? over.says.target : 0;
    expect(target).toBeCloseTo(a.grams * 0.3, 1);
  });
});

describe('grams as typed', () => {
  it.each([
    ['12.5', 12.5],
    ['12,5', 12.5],
    ['0.4 kg', 400],
    ['0', 0]
  ])('%s', (text, grams) => expect(typedGrams(text)).toEqual({ ok: true, value: grams }));

  it.each([
    ['-1', 'grams-negative'],
    ['600 kg', 'too-big'],
    ['', 'quantity-empty'],
    ['3 mm', 'quantity-kind']
  ])('%s is %s', (text, code) =>
    expect(typedGrams(text)).toMatchObject({ ok: false, problem: { code, mend: expect.any(String) } })
  );
});

describe('a let-down in a run', () => {
  const letDown = inCup(tideline, tideline.cups[0]!.id, {
    recipe: tideline.cups[0]!.recipe.map((line) => ({ ...line, letDown: 9 as const }))
  });
  const jars = freeze(letDown, cards).computed.letDowns;

  it('is weighed first, into a jar that is named by what is in it', () => {
    expect(jars.length).toBe(2);
    const { says } = run(letDown, 1);
    expect(says?.title).toBe(`Weigh ${jars[0]!.name} into the jar of 1 : 9 ${jars[0]!.name}`);
    expect(says?.hint).toBe('made before any clock runs');
    const carrier = run(letDown, 2).says;
    expect(carrier?.title).toContain(jars[0]!.carrierName);
    expect(carrier?.hint).toContain('rubbed smooth');
    expect(carrier).toMatchObject({
      kind: 'weigh',
      before: expect.closeTo(jars[0]!.colourant, 9),
      target: expect.closeTo(jars[0]!.carrier, 9)
    });
    expect(run(letDown, 3).says?.title).toContain(`1 : 9 ${jars[1]!.name}`);
  });

  it('is followed by the cups, which weigh of it without a clock before their parts meet', () => {
    const after = run(letDown, 1 + 2 * jars.length);
    expect(after.says?.title).toMatch(/^Weigh resin into cup A/);
    expect([...after.state.cups.values()].every((c) => c.zero === undefined)).toBe(true);
  });
});

describe('what is counted in drops', () => {
  const [line] = tideline.cups[0]!.recipe;
  const shelf = {
    ...cards,
    colourants: cards.colourants.map((c) =>
      c.id === line!.colourantId ? { ...c, drop: { grams: 0.03, error: 0.0005 } } : c
    )
  };
  const counted = inCup(tideline, tideline.cups[0]!.id, { recipe: [{ ...line!, percent: 4, by: 'drops' }] });

  it.each([1, 1.5, 0.8])('follows its cup: × %d of the parts', (scale) => {
    const frozen = freeze(counted, shelf);
    const events = frozen.tasks.slice(0, 3).map((task, i): RunEvent => {
      const at = { id: `event-${String(i).padStart(3, '0')}`, at: 1000 * (i + 1), task: task.id };
      return task.kind === 'weigh'
        ? { ...at, type: 'weighed', grams: task.grams * scale }
        : { ...at, type: 'done' };
    });
    const state = foldRun(frozen.tasks, events, 0.01);
    const says = instructionOf(state, frozen.computed, frozen.file);
    const task = frozen.tasks[3]!;
    if (task.kind !== 'weigh') throw new Error('not weighed');
    const drops = Math.round((task.grams * scale) / 0.03);
    expect(says?.title).toMatch(/^Count /);
    expect(says?.hint).toContain(`${drops} drops, counted slowly`);
  });
});

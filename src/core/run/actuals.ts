import type { Weighing } from '../batch';
import type { Computed } from '../plan/compute';
import type { CupMix } from '../plan/cups';
import type { Plan } from '../plan/document';
import type { RunState } from './fold';

const MINUTE = 60_000;

/** Planned beside actual, for one thing that was measured. */
export interface Fact {
  id: string;
  what: string;
  unit: 'g' | '%' | 'min';
  planned: number;
  actual?: number;
}

/** Every measured fact of a run: weights, percentages that came of them, pours and waits. */
export function factsOf(computed: Computed, state: RunState): Fact[] {
  const facts: Fact[] = [];
  const fact = (id: string, what: string, unit: Fact['unit'], planned: number, actual?: number) =>
    facts.push({ id, what, unit, planned, ...(actual === undefined ? {} : { actual }) });
  for (const cup of computed.cups) {
    for (const mix of cup.mixes) {
      const which = cup.mixes.length > 1 ? `, mix ${mix.turn}` : '';
      for (const w of mix.weighings) {
        const id = `weigh:${mix.mixId}:${w.key}`;
        fact(id, `${cup.name}${which}: ${w.name}`, 'g', w.weight, weighedOf(state, mix.mixId, w.key));
        if (w.kind === 'colourant')
          fact(
            `percent:${mix.mixId}:${w.key}`,
            `${cup.name}${which}: ${w.name}`,
            '%',
            w.percent ?? 0,
            actualPercent(mix, state, w)
          );
      }
    }
  }
  for (const mix of computed.common)
    for (const w of mix.weighings)
      fact(
        `weigh:${mix.mixId}:${w.key}`,
        `the mix: ${w.name}`,
        'g',
        w.weight,
        weighedOf(state, mix.mixId, w.key)
      );
  for (const { task, status, actual, doneAt } of state.tasks) {
    const group = 'groupId' in task ? computed.groups.find((g) => g.groupId === task.groupId) : undefined;
    if (task.kind === 'pour') {
      const cup = computed.cups.find((c) => c.cupId === task.cupId);
      const planned = task.gramsEach * task.count;
      fact(
        task.id,
        `${cup?.name} into ${group?.name}`,
        'g',
        planned,
        status === 'done' ? (actual ?? planned) : undefined
      );
    }
    if (task.kind === 'gate') {
      const since = pouredBefore(state, task.id);
      fact(
        task.id,
        `wait: ${task.state}`,
        'min',
        task.minutes,
        doneAt !== undefined && since !== undefined ? (doneAt - since) / MINUTE : undefined
      );
    }
    if (task.kind === 'demould') {
      const since = state.groups[task.groupId]?.lastPour;
      fact(
        task.id,
        `demould ${group?.name}`,
        'min',
        task.from,
        doneAt !== undefined && since !== undefined ? (doneAt - since) / MINUTE : undefined
      );
    }
  }
  return facts;
}

/** When the last pour before a task was done, ms. */
function pouredBefore(state: RunState, taskId: string): number | undefined {
  const index = state.tasks.findIndex((t) => t.task.id === taskId);
  const own = state.tasks[index]?.task;
  const groupId = own && 'groupId' in own ? own.groupId : undefined;
  return state.tasks
    .slice(0, index)
    .filter((t) => t.task.kind === 'pour' && t.task.groupId === groupId)
    .at(-1)?.doneAt;
}

/** What went into a mix of one key in all, g: steps towards a colour added up; undefined before the first is in. */
export function weighedOf(state: RunState, mixId: string, key: string): number | undefined {
  const mine = state.tasks.filter(
    (t) => t.task.kind === 'weigh' && t.task.mixId === mixId && t.task.key === key && t.actual !== undefined
  );
  return mine.length ? mine.reduce((s, t) => s + t.actual!, 0) : undefined;
}

/** The percentage a colourant really came to: planned × (its actual over planned) ÷ (the parts' actual over planned). */
function actualPercent(mix: CupMix, state: RunState, own: Weighing): number | undefined {
  const grams = weighedOf(state, mix.mixId, own.key);
  if (grams === undefined) return undefined;
  const parts = mix.weighings.filter((w) => w.kind === 'part');
  const weighed = parts.map((w) => weighedOf(state, mix.mixId, w.key));
  if (weighed.some((g) => g === undefined)) return undefined;
  const ofPlan = weighed.reduce<number>((s, g) => s + g!, 0) / parts.reduce((s, w) => s + w.exact, 0);
  return ((own.percent ?? 0) * (grams / own.exact)) / ofPlan;
}

/** Relative difference under which a fact counts as having gone to plan. */
const SAME = 0.005;

/**
 * A plan that repeats what was really done: percentages as weighed, layers as poured, gates as waited.
 * Facts within half a percent of the plan keep the plan's own words (so “to the rim” stays “to the rim”).
 */
export function planFromRun(plan: Plan, computed: Computed, state: RunState, id: string, name: string): Plan {
  const facts = new Map(factsOf(computed, state).map((f) => [f.id, f]));
  const changed = (factId: string) => {
    const f = facts.get(factId);
    if (f?.actual === undefined || f.actual <= 0) return undefined;
    return Math.abs(f.actual / f.planned - 1) > SAME ? f.actual : undefined;
  };
  // A step poured from several mixes counts as one.
  const pouredInAll = (stepId: string) => {
    const pours = state.tasks.filter((t) => t.task.kind === 'pour' && t.task.stepId === stepId);
    const own = pours.map((t) => facts.get(t.task.id));
    if (!own.length || own.some((f) => f?.actual === undefined)) return undefined;
    const sum = (pick: (f: Fact) => number) => own.reduce((s, f) => s + pick(f!), 0);
    const [actual, planned] = [sum((f) => f.actual!), sum((f) => f.planned)];
    return actual > 0 && Math.abs(actual / planned - 1) > SAME ? actual : undefined;
  };
  return {
    ...plan,
    id,
    name,
    cups: plan.cups.map((cup) => ({
      ...cup,
      recipe: cup.recipe.map((line) => {
        const percent = changed(`percent:${cup.id}:${line.id}`);
        return percent === undefined ? line : { ...line, percent: Number(percent.toFixed(4)) };
      })
    })),
    steps: plan.steps.map((step) => {
      if (step.act === 'gate') {
        const minutes = changed(`gate:${step.id}`);
        return minutes === undefined ? step : { ...step, minutes: Math.max(0.1, Number(minutes.toFixed(1))) };
      }
      const grams = pouredInAll(step.id);
      const group = computed.groups.find((g) => g.groupId === step.groupId);
      if (grams === undefined || !group) return step;
      const ml =
        grams /
        (computed.cups.find((c) => c.cupId === step.cupId)?.density ?? computed.density) /
        group.count;
      return { ...step, amount: { kind: 'volume' as const, ml: Number(ml.toFixed(3)) } };
    })
  };
}

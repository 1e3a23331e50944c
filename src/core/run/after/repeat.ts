import type { RunFigures } from '../snapshot/figures';
import type { Gate, Plan, Step } from '../../document';
import { withAmount } from '../../pour';
import { factsOf, type Fact } from '../amounts/actuals';
import type { RunState } from '../log/state';

/** Relative difference under which a fact counts as having gone to plan. */
const SAME = 0.005;

/** What really was, where it was measured and differs from the plan. */
interface Differing {
  fact(id: string): number | undefined;
  /** Of a colour of a cup: the pot that it was taken from instead, or that it was left out of all its mixes. */
  became(cupId: string, lineId: string): string | 'left out' | undefined;
  /** Whether everything that a step asks was left out. */
  isLeftOut(stepId: string): boolean;
  /** Grams of one cup poured in one step in all, and ml of that for each cavity. */
  poured(stepId: string): { grams: number; mlEach: number } | undefined;
}

/**
 * A plan that repeats what was really done: percentages as weighed, layers as poured, gates as waited; what was left out stays out,
 * and what went in instead is in. Facts within half a percent of the plan keep the plan's own words (so “to the rim” stays “to the rim”).
 */
export function planFromRun(
  plan: Plan,
  computed: RunFigures,
  state: RunState,
  as: { id: string; name: string }
): Plan {
  const real = differing(computed, state);
  return {
    ...plan,
    ...as,
    cups: plan.cups.map((cup) => ({
      ...cup,
      recipe: cup.recipe.flatMap((line) => {
        const became = real.became(cup.id, line.id);
        if (became === 'left out') return [];
        const swapped = became ? { ...line, colourantId: became } : line;
        const percent = real.fact(`percent:${cup.id}:${line.id}`);
        return percent === undefined
          ? swapped
          : { ...swapped, percent: Math.min(100, Number(percent.toFixed(4))) };
      })
    })),
    steps: plan.steps.map((step) => repeated(step, real))
  };
}

function differing(computed: RunFigures, state: RunState): Differing {
  const facts = new Map(factsOf(computed, state).map((f) => [f.id, f]));
  const differs = (actual: number, planned: number) => actual > 0 && Math.abs(actual / planned - 1) > SAME;
  return {
    fact(id) {
      const f = facts.get(id);
      return f?.actual !== undefined && differs(f.actual, f.planned) ? f.actual : undefined;
    },
    became(cupId, lineId) {
      const own = state.tasks.filter(
        ({ task }) => task.kind === 'weigh' && task.cupId === cupId && task.key === lineId
      );
      if (own.length && own.every((t) => t.status === 'skipped')) return 'left out';
      return own.find((t) => t.instead?.colourantId)?.instead?.colourantId;
    },
    isLeftOut(stepId) {
      const own = state.tasks.filter(
        ({ task }) => (task.kind === 'pour' || task.kind === 'do') && task.stepId === stepId
      );
      return own.length > 0 && own.every((t) => t.status === 'skipped');
    },
    // A step poured from several mixes, or into several cavity sets, counts as one.
    poured(stepId) {
      const pours = state.tasks.flatMap(({ task }) =>
        task.kind === 'pour' && task.stepId === stepId ? [task] : []
      );
      const own = pours.map((t) => facts.get(t.id));
      if (!own.length || own.some((f) => f?.actual === undefined)) return undefined;
      const sum = (pick: (f: Fact) => number) => own.reduce((s, f) => s + pick(f!), 0);
      const [grams, planned] = [sum((f) => f.actual!), sum((f) => f.planned)];
      // Every round goes into the same cavities again.
      const cavities = pours.reduce((s, t) => s + ((t.round?.nth ?? 1) === 1 ? t.count : 0), 0);
      const density = computed.cups.find((c) => c.cupId === pours[0]!.cupId)?.density ?? 0;
      if (!differs(grams, planned) || !(density > 0) || !cavities) return undefined;
      return { grams, mlEach: grams / density / cavities };
    }
  };
}

function repeated(step: Step, real: Differing): Step {
  if (real.isLeftOut(step.id)) return { ...step, muted: true };
  const gates = step.gates.map((gate) => waited(gate, real));
  const poured = real.poured(step.id);
  if (!poured) return { ...step, gates };
  const amount = { kind: 'volume' as const, ml: Number(poured.mlEach.toFixed(3)) };
  return { ...step, gates, act: withAmount(step.act, amount) };
}

/** A gate with the minutes that were really waited; one of several conditions keeps its own. */
function waited(gate: Gate, real: Differing): Gate {
  const minutes = real.fact(`gate:${gate.id}`);
  const [only, ...more] = gate.all;
  if (minutes === undefined || more.length || only?.kind !== 'state') return gate;
  return { ...gate, all: [{ ...only, minutes: Math.max(0.1, Number(minutes.toFixed(1))) }] };
}

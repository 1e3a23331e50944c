import { grouped } from '../../grouped';
import type { Score } from '../../schedule';
import { fixesOf, type Diagnostic, type Fix } from '../../problem';
import type { ResolvedStep } from '../read-steps';
import type { ResolvedPlan } from '../resolve';

/** Traits of an act without which a piece is not itself, or not sound: never offered to be left out. */
const NEEDED = new Set(['embeds', 'demoulds', 'loosens', 'presses', 'clears']);

/**
 * What to drop first where a cup is poured past its window: gestures that are done while it waits and draw nothing, the one
 * that costs the hands most first, then all of them. What is poured, put in or brings the air out stays.
 */
export function dropFirst(plan: ResolvedPlan, score: Score, late: readonly Diagnostic[]): Diagnostic[] {
  return late.map((problem) =>
    problem.code === 'past-window'
      ? { ...problem, fixes: () => [...fixesOf(problem), ...dropping(plan, score, problem)] }
      : problem
  );
}

function dropping(plan: ResolvedPlan, score: Score, problem: Diagnostic): Fix[] {
  const blocks = grouped(score.blocks, (b) => (b.stepId === undefined ? [] : [b.stepId]));
  const pour = blocks.get(problem.stepId ?? '')?.at(-1);
  const window = score.windows.find((w) => w.mixId === pour?.mixId);
  if (!pour || !window) return [];
  const before = plan.steps.flatMap((step) => {
    const own = (blocks.get(step.step.id) ?? []).filter(
      (b) => !b.unattended && b.from >= window.zero - 1e-9 && b.to <= pour.from + 1e-9
    );
    const minutes = own.reduce((s, b) => s + b.to - b.from, 0);
    return minutes > 0 && canBeLeft(step) ? [{ step, minutes }] : [];
  });
  const longest = [...before].sort((a, b) => b.minutes - a.minutes);
  const one = longest.map(({ step, minutes }) => leftOut(plan, [step], minutes));
  const all =
    longest.length > 1
      ? [
          leftOut(
            plan,
            longest.map((x) => x.step),
            longest.reduce((s, x) => s + x.minutes, 0)
          )
        ]
      : [];
  return [...one, ...all];
}

const canBeLeft = ({ own }: ResolvedStep): boolean =>
  own?.definition.group === 'move' &&
  own.definition.cups(own.act).length === 0 &&
  !(own.definition.traits?.(own.act) ?? []).some((t) => NEEDED.has(t));

function leftOut({ plan }: ResolvedPlan, steps: readonly ResolvedStep[], minutes: number): Fix {
  const ids = new Set(steps.map((s) => s.step.id));
  const what = steps.flatMap(({ own }) => (own ? `“${own.definition.name}”` : [])).join(', ');
  return {
    words: `Late? Leave out ${what} first: ${minutes.toFixed(1)} min`,
    edit: { path: ['steps'], value: plan.steps.map((s) => (ids.has(s.id) ? { ...s, muted: true } : s)) }
  };
}

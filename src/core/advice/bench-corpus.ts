import { caseOf, causesOf, nextTime, type Likely } from '../inspect/causes';
import { DEFECTS } from '../inspect/piece';
import { goodRun } from '../inspect/causes/bench.testing';
import { foldRun, freeze, type FrozenRun, type RunEvent } from '../run';
import type { RecordFacts } from '../inspect/causes';
import { computePlan, type Plan } from '../plan';
import type { Problem, ProblemCode } from '../problem';
import type { Shelf } from '../shelf';
import { SLIPS } from './slips';
import type { WellMade } from './well-made';

/** What came of one run of the corpus. */
export interface JudgedRun {
  id: string;
  material: string;
  technique: string;
  /** What was done wrong; none in a run that went to plan. */
  slip: string | undefined;
  /** What should have been named first and was not. */
  missed: readonly string[];
  /** What was named of a run that went to plan, or before the slip. */
  false: string[];
  /** Changes of the plan that change nothing, or bring a warning. */
  badChanges: string[];
}

/** What a plan does on purpose and its log shows: a fact, however well it went. */
const AS_PLANNED: Readonly<Record<string, ProblemCode | undefined>> = {
  'poured-from-high': undefined,
  'shows-through': undefined,
  'went-in-dry': undefined,
  // Its plan says so too, as a note.
  'heavy-colour-stood': 'settles'
};
const isPlanned = (id: string, { computed }: FrozenRun): boolean => {
  if (!(id in AS_PLANNED)) return false;
  const code = AS_PLANNED[id];
  return code === undefined || computed.problems.some((p) => p.code === code);
};

/** Every well-made plan conducted as planned, and with every slip that can happen in it. */
export const judgedRuns = (right: readonly WellMade[]): JudgedRun[] => right.flatMap(runsOf);

function runsOf(made: WellMade): JudgedRun[] {
  const frozen = freeze(made.plan, made.shelf);
  const good = goodRun(frozen);
  const of = { material: made.material, technique: made.technique, badChanges: [] };
  const named = DEFECTS.flatMap((d) =>
    look(frozen, good, d).flatMap((l) => (isPlanned(l.id, frozen) ? [] : [`${d}: ${l.id}`]))
  );
  const right: JudgedRun = { ...of, id: made.id, slip: undefined, missed: [], false: named };
  const slipped = SLIPS.flatMap((slip): JudgedRun[] => {
    const fault = slip.fault?.(frozen);
    if (!fault && !slip.beside) return [];
    const events = fault ? fault(good, frozen) : good;
    const likely = look(frozen, events, slip.defect, slip.beside);
    const first = likely.findIndex((l) => slip.causes.includes(l.id));
    return [
      {
        ...of,
        id: `${made.id}: ${slip.id}`,
        slip: slip.id,
        missed: first < 0 ? slip.causes : [],
        false: likely.slice(0, Math.max(0, first)).map((l) => l.id),
        badChanges: likely.flatMap((l) => badChange(made, l))
      }
    ];
  });
  return [right, ...slipped];
}

function look(
  frozen: FrozenRun,
  events: readonly RunEvent[],
  defect: (typeof DEFECTS)[number],
  beside?: RecordFacts
): Likely[] {
  const state = foldRun(frozen.tasks, events, frozen.computed.division);
  return causesOf(caseOf(frozen, state, frozen.file.plan.groups[0]!.id, beside), defect).likely;
}

/** Why a change of the plan is none: it leaves the plan as it was. */
function badChange(made: WellMade, likely: Likely): string[] {
  const next = nextTime(made.plan, likely, made.shelf);
  if (next.kind === 'change' && !next.differences.length)
    return [`${likely.id} does not say what it changes`];
  return next.kind === 'made' ? [`${likely.id} changes nothing`] : [];
}

/** Warnings that have a cause of their own, told by the same figures. */
const OWN: Partial<Record<ProblemCode, string>> = {
  'colourant-over-limit': 'colour-over-its-limit',
  'colourant-unsuited': 'wrong-colourant-for-it',
  'embed-drifts': 'embed-drifts',
  'reads-as-one': 'low-contrast',
  'white-takes-over': 'white-too-strong'
};

/**
 * What is amiss when a plan is poured past one of its warnings: that it is no candidate for any defect afterwards, that the change
 * which is offered changes nothing, or that the warning is said of the changed plan as well.
 */
export function poured(plan: Plan, shelf: Shelf, warning: Problem): string[] {
  const frozen = freeze(plan, shelf);
  const events = goodRun(frozen);
  const ids = [OWN[warning.code], `warned-${warning.code}`];
  const likely = DEFECTS.flatMap((d) => look(frozen, events, d)).find((l) => ids.includes(l.id));
  if (!likely) return [`${warning.code} is no candidate`];
  if (!warning.edit) return [];
  const next = nextTime(plan, likely, shelf);
  if (next.kind !== 'change') return [`${warning.code} has a mend, and its cause none`];
  if (!next.differences.length) return [`${warning.code}: nothing is said of what its change is`];
  const left = computePlan(next.plan, shelf).problems.filter((p) => p.code === warning.code);
  return left.length < computePlan(plan, shelf).problems.filter((p) => p.code === warning.code).length
    ? []
    : [`${warning.code}: the change to try leaves it as it was`];
}

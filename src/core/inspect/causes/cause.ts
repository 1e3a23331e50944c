import { freshId } from '../../edit';
import { applyEdit } from '../../document/apply-edit';
import { computePlan, type Plan } from '../../plan';
import type { ProblemCode } from '../../problem';
import { type Shelf } from '../../shelf';
import type { Defect } from '../piece';
import type { Case } from './case';

/** What the log points to: the fact, how far outside its bounds it lies, and what to change. */
export interface Pointed {
  /** The logged fact, in one sentence with its figures. */
  fact: string;
  /** How far outside its window or limit it lies, as a share of that; larger is more likely the cause. */
  strength: number;
  /** What to try next time. */
  change: string;
  /** The plan with that change. Absent where a plan cannot hold it: it is a lesson then. */
  apply?: (plan: Plan, shelf: Shelf) => Plan;
}

/** A fact that was never logged: what to note next time. */
export interface Unlogged {
  note: string;
}

/** One likely cause: which defects it makes, and where the log shows it. */
export interface Cause {
  id: string;
  defects: readonly Defect[];
  /** The fact that points to it; what was never logged; or nothing: this was not it. */
  evidence(c: Case): Pointed | Unlogged | undefined;
}

/** The strongest of several facts; undefined of none. */
export const strongest = (all: readonly Pointed[]): Pointed | undefined =>
  all.reduce<Pointed | undefined>((a, b) => (a && a.strength >= b.strength ? a : b), undefined);

/** A step with a gate's own minutes raised to at least so many. */
export const waitAtLeast =
  (gateId: string, atLeast: number) =>
  (plan: Plan): Plan => ({
    ...plan,
    steps: plan.steps.map((s) => ({
      ...s,
      gates: s.gates.map((g) =>
        g.id === gateId
          ? {
              ...g,
              all: g.all.map((x) =>
                x.kind === 'state' || x.kind === 'since'
                  ? { ...x, minutes: Math.max(x.minutes ?? 0, Math.ceil(atLeast)) }
                  : x
              )
            }
          : g
      )
    }))
  });

/** A plan whose step waits first until what lies below it is in a state. */
export const waitFor =
  (stepId: string, state: string) =>
  (plan: Plan): Plan => ({
    ...plan,
    steps: plan.steps.map((s) =>
      s.id === stepId
        ? {
            ...s,
            gates: [
              ...s.gates,
              {
                id: freshId(plan, 'gate'),
                all: [{ kind: 'state' as const, state, of: 'layer below' as const }]
              }
            ]
          }
        : s
    )
  });

/** A plan whose step waits first so many minutes after its pieces left their mould. */
export const waitOutOfMould =
  (stepId: string, groupId: string, minutes: number) =>
  (plan: Plan): Plan => ({
    ...plan,
    steps: plan.steps.map((s) => {
      if (s.id !== stepId) return s;
      const all = [{ kind: 'since' as const, zero: { demoulded: groupId }, minutes }];
      return { ...s, gates: [...s.gates, { id: freshId(plan, 'gate'), all }] };
    })
  });

/** The plan with the mend of its own warning of a kind, as it is proved for the plan of today; that at a path first. */
export const asItsWarningMends =
  (code: ProblemCode, path?: string) =>
  (plan: Plan, shelf: Shelf): Plan => {
    const mends = computePlan(plan, shelf).problems.filter((p) => p.code === code && p.edit);
    const own = mends.find((p) => p.path === path) ?? mends[0];
    return own?.edit ? applyEdit(plan, own.edit) : plan;
  };

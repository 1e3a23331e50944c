import { acts, type ActDefinition, type ActStep, type Trait } from '../pour';
import { inPlan, type Diagnostic } from '../problem';
import { problemsOf } from '../validate';
import type { Memo } from '../memo';
import type { Amount, LearnedHistory, Plan, Step } from '../document';
import { cupDensity, type Made } from './cup-density';
import { missing } from './rules/missing';
import type { CavitySet } from './cavity-sets';

/** One step as it is done in one cavity set of cavities, or at the bench. */
export interface ResolvedAct {
  definition: ActDefinition<{ kind: string }>;
  act: { kind: string };
  step: ActStep;
}

/** Whether an act as it stands in a plan is of a trait; none is not. */
export const hasTrait = (own: ResolvedAct | undefined, trait: Trait): boolean =>
  own?.definition.traits?.(own.act).includes(trait) ?? false;

/** A step with its act read, and where it is done. `here` says what is done in a cavity set; nothing where it is skipped. */
export interface ResolvedStep {
  step: Step;
  cavitySets: readonly CavitySet[];
  here(cavitySetId: string): ResolvedAct | undefined;
  /** The act as the plan has it, without variations; undefined where it could not be read. */
  own: ResolvedAct | undefined;
}

/** Where what is found wrong goes, and what was looked up before. */
export interface Looking {
  memo: Memo;
  problems: Diagnostic[];
}

/** The ids of a list, in its order. */
export const idsOf = (list: readonly { id: string }[]): string[] => list.map(({ id }) => id);

/** What a step is read with: where its problems go, what the record knows, and the cups it may pour. */
interface Known extends Looking {
  learned: LearnedHistory;
  cupOf: ReadonlyMap<string, Made>;
}

/** Every step with its act read, each by itself. */
export function stepsOf(plan: Plan, cavitySets: readonly CavitySet[], known: Known): ResolvedStep[] {
  const { memo, learned, cupOf } = known;
  const groups = memo.of('ids of groups', [idsOf(plan.groups)], () => idsOf(plan.groups));
  const cups = memo.of('ids of cups', [idsOf(plan.cups)], () => idsOf(plan.cups));
  return plan.steps.map((step) => {
    const sets = cavitySets.filter((s) => step.where.includes(s.group.id));
    const densities = isByWeight(step, sets) ? cups.map((id) => cupDensity(cupOf.get(id)!, cupOf)) : [];
    const usual = learned.hands?.get(step.act.kind);
    const { hands, note } = step;
    const act = memo.of(`act ${step.id}`, [step.act, hands, note, usual, cups, densities], () =>
      readAct(step, known)
    );
    const made = memo.of(`step ${step.id}`, [step, act, sets, groups, cups], () =>
      stepOf(step, act.own, sets, { groups: new Set(groups), cups: new Set(cups) })
    );
    known.problems.push(...made.strayed, ...act.problems, ...made.problems);
    return made.step;
  });
}

/** Whether a step is given in grams, somewhere: then what its cups weigh decides how much it pours. */
const isByWeight = ({ id, act }: Step, sets: readonly CavitySet[]): boolean =>
  isWeight((act as { amount?: Partial<Amount> }).amount) ||
  sets.some((s) =>
    s.variations.some((v) => v.stepId === id && 'amount' in v.change && isWeight(v.change.amount))
  );

const isWeight = (amount: Partial<Amount> | undefined): boolean => amount?.kind === 'weight';

/** A step where it is done: what it names that is not there is said. */
function stepOf(
  step: Step,
  own: ResolvedAct | undefined,
  sets: readonly CavitySet[],
  { groups, cups }: { groups: ReadonlySet<string>; cups: ReadonlySet<string> }
): { step: ResolvedStep; strayed: Diagnostic[]; problems: Diagnostic[] } {
  const strayed = step.where.every((id) => groups.has(id))
    ? []
    : [
        missing(
          'group',
          inPlan('steps', step.id, 'where'),
          'This step names cavities that are not in the plan.'
        )
      ];
  const problems = own?.definition.cups(own.act).some((id) => !cups.has(id))
    ? [missing('cup', inPlan('steps', step.id, 'act'), 'This step pours a cup that is not in the plan.')]
    : [];
  const here = step.muted ? [] : sets;
  const varied = new Map(here.map((s) => [s.id, variedAct(own, s, cups)]));
  const done = { step, cavitySets: here, own, here: (cavitySetId: string) => varied.get(cavitySetId) };
  return { step: done, strayed, problems };
}

/** Reads a step's act by its own definition; one that is unknown or ill formed is said and left out. */
function readAct(step: Step, { learned, cupOf }: Known): { own?: ResolvedAct; problems: Diagnostic[] } {
  const about = inPlan('steps', step.id, 'act');
  const definition = acts.find(step.act.kind);
  if (!definition) {
    const unknown: Diagnostic = {
      code: 'act-unknown',
      level: 'stop',
      ...about,
      sentence: `This version knows no act “${step.act.kind}”.`,
      mend: 'Take the step out, or choose another act for it.'
    };
    return { problems: [unknown] };
  }
  const read = acts.readBy(definition, step.act);
  if (!read.success) return { problems: problemsOf(read.error, about.path).map((p) => ({ ...about, ...p })) };
  // The maker's own minutes win; the record's median over what is usual.
  const usual = learned.hands?.get(step.act.kind);
  const hands = step.hands ?? (usual ? { each: usual.each } : undefined);
  const density = (cupId: string) => {
    const cup = cupOf.get(cupId);
    return cup ? cupDensity(cup, cupOf) : 0;
  };
  const at: ActStep = { stepId: step.id, hands, note: step.note, density };
  return { own: { definition, act: read.data, step: at }, problems: [] };
}

/** The act as a cavity set's variation has it; undefined where the cavity set leaves it out, or where its cup is gone. */
function variedAct(
  own: ResolvedAct | undefined,
  cavitySet: CavitySet,
  cups: ReadonlySet<string>
): ResolvedAct | undefined {
  if (!own || own.definition.cups(own.act).some((id) => !cups.has(id))) return undefined;
  const variation = cavitySet.variations.find((v) => v.stepId === own.step.stepId);
  if (!variation) return own;
  const { change } = variation;
  if ('skip' in change) return undefined;
  const cupId = change.cupId !== undefined && cups.has(change.cupId) ? change.cupId : undefined;
  return {
    ...own,
    act: own.definition.changed(own.act, {
      ...(cupId === undefined ? {} : { cup: () => cupId }),
      ...(change.amount ? { amount: change.amount } : {})
    })
  };
}

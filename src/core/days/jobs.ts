import { acts, type Trait } from '../pour';
import type { After, DayTask, Job, Span } from './place';
import type { Computed } from '../plan/computed';
import type { Condition, Plan, Step } from '../document';

/** Hands' time for one casting out of its mould where the plan does not say, minutes. */
const USUAL_DEMOULD = 1;

/** What a plan's order still asks of the days: from when, by when, minutes from the origin of the calendar. */
export interface OrderWindow {
  notBefore: number;
  due?: number | undefined;
}

/** The steps of a plan that are done to a poured piece, with the minutes the score gives them. */
interface AfterStep {
  step: Step;
  busy: Span[];
  length: number;
}

/**
 * The castings of a plan's order, turn by turn, each from its first weighing to its last day: the pour as one stretch with
 * the hands busy where its score has them, then what is done to the piece, each with the windows its gates give it.
 */
export function jobsOf(plan: Plan, computed: Computed, { notBefore, due }: OrderWindow): Job[] {
  const pour = pourTask(plan, computed);
  if (!pour) return [];
  const steps = afterSteps(plan, computed);
  const tasks = [pour, ...tasksAfter(plan, computed, steps)];
  const out = tasks.find((t) => t.id === outOf(steps));
  const turns = computed.order?.turns ?? 1;
  return Array.from({ length: turns }, (_, i): Job => ({
    id: `${plan.id}~${i + 1}`,
    orderId: plan.id,
    name: plan.name,
    turn: i + 1,
    tasks,
    moulds: plan.groups.map((g) => ({ id: g.mouldId, cavities: g.count })),
    freedBy: out?.id ?? IMPLIED,
    notBefore,
    due
  }));
}

/** Where the plan has no step for it, its pieces leave their moulds all the same. */
const IMPLIED = '~demould';
/** What the pour of a casting is called among its tasks. */
export const POUR = '~pour';

function pourTask(plan: Plan, { score }: Computed): DayTask | undefined {
  const busy = score.blocks
    .filter((b) => !b.unattended && b.from < score.ends - 1e-9)
    .map((b) => ({ from: b.from, to: Math.min(b.to, score.ends) }));
  if (!busy.length) return undefined;
  const tools = toolsIn(plan, score, (b) => b.from < score.ends - 1e-9);
  return {
    id: POUR,
    name: 'Weigh and pour',
    busy: merged(busy),
    length: score.ends,
    after: [],
    ...(tools.length ? { tools } : {})
  };
}

/** The one pot for pressure that a workshop has. */
const POT = 'pressure pot';

/** When the score has something in a tool of which there is one, minutes from its start. */
function toolsIn(
  { steps }: Plan,
  { blocks }: Computed['score'],
  counts: (b: Span & { stepId?: string }) => boolean
): (Span & { id: string })[] {
  const inPot = new Set(steps.filter((s) => traitsOf(s).includes('in a pot')).map((s) => s.id));
  return merged(blocks.filter((b) => b.stepId !== undefined && inPot.has(b.stepId) && counts(b))).map(
    (s) => ({
      id: POT,
      from: s.from,
      to: s.to
    })
  );
}

/** Stretches that follow at once as one. */
function merged(spans: readonly Span[]): Span[] {
  const out: Span[] = [];
  for (const s of spans) {
    const last = out.at(-1);
    if (last && s.from <= last.to + 1e-6) last.to = Math.max(last.to, s.to);
    else out.push({ ...s });
  }
  return out;
}

function afterSteps(plan: Plan, { score }: Computed): AfterStep[] {
  return plan.steps.flatMap((step): AfterStep[] => {
    const blocks = score.blocks.filter((b) => b.stepId === step.id && b.from >= score.ends - 1e-9);
    if (!blocks.length || step.muted) return [];
    const { times = 1, every = 0 } = step.act as { times?: number; every?: number };
    const of = (unattended: boolean) =>
      blocks.filter((b) => !!b.unattended === unattended).reduce((s, b) => s + b.to - b.from, 0);
    const once = of(false) / times;
    const busy = Array.from({ length: once > 0 ? times : 0 }, (_, i) => {
      const from = i * Math.max(every, once);
      return { from, to: from + once };
    });
    return [{ step, busy, length: Math.max(of(false) + of(true), busy.at(-1)?.to ?? 0) }];
  });
}

function traitsOf(step: Step): readonly Trait[] {
  const known = acts.read(step.act);
  return known?.definition.traits?.(known.act) ?? [];
}
const demoulds = (step: Step): boolean => traitsOf(step).includes('demoulds');
const outOf = (steps: readonly AfterStep[]): string | undefined =>
  steps.find((s) => demoulds(s.step))?.step.id;

function tasksAfter(plan: Plan, computed: Computed, steps: readonly AfterStep[]): DayTask[] {
  const words = (id: string) => computed.lines.find((l) => l.stepId === id);
  const told = outOf(steps);
  const implied: DayTask[] = told === undefined ? [impliedDemould(computed)] : [];
  const own = steps.map(({ step, busy, length }, i): DayTask => {
    const before = i ? steps[i - 1]!.step.id : (implied[0]?.id ?? POUR);
    const after: After[] = [
      { task: before, edge: 'end', min: 0 },
      ...(step.id === told ? [windowOf(computed)] : []),
      ...step.gates.flatMap((g) => g.all.flatMap((c) => linkOf(c, { plan, computed, steps, told })))
    ];
    const late = step.gates.flatMap((g) => (g.notAfter ? [g.notAfter] : []));
    for (const { zero, minutes } of late)
      for (const link of linkOf({ kind: 'since', zero, minutes }, { plan, computed, steps, told }))
        after.push({ ...link, min: 0, max: link.min });
    return { id: step.id, name: words(step.id)?.act ?? step.act.kind, busy, length, after };
  });
  return [...implied, ...own];
}

/** From firm to the late edge, counted from the start of the pour as the score has it. */
function windowOf({ score }: Computed): After {
  const from = Math.max(0, ...score.demould.map((d) => d.from));
  const to = Math.min(Infinity, ...score.demould.map((d) => Math.max(d.to, from)));
  return { task: POUR, edge: 'start', min: from, ...(Number.isFinite(to) ? { max: to } : {}) };
}

function impliedDemould(computed: Computed): DayTask {
  const length = USUAL_DEMOULD * computed.groups.reduce((s, g) => s + g.count, 0);
  return {
    id: IMPLIED,
    name: 'Demould',
    busy: [{ from: 0, to: length }],
    length,
    after: [{ task: POUR, edge: 'end', min: 0 }, windowOf(computed)]
  };
}

interface Within {
  plan: Plan;
  computed: Computed;
  steps: readonly AfterStep[];
  told: string | undefined;
}

/** A condition that counts from a zero, as a link of the days; what only looking tells is none. */
function linkOf(c: Condition, { computed, steps, told }: Within): After[] {
  if (c.kind !== 'since') return [];
  const { zero, minutes } = c;
  if ('demoulded' in zero) return [{ task: told ?? IMPLIED, edge: 'end', min: minutes }];
  if ('stepDone' in zero) {
    if (steps.some((s) => s.step.id === zero.stepDone))
      return [{ task: zero.stepDone, edge: 'end', min: minutes }];
    const ends = computed.score.blocks.filter((b) => b.stepId === zero.stepDone).map((b) => b.to);
    return ends.length ? [{ task: POUR, edge: 'start', min: Math.max(...ends) + minutes }] : [];
  }
  return [];
}

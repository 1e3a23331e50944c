import { acts } from '../pour';
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
  const pours = pourTasks(plan, computed);
  if (!pours.length) return [];
  const steps = afterSteps(plan, computed);
  const tasks = [...pours, ...tasksAfter(plan, computed, steps)];
  const out = tasks.find((t) => t.id === outOf(steps));
  const turns = computed.order?.turns ?? 1;
  return Array.from({ length: turns }, (_, i): Job => ({
    id: `${plan.id}~${i + 1}`,
    orderId: plan.id,
    name: plan.name,
    turn: i + 1,
    tasks,
    moulds: mouldsOf(plan, computed),
    freedBy: out?.id ?? IMPLIED,
    notBefore,
    due
  }));
}

/** Where the plan has no step for it, its pieces leave their moulds all the same. */
const IMPLIED = '~demould';
/** What the pour of a casting is called among its tasks; later stretches of it have their number after it. */
export const POUR = '~pour';

/** What is done of a plan until it is poured, stretch by stretch of the hands: the days place the nights between them. */
function pourTasks(plan: Plan, computed: Computed): DayTask[] {
  const stretches = stretchesOf(computed.score);
  const { blocks } = computed.score;
  return stretches.map((s, i): DayTask => {
    const within = blocks.filter((b) => s.from - 1e-9 <= b.from && b.from < s.to - 1e-9);
    const hands = within.filter((b) => !b.unattended);
    const shift = (b: Span): Span => ({ from: b.from - s.from, to: Math.min(b.to, s.to) - s.from });
    const tools = toolsIn(plan, within).map(({ id, ...span }) => ({ id, ...shift(span) }));
    const before = stretches[i - 1];
    return {
      id: s.id,
      name: stretchName(computed, hands, i),
      busy: merged(hands.map(shift)),
      length: s.to - s.from,
      after: before ? [{ task: before.id, edge: 'start', min: s.from - before.from }] : [],
      ...(tools.length ? { tools } : {})
    };
  });
}

/** A stretch that mixes is a pour; one in between is what its first step says. */
function stretchName(
  { lines }: Computed,
  hands: readonly { act: string; stepId?: string }[],
  i: number
): string {
  if (!i) return 'Weigh and pour';
  if (hands.some((b) => b.act !== 'do')) return 'Weigh and pour again';
  return lines.find((l) => l.stepId === hands[0]?.stepId)?.act ?? 'Go on';
}

/** So long away from the bench, with nothing mixed that stands open, that the days may make it longer, minutes. */
const AWAY = 240;

/** A stretch of the score until the pour is done, minutes from its start, with the name of its task. */
interface Stretch extends Span {
  id: string;
}

/** The score until all is poured, cut where the hands are away for hours. The last one goes on to the end of the pour. */
function stretchesOf({ blocks, windows, ends }: Computed['score']): Stretch[] {
  const hands = blocks.filter((b) => !b.unattended && b.from < ends - 1e-9);
  const cuts = hands.flatMap((b, i) => {
    const last = hands[i - 1];
    if (!last || b.from - last.to <= AWAY) return [];
    const open = windows.some((w) => w.from < b.from && w.to > b.from);
    return open ? [] : [{ to: last.to, from: b.from }];
  });
  if (!hands.length) return [];
  return [0, ...cuts.map((c) => c.from)].map((from, i) => ({
    id: i ? `${POUR}~${i + 1}` : POUR,
    from,
    to: cuts[i]?.to ?? ends
  }));
}

/** The one pot for pressure that a workshop has. */
const POT = 'pressure pot';

/** When the score has something in a tool of which there is one, minutes from its start. */
function toolsIn(
  { steps }: Plan,
  blocks: readonly (Span & { stepId?: string })[]
): (Span & { id: string })[] {
  const inPot = new Set(steps.filter((s) => acts.traits(s.act).includes('in a pot')).map((s) => s.id));
  return merged(blocks.filter((b) => b.stepId !== undefined && inPot.has(b.stepId))).map((s) => ({
    id: POT,
    from: s.from,
    to: s.to
  }));
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

const demoulds = (step: Step): boolean => acts.traits(step.act).includes('demoulds');
const outOf = (steps: readonly AfterStep[]): string | undefined =>
  steps.find((s) => demoulds(s.step))?.step.id;

function tasksAfter(plan: Plan, computed: Computed, steps: readonly AfterStep[]): DayTask[] {
  const words = (id: string) => computed.lines.find((l) => l.stepId === id);
  const told = outOf(steps);
  const implied: DayTask[] = told === undefined ? [impliedDemould(plan, computed)] : [];
  const own = steps.map(({ step, busy, length }, i): DayTask => {
    const before = i ? steps[i - 1]!.step.id : (implied[0]?.id ?? lastPour(computed).id);
    const after: After[] = [
      { task: before, edge: 'end', min: 0 },
      ...(step.id === told ? [windowOf(plan, computed)] : []),
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

/** The stretch in which the last of it is poured. */
const lastPour = ({ score }: Computed): Stretch => stretchesOf(score).at(-1)!;

/** From firm to the late edge of what is still in its mould, counted from the stretch in which the last of it is poured. */
function windowOf(plan: Plan, computed: Computed): After {
  const { score } = computed;
  const gone = outWhilePoured(plan, computed);
  const still = score.demould.filter((d) => !gone.has(d.groupId));
  const { id, from: start } = lastPour(computed);
  const from = Math.max(0, ...still.map((d) => d.from - start));
  const to = Math.min(Infinity, ...still.map((d) => Math.max(d.to - start, from)));
  return { task: id, edge: 'start', min: from, ...(Number.isFinite(to) ? { max: to } : {}) };
}

/** Cavities whose castings are out of their moulds before the last of the plan is poured. */
function outWhilePoured({ steps }: Plan, { score }: Computed): Set<string> {
  const early = new Set(score.blocks.flatMap((b) => (b.from < score.ends - 1e-9 ? (b.stepId ?? []) : [])));
  return new Set(steps.filter((s) => demoulds(s) && early.has(s.id)).flatMap((s) => s.where));
}

/** Moulds that a casting holds: one that serves two groups one after the other is counted once. */
function mouldsOf(plan: Plan, computed: Computed): { id: string; cavities: number }[] {
  const gone = outWhilePoured(plan, computed);
  const ids = [...new Set(plan.groups.map((g) => g.mouldId))];
  return ids.map((id) => {
    const own = plan.groups.filter((g) => g.mouldId === id);
    const [first, second] = [own.filter((g) => gone.has(g.id)), own.filter((g) => !gone.has(g.id))];
    const sum = (groups: typeof own) => groups.reduce((s, g) => s + g.count, 0);
    return { id, cavities: Math.max(sum(first), sum(second)) };
  });
}

function impliedDemould(plan: Plan, computed: Computed): DayTask {
  const length = USUAL_DEMOULD * computed.groups.reduce((s, g) => s + g.count, 0);
  return {
    id: IMPLIED,
    name: 'Demould',
    busy: [{ from: 0, to: length }],
    length,
    after: [{ task: lastPour(computed).id, edge: 'end', min: 0 }, windowOf(plan, computed)]
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
    if (!ends.length) return [];
    const end = Math.max(...ends);
    const stretch = stretchesOf(computed.score).findLast((s) => s.from < end) ?? lastPour(computed);
    return [{ task: stretch.id, edge: 'start', min: end - stretch.from + minutes }];
  }
  return [];
}

import type { Plan } from '../document';
import { figuresOf } from '../plan';
import { tasksOf, type GateTask } from '../run';
import type { Shelf } from '../shelf';
import { duration, figure } from '../quantity';

/** One thing that is otherwise in two plans, as each has it; nothing where one has none. */
export interface PlanDifference {
  what: string;
  before: string;
  after: string;
}

/** What is otherwise in a plan after a change: its settings, its recipes, its pours, and every step with what it waits for. */
export function planDifferences(before: Plan, after: Plan, shelf: Shelf): PlanDifference[] {
  const [a, b] = [saidOf(before, shelf), saidOf(after, shelf)];
  const found = [...new Set([...a.keys(), ...b.keys()])].flatMap((key) => {
    const [x, y] = [a.get(key), b.get(key)];
    return x?.words === y?.words
      ? []
      : [{ what: (y ?? x)!.what, before: x?.words ?? '', after: y?.words ?? '' }];
  });
  return [...found, ...movedSteps(before, after, (id) => a.get(`step:${id}`)?.words ?? id)];
}

/** Steps that follow one another in another order, as far as both plans have them. */
function movedSteps(before: Plan, after: Plan, wordsOf: (id: string) => string): PlanDifference[] {
  const ids = (plan: Plan, other: Plan) =>
    plan.steps.flatMap((s) => (other.steps.some((o) => o.id === s.id) ? [s.id] : []));
  const [was, is] = [ids(before, after), ids(after, before)];
  const first = was.findIndex((id, i) => id !== is[i]);
  if (first < 0) return [];
  const last = was.findLastIndex((id, i) => id !== is[i]);
  const said = (all: string[]) =>
    all
      .slice(first, last + 1)
      .map(wordsOf)
      .join(', then ');
  return [{ what: 'order', before: said(was), after: said(is) }];
}

type Said = Map<string, { what: string; words: string }>;

/** Everything a plan says, by what says it. */
function saidOf(plan: Plan, shelf: Shelf): Said {
  const said: Said = new Map();
  const say = (key: string, what: string, words: string) => said.set(key, { what, words });
  say('room', 'room', figure(plan.bench.roomCelsius, '°C'));
  const named = (all: readonly { id: string; name: string }[], id: string | undefined) =>
    all.find((x) => x.id === id)?.name;
  say('scales', 'scales', plan.bench.scaleIds.map((id) => named(shelf.scales, id) ?? id).join(', '));
  const vessel = (key: string, what: string, id: string | undefined) => {
    const name = named(shelf.vessels, id);
    if (name) say(`vessel:${key}`, `vessel of ${what}`, name);
  };
  for (const m of plan.mixes) vessel(`mix:${m.id}`, 'the mix', m.vesselId);
  for (const cup of plan.cups) vessel(`cup:${cup.id}`, cup.name, cup.vesselId);
  for (const m of plan.mixes) {
    const base = shelf.bases.find((b) => b.id === m.baseId)?.name ?? m.baseId;
    say(`mix:${m.id}`, 'mixed', m.turns && m.turns > 1 ? `${base}, in ${m.turns} batches` : base);
  }
  for (const g of plan.groups) {
    const mould = shelf.moulds.find((m) => m.id === g.mouldId)?.name ?? g.mouldId;
    say(`group:${g.id}`, g.name, `${g.count} × ${mould}`);
  }
  for (const cup of plan.cups)
    for (const line of cup.recipe) {
      const name = shelf.colourants.find((c) => c.id === line.colourantId)?.name ?? 'a colour';
      const thinned = line.letDown ? `, thinned 1 : ${line.letDown}` : '';
      say(
        `line:${cup.id}:${line.id}`,
        cup.name,
        `${name} ${Number(line.percent.toPrecision(4))} %${thinned}`
      );
    }
  saySteps(plan, shelf, say);
  return said;
}

/** Every step as its line says it, what it measures, its note, and what it waits for. */
function saySteps(
  plan: Plan,
  shelf: Shelf,
  say: (key: string, what: string, words: string) => unknown
): void {
  const figures = figuresOf(plan, shelf);
  const waits = tasksOf(plan, figures).flatMap((t) => (t.kind === 'gate' ? [t] : []));
  for (const [i, step] of plan.steps.entries()) {
    const line = figures.lines.find((l) => l.stepId === step.id);
    const words = [line?.line, line?.measures, step.note].filter(Boolean).join(' · ');
    say(`step:${step.id}`, `step ${i + 1}`, step.muted ? `${words} (left out)` : words);
    const own = waits.filter((t) => t.stepId === step.id);
    if (own.length)
      say(
        `wait:${step.id}`,
        `before step ${i + 1}`,
        own.map((t) => `wait until ${(t.all ?? []).map(waitWords).join(', and ')}`).join('; ')
      );
  }
}

/** A condition with the minutes after which it counts as met. */
function waitWords({ words, minutes, condition }: NonNullable<GateTask['all']>[number]): string {
  const own = 'minutes' in condition && condition.minutes !== undefined;
  if (minutes === undefined || minutes <= 0) return words;
  return `${words}, ${own ? 'by your own clock' : 'by the clock'} after ${duration(minutes)}`;
}

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

type Say = (key: string, what: string, words: string) => unknown;

/** Everything a plan says, by what says it. */
function saidOf(plan: Plan, shelf: Shelf): Said {
  const said: Said = new Map();
  const say: Say = (key, what, words) => said.set(key, { what, words });
  sayBench(plan, shelf, say);
  sayRecipes(plan, shelf, say);
  saySteps(plan, shelf, say);
  return said;
}

const nameIn = (all: readonly { id: string; name: string }[], id: string | undefined) =>
  all.find((x) => x.id === id)?.name ?? id ?? '';

/** The room, the scales, the moulds, and what is mixed in which vessel. */
function sayBench({ bench, mixes, groups }: Plan, shelf: Shelf, say: Say): void {
  say('room', 'room', figure(bench.roomCelsius, '°C'));
  say('scales', 'scales', bench.scaleIds.map((id) => nameIn(shelf.scales, id)).join(', '));
  for (const m of mixes) {
    const base = nameIn(shelf.bases, m.baseId);
    say(`mix:${m.id}`, 'mixed', m.turns && m.turns > 1 ? `${base}, in ${m.turns} batches` : base);
    if (m.vesselId) say(`vessel:${m.id}`, 'vessel of the mix', nameIn(shelf.vessels, m.vesselId));
  }
  for (const g of groups) say(`group:${g.id}`, g.name, `${g.count} × ${nameIn(shelf.moulds, g.mouldId)}`);
}

/** Every line of every cup, and the cup's own vessel. */
function sayRecipes({ cups }: Plan, shelf: Shelf, say: Say): void {
  for (const cup of cups) {
    if (cup.vesselId) say(`vessel:${cup.id}`, `vessel of ${cup.name}`, nameIn(shelf.vessels, cup.vesselId));
    for (const line of cup.recipe) {
      const thinned = line.letDown ? `, thinned 1 : ${line.letDown}` : '';
      const amount = `${Number(line.percent.toPrecision(4))} %${thinned}`;
      say(`line:${cup.id}:${line.id}`, cup.name, `${nameIn(shelf.colourants, line.colourantId)} ${amount}`);
    }
  }
}

/** Every step as its line says it, what it measures, its note, and what it waits for. */
function saySteps(plan: Plan, shelf: Shelf, say: Say): void {
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

import { acts } from '../pour';
import type { Found, Mend } from '../problem';
import { HATCHES, mixIdOf, type Cup, type Mix, type Plan, type Step } from './document';
import { freshId } from './fresh-id';
import { eachByItself, freshMix } from './mixing';
import type { ResolvedPlan } from './resolve';

/**
 * The plan with a second batch for some of its steps: from mixes of their own. A cup that other steps pour too stands in it
 * once more, alike; one that only these pour is made from the new mix. Nothing where that changes nothing, or every letter is
 * taken.
 */
export function withSecondBatch(plan: Plan, stepIds: ReadonlySet<string>): Plan | undefined {
  const drawn = plan.steps.flatMap((s) => (stepIds.has(s.id) ? cupsOf(s) : []));
  const needed = withSources(plan, drawn);
  const elsewhere = new Set(plan.steps.flatMap((s) => (stepIds.has(s.id) ? [] : cupsOf(s))));
  const stays = new Set(withSources(plan, [...elsewhere]).map((c) => c.id));
  const letters = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].filter((l) => !plan.cups.some((c) => c.letter === l));
  if (!needed.length || letters.length < needed.filter((c) => stays.has(c.id)).length) return undefined;
  const mixes = mixesAgain(plan, needed, stays);
  let made: Plan = { ...plan, mixes: [...plan.mixes, ...mixes.values()] };
  const again = new Map<string, string>();
  for (const cup of needed) {
    const copy = stays.has(cup.id) ? cupAgain(made, cup, letters.shift()!) : cup;
    again.set(cup.id, copy.id);
    // What it is poured together from comes before it, so its own second is known already.
    const from: Cup['from'] =
      'mix' in cup.from
        ? { mix: mixes.get(cup.from.mix)?.id ?? cup.from.mix }
        : { cups: cup.from.cups.map((p) => ({ ...p, cupId: again.get(p.cupId) ?? p.cupId })) };
    const others = made.cups.filter((c) => c.id !== copy.id);
    const at = made.cups.findIndex((c) => c.id === copy.id);
    made = { ...made, cups: others.toSpliced(at < 0 ? others.length : at, 0, { ...copy, from }) };
  }
  if (!mixes.size && [...again].every(([id, copy]) => id === copy)) return undefined;
  const own = (id: string) => again.get(id) ?? id;
  return { ...made, steps: plan.steps.map((s) => (stepIds.has(s.id) ? drawingFrom(s, own) : s)) };
}

/** A pour past its cup's window can be made from a second batch of the same recipe, mixed for it. */
export const secondBatches = ({ plan, mixes }: ResolvedPlan, late: readonly Found[]): Found[] =>
  late.map((problem) => {
    if (problem.code !== 'past-window') return problem;
    const stepId = problem.path.split('/').at(-1)!;
    const second = withSecondBatch(plan, new Set([stepId]));
    const base = baseOfStep(plan, stepId);
    const least = second && enough(second, plan, mixes);
    const tries = [
      ...moreMixes(plan, stepId),
      ...(second ? [{ words: 'Mix a second batch for it, just before', edit: whole(second) }] : []),
      ...(least
        ? [{ words: 'Mix a second batch for it, the least its base can be mixed in', edit: whole(least) }]
        : []),
      ...(base
        ? [{ words: 'Mix each cup by itself, when its turn comes', edit: whole(eachByItself(plan, base)) }]
        : [])
    ];
    return { ...problem, tries: [...(problem.tries ?? []), ...tries] };
  });

/** Turns beyond what is planned that are tried. */
const MORE_TURNS = 3;

/** A step's cup mixed more often, for fewer cavities each time; a split mix turns with all that it feeds. */
function moreMixes(plan: Plan, stepId: string): Mend[] {
  const drawn = plan.steps.filter((s) => s.id === stepId).flatMap(cupsOf);
  const mixIds = new Set(withSources(plan, drawn).map(mixIdOf));
  return plan.mixes
    .filter((m) => mixIds.has(m.id))
    .flatMap((m) =>
      Array.from({ length: MORE_TURNS }, (_, i) => (m.turns ?? 1) + 1 + i).map((turns) => ({
        words: `Make it in ${turns} mixes, for fewer cavities each`,
        edit: { path: ['mixes', m.id, 'turns'], value: turns }
      }))
    );
}

/** The same with as much of each new cup as its base needs to be stirred well; what is over is kept. */
function enough(second: Plan, before: Plan, mixes: ResolvedPlan['mixes']): Plan {
  const least = new Map([...mixes.values()].map((m) => [m.base.id, m.base.leastMix]));
  const had = new Set(before.mixes.map((m) => m.id));
  const made = new Map(
    second.mixes.flatMap((m) => (had.has(m.id) ? [] : [[m.id, least.get(m.baseId)] as const]))
  );
  const cups = second.cups.map((c) => {
    const grams = made.get(mixIdOf(c) ?? '');
    return grams ? { ...c, atLeast: Math.max(c.atLeast ?? 0, grams) } : c;
  });
  return { ...second, cups };
}

const whole = (value: Plan) => ({ path: [], value });

/** The base of a step's cup, where that cup is a portion of a mix that feeds others too. */
function baseOfStep(plan: Plan, stepId: string): string | undefined {
  const drawn = plan.steps.filter((s) => s.id === stepId).flatMap(cupsOf);
  const mixIds = new Set(withSources(plan, drawn).map(mixIdOf));
  return plan.mixes.find((m) => m.feeds === 'split' && mixIds.has(m.id))?.baseId;
}

const cupsOf = (step: Step): string[] => {
  const known = acts.read(step.act);
  return known?.definition.amount ? known.definition.cups(known.act) : [];
};

/** Cups and all that they are poured together from, each once, what is poured from first. */
function withSources(plan: Plan, ids: readonly string[]): Cup[] {
  const found = new Map<string, Cup>();
  const add = (id: string) => {
    const cup = plan.cups.find((c) => c.id === id);
    if (!cup || found.has(id)) return;
    if ('cups' in cup.from) cup.from.cups.forEach((p) => add(p.cupId));
    found.set(id, cup);
  };
  ids.forEach(add);
  return [...found.values()];
}

/** The same mixes once more, by the first's id; a mix that only these steps' cups come from is theirs already. */
function mixesAgain(plan: Plan, needed: readonly Cup[], stays: ReadonlySet<string>): Map<string, Mix> {
  const again = new Map<string, Mix>();
  const taken = [...plan.mixes];
  for (const mix of plan.mixes) {
    const fed = (cups: readonly Cup[]) => cups.filter((c) => 'mix' in c.from && c.from.mix === mix.id);
    const own = fed(needed);
    const moved = new Set(own.filter((c) => !stays.has(c.id)).map((c) => c.id));
    if (!own.length || fed(plan.cups).every((c) => moved.has(c.id))) continue;
    const { turns: _, ...alike } = mix;
    const id = freshMix(taken, `${mix.id}-again`);
    const second: Mix = { ...alike, id, feeds: own.length > 1 ? 'split' : 'one cup' };
    taken.push(second);
    again.set(mix.id, second);
  }
  return again;
}

function cupAgain(plan: Plan, cup: Cup, letter: string): Cup {
  const used = new Set(plan.cups.map((c) => c.hatch));
  const names = new Set(plan.cups.map((c) => c.name));
  const named = (n: number) => `${cup.name.slice(0, 36)} ${n}`;
  let n = 2;
  while (names.has(named(n))) n++;
  // What is kept back, and a floor for leftovers, belong to the first of the two.
  const { reserve: _, atLeast: __, ...alike } = cup;
  return {
    ...alike,
    id: freshId(plan, 'cup'),
    letter,
    name: named(n),
    hatch: HATCHES.find((h) => !used.has(h)) ?? cup.hatch
  };
}

/** A step that draws from other cups, its own gates on them included. */
function drawingFrom(step: Step, own: (id: string) => string): Step {
  const known = acts.read(step.act);
  if (!known) return step;
  return {
    ...step,
    act: known.definition.changed(known.act, { cup: own }) as Step['act'],
    gates: step.gates.map((gate) => ({
      ...gate,
      all: gate.all.map((c) =>
        (c.kind === 'state' || c.kind === 'probe') && typeof c.of === 'object' && 'cup' in c.of
          ? { ...c, of: { cup: own(c.of.cup) } }
          : c
      )
    }))
  };
}

import { acts } from '../pour';
import { HATCHES, type Cup, type Mix, type Plan, type Step } from '../document';
import { freshId } from './fresh-id';
import { freshMix } from '../document/mixing';

/**
 * The plan with a second batch for some of its steps: from mixes of their own. A cup that other steps pour too stands in it
 * once more, alike; one that only these pour is made from the new mix. Nothing where that changes nothing, or every letter is
 * taken.
 */
export function withSecondBatch(plan: Plan, stepIds: ReadonlySet<string>): Plan | undefined {
  const drawn = plan.steps.flatMap((s) => (stepIds.has(s.id) ? cupsPouredBy(s) : []));
  const needed = withSources(plan, drawn);
  const elsewhere = new Set(plan.steps.flatMap((s) => (stepIds.has(s.id) ? [] : cupsPouredBy(s))));
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

/** Ids of the cups that a step pours by an amount. */
export const cupsPouredBy = (step: Step): string[] => {
  const known = acts.read(step.act);
  return known?.definition.amount ? known.definition.cups(known.act) : [];
};

/** Cups and all that they are poured together from, each once, what is poured from first. */
export function withSources(plan: Plan, ids: readonly string[]): Cup[] {
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

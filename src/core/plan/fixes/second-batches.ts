import { fixesOf, type Diagnostic, type Fix } from '../../problem';
import { mixIdOf, type Group, type Plan } from '../../document';
import { counted } from '../../quantity';
import { eachByItself, splitAll } from '../../document/mixing';
import type { ResolvedPlan } from '../resolve';
import { cupsPouredBy, withSecondBatch, withSources } from '../../edit/second-batch';

/** A pour past its cup's window can be made from a second batch of the same recipe, mixed for it. */
export const secondBatches = (plan: ResolvedPlan, late: readonly Diagnostic[]): Diagnostic[] =>
  late.map((problem) => {
    const { code, stepId } = problem;
    if (code !== 'past-window' || stepId === undefined) return problem;
    return { ...problem, fixes: () => [...fixesOf(problem), ...batchesFor(plan, stepId)] };
  });

function batchesFor({ plan, mixes }: ResolvedPlan, stepId: string): Fix[] {
  const second = withSecondBatch(plan, new Set([stepId]));
  const base = baseOfStep(plan, stepId);
  const least = second && enough(second, plan, mixes);
  return [
    ...moreMixes(plan, stepId),
    ...fewerAtOnce(plan, stepId),
    ...(second ? [{ words: 'Mix a second batch for it, just before', edit: whole(second) }] : []),
    ...(least
      ? [{ words: 'Mix a second batch for it, the least that can be mixed', edit: whole(least) }]
      : []),
    ...(base
      ? [
          {
            words: 'Mix each cup on its own, just before it is poured',
            edit: whole(eachByItself(plan, base))
          }
        ]
      : []),
    ...oneBatch(plan, stepId)
  ];
}

/** Turns beyond what is planned that are tried. */
const MORE_TURNS = 3;

/** A step's cup mixed more often, for fewer cavities each time; a split mix turns with all that it feeds. */
function moreMixes(plan: Plan, stepId: string): Fix[] {
  const drawn = plan.steps.filter((s) => s.id === stepId).flatMap(cupsPouredBy);
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

/** Fewer cavities filled at one pour, where an order says how many pieces are wanted in all: it takes more pours. */
function fewerAtOnce(plan: Plan, stepId: string): Fix[] {
  const step = plan.steps.find((s) => s.id === stepId);
  const [group, ...others] = plan.groups.filter((g) => step?.where.includes(g.id));
  if (!plan.order || !group || others.length) return [];
  const fewer = [2 / 3, 1 / 2, 1 / 4, 1 / 8].map((share) => Math.floor(group.count * share));
  return [...new Set(fewer)]
    .filter((n) => n >= 1 && n < group.count)
    .map((n) => ({
      words: `Fill ${counted(n, 'cavity', 'cavities')} at a time, in more pours`,
      edit: { path: ['groups', group.id], value: { ...withoutVariationsBeyond(group, n), count: n } }
    }));
}

/** A group whose variations speak only of the cavities it has left. */
function withoutVariationsBeyond(group: Group, count: number): Group {
  if (!group.variations) return group;
  const variations = group.variations.flatMap((v) => {
    const cavities = v.cavities.filter((n) => n <= count);
    return cavities.length ? [{ ...v, cavities }] : [];
  });
  return { ...group, variations };
}

/** The cups of a step that are mixed one after another, divided from one mix: the clock of all of them starts late, and once. */
function oneBatch(plan: Plan, stepId: string): Fix[] {
  const drawn = plan.steps.filter((s) => s.id === stepId).flatMap(cupsPouredBy);
  const mixIds = new Set(withSources(plan, drawn).map(mixIdOf));
  const [mix, ...others] = plan.mixes.filter((m) => mixIds.has(m.id));
  if (!mix || !others.length || others.some((m) => m.baseId !== mix.baseId)) return [];
  return [{ words: 'Mix one batch, then divide and colour it', edit: whole(splitAll(plan, mix.baseId)) }];
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
  const drawn = plan.steps.filter((s) => s.id === stepId).flatMap(cupsPouredBy);
  const mixIds = new Set(withSources(plan, drawn).map(mixIdOf));
  return plan.mixes.find((m) => m.feeds === 'split' && mixIds.has(m.id))?.baseId;
}

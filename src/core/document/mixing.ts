import type { Cup } from './cup';
import type { Mix } from './mix';
import type { Plan } from './plan';

/** How the cups of a plan are made: each mixed on its own, or all split from one mix. Mixed plans are neither. */
export function mixingOf(plan: Plan): 'each' | 'split' | 'both' {
  const feeds = new Set(plan.mixes.map((m) => m.feeds));
  if (feeds.size > 1) return 'both';
  return feeds.has('split') ? 'split' : 'each';
}

/** The base that all mixes of a plan are of; undefined where there are several. */
export function oneBase(plan: Plan): string | undefined {
  const bases = new Set(plan.mixes.map((m) => m.baseId));
  return bases.size === 1 ? [...bases][0] : undefined;
}

/** An id that no mix has yet. */
export function freshMix(taken: readonly Mix[], wanted: string): string {
  const ids = new Set(taken.map((m) => m.id));
  const own = wanted.slice(0, 56);
  if (!ids.has(own)) return own;
  for (let n = 2; ; n++) if (!ids.has(`${own}-${n}`)) return `${own}-${n}`;
}

/** One mix of a base, split into all cups that are made of it: one batch, coloured cup by cup. */
export function splitAll(plan: Plan, baseId: string): Plan {
  const mine = plan.mixes.filter((m) => m.baseId === baseId);
  const ids = new Set(mine.map((m) => m.id));
  const others = plan.mixes.filter((m) => !ids.has(m.id));
  const pot: Mix = {
    id: freshMix(others, 'mix'),
    baseId,
    feeds: 'split',
    ...handledAlike(mine)
  };
  const cups = plan.cups.map((c) =>
    'mix' in c.from && ids.has(c.from.mix) ? { ...c, from: { mix: pot.id } } : c
  );
  return { ...plan, mixes: [...others, pot], cups };
}

/** Every cup of a base mixed on its own. */
export function eachByItself(plan: Plan, baseId: string): Plan {
  const mine = plan.mixes.filter((m) => m.baseId === baseId);
  const ids = new Set(mine.map((m) => m.id));
  const mixes = plan.mixes.filter((m) => !ids.has(m.id));
  const cups = plan.cups.map((cup): Cup => {
    if (!('mix' in cup.from) || !ids.has(cup.from.mix)) return cup;
    const { mix } = cup.from;
    const before = mine.find((m) => m.id === mix)!;
    const id = freshMix(mixes, before.feeds === 'one cup' ? before.id : `mix-${cup.id}`);
    mixes.push({
      ...(before.feeds === 'one cup' ? before : { baseId, feeds: 'one cup' as const, ...handled(before) }),
      id
    });
    return { ...cup, from: { mix: id } };
  });
  return { ...plan, mixes: mixes.length ? mixes : plan.mixes, cups };
}

type Handled = Pick<Mix, 'reheats' | 'joinedAt' | 'blender' | 'pace'>;

/** How a mix is handled, without what it is and feeds. */
const handled = ({ reheats, joinedAt, blender, pace }: Mix): Handled => ({
  ...(reheats === undefined ? {} : { reheats }),
  ...(joinedAt === undefined ? {} : { joinedAt }),
  ...(blender === undefined ? {} : { blender }),
  ...(pace === undefined ? {} : { pace })
});

/** How several mixes made into one are handled: as the first that says so, heated as often as any of them. */
function handledAlike(mixes: readonly Mix[]): Handled {
  const reheats = Math.max(0, ...mixes.map((m) => m.reheats ?? 0));
  const first = mixes.reduceRight<Handled>((all, m) => ({ ...all, ...handled(m) }), {});
  return { ...first, ...(reheats ? { reheats } : {}) };
}

/** A mix for a cup that is being added: portions of the plan’s one split mix, or a mix of its own. */
export function mixForNewCup(plan: Plan, cupId: string): { mixes: Mix[]; mixId: string } {
  const split = plan.mixes.find((m) => m.feeds === 'split');
  if (split && mixingOf(plan) === 'split') return { mixes: plan.mixes, mixId: split.id };
  const id = freshMix(plan.mixes, `mix-${cupId}`);
  return {
    mixes: [...plan.mixes, { id, baseId: plan.mixes[0]?.baseId ?? 'none', feeds: 'one cup' }],
    mixId: id
  };
}

/** The plan without a cup, without the mix that only it was made from (a plan keeps one), and without what pours it. */
export function withoutCup(
  plan: Plan,
  cupId: string,
  draws: (act: Plan['steps'][number]['act']) => string[]
): Plan {
  const cups = plan.cups.filter((c) => c.id !== cupId);
  const used = new Set(cups.flatMap((c) => ('mix' in c.from ? [c.from.mix] : [])));
  const mixes = plan.mixes.filter((m) => used.has(m.id));
  return {
    ...plan,
    cups,
    mixes: mixes.length ? mixes : plan.mixes.slice(0, 1),
    steps: plan.steps.filter((s) => !draws(s.act).includes(cupId))
  };
}

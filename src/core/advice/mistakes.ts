import { actStep, freshId } from '../edit';
import { materials } from '../material';
import { acts, type Trait } from '../pour';
import { figuresOf } from '../plan';
import type { Plan, Step } from '../document';
import type { ProblemCode } from '../problem';
import type { Shelf } from '../shelf';
import type { WellMade } from './well-made';

/** One thing that is done wrong in a plan, and what has to be said of it. */
export interface Mistake {
  id: string;
  /** Any of these says it. */
  codes: readonly ProblemCode[];
  /** True as well, because of it: no false alarm. */
  follow?: readonly ProblemCode[];
  /** The plan with the mistake; undefined where it cannot be made in it. */
  make(made: WellMade): { plan: Plan; shelf?: Shelf } | undefined;
}

const has = (step: Step, trait: Trait): boolean => acts.traits(step.act).includes(trait);
const group = (plan: Plan) => plan.groups[0]!;
const kindIs = ({ material }: WellMade, trait: Parameters<typeof materials.has>[1]) =>
  materials.has(material, trait);

/** A plan with a step more, at the end or before the first that a test finds. */
function withStep(
  plan: Plan,
  act: string,
  over: Record<string, unknown>,
  before?: (s: Step) => boolean
): Plan {
  const made = actStep(freshId(plan, act), act, plan.cups[0]!.id, group(plan).id);
  if (!made) return plan;
  const step = { ...made, act: { ...made.act, ...over } } as Step;
  const at = before ? plan.steps.findIndex(before) : -1;
  return { ...plan, steps: plan.steps.toSpliced(at < 0 ? plan.steps.length : at, 0, step) };
}

const firstRecipe = (plan: Plan) => plan.cups.findIndex((c) => c.recipe.length);
const recoloured = (plan: Plan, cup: number, change: (percent: number) => number): Plan => ({
  ...plan,
  cups: plan.cups.map((c, i) =>
    i === cup ? { ...c, recipe: c.recipe.map((l, k) => (k ? l : { ...l, percent: change(l.percent) })) } : c
  )
});

/** Mistakes that are made at the table, before anything is weighed. */
export const MISTAKES: readonly Mistake[] = [
  {
    id: 'a layer without its wait',
    codes: ['no-gate'],
    follow: ['white-takes-over'],
    make: ({ plan, technique }) =>
      technique === 'layers' && plan.mixes.every((m) => m.feeds === 'one cup')
        ? { plan: { ...plan, steps: plan.steps.map((s) => (has(s, 'levels') ? { ...s, gates: [] } : s)) } }
        : undefined
  },
  {
    id: 'thirty per cent of a pigment',
    codes: ['colourant-over-limit', 'cup-over-limit'],
    // So much white hides all else and thickens the cup; so much water thins it.
    follow: ['white-takes-over', 'past-window', 'split-off-ratio', 'reads-as-one', 'carrier-exceeds-part'],
    make: ({ plan }) => {
      const i = firstRecipe(plan);
      return i < 0 ? undefined : { plan: recoloured(plan, i, () => 30) };
    }
  },
  {
    id: 'a pigment that does not belong in the material',
    codes: ['colourant-unsuited'],
    // It has a colour and a limit of its own.
    follow: ['reads-as-one', 'colourant-over-limit', 'cup-over-limit', 'not-weighable'],
    make: ({ plan, shelf, material }) => {
      const wrong = shelf.colourants.find(
        (c) => materials.find(material)?.compatibility[c.form]?.verdict === 'avoid'
      );
      const i = firstRecipe(plan);
      if (!wrong || i < 0) return undefined;
      const cups = plan.cups.map((c, k) =>
        k === i ? { ...c, recipe: [{ ...c.recipe[0]!, colourantId: wrong.id, letDown: undefined }] } : c
      );
      return { plan: JSON.parse(JSON.stringify({ ...plan, cups })) as Plan };
    }
  },
  {
    id: 'one mix for more than it lasts for',
    codes: ['past-window'],
    // What stands so long heats itself, and the first is out before the last is in.
    follow: ['cup-overheats', 'demould-clash', 'demould-late'],
    make: ({ plan, shelf, material }) => {
      const { count } = group(plan);
      const forced = plan.mixes.some((m) => m.turns);
      if (count < 2 || forced || materials.has(material, 'injected hot')) return undefined;
      // A half more than the cup lasts for all of them.
      const window = Math.min(...figuresOf(plan, shelf).score.windows.map((w) => w.to - w.zero));
      const each = (1.5 * window) / count;
      return {
        plan: {
          ...plan,
          mixes: plan.mixes.map((m) => ({ ...m, turns: 1 })),
          steps: plan.steps.map((s) => (acts.read(s.act)?.definition.amount ? { ...s, hands: { each } } : s))
        }
      };
    }
  },
  {
    id: 'a kitchen scale for pigment',
    codes: ['not-weighable', 'ratio-off', 'superfat-moves'],
    follow: ['water-cement'],
    make: ({ plan, shelf }) => {
      const rough = {
        ...shelf.scales[0]!,
        id: 'rough',
        name: 'kitchen scale',
        division: 5,
        capacity: 20_000
      };
      return {
        plan: { ...plan, bench: { ...plan.bench, scaleIds: ['rough'] } },
        shelf: { ...shelf, scales: [...shelf.scales, rough] }
      };
    }
  },
  {
    id: 'a cup too small for its mix',
    codes: ['vessel-too-small'],
    // All of it in one mix stands longer and hotter.
    follow: ['past-window', 'cup-overheats'],
    make: ({ plan, shelf }) => ({
      plan: {
        ...plan,
        mixes: plan.mixes.map((m) => ({ ...m, turns: 1 })),
        bench: { ...plan.bench, vesselIds: ['thimble'] }
      },
      shelf: {
        ...shelf,
        vessels: [...shelf.vessels, { ...shelf.vessels[0]!, id: 'thimble', name: 'thimble', ml: 3 }]
      }
    })
  },
  {
    id: 'a flame over wet alcohol',
    codes: ['flame-near-alcohol'],
    make: (made) =>
      kindIs(made, 'may be flamed')
        ? { plan: withStep(withStep(made.plan, 'spray', { what: 'alcohol' }), 'torch', { seconds: 3 }) }
        : undefined
  },
  {
    id: 'a flame where the material bears none',
    codes: ['flame-on-wet'],
    follow: ['flame-near-alcohol'],
    make: (made) =>
      kindIs(made, 'no flame')
        ? { plan: withStep(made.plan, 'torch', { seconds: 3 }, (s) => has(s, 'demoulds')) }
        : undefined
  },
  {
    id: 'sealed as soon as it is out',
    codes: ['sealed-wet', 'still-in-mould'],
    make: (made) => {
      // Terrazzo is ground days later and sealed then.
      if (!kindIs(made, 'dries in air') || !kindIs(made, 'mineral') || made.technique === 'terrazzo')
        return undefined;
      const bare = {
        ...made.plan,
        steps: made.plan.steps.filter((s) => !has(s, 'seals') && !has(s, 'airs'))
      };
      return { plan: withStep(bare, 'seal', {}) };
    }
  },
  {
    id: 'two colours that are one',
    codes: ['reads-as-one'],
    make: ({ plan, technique }) => {
      const own = plan.cups.filter((c) => 'mix' in c.from && c.recipe.length);
      const [a, b] = own;
      if (technique !== 'layers' || !a || !b) return undefined;
      const cups = plan.cups.map((c) =>
        c.id === b.id ? { ...c, recipe: a.recipe.map((l) => ({ ...l, percent: l.percent * 0.97 })) } : c
      );
      return { plan: { ...plan, cups } };
    }
  },
  {
    id: 'a deep block of quick resin at once',
    codes: ['layer-too-deep', 'cup-overheats'],
    make: (made) => {
      if (!kindIs(made, 'heats itself') || made.technique !== 'solid-with-pearl') return undefined;
      const [mould, ...others] = made.shelf.moulds.filter((m) => m.id === group(made.plan).mouldId);
      if (!mould || others.length) return undefined;
      const [cavity] = mould.cavities;
      const deep = {
        ...mould,
        cavities: [{ ...cavity!, shape: { kind: 'box' as const, length: 100, width: 100, depth: 60 } }]
      };
      return {
        plan: made.plan,
        shelf: { ...made.shelf, moulds: made.shelf.moulds.map((m) => (m.id === mould.id ? deep : m)) }
      };
    }
  },
  {
    id: 'a kilo more than is poured left in its cup',
    codes: ['cup-overheats'],
    make: (made) => {
      const i = made.plan.cups.findIndex((c) => 'mix' in c.from);
      if (!kindIs(made, 'heats itself') || made.technique !== 'layers') return undefined;
      const cups = made.plan.cups.map((c, k) => (k === i ? { ...c, atLeast: 1200 } : c));
      return { plan: { ...made.plan, cups } };
    }
  },
  {
    id: 'a demould that waits past its window',
    codes: ['demould-late'],
    make: (made) => {
      const demould = made.plan.steps.find((s) => has(s, 'demoulds'));
      const poured = made.plan.steps.find((s) => acts.read(s.act)?.definition.amount);
      if (!demould || !poured || !kindIs(made, 'grips when late')) return undefined;
      const gate = {
        id: freshId(made.plan, 'gate'),
        all: [{ kind: 'since' as const, zero: { stepDone: poured.id }, minutes: 7 * 1440 }]
      };
      const steps = made.plan.steps.map((s) => (s.id === demould.id ? { ...s, gates: [gate] } : s));
      return { plan: { ...made.plan, steps } };
    }
  },
  {
    id: 'a stick drawn through what has gelled',
    codes: ['drag-below-gel', 'tool-in-gel'],
    make: (made) => {
      if (!kindIs(made, 'holds a line') || made.technique !== 'layers') return undefined;
      const gate = {
        id: freshId(made.plan, 'gate'),
        all: [{ kind: 'state' as const, state: 'gelled', of: 'layer below' as const }]
      };
      const dragged = withStep(made.plan, 'drag', {}, (s) => has(s, 'demoulds'));
      const steps = dragged.steps.map((s) => (has(s, 'drags') ? { ...s, gates: [gate] } : s));
      return { plan: { ...dragged, steps } };
    }
  },
  {
    id: 'never tapped nor shaken',
    codes: ['air-stays'],
    make: (made) => {
      const steps = made.plan.steps.filter((s) => !has(s, 'loosens') && !has(s, 'clears'));
      // What flows into a shallow mould lets its air go: that is a tip.
      const stiff = kindIs(made, 'mineral') && !kindIs(made, 'flows round a post');
      return stiff && steps.length < made.plan.steps.length ? { plan: { ...made.plan, steps } } : undefined;
    }
  },
  {
    id: 'a line lower than what stands beside it',
    codes: ['barrier-overrun'],
    make: (made) => {
      const steps = made.plan.steps.map((s) =>
        has(s, 'parts') ? { ...s, act: { ...s.act, height: 0.5 } as Step['act'] } : s
      );
      return made.technique === 'split-face' ? { plan: { ...made.plan, steps } } : undefined;
    }
  },
  {
    id: 'a stick through what was set in',
    codes: ['crosses-embed'],
    // It is set in late and stands high.
    follow: ['embed-uncovered', 'embed-drifts', 'tool-in-gel', 'embed-stands-out', 'drag-below-gel'],
    make: (made) => {
      if (made.technique !== 'layers') return undefined;
      const pebble = {
        id: 'pebble',
        kind: 'object' as const,
        name: 'pebble',
        each: 1,
        grams: 2,
        density: 2.5,
        from: 0,
        height: 4
      };
      const before = (s: Step) => has(s, 'demoulds') || has(s, 'shields');
      const set = withStep(made.plan, 'place', { embedId: 'pebble', pieces: 1, pressed: 4 }, before);
      const dragged = withStep(set, 'drag', { depth: 'full' }, before);
      const groups = dragged.groups.map((g) => ({ ...g, embeds: [pebble] }));
      return { plan: { ...dragged, groups } };
    }
  }
];

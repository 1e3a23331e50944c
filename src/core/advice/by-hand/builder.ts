import { HATCHES, type Amount, type Condition, type Plan } from '../../document';
import type { Mould, Shape } from '../../mould';
import { acts } from '../../pour';

/* Plans written out by hand, as a maker would say them: short words for the parts of a plan. */

type Loose = Record<string, unknown>;

const mould = (id: string, count: number, shape: Shape, more: Loose = {}): Mould => ({
  id,
  name: id,
  material: 'silicone',
  finish: 'gloss',
  notes: '',
  cavities: [{ id: 'c', name: id, count, shape, capacity: { from: 'dimensions' }, ...more }]
});

const QUARTERS = ['first', 'second', 'third', 'fourth'].map((name, i) => ({
  id: 'abcd'[i]!,
  name,
  share: 0.25
}));

/** The moulds of the plans written by hand. */
export const MOULDS: readonly Mould[] = [
  { ...mould('matte coasters', 4, { kind: 'cylinder', radius: 48, depth: 9 }), finish: 'matte' },
  mould('coasters', 4, { kind: 'cylinder', radius: 48, depth: 9 }),
  mould('domes', 6, { kind: 'hemisphere', radius: 17 }),
  mould('tags', 12, { kind: 'box', length: 50, width: 30, depth: 4 }),
  mould('tray', 1, { kind: 'box', length: 240, width: 160, depth: 12 }),
  mould('block', 1, { kind: 'box', length: 120, width: 80, depth: 60 }),
  mould('loaf', 1, { kind: 'box', length: 250, width: 80, depth: 65 }),
  mould('divided loaf', 1, { kind: 'box', length: 250, width: 80, depth: 65 }, { chambers: QUARTERS }),
  mould('slab', 1, { kind: 'box', length: 300, width: 200, depth: 30 }),
  mould('bars', 6, { kind: 'box', length: 80, width: 55, depth: 25 }),
  mould('cubes', 12, { kind: 'box', length: 20, width: 20, depth: 20 }),
  mould('pot', 2, { kind: 'ring', innerRadius: 35, outerRadius: 44, depth: 80 }),
  mould('cords', 6, { kind: 'cylinder', radius: 8, depth: 60 }),
  mould('balls', 4, { kind: 'ball', radius: 26 }),
  mould('dish', 4, { kind: 'box', length: 100, width: 100, depth: 12 }),
  mould('paver', 2, { kind: 'box', length: 200, width: 200, depth: 30 })
];

export interface Written {
  mixes: Plan['mixes'];
  cups: Omit<Plan['cups'][number], 'letter' | 'hatch'>[];
  groups: Plan['groups'];
  steps: Plan['steps'];
  show?: Plan['showFace'];
  room?: number;
  scales?: string[];
  good?: number;
}

/** A plan on the usual bench: 21 °C, all scales at hand, vessels of any size. */
export const plan = (name: string, w: Written): Plan => ({
  version: 2,
  id: 'by-hand',
  name,
  notes: '',
  showFace: w.show ?? 'mould face',
  mixes: w.mixes,
  cups: w.cups.map((c, i) => ({ ...c, letter: 'ABCDEFGH'[i]!, hatch: HATCHES[i]! })),
  groups: w.groups,
  steps: w.steps.map((s, i) => ({
    ...s,
    id: s.id || `s${i}`,
    gates: s.gates.map((g) => ({ ...g, id: `g${i}` }))
  })),
  spares: [],
  ...(w.good === undefined ? {} : { order: { good: w.good } }),
  bench: {
    roomCelsius: w.room ?? 21,
    scaleIds: w.scales ?? ['fine', 'middle', 'bench'],
    vesselIds: [],
    readings: 'cumulative',
    losses: { cling: 0.03 }
  }
});

export const mix = (id: string, baseId: string, more: Partial<Plan['mixes'][number]> = {}) => ({
  id,
  baseId,
  feeds: 'one cup' as const,
  ...more
});
export const split = (baseId: string) => mix('m', baseId, { feeds: 'split' });

/** A cup from a mix, or of other cups by their shares; its colours in percent. */
export const cup = (
  id: string,
  from: string | Record<string, number>,
  recipe: readonly (readonly [string, number, Loose?])[] = [],
  more: Loose = {}
): Written['cups'][number] => ({
  id,
  name: id,
  from:
    typeof from === 'string'
      ? { mix: from }
      : { cups: Object.entries(from).map(([cupId, share]) => ({ cupId, share })) },
  recipe: recipe.map(([colourantId, percent, line], i) => ({
    id: `${id}-${i}`,
    colourantId,
    percent,
    of: 'supplied' as const,
    ...line
  })),
  ...more
});

export const group = (
  id: string,
  mouldId: string,
  count: number,
  more: Partial<Plan['groups'][number]> = {}
): Plan['groups'][number] => ({ id, name: id, mouldId, cavityId: 'c', count, ...more });

/** An act with its usual fields, but for those that are said. */
export const act = (kind: string, said: Loose = {}) => ({ ...acts.find(kind)!.fresh(''), ...said, kind });
export const lay = (cupId: string, amount: Amount) => act('lay', { cupId, amount });

export const step = (
  where: string | string[],
  done: Plan['steps'][number]['act'],
  waits: readonly Condition[] = [],
  id = ''
): Plan['steps'][number] => ({
  id,
  act: done,
  where: [where].flat(),
  gates: waits.length ? [{ id: '', all: [...waits] }] : []
});

export const below = (state: string): Condition => ({ kind: 'state', state, of: 'layer below' });
export const ofCup = (state: string, cup: string): Condition => ({ kind: 'state', state, of: { cup } });
export const since = (stepDone: string, minutes: number): Condition => ({
  kind: 'since',
  zero: { stepDone },
  minutes
});
export const seen = (words: string): Condition => ({ kind: 'checked', words });

export const deep = (mm: number): Amount => ({ kind: 'deep', mm });
export const share = (of: number): Amount => ({ kind: 'share', of });
export const ml = (ml: number): Amount => ({ kind: 'volume', ml });
export const rim: Amount = { kind: 'rim' };

/* How pieces are finished, by what they are made of. */
export const soapEnds = (g: string, pieces = 10) => [
  step(g, act('cover')),
  step(g, act('demould')),
  step(g, act('cut', { pieces })),
  step(g, act('cure', { minutes: 40_320 }))
];
export const gypsumEnds = (g: string) => [
  step(g, act('tap', { minutes: 0.5 })),
  step(g, act('demould')),
  step(g, act('air', { minutes: 1440 })),
  step(g, act('sand', { grits: [240, 400], wet: 'wet' })),
  step(g, act('air', { minutes: 1440 })),
  step(g, act('seal', { with: 'acrylic sealer' }))
];
export const concreteEnds = (g: string) => [
  step(g, act('vibrate', { minutes: 2 })),
  step(g, act('cover')),
  step(g, act('demould')),
  step(g, act('air', { minutes: 10_080 })),
  step(g, act('seal', { with: 'matt sealer' }))
];

import { cards } from '../../../../demo/cards';
import * as demo from '../../../../demo/plans';
import { actStep } from '../../edit';
import type { Plan } from '../../plan';
import type { Shelf } from '../../shelf';
import { add, shift, skip, times, without, type Planted } from './bench.testing';

const { eel } = demo;
export const { tideline, samphire, nightHeron, rockpool, sluice, saltings, lantern } = demo;
const withActs = (plan: Plan, ...acts: { kind: string }[]): Plan => ({
  ...plan,
  steps: [
    ...plan.steps.slice(0, 1),
    ...acts.map((act, i) => ({ id: `more-${i}`, act, where: [plan.groups[0]!.id], gates: [] })),
    ...plan.steps.slice(1)
  ]
});
export const recipe = (plan: Plan, factor: number, cup = 0): Plan => ({
  ...plan,
  cups: plan.cups.map((c, i) =>
    i === cup ? { ...c, recipe: c.recipe.map((r) => ({ ...r, percent: r.percent * factor })) } : c
  )
});
const otherPot = (plan: Plan, colourantId: string): Plan => ({
  ...plan,
  cups: plan.cups.map((c, i) => (i ? c : { ...c, recipe: c.recipe.map((r) => ({ ...r, colourantId })) }))
});
const leaning = (draft: number): Shelf => ({
  ...cards,
  moulds: cards.moulds.map((m) => ({ ...m, cavities: m.cavities.map((c) => ({ ...c, draft })) }))
});
/** Every pot is an ink. */
const inked: Shelf = {
  ...cards,
  colourants: cards.colourants.map((c) => ({ ...c, form: 'ink' as const }))
};
const matte: Shelf = {
  ...cards,
  moulds: cards.moulds.map((m) => ({ ...m, finish: 'matte' as const }))
};
const deep: Shelf = {
  ...cards,
  bases: cards.bases.map((b) => (b.kind === 'resin' ? { ...b, depthLimit: 3 } : b))
};
export const knobs1 = tideline.groups[0]!.id;

/** Cavities a tenth as deep. */
const flatter: Shelf = {
  ...cards,
  moulds: cards.moulds.map((m) => ({
    ...m,
    cavities: m.cavities.map((c) =>
      'depth' in c.shape ? { ...c, shape: { ...c.shape, depth: c.shape.depth / 10 } } : c
    )
  }))
};
const soapWith = (more: Record<string, unknown>): Shelf => ({
  ...cards,
  bases: cards.bases.map((b) => (b.kind === 'soap' ? ({ ...b, ...more } as typeof b) : b))
});
/** Every pot weighs as much as an oxide. */
export const heavy: Shelf = { ...cards, colourants: cards.colourants.map((c) => ({ ...c, density: 4.5 })) };
const dry: Shelf = {
  ...cards,
  colourants: cards.colourants.map((c) => ({ ...c, form: 'powder' as const }))
};
const LAST_PUDDLE = new RegExp(`^pour:${rockpool.steps.filter((s) => s.act.kind === 'puddle').at(-1)!.id}`);

const puddledFrom = (from: string): Plan => ({
  ...rockpool,
  steps: rockpool.steps.map((s) => (s.act.kind === 'puddle' ? { ...s, act: { ...s.act, from } } : s))
});

/** The knobs sanded through some grits once they are out. */
const withSand = (grits: number[]): Plan => ({
  ...tideline,
  steps: [
    ...tideline.steps,
    {
      id: 'grit-knobs',
      act: { kind: 'sand', grits, wet: 'wet' } as { kind: string },
      where: [knobs1],
      gates: []
    }
  ]
});

/** An act as it is first put into a plan. */
const acting = (kind: string) => actStep('fresh', kind, rockpool.cups[0]!.id, knobs1)!.act;

/** The bookends sealed so many minutes after they left their mould, and with no wait at all where it is an hour. */
const sealedAfter = (minutes: number): Plan => ({
  ...sluice,
  steps: sluice.steps
    .filter((s) => minutes > 60 || !['air', 'wrap', 'wait'].includes(s.act.kind))
    .map((s) =>
      s.act.kind === 'seal'
        ? {
            ...s,
            gates:
              minutes > 60
                ? [
                    {
                      id: 'gate-seal',
                      all: [{ kind: 'since', zero: { demoulded: sluice.groups[0]!.id }, minutes }]
                    }
                  ]
                : []
          }
        : s
    )
});

/** The samphire hooks sanded so many minutes after they left their mould. */
const sandedAfter = (minutes: number): Plan => ({
  ...samphire,
  steps: [
    ...samphire.steps,
    {
      id: 'sand-hooks',
      act: { kind: 'sand', grits: [240, 400, 800], wet: 'wet' } as { kind: string },
      where: [samphire.groups[0]!.id],
      gates: [
        { id: 'gate-dry', all: [{ kind: 'since', zero: { demoulded: samphire.groups[0]!.id }, minutes }] }
      ]
    }
  ]
});

/** The knobs milled so many minutes after they left their mould. */
export const withMill = (after: number, depth = 1): Plan => ({
  ...tideline,
  steps: [
    ...tideline.steps,
    {
      id: 'mill-knobs',
      act: { kind: 'mill', depth } as { kind: string },
      where: [knobs1],
      gates: [{ id: 'gate-mill', all: [{ kind: 'since', zero: { demoulded: knobs1 }, minutes: after }] }]
    }
  ]
});

/** Every cause with a run that plants it; the good run of the same plan does not show it. */
export const PLANTED: Planted[] = [
  {
    cause: 'layer-before-the-gel',
    defect: 'colours run together',
    plan: tideline,
    fault: shift(/^gate:gate-heron/, -80)
  },
  {
    cause: 'layer-too-late',
    defect: 'separated layers',
    plan: tideline,
    fault: shift(/^gate:gate-heron/, 600)
  },
  {
    cause: 'demoulded-early',
    defect: 'snapped or chipped on demould',
    plan: tideline,
    fault: shift(/^demould/, -300)
  },
  { cause: 'demoulded-late', defect: 'sweat marks', plan: samphire, fault: shift(/^demould/, 20) },
  { cause: 'stirred-short', defect: 'tacky or soft', plan: tideline, fault: shift(/^stir:mudflat/, -2.4) },
  {
    cause: 'ratio-off',
    defect: 'tacky or soft',
    plan: tideline,
    fault: (e, f) => add({ type: 'accepted', mixId: 'heron' })(times(/^weigh:heron:B/, 1.12)(e, f), f)
  },
  {
    cause: 'fat-over',
    defect: 'oily, streaked or crumbly',
    plan: saltings,
    fault: (e, f) => add({ type: 'accepted', mixId: '~mix' })(times(/^weigh:~mix:oil-1/, 1.2)(e, f), f)
  },
  {
    // The lye met the oils long after the last weighing: the stir counts from there.
    cause: 'stirred-short',
    defect: 'oily, streaked or crumbly',
    plan: saltings,
    fault: shift(/^stir:~mix/, -2.4)
  },
  { cause: 'colour-over-its-limit', defect: 'tacky or soft', plan: tideline, bad: recipe(tideline, 5) },
  {
    cause: 'wrong-colourant-for-it',
    defect: 'unmixed streaks or specks',
    plan: samphire,
    bad: otherPot(samphire, 'white-paste')
  },
  { cause: 'cold-room', defect: 'tacky or soft', plan: tideline, fault: add({ type: 'room', celsius: 14 }) },
  { cause: 'cup-poured-late', defect: 'bubbles on the mould face', plan: samphire, fault: shift(/^pour/, 9) },
  {
    cause: 'strokes-over-plan',
    defect: 'muddy blend',
    plan: tideline,
    fault: add({ type: 'gestured', task: 'pour:lay-heron', times: 3 }, /pour:lay-heron/)
  },
  { cause: 'few-taps', defect: 'bubbles on the mould face', plan: sluice, fault: skip(/vibrate/) },
  {
    cause: 'few-taps',
    defect: 'bubbles on the mould face',
    plan: withActs(tideline, { kind: 'tap', minutes: 3 } as { kind: string }),
    fault: shift(/more-0/, -2)
  },
  {
    cause: 'flame-on-ink',
    defect: 'ink faded or spread',
    plan: withActs(tideline, { kind: 'torch', seconds: 20 } as { kind: string }),
    shelf: inked
  },
  {
    cause: 'old-lot',
    defect: 'tacky or soft',
    plan: tideline,
    beside: { oldLots: [{ name: 'hardener', days: 45 }] }
  },
  {
    cause: 'cover-thin',
    defect: 'embed cut or uncovered',
    plan: withActs(tideline, { kind: 'place', pieces: 1, at: { x: 0, y: 0 }, pressed: 0 } as {
      kind: string;
    }),
    fault: times(/^pour:lay-(heron|foam)/, 0.8)
  },
  {
    cause: 'no-pressure',
    defect: 'bubbles on the mould face',
    plan: withActs(tideline, { kind: 'pressure', bar: 3, minutes: 30 } as { kind: string }),
    fault: skip(/more-0/)
  },
  {
    cause: 'no-torch',
    defect: 'bubbles on the open face',
    plan: withActs(tideline, { kind: 'torch', seconds: 20 } as { kind: string }),
    fault: skip(/more-0/)
  },
  { cause: 'not-aired', defect: 'water marks', plan: samphire, fault: skip(/do:air/) },
  { cause: 'no-spray', defect: 'ash bloom', plan: nightHeron, fault: skip(/do:spray/) },
  {
    cause: 'sealed-early',
    defect: 'sealed too early',
    plan: sluice,
    fault: shift(/^gate:gate-seal/, -4 * 24 * 60)
  },
  { cause: 'not-sealed', defect: 'washed-out stain', plan: sluice, fault: skip(/do:seal/) },
  { cause: 'poured-under', defect: 'short fill or ledge', plan: samphire, fault: times(/^pour/, 0.92) },
  { cause: 'poured-over', defect: 'overfilled lip', plan: samphire, fault: times(/^pour/, 1.07) },
  {
    cause: 'not-level',
    defect: 'off-centre',
    plan: tideline,
    fault: without((e) => e.type === 'ticked' && e.check === 'level')
  },
  {
    cause: 'mould-not-clean',
    defect: 'dye left from an earlier piece',
    plan: tideline,
    beside: { lastColour: { name: 'magenta', dye: true } }
  },
  { cause: 'matte-mould', defect: 'haze from a matte mould', plan: tideline, shelf: matte },
  { cause: 'undercut', defect: 'snapped or chipped on demould', plan: tideline, shelf: leaning(0) },
  {
    cause: 'rewetted',
    defect: 'sweat marks',
    plan: samphire,
    fault: add({ type: 'rewetted', mixId: 'samphire', part: 'liquid', grams: 15 }, /stir/)
  },
  {
    cause: 'dose-off',
    defect: 'too dark, too light or another hue',
    plan: samphire,
    fault: times(/samphire-green/, 1.4)
  },
  {
    cause: 'wrong-pot',
    defect: 'too dark, too light or another hue',
    plan: samphire,
    fault: add(
      { type: 'swapped', task: 'weigh:samphire:samphire-green', instead: 'the blue one' },
      /samphire-green/
    )
  },
  {
    cause: 'heavy-colour-stood',
    defect: 'sunken glitter',
    plan: tideline,
    fault: shift(/^pour:lay-foam/, 30)
  },
  {
    cause: 'top-up-poured-late',
    defect: 'separated layers',
    plan: tideline,
    fault: add({ type: 'topped', mixId: 'heron', lines: [{ key: 'A', grams: 4 }] }, /stir:heron/)
  },
  {
    cause: 'spilled-cup',
    defect: 'short fill or ledge',
    plan: tideline,
    fault: add({ type: 'spilled', mixId: 'heron', grams: 4 }, /stir:heron/)
  },
  { cause: 'too-deep', defect: 'overheated', plan: tideline, shelf: deep },
  {
    cause: 'stood-past-probe',
    defect: 'separated layers',
    plan: saltings,
    fault: add({ type: 'probed', of: saltings.cups[0]!.id, celsius: 24 }, /stir/)
  },
  {
    cause: 'milled-early',
    defect: 'milled away or peeled out',
    plan: withMill(4 * 24 * 60),
    bad: withMill(60)
  },
  { cause: 'low-contrast', defect: 'colours read as one', plan: tideline, bad: nightHeron },
  { cause: 'white-too-strong', defect: 'white took over', plan: samphire, bad: rockpool },
  { cause: 'white-too-weak', defect: 'no cells', plan: samphire, bad: recipe(rockpool, 0.05) },
  {
    cause: 'mould-cold-plastisol',
    defect: 'short fill or ledge',
    plan: eel,
    fault: add({ type: 'probed', of: eel.groups[0]!.id, celsius: 18 })
  },
  {
    cause: 'too-hot-plastisol',
    defect: 'yellowed',
    plan: eel,
    fault: add({ type: 'probed', of: eel.cups[0]!.id, celsius: 205 }, /stir/)
  },
  {
    cause: 'poured-from-high',
    defect: 'layer broke through',
    plan: puddledFrom('low'),
    bad: puddledFrom('high')
  },
  { cause: 'puddles-waited', defect: 'no cells', plan: rockpool, fault: shift(LAST_PUDDLE, 14) },
  {
    cause: 'release-not-looked-at',
    defect: 'snapped or chipped on demould',
    plan: tideline,
    shelf: { ...cards, moulds: cards.moulds.map((m) => ({ ...m, needs: 'release' as const })) },
    fault: without((e) => e.type === 'ticked' && e.check === 'moulds')
  },
  { cause: 'thin-section', defect: 'snapped or chipped on demould', plan: samphire, shelf: flatter },
  {
    cause: 'soap-sugars',
    defect: 'overheated',
    plan: nightHeron,
    shelf: soapWith({ additives: [{ name: 'sugar', share: 0.03 }] }),
    fault: add({ type: 'room', celsius: 28 })
  },
  {
    cause: 'quick-fragrance',
    defect: 'separated layers',
    plan: nightHeron,
    shelf: soapWith({ fragrance: 0.04, fragranceIs: 'quick' })
  },
  {
    cause: 'wiped-between',
    defect: 'separated layers',
    plan: tideline,
    bad: withActs(tideline, { kind: 'spray', what: 'alcohol', times: 1, every: 30 } as { kind: string })
  },
  {
    cause: 'heavy-on-light',
    defect: 'layer broke through',
    plan: tideline,
    bad: { ...recipe(tideline, 12, 1), steps: tideline.steps.map((s) => ({ ...s, gates: [] })) },
    shelf: heavy
  },
  {
    cause: 'went-in-dry',
    defect: 'unmixed streaks or specks',
    plan: tideline,
    bad: recipe(tideline, 6),
    shelf: dry
  },
  {
    cause: 'coarse-grit',
    defect: 'unclear edges or numbers',
    plan: withSand([120, 240, 400, 800]),
    bad: withSand([80, 120])
  },
  {
    cause: 'milled-through',
    defect: 'milled away or peeled out',
    plan: withMill(4 * 24 * 60),
    bad: withMill(4 * 24 * 60, 30)
  },
  {
    cause: 'worn-mould',
    defect: 'haze from a matte mould',
    plan: tideline,
    shelf: { ...cards, moulds: cards.moulds.map((m) => ({ ...m, condition: 'worn' as const })) }
  },
  {
    cause: 'shows-through',
    defect: 'colours read as one',
    plan: tideline,
    bad: recipe(recipe(recipe(tideline, 0.02), 0.02, 1), 0.02, 2)
  },
  {
    cause: 'strewn-on-fresh',
    defect: 'sunken glitter',
    plan: tideline,
    bad: withActs(tideline, { kind: 'sprinkle', grams: 1 } as { kind: string })
  },
  {
    cause: 'stirred-hard',
    defect: 'bubbles on the open face',
    plan: tideline,
    fault: add({ type: 'note', text: 'cup B was stirred too fast', problem: false }, /stir:heron/)
  },
  {
    cause: 'moved-while-fluid',
    defect: 'off-centre',
    plan: tideline,
    fault: add({ type: 'note', text: 'Knocked the tray with my elbow', problem: true }, /pour:lay-heron/)
  },
  {
    cause: 'damp-inside',
    defect: 'water marks',
    plan: samphire,
    fault: add({ type: 'note', text: 'the mould was still damp', problem: true }, /stir/)
  },
  {
    cause: 'sprue-not-topped',
    defect: 'sunk sprue or dent',
    plan: eel,
    fault: (e, f) => skip(new RegExp(`^${f.tasks.filter((t) => t.kind === 'pour').at(-1)!.id}`))(e, f)
  },
  { cause: 'one-pour-over', defect: 'colours run together', plan: rockpool, fault: times(LAST_PUDDLE, 1.5) },
  { cause: 'one-pour-under', defect: 'off-centre', plan: rockpool, fault: times(LAST_PUDDLE, 0.6) },
  {
    cause: 'pour-left-out',
    defect: 'lost lines or bare patches',
    plan: rockpool,
    fault: skip(LAST_PUDDLE)
  },
  {
    cause: 'stir-left-out',
    defect: 'unmixed streaks or specks',
    plan: tideline,
    fault: skip(/^stir:mudflat/)
  },
  {
    cause: 'stroke-left-out',
    defect: 'lost lines or bare patches',
    plan: withActs(tideline, acting('drag')),
    fault: skip(/more-0/)
  },
  {
    cause: 'dust-left-out',
    defect: 'lost lines or bare patches',
    plan: withActs(tideline, acting('dust')),
    fault: skip(/more-0/)
  },
  {
    cause: 'sanding-left-out',
    defect: 'unclear edges or numbers',
    plan: withSand([120, 240, 400, 800]),
    fault: skip(/grit-knobs/)
  },
  {
    cause: 'line-overrun',
    defect: 'colours run together',
    plan: withActs(rockpool, acting('barrier')),
    fault: times(LAST_PUDDLE, 1.3)
  },
  {
    cause: 'fat-set',
    defect: 'oily, streaked or crumbly',
    plan: nightHeron,
    fault: add({ type: 'probed', of: nightHeron.cups[0]!.id, celsius: 17 })
  },
  {
    cause: 'worked-wet',
    defect: 'unclear edges or numbers',
    plan: sandedAfter(24 * 60),
    fault: shift(/^gate:gate-dry/, -23 * 60)
  },
  {
    cause: 'sealed-early',
    defect: 'sealed too early',
    plan: sealedAfter(7 * 24 * 60),
    bad: sealedAfter(60)
  },
  {
    cause: 'demoulded-late',
    defect: 'snapped or chipped on demould',
    plan: tideline,
    fault: shift(/^demould/, 9000)
  }
];

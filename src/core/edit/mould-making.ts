import type { Mould, MouldJob, RubberNeed, Shape } from '../mould';
import { lay } from '../pour';
import type { Plan, Step } from '../document';
import type { Shelf } from '../shelf';
import { newPlan } from './new-plan';

/** What a mould is to be called and made of, and the ids of what is made for it. */
export interface MouldToMake {
  planId: string;
  containerId: string;
  name: string;
  rubberId: string;
}

/** The cup of the first half, or of the whole. */
const FIRST_HALF = 'rubber';
/** How deep a container that was measured with water is drawn, mm. */
const DRAWN_DEPTH = 60;

/**
 * A mould to be made, as a container on the shelf and a plan that pours the rubber: one pour for a block mould, two
 * with a gate between for halves. The master stands in the container as an embed, so the plan's rubber is what
 * the job worked out.
 */
export function mouldMakingPlan(
  making: MouldToMake,
  job: MouldJob,
  need: RubberNeed,
  shelf: Shelf
): { container: Mould; plan: Plan } {
  const container = containerOf(making, job, need);
  const base = newPlan(making.planId, making.name, { ...shelf, moulds: [] });
  const halves = need.pours.length > 1;
  const cups = [
    { id: FIRST_HALF, letter: 'A', hatch: 'plain' as const, name: halves ? 'first half' : 'rubber' },
    ...(halves ? [{ id: 'second', letter: 'B', hatch: 'slant' as const, name: 'second half' }] : [])
  ];
  return {
    container,
    plan: {
      ...base,
      mixes: cups.map((c) => ({ id: `mix-${c.id}`, baseId: making.rubberId, feeds: 'one cup' })),
      bench: { ...base.bench, losses: { cling: 0.03, vessel: 5 } },
      cups: cups.map((c) => ({ ...c, from: { mix: `mix-${c.id}` }, recipe: [] })),
      groups: [
        {
          id: 'box',
          name: 'casting box',
          mouldId: container.id,
          cavityId: 'box',
          count: 1,
          embeds: [masterOf(job, need)]
        }
      ],
      steps: stepsOf(job, need)
    }
  };
}

function containerOf(
  { containerId, name }: MouldToMake,
  { container: box }: MouldJob,
  need: RubberNeed
): Mould {
  return {
    id: containerId,
    name: `${name}: casting box`.slice(0, 80),
    material: 'other',
    finish: 'gloss',
    needs: 'release',
    notes: `Container ${need.containerMl.toFixed(1)} ml, master ${need.masterMl.toFixed(1)} ml.`,
    cavities: [
      {
        id: 'box',
        name: 'mould',
        count: 1,
        shape: shapeOf(box, need.containerMl),
        capacity: box.by === 'water' ? { from: 'pour', ml: need.containerMl } : { from: 'dimensions' }
      }
    ]
  };
}

const depthOf = (box: MouldJob['container']): number => (box.by === 'water' ? DRAWN_DEPTH : box.depth);

function shapeOf(box: MouldJob['container'], ml: number): Shape {
  const depth = depthOf(box);
  switch (box.by) {
    case 'box':
      return {
        kind: 'taper',
        baseLength: box.length,
        baseWidth: box.width,
        rimLength: box.length,
        rimWidth: box.width,
        depth
      };
    case 'round':
      return { kind: 'cylinder', radius: box.diameter / 2, depth };
    case 'water':
      return { kind: 'cylinder', radius: Math.sqrt((ml * 1000) / Math.PI / depth), depth };
  }
}

/** The master as an embed of water's density: what it displaces is what was worked out. */
const masterOf = (job: MouldJob, need: RubberNeed) => ({
  id: 'master',
  kind: 'object' as const,
  name: 'master',
  each: 1,
  grams: need.masterMl,
  density: 1,
  from: 0,
  height: depthOf(job.container)
});

function stepsOf(job: MouldJob, need: RubberNeed): Step[] {
  const [first] = need.pours;
  const keys = job.keys
    ? `press ${job.keys.count} keys of ${job.keys.diameter} mm into it before it sets; `
    : '';
  if (need.pours.length < 2)
    return [
      pour('only', FIRST_HALF, undefined, 'into the low corner in a thin string, never onto the master')
    ];
  const coat = 'release brushed over the whole first half and its keys, twice, before this';
  const set = { id: 'set', all: [{ kind: 'state' as const, state: 'set', of: 'layer below' as const }] };
  return [
    pour(
      'first',
      FIRST_HALF,
      Number(first!.toFixed(2)),
      `into the low corner in a thin string; ${keys}let it find its way`
    ),
    { ...pour('second', 'second', undefined, coat), gates: [set] }
  ];
}

const pour = (id: string, cupId: string, ml: number | undefined, note: string): Step => ({
  id,
  act: { ...lay.fresh(cupId), ...(ml === undefined ? {} : { amount: { kind: 'volume' as const, ml } }) },
  where: ['box'],
  gates: [],
  hands: { each: 3 },
  note
});

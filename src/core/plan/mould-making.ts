import type { Mould, MouldJob, RubberNeed } from '../mould';
import { newPlan } from './new';
import type { Plan, Shelf } from './document';

/**
 * A mould to be made, as a container on the shelf and a plan that pours the rubber: one pour for a block mould, two
 * with a gate between for halves. The master stands in the container as an embed, so the plan's rubber is what
 * the job worked out.
 */
export function mouldMakingPlan(
  ids: { plan: string; container: string },
  name: string,
  job: MouldJob,
  need: RubberNeed,
  rubberId: string,
  shelf: Shelf
): { container: Mould; plan: Plan } {
  const { container: box } = job;
  const depth = box.by === 'water' ? 60 : box.depth;
  const container: Mould = {
    id: ids.container,
    name: `${name}: casting box`,
    material: 'other',
    finish: 'gloss',
    needs: 'release',
    notes: `Container ${need.containerMl.toFixed(1)} ml, master ${need.masterMl.toFixed(1)} ml.`,
    cavities: [
      {
        id: 'box',
        name: 'mould',
        count: 1,
        shape:
          box.by === 'box'
            ? {
                kind: 'taper',
                baseLength: box.length,
                baseWidth: box.width,
                rimLength: box.length,
                rimWidth: box.width,
                depth
              }
            : box.by === 'round'
              ? { kind: 'cylinder', radius: box.diameter / 2, depth }
              : { kind: 'cylinder', radius: Math.sqrt((need.containerMl * 1000) / Math.PI / depth), depth },
        capacity: box.by === 'water' ? { from: 'pour', ml: need.containerMl } : { from: 'dimensions' }
      }
    ]
  };
  const base = newPlan(ids.plan, name, { ...shelf, moulds: [] });
  const pour = (id: string, ml: number | undefined, how: string) => ({
    id,
    act: 'lay' as const,
    cupId: 'rubber',
    groupId: 'box',
    amount: ml === undefined ? ({ kind: 'rim' } as const) : ({ kind: 'volume', ml } as const),
    minutesEach: 3,
    how
  });
  const keys = job.keys
    ? `press ${job.keys.count} keys of ${job.keys.diameter} mm into it before it sets; `
    : '';
  const [first] = need.pours;
  const halves = need.pours.length > 1;
  return {
    container,
    plan: {
      ...base,
      name,
      baseId: rubberId,
      mixing: 'each',
      losses: { cling: 0.03, vessel: 5 },
      cups: [
        { id: 'rubber', letter: 'A', hatch: 'plain', name: halves ? 'first half' : 'rubber', recipe: [] },
        ...(halves
          ? [{ id: 'second', letter: 'B', hatch: 'slant' as const, name: 'second half', recipe: [] }]
          : [])
      ],
      groups: [
        {
          id: 'box',
          name: 'casting box',
          mouldId: container.id,
          cavityId: 'box',
          count: 1,
          embeds: [
            {
              id: 'master',
              kind: 'object',
              name: 'master',
              each: 1,
              grams: need.masterMl,
              density: 1,
              from: 0,
              height: depth
            }
          ]
        }
      ],
      steps: halves
        ? [
            pour(
              'first',
              Number(first!.toFixed(2)),
              `into the low corner in a thin string; ${keys}let it find its way`
            ),
            { id: 'set', act: 'gate', groupId: 'box', state: 'set' },
            {
              ...pour(
                'second',
                undefined,
                'release brushed over the whole first half and its keys, twice, before this'
              ),
              cupId: 'second'
            }
          ]
        : [pour('only', undefined, 'into the low corner in a thin string, never onto the master')]
    }
  };
}

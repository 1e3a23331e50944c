import { renamed, safeIds } from './names';
import type { Plan1 } from './plan1';
import type { Plan2 } from './plan2';

type Mix = Plan2['mixes'][number];
type Cup = Plan2['cups'][number];
type Group = Plan2['groups'][number];
type Step = Plan2['steps'][number];
type Gate = Step['gates'][number];

/** The mix of a version 1 plan whose cups were split from one. */
const POT = 'mix';

type Step1 = Plan1['steps'][number];
type Lay1 = Extract<Step1, { act: 'lay' }>;
type Gate1 = Extract<Step1, { act: 'gate' }>;

/**
 * A plan of version 1 as version 2, with the same figures. One mix a cup, or one mix split into them; what a step
 * waited for moves onto the step; ids that were not safe or came twice are renamed with all that names them.
 * Pure, and total on whatever version 1's schema accepts.
 */
export function planFrom1to2(plan: Plan1): Plan2 {
  const cups = renamed(plan.cups);
  const groups = renamed(plan.groups);
  const split = plan.mixing === 'split';
  const mixIds = split ? cups.list.map(() => POT) : safeIds(cups.list.map((c) => `mix-${c.id}`.slice(0, 60)));
  return {
    version: 2,
    id: safeIds([plan.id])[0]!,
    name: plan.name,
    notes: plan.notes,
    showFace: plan.showFace,
    mixes: mixesOf(plan, mixIds),
    cups: cups.list.map((c, i) => cupOf(c, mixIds[i]!, split)),
    groups: groups.list.map(groupOf),
    steps: stepsOf(plan.steps, cups.now, groups.now),
    ...(plan.order === undefined ? {} : { order: plan.order }),
    spares: renamed(plan.spares ?? []).list,
    ...(plan.consumables === undefined ? {} : { consumables: plan.consumables }),
    bench: benchOf(plan)
  };
}

function mixesOf(plan: Plan1, ids: readonly string[]): Mix[] {
  const heated = plan.reheats === undefined ? {} : { reheats: plan.reheats };
  if (plan.mixing === 'split') {
    const turns = Math.max(0, ...plan.cups.map((c) => c.mixes ?? 0));
    return [{ id: POT, baseId: plan.baseId, feeds: 'split', ...(turns ? { turns } : {}), ...heated }];
  }
  // A plan without cups still knows its base.
  if (!plan.cups.length) return [{ id: POT, baseId: plan.baseId, feeds: 'one cup', ...heated }];
  return plan.cups.map((cup, i) => ({
    id: ids[i]!,
    baseId: plan.baseId,
    feeds: 'one cup',
    ...(cup.vesselId === undefined ? {} : { vesselId: cup.vesselId }),
    ...(cup.mixes === undefined ? {} : { turns: cup.mixes }),
    ...heated
  }));
}

function cupOf(cup: Plan1['cups'][number], mix: string, split: boolean): Cup {
  const { mixes: _turns, vesselId, recipe, fillers, ...rest } = cup;
  // Lines of a recipe and its chips share one list of ids.
  const lines = renamed([
    ...recipe.map(({ id }) => ({ id })),
    ...(fillers ?? []).map(({ id }) => ({ id }))
  ]).list;
  return {
    ...rest,
    from: { mix },
    recipe: recipe.map((line, i) => ({ ...line, id: lines[i]!.id })),
    ...(fillers ? { fillers: fillers.map((f, i) => ({ ...f, id: lines[recipe.length + i]!.id })) } : {}),
    ...(split && vesselId !== undefined ? { vesselId } : {})
  };
}

const groupOf = (group: Plan1['groups'][number]): Group =>
  group.embeds ? { ...group, embeds: renamed(group.embeds).list } : group;

function benchOf(plan: Plan1): Plan2['bench'] {
  const others = (plan.otherScaleIds ?? []).filter((id) => id !== plan.scaleId);
  return {
    roomCelsius: plan.roomCelsius,
    scaleIds: [plan.scaleId, ...others],
    vesselIds: plan.vesselIds ?? [],
    readings: plan.readings,
    losses: {
      ...plan.losses,
      ...(plan.lossesFrom === 'typed' ? { typed: true } : {}),
      ...(plan.allowance === undefined ? {} : { allowance: plan.allowance })
    }
  };
}

/**
 * Steps with the gates before them. A gate that stood right before a layer of its own cavities becomes that layer's;
 * any other stays where it stood, as a wait.
 */
function stepsOf(
  steps: readonly Step1[],
  cup: (id: string) => string,
  group: (id: string) => string
): Step[] {
  const named = renamed(steps).list;
  const made: Step[] = [];
  let waiting: Gate1[] = [];
  const flush = () => {
    for (const gate of waiting)
      made.push({ id: gate.id, act: { kind: 'wait' }, where: [group(gate.groupId)], gates: [gateOf(gate)] });
    waiting = [];
  };
  for (const step of named) {
    if (step.act === 'gate') {
      if (waiting.length && waiting[0]!.groupId !== step.groupId) flush();
      waiting.push(step);
      continue;
    }
    if (waiting.length && waiting[0]!.groupId !== step.groupId) flush();
    made.push(layOf(step, waiting, cup, group));
    waiting = [];
  }
  flush();
  return made;
}

function layOf(
  step: Lay1,
  gates: readonly Gate1[],
  cup: (id: string) => string,
  group: (id: string) => string
): Step {
  return {
    id: step.id,
    act: {
      kind: 'lay',
      cupId: cup(step.cupId),
      amount: step.amount,
      ...(step.chamberId === undefined ? {} : { chamberId: step.chamberId })
    },
    where: [group(step.groupId)],
    gates: gates.map(gateOf),
    hands: { each: step.minutesEach },
    ...(step.how === undefined ? {} : { note: step.how })
  };
}

const gateOf = (gate: Gate1): Gate => ({
  id: gate.id,
  all: [
    {
      kind: 'state',
      state: gate.state,
      of: 'layer below',
      ...(gate.minutes === undefined ? {} : { minutes: gate.minutes })
    }
  ]
});

import { creepSteps } from '../dosing';
import { COLOUR_STIR_MINUTES, COMMON } from '../schedule';
import { PORTION, type Weighing } from '../batch';
import type { Computed } from '../plan/compute';
import type { Plan } from '../plan/document';

/** One thing to do in a run. Grams and minutes as planned. */
export type Task =
  | { id: string; kind: 'prepare' }
  | {
      id: string;
      kind: 'weigh';
      /** The cup, or the common mix (`~mix`), and which of its mixes. */
      cupId: string;
      mixId: string;
      key: string;
      name: string;
      part: boolean;
      grams: number;
      /** Adding this starts the cup's clock. */
      startsClock: boolean;
      /** Taken out of the cup instead of put in. */
      takeOut?: boolean;
      /** The common mix this is a portion of: its clock is the cup's. */
      portionOf?: string;
      /** One of several steps towards a colour, by eye: its number, from 2, and the line it belongs to. */
      creeps?: number;
      /** Counted instead of weighed, in words. */
      counted?: string;
      /** On another scale than the cup stands on, and that scale's division, g. */
      boat?: boolean;
      scaleId: string;
      division: number;
      /** A vessel of its own, when it is not weighed into the cup. */
      vessel?: string;
    }
  | { id: string; kind: 'stir'; cupId: string; mixId: string; minutes: number }
  | {
      id: string;
      kind: 'pour';
      stepId: string;
      cupId: string;
      mixId: string;
      groupId: string;
      count: number;
      gramsEach: number;
      mlEach: number;
      how?: string;
    }
  | { id: string; kind: 'gate'; stepId: string; groupId: string; state: string; minutes: number }
  | { id: string; kind: 'demould'; groupId: string; from: number; to: number };

export type WeighTask = Extract<Task, { kind: 'weigh' }>;

/** The tasks of a plan, in the order its score plays them. `stirMinutes` comes from the base's card. */
export function tasksOf(plan: Plan, computed: Computed, stirMinutes: number): Task[] {
  const tasks: Task[] = [{ id: 'prepare', kind: 'prepare' }];
  const poured = new Map<string, number>();
  let common: string | undefined;
  for (const item of computed.sequence) {
    if (item.kind === 'mix') {
      const portion = item.cupId === COMMON ? undefined : common;
      if (item.cupId === COMMON) common = item.mixId;
      tasks.push(
        ...weighTasks(item.mixId, item.cupId, weighingsOf(computed, item.mixId), computed, portion),
        {
          id: `stir:${item.mixId}`,
          kind: 'stir',
          cupId: item.cupId,
          mixId: item.mixId,
          minutes: portion ? COLOUR_STIR_MINUTES : stirMinutes
        }
      );
      continue;
    }
    const step = plan.steps.find((s) => s.id === item.stepId);
    if (item.kind === 'gate') {
      const gate = computed.score.gates.find((g) => g.stepId === item.stepId && g.turn === item.turn);
      if (gate && step)
        tasks.push({
          id: `gate:${numbered(item.stepId, item.turn)}`,
          kind: 'gate',
          stepId: item.stepId,
          groupId: step.groupId,
          state: gate.state,
          minutes: gate.minutes
        });
      continue;
    }
    const group = computed.groups.find((g) => g.groupId === step?.groupId);
    const layer = group?.layers.find((l) => l.stepId === item.stepId);
    if (!group || !layer || step?.act !== 'lay') continue;
    const turn = (poured.get(item.stepId) ?? 0) + 1;
    poured.set(item.stepId, turn);
    tasks.push({
      id: `pour:${numbered(item.stepId, turn)}`,
      kind: 'pour',
      stepId: item.stepId,
      cupId: item.cupId,
      mixId: item.mixId,
      groupId: group.groupId,
      count: item.count,
      gramsEach: layer.grams / group.count,
      mlEach: layer.each,
      ...(step.how ? { how: step.how } : {})
    });
  }
  for (const d of computed.score.demould)
    tasks.push({
      id: `demould:${d.groupId}`,
      kind: 'demould',
      groupId: d.groupId,
      from: d.from - d.lastPour,
      to: d.to - d.lastPour
    });
  return tasks;
}

/** The first of several goes by the plain id, so that a plan with one mix reads as it always did. */
const numbered = (id: string, n: number) => (n > 1 ? `${id}~${n}` : id);

const weighingsOf = (computed: Computed, mixId: string): readonly Weighing[] =>
  [...computed.common, ...computed.cups.flatMap((c) => c.mixes)].find((m) => m.mixId === mixId)?.weighings ??
  [];

function weighTasks(
  mixId: string,
  cupId: string,
  weighings: readonly Weighing[],
  computed: Computed,
  portionOf: string | undefined
): WeighTask[] {
  return weighings.flatMap((w) => {
    const steps = w.creep ? creepSteps(w.weight, w.creep) : [w.weight];
    return steps.map((grams, i): WeighTask => ({
      id: `weigh:${mixId}:${w.key}${i ? `+${i + 1}` : ''}`,
      kind: 'weigh',
      cupId,
      mixId,
      key: w.key,
      name: w.name,
      part: w.kind === 'part',
      grams: w.creep ? Math.round(grams / w.division) * w.division : grams,
      startsClock: w.kind === 'part' && w.key === computed.clockPart && !portionOf,
      scaleId: w.scaleId,
      division: w.division,
      ...(w.kind === 'reserve' ? { takeOut: true } : {}),
      ...(portionOf && w.key === PORTION ? { portionOf } : {}),
      ...(i ? { creeps: i + 1 } : {}),
      ...(w.counted ? { counted: w.counted } : {}),
      ...(w.boat ? { boat: true } : {}),
      ...(w.vessel ? { vessel: w.vessel } : {})
    }));
  });
}

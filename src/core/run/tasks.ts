import type { Computed } from '../plan/compute';
import type { Plan } from '../plan/document';

/** One thing to do in a run. Grams and minutes as planned. */
export type Task =
  | { id: string; kind: 'prepare' }
  | {
      id: string;
      kind: 'weigh';
      cupId: string;
      key: string;
      name: string;
      part: boolean;
      grams: number;
      /** Adding this starts the cup's clock. */
      startsClock: boolean;
      /** A vessel of its own, when it is not weighed into the cup. */
      vessel?: string;
    }
  | { id: string; kind: 'stir'; cupId: string; minutes: number }
  | {
      id: string;
      kind: 'pour';
      stepId: string;
      cupId: string;
      groupId: string;
      count: number;
      gramsEach: number;
      mlEach: number;
    }
  | { id: string; kind: 'gate'; stepId: string; groupId: string; state: string; minutes: number }
  | { id: string; kind: 'demould'; groupId: string; from: number; to: number };

export type WeighTask = Extract<Task, { kind: 'weigh' }>;

/** The tasks of a plan, in the order its score plays them. `stirMinutes` comes from the base's card. */
export function tasksOf(plan: Plan, computed: Computed, stirMinutes: number): Task[] {
  const tasks: Task[] = [{ id: 'prepare', kind: 'prepare' }];
  const mixed = new Set<string>();
  for (const step of plan.steps) {
    if (step.act === 'gate') {
      const gate = computed.score.gates.find((g) => g.stepId === step.id);
      if (gate)
        tasks.push({
          id: `gate:${step.id}`,
          kind: 'gate',
          stepId: step.id,
          groupId: step.groupId,
          state: step.state,
          minutes: gate.minutes
        });
      continue;
    }
    const group = computed.groups.find((g) => g.groupId === step.groupId);
    const layer = group?.layers.find((l) => l.stepId === step.id);
    const cup = computed.cups.find((c) => c.cupId === step.cupId);
    if (!group || !layer || !cup) continue;
    if (!mixed.has(cup.cupId)) {
      mixed.add(cup.cupId);

      for (const w of cup.weighings)
        tasks.push({
          id: `weigh:${cup.cupId}:${w.key}`,
          kind: 'weigh',
          cupId: cup.cupId,
          key: w.key,
          name: w.name,
          part: w.kind === 'part',
          grams: w.weight,
          startsClock: w.key === computed.clockPart,
          ...(w.vessel ? { vessel: w.vessel } : {})
        });
      tasks.push({ id: `stir:${cup.cupId}`, kind: 'stir', cupId: cup.cupId, minutes: stirMinutes });
    }
    tasks.push({
      id: `pour:${step.id}`,
      kind: 'pour',
      stepId: step.id,
      cupId: step.cupId,
      groupId: step.groupId,
      count: group.count,
      gramsEach: layer.grams / group.count,
      mlEach: layer.each
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

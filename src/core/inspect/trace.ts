import type { FrozenRun, RunState, Task } from '../run';

type PourTask = Extract<Task, { kind: 'pour' }>;

/** One pour that went into a piece: of which cup and mix, how old that was when it was poured, minutes, and how much. */
export interface TracedPour {
  stepId: string;
  cupId: string;
  letter: string;
  name: string;
  /** Which of the cup's mixes it was, where there are several. */
  mix?: number;
  /** Minutes from the meeting of its parts to the end of the pour; unknown where one was never told. */
  age?: number;
  /** By when it should have been poured, minutes from the same zero. */
  until?: number;
  grams: number;
}

/** Where a piece comes from: its cavity, its place in what was cut, and every pour that went into it, first to last. */
export interface PieceTrace {
  /** Of the group's cavities, from 1. */
  cavity: number;
  /** Of the pieces that one casting is cut into, from 1. */
  bar?: { number: number; of: number };
  pours: TracedPour[];
}

const MINUTE = 60_000;

/**
 * Traces a piece back through the log. Pieces are numbered casting by casting, bars of one casting in the order they are cut;
 * castings are filled in the order of their mixes.
 * @param number the piece's number in its group, from 1
 */
export function traceOf(frozen: FrozenRun, state: RunState, groupId: string, number: number): PieceTrace {
  const of = frozen.file.plan.groups.find((g) => g.id === groupId)?.cutInto ?? 1;
  const cavity = Math.ceil(number / of);
  return {
    cavity,
    ...(of > 1 ? { bar: { number: ((number - 1) % of) + 1, of } } : {}),
    pours: poursInto(state, groupId, cavity).map(({ task, doneAt }) => poured(frozen, state, task, doneAt))
  };
}

interface Into {
  task: PourTask;
  doneAt?: number | undefined;
}

/** The pours that went into one casting: of each step, the one whose castings count up to it. */
function poursInto(state: RunState, groupId: string, cavity: number): Into[] {
  const before = new Map<string, number>();
  return state.tasks.flatMap(({ task, status, doneAt }): Into[] => {
    if (task.kind !== 'pour' || task.groupId !== groupId || status !== 'done') return [];
    // Every round of a step goes into all of its castings again.
    const pass = `${task.stepId} ${task.round?.nth ?? 1}`;
    const from = before.get(pass) ?? 0;
    before.set(pass, from + task.count);
    return cavity > from && cavity <= from + task.count ? [{ task, doneAt }] : [];
  });
}

function poured(
  { computed }: FrozenRun,
  state: RunState,
  task: PourTask,
  doneAt: number | undefined
): TracedPour {
  const cup = computed.cups.find((c) => c.cupId === task.cupId);
  const nth = (cup?.mixes.findIndex((m) => m.mixId === task.mixId) ?? 0) + 1;
  const zero = state.cups.get(task.mixId)?.zero;
  const window = computed.score.windows.find((w) => w.mixId === task.mixId);
  return {
    stepId: task.stepId,
    cupId: task.cupId,
    letter: cup?.letter ?? '',
    name: cup?.name ?? task.cupId,
    ...((cup?.mixes.length ?? 1) > 1 ? { mix: nth } : {}),
    ...(zero !== undefined && doneAt !== undefined ? { age: (doneAt - zero) / MINUTE } : {}),
    ...(window ? { until: window.to - window.zero } : {}),
    grams: task.gramsEach
  };
}

import type { CupState, GroupState, RunState, TaskState, TopUp } from './state';
import type { Task } from '../tasks/task';

/** A run's state while it is folded. */
export interface Folding {
  /** The tasks as they were given or last planned anew. */
  list: readonly Task[];
  tasks: TaskState[];
  byId: Map<string, TaskState>;
  cups: Map<string, CupState>;
  groups: Map<string, GroupState>;
  felt: Map<string, { state: string; at: number }>;
  probed: Map<string, { celsius: number; at: number }>;
  checked: Set<string>;
  ticked: Set<string>;
  accepted: Set<string>;
  lost: Set<string>;
  begunAgain: Map<string, number>;
  left: Map<string, number>;
  photos: RunState['photos'];
  notes: RunState['notes'];
  wasted: RunState['wasted'];
  mishaps: RunState['mishaps'];
  strays: RunState['strays'];
  room?: { celsius: number; at: number };
  replanned?: NonNullable<RunState['replanned']>;
  /** The task that the maker takes next. */
  chosen?: string;
  conductor?: string;
  finishedAt?: number;
  topUp?: TopUp;
}

/** A run in which nothing has happened yet. */
export function freshFolding(tasks: readonly Task[]): Folding {
  const states = tasks.map((task): TaskState => ({ task, status: 'open' }));
  return {
    list: tasks,
    tasks: states,
    byId: new Map(states.map((t) => [t.task.id, t])),
    cups: new Map(),
    groups: new Map(),
    felt: new Map(),
    probed: new Map(),
    checked: new Set(),
    ticked: new Set(),
    accepted: new Set(),
    lost: new Set(),
    begunAgain: new Map(),
    left: new Map(),
    photos: [],
    notes: [],
    wasted: [],
    mishaps: [],
    strays: []
  };
}

/** The state of a group, made when first asked for. */
export function groupOf(f: Folding, id: string): GroupState {
  const known = f.groups.get(id);
  if (known) return known;
  const fresh: GroupState = {};
  f.groups.set(id, fresh);
  return fresh;
}

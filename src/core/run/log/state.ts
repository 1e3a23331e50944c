import type { AnyEvent } from './events';
import type { Task, WeighTask } from '../tasks/task';

/** A task with what has become of it. */
export interface TaskState {
  task: Task;
  status: 'done' | 'skipped' | 'open';
  /** For weighings: what to aim at now, g, after any overshoot. */
  target?: number;
  /** What really went in or was poured, g. */
  actual?: number;
  /** Confirmed without a reading: what it was aimed at then, g. Reckoned with, and never told as a weight. */
  assumed?: number;
  /** What went in instead of what the plan says, and the colourant it was where that is known. */
  instead?: { name: string; colourantId?: string };
  /** More of a colour is in than was aimed at: everything else follows it, or it stays stronger. */
  over?: 'follow' | 'keep';
  /** How often more than planned a gesture was made. */
  extra?: number;
  doneAt?: number;
  /** How often it was done, and when last, of an act that is done several times. */
  repeats?: number;
  lastAt?: number;
  /** Put off until then, ms. */
  until?: number;
}

/** What happened to a mix or to cavities besides its tasks, g. */
export interface Mishap {
  id: string;
  at: number;
  kind: 'rewetted' | 'spilled' | 'lost' | 'topped' | 'withdrew' | 'misplaced';
  /** The mix, or the group for what was taken out of cavities. */
  of: string;
  grams: number;
  /** The part that was added. */
  part?: string;
  /** The cavities that were poured into by mistake. */
  groupId?: string;
  /** Which of them, from 1, where it was one. */
  cavity?: number;
  /** The lines of a top-up. */
  lines?: readonly { key: string; grams: number }[];
  /** The mix was begun again since: it is in no cup any more. */
  over?: boolean;
}

/** What is in of a weighing, read or taken as aimed at, g; undefined before it is in. */
export const inOf = ({ actual, assumed }: Pick<TaskState, 'actual' | 'assumed'>): number | undefined =>
  actual ?? assumed;

/** A cup while it is made. */
export interface CupState {
  /** The batch as a multiple of the plan. */
  scale: number;
  /** When its parts met, ms; its clock's zero. */
  zero?: number;
  /** When its colour was stirred in, ms. */
  coloured?: number;
  /** Grams more (or, negative, less) than planned. */
  surplus: number;
  /** Greatest relative deviation of a part's share from the plan, of what is in; 0 until all parts are. */
  ratioError: number;
  accepted: boolean;
}

/** What is known of a group of cavities. */
export interface GroupState {
  lastPour?: number;
  /** The last pour before it left its mould, where it has: a top or a back coat may have followed. */
  lastInMould?: number;
  reported?: { state: string; at: number };
  demoulded?: number;
  /** Weighings of a piece while it dries, g. */
  dried?: { grams: number; at: number }[];
}

/** A top-up that an overshoot asks for before anything else. */
export interface TopUp {
  task: WeighTask;
  grams: number;
}

/** Something noted while pouring. */
export interface Noted {
  id: string;
  at: number;
  text: string;
  problem: boolean;
}

/** Everything a run's screen shows, folded from its events. Maps are by ids, which may be any words. */
export interface RunState {
  tasks: TaskState[];
  /** The task that was chosen, while it is open and may be done; else the first open one, if any. */
  now?: TaskState;
  topUp?: TopUp;
  /** By mix: a cup's own id for its first, `id~2` for the next; the common mix's as well. */
  cups: ReadonlyMap<string, CupState>;
  groups: ReadonlyMap<string, GroupState>;
  /** What the hand last said of each cup, and what a probe last read in a cup or group. */
  felt: ReadonlyMap<string, { state: string; at: number }>;
  probed: ReadonlyMap<string, { celsius: number; at: number }>;
  /** Conditions that were looked at: `task#condition`. */
  checked: ReadonlySet<string>;
  /** Checks before the first drop that were ticked. */
  ticked: ReadonlySet<string>;
  /** What the room's thermometer last read, °C. */
  room?: { celsius: number; at: number };
  /** Everything that was put right, or went wrong, besides the tasks; in the order it happened. */
  mishaps: Mishap[];
  /** Mixes that are lost and were not begun again. */
  lost: ReadonlySet<string>;
  /** Mixes that were begun again, and when last, ms: what was taken out of one before is no part of its books. */
  begunAgain: ReadonlyMap<string, number>;
  /** The plan as it was last changed, and why; the run's own while it never was. */
  replanned?: { plan: unknown; why: string; at: number };
  /** Photos that were taken, in the order they were. */
  photos: { id: string; at: number; stage: string }[];
  notes: Noted[];
  /** What was in cups that were begun again: lost, but taken from the shelf. */
  wasted: { task: WeighTask; grams: number; at: number; instead?: TaskState['instead'] }[];
  /** What was weighed as left over in each cup at the end, g. */
  left: ReadonlyMap<string, number>;
  /** The device that conducts, where one has said so. */
  conductor?: string;
  /** Events that name nothing in this run, or that only a newer program knows: kept, and shown. */
  strays: { event: AnyEvent; sentence: string }[];
  /** The last event that Undo would take back. */
  undoable?: AnyEvent;
  finishedAt?: number;
}

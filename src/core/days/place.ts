import { shapeOf, Skips } from './skips';

/** A stretch of time, minutes from the origin. */
export interface Span {
  from: number;
  to: number;
}

/** Where something may begin: not before one task (or the origin, `@`) by so much, and at most so much after it. */
export interface After {
  task: string;
  edge: 'start' | 'end';
  min: number;
  max?: number | undefined;
}

/** One thing to do: when its hands are busy, from its start, and how long it takes in all. */
export interface DayTask {
  id: string;
  name: string;
  busy: readonly Span[];
  length: number;
  after: readonly After[];
  /** Tools of which there is one, and when it is in use, from its start. */
  tools?: readonly (Span & { id: string })[];
}

/** One casting of an order from its first weighing to its last day. */
export interface Job {
  id: string;
  orderId: string;
  name: string;
  turn: number;
  /** In the order they are done; the first one is the pour. */
  tasks: readonly DayTask[];
  /** Cavities it fills, by mould, until this task is done. */
  moulds: readonly { id: string; cavities: number }[];
  freedBy: string | undefined;
  /** Since when it lies there already, where it is poured; from its first task on otherwise. */
  heldFrom?: number | undefined;
  notBefore: number;
  /** When it should be done, minutes; none where nobody waits for it. */
  due?: number | undefined;
}

/** What there is to do it with: when hands are there, and how many cavities of each mould there are. */
export interface DayBench {
  hours: readonly Span[];
  cavities: ReadonlyMap<string, number>;
  /** Pairs of hands that work at once; one where nothing is said. */
  hands?: number;
}

export interface Placed {
  jobId: string;
  orderId: string;
  taskId: string;
  name: string;
  from: number;
  to: number;
  busy: Span[];
  /** The latest it may begin, where a window says. */
  latest?: number;
  /** Whether its casting leaves the mould with it. */
  frees?: true;
}

/** A casting that finds no place: which of its tasks, and why. */
export interface Unplaced {
  jobId: string;
  orderId: string;
  taskId: string;
  name: string;
  why: 'window' | 'mould' | 'hours';
}

export interface Days {
  placed: Placed[];
  unplaced: Unplaced[];
  /** When each casting is done, minutes. */
  ends: ReadonlyMap<string, number>;
  /** Castings done after they are due, and by how much, minutes. */
  late: ReadonlyMap<string, number>;
}

/** Places tried for one casting before it is given up. */
const MOST_TRIES = 500;
/** Between two places tried where nothing tells a better one, minutes. */
const STEP = 30;

/**
 * Places castings one after another, those due first at the front: each where hands are there and free for everything it
 * asks of them, where its moulds are free, and where every window after its pour can be kept. Nothing placed is moved again.
 *
 * @param told hears how far it is, a share that never falls
 */
export function planDays(
  jobs: readonly Job[],
  bench: DayBench,
  told: (share: number) => void = () => undefined
): Days {
  const p = new DayPlanner(bench);
  const order = jobs
    .map((job, i) => ({ job, i }))
    .sort((a, b) => compare(rank(a.job), rank(b.job)) || a.i - b.i);
  for (const [i, { job }] of order.entries()) {
    told(i / order.length);
    p.job(job);
  }
  return {
    placed: p.placed.sort((a, b) => a.from - b.from),
    unplaced: p.unplaced,
    ends: p.ends,
    late: new Map(
      jobs.flatMap((j) => {
        const end = p.ends.get(j.id);
        return j.due !== undefined && end !== undefined && end > j.due + 1e-6 ? [[j.id, end - j.due]] : [];
      })
    )
  };
}

/** The latest start from which a casting is done by a moment, on a bench of its own; undefined where there is none. */
export function latestStart(job: Job, bench: DayBench, due: number): number | undefined {
  // Begun later than this it is not done in time even with hands there day and night.
  const latest = due - shortestOf(job);
  for (const day of [...bench.hours].reverse()) {
    if (day.from > latest) continue;
    for (let at = Math.min(day.to, latest); at >= day.from; at -= STEP) {
      const { placed, ends } = planDays([{ ...job, notBefore: at, due }], bench);
      const start = placed[0]?.from;
      if ((ends.get(job.id) ?? Infinity) <= due && start !== undefined) return start;
    }
  }
  return undefined;
}

/** How long a casting takes from its start where hands are always there; nothing where its windows contradict. */
function shortestOf(job: Job): number {
  const always = { hours: [{ from: 0, to: Infinity }], cavities: new Map<string, number>() };
  const { placed, ends } = planDays([{ ...job, moulds: [], notBefore: 0 }], always);
  return Math.max(0, (ends.get(job.id) ?? 0) - (placed[0]?.from ?? 0));
}

/** Why a casting could not stand at a moment, and the next one worth a try; none where there is none. */
type Failed = Pick<Unplaced, 'taskId' | 'why'> & { next: number | undefined };

/** A bench while castings are placed on it. */
class DayPlanner {
  readonly placed: Placed[] = [];
  readonly unplaced: Unplaced[] = [];
  readonly ends = new Map<string, number>();
  /** When each pair of hands is busy, sorted. */
  readonly #hands: Span[][];
  /** When each tool is in use, sorted. */
  readonly #tools = new Map<string, Span[]>();
  /** What holds cavities of each mould, and for how long. */
  readonly #holds = new Map<string, (Span & { cavities: number })[]>();
  /** Where each shape of work was looked for in vain. */
  readonly #skips = new Map<string, Skips>();
  readonly #bench: DayBench;

  constructor(bench: DayBench) {
    this.#bench = bench;
    this.#hands = Array.from({ length: Math.max(1, bench.hands ?? 1) }, () => []);
  }

  job(job: Job): void {
    let at = job.notBefore;
    let failed: Pick<Unplaced, 'taskId' | 'why'> = { taskId: job.tasks[0]?.id ?? '', why: 'hours' };
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const tried = this.#try(job, at);
      if ('tasks' in tried) return this.#keep(job, tried.tasks);
      // A window that was never kept tells more than a calendar that has run out.
      if (tries === 0 || tried.why !== 'hours') failed = tried;
      if (tried.next === undefined) break;
      at = tried.next;
    }
    const name = job.tasks.find((t) => t.id === failed.taskId)?.name ?? '';
    this.unplaced.push({ jobId: job.id, orderId: job.orderId, name, taskId: failed.taskId, why: failed.why });
  }

  #keep(job: Job, tasks: Placed[]): void {
    this.placed.push(...tasks);
    for (const span of tasks.flatMap((t) => t.busy))
      insert(
        this.#hands.find((pair) => !overlapping(pair, span.from, span.to))!,
        span
      );
    for (const { taskId, from } of tasks)
      for (const { id, ...use } of job.tasks.find((t) => t.id === taskId)?.tools ?? [])
        insert(this.#uses(id), { from: from + use.from, to: from + use.to });
    const from = job.heldFrom ?? tasks[0]?.from ?? job.notBefore;
    const to = freedAt(job, tasks);
    for (const { id, cavities } of job.moulds) {
      const held = this.#holds.get(id) ?? [];
      held.push({ cavities, from, to });
      this.#holds.set(id, held);
    }
    this.ends.set(job.id, Math.max(...tasks.map((t) => t.to)));
  }

  /** All tasks of a casting from a moment on; or where it fails, and the next moment worth a try. */
  #try(job: Job, at: number): { tasks: Placed[] } | Failed {
    const tasks: Placed[] = [];
    const own: Span[] = [];
    for (const [i, task] of job.tasks.entries()) {
      const [low, high] = boundsOf(task, tasks, i === 0 ? at : 0);
      const from = this.#fit(task, low, high, own);
      if (from === undefined) {
        const pour = tasks[0]?.from ?? low;
        // The pour itself finds no time at all; a later task may after a later pour.
        return { taskId: task.id, why: i ? 'window' : 'hours', next: i ? this.#later(pour) : undefined };
      }
      // A mould that is taken while it is poured is not freed by anything that comes after.
      const taken = i === 0 ? this.#mouldOf(job, from, from + task.length) : undefined;
      if (taken) return taken;
      const busy = task.busy.map((s) => ({ from: from + s.from, to: from + s.to }));
      own.push(...busy);
      own.sort((a, b) => a.from - b.from);
      tasks.push({
        jobId: job.id,
        orderId: job.orderId,
        taskId: task.id,
        name: task.name,
        from,
        to: from + task.length,
        busy,
        ...(Number.isFinite(high) ? { latest: high } : {}),
        ...(task.id === job.freedBy ? { frees: true as const } : {})
      });
    }
    return this.#mouldOf(job, tasks[0]?.from ?? at, freedAt(job, tasks)) ?? { tasks };
  }

  /** That a mould is not free for all of a time, and when it is worth a try again; nothing where all are. */
  #mouldOf(job: Job, from: number, to: number): Failed | undefined {
    const clash = this.#mouldTaken(job, from, to);
    if (clash === undefined) return undefined;
    return { taskId: job.tasks[0]!.id, why: 'mould', next: Number.isFinite(clash) ? clash : undefined };
  }

  /** When a mould that is wanted becomes free; nothing where all are. Infinite where there are never enough. */
  #mouldTaken(job: Job, from: number, to: number): number | undefined {
    for (const { id, cavities } of job.moulds) {
      const there = this.#bench.cavities.get(id) ?? cavities;
      if (cavities > there) return Infinity;
      const held = (this.#holds.get(id) ?? []).filter((h) => h.from < to - 1e-9 && h.to > from + 1e-9);
      // The most that is held at once begins with one of the holds, or is there at the start.
      const most = Math.max(
        0,
        ...[from, ...held.map((h) => h.from)].map((t) =>
          held.filter((h) => h.from <= t + 1e-9 && h.to > t + 1e-9).reduce((s, h) => s + h.cavities, 0)
        )
      );
      if (most + cavities > there) return Math.min(...held.map((h) => h.to).filter((t) => t > from));
    }
    return undefined;
  }

  /** The next moment worth a try: a little later, or when the next day begins. */
  #later(at: number): number | undefined {
    const later = at + STEP;
    const day = this.#bench.hours[firstAfter(this.#bench.hours, later)];
    return day && Math.max(later, day.from);
  }

  /** The first moment in a window at which the hands are there and free for all of it. */
  #fit(task: DayTask, low: number, high: number, own: readonly Span[]): number | undefined {
    const skips = this.#skipsOf(task);
    let at = low;
    for (;;) {
      const start = skips.after(at);
      const by = this.#movedBy(task, start);
      if (by > start) skips.add(start, by);
      // What else the casting asks of the hands blocks this casting alone.
      const next = by > start ? by : movedBesides(task, start, own);
      if (next > high + 1e-9 || !Number.isFinite(next)) return undefined;
      if (next === start) return start;
      at = next;
    }
  }

  #skipsOf(task: DayTask): Skips {
    const shape = shapeOf(task);
    const skips = this.#skips.get(shape) ?? new Skips();
    this.#skips.set(shape, skips);
    return skips;
  }

  /** When a task could begin instead by what stands on the bench, as far as one look tells; its own start where nothing is in the way. */
  #movedBy({ busy, tools = [] }: DayTask, start: number): number {
    let at = start;
    for (const { from, to } of busy) {
      const free = this.#blocked(at + from, at + to);
      if (free !== undefined) at = Math.max(at, free - from);
    }
    for (const { id, from, to } of tools) {
      const use = overlapping(this.#uses(id), at + from, at + to);
      if (use) at = Math.max(at, use.to - from);
    }
    return at;
  }

  /** When a stretch could begin at the earliest instead, by hours and hands; nothing where they are free. */
  #blocked(from: number, to: number): number | undefined {
    const { hours } = this.#bench;
    const i = firstAfter(hours, from + 1e-9);
    const day = hours[i];
    if (!day) return Infinity;
    if (from < day.from - 1e-9) return day.from;
    if (to > day.to + 1e-9) return hours[i + 1]?.from ?? Infinity;
    // One casting is one pair's; another pair may be free for it.
    let free = Infinity;
    for (const pair of this.#hands) {
      const taken = overlapping(pair, from, to);
      if (!taken) return undefined;
      free = Math.min(free, taken.to);
    }
    return free;
  }

  #uses(tool: string): Span[] {
    const uses = this.#tools.get(tool) ?? [];
    this.#tools.set(tool, uses);
    return uses;
  }
}

/** When a task could begin instead by what its own casting asks of the hands already. */
function movedBesides({ busy }: DayTask, start: number, own: readonly Span[]): number {
  let at = start;
  for (const { from, to } of busy) {
    const mine = overlapping(own, at + from, at + to);
    if (mine) at = Math.max(at, mine.to - from);
  }
  return at;
}

/** Two infinities are alike. */
const compare = (a: number, b: number): number => (a === b ? 0 : a - b);

/** What lies in its mould already comes first, then what is due first. */
const rank = (job: Job): number => (job.heldFrom === undefined ? (job.due ?? Infinity) : -Infinity);

const freedAt = (job: Job, tasks: readonly Placed[]): number =>
  tasks.find((t) => t.taskId === job.freedBy)?.to ?? Math.max(...tasks.map((t) => t.to));

/** Where, in stretches in order that do not overlap, the first stands that ends after a moment. */
function firstAfter(spans: readonly Span[], moment: number): number {
  let [low, high] = [0, spans.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (spans[middle]!.to > moment) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** Stretches that meet within this are one after the other, however their minutes were rounded. */
const MEETS = 1e-9;

/** Puts a stretch where it stands in order: after one that ends as it begins. */
function insert(spans: Span[], span: Span): void {
  spans.splice(firstAfter(spans, span.from + MEETS), 0, span);
}

function overlapping(spans: readonly Span[], from: number, to: number): Span | undefined {
  const next = spans[firstAfter(spans, from + MEETS)];
  return next && next.from < to - MEETS ? next : undefined;
}

/** The earliest and the latest a task may begin, once those before it stand. */
function boundsOf(task: DayTask, placed: readonly Placed[], at: number): [number, number] {
  let [low, high] = [at, Infinity];
  for (const a of task.after) {
    const other = placed.find((p) => p.taskId === a.task);
    if (a.task !== '@' && !other) continue;
    const zero = other ? (a.edge === 'start' ? other.from : other.to) : 0;
    low = Math.max(low, zero + a.min);
    if (a.max !== undefined) high = Math.min(high, zero + a.max);
  }
  return [low, high];
}

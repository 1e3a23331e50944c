/**
 * From when to when a shape of work finds no place on a bench that only ever fills up: from a moment within such a stretch
 * it cannot begin before its end, now or later. What was once looked through is not looked through again.
 */
export class Skips {
  /** Stretches in order, none touching the next: where each begins and ends, minutes. */
  readonly #from: number[] = [];
  readonly #to: number[] = [];

  /** The first moment from which on it is worth looking. */
  after(moment: number): number {
    const i = this.#at(moment);
    return i >= 0 && moment < this.#to[i]! ? this.#to[i]! : moment;
  }

  /** Keeps that there is no place from one moment up to another. */
  add(from: number, to: number): void {
    let first = this.#at(from);
    if (first < 0 || this.#to[first]! < from) first++;
    let end = first;
    while (end < this.#from.length && this.#from[end]! <= to) end++;
    const merged = end > first;
    const low = merged ? Math.min(from, this.#from[first]!) : from;
    const high = merged ? Math.max(to, this.#to[end - 1]!) : to;
    this.#from.splice(first, end - first, low);
    this.#to.splice(first, end - first, high);
  }

  /** The last stretch that begins at a moment or before it; −1 for none. */
  #at(moment: number): number {
    let [low, high] = [0, this.#from.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.#from[middle]! <= moment) low = middle + 1;
      else high = middle;
    }
    return low - 1;
  }
}

/** When a piece of work wants hands and tools, minutes from its start. */
interface Work {
  busy: readonly { from: number; to: number }[];
  tools?: readonly { id: string; from: number; to: number }[];
}

const shapes = new WeakMap<Work, string>();

/** What two pieces of work have in common that fit wherever the other does. */
export function shapeOf(task: Work): string {
  const before = shapes.get(task);
  if (before !== undefined) return before;
  const hands = task.busy.map((s) => `${s.from} ${s.to}`);
  const tools = (task.tools ?? []).map((t) => `${t.id} ${t.from} ${t.to}`);
  const shape = `${hands.join(',')}|${tools.join(',')}`;
  shapes.set(task, shape);
  return shape;
}

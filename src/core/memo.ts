/** What was made at a place of a reckoning, and of what. */
interface Kept {
  from: readonly unknown[];
  made: unknown;
}

/**
 * What the stages of a reckoning came to, each by its place in it (“weigh cup-a”) and by what it was made of. Asked again for
 * the same of the same, a stage is not run: an edit costs what it touches. It knows no clock and no event; what is made of other
 * inputs takes the place of what was made before.
 */
export class Memo {
  readonly #kept = new Map<string, Kept>();
  #used = new Set<string>();

  /** @param before another memo that is looked into as well and never changed: what a try shares with the plan that it starts from */
  constructor(readonly before?: Memo) {}

  /**
   * What `make` comes to, which must be a function of `from` alone. Where a later run comes to the same as the one before, or
   * parts of it do, the very same values are answered, so that what is made of them need not be made again either.
   */
  of<T>(place: string, from: readonly unknown[], make: () => T): T {
    this.#used.add(place);
    const known = this.#kept.get(place) ?? this.before?.at(place);
    if (known && isAlike(known.from, from)) return known.made as T;
    const fresh = make();
    const made = known ? shared(known.made as T, fresh) : fresh;
    this.#kept.set(place, { from, made });
    return made;
  }

  /** Lets go what has not been asked for since this was last done: what belongs to cups and steps that are gone. */
  tidy(): void {
    for (const place of this.#kept.keys()) if (!this.#used.has(place)) this.#kept.delete(place);
    this.#used = new Set();
  }

  private at(place: string): Kept | undefined {
    return this.#kept.get(place) ?? this.before?.at(place);
  }
}

/** A value with all of it that is as it was before in the place of what is alike: the whole, or the parts of a record or list. */
function shared<T>(before: T, now: T): T {
  if (isAlike(before, now)) return before;
  if (Array.isArray(before) && Array.isArray(now))
    return now.map((x: unknown, i) => (isAlike(before[i], x) ? (before[i] as unknown) : x)) as T;
  if (!isPlain(before) || !isPlain(now)) return now;
  const old = before;
  return Object.fromEntries(Object.entries(now).map(([k, x]) => [k, isAlike(old[k], x) ? old[k] : x])) as T;
}

const isPlain = (x: unknown): x is Record<string, unknown> =>
  typeof x === 'object' && x !== null && isRecord(x);

/** Whether two values are the same, or plain data made of the same: lists, maps and records, however deep. All else by itself alone. */
export function isAlike(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a))
    return Array.isArray(b) && a.length === b.length && a.every((x, i) => isAlike(x, b[i]));
  if (a instanceof Map) return b instanceof Map && areAlikeMaps(a, b);
  return isRecord(a) && isRecord(b) && areAlikeRecords(a, b);
}

const isRecord = (x: object): x is Record<string, unknown> => Object.getPrototypeOf(x) === Object.prototype;

function areAlikeRecords(a: Record<string, unknown>, b: Record<string, unknown>): boolean {
  let left = 0;
  for (const key in a) {
    if (!isAlike(a[key], b[key])) return false;
    if (a[key] === undefined && !(key in b)) return false;
    left++;
  }
  for (const _ in b) left--;
  return left === 0;
}

/** In their order too: what is read off a map one after another depends on it. */
function areAlikeMaps(a: ReadonlyMap<unknown, unknown>, b: ReadonlyMap<unknown, unknown>): boolean {
  if (a.size !== b.size) return false;
  const others = b.entries();
  for (const [key, value] of a) {
    const [otherKey, other] = others.next().value!;
    if (key !== otherKey || !isAlike(value, other)) return false;
  }
  return true;
}

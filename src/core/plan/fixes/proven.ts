import { applyEdit } from '../../document/apply-edit';
import { fixesOf, type Diagnostic, type Fix, type Problem } from '../../problem';
import { pourCount, type Plan } from '../../document';
import { Plan as Readable } from '../read';

/** Mends tried, and pours worked out to try them, in all: as many as pass between two keystrokes. */
const MOST_TRIED = 24;
/** Mends of what a mend brings that are tried beyond those. */
const MOST_FOLLOWED = 12;
const MOST_POURS_TRIED = 900;

/** What a problem is, whatever its figures: its code and its place. */
const named = (p: Problem): string => `${p.code} ${p.path}`;

/** A figure of another problem that grows by less than this, a share, is not made worse. */
const HARDLY = 0.01;

/** What a mend may not bring: a note is no harm. */
const isHarm = (p: Problem): boolean => p.level !== 'note';

/** Works a plan out and says its problems. */
type Judge = (plan: Plan) => readonly Diagnostic[];

/** A plan that a mend makes, and what is wrong with it. */
interface Mended {
  plan: Plan;
  problems: readonly Diagnostic[];
}

/** Mends after the first that may be needed to put right what the first brings. */
const MOST_FOLLOWING = 3;

/**
 * Offers with each problem the first of its mends that mends it: applied, the plan can be read, the problem is gone
 * and no warning has come, or become worse, that was not so before. Where every mend brings another warning, one is offered together with
 * the mends of what it brings. Where none does, the problem keeps its general words alone. In a very large plan fewer are
 * tried: the first mend of every problem before the second of any; better silent than wrong. After each try it tells what is
 * proved so far, and can be left.
 */
export function* provingFixes(
  plan: Plan,
  found: readonly Diagnostic[],
  judge: Judge
): Generator<Problem[], Problem[]> {
  const mends = new Map<Diagnostic, Fix>();
  const soFar = () =>
    found.map((diagnostic) => {
      const { fixes: _, by: __, ...problem } = diagnostic;
      const fix = mends.get(diagnostic);
      return fix ? { ...problem, mend: fix.words, edit: fix.edit } : problem;
    });
  for (const _ of new Proof(plan, found, judge).trying(found, mends)) yield soFar();
  return soFar();
}

/** A mend that mends its problem and brings others. */
interface Halfway {
  of: Diagnostic;
  fix: Fix;
  mended: Mended;
}

/** The trying of mends, within what passes between two keystrokes. */
class Proof {
  readonly #plan: Plan;
  /** How bad each problem was before, and how many there were of a name. */
  readonly #before: ReadonlyMap<string, { by: number; many: number }>;
  readonly #judge: Judge;
  #left: number;
  #following: number;

  constructor(plan: Plan, found: readonly Diagnostic[], judge: Judge) {
    this.#plan = plan;
    const before = new Map<string, { by: number; many: number }>();
    for (const p of found) {
      const { by, many } = before.get(named(p)) ?? { by: -Infinity, many: 0 };
      before.set(named(p), { by: Math.max(by, p.by ?? 0), many: many + 1 });
    }
    this.#before = before;
    this.#judge = judge;
    const share = Math.min(1, MOST_POURS_TRIED / Math.max(1, pourCount(plan)) / MOST_TRIED);
    this.#left = Math.floor(MOST_TRIED * share);
    this.#following = Math.floor(MOST_FOLLOWED * share);
  }

  /** Keeps the mends that hold, round by round: every problem's next one, the worst problem's first. One try at a time. */
  *trying(found: readonly Diagnostic[], mends: Map<Diagnostic, Fix>): Generator<void> {
    const halfway: Halfway[] = [];
    const ways = found.map((of) => ({ of, fixes: fixesOf(of) }));
    const rounds = Math.max(0, ...ways.map(({ fixes }) => fixes.length));
    for (let round = 0; round < rounds; round++)
      for (const { of, fixes } of ways) {
        const fix = fixes[round];
        if (!fix || mends.has(of) || this.#left-- <= 0) continue;
        const mended = this.#without(of, this.#plan, fix);
        const brought = mended && this.#brought(mended).length;
        if (brought === 0) mends.set(of, fix);
        else if (mended && isHarm(of) && brought! <= MOST_FOLLOWING) halfway.push({ of, fix, mended });
        yield;
      }
    for (const half of halfway) {
      if (mends.has(half.of)) continue;
      const both = this.#followed(half);
      if (both) mends.set(half.of, both);
      yield;
    }
  }

  /** The plan with a mend made, where that leaves it without the problem; nothing where it cannot be read. */
  #without(problem: Problem, of: Plan, { edit }: Fix): Mended | undefined {
    const read = Readable.safeParse(applyEdit(of, edit));
    if (!read.success) return undefined;
    const problems = this.#judge(read.data);
    return problems.some((p) => named(p) === named(problem)) ? undefined : { plan: read.data, problems };
  }

  /** The warnings that a mend brings, or makes worse. */
  #brought = ({ problems }: Mended): Diagnostic[] => {
    const seen = new Map<string, number>();
    return problems.filter((p) => {
      if (!isHarm(p)) return false;
      const before = this.#before.get(named(p));
      const nth = (seen.get(named(p)) ?? 0) + 1;
      seen.set(named(p), nth);
      return !before || nth > before.many || (p.by ?? 0) > before.by + Math.abs(before.by) * HARDLY;
    });
  };

  /** A mend with the mends of what it brings; nothing where that goes on and on. */
  #followed({ of: problem, fix, mended: first }: Halfway): Fix | undefined {
    const said = [fix.words];
    let now = first;
    for (let n = 0; n < MOST_FOLLOWING; n++) {
      const brought = this.#brought(now);
      const next = brought[0] && fixesOf(brought[0])[0];
      if (this.#following-- <= 0) return undefined;
      const mended = next && this.#without(problem, now.plan, next);
      if (!mended || this.#brought(mended).length >= brought.length) return undefined;
      said.push(next.words);
      now = mended;
      if (brought.length === 1) return { words: said.join('; '), edit: { path: [], value: now.plan } };
    }
    return undefined;
  }
}

/** Problems with their general words alone: nothing is proved, so nothing is offered. */
export const withoutFixes = (found: readonly Diagnostic[]): Problem[] =>
  found.map(({ fixes: _, by: __, ...problem }) => problem);

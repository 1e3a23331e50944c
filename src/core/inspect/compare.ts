import { duration, figure } from '../quantity';
import { debriefOf, factsOf, type FrozenRun, type RunState } from '../run';

/** One thing that was otherwise in two runs, as each had it; nothing where one had none. */
export interface Difference {
  what: string;
  a: string;
  b: string;
}

/** A run as it is compared. */
export interface Compared {
  frozen: FrozenRun;
  state: RunState;
}

/** Figures nearer than this, as a share, are the same: a hand is no more exact. */
const SAME = 0.02;

type Facts = Map<string, { words: string; figure?: number }>;

/**
 * Every logged fact that differs between two runs: where, of what, in which order, how much, how warm and how long. What follows
 * from another (a weight from a percentage) is told once.
 */
export function differences(a: Compared, b: Compared): Difference[] {
  const [of, other] = [factsIn(a), factsIn(b)];
  const whats = [...new Set([...of.keys(), ...other.keys()])];
  return whats.flatMap((what) => {
    const [x, y] = [of.get(what), other.get(what)];
    const alike =
      x?.figure !== undefined && y?.figure !== undefined
        ? Math.abs(x.figure - y.figure) <= SAME * Math.max(Math.abs(x.figure), Math.abs(y.figure))
        : x?.words === y?.words;
    return alike ? [] : [{ what, a: x?.words ?? '', b: y?.words ?? '' }];
  });
}

function factsIn({ frozen, state }: Compared): Facts {
  const facts: Facts = new Map();
  const { computed, file } = frozen;
  const { plan } = file;
  const say = (what: string, words: string, figure?: number) =>
    facts.set(what, { words, ...(figure === undefined ? {} : { figure }) });
  const room = state.room?.celsius ?? plan.bench.roomCelsius;
  say('room', figure(room, '°C'), room);
  say('base', computed.bases.map((x) => x.name).join(', '));
  say(
    'mould',
    [
      ...new Set(plan.groups.map((g) => file.shelf.moulds.find((m) => m.id === g.mouldId)?.name ?? g.mouldId))
    ].join(', ')
  );
  say('pieces', String(computed.totals.pieces), computed.totals.pieces);
  for (const [i, line] of computed.lines.entries()) say(`step ${i + 1}`, line.line);
  for (const f of factsOf(computed, state))
    if (f.unit === '%') say(f.what, `${(f.actual ?? f.planned).toFixed(2)} %`, f.actual ?? f.planned);
  for (const [i, g] of debriefOf(frozen, state).gates.entries())
    say(`wait ${i + 1}, until ${g.state}`, duration(g.waited), g.waited);
  for (const f of factsOf(computed, state))
    if (f.id.startsWith('demould:') && f.actual !== undefined) say(f.what, duration(f.actual), f.actual);
  for (const m of state.mishaps) say(`${m.kind} (${m.of})`, figure(m.grams, 'g', 1), m.grams);
  return facts;
}

/** Differences that a maker chose or caused; a step’s place in the list moves with those before it. */
export const changesIn = (all: readonly Difference[]): number =>
  all.filter((d) => !d.what.startsWith('step ')).length +
  (all.some((d) => d.what.startsWith('step ')) ? 1 : 0);

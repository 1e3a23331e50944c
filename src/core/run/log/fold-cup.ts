import { correctMix, shareError } from '../../dosing';
import { inOf, type CupState, type TaskState, type TopUp } from './state';
import type { WeighTask } from '../tasks/task';

/** What a cup is folded in: the run's tasks, the cups before it, and those the maker left off their ratio. */
interface CupFolding {
  tasks: readonly TaskState[];
  cups: ReadonlyMap<string, CupState>;
  accepted: ReadonlySet<string>;
  topUp?: TopUp;
}

type WeighState = TaskState & { task: WeighTask };

/** Recomputes one cup from what is in it: parts set the scale, everything still to come follows. */
export function foldCup(f: CupFolding, mixId: string, division: number): CupState {
  const weighs = f.tasks.filter((t): t is WeighState => t.task.kind === 'weigh' && t.task.mixId === mixId);
  const parts = weighs.filter((t) => t.task.part && !t.task.byEye);
  const accepted = f.accepted.has(mixId);
  const mix = correctMix(
    parts.map((t) => ({
      key: t.task.key,
      target: t.task.grams,
      ...(t.status === 'done' ? { actual: inOf(t) ?? 0 } : {})
    }))
  );
  const followed = byColour(weighs);
  const grown = followed === undefined ? mix.scale : Math.max(mix.scale, followed);
  const scale = accepted ? 1 : grown;
  for (const t of weighs) t.target = t.task.grams * scale;
  const stirred = f.tasks.find(
    (t) => t.task.kind === 'stir' && t.task.mixId === mixId && t.status !== 'open'
  );
  const follows =
    followed !== undefined ? weighs.filter((t) => !t.task.byEye && !t.task.creeps && !t.task.takeOut) : parts;
  const short = shortOf(follows, scale, division);
  if (short && !accepted && !stirred && !f.topUp) f.topUp = short;
  const zero = zeroOf(f, mixId, weighs);
  return {
    scale,
    surplus: surplusOf(parts, scale),
    ratioError: ratioErrorOf(parts),
    accepted,
    ...(zero === undefined ? {} : { zero }),
    ...(stirred?.doneAt === undefined ? {} : { coloured: stirred.doneAt })
  };
}

/** How much bigger a mix is to be, for colours of which more went in and that everything else follows; nothing where none is. */
function byColour(weighs: readonly WeighState[]): number | undefined {
  const over = weighs.filter((t) => t.over === 'follow');
  return over.length ? Math.max(...over.map((t) => (inOf(t) ?? 0) / t.task.grams)) : undefined;
}

/** What is in, and what an overshoot of another has left short: more than two divisions and half a percent. */
function shortOf(parts: readonly WeighState[], scale: number, division: number): TopUp | undefined {
  for (const t of parts) {
    const grams = t.task.grams * scale - (inOf(t) ?? 0);
    const least =
      Math.max(2 * (t.task.part ? division : t.task.division), 0.005 * t.task.grams * scale) - 1e-9;
    if (t.status === 'done' && grams > least) return { task: t.task, grams };
  }
  return undefined;
}

/** When the parts met: a portion's with its pot, a cup of cups' with the first of them, ms. */
function zeroOf(f: CupFolding, mixId: string, weighs: readonly WeighState[]): number | undefined {
  const portionOf = weighs.find((t) => t.task.portionOf !== undefined)?.task.portionOf;
  if (portionOf !== undefined) return f.cups.get(portionOf)?.zero;
  const fill = f.tasks.find((t) => t.task.kind === 'fill' && t.task.mixId === mixId);
  if (fill?.task.kind !== 'fill') {
    const joined = f.tasks.find(
      (t) => t.task.kind === 'make' && t.task.mixId === mixId && t.task.startsClock
    );
    return (joined ?? weighs.find((t) => t.task.startsClock))?.doneAt;
  }
  const from = new Set(fill.task.from.map((x) => x.cupId));
  const zeros = f.tasks.flatMap(({ task }) =>
    task.kind === 'weigh' && from.has(task.cupId) ? (f.cups.get(task.mixId)?.zero ?? []) : []
  );
  return zeros.length ? Math.min(...zeros) : undefined;
}

const inNow = (t: WeighState, scale: number) => (t.status === 'done' ? (inOf(t) ?? 0) : t.task.grams * scale);

const surplusOf = (parts: readonly WeighState[], scale: number): number =>
  parts.reduce((s, t) => s + inNow(t, scale) - t.task.grams, 0);

const ratioErrorOf = (parts: readonly WeighState[]): number =>
  parts.every((t) => t.status === 'done')
    ? shareError(
        parts.map((t) => inOf(t) ?? 0),
        parts.map((t) => t.task.grams)
      )
    : 0;

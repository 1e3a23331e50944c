import { heldParts, offFormula, type HeldPart, type Weighing } from '../../batch';
import { correctMix } from '../../dosing';
import { formulaOf, materials, type Base, type Formula, type Outcome } from '../../material';
import type { FigureCommonMix, FigureMix } from '../snapshot/figures';
import { HEADROOM } from '../../shelf/vessel';
import { inMix } from '../amounts/actuals';
import { booksOf } from '../amounts/ledger';
import type { FrozenRun } from '../snapshot/frozen';
import type { RunState } from '../log/state';
import { figure } from '../../quantity';

/** What a maker may do when more of a part went in than was planned, each with what it does. */
export interface OvershootOptions {
  /** Everything after it follows: the ratio is kept, the cup grows. Grams; `room` in words where its vessel is known. */
  follow: { scale: number; total: number; surplus: number; room?: string; holds: boolean };
  /** The plan's weights stay: how far the ratio ends off, a share, and what that does. */
  keep: { off: number; words: string; harms: boolean };
  /** A portion of a mixed pot: its ratio stays, its colours are weaker by a share, and the pot is short of so much for others, g. */
  portion?: { weaker: number; short: number };
  /** Begun again: what is in is lost, g. */
  over: { wasted: number };
}

/** A mix of a run with the material it is made of. */
interface Made {
  mix: FigureMix | FigureCommonMix;
  /** The pot that a portion comes from. */
  splitMix: FigureCommonMix | undefined;
  density: number;
  base: Base;
  formula: Formula;
}

/** The ways out for one mix of a run, as it stands; undefined where its material is not known any more. */
export function overshootOptions(
  frozen: FrozenRun,
  state: RunState,
  mixId: string
): OvershootOptions | undefined {
  const made = madeIn(frozen, mixId);
  const cup = state.cups.get(mixId);
  if (!made || !cup) return undefined;
  const { mix } = made;
  const inIt = (w: Weighing) => inMix(state, mixId, w.key);
  const put = mix.weighings.filter((w) => w.kind !== 'reserve');
  const sum = (of: (w: Weighing) => number) => put.reduce((s, w) => s + of(w), 0);
  // The scale is the parts', as the run reckons it; everything else follows it.
  const parts = correctMix(
    put.filter((w) => w.kind === 'part').map((w) => ({ key: w.key, target: w.weight, ...actualOf(inIt(w)) }))
  );
  const topUp = (key: string) => parts.targets.find((t) => t.key === key)?.topUp ?? 0;
  const total = sum((w) => (inIt(w) ?? w.weight * parts.scale) + topUp(w.key));
  return {
    follow: { scale: parts.scale, total, surplus: total - sum((w) => w.weight), ...roomFor(made, total) },
    keep: kept(made, frozen, state, mixId),
    over: { wasted: sum((w) => inIt(w) ?? 0) },
    ...portionOf(frozen, state, made, parts.scale)
  };
}

/** What more of a mixed pot in one of its cups does: no ratio moves, but a colour and the pot do. */
function portionOf(
  frozen: FrozenRun,
  state: RunState,
  { splitMix }: Made,
  scale: number
): Pick<OvershootOptions, 'portion'> {
  if (!splitMix) return {};
  const pot = booksOf(frozen, state).get(splitMix.mixId);
  return { portion: { weaker: 1 - 1 / scale, short: pot?.short ?? 0 } };
}

/** What a mix comes to where all of it becomes so many times as much, g, and whether its vessel holds that. */
export function grownTo(
  frozen: FrozenRun,
  state: RunState,
  mixId: string,
  times: number
): { total: number; room?: string; holds: boolean } {
  const made = madeIn(frozen, mixId);
  if (!made) return { total: 0, holds: true };
  const put = made.mix.weighings.filter((w) => w.kind !== 'reserve');
  const total = put.reduce((s, w) => s + Math.max(w.weight * times, inMix(state, mixId, w.key) ?? 0), 0);
  return { total, ...roomFor(made, total) };
}

const actualOf = (actual: number | undefined) => (actual === undefined ? {} : { actual });

function madeIn({ file, computed }: FrozenRun, mixId: string): Made | undefined {
  const splitMix = computed.common.find((m) => m.mixId === mixId);
  const cup = computed.cups.find((c) => c.mixes.some((m) => m.mixId === mixId));
  const mix = splitMix ?? cup?.mixes.find((m) => m.mixId === mixId);
  const base = file.shelf.bases.find((b) => b.id === (splitMix?.baseId ?? cup?.baseId));
  const formula = base && formulaOf(base);
  if (!mix || !base || !formula?.ok) return undefined;
  const own = cup && computed.common.find((m) => m.of === cup.mixOf && m.turn === mix.turn);
  return { mix, splitMix: own, base, formula: formula.value, density: cup?.density ?? formula.value.density };
}

/** Whether its vessel still holds and stirs it. */
function roomFor({ mix, density }: Made, total: number): { room?: string; holds: boolean } {
  const { vessel } = mix;
  if (!vessel || !(density > 0)) return { holds: true };
  const ml = total / density;
  const stirs = vessel.ml * (1 - HEADROOM);
  if (ml <= stirs) return { holds: true, room: `the ${vessel.name} still holds it` };
  const room =
    ml > vessel.ml
      ? `${figure(ml, 'ml', 0)} is more than the ${vessel.name} holds`
      : `${figure(ml, 'ml', 0)} leaves little room to stir in the ${vessel.name}`;
  return { holds: false, room };
}

/** How the mix ends where nothing follows: what is in, and the rest as planned. */
function kept(made: Made, frozen: FrozenRun, state: RunState, mixId: string): OvershootOptions['keep'] {
  const held = heldNow(made, frozen, state, mixId);
  const off = offFormula(held, made.formula);
  return { off, ...effectOf(made, held, off) };
}

/** Every part as it is in the mix: what was weighed, the rest as planned, and what was stirred in since. */
function heldNow(
  { mix, formula, splitMix }: Made,
  { file }: FrozenRun,
  state: RunState,
  mixId: string
): HeldPart[] {
  const asWeighed = (weighings: readonly Weighing[], id: string) =>
    weighings.map((w) => ({ ...w, weight: inMix(state, id, w.key) ?? w.weight }));
  const colourants = new Map(file.shelf.colourants.map((c) => [c.id, c]));
  const colourantOf = (id: string) => colourants.get(id);
  // A portion holds what its pot was really weighed as.
  const pot =
    splitMix && heldParts({ formula, weighings: asWeighed(splitMix.weighings, splitMix.mixId), colourantOf });
  const held = heldParts({
    formula,
    weighings: asWeighed(mix.weighings, mixId),
    colourantOf,
    splitMix: pot
  });
  const added = state.mishaps.filter((m) => m.kind === 'rewetted' && m.of === mixId && !m.over);
  return held.map((p) => ({
    ...p,
    grams: p.grams + added.reduce((s, m) => s + (m.part === p.key ? m.grams : 0), 0)
  }));
}

/** How a mix stands as it is in its cup: how far off its ratio, a share, and what that does. */
export interface Standing {
  off: number;
  words: string;
  harms: boolean;
  felt?: boolean;
}

/**
 * How a mix stands with what was really put into it, liquid stirred in later and the water of its colours included. `more` is
 * what would be stirred in besides, g of a part: what it would leave, before it is done.
 */
export function standingOf(
  frozen: FrozenRun,
  state: RunState,
  mixId: string,
  more?: { part: string; grams: number }
): Standing | undefined {
  const made = madeIn(frozen, mixId);
  if (!made) return undefined;
  const held = heldNow(made, frozen, state, mixId).map((p) =>
    p.key === more?.part ? { ...p, grams: p.grams + more.grams } : p
  );
  const off = offFormula(held, made.formula);
  return { off, ...effectOf(made, held, off) };
}

/** Parts of a mix that can be stirred in to thin it: its liquids, by key and name; none where nothing thins it. */
export function thinners(frozen: FrozenRun, mixId: string): { part: string; name: string }[] {
  const made = madeIn(frozen, mixId);
  if (!made) return [];
  return materials.of(made.base).thinners.flatMap((part) => {
    const found = made.formula.parts.find((p) => p.key === part);
    return found ? [{ part, name: found.name }] : [];
  });
}

/** What a ratio that is off does to a piece of the material. */
function effectOf({ base, formula }: Made, held: readonly HeldPart[], off: number): Outcome {
  const grams = (key: string) => held.find((p) => p.key === key)?.grams ?? 0;
  return materials.of(base).overshoot(base, { grams, off, formula });
}

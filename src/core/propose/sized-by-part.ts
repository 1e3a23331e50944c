import { formulaOf, type Base, type Formula } from '../material';
import { fail, ok, type Result } from '../problem';
import type { Amount, Plan } from '../document';
import { figuresOf, type Computed } from '../plan';
import { amountOf, withAmount } from '../pour';
import { figure } from '../quantity';
import type { Shelf } from '../shelf';

/** The part of a material that a maker may start from instead of the mould: its oils, its cement. */
export interface LeadingPart {
  /** As it is said: “oils”. */
  name: string;
  /** Its parts among the weighings, and the share of their weight that counts. */
  keys: readonly string[];
  factor: number;
}

/** What a batch of a material may be started from; nothing where its percentages are of the whole mix. */
export function leadingPart(formula: Formula): LeadingPart | undefined {
  const { basis } = formula;
  if (basis.of !== 'parts') return undefined;
  return { name: basis.words.replace(/^of the /, ''), keys: basis.parts, factor: basis.factor ?? 1 };
}

/** Grams of that part in all mixes of a plan. */
export function gramsOfPart({ common, cups }: Computed, { keys, factor }: LeadingPart): number {
  const weighings = [...common, ...cups.flatMap((c) => c.mixes)].flatMap((m) => m.weighings);
  return (
    factor * weighings.reduce((s, w) => s + (w.kind === 'part' && keys.includes(w.key) ? w.weight : 0), 0)
  );
}

/** Rounds until what clings and is rounded has followed the amounts. */
const ROUNDS = 14;
/** Near enough, a share of what is wanted: far finer than a scale. */
const NEAR = 1e-4;
/**
 * The plan with all it pours grown or shrunk alike, so that so many grams of its material's leading part go into it.
 * Refused where that is more than the mould holds, with what it does hold.
 * @param grams of oils, of cement, more than 0
 */
export function sizedByPart(plan: Plan, shelf: Shelf, base: Base, grams: number): Result<Plan> {
  const formula = formulaOf(base);
  const part = formula.ok ? leadingPart(formula.value) : undefined;
  if (!part) return ok(plan);
  let sized = plan;
  let best = { plan, off: Infinity };
  // How large it was, at most, with too little in it, and at least with too much: a larger vessel keeps more back at once.
  let [size, low, high] = [1, 0, Infinity];
  for (let round = 0; round < ROUNDS; round++) {
    const computed = figuresOf(sized, shelf);
    const now = gramsOfPart(computed, part);
    if (now <= 0) return ok(plan);
    const ratio = grams / now;
    const off = Math.abs(ratio - 1);
    if (off < best.off) best = { plan: sized, off };
    if (off < NEAR) break;
    const room = Math.min(...computed.groups.map((g) => 1 / Math.max(1e-9, g.filled)));
    if (ratio > room * (1 + NEAR)) return tooMuch(part, grams, now * room);
    if (ratio > 1) low = size;
    else high = size;
    const next = size * ratio > low && size * ratio < high ? size * ratio : (low + high) / 2;
    sized = grown(sized, computed, next / size);
    size = next;
  }
  return ok(best.plan);
}

const tooMuch = ({ name }: LeadingPart, grams: number, most: number): Result<Plan> =>
  fail({
    code: 'more-than-mould',
    path: 'part',
    sentence: `${figure(grams, 'g', 0)} of ${name} make more than the mould holds.`,
    mend: `Up to ${figure(Math.floor(most), 'g', 0)} fit. Type less, or take a larger mould.`
  });

/** Every pour of a plan so many times as large. */
function grown(plan: Plan, { groups }: Computed, ratio: number): Plan {
  const steps = plan.steps.map((step) => {
    if (!amountOf(step.act)) return step;
    const poured = groups.flatMap((g) =>
      g.layers.filter((l) => l.stepId === step.id).map((l) => ({ each: l.each, of: l.each / g.capacity }))
    );
    const [first] = poured;
    if (!first) return step;
    const amount: Amount =
      step.where.length > 1
        ? { kind: 'share', of: Math.min(1, first.of * ratio) }
        : { kind: 'volume', ml: Number((poured.reduce((s, p) => s + p.each, 0) * ratio).toPrecision(6)) };
    return { ...step, act: withAmount(step.act, amount) };
  });
  return { ...plan, steps };
}

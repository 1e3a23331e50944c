import type { Cavity } from '../mould';
import type { Amount } from '../plan/amount';
import type { Group, LayStep, Step } from '../plan/document';
import type { Problem } from '../problem';

/** One laid layer in each cavity of a group. Levels in mm from the mould face, volumes in ml a cavity. */
export interface Layer {
  stepId: string;
  cupId: string;
  from: number;
  to: number;
  fromMl: number;
  toMl: number;
  /** ml in one cavity. */
  each: number;
}

/** A group of cavities after all its steps. */
export interface FilledGroup {
  group: Group;
  cavity: Cavity;
  layers: Layer[];
  /** Highest level reached, ml a cavity. */
  filledMl: number;
}

const EPSILON = 1e-9;

/** Resolves a group's laid layers against its cavity, in the order of the steps. */
export function fillGroup(
  group: Group,
  cavity: Cavity,
  steps: readonly Step[]
): FilledGroup & { problems: Problem[] } {
  const problems: Problem[] = [];
  const layers: Layer[] = [];
  let level = 0;
  let ml = 0;
  steps.forEach((step, index) => {
    if (step.act !== 'lay' || step.groupId !== group.id) return;
    const path = `plan/steps/${index}/amount`;
    const wanted = volumeAfter(step.amount, level, ml, cavity);
    if (wanted <= ml + EPSILON) {
      problems.push(nothingToPour(step, path, ml / cavity.capacity));
      return;
    }
    if (wanted > cavity.capacity * (1 + 1e-6) + EPSILON)
      problems.push(overfull(step, index, wanted, cavity, group));
    const to = Math.min(wanted, cavity.capacity);
    const next = cavity.levelAt(to);
    layers.push({
      stepId: step.id,
      cupId: step.cupId,
      from: level,
      to: next,
      fromMl: ml,
      toMl: to,
      each: to - ml
    });
    level = next;
    ml = to;
  });
  return { group, cavity, layers, filledMl: ml, problems };
}

/** Volume in the cavity once an amount has been laid, ml; may exceed the capacity. */
function volumeAfter(amount: Amount, level: number, ml: number, cavity: Cavity): number {
  // Above the rim there is no more room: a depth past it counts at the rim's area, so that it reads as overfull.
  const volumeAt = (z: number) =>
    z <= cavity.depth ? cavity.volumeAt(z) : cavity.capacity * (1 + (z - cavity.depth) / cavity.depth);
  switch (amount.kind) {
    case 'deep':
      return volumeAt(level + amount.mm);
    case 'volume':
      return ml + amount.ml;
    case 'share':
      return ml + amount.of * cavity.capacity;
    case 'to level':
      return volumeAt(amount.mm);
    case 'to share':
      return amount.of * cavity.capacity;
    case 'rim':
      return cavity.capacity;
  }
}

function nothingToPour(step: LayStep, path: string, share: number): Problem {
  return {
    code: 'level-passed',
    level: 'stop',
    path,
    sentence: `The cavity already stands at ${(share * 100).toFixed(0)} % here, so this layer pours nothing.`,
    mend:
      step.amount.kind === 'rim'
        ? 'Lower an earlier layer, or take this one out.'
        : 'Ask for a higher level, or take this layer out.'
  };
}

function overfull(step: LayStep, index: number, wanted: number, cavity: Cavity, group: Group): Problem {
  const over = wanted - cavity.capacity;
  return {
    code: 'overfull',
    level: 'stop',
    path: `plan/steps/${index}/amount`,
    sentence: `${group.name} would overflow: ${over.toFixed(1)} ml more than the ${cavity.capacity.toFixed(1)} ml it holds.`,
    mend: 'Fill to the rim instead',
    edit: { path: ['steps', index, 'amount'], value: { kind: 'rim' } }
  };
}

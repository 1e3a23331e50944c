import type { Condition, Zero } from '../../document';
import { duration, figure } from '../../quantity';

/** Names of what a gate speaks of. */
export interface GateNames {
  cup(id: string): string;
  step(id: string): string;
}

/** A condition as a maker says it: “gelled”, “heron 38 °C”, “20 min after heron’s parts met”. */
export function conditionWords(c: Condition, names: GateNames): string {
  switch (c.kind) {
    case 'state':
      return c.of === 'layer below' ? c.state : `${names.cup(c.of.cup)} ${c.state}`;
    case 'since':
      return `${duration(c.minutes)} after ${zeroWords(c.zero, names)}`;
    case 'probe':
      return 'cup' in c.of ? `${names.cup(c.of.cup)} at ${figure(c.celsius, '°C')}` : figure(c.celsius, '°C');
    case 'clock':
      return `${c.at}`;
    case 'checked':
      return c.words;
  }
}

/** The moment a time is counted from, in words. */
export function zeroWords(zero: Zero, names: GateNames): string {
  if ('mixMet' in zero) return 'mixing began';
  if ('stepDone' in zero) return `“${names.step(zero.stepDone)}”`;
  if ('cupColoured' in zero) return `${names.cup(zero.cupColoured)} was coloured`;
  return 'demoulding';
}

import { formatAmount, type AnyAct } from '../plan/document';
import { acts } from './acts';

/** The cups that an act names; none where nobody knows the act, or where it is ill formed. */
export function drawnFrom(act: AnyAct): string[] {
  const known = acts.read(act);
  return known ? known.definition.cups(known.act) : [];
}

/** How much an act lays, as the maker types it; empty for acts without an amount. */
export function amountWords(step: { act: AnyAct } | undefined): string {
  const known = step && acts.read(step.act);
  const amount = known?.definition.amount?.(known.act);
  return amount ? formatAmount(amount) : '';
}

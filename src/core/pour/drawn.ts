import { formatAmount, type Amount, type AnyAct } from '../document';
import { acts } from './acts';

/** The cups that an act names; none where nobody knows the act, or where it is ill formed. */
export function drawnFrom(act: AnyAct): string[] {
  const known = acts.read(act);
  return known ? known.definition.cups(known.act) : [];
}

/** How much an act lays; undefined for acts without an amount, and where nobody knows the act. */
export function amountOf(act: AnyAct): Amount | undefined {
  const known = acts.read(act);
  return known?.definition.amount?.(known.act);
}

/** The same act with another amount; as it is where it has none. */
export function withAmount(act: AnyAct, amount: Amount): AnyAct {
  const known = acts.read(act);
  return known ? known.definition.changed(known.act, { amount }) : act;
}

/** How much an act lays, as the maker types it; empty for acts without an amount. */
export function amountWords(step: { act: AnyAct } | undefined): string {
  const amount = step && amountOf(step.act);
  return amount ? formatAmount(amount) : '';
}

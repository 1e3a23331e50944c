import { Amount, formatAmount, type AnyAct } from '../plan/document';
import { acts } from './acts';

/** The cups that an act names; none where nobody knows the act, or where it is ill formed. */
export function drawnFrom(act: AnyAct): string[] {
  const definition = acts.find(act.kind);
  const read = definition?.schema.safeParse(act);
  return definition && read?.success ? definition.cups(read.data) : [];
}

/** How much an act lays, as the maker types it; empty for acts without an amount. */
export function amountWords(step: { act: AnyAct } | undefined): string {
  const read = Amount.safeParse(step?.act.amount);
  return read.success ? formatAmount(read.data) : '';
}

import { formatAmount } from '../document';
import type { Message } from '../quantity';
import type { ActWords, AnyDefinition, Naming } from './act';

/**
 * What is said of a step whose act is known, with its plain line: what is done, how much of it, where and how.
 * @param own the act and its definition
 */
export function stepWords(
  { act, definition }: { act: { kind: string }; definition: AnyDefinition },
  names: Naming
): ActWords & { line: Message } {
  const words = definition.words(act, names);
  const amount = definition.amount?.(act);
  const line = [words.title, amount && formatAmount(amount), words.where].filter(Boolean).join(', ');
  return { ...words, line };
}

import type { Memo } from '../memo';
import { fixesOf, type Diagnostic } from '../problem';

/**
 * What a rule finds, from before where what it looks at has not changed. The ways out are left for whoever asks for them: they
 * are worked out by the plan as it is then, of which they may change any part.
 * @param looksAt all that decides what is found, and how it is said
 */
export function found(
  memo: Memo,
  place: string,
  looksAt: readonly unknown[],
  rule: () => readonly Diagnostic[]
): Diagnostic[] {
  let now: readonly Diagnostic[] | undefined;
  const said = memo.of(`rule ${place}`, looksAt, () => {
    now = rule();
    return now.map(({ fixes: _, ...problem }) => problem);
  });
  return said.map((problem, i) => ({ ...problem, fixes: () => fixesOf((now ??= rule())[i] ?? {}) }));
}

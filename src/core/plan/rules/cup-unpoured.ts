import { inPlan, type Diagnostic } from '../../problem';
import type { ResolvedPlan } from '../resolve';

/** Cups that no step pours, and none that is poured is made of: nothing of them is mixed. */
export function cupsUnpoured({ plan, cups, cupOf, steps }: ResolvedPlan): Diagnostic[] {
  if (!steps.length) return [];
  const poured = new Set<string>();
  const pour = (id: string) => {
    if (poured.has(id)) return;
    poured.add(id);
    for (const { cupId } of cupOf.get(id)?.parts ?? []) pour(cupId);
  };
  for (const { own } of steps) if (own) own.definition.cups(own.act).forEach(pour);
  for (const { variations } of plan.groups)
    for (const { change } of variations ?? []) if ('cupId' in change && change.cupId) pour(change.cupId);
  return cups
    .filter(({ cup }) => !poured.has(cup.id))
    .map(({ cup }) => ({
      code: 'cup-unpoured',
      level: 'note',
      ...inPlan('cups', cup.id),
      sentence: `No step pours ${cup.name}: none of it is mixed.`,
      mend: 'Pour it in a step, or take it out.'
    }));
}

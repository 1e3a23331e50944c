import { shotsFor, type Base } from '../../material';
import { inPlan, type Diagnostic, type Fix } from '../../problem';
import type { FilledCavitySet } from '../fill';
import type { ResolvedPlan } from '../resolve';
import { figure } from '../../quantity';

/** A piece that takes more than the injector gives at once. */
export function injectorProblems(plan: ResolvedPlan, filled: readonly FilledCavitySet[]): Diagnostic[] {
  return filled.flatMap(({ cavitySet, layers }): Diagnostic[] => {
    const base = plan.cupOf.get(layers[0]?.cupId ?? '')?.mix?.base;
    if (!base || !('injector' in base) || !base.injector) return [];
    const { ml, dead } = base.injector;
    const shots = shotsFor(base.injector, Math.max(...layers.map((l) => l.each)), cavitySet.count);
    if (Number.isFinite(shots.fillings)) return [];
    return [
      {
        code: 'injector-too-small',
        level: 'stop',
        ...inPlan('groups', cavitySet.group.id),
        sentence: `One shot of ${figure(shots.each, 'ml', 1)} is more than the injector gives (${figure(ml - dead, 'ml', 0)}).`,
        mend: 'Use a larger injector, or pour by hand.',
        fixes: otherBases(plan, base)
      }
    ];
  });
}

/** The same material from a base that is poured by hand, or shot with more. */
function otherBases({ plan, allBases }: ResolvedPlan, base: Base): Fix[] {
  return [...allBases.values()]
    .filter((b) => b.kind === base.kind && b.id !== base.id)
    .map((b) => ({
      words: `Pour it from ${b.name}${'injector' in b && b.injector ? '' : ', by hand'}`,
      edit: {
        path: ['mixes'],
        value: plan.mixes.map((m) => (m.baseId === base.id ? { ...m, baseId: b.id } : m))
      }
    }));
}

import { inPlan } from '../problem';
import type { ActStep, Changed } from './act';
import { filledMl, levelled, type CavityState } from './cavity-state';
import { figure } from '../quantity';

/**
 * A cavity after so many ml were drawn out of it: everything that lies there sinks in proportion. What was poured stays
 * what the batch has to make.
 */
export function withdrawn(stand: CavityState, ml: number, step: ActStep): Changed {
  const ready = levelled(stand);
  const there = filledMl(ready);
  const less = Math.max(0.1, Number((there / 4).toPrecision(2)));
  if (ml > there + 1e-9)
    return {
      stand: ready,
      problems: [
        {
          code: 'withdraws-too-much',
          level: 'stop',
          ...inPlan('steps', step.stepId, 'act', 'ml'),
          sentence: `${ready.name} hold ${figure(there, 'ml', 1)} here, so ${figure(ml, 'ml')} cannot be drawn out.`,
          mend: there > 0 ? 'Draw out less.' : 'Pour something in first.',
          ...(there > 0.1
            ? {
                fixes: [
                  {
                    words: `Draw out ${figure(less, 'ml')}`,
                    edit: { path: ['steps', step.stepId, 'act', 'ml'], value: less }
                  }
                ]
              }
            : {})
        }
      ]
    };
  const left = there > 0 ? (there - ml) / there : 1;
  const { cavity } = ready;
  const at = (v: number) => cavity.levelAt(Math.min(v * left, cavity.capacity));
  return {
    stand: {
      ...ready,
      whole: { ml: there * left, level: at(there) },
      layers: ready.layers.map((l) => ({
        ...l,
        fromMl: l.fromMl * left,
        toMl: l.toMl * left,
        from: at(l.fromMl),
        to: at(l.toMl)
      }))
    },
    problems: []
  };
}

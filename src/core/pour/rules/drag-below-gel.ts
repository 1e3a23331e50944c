import { fieldOf, aboutStep, waitsFor, type Done, type Rule } from './rule';
import { figure } from '../../quantity';

/** Whether something fluid was poured between a wait and a step: where nothing was, all of it has set. */
const pouredSince = (steps: readonly Done[], set: Done, i: number): boolean =>
  steps.slice(steps.indexOf(set), i).some((x) => x.definition.amount);

/** A tool drawn to the ground where a layer below has set already: it only moves what lies over that. */
export const dragBelowGel: Rule = (s) =>
  s.steps.flatMap((d, i) => {
    if (!d.traits.includes('drags') || fieldOf(d, 'depth') !== 'full') return [];
    const set = s.steps.slice(0, i + 1).findLast((x) => waitsFor(x, [s.apart, 'firm', 'set']));
    if (!set || set.level <= 0 || !pouredSince(s.steps, set, i)) return [];
    return [
      {
        code: 'drag-below-gel',
        level: 'warn',
        ...aboutStep(d, 'act', 'depth'),
        sentence: `The lowest ${figure(set.level, 'mm', 1)} have set by then: a ${String(fieldOf(d, 'tool'))} to the ground tears them or skids.`,
        mend: 'Draw it through what is fluid only.',
        fixes: [
          {
            words: 'Draw it to half the depth',
            edit: { path: ['steps', d.step.id, 'act', 'depth'], value: 'half' }
          }
        ]
      }
    ];
  });

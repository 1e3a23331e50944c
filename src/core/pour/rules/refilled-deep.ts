import type { Amount } from '../../document';
import { pathArea, type Path } from '../place';
import { fieldOf, aboutStep, type Rule } from './rule';
import { figure } from '../../quantity';

/** How deep a region is milled where its depth is not asked for, mm: a usual inlay. */
const USUAL = 2;
/** Ground that has to be left under a region, mm. */
const LEFT = 0.5;

/** A region is milled out deeper than its ground stands: the mill comes out at the other side. */
export const refilledDeep: Rule = (s) =>
  s.steps.flatMap((region) => {
    if (!region.traits.includes('refills')) return [];
    const mm2 = pathArea(fieldOf<Path>(region, 'outline')!, s.half);
    const ml = mlOf(fieldOf<Amount>(region, 'amount')!, s.capacity);
    if (ml === undefined || !(mm2 > 0)) return [];
    const mm = (ml * 1000) / mm2;
    if (mm <= region.level - LEFT) return [];
    const less = Math.min(USUAL, (region.level - LEFT) / 2);
    const fits = Number(((mm2 * less) / 1000).toPrecision(3));
    return [
      {
        code: 'refilled-deep',
        level: 'stop',
        ...aboutStep(region, 'act', 'amount'),
        sentence: `${figure(ml, 'ml', 1)} within ${(mm2 / 100).toFixed(1)} cm² is ${figure(mm, 'mm', 1)} deep; the ground stands ${figure(region.level, 'mm', 1)} high.`,
        mend: 'Mill less deep, or trace a larger outline.',
        fixes:
          fits > 0
            ? [
                {
                  words: `Mill it ${figure(less, 'mm', 1)} deep: ${figure(fits, 'ml')}`,
                  edit: {
                    path: ['steps', region.step.id, 'act', 'amount'],
                    value: { kind: 'volume', ml: fits }
                  }
                }
              ]
            : []
      }
    ];
  });

const mlOf = (amount: Amount, capacity: number): number | undefined => {
  if (amount.kind === 'volume') return amount.ml;
  return amount.kind === 'share' ? amount.of * capacity : undefined;
};

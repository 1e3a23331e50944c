import { strongest, type Cause } from '../cause';
import { booksHere, cupName, like } from '../case';
import { behaviourOf, EXOTHERM_LIMIT } from '../../../material';
import { figure } from '../../../quantity';

/** Too much mixed resin stood in one cup. */
export const cupTooHot: Cause = {
  id: 'cup-too-hot',
  defects: ['overheated', 'yellowed', 'bubbles on the open face'],
  evidence(c) {
    if (!like(c, 'heats itself')) return undefined;
    return strongest(
      booksHere(c).flatMap((b) => {
        const cup = c.frozen.computed.cups.find((x) => x.mixes.some((m) => m.mixId === b.mixId));
        const base = c.bases.find((x) => x.id === cup?.baseId);
        const peak = base && behaviourOf(base).cupPeak(b.put, c.plan.bench.roomCelsius);
        return peak !== undefined && peak > EXOTHERM_LIMIT
          ? [
              {
                fact: `${figure(b.put, 'g', 0)} stood in ${cupName(c, b.mixId)}: left there it reaches ${figure(peak, '°C', 0)}`,
                strength: peak / EXOTHERM_LIMIT - 1,
                change: 'smaller cups, or pour at once'
              }
            ]
          : [];
      })
    );
  }
};

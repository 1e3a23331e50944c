import { strongest, type Cause } from './cause';
import { booksHere, cupName, made } from './case';
import { behaviourOf } from '../../cure';

/** A cup that would get hotter than this smokes and cracks, °C; usual practice for casting resins. */
const HOT = 110;

/** Too much mixed resin stood in one cup. */
export const cupTooHot: Cause = {
  id: 'cup-too-hot',
  defects: ['overheated', 'yellowed', 'bubbles on the open face'],
  looks(c) {
    if (!made(c, 'resin')) return undefined;
    return strongest(
      booksHere(c).flatMap((b) => {
        const cup = c.frozen.computed.cups.find((x) => x.mixes.some((m) => m.mixId === b.mixId));
        const base = c.bases.find((x) => x.id === cup?.baseId);
        const peak = base && behaviourOf(base).cupPeak(b.put, c.plan.bench.roomCelsius);
        return peak !== undefined && peak > HOT
          ? [
              {
                fact: `${b.put.toFixed(0)} g stood in ${cupName(c, b.mixId)}: left there it reaches ${peak.toFixed(0)} °C`,
                strength: peak / HOT - 1,
                change: 'smaller cups, or pour at once'
              }
            ]
          : [];
      })
    );
  }
};

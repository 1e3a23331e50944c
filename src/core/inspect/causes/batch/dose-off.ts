import { factsOf } from '../../../run';
import { strongest, type Cause } from '../cause';
import { cupName, mixesHere } from '../case';

/** A dose off by more than this shows. */
const NOTICED = 0.08;

/** More or less of a colour than planned. */
export const doseOff: Cause = {
  id: 'dose-off',
  defects: ['too dark, too light or another hue', 'white took over', 'colours read as one'],
  evidence(c) {
    const here = new Set(mixesHere(c));
    return strongest(
      factsOf(c.frozen.computed, c.state).flatMap((f) => {
        const [, mixId = ''] = f.id.split(':');
        const off = f.unit === '%' && f.actual !== undefined && f.planned > 0 ? f.actual / f.planned - 1 : 0;
        return here.has(mixId) && Math.abs(off) > NOTICED
          ? [
              {
                fact: `${f.what}: ${f.actual!.toFixed(2)} % for ${f.planned.toFixed(2)} %`,
                strength: Math.abs(off),
                change: `weigh it on a finer scale, or stir 1 part into 9 of the mix and weigh that (${cupName(c, mixId)})`
              }
            ]
          : [];
      })
    );
  }
};

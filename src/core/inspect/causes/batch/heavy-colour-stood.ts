import type { Colourant } from '../../../material';
import { strongest, type Cause } from '../cause';
import { cupName, latePours, minutesBetween, potsOf } from '../case';

/** After so long mica and white lie on the ground of a thin cup, minutes; usual practice, thick bases hold them longer. */
const SETTLES = 12;

/** Density from which a pigment settles in a thin cup, g/ml: oxides, titanium white and mica; organic ones hover. */
const HEAVY = 2.7;

/** Inks and dyes hover; a pigment whose card tells no density is taken for a heavy one. */
const isHeavy = ({ density, form, translucent }: Colourant): boolean =>
  density === undefined ? form !== 'ink' && !translucent : density >= HEAVY;

/** A heavy pigment settled while its cup stood. */
export const heavyColourStood: Cause = {
  id: 'heavy-colour-stood',
  defects: ['sunken glitter', 'unmixed streaks or specks', 'no cells'],
  evidence(c) {
    return strongest(
      latePours(c).flatMap(({ entry }) => {
        const stirred = c.state.cups.get(entry.task.mixId)?.coloured;
        const stood = stirred === undefined ? 0 : minutesBetween(stirred, entry.doneAt ?? stirred);
        const settles = potsOf(c, entry.task.cupId).some(isHeavy);
        return settles && stood > SETTLES
          ? [
              {
                fact: `${cupName(c, entry.task.mixId)} stood ${stood.toFixed(0)} min after it was stirred`,
                strength: stood / SETTLES - 1,
                change: 'stir it again before it is poured'
              }
            ]
          : [];
      })
    );
  }
};

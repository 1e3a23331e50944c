import { isWhite } from '../../../colour';
import type { Colourant } from '../../../material';
import { strongest, type Cause } from '../cause';
import { cupName, latePours, like, minutesBetween, potsOf, type Case } from '../case';

/** After so long mica and white surely lie on the ground of a thin cup, minutes; usual practice, thick bases hold them longer. */
const SETTLES = 15;

/** Density from which a pigment settles in a thin cup, g/ml: oxides, titanium white and mica; organic ones hover. */
const HEAVY = 2.7;

/** Of a pigment whose card tells no density only white and mica are known to be heavy. */
const isHeavy = (pot: Colourant): boolean =>
  pot.density === undefined ? isWhite(pot) || pot.form === 'mica' : pot.density >= HEAVY;

/** A heavy pigment settled while its cup stood. */
export const heavyColourStood: Cause = {
  id: 'heavy-colour-stood',
  defects: ['sunken glitter', 'unmixed streaks or specks', 'no cells'],
  evidence(c) {
    return strongest(
      latePours(c).flatMap(({ entry }) => {
        const stirred = c.state.cups.get(entry.task.mixId)?.coloured;
        const stood = stirred === undefined ? 0 : minutesBetween(stirred, entry.doneAt ?? stirred);
        // What is thick by then holds its pigment up.
        // A jug that goes round and round is moved each time.
        if ((entry.task.round?.nth ?? 1) > 1) return [];
        const thick = like(c, 'goes by trace') || waitedToThicken(c, entry.task.stepId);
        const settles = !thick && potsOf(c, entry.task.cupId).some(isHeavy);
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

/** Whether a pour waited for its own cup to thicken. */
const waitedToThicken = (c: Case, stepId: string): boolean =>
  c.plan.steps.some(
    (s) =>
      s.id === stepId && s.gates.some((g) => g.all.some((x) => x.kind === 'state' && x.of !== 'layer below'))
  );

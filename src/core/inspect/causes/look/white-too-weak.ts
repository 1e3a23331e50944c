import { WHITE_LIGHTNESS } from '../../../plan';
import { isWhite } from '../../../colour';
import { like, potsOf } from '../case';
import { strongest, type Cause } from '../cause';
import { figure } from '../../../quantity';

/** The share of a pour under which, and the thickness of hiding, mm, past which a white makes few cells; usual practice. */
const LITTLE = 0.08;
const THIN = 3;

/** Too little of a white, or too weak a one, to make cells. */
export const whiteTooWeak: Cause = {
  id: 'white-too-weak',
  defects: ['no cells'],
  evidence(c) {
    // Cells are a thing of thin resin; a clear cup is no white.
    if (!like(c, 'runs thin')) return undefined;
    return strongest(
      c.frozen.computed.cups.flatMap((cup) =>
        potsOf(c, cup.cupId).some(isWhite) &&
        cup.looks.own.lab.l >= WHITE_LIGHTNESS &&
        (cup.shareOfPour < LITTLE || cup.hides === null || cup.hides > THIN)
          ? [
              {
                fact: `${cup.name} is ${(cup.shareOfPour * 100).toFixed(0)} % of the pour and hides ${cup.hides === null ? 'nothing' : `from ${figure(cup.hides, 'mm', 1)}`}`,
                strength: Math.max(
                  LITTLE / Math.max(0.001, cup.shareOfPour) - 1,
                  cup.hides === null ? 2 : cup.hides / THIN - 1
                ),
                change: 'more of the white, or a stronger one'
              }
            ]
          : []
      )
    );
  }
};

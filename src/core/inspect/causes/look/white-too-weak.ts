import { WHITE_LIGHTNESS, whitesIn } from '../../../plan';
import { isWhite } from '../../../colour';
import { acted, like, potsOf } from '../case';
import { strongest, type Cause } from '../cause';
import { figure } from '../../../quantity';

/** The share of a pour under which, and the thickness of hiding, mm, past which a white makes few cells; usual practice. */
const LITTLE = 0.08;
const THIN = 3;
/** A white that covers so many times its share of the pour is strong enough. */
const SPREADS = 1.1;

/** Other colours that are puddled before anyone looks for cells. */
const PUDDLES = 2;

/** Too little of a white, or too weak a one, to make cells. */
export const whiteTooWeak: Cause = {
  id: 'white-too-weak',
  defects: ['no cells'],
  evidence(c) {
    // Cells are a thing of thin resin, of a white under or on other colours that are puddled; a clear cup is no white.
    if (!like(c, 'runs thin')) return undefined;
    const puddled = acted(c, 'digs').map(({ step }) => (step.act as { cupId?: string }).cupId);
    const { computed } = c.frozen;
    const spreads = new Set(
      whitesIn(
        computed.cups,
        computed.groups.filter((g) => g.groupId === c.groupId)
      )
        .filter((w) => w.face > w.pour * SPREADS)
        .map((w) => w.cupId)
    );
    return strongest(
      computed.cups.flatMap((cup) =>
        potsOf(c, cup.cupId).some(isWhite) &&
        cup.looks.own.lab.l >= WHITE_LIGHTNESS &&
        !spreads.has(cup.cupId) &&
        puddled.filter((id) => id !== cup.cupId).length >= PUDDLES &&
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

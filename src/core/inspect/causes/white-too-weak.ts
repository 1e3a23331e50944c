import { strongest, type Cause } from './cause';

/** Lightness of a white; the share under which, and the thickness, mm, past which it makes few cells. */
const WHITE = 88;
const LITTLE = 0.08;
const THIN = 3;

/** Too little of a white, or too weak a one, to make cells. */
export const whiteTooWeak: Cause = {
  id: 'white-too-weak',
  defects: ['no cells'],
  looks(c) {
    return strongest(
      c.frozen.computed.cups.flatMap((cup) =>
        cup.looks.own.lab.l >= WHITE && (cup.shareOfPour < LITTLE || cup.hides === null || cup.hides > THIN)
          ? [
              {
                fact: `${cup.name} is ${(cup.shareOfPour * 100).toFixed(0)} % of the pour and hides ${cup.hides === null ? 'nothing' : `from ${cup.hides.toFixed(1)} mm`}`,
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

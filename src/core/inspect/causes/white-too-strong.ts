import { strongest, type Cause, type Pointed } from './cause';

/** Lightness from which a cup is a white, and the share of a pour that is much of one. */
const WHITE = 88;
const MUCH = 0.2;

/** A white that covers more of the face than was meant. */
export const whiteTooStrong: Cause = {
  id: 'white-too-strong',
  defects: ['white took over'],
  looks(c) {
    return strongest(
      c.frozen.computed.cups.flatMap((cup) => {
        const share = cup.shareOfPour;
        if (cup.hides === null || cup.looks.own.lab.l < WHITE || share < MUCH) return [];
        const recipe = c.plan.cups.find((x) => x.id === cup.cupId)?.recipe ?? [];
        return [
          {
            fact: `${cup.name} is ${(share * 100).toFixed(0)} % of the pour and hides from ${cup.hides.toFixed(1)} mm`,
            strength: share / MUCH - 0.9 + 1 / Math.max(0.5, cup.hides),
            change: 'a third less of its white, or pour it later and less of it',
            apply: (plan) => ({
              ...plan,
              cups: plan.cups.map((x) =>
                x.id === cup.cupId
                  ? {
                      ...x,
                      recipe: recipe.map((r) => ({ ...r, percent: Number(((r.percent * 2) / 3).toFixed(4)) }))
                    }
                  : x
              )
            })
          } satisfies Pointed
        ];
      })
    );
  }
};

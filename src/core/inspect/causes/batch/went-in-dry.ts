import { strongest, type Cause } from '../cause';
import { cupName, like } from '../case';

/** From so much of it on a dry powder wants wetting out first, percent; usual practice of the trade. */
const MUCH = 1;

/** A dry powder that was stirred straight into the cup. */
export const wentInDry: Cause = {
  id: 'went-in-dry',
  defects: ['unmixed streaks or specks'],
  evidence(c) {
    // Concrete and gypsum take their pigment with the dry part, or the liquid, and are mixed hard.
    if (!like(c, 'wants wet colour')) return undefined;
    const { colourants } = c.frozen.file.shelf;
    return strongest(
      c.plan.cups.flatMap((cup) =>
        cup.recipe.flatMap((line) => {
          const pot = colourants.find((p) => p.id === line.colourantId);
          if (pot?.form !== 'powder' || line.letDown || line.percent <= MUCH) return [];
          return [
            {
              fact: `${line.percent} % ${pot.name} went dry into ${cupName(c, cup.id)}`,
              strength: line.percent / MUCH - 1,
              change: 'wet it out first: mull it to a paste in a little of what carries it'
            }
          ];
        })
      )
    );
  }
};

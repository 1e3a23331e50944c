import { duration } from '../../quantity';
import { aboutStep, type Rule } from './rule';

/** Minutes after which heavy pigment has sunk in a thin cup. A starting figure. */
const SETTLES = 12;

/** A cup with a heavy pigment that stands before it is poured wants stirring again. */
export const settles: Rule = (s) =>
  !s.material?.traits.includes('runs thin')
    ? []
    : s.steps.flatMap((d) => {
        const [cupId] = d.definition.cups(d.act);
        const heavy = cupId === undefined ? undefined : s.cup(cupId).heavy;
        const stood = d.from === undefined || d.coloured === undefined ? 0 : d.from - d.coloured;
        if (heavy === undefined || d.definition.group !== 'pour in' || stood <= SETTLES) return [];
        return [
          {
            code: 'settles',
            level: 'note',
            ...aboutStep(d),
            sentence: `The cup stands ${duration(stood)} before it is poured, and ${heavy} sinks in it.`,
            mend: 'Stir it up again, slowly, just before.'
          }
        ];
      });

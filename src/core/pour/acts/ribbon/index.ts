import { formatAmount } from '../../../plan/document';
import { defineAct } from '../../define';
import { amount, cup, oneOf, path, quantity, type ActOf } from '../../fields';
import { pathWords } from '../../place';

/** Along a path: a drizzle, a piped line, petals, rings, hearts. */
const fields = {
  cupId: cup(),
  amount: amount({ kind: 'share', of: 0.05 }),
  path: path('Along', {
    points: [
      { x: -0.7, y: 0 },
      { x: 0.7, y: 0 }
    ]
  }),
  width: quantity('Width', 'mm', 4, { min: 0.5, max: 60 }),
  how: oneOf('How', ['drizzled', 'piped', 'drawn thin'], 'drizzled')
};
export type Ribbon = ActOf<'ribbon', typeof fields>;

const HOW = { drizzled: 'Drizzle', piped: 'Pipe', 'drawn thin': 'Draw' } as const;

export const ribbon = defineAct({
  kind: 'ribbon',
  group: 'pour in',
  fields,
  also: ['drizzle', 'pipe', 'petals', 'line', 'ring', 'hearts', 'thread'],
  usually: { each: 1 },
  // A line that is piped or laid thick is drawn from a cup that no longer levels.
  lasts: (act) => (act.how === 'drawn thin' ? 'levels' : 'sets'),
  words: (act, { cup, cavities }) => ({
    line: `ribbon ${cup(act.cupId)}, ${formatAmount(act.amount)}, ${pathWords(act.path)}, ${act.width} mm wide, ${act.how}`,
    act: HOW[act.how],
    rest: `${cup(act.cupId)} as ${pathWords(act.path)}, ${act.width} mm wide, in ${cavities}`,
    hint: 'one even movement, the tip close to the surface',
    confirm: 'Drawn'
  })
});

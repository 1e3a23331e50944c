import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { repeats, words, type ActOf } from '../../fields';

/** A coat that closes the surface; several with time between. */
const fields = {
  with: words('With'),
  ...repeats(1, 240)
};
export type Seal = ActOf<'seal', typeof fields>;

export const seal = defineAct({
  kind: 'seal',
  name: 'seal',
  group: 'after',
  fields,
  also: ['coat', 'varnish', 'wax', 'gloss'],
  traits: ['seals', 'unmoulded'],
  usually: { each: 1.5 },
  edges: { early: 'haze, and a seal that peels' },
  words: (act, { cavities }) => ({
    title: `seal${act.with ? ` with ${act.with}` : ''}`,
    where: act.times > 1 ? `${act.times} coats ${duration(act.every)} apart` : '',
    act: 'Seal',
    rest: `${cavities}${act.with ? ` with ${act.with}` : ''}`,
    hint: 'only what is dry through; thin, even, no puddles',
    confirm: 'Sealed'
  })
});

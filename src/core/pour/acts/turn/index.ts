import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { repeats, type ActOf } from '../../fields';

/** Turned over, so that air reaches the other side. */
const fields = {
  ...repeats()
};
export type Turn = ActOf<'turn', typeof fields>;

export const turn = defineAct({
  kind: 'turn',
  name: 'turn over',
  group: 'after',
  fields,
  traits: ['unmoulded'],
  also: ['rack', 'flip'],
  usually: { each: 0.2 },
  edges: { late: 'it dries to one side' },
  words: (act, { cavities }) => ({
    title: 'turn over',
    where: act.times > 1 ? `${act.times} times, every ${duration(act.every)}` : '',
    act: 'Turn over',
    rest: cavities,
    hint: 'onto a clean, dry grid',
    confirm: 'Turned'
  })
});

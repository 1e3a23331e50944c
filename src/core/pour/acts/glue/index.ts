import { defineAct } from '../../define';
import { minutes, words, type ActOf } from '../../fields';

/** Parts are glued on. */
const fields = {
  what: words('What'),
  minutes: minutes('Held for', 30, 2880)
};
export type Glue = ActOf<'glue', typeof fields>;

export const glue = defineAct({
  kind: 'glue',
  name: 'glue a part on',
  group: 'after',
  fields,
  also: ['stick', 'fix', 'back'],
  traits: ['glues', 'unmoulded'],
  usually: { each: 2 },
  passes: (act) => act.minutes,
  edges: { early: 'the joint stays soft' },
  words: (act, { cavities }) => ({
    title: `glue on ${act.what ?? 'the part'}`,
    act: 'Glue',
    rest: `${act.what ?? 'the part'} on ${cavities}`,
    hint: 'on a clean, keyed face; clamp it without a squeeze',
    confirm: 'Glued'
  })
});

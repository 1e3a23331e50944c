import { defineAct } from '../../define';
import { fields, type Torch } from './fields';

export type { Torch };

export const torch = defineAct({
  kind: 'torch',
  name: 'torch',
  group: 'wait',
  fields,
  also: ['flame', 'bubbles', 'fire'],
  traits: ['flame', 'clears'],
  usually: { each: 0.2 },
  words: (act, { cavities }) => ({
    title: `torch ${act.seconds} s`,
    act: 'Torch',
    rest: `${cavities}, ${act.seconds} s`,
    hint: 'keep it moving, a hand’s breadth away; never near alcohol',
    confirm: 'Torched'
  })
});

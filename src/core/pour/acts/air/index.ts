import { duration } from '../../../quantity';
import { defineAct } from '../../define';
import { minutes, type ActOf } from '../../fields';

/** Stands free with air on all sides. */
const fields = {
  minutes: minutes('For', 1440)
};
export type Air = ActOf<'air', typeof fields>;

export const air = defineAct({
  kind: 'air',
  name: 'air-dry',
  group: 'after',
  fields,
  also: ['dry', 'rack', 'cure'],
  usually: { once: 1 },
  passes: (act) => act.minutes,
  traits: ['airs'],
  edges: { late: 'it sweats where no air gets' },
  words: (act, { cavities }) => ({
    title: `air-dry ${duration(act.minutes)}`,
    act: 'Air-dry',
    rest: `${cavities} for ${duration(act.minutes)}`,
    hint: 'on a grid, out of the sun and the draught',
    confirm: 'Aired'
  })
});

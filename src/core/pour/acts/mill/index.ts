import { defineAct } from '../../define';
import { quantity, type ActOf } from '../../fields';

/** Milled to a surface: what shows is the depth that the mill leaves. */
const fields = {
  depth: quantity('Down by', 'mm', 1, { min: 0.1, max: 60 })
};
export type Mill = ActOf<'mill', typeof fields>;

export const mill = defineAct({
  kind: 'mill',
  group: 'after',
  fields,
  traits: ['mills', 'unmoulded'],
  also: ['surface', 'plane', 'router'],
  usually: { each: 6 },
  words: (act, { cavities }) => ({
    line: `mill ${act.depth} mm off`,
    act: 'Mill',
    rest: `${act.depth} mm off ${cavities}`,
    hint: 'only what is fully cured; shallow passes',
    confirm: 'Milled'
  })
});

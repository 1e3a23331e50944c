import { defineAct } from '../../define';
import { count, list, maybe, oneOf, type ActOf } from '../../fields';

/** Sanded through the grits. */
const fields = {
  grits: list('Grits', [120, 240, 400, 800], 10_000),
  wet: oneOf('How', ['wet', 'dry'], 'wet'),
  /** Of the machine, where it is no hand's. */
  turns: maybe(count('Turns a minute', 2000, 20_000))
};
export type Sand = ActOf<'sand', typeof fields>;

export const sand = defineAct({
  kind: 'sand',
  name: 'sand',
  group: 'after',
  fields,
  traits: ['unmoulded', 'sands'],
  also: ['grit', 'polish', 'smooth'],
  usually: { each: 4 },
  edges: { early: 'soft resin drags and clogs' },
  words: (act, { cavities }) => ({
    title: `sand ${act.wet}`,
    where: `${act.grits.join(', ')}${act.turns === undefined ? '' : `, ${act.turns} turns a minute`}`,
    act: 'Sand',
    rest: `${cavities} ${act.wet} through ${act.grits.join(', ')}`,
    hint:
      act.wet === 'dry'
        ? 'a respirator on, and extraction: the dust is the hazard'
        : 'wet, flat, each grit until the last one’s marks are gone',
    confirm: 'Sanded'
  })
});

import { inPlan, type Diagnostic } from '../../../problem';
import type { ActStep, Changed } from '../../act';
import { defineAct } from '../../define';
import { poured } from '../../pouring';
import { pouredOn, type CavityState } from '../../cavity-state';
import { fields, type Together } from './fields';
import { flow } from './flow';

export type { Together };

/** Both cups at once: together they are the amount, each by its share of it. */
function apply(act: Together, stand: CavityState, step: ActStep): Changed {
  const density = act.first * step.density(act.cupId) + (1 - act.first) * step.density(act.withId);
  const after = poured(act, stand, step, density);
  const laid = after.stand.layers.at(-1);
  if (act.cupId === act.withId || after.stand.layers.length === stand.layers.length || !laid) return after;
  const before = { level: laid.from, ml: laid.fromMl };
  const start = { ...after.stand, layers: stand.layers, whole: before };
  const own = laid.each * act.first;
  const one = pouredOn(start, own, { stepId: step.stepId, cupId: act.cupId });
  const both = pouredOn(one, laid.each - own, { stepId: step.stepId, cupId: act.withId });
  return { ...after, stand: both };
}

const percent = (share: number): number => Math.round(100 * share);

const oneCupTwice = ({ cupId, amount }: Together, { stepId }: ActStep): Diagnostic => ({
  code: 'one-cup-twice',
  level: 'warn',
  ...inPlan('steps', stepId, 'act', 'withId'),
  sentence: 'Two cups are to be poured at once here, and both are the same cup.',
  mend: 'Choose the other cup, or pour this one as a layer.',
  fixes: [
    {
      words: 'Pour it as a layer',
      edit: { path: ['steps', stepId, 'act'], value: { kind: 'lay', cupId, amount } }
    }
  ]
});

export const together = defineAct({
  kind: 'together',
  name: 'pour two cups at once',
  group: 'pour in',
  fields,
  also: ['both hands', 'two streams', 'dirty pour of two cups'],
  usually: { each: 0.5 },
  apply,
  flow,
  varies: 'where the two colours meet',
  rules: (act, _, step) => (act.cupId === act.withId ? [oneCupTwice(act, step)] : []),
  words: (act, { cup, cavities }) => ({
    title: `pour ${cup(act.cupId)} and ${cup(act.withId)} at once`,
    where: `${percent(act.first)} to ${percent(1 - act.first)} %, ${act.streams}`,
    act: 'Pour',
    rest: `${cup(act.cupId)} and ${cup(act.withId)} at once into ${cavities}`,
    hint: `a cup in each hand, ${act.streams}, cavity by cavity`,
    confirm: 'Both poured'
  })
});

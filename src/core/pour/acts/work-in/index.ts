import { inPlan, type Diagnostic } from '../../../problem';
import { figure } from '../../../quantity';
import type { ActStep } from '../../act';
import { filledMl } from '../../cavity-state';
import { defineAct } from '../../define';
import { fields, type WorkIn } from './fields';
import { flow } from './flow';

export type { WorkIn };

const intoNothing = ({ stepId }: ActStep, name: string): Diagnostic => ({
  code: 'works-into-nothing',
  level: 'warn',
  ...inPlan('steps', stepId),
  sentence: `Nothing stands in ${name} yet that powder could be worked into.`,
  mend: 'Pour first, or dust the empty mould instead.'
});

const potOf = ({ colourantId }: WorkIn, part: (id: string) => string): string =>
  colourantId === undefined ? 'powder' : part(colourantId);

export const workIn = defineAct({
  kind: 'work-in',
  name: 'work powder in',
  group: 'put in',
  fields,
  also: ['mica', 'wet face', 'pick', 'brush', 'finger', 'powder'],
  usually: { each: 2 },
  flow,
  varies: 'the edge of what is worked in',
  rules: (_, stand, step) => (filledMl(stand) > 0 ? [] : [intoNothing(step, stand.name)]),
  words: (act, { cavities, part }) => ({
    title: `work ${potOf(act, part)} in`,
    where: `${figure(act.grams, 'g', 2)}, ${figure(act.deep, 'mm')} deep, within its outline`,
    act: 'Work in',
    rest: `${figure(act.grams, 'g', 2)} of ${potOf(act, part)} with ${act.with} in each of ${cavities}, ${figure(act.deep, 'mm')} deep`,
    hint: 'while the face is wet and no longer runs; a mask on for dry powder',
    confirm: 'Worked in'
  })
});

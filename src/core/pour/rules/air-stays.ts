import { inPlan } from '../../problem';
import type { Step } from '../../document';
import type { Rule } from './rule';

/** What drives the air out of a mix that is too stiff to let it rise by itself. */
const DRIVES_AIR = ['loosens', 'clears', 'in a pot'] as const;

/** So deep most of the air still rises by itself out of a mix that flows, mm. A starting figure. */
const SHALLOW = 25;

/** A mineral mix that is poured and neither tapped nor shaken: its air stays, most of it at the mould's face. */
export const airStays: Rule = (s) => {
  if (!s.material?.traits.includes('mineral')) return [];
  const pours = s.steps.filter((d) => d.definition.amount);
  const last = pours.at(-1);
  if (!last || s.steps.some((d) => DRIVES_AIR.some((t) => d.traits.includes(t)))) return [];
  const rises = s.material.traits.includes('flows round a post') && s.depth <= SHALLOW;
  const at = s.plan.steps.findIndex((x) => x.id === last.step.id) + 1;
  const tap: Step = {
    id: s.freshId.replace('gate', 'tap'),
    act: { kind: 'tap', minutes: 0.5 },
    where: [s.groupId],
    gates: []
  };
  return [
    {
      code: 'air-stays',
      level: rises ? 'note' : 'warn',
      ...inPlan('steps', last.step.id),
      sentence: `${s.name} is never tapped: air stays in ${s.material.spoken}, and shows as holes on the face.`,
      mend: 'Tap the mould all round, or shake it, once it is poured.',
      fixes: [
        {
          words: 'Tap it all round, 30 s, once it is poured',
          edit: { path: ['steps'], value: s.plan.steps.toSpliced(at, 0, tap) }
        }
      ]
    }
  ];
};

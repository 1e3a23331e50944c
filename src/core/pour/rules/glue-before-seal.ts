import { moved, aboutStep, type Rule } from './rule';

/** Glued before it is sealed: the seal creeps under the joint, and the joint stands on dust. */
export const glueBeforeSeal: Rule = ({ steps, plan }) =>
  steps.flatMap((glue, i) => {
    const seal = glue.traits.includes('glues') && steps.slice(i + 1).find((d) => d.traits.includes('seals'));
    if (!seal) return [];
    return [
      {
        code: 'glue-before-seal',
        level: 'warn',
        ...aboutStep(glue),
        sentence: 'It is glued before it is sealed: the seal does not reach under the joint.',
        mend: 'Seal first, then glue on a keyed face.',
        fixes: [{ words: 'Seal it first', edit: moved(plan, glue.step.id, seal.step.id, 'after') }]
      }
    ];
  });

import { moved, aboutStep, type Rule } from './rule';

/** Something done to a piece that still lies in its mould. */
export const stillInMould: Rule = ({ steps, plan, material }) =>
  steps.flatMap((d, i) => {
    // Covered in its mould, soap is right.
    if (d.traits.includes('shields') && material?.traits.includes('ashes')) return [];
    const later =
      d.traits.includes('unmoulded') && steps.slice(i + 1).find((x) => x.traits.includes('demoulds'));
    if (!later) return [];
    return [
      {
        code: 'still-in-mould',
        level: 'warn',
        ...aboutStep(d),
        sentence: 'The piece is still in its mould then.',
        mend: 'Demould it first.',
        fixes: [{ words: 'Demould it first', edit: moved(plan, d.step.id, later.step.id, 'after') }]
      }
    ];
  });

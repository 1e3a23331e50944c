import { moved, pathOf, type Rule } from './rule';

/** What is done to the piece itself, which its mould must not be on any more. */
const OUT = ['cut', 'sand', 'mill', 'wash', 'seal', 'glue', 'ink', 'stain', 'wrap', 'turn'];

/** Something done to a piece that still lies in its mould. */
export const stillInMould: Rule = ({ steps, plan }) =>
  steps.flatMap((d, i) => {
    const later = OUT.includes(d.act.kind) && steps.slice(i + 1).find((x) => x.traits.includes('demoulds'));
    if (!later) return [];
    return [
      {
        code: 'still-in-mould',
        level: 'warn',
        path: pathOf(d),
        sentence: 'The piece is still in its mould then.',
        mend: 'Demould it first.',
        tries: [{ words: 'Demould it first', edit: moved(plan, d.step.id, later.step.id, 'after') }]
      }
    ];
  });

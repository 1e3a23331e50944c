import { moved, aboutStep, type Rule } from './rule';

/** Something done to a piece that still lies in its mould. */
export const stillInMould: Rule = ({ steps, plan, material }) =>
  steps.flatMap((d, i) => {
    // Covered in its mould, soap is right.
    if (d.traits.includes('shields') && material?.traits.includes('ashes')) return [];
    const later =
      d.traits.includes('unmoulded') && steps.slice(i + 1).find((x) => x.traits.includes('demoulds'));
    if (!later || betweenLayers(steps, i)) return [];
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

/** What is done to an open face for the next layer: scuffed, sealed or milled, and then poured on while it lies in its mould. */
const FOR_A_LAYER = ['sands', 'seals', 'mills'] as const;

function betweenLayers(steps: Parameters<Rule>[0]['steps'], at: number): boolean {
  const next = steps.slice(at + 1).find((d) => d.ml > 0 || d.traits.includes('demoulds'));
  return FOR_A_LAYER.some((t) => steps[at]!.traits.includes(t)) && next !== undefined && next.ml > 0;
}

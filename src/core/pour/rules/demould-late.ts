import { holdsFor } from '../../quantity';
import { aboutStep, type Rule } from './rule';

/** A demould that waits so long that the piece grips its mould by then. */
export const demouldLate: Rule = (s) => {
  const out = s.steps.find((d) => d.traits.includes('demoulds'));
  const window = s.demould;
  if (!out || out.from === undefined || !window || !Number.isFinite(window.to)) return [];
  const over = out.from - window.to;
  if (over <= 1 || !s.material?.traits.includes('grips when late')) return [];
  const waits = s.steps.slice(s.steps.indexOf(out)).length && out.step.gates.length > 0;
  return [
    {
      code: 'demould-late',
      level: 'warn',
      ...aboutStep(out),
      sentence: `${s.name} would come out ${holdsFor(over)} after the end of the demould window: ${s.material.demould.late}.`,
      mend: 'Demould inside the window.',
      fixes: waits
        ? [
            {
              words: 'Demould as soon as the window opens',
              edit: { path: ['steps', out.step.id, 'gates'], value: [] }
            }
          ]
        : []
    }
  ];
};

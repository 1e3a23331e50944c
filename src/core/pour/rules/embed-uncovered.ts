import { fieldOf, aboutStep, type Rule } from './rule';
import { figure } from '../../quantity';

/** Least cover over an embed that is meant to lie inside, mm. */
const COVER = 1;

/** Within this much of the rim an embed stands level with it, as wood set into a tray does on purpose, mm. */
const LEVEL = 0.25;

/** An embed that is higher than what covers it. */
export const embedUncovered: Rule = ({ steps, embeds, depth, name }) =>
  steps.flatMap((d) => {
    const embed = embeds.find((e) => e.id === fieldOf(d, 'embedId'));
    if (!d.traits.includes('embeds') || embed?.kind !== 'object') return [];
    const pressed = fieldOf<number>(d, 'pressed') ?? 0;
    const top = Math.max(0, d.level - pressed) + embed.height;
    const deeper = Math.ceil((top + COVER - depth + pressed) * 10) / 10;
    if (top + COVER <= depth + 1e-9 || Math.abs(top - depth) <= LEVEL) return [];
    return [
      {
        code: 'embed-uncovered',
        level: 'warn',
        ...aboutStep(d, 'act'),
        sentence: `${embed.name} is ${figure(embed.height, 'mm')} high and ends ${figure(Math.abs(top - depth), 'mm', 1)} ${top > depth ? 'over' : 'under'} the rim of ${name}: ${top > depth ? 'it is not covered' : 'its cover is too thin'}.`,
        mend: 'Press it deeper, place it earlier, or take a smaller one.',
        ...(deeper <= d.level
          ? {
              fixes: [
                {
                  words: `Press it in by ${figure(deeper, 'mm')}`,
                  edit: { path: ['steps', d.step.id, 'act', 'pressed'], value: deeper }
                }
              ]
            }
          : {})
      }
    ];
  });

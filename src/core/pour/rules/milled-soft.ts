import { duration } from '../../quantity';
import { gated, aboutStep, type Rule } from './rule';

/** Milled or sanded hard before it is cured through: it peels and smears. */
export const milledSoft: Rule = (s) => {
  const cured = s.demould?.cured;
  if (cured === undefined) return [];
  const out = s.steps.find((d) => d.traits.includes('demoulds'));
  return s.steps.flatMap((mill) => {
    if (!mill.traits.includes('mills') || mill.from === undefined || mill.from >= cured - 1e-6) return [];
    const more = Math.ceil(cured - (out?.to ?? mill.from));
    return [
      {
        code: 'milled-soft',
        level: 'warn',
        ...aboutStep(mill),
        sentence: `It is milled ${duration(cured - mill.from)} before it is cured through: it peels and smears.`,
        mend: 'Let it cure through first.',
        ...(out
          ? {
              fixes: [
                {
                  words: 'Wait for the full cure',
                  edit: gated(s, mill, {
                    kind: 'since',
                    zero: { demoulded: s.groupId },
                    minutes: Math.max(1, more)
                  })
                }
              ]
            }
          : {})
      }
    ];
  });
};

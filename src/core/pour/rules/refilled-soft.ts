import { duration } from '../../quantity';
import { gated, aboutStep, type Done, type Rule } from './rule';

const pours = (d: Done) => d.definition.amount !== undefined;

/** A region is milled out of a ground that is not cured through: it tears, and the colour in it peels. */
export const refilledSoft: Rule = (s) => {
  const last = s.steps.findLast(pours);
  if (s.demould?.cured === undefined || last?.to === undefined) return [];
  // What the last pour takes to cure through, so does every one before it.
  const span = s.demould.cured - last.to;
  return s.steps.flatMap((region, i) => {
    if (!region.traits.includes('refills')) return [];
    const ground = s.steps.slice(0, i).findLast(pours);
    if (ground?.to === undefined || region.from === undefined) return [];
    const short = ground.to + span - region.from;
    if (short <= 1e-6) return [];
    return [
      {
        code: 'refilled-soft',
        level: 'warn',
        ...aboutStep(region),
        sentence: `It is milled out ${duration(short)} before its ground is cured through: the edge tears and the colour peels.`,
        mend: 'Let the ground cure through first.',
        fixes: [
          {
            words: 'Wait for the full cure',
            edit: gated(s, region, {
              kind: 'since',
              zero: { stepDone: ground.step.id },
              minutes: Math.min(50_000, Math.ceil(span) + 1)
            })
          }
        ]
      }
    ];
  });
};

import { duration } from '../../quantity';
import { gated, aboutStep, type Rule } from './rule';

/** Sealed before it is dry: the water it holds hazes the coat or lifts it. */
export const sealedWet: Rule = (s) => {
  const least = s.material?.sealAfter;
  if (!least) return [];
  const out = s.steps.find((d) => d.traits.includes('demoulds'));
  const zero = out?.to ?? s.demould?.from;
  return s.steps.flatMap((seal) => {
    if (!seal.traits.includes('seals') || seal.from === undefined || zero === undefined) return [];
    const waited = seal.from - zero;
    if (waited >= least - 1e-6) return [];
    return [
      {
        code: 'sealed-wet',
        level: 'warn',
        ...aboutStep(seal),
        sentence: `It is sealed ${duration(Math.max(0, waited))} out of its mould; it is dry after ${duration(least)} at the earliest, and a seal over water hazes or peels.`,
        mend: 'Let it dry first, with air on all sides; two weighings a day apart tell.',
        ...(out
          ? {
              fixes: [
                {
                  words: `Wait ${duration(least)} after demoulding`,
                  edit: gated(s, seal, { kind: 'since', zero: { demoulded: s.groupId }, minutes: least })
                }
              ]
            }
          : {})
      }
    ];
  });
};

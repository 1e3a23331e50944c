import { duration } from '../../quantity';
import { aboutStep, gated, type Rule } from './rule';

/** Resin is sanded clean from about three times its demould time after the pour; usual practice of the trade. */
const TIMES = 3;

/** A cured piece sanded while it is still soft: it clogs the paper and the scratches close again. */
export const sandedSoft: Rule = (s) => {
  const { demould } = s;
  if (!demould || !s.material?.traits.includes('holds a line')) return [];
  const out = s.steps.find((d) => d.traits.includes('demoulds'));
  const last = s.steps.findLast((d) => d.ml > 0);
  if (out?.to === undefined || last?.to === undefined) return [];
  const hard = last.to + TIMES * (demould.from - last.to);
  return s.steps.flatMap((d) => {
    if (!d.traits.includes('sands') || d.from === undefined || d.from < out.to! || d.from >= hard - 1)
      return [];
    const waits = Math.ceil((hard - out.to!) / 60) * 60;
    return [
      {
        code: 'sanded-soft',
        level: 'note',
        ...aboutStep(d),
        sentence: `It is sanded ${duration(d.from - last.to!)} after the pour; before ${duration(hard - last.to!)} it is still soft and clogs the paper.`,
        mend: 'Let it harden before the paper goes on.',
        fixes: [
          {
            words: `Wait ${duration(waits)} after demoulding`,
            edit: gated(s, d, { kind: 'since', zero: { demoulded: s.groupId }, minutes: waits })
          }
        ]
      }
    ];
  });
};

import { aboutStep, gated, type Rule } from './rule';

/** Strewn on what is thin and fluid: it sinks, and lies on the mould face in place of the top. */
export const strewnFresh: Rule = (s) =>
  s.material?.traits.includes('runs thin')
    ? s.steps.flatMap((d, i) => {
        const onto = s.steps.slice(0, i).some((x) => x.ml > 0);
        const waits = d.step.gates.some((g) => g.all.some((c) => c.kind !== 'clock'));
        if (!d.traits.includes('strewn') || !onto || waits) return [];
        return [
          {
            code: 'strewn-fresh',
            level: 'note',
            ...aboutStep(d),
            sentence: 'It is strewn on what is still fluid: it sinks.',
            mend: 'Wait until the surface holds it, where it is to lie on top.',
            fixes: [
              {
                words: `Wait until it ${s.carries === 'holds a line' ? 'holds a line' : `is ${s.carries}`}`,
                edit: gated(s, d, { kind: 'state', state: s.carries, of: 'layer below' })
              }
            ]
          }
        ];
      })
    : [];

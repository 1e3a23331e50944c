import { fieldOf, gated, aboutStep, type Rule } from './rule';

/** Minutes after which alcohol on a surface has flashed off in a room of 20 °C. Source: domain.md section 10, with room to spare. */
const FLASHED_OFF = 15;

/** A flame where alcohol is still wet, or is in what lies there. */
export const flameNearAlcohol: Rule = (s) =>
  s.steps.flatMap((flame, i) => {
    if (!flame.traits.includes('flame')) return [];
    const before = s.steps.slice(0, i);
    const wet = before.findLast((d) => d.traits.includes('alcohol'));
    const soaked = before.find((d) => d.definition.cups(d.act).some((id) => s.cup(id).alcohol));
    if (soaked)
      return [
        {
          code: 'flame-near-alcohol',
          level: 'warn',
          ...aboutStep(flame),
          sentence: 'A flame over a cup with alcohol in it: it catches fire.',
          mend: 'Take the bubbles with a pick instead.',
          fixes: [{ words: 'Take the bubbles with a pick', edit: withPick(flame.step.id) }]
        }
      ];
    const since = wet?.to === undefined || flame.from === undefined ? 0 : flame.from - wet.to;
    if (!wet || since >= FLASHED_OFF - 1e-6) return [];
    return [
      {
        code: 'flame-near-alcohol',
        level: 'warn',
        ...aboutStep(flame),
        sentence: `A flame ${Math.round(since)} min after ${fieldOf<string>(wet, 'what') ?? 'alcohol'} was put on: it is still wet.`,
        mend: `Wait until it has flashed off: ${FLASHED_OFF} min at least.`,
        fixes: [
          {
            words: `Wait ${FLASHED_OFF} min after it`,
            edit: gated(s, flame, { kind: 'since', zero: { stepDone: wet.step.id }, minutes: FLASHED_OFF })
          },
          { words: 'Take the bubbles with a pick', edit: withPick(flame.step.id) }
        ]
      }
    ];
  });

const withPick = (id: string) => ({ path: ['steps', id, 'act'], value: { kind: 'clear', with: 'a pick' } });

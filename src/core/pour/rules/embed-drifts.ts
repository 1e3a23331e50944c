import { type Done, fieldOf, gated, aboutStep, waitsFor, type Rule } from './rule';

/** An embed set onto what is still fluid floats or sinks through it; it wants a state that holds it. */
export const embedDrifts: Rule = (s) =>
  s.steps.flatMap((d, i) => {
    const embed = s.embeds.find((e) => e.id === fieldOf(d, 'embedId'));
    if (!d.traits.includes('embeds') || embed?.kind !== 'object') return [];
    const below = s.steps.slice(0, i).findLast((x) => x.definition.group === 'pour in');
    if (
      !below ||
      waitsFor(d, [s.carries, s.apart, 'firm', 'paste']) ||
      isHeld(s.carries, below.step.gates, below)
    )
      return [];
    const { density } = s.cup(below.definition.cups(below.act)[0] ?? '');
    if (!density) return [];
    const floats = embed.density < density;
    return [
      {
        code: 'embed-drifts',
        level: 'warn',
        ...aboutStep(d),
        sentence: `${embed.name} has ${embed.density} g/ml and the pour ${density.toFixed(2)} g/ml: while that is fluid it ${floats ? 'floats up' : 'sinks to the mould face'}.`,
        mend: `Wait until it ${s.carries === 'holds a line' ? 'holds a line' : `is at ${s.carries}`}, which carries it.`,
        fixes: [
          {
            words: `Wait for “${s.carries}” before it`,
            edit: gated(s, d, { kind: 'state', state: s.carries, of: 'layer below' })
          }
        ]
      }
    ];
  });

/** A cup that was poured once it was thick itself carries what is set on it. */
const isHeld = (
  state: string,
  gates: readonly { all: readonly { kind: string; state?: string; of?: unknown }[] }[],
  below: Done
): boolean =>
  !below.traits.includes('digs') &&
  gates.some((g) => g.all.some((c) => c.kind === 'state' && c.state === state && c.of !== 'layer below'));

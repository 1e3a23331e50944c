import type { Diagnostic } from '../../problem';
import type { SolidEmbed } from '../../mould';
import { type Done, fieldOf, gated, aboutStep, waitsFor, type Rule, type Sequence } from './rule';

/** What differs less in density than this share of it hangs where it is put. */
const BUOYANT = 0.02;

/** An embed set onto what is still fluid floats or sinks through it; it wants a state that holds it. */
export const embedDrifts: Rule = (s) =>
  s.steps.flatMap((d, i) => {
    const embed = s.embeds.find((e) => e.id === fieldOf(d, 'embedId'));
    if (!d.traits.includes('embeds') || embed?.kind !== 'object') return [];
    const below = s.steps.slice(0, i).findLast((x) => x.definition.group === 'pour in');
    if (!below) return lifted(s, d, i, embed);
    if (waitsFor(d, [s.carries, s.apart, 'firm', 'paste']) || isHeld(s.carries, below.step.gates, below))
      return [];
    const { density } = s.cup(below.definition.cups(below.act)[0] ?? '');
    if (!density || Math.abs(embed.density - density) < BUOYANT * density) return [];
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

/**
 * What stands loose in an empty mould and is lighter than what is poured round it: it comes up once the pour stands as high as
 * its share of the pour's density, unless it is held down, or by a first layer that has set.
 */
function lifted(s: Sequence, d: Done, i: number, embed: SolidEmbed & { kind: 'object' }): Diagnostic[] {
  const later = s.steps.slice(i + 1);
  const over = later.find((x, k) => {
    const { density } = s.cup(x.definition.cups(x.act)[0] ?? '');
    const high = later[k + 1]?.level ?? s.depth;
    return (
      x.ml > 0 && embed.density < (1 - BUOYANT) * density && density * high > embed.density * embed.height
    );
  });
  const until = over ? later.slice(0, later.indexOf(over) + 1) : [];
  if (!over || [d, ...until].some((x, k) => isHeldDown(x) || (k > 1 && waitsFor(x, [s.carries, s.apart]))))
    return [];
  const { density } = s.cup(over.definition.cups(over.act)[0]!);
  return [
    {
      code: 'embed-drifts',
      level: 'warn',
      ...aboutStep(d),
      sentence: `${embed.name} has ${embed.density} g/ml and the pour ${density.toFixed(2)} g/ml: what stands loose in the mould floats up.`,
      mend: 'Weigh it down or glue it, or set it in a first thin layer that holds it.',
      fixes: [
        {
          words: 'Ask before the pour whether it is held down',
          edit: gated(s, over, { kind: 'checked', words: `${embed.name} is held down` })
        }
      ]
    }
  ];
}

/** Whether a step is done only once somebody has looked, or glues. */
const isHeldDown = ({ step, traits }: Done): boolean =>
  traits.includes('glues') || step.gates.some((g) => g.all.some((c) => c.kind === 'checked'));

/** A cup that was poured once it was thick itself carries what is set on it. */
const isHeld = (
  state: string,
  gates: readonly { all: readonly { kind: string; state?: string; of?: unknown }[] }[],
  below: Done
): boolean =>
  !below.traits.includes('digs') &&
  gates.some((g) => g.all.some((c) => c.kind === 'state' && c.state === state && c.of !== 'layer below'));

import type { CraftCase, CraftFact, CraftProblem } from '../../definition';
import { REHEAT_LIMIT, shotsFor } from '../../melted';
import type { PlastisolCard } from './card';

/** How often it was heated, and the shots of an injector. */
export function plastisolCraft(
  card: PlastisolCard,
  { mixes, castings }: CraftCase
): { facts: CraftFact[]; problems: CraftProblem[] } {
  const limit = card.reheatLimit ?? REHEAT_LIMIT;
  const reheats = Math.max(0, ...mixes.map((m) => m.reheats));
  const facts = castings.flatMap((c) => shotFacts(card, c));
  facts.push({
    label: 'heated',
    value: `${reheats} of ${limit} times · ${card.heatTo} °C, never past ${card.neverPast} °C`
  });
  const problems: CraftProblem[] =
    reheats >= limit
      ? [
          {
            code: 'reheated-too-often',
            level: 'warn',
            path: `plan/mixes/${mixes.find((m) => m.reheats === reheats)?.id ?? ''}/reheats`,
            sentence: `This plastisol has been heated ${reheats} times; its card allows ${limit}.`,
            mend: 'Start from fresh material; use this for pieces nobody sees.'
          }
        ]
      : [];
  return { facts, problems };
}

/** What an injector makes of one group: shots, refills, and the first one into cold metal. */
function shotFacts({ injector }: PlastisolCard, c: CraftCase['castings'][number]): CraftFact[] {
  if (!injector || !c.layersMl.length) return [];
  const shots = shotsFor(injector, Math.max(...c.layersMl), c.count);
  const whole = Number.isFinite(shots.fillings);
  return [
    {
      label: `shots, ${c.name}`,
      value: whole
        ? `${shots.each.toFixed(1)} ml each · ${shots.perFilling} a filling · ${shots.fillings - 1} refills`
        : `${shots.each.toFixed(1)} ml each`
    },
    ...(c.mouldMaterial === 'aluminium'
      ? [{ label: 'first shot', value: 'a cold metal mould takes it badly: remelt and shoot again' }]
      : [])
  ];
}

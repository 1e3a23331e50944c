import { inPlan } from '../../../problem';
import type { CraftCase, CraftFact, CraftProblem } from '../../definition';
import { REHEAT_LIMIT, shotsFor } from '../../melted';
import type { PlastisolCard } from './card';
import { figure } from '../../../quantity';

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
    value: `${reheats} of ${limit} times · ${figure(card.heatTo, '°C')}, never past ${figure(card.neverPast, '°C')}`
  });
  const problems: CraftProblem[] =
    reheats >= limit
      ? [
          {
            code: 'reheated-too-often',
            level: 'warn',
            ...inPlan('mixes', mixes.find((m) => m.reheats === reheats)?.id ?? '', 'reheats'),
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
        ? `${figure(shots.each, 'ml', 1)} each · ${shots.perFilling} a filling · ${shots.fillings - 1} refills`
        : `${figure(shots.each, 'ml', 1)} each`
    },
    ...(c.mouldMaterial === 'aluminium'
      ? [{ label: 'first shot', value: 'a cold metal mould takes it badly: remelt and shoot again' }]
      : [])
  ];
}

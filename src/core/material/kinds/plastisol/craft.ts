import { inPlan } from '../../../problem';
import type { CraftCase, CraftFact, CraftProblem } from '../../definition';
import { REHEAT_LIMIT, shotsFor } from '../../melted';
import type { PlastisolCard } from './card';
import { counted, figure } from '../../../quantity';

/** How often it was heated, and the shots of an injector. */
export function plastisolCraft(
  card: PlastisolCard,
  { mixes, castings }: CraftCase
): { facts: CraftFact[]; problems: CraftProblem[] } {
  const limit = card.reheatLimit ?? REHEAT_LIMIT;
  const heated = (m: (typeof mixes)[number]) => m.reheats + m.warmedAgain;
  const times = Math.max(0, ...mixes.map(heated));
  const most = mixes.find((m) => heated(m) === times);
  const facts = castings.flatMap((c) => shotFacts(card, c));
  facts.push({
    label: 'heated',
    value: `${times} of ${limit} times · ${figure(card.heatTo, '°C')}, never past ${figure(card.neverPast, '°C')}`
  });
  const problems: CraftProblem[] =
    most && times >= limit
      ? [
          {
            code: 'reheated-too-often',
            level: 'warn',
            ...inPlan('mixes', most.id, 'reheats'),
            sentence: `This plastisol has been heated ${counted(times, 'time')}${most.warmedAgain ? ` by then, ${most.warmedAgain} of them here` : ''}; its card allows ${limit}.`,
            mend: `Start from fresh material${most.warmedAgain ? ', or leave a warming out' : ''}; use this for pieces nobody sees.`
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

import { type About } from '../../../problem';
import type { CraftCase, CraftFact, CraftProblem } from '../../definition';
import { WATER_CEMENT } from '../../tolerances';
import { waterCementOf, type ConcreteCard } from './card';
import { figure } from '../../../quantity';

/** How far ten millilitres of water move it: what a maker wants to know before reaching for the jug, g. */
const A_SPLASH = 10;

/** Water to cement of everything that is joined, and what is wrong with it. */
export function concreteCraft(
  card: ConcreteCard,
  { joinings }: CraftCase
): { facts: CraftFact[]; problems: CraftProblem[] } {
  const facts: CraftFact[] = [];
  const problems: CraftProblem[] = [];
  for (const j of joinings) {
    const wc = waterCementOf(card, (key) => j.held(key));
    const ten = waterCementOf(card, (key) => j.held(key) + (key === 'water' ? A_SPLASH : 0));
    if (wc === undefined || ten === undefined) continue;
    facts.push({
      label: `water / cement, ${j.name}`,
      value: `${wc.toFixed(3)} · ${figure(A_SPLASH, 'ml')} more: ${ten.toFixed(3)}`
    });
    if (j.is !== 'portion' && (wc > WATER_CEMENT.most || wc < WATER_CEMENT.least))
      problems.push(outside(j.about, j.name, wc));
  }
  if (card.plasticiser > 0)
    facts.push({ label: 'too stiff?', value: 'plasticiser first, up to 1.5 % of the cement; water last' });
  return { facts, problems };
}

function outside(about: About, name: string, wc: number): CraftProblem {
  const wet = wc > WATER_CEMENT.most;
  return {
    code: 'water-cement',
    level: 'warn',
    ...about,
    sentence: `${name} has a water/cement ratio of ${wc.toFixed(2)}; ${wet ? `over ${WATER_CEMENT.most} it is weak and dusts` : `under ${WATER_CEMENT.least} it hardly flows`}.`,
    mend: wet ? 'Take water out and use plasticiser for flow.' : 'Add plasticiser before water.'
  };
}

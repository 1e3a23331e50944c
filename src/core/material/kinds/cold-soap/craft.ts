import type { CraftCase, CraftFact, CraftProblem, Joining } from '../../definition';
import { naohIn, settingFat, stockWords, superfatOf, waterIn, type SoapCard } from './card';
import { figure } from '../../../quantity';

/** Lye, g, under which a slip of a bench scale moves the superfat by a point or so. */
const LITTLE_LYE = 10;

/** Lye and superfat of everything that is joined; fats that may set, and batches too small for their lye. */
export function soapCraft(card: SoapCard, of: CraftCase): { facts: CraftFact[]; problems: CraftProblem[] } {
  return {
    facts: [...of.joinings.map((j) => factOf(card, j)), ...stockWords(card)],
    problems: [...fatsMaySet(card, of), ...littleLye(card, of)]
  };
}

function factOf(card: SoapCard, j: Joining): CraftFact {
  const superfat = `superfat ${(superfatOf(card, (key) => j.held(key)) * 100).toFixed(1)} %`;
  return j.is === 'portion'
    ? { label: `with its colour, ${j.name}`, value: superfat }
    : {
        label: `lye, ${j.name}`,
        value: `${figure(
          naohIn(card, (key) => j.weighed(key)),
          'g'
        )} in ${figure(
          waterIn(card, (key) => j.weighed(key)),
          'g'
        )} ${card.liquid?.name ?? 'water'} · ${superfat}${fatOfLiquid(card, j)}`
      };
}

/** What the fat of a liquid leaves beyond the superfat: the lye is not reckoned for it. */
function fatOfLiquid(card: SoapCard, joining: Joining): string {
  const fat = waterIn(card, (key) => joining.weighed(key)) * (card.liquid?.fat ?? 0);
  return fat > 0 ? `, and ${figure(fat, 'g', 1)} fat of the ${card.liquid!.name} beside it` : '';
}

function fatsMaySet(card: SoapCard, { roomCelsius, castings }: CraftCase): CraftProblem[] {
  const fat = settingFat(card, roomCelsius);
  const layers = Math.max(0, ...castings.map((c) => c.layersMl.length));
  if (!fat || layers <= 1) return [];
  return [
    {
      code: 'fats-may-set',
      level: 'note',
      path: 'plan/bench/roomCelsius',
      sentence: `At ${figure(roomCelsius, '°C')} ${fat.name} (melts at ${figure(fat.melts, '°C')}) may set in a waiting cup and pass for trace.`,
      mend: `Work oils and lye at about ${figure(fat.melts + 5, '°C')}; a cup that stiffens early is rewarmed gently to that, not blended.`
    }
  ];
}

function littleLye(card: SoapCard, { joinings, alone }: CraftCase): CraftProblem[] {
  // A stock is weighed in grams that the scale can tell.
  if (card.stock?.lye !== undefined) return [];
  const small = joinings.filter((j) => j.is === 'own');
  if (alone <= 2 || !small.some((j) => j.weighed('naoh') < LITTLE_LYE)) return [];
  return [
    {
      code: 'soap-school',
      level: 'note',
      path: 'plan/mixes',
      sentence: `Fresh small batches: the least lye here is ${figure(Math.min(...small.map((j) => j.weighed('naoh'))), 'g')}, where a slip of the scale moves the superfat.`,
      mend: 'Make a bigger batch, or use a finer scale.',
      orSplit: 'Split one batch inside its trace instead'
    }
  ];
}

import type { CraftCase, CraftFact, CraftProblem, Joining } from '../../definition';
import { settingFat, superfatOf, type SoapCard } from './card';
import { figure } from '../../../quantity';

/** Lye, g, under which a slip of a bench scale moves the superfat by a point or so. */
const LITTLE_LYE = 10;

/** Lye and superfat of everything that is joined; fats that may set, and batches too small for their lye. */
export function soapCraft(card: SoapCard, of: CraftCase): { facts: CraftFact[]; problems: CraftProblem[] } {
  return {
    facts: of.joinings.map((j) => factOf(card, j)),
    problems: [...fatsMaySet(card, of), ...littleLye(of)]
  };
}

function factOf(card: SoapCard, j: Joining): CraftFact {
  const superfat = `superfat ${(superfatOf(card, (key) => j.held(key)) * 100).toFixed(1)} %`;
  return j.is === 'portion'
    ? { label: `with its colour, ${j.name}`, value: superfat }
    : {
        label: `lye, ${j.name}`,
        value: `${figure(j.weighed('naoh'), 'g')} in ${figure(j.weighed('water'), 'g')} water · ${superfat}`
      };
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

function littleLye({ joinings, alone }: CraftCase): CraftProblem[] {
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

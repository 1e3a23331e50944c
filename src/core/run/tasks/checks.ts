import type { Computed } from '../../plan/computed';
import type { Plan } from '../../document';
import { materials } from '../../material';
import type { Task } from './task';
import { figure } from '../../quantity';

type Check = NonNullable<Extract<Task, { kind: 'prepare' }>['checks']>[number];

const ROOM_CHECK = 'room';
/** Whether a thermometer answers a check, not a look: of the first sitting or a later one. */
export const isRoomCheck = (id: string): boolean => id.split('~')[0] === ROOM_CHECK;

/** What is looked at before the first drop of a plan: the first task's checks, in the order they are best done. */
export function checksOf(plan: Plan, computed: Computed): Check[] {
  return [
    moulds(computed),
    level(plan),
    cups(computed),
    tools(plan, computed),
    kit(computed),
    stands(computed),
    room(plan)
  ].filter((c) => c !== undefined);
}

/** What is looked at before a later sitting: that what lies there is as it should be, and the bench set up anew. */
export function checksAgain(plan: Plan, computed: Computed, sitting: number): Check[] {
  const again = (check: Check): Check => ({ ...check, id: `${check.id}~${sitting}` });
  const lies: Check = {
    id: 'lies',
    words: 'What lies there has set: no dust, no drips, nothing moved',
    more: ['sand or scuff it, and wipe it, where a layer goes onto what is firm']
  };
  return [lies, level(plan), kit(computed), room(plan)].map(again);
}

function moulds(computed: Computed): Check {
  const kinds = [...new Set(computed.bases.map((b) => b.kind))];
  const names = computed.groups.map((g) => g.name);
  return {
    id: 'moulds',
    words: `Moulds are ${[...new Set(kinds.flatMap((k) => materials.find(k)?.mould ?? []))].join('; ')}`,
    more: [...new Set(names)].slice(0, 12)
  };
}

const level = (plan: Plan): Check => ({
  id: 'level',
  words: 'They stand level and the right side up',
  more: LIES[plan.showFace]
});

/** Where the face lies that is judged; a cut and a wall lie neither way. */
const LIES: Record<Plan['showFace'], string[]> = {
  'mould face': ['the mould face is the show face: it lies below'],
  'open face': ['the open face is the show face: it lies on top'],
  cut: [],
  wall: []
};

function cups({ cups, common }: Computed): Check {
  const own = cups.filter((c) => c.mixes.length);
  const vessels = own.map((c) => {
    const vessel = c.mixes[0]?.vessel?.name;
    return `${c.letter} ${c.name}${vessel ? `, ${vessel}` : ''}`;
  });
  const splitMixes = common.length
    ? [`a pot for the mix${common[0]!.vessel ? `, ${common[0]!.vessel.name}` : ''}`]
    : [];
  return {
    id: 'cups',
    words: `Cups are lettered ${own.map((c) => c.letter).join(', ')}`,
    more: [...vessels, ...splitMixes]
  };
}

/** What lies ready, in the order it is wanted: tools the steps name, then sticks in the order the cups are stirred. */
function tools(plan: Plan, computed: Computed): Check {
  const named = plan.steps.flatMap((s) => (s.muted ? [] : (s.tool ?? [])));
  const letters = stirred(computed);
  const sticks = letters.length > 1 ? [`cups are stirred in this order: ${letters.join(', ')}`] : [];
  return {
    id: 'tools',
    words: 'Tools lie in order',
    more: [...new Set(named), 'a stick for each cup', ...sticks]
  };
}

/** Letters of the cups that are mixed, as the work goes: each once. */
function stirred({ sequence, cups }: Computed): string[] {
  const letters = sequence.flatMap((item) =>
    item.kind === 'mix' ? (cups.find((c) => c.cupId === item.cupId)?.letter ?? []) : []
  );
  return [...new Set(letters)];
}

const kit = ({ cautions }: Computed): Check => ({
  id: 'kit',
  words: 'Gloves and goggles on, the cautions read',
  more: cautions
});

/** Everything that will be weighed, in all: it stands within reach before a clock runs. */
function stands({ needs, letDowns }: Computed): Check {
  const made = letDowns.map((l) => `made first: 1 part ${l.name} stirred into ${l.parts} of the mix`);
  return {
    id: 'stock',
    words: 'All ingredients are here, enough of each',
    more: [
      ...needs.map((n) => `${n.name}, ${figure(n.grams, 'g', n.grams < 1 ? 2 : n.grams < 10 ? 1 : 0)}`),
      ...made
    ]
  };
}

const room = (plan: Plan): Check => ({
  id: ROOM_CHECK,
  words: 'The room’s temperature is read',
  more: [`planned for ${figure(plan.bench.roomCelsius, '°C')}; times adjust to the real temperature`]
});

/** Pours that one pair of hands keeps in sight at once. */
const MOST_AT_ONCE = 2;

/**
 * What is ticked before a run's first drop: the checks it was begun with, and another pair of hands where as many others are
 * being poured as one pair keeps in sight. @param pouring names of the others
 */
export function checksNow(
  { checks = [] }: Extract<Task, { kind: 'prepare' }>,
  pouring: readonly string[]
): readonly Check[] {
  if (pouring.length < MOST_AT_ONCE) return checks;
  const another = {
    id: 'another-pair',
    words: `Another pair of hands has ${pouring.join(' or ')}`,
    more: [
      'two pours at once are as many as one pair keeps in sight; otherwise pour one of them to its end first'
    ]
  };
  return [another, ...checks];
}

/** Checks that are still open before a run's first drop. */
export const openChecks = (checks: readonly Check[], ticked: ReadonlySet<string>): Check[] =>
  checks.filter((c) => !ticked.has(c.id));

import { aimedAt } from '../amounts/targets';
import { stillFrom } from '../amounts/ledger';
import type { FrozenRun } from '../snapshot/frozen';
import { pourUntilNow } from '../times/refit';
import { inOf, type RunState } from '../log/state';
import { standingOf } from './overshoot-options';
import { type Message, figure } from '../../quantity';

const MINUTE = 60_000;
/** Less than this share off a target is what any hand does. */
const NOTICED = 0.03;

/** Something that went otherwise than planned, or was put right, with what it did. */
export interface Correction {
  kind:
    'swapped' | 'unread' | 'weight' | 'left out' | 'gesture' | 'late' | RunState['mishaps'][number]['kind'];
  at: number;
  /** The event it came from, where one said it; found from the figures otherwise. */
  id?: string;
  what: Message;
  did: Message;
}

const g = (grams: number) => figure(grams, 'g', grams < 10 ? 2 : 1);

/** Everything in a run that was put right or went otherwise, in the order it happened, each with what it did to its mix. */
export function correctionsOf(frozen: FrozenRun, state: RunState): Correction[] {
  return [...weighed(frozen, state), ...told(frozen, state), ...late(frozen, state)].sort(
    (a, b) => a.at - b.at
  );
}

/** How a cup, a pot or cavities are called. */
function nameOf({ computed }: FrozenRun, id: string): string {
  const cup = computed.cups.find((c) => c.cupId === id || c.mixes.some((m) => m.mixId === id));
  if (cup) return `cup ${cup.letter}`;
  if (computed.common.some((m) => m.mixId === id)) return 'the mixing pot';
  return computed.groups.find((x) => x.groupId === id)?.name ?? 'a jar';
}

type Entry = RunState['tasks'][number];

const weighed = (frozen: FrozenRun, state: RunState): Correction[] =>
  state.tasks.flatMap((entry) => [...ofWeighing(frozen, state, entry), ...ofStep(frozen, entry)]);

/** Another pot, another weight, or none that was read. */
function ofWeighing(frozen: FrozenRun, state: RunState, entry: Entry): Correction[] {
  const { task, instead, assumed } = entry;
  if (task.kind !== 'weigh') return [];
  const at = entry.doneAt ?? 0;
  const of = nameOf(frozen, task.mixId);
  const lines: Correction[] = [];
  if (instead)
    lines.push({
      kind: 'swapped',
      at,
      what: `${instead.name} went into ${of} instead of ${task.name}`,
      did: `${g(inOf(entry) ?? 0)}; the colour is another`
    });
  if (assumed !== undefined)
    lines.push({
      kind: 'unread',
      at,
      what: `${task.name} in ${of} was confirmed without a reading`,
      did: `reckoned as ${g(assumed)}`
    });
  return [...lines, ...ofWeight(frozen, state, entry)];
}

/** A weight that is further off than a hand is. */
function ofWeight(frozen: FrozenRun, state: RunState, entry: Entry): Correction[] {
  const { task, actual } = entry;
  if (task.kind !== 'weigh' || actual === undefined) return [];
  const aimed = aimedAt(state, entry);
  const off = actual - aimed;
  if (Math.abs(off) <= Math.max(NOTICED * aimed, 1.5 * task.division)) return [];
  const cup = state.cups.get(task.mixId);
  const of = nameOf(frozen, task.mixId);
  const followed = task.part && !task.byEye && off > 0 && cup !== undefined && !cup.accepted;
  const colour = `${((100 * actual) / aimed).toFixed(0)} % of its colour`;
  const ratio = followed
    ? `the rest of ${of} × ${cup.scale.toFixed(3)}`
    : (standingOf(frozen, state, task.mixId)?.words ?? '');
  return [
    {
      kind: 'weight',
      at: entry.doneAt ?? 0,
      what: `${task.name} in ${of}: ${g(actual)} for ${g(aimed)}`,
      did: task.part ? ratio : colour
    }
  ];
}

/** A step that was left out, or a gesture too many. */
function ofStep(frozen: FrozenRun, { task, status, doneAt, extra }: Entry): Correction[] {
  const at = doneAt ?? 0;
  const lines: Correction[] = [];
  if (status === 'skipped' && task.kind === 'gate')
    lines.push({
      kind: 'left out',
      at,
      what: `left out: the wait until ${task.state}`,
      did: 'what came after went on sooner'
    });
  if (status === 'skipped' && task.kind === 'do')
    lines.push({
      kind: 'left out',
      at,
      what: `left out: ${task.act} ${task.rest}`,
      did: 'the piece may look otherwise there'
    });
  if (status === 'skipped' && task.kind === 'pour')
    lines.push({
      kind: 'left out',
      at,
      what: `left out: ${task.act ?? 'pour'} ${nameOf(frozen, task.cupId)}`,
      did: `${g(task.gramsEach * task.count)} were not poured`
    });
  if (extra)
    lines.push({
      kind: 'gesture',
      at,
      what: `a gesture ${extra} more than planned`,
      did: 'colours run together a little more'
    });
  return lines;
}

function told(frozen: FrozenRun, state: RunState): Correction[] {
  return state.mishaps.map((m): Correction => {
    const { kind, at, id } = m;
    const of = nameOf(frozen, m.of);
    switch (m.kind) {
      case 'rewetted':
        return {
          kind,
          at,
          id,
          what: `${g(m.grams)} of ${m.part} stirred into ${of}`,
          did: standingOf(frozen, state, m.of)?.words ?? ''
        };
      case 'spilled': {
        const { pours } = stillFrom(frozen, state, m.of);
        const gone = pours.reduce((s, p) => s + p.planned - p.can, 0);
        return {
          kind,
          at,
          id,
          what: `${g(m.grams)} spilled from ${of}`,
          did: gone ? `${gone} cavities fewer, unless it is topped up` : 'what is left is enough'
        };
      }
      case 'lost':
        return {
          kind,
          at,
          id,
          what: `${of} was lost`,
          did: state.lost.has(m.of) ? 'what it was for is open' : 'it was mixed again, or poured from others'
        };
      case 'topped':
        return {
          kind,
          at,
          id,
          what: `${of} topped up with ${g(m.grams)} to its recipe`,
          did: 'ratio and percentages stay'
        };
      case 'withdrew':
        return { kind, at, id, what: `${g(m.grams)} taken out of ${of}`, did: 'what is left flows together' };
      case 'misplaced':
        return {
          kind,
          at,
          id,
          what: `${g(m.grams)} of ${of} poured into ${m.cavity ? `cavity ${m.cavity} of ` : ''}${nameOf(frozen, m.groupId ?? '')} by mistake`,
          did: `that much is missing where it belongs`
        };
    }
  });
}

/** Pours that came after their cup's window. */
function late(frozen: FrozenRun, state: RunState): Correction[] {
  return state.tasks.flatMap(({ task, status, doneAt }): Correction[] => {
    if (task.kind !== 'pour' || status !== 'done' || doneAt === undefined) return [];
    const zero = state.cups.get(task.mixId)?.zero;
    const until = pourUntilNow(frozen, state, task.mixId);
    const over = zero === undefined || !until ? 0 : (doneAt - zero) / MINUTE - until.now;
    if (over <= 0.05) return [];
    return [
      {
        kind: 'late',
        at: doneAt,
        what: `${nameOf(frozen, task.mixId)} was poured ${over.toFixed(1)} min past its window`,
        did: 'it may not have levelled'
      }
    ];
  });
}

import { celsiusAt, paced, roomFrom, together, withDay, type Behaviour, type Room } from '../../cure';
import { behaviourOf } from '../../material';
import { mixPaces, roomIn } from '../../plan';
import type { Base } from '../../material';
import type { FrozenRun } from '../snapshot/frozen';
import { gateIdOf } from '../tasks/gate';
import type { RunState } from '../log/state';
import type { GateTask, Task } from '../tasks/task';
import { figure } from '../../quantity';

const MINUTE = 60_000;
/** Readings further from the model than this are doubted, not followed: a probe in the air, a state mistapped. */
const FASTEST = 0.2;
const SLOWEST = 5;
/** A reading this near the room's own temperature, °C, tells nothing of the cure. */
const WARM = 2;
/** Less than this share of a change is not worth saying. */
const NOTICED = 0.02;

/** A time that moved while a run goes on: minutes as planned and as they look now, and why. */
export interface Moved {
  planned: number;
  now: number;
  why: string;
}

/** What a mix is made of, as the run needs it to look ahead. */
export interface Mixed {
  base: Base;
  behaviour: Behaviour;
  /** g, with what more or less went in. */
  grams: number;
  /** °C of its parts when they were joined, where the plan says. */
  joinedAt?: number | undefined;
}

export function mixedIn({ file, computed }: FrozenRun, state: RunState, mixId: string): Mixed | undefined {
  const splitMix = computed.common.find((m) => m.mixId === mixId);
  const cup = computed.cups.find((c) => c.mixes.some((m) => m.mixId === mixId));
  const own = splitMix ?? cup?.mixes.find((m) => m.mixId === mixId);
  const base = file.shelf.bases.find((b) => b.id === (splitMix?.baseId ?? cup?.baseId));
  if (!own || !base) return undefined;
  // A portion lives by the clock of the pot it came from.
  const from = cup && computed.common.find((m) => m.of === cup.mixOf && 'turn' in own && m.turn === own.turn);
  const of = from ?? own;
  const scale = state.cups.get(of.mixId)?.scale ?? 1;
  const mix = file.plan.mixes.find((m) => m.id === (splitMix?.of ?? cup?.mixOf));
  // A pot runs by what is in all of it; a cup of it by its own colour too.
  const paces = cup ? cup.paces : mix && mixPaces(mix, base);
  const behaviour = paced(behaviourOf(base, mix?.joinedAt), together(paces ?? []));
  return { base, behaviour, grams: of.balance.mixed * scale, joinedAt: mix?.joinedAt };
}

/** When the first parts met, ms; the beginning of time before. */
const firstZero = (state: RunState): number =>
  Math.min(...[...state.cups.values()].flatMap((c) => c.zero ?? []), Infinity);

/** The room as planned, as felt by what begins at a moment of the run: its nights come as late as they were planned to. */
function plannedRoom({ file }: FrozenRun, state: RunState, zero: number): Room {
  const since = zero - Math.min(zero, firstZero(state));
  return roomFrom(roomIn(file.plan.bench), Number.isFinite(since) ? since / MINUTE : 0);
}

/** The same, by day as it was read. */
export function roomOf(frozen: FrozenRun, state: RunState, zero: number): Room {
  const planned = plannedRoom(frozen, state, zero);
  return state.room ? withDay(planned, state.room.celsius) : planned;
}

/**
 * How a cup runs against its estimate, as a factor on its times (1: as estimated; under 1: ahead), from what a probe or the
 * hand last told of it. A state that is told inside its own stretch of the estimate changes nothing.
 */
export function paceSoFar(
  frozen: FrozenRun,
  state: RunState,
  mixId: string
): { factor: number; why?: string } {
  const mixed = mixedIn(frozen, state, mixId);
  const cup = state.cups.get(mixId);
  if (!mixed || cup?.zero === undefined) return { factor: 1 };
  const { zero } = cup;
  const room = roomOf(frozen, state, zero);
  const cupId = frozen.computed.cups.find((c) => c.mixes.some((m) => m.mixId === mixId))?.cupId ?? mixId;
  const told = [mixId, cupId];
  const latest = <T extends { at: number }>(found: (T | undefined)[]) =>
    found
      .filter((x) => x !== undefined && x.at > zero)
      .reduce<T | undefined>((a, b) => (a && a.at > b!.at ? a : b), undefined);
  const felt = latest(told.map((id) => state.felt.get(id)));
  const probed = latest(told.map((id) => state.probed.get(id)));
  const byProbe =
    probed && paceByProbe(mixed, { celsius: probed.celsius, minutes: (probed.at - zero) / MINUTE, room });
  const byHand = felt && paceByState(mixed, { state: felt.state, minutes: (felt.at - zero) / MINUTE, room });
  const byWhich = (): { factor: number; why?: string } => {
    if (probed && byProbe !== undefined && (!felt || byHand === undefined || probed.at >= felt.at))
      return {
        factor: byProbe,
        why: `${figure(Math.round(probed.celsius), '°C')} after ${minutesIn(probed.at - zero)}`
      };
    if (felt && byHand !== undefined)
      return { factor: byHand, why: `${felt.state} after ${minutesIn(felt.at - zero)}` };
    return { factor: 1 };
  };
  const best = byWhich();
  return Math.abs(best.factor - 1) < NOTICED ? { factor: 1 } : best;
}

const minutesIn = (ms: number) => `${Math.round(ms / MINUTE)} min`;
const doubted = (factor: number) => (factor < FASTEST || factor > SLOWEST ? undefined : factor);
/** What the hand tells overrides the estimate, within the same bounds. */
const bounded = (factor: number) => Math.min(SLOWEST, Math.max(FASTEST, factor));

function paceByProbe(
  { behaviour, grams }: Mixed,
  { celsius, minutes, room }: { celsius: number; minutes: number; room: Room }
): number | undefined {
  if (celsius < celsiusAt(room, minutes) + WARM) return undefined;
  const expected = behaviour.warmsTo(celsius, { cup: Math.max(1, grams) }, room);
  return Number.isFinite(expected) && expected > 0 ? doubted(minutes / expected) : undefined;
}

function paceByState(
  { behaviour, grams }: Mixed,
  { state, minutes, room }: { state: string; minutes: number; room: Room }
): number | undefined {
  const i = behaviour.states.findIndex((s) => s.state === state);
  if (i < 0) return undefined;
  const begins = behaviour.cupReaches(state, grams, room);
  const next = behaviour.states[i + 1]?.state;
  const ends = next === undefined ? Infinity : behaviour.cupReaches(next, grams, room);
  if (begins > 0 && minutes < begins) return bounded(minutes / begins);
  return Number.isFinite(ends) && minutes > ends ? bounded(minutes / ends) : 1;
}

/** What a change of the room does, in words; undefined where it was not read or is as planned. */
function roomWords(frozen: FrozenRun, state: RunState): string | undefined {
  const { roomCelsius } = frozen.file.plan.bench;
  return state.room && Math.abs(state.room.celsius - roomCelsius) >= 0.5
    ? `room ${figure(state.room.celsius, '°C')}, planned for ${figure(roomCelsius, '°C')}`
    : undefined;
}

function moved(planned: number, now: number, why: (string | undefined)[]): Moved {
  const told = why.filter((w) => w !== undefined).join('; ');
  return { planned, now: Math.abs(now / planned - 1) < NOTICED ? planned : now, why: told };
}

/**
 * Until when a mix pours, minutes from its zero, as planned and as it looks now: by the room as read, by what really went into
 * it, and by what a probe or the hand told. Undefined where the plan gives it no window.
 */
export function pourUntilNow(frozen: FrozenRun, state: RunState, mixId: string): Moved | undefined {
  const window = frozen.computed.score.windows.find((w) => w.mixId === mixId);
  if (!window) return undefined;
  const planned = window.to - window.zero;
  const mixed = mixedIn(frozen, state, mixId);
  if (!mixed) return { planned, now: planned, why: '' };
  const { factor, why } = paceSoFar(frozen, state, mixId);
  const scale = state.cups.get(mixId)?.scale ?? 1;
  const at = (grams: number, room: Room) => mixed.behaviour.pourUntil(grams, room);
  const zero = state.cups.get(mixId)?.zero ?? firstZero(state);
  const model = at(mixed.grams / scale, plannedRoom(frozen, state, zero));
  const change = model > 0 ? at(mixed.grams, roomOf(frozen, state, zero)) / model : 1;
  const more = Math.abs(scale - 1) > NOTICED ? `${figure(Math.round(mixed.grams), 'g')} in it` : undefined;
  return moved(planned, planned * change * factor, [roomWords(frozen, state), more, why]);
}

/** The layer that was poured last into a group, with its material. */
export function lastLayer({ file, computed }: FrozenRun, state: RunState, groupId: string) {
  const poured = new Map(
    state.tasks.flatMap(({ task, status, doneAt }) =>
      task.kind === 'pour' && task.groupId === groupId && status === 'done'
        ? [[task.stepId, { at: doneAt ?? 0, mixId: task.mixId }] as const]
        : []
    )
  );
  const layers = computed.groups
    .filter((g) => g.groupId === groupId)
    .flatMap((g) => g.layers.filter((l) => poured.has(l.stepId)));
  const last = layers.reduce<(typeof layers)[number] | undefined>(
    (a, b) => (a && poured.get(a.stepId)!.at > poured.get(b.stepId)!.at ? a : b),
    undefined
  );
  const cup = computed.cups.find((c) => c.cupId === last?.cupId);
  const base = file.shelf.bases.find((b) => b.id === cup?.baseId);
  if (!last || !base) return undefined;
  return {
    behaviour: paced(behaviourOf(base), together(cup?.paces ?? [])),
    at: poured.get(last.stepId)!.at,
    mm: last.to - last.from,
    mixId: poured.get(last.stepId)!.mixId,
    base
  };
}

/**
 * A gate with its minutes as they look now: those that are the program's own estimate of a layer follow the room as read and
 * how the layer's cup ran. The maker's own minutes, probes, clocks and looks stay as they are.
 */
export function refitGate(
  frozen: FrozenRun,
  state: RunState,
  gate: GateTask
): { gate: GateTask; moved?: Moved } {
  const gateId = gateIdOf(gate);
  const wait = frozen.computed.score.gates.find((g) => g.gateId === gateId);
  const layer = lastLayer(frozen, state, gate.groupId);
  if (wait?.reckoned !== 'estimate' || !layer || !gate.all) return { gate };
  const { factor, why } = paceSoFar(frozen, state, layer.mixId);
  const reached = (name: string, room: Room) => layer.behaviour.layerReaches(name, layer.mm, room);
  const times = (name: string): number => {
    const model = reached(name, plannedRoom(frozen, state, layer.at));
    const change =
      Number.isFinite(model) && model > 0 ? reached(name, roomOf(frozen, state, layer.at)) / model : 1;
    return change * factor;
  };
  const own = gate.all.find((c) => c.condition.kind === 'state' && c.condition.of === 'layer below');
  if (own?.condition.kind !== 'state') return { gate };
  const change = times(own.condition.state);
  const found = moved(gate.minutes, gate.minutes * change, [roomWords(frozen, state), why]);
  if (found.now === found.planned) return { gate };
  const all = gate.all.map((c) =>
    c.minutes !== undefined && c.condition.kind === 'state' && c.condition.of === 'layer below'
      ? { ...c, minutes: c.minutes * times(c.condition.state) }
      : c
  );
  return { gate: { ...gate, minutes: found.now, all }, moved: found };
}

/** How a group's last layer cures against its plan: as a factor on its times, by the room as read and by how its cup ran, and why. */
function courseOf(frozen: FrozenRun, state: RunState, groupId: string) {
  const layer = lastLayer(frozen, state, groupId);
  if (!layer) return undefined;
  const firm = (room: Room) => layer.behaviour.layerFirm(layer.mm, room);
  const [before, after] = [firm(plannedRoom(frozen, state, layer.at)), firm(roomOf(frozen, state, layer.at))];
  const { factor, why } = paceSoFar(frozen, state, layer.mixId);
  const byRoom = before > 0 && Number.isFinite(after / before) ? after / before : 1;
  return {
    layer,
    before,
    after: after * factor,
    change: byRoom * factor,
    why: [roomWords(frozen, state), why]
  };
}

/**
 * The edges of demoulding, minutes from the last pour, as planned and as they look now: both later in a colder room and for a cup
 * that ran slowly. The data sheet's hours are the least it waits, whatever a warm room promises.
 */
export function demouldNow(
  frozen: FrozenRun,
  state: RunState,
  task: Extract<Task, { kind: 'demould' }>
): { from: Moved; to: Moved } {
  const course = courseOf(frozen, state, task.groupId);
  const same = (planned: number): Moved => ({ planned, now: planned, why: '' });
  if (!course) return { from: same(task.from), to: same(task.to) };
  const { layer, before, after, change, why } = course;
  const later = Math.max(1, change);
  const floor = layer.base.demouldHours.from * 60 * later;
  // Where the data sheet's hours were the later of both, they stay it.
  const from = Math.max(task.from > before + 1 ? task.from * later : floor, after);
  const to = Math.max(task.to * change, Math.min(from, task.to * later));
  return {
    from: moved(task.from, Math.min(from, Math.max(to, task.from)), why),
    to: moved(task.to, Math.max(to, task.from), why)
  };
}

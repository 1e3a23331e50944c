import { celsiusAt, roomFrom, type Behaviour, type Body } from '../cure';
import type { Condition, Gate, Zero } from '../document';
import { conditionWords, zeroWords } from '../pour/gates';
import type { Diagnostic } from '../problem';
import type { Playing, CavitySetTime } from './playing';
import { earlyGate, gateLate, neverWarm, unknownState, type InsidePlan } from './problems';
import type { GateWait } from './score';
import type { TimedStep } from './timing';
import { whenWas } from './zero';

/** When one condition is met: from which zero, after how many minutes, and whether that is the plan's figure. */
interface Opening {
  zero: number;
  minutes: number;
  reckoned: 'plan' | 'estimate';
}

type Judged = { opening?: Opening; problems: Diagnostic[] };
type Wait = Pick<GateWait, 'state' | 'opens' | 'minutes' | 'reckoned' | 'conditions'>;

const NOTHING: Judged = { problems: [] };
/** Conditions that no estimate can place: the run waits for them, the score does not. */
const ONLY_SEEN: ReadonlySet<Condition['kind']> = new Set(['probe', 'clock', 'checked']);

/**
 * When a gate opens on the score: when the last of its conditions is met. What cannot be placed in time (a time of
 * day, something to look at) takes none here; a state of nothing that lies below is no gate at all.
 */
export function gateWait(p: Playing, step: TimedStep, gate: Gate): { wait?: Wait; problems: Diagnostic[] } {
  const judged = gate.all.map((c, i) => judge(p, step, c, ['steps', step.id, 'gates', gate.id, 'all', i]));
  const problems = judged.flatMap((j) => j.problems);
  const openings = judged.flatMap((j) => j.opening ?? []);
  const placed = openings.length > 0 || gate.all.some((c) => ONLY_SEEN.has(c.kind));
  if (!placed) return { problems };
  const none: Opening = { zero: p.now, minutes: 0, reckoned: 'plan' };
  const last = openings.reduce(
    (a, b) => (b.zero + b.minutes > a.zero + a.minutes ? b : a),
    openings[0] ?? none
  );
  const conditions = gate.all.map((c, i) => {
    const minutes = judged[i]?.opening?.minutes;
    return { words: conditionWords(c, namesOf(p)), ...(minutes === undefined ? {} : { minutes }) };
  });
  const state = conditions.map((c) => c.words).join(' and ');
  const opens = Math.max(p.now, last.zero + last.minutes);
  return { wait: { state, opens, minutes: last.minutes, reckoned: last.reckoned, conditions }, problems };
}

/** Names of cups and steps, for a gate's words. */
export const namesOf = (p: Playing) => ({
  cup: (id: string) => p.timing.ofCup(id)[0]?.name ?? id,
  step: (id: string) => p.timing.steps.find((s) => s.id === id)?.line ?? id
});

function judge(p: Playing, step: TimedStep, c: Condition, at: InsidePlan): Judged {
  switch (c.kind) {
    case 'state':
      return c.of === 'layer below' ? judgeLayer(p, step, c, at) : judgeCup(p, c, c.of.cup, at);
    case 'since': {
      const zero = zeroOf(p, c.zero);
      return zero === undefined
        ? NOTHING
        : { opening: { zero, minutes: c.minutes, reckoned: 'plan' }, problems: [] };
    }
    case 'probe':
      return judgeProbe(p, step, c, at);
    case 'clock':
    case 'checked':
      return NOTHING;
  }
}

/** When a zero was on the score, as far as it is played. */
export const zeroOf = (p: Playing, zero: Zero): number | undefined =>
  whenWas(zero, {
    met: (id) => p.splitMixes.get(id)?.zero ?? p.cups.get(id)?.window.zero,
    coloured: (id) => p.cups.get(id)?.coloured,
    done: (id) => p.steps.get(id),
    demoulded: (id) => p.demoulded.get(id)
  });

type State = Extract<Condition, { kind: 'state' }>;

/** The cavity set a step goes onto that will be ready last. */
function below(p: Playing, step: TimedStep): CavitySetTime | undefined {
  const times = step.cavitySetIds.flatMap((id) => p.cavitySets.get(id) ?? []);
  return times.length ? times.reduce((a, b) => (b.at > a.at ? b : a)) : undefined;
}

function judgeLayer(p: Playing, step: TimedStep, c: State, at: InsidePlan): Judged {
  const last = below(p, step);
  if (!last) return NOTHING;
  const estimate = last.material.behaviour.layerReaches(
    c.state,
    last.depth,
    roomFrom(p.timing.room, last.at)
  );
  return judgeState(p, c, { zero: last.at, estimate, material: last.material, at });
}

function judgeCup(p: Playing, c: State, cupId: string, at: InsidePlan): Judged {
  const cup = p.cups.get(cupId);
  if (!cup) return NOTHING;
  const estimate = cup.material.behaviour.cupReaches(
    c.state,
    cup.mass,
    roomFrom(p.timing.room, cup.window.zero)
  );
  return judgeState(p, c, { zero: cup.window.zero, estimate, material: cup.material, at });
}

interface Reached {
  zero: number;
  estimate: number;
  material: CavitySetTime['material'];
  at: InsidePlan;
}

/** A gate's own minutes win over the estimate; those far under it are doubted. */
function judgeState(p: Playing, c: State, { zero, estimate, material, at }: Reached): Judged {
  const known = Number.isFinite(estimate);
  if (c.minutes === undefined)
    return known
      ? { opening: { zero, minutes: estimate, reckoned: 'estimate' }, problems: [] }
      : { problems: [unknownState(c.state, at, material.behaviour)] };
  const early = known && c.minutes < estimate * 0.8;
  return {
    opening: { zero, minutes: c.minutes, reckoned: 'plan' },
    problems: early
      ? [earlyGate(c.state, c.minutes, { estimate, room: celsiusAt(p.timing.room, zero), at })]
      : []
  };
}

function judgeProbe(
  p: Playing,
  step: TimedStep,
  c: Extract<Condition, { kind: 'probe' }>,
  at: InsidePlan
): Judged {
  const probed = 'cup' in c.of ? cupProbed(p, c.of.cup) : layerProbed(p, step);
  if (!probed) return NOTHING;
  const { of, behaviour, body, zero } = probed;
  const room = roomFrom(p.timing.room, zero);
  const minutes = behaviour.warmsTo(c.celsius, body, room);
  if (Number.isFinite(minutes)) return { opening: { zero, minutes, reckoned: 'estimate' }, problems: [] };
  // Only a material with a cure model can say that it never gets so warm.
  const peak = 'cup' in body ? behaviour.cupPeak(body.cup, room) : behaviour.course?.(body, room).peakCelsius;
  return peak !== undefined && peak > celsiusAt(room) + 0.05
    ? { problems: [neverWarm(c.celsius, peak, of, at)] }
    : NOTHING;
}

/** What a probe stands in: its material, its body for the cure, and when its time began. */
interface Probed {
  of: 'cup' | 'cavity';
  behaviour: Behaviour;
  body: Body;
  zero: number;
}

function cupProbed(p: Playing, id: string): Probed | undefined {
  const cup = p.cups.get(id);
  if (!cup) return undefined;
  const { material, mass, window } = cup;
  return { of: 'cup', behaviour: material.behaviour, body: { cup: Math.max(1, mass) }, zero: window.zero };
}

function layerProbed(p: Playing, step: TimedStep): Probed | undefined {
  const layer = below(p, step);
  if (!layer) return undefined;
  const { material, depth, at } = layer;
  return { of: 'cavity', behaviour: material.behaviour, body: { layer: Math.max(0.05, depth) }, zero: at };
}

/** What to say of a gate that opens only after the latest moment its step may be done. */
export function lateness(p: Playing, step: TimedStep, gate: Gate): Diagnostic[] {
  const zero = gate.notAfter && zeroOf(p, gate.notAfter.zero);
  if (zero === undefined || p.now <= zero + gate.notAfter!.minutes + 1e-9) return [];
  const at = ['steps', step.id, 'gates', gate.id, 'notAfter'];
  return [gateLate(at, p.now - zero - gate.notAfter!.minutes, zeroWords(gate.notAfter!.zero, namesOf(p)))];
}

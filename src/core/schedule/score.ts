import type { Behaviour } from '../cure';
import type { FilledGroup, Weighing } from '../batch';
import type { Problem } from '../problem';
import type { Step } from '../plan/document';
import { COMMON, type SequenceItem } from './sequence';

/** Something the hands do. Minutes from the start of the plan. */
export interface Block {
  id: string;
  act: 'weigh' | 'stir' | 'lay';
  from: number;
  to: number;
  label: string;
  cupId: string;
  /** The mix that is poured. */
  mixId?: string;
  groupId?: string;
  stepId?: string;
}

/** When a mixed cup may be poured: from stirred to no longer levelling by itself. */
export interface PourWindow {
  cupId: string;
  mixId: string;
  /** When the parts met: the zero of this cup's clock. */
  zero: number;
  from: number;
  to: number;
  gels: number;
}

/** A wait for the layer below. */
export interface GateWait {
  stepId: string;
  /** The turn of a common mix that it belongs to; 1 otherwise. */
  turn: number;
  groupId: string;
  state: string;
  from: number;
  opens: number;
  /** Minutes after the last pour into the group, and where that figure comes from. */
  minutes: number;
  reckoned: 'plan' | 'estimate';
}

/** When a group may leave its mould. */
export interface DemouldWindow {
  groupId: string;
  from: number;
  to: number;
  /** When the last pour into the group ends: the zero of both edges while a run goes on. */
  lastPour: number;
}

/** The plan in time: hands, cups, cavities. All minutes from the start. */
export interface Score {
  blocks: Block[];
  windows: PourWindow[];
  gates: GateWait[];
  demould: DemouldWindow[];
  /** When the hands are done. */
  ends: number;
}

/** Hands' time for one weighing, minutes: set down, pour, read. A starting figure for a practised hand. */
export const WEIGHING_MINUTES = 0.5;
/** Colouring a cup that is split from a common mix: a short stir after its colour is in, minutes. */
export const COLOUR_STIR_MINUTES = 0.5;

/** What a score needs of a base: how it passes through its states, and its card's times. */
export interface ScoredBase {
  behaviour: Behaviour;
  clockPart: string;
  stirMinutes: number;
  demouldHours: { from: number; to: number };
}

/** A mix as the score needs it: what is weighed for it and how much it is, g. */
export interface ScoredMix {
  name: string;
  weighings: readonly Pick<Weighing, 'key'>[];
  mixed: number;
}

/**
 * Lays a sequence out for one pair of hands: a gate waits until the layer below is ready, then the next mix is
 * weighed, stirred and poured. Estimates follow each mix's mass, each layer's depth and the room's temperature.
 */
export function scoreOf(
  sequence: readonly SequenceItem[],
  steps: readonly Step[],
  groups: readonly FilledGroup[],
  mixes: ReadonlyMap<string, ScoredMix>,
  base: ScoredBase,
  roomCelsius: number
): Score & { problems: Problem[] } {
  const score: Score = { blocks: [], windows: [], gates: [], demould: [], ends: 0 };
  const problems: Problem[] = [];
  const byGroup = new Map(groups.map((g) => [g.group.id, g]));
  const windows = new Map<string, PourWindow>();
  const pours = new Map<string, { first: number; at: number; depth: number }>();
  const firm = new Map<string, number>();
  const late = new Set<string>();
  let common: { zero: number; mixed: number } | undefined;
  let now = 0;

  const block = (b: Omit<Block, 'from' | 'to' | 'id'>, minutes: number) => {
    if (minutes <= 0) return;
    score.blocks.push({ ...b, id: `${b.act}:${score.blocks.length}`, from: now, to: now + minutes });
    now += minutes;
  };

  const make = (mixId: string, cupId: string) => {
    const mix = mixes.get(mixId);
    if (!mix) return;
    const met = mix.weighings.findIndex((w) => w.key === base.clockPart) + 1;
    if (common && cupId !== COMMON) {
      block({ act: 'weigh', cupId, label: `colour ${mix.name}` }, mix.weighings.length * WEIGHING_MINUTES);
      block({ act: 'stir', cupId, label: 'stir' }, COLOUR_STIR_MINUTES);
    } else {
      block({ act: 'weigh', cupId, label: `weigh ${mix.name}` }, met * WEIGHING_MINUTES);
    }
    const zero = common && cupId !== COMMON ? common.zero : now;
    if (!(common && cupId !== COMMON)) {
      block({ act: 'weigh', cupId, label: 'colour' }, (mix.weighings.length - met) * WEIGHING_MINUTES);
      block({ act: 'stir', cupId, label: 'stir' }, base.stirMinutes);
    }
    if (cupId === COMMON) {
      common = { zero, mixed: mix.mixed };
      return;
    }
    const mass = common ? common.mixed : mix.mixed;
    const window = {
      cupId,
      mixId,
      zero,
      from: now,
      to: zero + base.behaviour.pourUntil(mass, roomCelsius),
      gels: zero + base.behaviour.goneBy(mass, roomCelsius)
    };
    windows.set(mixId, window);
    score.windows.push(window);
  };

  for (const item of sequence) {
    if (item.kind === 'mix') {
      make(item.mixId, item.cupId);
      continue;
    }
    const index = steps.findIndex((s) => s.id === item.stepId);
    const step = steps[index];
    const filled = step && byGroup.get(step.groupId);
    if (!step || !filled) continue;
    if (step.act === 'gate') {
      const last = pours.get(step.groupId);
      if (!last) continue;
      const estimate = base.behaviour.layerReaches(step.state, last.depth, roomCelsius);
      if (!Number.isFinite(estimate) && step.minutes === undefined) {
        problems.push(unknownState(step.state, index, base.behaviour));
        continue;
      }
      const minutes = step.minutes ?? estimate;
      const opens = last.at + minutes;
      score.gates.push({
        stepId: step.id,
        turn: item.kind === 'gate' ? item.turn : 1,
        groupId: step.groupId,
        state: step.state,
        from: now,
        opens: Math.max(now, opens),
        minutes,
        reckoned: step.minutes === undefined ? 'estimate' : 'plan'
      });
      if (step.minutes !== undefined && Number.isFinite(estimate) && step.minutes < estimate * 0.8)
        problems.push(earlyGate(step.state, step.minutes, estimate, index, roomCelsius));
      now = Math.max(now, opens);
      continue;
    }
    if (item.kind !== 'pour') continue;
    const layer = filled.layers.find((l) => l.stepId === step.id);
    const window = windows.get(item.mixId);
    const name = mixes.get(item.mixId)?.name ?? '';
    if (!layer || !window) continue;
    block(
      {
        act: 'lay',
        cupId: step.cupId,
        mixId: item.mixId,
        groupId: step.groupId,
        stepId: step.id,
        label: name
      },
      step.minutesEach * item.count
    );
    if (now > window.to + 1e-9 && !late.has(step.id)) {
      late.add(step.id);
      problems.push(pastWindow(name, window, now, index));
    }
    const depth = layer.to - layer.from;
    pours.set(step.groupId, { first: pours.get(step.groupId)?.first ?? now, at: now, depth });
    const ready = now + base.behaviour.layerFirm(depth, roomCelsius);
    firm.set(step.groupId, Math.max(firm.get(step.groupId) ?? 0, ready));
  }

  for (const { group } of groups) {
    const last = pours.get(group.id);
    if (!last) continue;
    // The data sheet's hours are the floor; a thin layer in a cool room may need longer.
    const from = Math.max(last.at + base.demouldHours.from * 60, firm.get(group.id) ?? 0);
    const to = Math.max(last.at + base.demouldHours.to * 60, from);
    score.demould.push({ groupId: group.id, lastPour: last.at, from, to });
    if (last.first + base.demouldHours.to * 60 < last.at)
      problems.push({
        code: 'demould-clash',
        level: 'warn',
        path: `plan/groups`,
        sentence: `The first of ${group.name} reach the end of their demould window ${Math.round(last.at - last.first - base.demouldHours.to * 60)} min before the last are poured.`,
        mend: 'Demould them between two mixes, or pour fewer in one turn.'
      });
  }
  score.ends = now;
  return { ...score, problems };
}

const pastWindow = (name: string, window: PourWindow, now: number, index: number): Problem => ({
  code: 'past-window',
  level: 'warn',
  path: `plan/steps/${index}`,
  sentence: `${name} levels by itself until ${Math.round(window.to - window.zero)} min after its parts meet; this pour ends at ${Math.round(now - window.zero)} min.`,
  mend: 'Pour fewer cavities from one cup, pour faster, or mix a second cup for the later layer.'
});

const earlyGate = (
  state: string,
  minutes: number,
  estimate: number,
  index: number,
  room: number
): Problem => ({
  code: 'gate-early',
  level: 'warn',
  path: `plan/steps/${index}/minutes`,
  sentence: `At ${room} °C the layer below is ${state} after about ${Math.round(estimate)} min; this gate opens after ${Math.round(minutes)}.`,
  mend: `Wait ${Math.round(estimate)} min, or pour on the reported state`,
  edit: { path: ['steps', index, 'minutes'], value: Math.round(estimate) }
});

function unknownState(state: string, index: number, behaviour: Behaviour): Problem {
  const last = behaviour.states.at(-1)?.state ?? '';
  const known = behaviour.states.find((s) => s.state === 'gelled')?.state ?? last;
  return {
    code: 'state-unknown',
    level: 'warn',
    path: `plan/steps/${index}/state`,
    sentence: `This material is never “${state}”.`,
    mend: `Wait until it is ${known}`,
    edit: { path: ['steps', index, 'state'], value: known }
  };
}

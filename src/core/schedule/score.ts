import type { Behaviour } from '../cure';
import type { FilledGroup, WeighedCup } from '../batch';
import type { Problem } from '../problem';
import type { Step } from '../plan/document';

/** Something the hands do. Minutes from the start of the plan. */
export interface Block {
  id: string;
  act: 'weigh' | 'stir' | 'lay';
  from: number;
  to: number;
  label: string;
  cupId: string;
  groupId?: string;
  stepId?: string;
}

/** When a mixed cup may be poured: from stirred to no longer levelling by itself. */
export interface PourWindow {
  cupId: string;
  /** When the parts met: the zero of this cup's clock. */
  zero: number;
  from: number;
  to: number;
  gels: number;
}

/** A wait for the layer below. */
export interface GateWait {
  stepId: string;
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
const WEIGHING_MINUTES = 0.5;

/** What a score needs of a base: how it passes through its states, and its card's times. */
export interface ScoredBase {
  behaviour: Behaviour;
  clockPart: string;
  stirMinutes: number;
  demouldHours: { from: number; to: number };
}

/**
 * Lays the steps out for one pair of hands: a gate waits until the layer below is ready, then the next cup is
 * weighed, mixed and poured. Estimates follow each cup's mass, each layer's depth and the room's temperature.
 */
export function scoreOf(
  steps: readonly Step[],
  groups: readonly FilledGroup[],
  cups: ReadonlyMap<string, WeighedCup & { name: string }>,
  base: ScoredBase,
  roomCelsius: number
): Score & { problems: Problem[] } {
  const score: Score = { blocks: [], windows: [], gates: [], demould: [], ends: 0 };
  const problems: Problem[] = [];
  const byGroup = new Map(groups.map((g) => [g.group.id, g]));
  const mixed = new Map<string, PourWindow>();
  const lastPour = new Map<string, { at: number; depth: number }>();
  const firm = new Map<string, number>();
  let now = 0;

  const block = (b: Omit<Block, 'from' | 'to' | 'id'>, minutes: number) => {
    if (minutes <= 0) return;
    score.blocks.push({ ...b, id: `${b.act}:${score.blocks.length}`, from: now, to: now + minutes });
    now += minutes;
  };

  const mix = (cupId: string, cup: WeighedCup & { name: string }): PourWindow => {
    const met = cup.weighings.findIndex((w) => w.key === base.clockPart) + 1;
    block({ act: 'weigh', cupId, label: `weigh ${cup.name}` }, met * WEIGHING_MINUTES);
    const zero = now;
    block({ act: 'weigh', cupId, label: 'colour' }, (cup.weighings.length - met) * WEIGHING_MINUTES);
    block({ act: 'stir', cupId, label: 'stir' }, base.stirMinutes);
    const window = {
      cupId,
      zero,
      from: now,
      to: zero + base.behaviour.pourUntil(cup.balance.mixed, roomCelsius),
      gels: zero + base.behaviour.goneBy(cup.balance.mixed, roomCelsius)
    };
    mixed.set(cupId, window);
    score.windows.push(window);
    return window;
  };

  steps.forEach((step, index) => {
    const filled = byGroup.get(step.groupId);
    if (!filled) return;
    if (step.act === 'gate') {
      const last = lastPour.get(step.groupId);
      if (!last) return;
      const estimate = base.behaviour.layerReaches(step.state, last.depth, roomCelsius);
      if (!Number.isFinite(estimate) && step.minutes === undefined) {
        problems.push(unknownState(step.state, index, base.behaviour));
        return;
      }
      const minutes = step.minutes ?? estimate;
      const opens = last.at + minutes;
      score.gates.push({
        stepId: step.id,
        groupId: step.groupId,
        state: step.state,
        from: now,
        opens: Math.max(now, opens),
        minutes,
        reckoned: step.minutes === undefined ? 'estimate' : 'plan'
      });
      if (step.minutes !== undefined && Number.isFinite(estimate) && step.minutes < estimate * 0.8) {
        problems.push({
          code: 'gate-early',
          level: 'warn',
          path: `plan/steps/${index}/minutes`,
          sentence: `At ${roomCelsius} °C the layer below is ${step.state} after about ${Math.round(estimate)} min; this gate opens after ${Math.round(step.minutes)}.`,
          mend: `Wait ${Math.round(estimate)} min, or pour on the reported state`,
          edit: { path: ['steps', index, 'minutes'], value: Math.round(estimate) }
        });
      }
      now = Math.max(now, opens);
      return;
    }
    const cup = cups.get(step.cupId);
    const layer = filled.layers.find((l) => l.stepId === step.id);
    if (!cup || !layer) return;
    const window = mixed.get(step.cupId) ?? mix(step.cupId, cup);
    block(
      { act: 'lay', cupId: step.cupId, groupId: step.groupId, stepId: step.id, label: cup.name },
      step.minutesEach * filled.group.count
    );
    if (now > window.to + 1e-9) {
      problems.push({
        code: 'past-window',
        level: 'warn',
        path: `plan/steps/${index}`,
        sentence: `${cup.name} levels by itself until ${Math.round(window.to - window.zero)} min after its parts meet; this pour ends at ${Math.round(now - window.zero)} min.`,
        mend: 'Pour fewer cavities from one cup, pour faster, or mix a second cup for the later layer.'
      });
    }
    const depth = layer.to - layer.from;
    lastPour.set(step.groupId, { at: now, depth });
    const ready = now + base.behaviour.layerFirm(depth, roomCelsius);
    firm.set(step.groupId, Math.max(firm.get(step.groupId) ?? 0, ready));
  });

  for (const { group } of groups) {
    const last = lastPour.get(group.id);
    if (!last) continue;
    // The data sheet's hours are the floor; a thin layer in a cool room may need longer.
    const from = Math.max(last.at + base.demouldHours.from * 60, firm.get(group.id) ?? 0);
    score.demould.push({
      groupId: group.id,
      lastPour: last.at,
      from,
      to: Math.max(last.at + base.demouldHours.to * 60, from)
    });
  }
  score.ends = now;
  return { ...score, problems };
}

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

import { materials } from '$core/material';
import type { CupLoss } from '$core/batch';
import type { RunPoint } from '$core/inspect';
import type { Plan } from '$core/plan';
import { shapesThePiece } from '$core/pour';
import {
  factsOf,
  foldRun,
  handTimesOf,
  lossesOf,
  tookOf,
  usesOf,
  type AnyEvent,
  type HandTime
} from '$core/run';
import type { Use } from '$core/shelf';
import type { Run } from '../database';

/** One past use of a mould: what was cast in it, what it really took, and the colour it last saw. */
export interface MouldUse {
  runId: string;
  name: string;
  at: number;
  cavityId: string;
  count: number;
  /** ml one cavity really took, where it was weighed. */
  ml?: number;
  colour: string;
  colourName: string;
  dye: boolean;
}

/** What one run teaches the bench about stock, losses and moulds. */
export interface RunTaught {
  uses: Use[];
  losses: CupLoss[];
  hands: HandTime[];
  point: Omit<RunPoint, 'grades'>;
  moulds: (MouldUse & { mouldId: string })[];
  /** Scales and vessels that it was weighed on and mixed in, by their ids. */
  tools: string[];
}

/** Raised whenever a finished run would teach something else than before: what was kept is then worked out anew. */
export const TAUGHT_VERSION = 4;

/** What a run teaches, from what it froze and what happened. */
export function taughtBy(run: Run, events: readonly AnyEvent[]): RunTaught {
  const { tasks, computed, file } = run.frozen;
  const state = foldRun(tasks, events, computed.division);
  return {
    uses: usesOf(state),
    losses: lossesOf(computed, state),
    hands: handTimesOf(run.frozen, state),
    point: pointOf(run, state),
    moulds: file.plan.groups.flatMap((group) =>
      mouldUse(run, group, { state, took: tookOf(computed, state) })
    ),
    tools: toolsOf(run, state)
  };
}

/** Scales on which something was weighed, and vessels in which a mix was stirred. */
function toolsOf({ frozen: { computed } }: Run, { tasks }: ReturnType<typeof foldRun>): string[] {
  const used = tasks.filter((t) => t.status === 'done').map((t) => t.task);
  const mixed = new Set(used.flatMap((t) => (t.kind === 'stir' ? [t.mixId] : [])));
  const mixes = [...computed.common, ...computed.cups.flatMap((c) => c.mixes)];
  return [
    ...new Set([
      ...used.flatMap((t) => (t.kind === 'weigh' ? [t.scaleId] : [])),
      ...mixes.flatMap((m) => (mixed.has(m.mixId) && m.vessel ? [m.vessel.id] : []))
    ])
  ];
}

/** What a run gives to the record's charts. */
function pointOf(run: Run, state: ReturnType<typeof foldRun>): Omit<RunPoint, 'grades'> {
  const { plan } = run.frozen.file;
  const kinds = new Set(plan.steps.map((s) => s.act.kind));
  const out = state.tasks.find((t) => t.task.kind === 'demould' && t.doneAt !== undefined);
  const zero = out?.task.kind === 'demould' ? state.groups.get(out.task.groupId)?.lastInMould : undefined;
  return {
    runId: run.id,
    at: run.startedAt,
    // What charts tell runs apart by.
    kinds: [...kinds].filter((kind) => shapesThePiece({ kind })),
    hands: handTimesOf(run.frozen, state),
    gels: gelsOf(run, state),
    doses: dosesOf(run, state),
    ...(run.frozen.computed.cost ? { cost: run.frozen.computed.cost.total } : {}),
    ...(out?.task.kind === 'demould' && zero !== undefined
      ? { demould: { after: (out.doneAt! - zero) / 60_000, from: out.task.from, to: out.task.to } }
      : {})
  };
}

/** Of each cup whose colour was weighed, how far that is from plan in all, and the colours it was planned to have. */
function dosesOf(run: Run, state: ReturnType<typeof foldRun>): NonNullable<RunPoint['doses']> {
  const facts = factsOf(run.frozen.computed, state).filter((f) => f.unit === '%' && f.actual !== undefined);
  return run.frozen.computed.cups.flatMap((cup) => {
    const ids = new Set(cup.mixes.map((m) => `percent:${m.mixId}:`));
    const own = facts.filter((f) => [...ids].some((id) => f.id.startsWith(id)));
    const planned = own.reduce((s, f) => s + f.planned, 0);
    if (!(planned > 0)) return [];
    const off = own.reduce((s, f) => s + f.actual!, 0) / planned - 1;
    return [{ cupId: cup.cupId, cup: cup.name, off, poured: cup.looks.cup.hex, finished: cup.looks.own.hex }];
  });
}

/** When a layer was told to have gelled or set, minutes after its pour, and how warm the room was, °C. */
function gelsOf(run: Run, state: ReturnType<typeof foldRun>): NonNullable<RunPoint['gels']> {
  const celsius = state.room?.celsius ?? run.frozen.file.plan.bench.roomCelsius;
  return [...state.groups].flatMap(([groupId, { reported, lastPour }]) => {
    const cupId = run.frozen.computed.groups.find((g) => g.groupId === groupId)?.layers[0]?.cupId;
    const baseId = run.frozen.computed.cups.find((c) => c.cupId === cupId)?.baseId;
    const base = run.frozen.computed.bases.find((b) => b.baseId === baseId);
    const carries = materials.find(base?.kind)?.carriesLayer;
    if (!base || !reported || reported.state !== carries || lastPour === undefined || reported.at < lastPour)
      return [];
    return [{ base: base.name, celsius, minutes: (reported.at - lastPour) / 60_000 }];
  });
}

/** What one group of a run did to its mould, once something was poured. */
function mouldUse(
  run: Run,
  group: Plan['groups'][number],
  { state, took }: { state: ReturnType<typeof foldRun>; took: ReturnType<typeof tookOf> }
): RunTaught['moulds'] {
  const { computed, file } = run.frozen;
  const at = state.groups.get(group.id)?.lastPour;
  const first = computed.groups.find((g) => g.groupId === group.id)?.layers[0];
  const cup = first && computed.cups.find((c) => c.cupId === first.cupId);
  if (at === undefined || !cup) return [];
  const recipe = file.plan.cups.find((c) => c.id === cup.cupId)?.recipe ?? [];
  const forms = recipe.map((r) => file.shelf.colourants.find((c) => c.id === r.colourantId)?.form);
  const ml = took.find((t) => t.groupId === group.id)?.ml;
  return [
    {
      mouldId: group.mouldId,
      runId: run.id,
      name: run.name,
      at,
      cavityId: group.cavityId,
      count: group.count,
      colour: cup.colour,
      colourName: cup.name,
      dye: forms.some((form) => form === 'ink' || form === 'botanical'),
      ...(ml === undefined ? {} : { ml })
    }
  ];
}

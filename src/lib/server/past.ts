import { learnedCling, type CupLoss } from '$core/batch';
import { gradeOf } from '$core/inspect';
import { computePlan, type Past, type Plan, type Shelf } from '$core/plan';
import { foldRun, lossesOf, tasksOf, tookOf, usesOf, type RunEvent } from '$core/run';
import { stockOf, type LotLeft, type Use } from '$core/shelf';
import { allPieces, eventsOf, listRuns, type Db, type RunRow } from './database';

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

/** What one run tells the bench about stock, losses and moulds. */
interface Told {
  planId: string;
  baseId: string;
  uses: Use[];
  losses: CupLoss[];
  vessel: number;
  moulds: (MouldUse & { mouldId: string })[];
}

/** A run that is finished never changes what it tells; one that goes on is folded anew. */
const told = new Map<string, Told>();

async function tellingOf(db: Db, run: RunRow): Promise<Told> {
  const known = told.get(run.id);
  if (known && run.finishedAt) return known;
  const telling = readRun(run, await eventsOf(db, run.id));
  if (run.finishedAt) told.set(run.id, telling);
  return telling;
}

/** Forgets what a run told, when something is added to it after its finish. */
export const forgetRun = (runId: string) => told.delete(runId);

function readRun(run: RunRow, events: readonly RunEvent[]): Told {
  const { plan, shelf } = run.snapshot;
  const computed = computePlan(plan, shelf);
  const stir = shelf.bases.find((b) => b.id === plan.baseId)?.stirMinutes ?? 0;
  const state = foldRun(tasksOf(plan, computed, stir), events, computed.division);
  const took = new Map(tookOf(plan, computed, state).map((t) => [t.groupId, t.ml]));
  const moulds = plan.groups.flatMap((group): Told['moulds'] => {
    const at = state.groups[group.id]?.lastPour;
    const first = plan.steps.find((s) => s.act === 'lay' && s.groupId === group.id);
    const cup = first?.act === 'lay' ? computed.cups.find((c) => c.cupId === first.cupId) : undefined;
    if (at === undefined || !cup) return [];
    const recipe = plan.cups.find((c) => c.id === cup.cupId)?.recipe ?? [];
    const ml = took.get(group.id);
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
        dye: recipe.some((r) =>
          shelf.colourants.some((c) => c.id === r.colourantId && (c.form === 'ink' || c.form === 'botanical'))
        ),
        ...(ml === undefined ? {} : { ml })
      }
    ];
  });
  return {
    planId: run.planId ?? plan.id,
    baseId: plan.baseId,
    uses: usesOf(plan, computed, state),
    losses: lossesOf(computed, state),
    vessel: plan.losses.vessel,
    moulds
  };
}

async function tellings(db: Db): Promise<Told[]> {
  return Promise.all((await listRuns(db)).map((run) => tellingOf(db, run)));
}

/** What the record knows that a plan may use: what clings, what is rejected, the moulds' last colours, the stock. */
export async function pastOf(db: Db, plan: Plan, today: number): Promise<Past> {
  const all = await tellings(db);
  const same = all.filter((t) => t.baseId === plan.baseId);
  const cling = learnedCling(
    same.flatMap((t) => t.losses),
    plan.losses.vessel
  );
  const pieces = (await allPieces(db)).filter(({ run }) => (run.planId ?? run.snapshot.plan.id) === plan.id);
  const lastColours: NonNullable<Past['lastColours']> = {};
  for (const use of all.flatMap((t) => t.moulds).sort((a, b) => a.at - b.at))
    lastColours[use.mouldId] = { colour: use.colour, name: use.colourName, dye: use.dye };
  return {
    today,
    ...(cling ? { cling } : {}),
    ...(pieces.length
      ? {
          rejects: {
            count: pieces.filter((p) => gradeOf(p.report) === 'reject').length,
            of: pieces.length
          }
        }
      : {}),
    lastColours,
    uses: all.flatMap((t) => t.uses)
  };
}

/** A plan as it is begun: what the record taught is written down, so that the run keeps its figures for good. */
export function settled(plan: Plan, past: Past): Plan {
  if (plan.lossesFrom === 'typed' || !past.cling) return plan;
  return { ...plan, losses: { ...plan.losses, cling: past.cling.cling }, lossesFrom: 'typed' };
}

/** Everything that was cast in a mould, latest first. */
export async function mouldHistory(db: Db, mouldId: string): Promise<MouldUse[]> {
  return (await tellings(db))
    .flatMap((t) => t.moulds)
    .filter((m) => m.mouldId === mouldId)
    .sort((a, b) => b.at - a.at);
}

/** What is left of every lot, runs taken off. */
export async function stock(db: Db, shelf: Shelf, today: number): Promise<LotLeft[]> {
  const uses = (await tellings(db)).flatMap((t) => t.uses);
  return stockOf(shelf.lots, uses, today);
}

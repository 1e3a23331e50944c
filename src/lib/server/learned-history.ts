import { materials } from '$core/material';
import { learnedCling, type CupLoss } from '$core/batch';
import { grouped } from '$core/grouped';
import type { Grade, RunPoint } from '$core/inspect';
import { shapesThePiece } from '$core/pour';
import type { LearnedHistory } from '$core/document';
import type { Shelf } from '$core/shelf';
import type { Plan } from '$core/plan';
import {
  factsOf,
  foldRun,
  handTimesOf,
  learnedHands,
  lossesOf,
  tookOf,
  usesOf,
  type AnyEvent,
  type HandTime
} from '$core/run';
import {
  entriesOf,
  mergedUses,
  useRateOf,
  stockOf,
  type Entry,
  type Lot,
  type LotLeft,
  type UseRate,
  type Use
} from '$core/shelf';
import { storedPreferences } from './preferences';
import {
  eventsOf,
  forgetTelling,
  gradesByPlan,
  gradesByRun,
  keepTellings,
  keptTellings,
  listCards,
  listRuns,
  measuredByRun,
  readRuns,
  runsNow,
  untoldRuns,
  wholeShelf,
  type Db,
  type Run,
  type Store
} from './database';

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
  uses: Use[];
  losses: CupLoss[];
  hands: HandTime[];
  point: Omit<RunPoint, 'grades'>;
  moulds: (MouldUse & { mouldId: string })[];
  /** Scales and vessels that it was weighed on and mixed in, by their ids. */
  tools: string[];
}

/** Raised whenever a finished run would tell something else than before: what was kept is then told anew. */
const TOLD_BY = 4;

/** A run that is finished never changes what it tells; one that goes on is folded anew. */
const told = new Map<string, Told>();
let kept = false;
/** Rises with every change of what is told, so that what was reckoned from it is known to be old. */
let version = 0;

function learn(id: string, telling: Told): void {
  told.set(id, telling);
  version++;
}

/** What all runs tell, latest first: those that are finished, and those that go on. */
async function tellings(db: Db): Promise<Told[]> {
  const { finished, open } = await tellingsApart(db);
  return latestFirst([...open, ...finished]);
}

/** The same apart; the finished ones are the same list as long as none is added. */
async function tellingsApart(db: Db): Promise<{ finished: readonly Told[]; open: Told[] }> {
  if (!kept) {
    for (const [id, body] of await keptTellings(db, TOLD_BY)) learn(id, JSON.parse(body) as Told);
    kept = true;
  }
  const { count, open } = await runsNow(db);
  if (count - open.length !== told.size || open.some((id) => told.has(id))) await toldAnew(db);
  const { good } = await readRuns(db, open);
  const going = await Promise.all(good.map(async (run) => readTelling(run, await eventsOf(db, run.id))));
  return { finished: finishedNow(), open: going };
}

/** In one order however they came to be told, so that sums are the same to the last digit. */
const latestFirst = (all: Told[]): Told[] => all.sort((a, b) => b.point.at - a.point.at);

let listed: { version: number; all: readonly Told[] } = { version: -1, all: [] };
function finishedNow(): readonly Told[] {
  if (listed.version !== version) listed = { version, all: latestFirst([...told.values()]) };
  return listed.all;
}

/** Learns what is not told yet and forgets what is gone. */
async function toldAnew(db: Db): Promise<void> {
  const rows = (await listRuns(db)).filter((r) => r.finishedAt !== null);
  const there = new Set(rows.map((r) => r.id));
  for (const id of told.keys())
    if (!there.has(id)) {
      told.delete(id);
      version++;
    }
  const { good } = await readRuns(
    db,
    rows.flatMap((r) => (told.has(r.id) ? [] : [r.id]))
  );
  for (const run of good) learn(run.id, readTelling(run, await eventsOf(db, run.id)));
}

/** Runs that are told in one go, so that whoever asks meanwhile is answered between. */
const AT_ONCE = 10;

/** Works out and keeps what finished runs tell, where it is not kept yet: a large record is slow to tell only once. */
export async function keepAllTellings(store: Store): Promise<void> {
  const untold = await untoldRuns(store.db, TOLD_BY);
  for (let i = 0; i < untold.length; i += AT_ONCE) {
    const { good } = await readRuns(store.db, untold.slice(i, i + AT_ONCE));
    const bodies = [];
    for (const run of good) {
      const telling = readTelling(run, await eventsOf(store.db, run.id));
      learn(run.id, telling);
      bodies.push({ runId: run.id, body: JSON.stringify(telling) });
    }
    await keepTellings(store, TOLD_BY, bodies);
    await new Promise((next) => setImmediate(next));
  }
}

/** Forgets what a run told, when something is added to it after its finish. */
export async function forgetRun(store: Store, runId: string): Promise<void> {
  version++;
  if (told.delete(runId) || kept) await forgetTelling(store, runId);
}

/** Forgets everything: another database is in place. */
export const forgetAll = () => {
  told.clear();
  version++;
  kept = false;
};

function readTelling(run: Run, events: readonly AnyEvent[]): Told {
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
  const zero = out?.task.kind === 'demould' ? state.groups.get(out.task.groupId)?.lastPour : undefined;
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
): Told['moulds'] {
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

/** What the record knows that a plan may use: what clings, what is rejected, the moulds' last colours, the stock. */
export const pastOf = async (db: Db, plan: Plan, today: number): Promise<LearnedHistory> =>
  (await pastsOf(db, [plan], today))[0]!;

/** What the record knows, for several plans at once: the record is read once. */
export async function pastsOf(db: Db, plans: readonly Plan[], today: number): Promise<LearnedHistory[]> {
  const [lots, grades, ways] = await Promise.all([
    listCards(db, 'lots'),
    gradesByPlan(db),
    storedPreferences(db)
  ]);
  const off = new Set(ways?.unlearned);
  const { clings, hands, ...rest } = await commonPast(db, lots);
  const common = {
    today,
    ...rest,
    ...(clings && !off.has('clings') ? { clings } : {}),
    ...(hands && !off.has('hands') ? { hands } : {})
  };
  return plans.map((plan) => {
    const own = grades.get(plan.id);
    return {
      ...common,
      ...(own && !off.has('rejects') ? { rejects: { count: own.reject, of: own.of } } : {})
    };
  });
}

/** What the record teaches, in figures with how many cases tell each. */
export interface Taught {
  clings: { baseId: string; cling: number; cups: number }[];
  hands: { kind: string; each: number; times: number }[];
  rejects: { planId: string; count: number; of: number }[];
}

/** Everything that the record teaches plans, whether or not they are to use it. */
export async function taught(db: Db): Promise<Taught> {
  const [all, grades] = await Promise.all([tellings(db), gradesByPlan(db)]);
  return {
    clings: [...clingsOf(all)].map(([baseId, c]) => ({ baseId, ...c })),
    hands: [...learnedHands(all.flatMap((t) => t.hands))].map(([kind, h]) => ({ kind, ...h })),
    rejects: [...grades].map(([planId, g]) => ({ planId, count: g.reject, of: g.of }))
  };
}

/** What the record knows whatever is planned, and of which record and lots. */
let common: { of: string; past: Omit<LearnedHistory, 'today'> } | undefined;

/** What the record knows whatever is planned: worked out once for the same runs and lots. */
async function commonPast(db: Db, lots: readonly Lot[]): Promise<Omit<LearnedHistory, 'today'>> {
  const { finished, open } = await tellingsApart(db);
  const of = `${version} ${JSON.stringify(open)} ${JSON.stringify(lots)}`;
  if (common?.of !== of) common = { of, past: pastFrom(latestFirst([...open, ...finished]), lots) };
  return common.past;
}

function pastFrom(all: readonly Told[], lots: readonly Lot[]): Omit<LearnedHistory, 'today'> {
  const clings = clingsOf(all);
  const hands = learnedHands(all.flatMap((t) => t.hands));
  const lastColours = new Map<string, { colour: string; name: string; dye: boolean }>();
  for (const use of all.flatMap((t) => t.moulds).sort((a, b) => a.at - b.at))
    lastColours.set(use.mouldId, { colour: use.colour, name: use.colourName, dye: use.dye });
  return {
    ...(clings.size ? { clings } : {}),
    ...(hands.size ? { hands } : {}),
    lastColours,
    // Thousands of weighings come to a few uses; what is left of every lot is the same.
    uses: mergedUses(
      lots,
      all.flatMap((t) => t.uses)
    )
  };
}

/** What clings of each base, as far as the record tells: whichever base a plan is changed to, its own is at hand. */
function clingsOf(all: readonly Told[]): NonNullable<LearnedHistory['clings']> {
  const byBase = grouped(
    all.flatMap((t) => t.losses),
    (loss) => [loss.baseId]
  );
  return new Map(
    [...byBase].flatMap(([baseId, losses]) => {
      const learned = learnedCling(losses);
      return learned ? [[baseId, learned] as const] : [];
    })
  );
}

/** Everything that was cast in a mould, latest first. */
export async function mouldHistory(db: Db, mouldId: string): Promise<MouldUse[]> {
  return (await tellings(db))
    .flatMap((t) => t.moulds)
    .filter((m) => m.mouldId === mouldId)
    .sort((a, b) => b.at - a.at);
}

/** In how many runs a scale or a vessel was used, and when last, ms. */
export async function toolUses(db: Db, id: string): Promise<{ runs: number; last?: number }> {
  const used = (await tellings(db)).filter((t) => t.tools.includes(id));
  return { runs: used.length, ...(used[0] ? { last: used[0].point.at } : {}) };
}

/** Everything that runs took from the shelf, each with its run. */
async function allUses(db: Db): Promise<Use[]> {
  return (await tellings(db)).flatMap((t) => t.uses.map((u) => ({ ...u, runId: t.point.runId })));
}

/** What is left of every lot, runs taken off. */
export async function stock(db: Db, shelf: Shelf, today: number): Promise<LotLeft[]> {
  const { uses = [] } = await commonPast(db, shelf.lots);
  return stockOf(shelf.lots, uses, today);
}

/** A lot with what is left of it, every movement of it, and how fast it goes. */
export interface LotBook extends LotLeft {
  entries: Entry[];
  pace?: UseRate | undefined;
}

/** The books of every lot. */
export async function lotBooks(db: Db, shelf: Shelf, today: number): Promise<LotBook[]> {
  const uses = await allUses(db);
  const entries = entriesOf(shelf.lots, uses);
  return stockOf(shelf.lots, uses, today).map((own) => ({
    ...own,
    entries: entries.filter((e) => e.lotId === own.lot.id).sort((a, b) => b.at - a.at),
    pace: useRateOf(own, entries, today)
  }));
}

const DAY = 24 * 3_600_000;

/** Lots that a run took from after their use-by, and by how many days, each once. */
export async function oldLotsOf(db: Db, runId: string): Promise<{ name: string; days: number }[]> {
  const [{ lots }, uses] = await Promise.all([wholeShelf(db), allUses(db)]);
  const old = new Map<string, { name: string; days: number }>();
  for (const { lotId, at, by } of entriesOf(lots, uses)) {
    const lot = lots.find((l) => l.id === lotId);
    if (lot?.useBy === undefined || !('runId' in by) || by.runId !== runId || at <= lot.useBy) continue;
    old.set(lotId, { name: lot.name, days: Math.max(1, Math.round((at - lot.useBy) / DAY)) });
  }
  return [...old.values()];
}

/** Every run as the record's charts show it, with the grades of its pieces. */
export async function pointsOf(db: Db): Promise<RunPoint[]> {
  const [all, grades, measured] = await Promise.all([tellings(db), gradesByRun(db), measuredByRun(db)]);
  return all.map(({ point }) => {
    const own = measured.get(point.runId);
    return {
      ...point,
      ...(own ? { measured: own } : {}),
      grades: (grades.get(point.runId) ?? []) as Grade[]
    };
  });
}

import { statSync } from 'node:fs';
import { drizzle } from 'drizzle-orm/libsql';
import type { DayBench, Job as DayJob } from '$core/days';
import { sql } from 'drizzle-orm';
import { computePlan, figuresOf, PlanFile, type Computed, type Plan } from '$core/plan';
import { shortageOf } from '$core/order';
import { type LearnedHistory } from '$core/document';
import { type Shelf } from '$core/shelf';
import { ordersOnDays, type OrderAsked } from '$core/days';
import { usualHeading, type ShowFace } from '$core/mould';
import { pieceOf, svgOf, wholePicture, type Face } from '$core/piece';
import { freeze } from '$core/run';
import { parseBody } from '../http/body';
import { recordCsv } from '../http/csv';
import {
  allPieces,
  archiveOf,
  clientOf,
  Fault,
  listLessons,
  piecesOfFile,
  placeOf,
  previewOf,
  readArchive,
  readRuns,
  type Archive,
  type Contents,
  type Db
} from '../database';
import * as schema from '../database/schema';
import type { SheetKind } from '../../plan/sheets';
import { buyerPdf, sheetPdf, type ForBuyer, type PaperSize, type ToPrint } from '../print';
import { matchFromShelf, type MatchRequest } from '../match';
import type { z } from 'zod';

/** Which picture of a plan's piece. */
export interface PictureAsked {
  face: ShowFace;
  /** Of a cut, degrees; the usual one of the piece when absent. */
  heading?: number | undefined;
  off: number;
  size: number;
  cavities?: string | undefined;
  piece?: string | undefined;
  until?: string | undefined;
  as: 'png' | 'svg' | 'template';
}

/** A plan as its tile on the list shows it. */
function tileOf(plan: Plan, learned: LearnedHistory, shelf: Shelf) {
  const { cups, totals, problems, bases } = figuresOf(plan, shelf, learned);
  return {
    id: plan.id,
    base: bases.map((b) => b.name).join(', ') || 'no material yet',
    cups,
    totals,
    toMend: problems.filter((p) => p.level !== 'note').length
  };
}

/** A plan as the bench offers it to be weighed next: what it takes, and whether the shelf has it. */
const nextOf = (plan: Plan, { totals, order, needs, problems, cups }: Computed) => ({
  id: plan.id,
  name: plan.name,
  pieces: totals.pieces,
  mixed: totals.balance.mixed,
  cups: cups.map(({ cupId, letter, hatch, colour }) => ({ cupId, letter, hatch, colour })),
  good: order?.good,
  turns: order?.turns,
  short: needs.filter((n) => n.short).map((n) => n.name),
  stopped: problems.some((p) => p.level === 'stop')
});

/** Works on the database through a connection of its own, and closes it. */
async function withDb<T>(address: string, work: (db: Db) => Promise<T>): Promise<T> {
  const client = clientOf(placeOf(address), 5000);
  try {
    return await work(drizzle(client, { schema }));
  } finally {
    client.close();
  }
}

/** The record as CSV, read and written out in one go. */
async function record(db: Db): Promise<string> {
  const pieces = await allPieces(db);
  const { good } = await readRuns(db, [...new Set(pieces.map((p) => p.run.id))]);
  return recordCsv(pieces, good, await listLessons(db));
}

/** An answer as it goes out: bytes, so that the thread that answers people has nothing left to write. */
const answer = (body: unknown, status: number) => ({
  status,
  json: new TextEncoder().encode(JSON.stringify(body))
});

/** What came of reading a file that was sent: what it holds, or why it is no backup. */
interface Refused {
  ok: false;
  sentence: string;
  mend: string;
}
type ReadBackup = { ok: true; contents: Contents } | Refused;
type ReadArchive = { ok: true; archive: Archive } | Refused;

/** The work that may take long, by name. What goes in and comes out crosses between threads: plain data only. */
export const jobs = {
  /** A sheet of a plan as PDF. */
  sheet: ({ kind, of, size }: { kind: SheetKind; of: ToPrint; size: PaperSize }) => sheetPdf(kind, of, size),
  /** The sheet for a buyer as PDF. */
  buyer: ({ of, size }: { of: ForBuyer; size: PaperSize }) => buyerPdf(of, size),
  /** The text of a plan file read and worked out: every figure, or what is wrong with it. */
  compute: ({ text, today }: { text: string; today: number }) => {
    const read = parseBody(text, PlanFile);
    if (!('value' in read)) return answer({ problems: read.problems }, read.status);
    const { plan, shelf } = read.value;
    return answer(computePlan(plan, shelf, { today }), 200);
  },
  /** A plan as its run begins. */
  freeze: ({ plan, shelf, learned }: { plan: Plan; shelf: Shelf; learned: LearnedHistory }) =>
    freeze(plan, shelf, learned),
  tiles: ({ plans, shelf }: { plans: readonly { plan: Plan; learned: LearnedHistory }[]; shelf: Shelf }) =>
    plans.map(({ plan, learned }) => tileOf(plan, learned, shelf)),
  /** What runs short over all open orders, and what each plan that could be poured next weighs. */
  ahead: ({ plans, shelf }: { plans: readonly { plan: Plan; learned: LearnedHistory }[]; shelf: Shelf }) => {
    const worked = plans.map(({ plan, learned }) => ({ plan, figures: figuresOf(plan, shelf, learned) }));
    return {
      short: shortageOf(
        worked
          .filter(({ plan }) => plan.order)
          .map(({ plan, figures }) => ({ planId: plan.id, name: plan.name, needs: figures.needs }))
      ),
      next: worked.map(({ plan, figures }) => nextOf(plan, figures))
    };
  },
  /** Every open order on the days of one bench. */
  days: ({
    orders,
    shelf,
    there,
    curing,
    done
  }: {
    orders: readonly OrderAsked[];
    shelf: Shelf;
    there: Pick<DayBench, 'hours' | 'hands'>;
    curing: readonly DayJob[];
    /** Where it is told how far the work is, per mille: read while the thread is still at it. */
    done: SharedArrayBuffer;
  }) => {
    const mille = new Int32Array(done);
    const told = (share: number) => void Atomics.store(mille, 0, 1000 * share);
    return ordersOnDays(orders, shelf, there, { curing, told });
  },
  match: ({ request, shelf }: { request: z.infer<typeof MatchRequest>; shelf: Shelf }) =>
    matchFromShelf(request, shelf),
  /** A picture of a piece: pixels, or a drawing in true size; nothing where the plan has no such cavities. */
  picture: ({ plan, shelf, query }: { plan: Plan; shelf: Shelf; query: PictureAsked }) => {
    const { face: kind, heading, off, cavities, piece: seed, until, size, as } = query;
    const piece = pieceOf(plan, shelf, {}, { cavitySetId: cavities, seed, until });
    if (!piece) return undefined;
    const { half } = piece.traced.prism.shaped.section;
    const face: Face = kind === 'cut' ? { kind, heading: heading ?? usualHeading(half), off } : { kind };
    const nameOf = (id: string) => plan.cups.find((c) => c.id === id)?.name ?? id;
    if (as !== 'png') return { svg: svgOf(piece, face, as === 'svg' ? 'picture' : 'template', nameOf) };
    const { rgba, width, height } = wholePicture(piece, face, { size });
    return { rgba, width, height };
  },
  /** Everything as one ZIP in open formats. */
  archive: ({ address, now }: { address: string; now: number }) =>
    withDb(address, (db) => archiveOf(db, now)),
  /** An archive that was sent, read whole; or why it is none. */
  readArchive: ({ path, aside }: { path: string; aside: string }): ReadArchive => {
    try {
      return { ok: true, archive: readArchive(piecesOfFile(path), statSync(path).size, aside) };
    } catch (error) {
      if (error instanceof Fault) return { ok: false, sentence: error.message, mend: error.mend };
      throw error;
    }
  },
  /** A database that was sent, looked through to the last row: what it holds, or why it is no backup. */
  readBackup: async ({ path, migrations }: { path: string; migrations: string }): Promise<ReadBackup> => {
    try {
      return { ok: true, contents: await previewOf(path, migrations) };
    } catch (error) {
      if (error instanceof Fault) return { ok: false, sentence: error.message, mend: error.mend };
      throw error;
    }
  },
  record: ({ address }: { address: string }) => withDb(address, record),
  /** The whole database into a new file. */
  copy: ({ address, to }: { address: string; to: string }) =>
    withDb(address, async (db) => {
      await db.run(sql`VACUUM INTO ${to}`);
    })
};

export type Jobs = typeof jobs;
export type JobName = keyof Jobs;

/** One job, as the pool hands it to a thread. */
export interface OrderToPlace<N extends JobName = JobName> {
  job: N;
  input: Parameters<Jobs[N]>[0];
}

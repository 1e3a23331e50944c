import { deltaE, labOfHex } from '../colour';
import { median } from '../quantity';
import type { Grade } from './piece';
import { wilson } from './wilson';

/** What one run gives to the charts of the record. */
export interface RunPoint {
  runId: string;
  /** When it was begun, ms. */
  at: number;
  /** Kinds of act in it that shape a piece. */
  kinds: readonly string[];
  /** Demoulding of its first cavities, minutes after the last pour, with its window. */
  demould?: { after: number; from: number; to: number };
  /** Hands' minutes a cavity of its acts. */
  hands: readonly { kind: string; each: number }[];
  /** When layers were told to carry the next one, minutes after their pour, and how warm the room was. */
  gels?: readonly { base: string; celsius: number; minutes: number }[];
  /** What the turn cost, in the workshop's money; where every price is known. */
  cost?: number;
  /** Of each coloured cup how far its colour was dosed from plan, as a share, and the colours it was planned to have. */
  doses?: readonly { cupId: string; cup: string; off: number; poured: string; finished: string }[];
  /** Colours of cups as measured on its pieces. */
  measured?: readonly { cupId: string; colour: string; as: 'as poured' | 'as finished' }[];
  grades: readonly Grade[];
}

/** A rate with its 95 % interval: shares 0..1, and of how many. */
export interface Rate {
  label: string;
  count: number;
  of: number;
  low: number;
  high: number;
}

const rate = (label: string, grades: readonly Grade[], counts: (g: Grade) => boolean): Rate => {
  const count = grades.filter(counts).length;
  return { label, count, of: grades.length, ...wilson(count, grades.length) };
};
const rejected = (g: Grade) => g === 'reject';

/** Share of rejects among pieces of runs with each kind of act, the most pieces first; runs with several count in each. */
export function rejectsByAct(points: readonly RunPoint[]): Rate[] {
  const kinds = [...new Set(points.flatMap((p) => p.kinds))];
  return kinds
    .map((kind) =>
      rate(
        kind,
        points.filter((p) => p.kinds.includes(kind)).flatMap((p) => p.grades),
        rejected
      )
    )
    .filter((r) => r.of > 0)
    .sort((a, b) => b.of - a.of || (a.label < b.label ? -1 : 1));
}

/** Share of rejects by when the pieces left their mould: before, in the early and late half of, and after their window. */
export function rejectsByDemould(points: readonly RunPoint[]): Rate[] {
  const place = ({ after, from, to }: NonNullable<RunPoint['demould']>): number => {
    if (after < from) return 0;
    if (after > to) return 3;
    return after < (from + to) / 2 ? 1 : 2;
  };
  return ['before its window', 'in its first half', 'in its second half', 'after its window'].map(
    (label, i) =>
      rate(
        label,
        points.filter((p) => p.demould && place(p.demould) === i).flatMap((p) => p.grades),
        rejected
      )
  );
}

/** Share of good pieces, month by month; months without a piece are left out. */
export function goodByMonth(points: readonly RunPoint[]): Rate[] {
  const month = (at: number) => new Date(at).toISOString().slice(0, 7);
  const months = [...new Set(points.map((p) => month(p.at)))].sort();
  return months
    .map((m) =>
      rate(
        m,
        points.filter((p) => month(p.at) === m).flatMap((p) => p.grades),
        (g) => g === 'good'
      )
    )
    .filter((r) => r.of > 0);
}

/** What a good piece cost, month by month: all that was spent on runs that were inspected, over the pieces that came out good. */
export function costByMonth(points: readonly RunPoint[]): { label: string; value: number; of: number }[] {
  const told = points.filter((p) => p.cost !== undefined && p.grades.length > 0);
  const month = (at: number) => new Date(at).toISOString().slice(0, 7);
  return [...new Set(told.map((p) => month(p.at)))].sort().flatMap((label) => {
    const own = told.filter((p) => month(p.at) === label);
    const good = own.flatMap((p) => p.grades).filter((g) => g === 'good').length;
    return good ? [{ label, value: own.reduce((s, p) => s + p.cost!, 0) / good, of: good }] : [];
  });
}

/** Layers that were told to carry, by how warm the room was: one list of dots a base, the coolest first. */
export function gelByRoom(
  points: readonly RunPoint[]
): { base: string; dots: { celsius: number; minutes: number }[] }[] {
  const all = points.flatMap((p) => p.gels ?? []);
  return [...new Set(all.map((g) => g.base))].sort().map((base) => ({
    base,
    dots: all
      .filter((g) => g.base === base)
      .map(({ celsius, minutes }) => ({ celsius, minutes }))
      .sort((a, b) => a.celsius - b.celsius)
  }));
}

/** Colours that were measured, by how far their cup was dosed from plan: one list of dots a cup's name, ΔE00 from the plan. */
export function colourByDose(
  points: readonly RunPoint[]
): { cup: string; dots: { off: number; deltaE: number }[] }[] {
  const all = points.flatMap((p) =>
    (p.measured ?? []).flatMap(({ cupId, colour, as }) => {
      const dose = p.doses?.find((d) => d.cupId === cupId);
      if (!dose) return [];
      const planned = as === 'as poured' ? dose.poured : dose.finished;
      return [{ cup: dose.cup, off: dose.off, deltaE: deltaE(labOfHex(colour), labOfHex(planned)) }];
    })
  );
  return [...new Set(all.map((d) => d.cup))].sort().map((cup) => ({
    cup,
    dots: all
      .filter((d) => d.cup === cup)
      .map(({ off, deltaE }) => ({ off, deltaE }))
      .sort((a, b) => a.off - b.off)
  }));
}

/** Median seconds a cavity of each kind of act, and of how many pours; the most told of first. */
export function secondsByAct(points: readonly RunPoint[]): { label: string; seconds: number; of: number }[] {
  const told = points.flatMap((p) => p.hands);
  const kinds = [...new Set(told.map((t) => t.kind))];
  return kinds
    .map((label) => {
      const all = told.filter((t) => t.kind === label).map((t) => t.each * 60);
      return { label, seconds: median(all), of: all.length };
    })
    .sort((a, b) => b.of - a.of);
}

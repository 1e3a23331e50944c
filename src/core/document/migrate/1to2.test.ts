import { metricWords } from '../../quantity';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { computePlan, PlanFile, type Computed, type CupMix } from '../../plan';
import { together } from '../../cure';
import type { Problem } from '../../problem';
import { tasksOf } from '../../run';
import { Plan2 } from '.';

/** What version 1 called otherwise; the figures are the same. */
const CALLED_NOW = [
  ['rubber A', 'silicone'],
  ['mixed base', 'mix'],
  ['uncoloured base, taken out', 'mix before colour, taken out'],
  ['rubber B', 'hardener'],
  ['resin A', 'resin'],
  ['hardener B', 'hardener'],
  ['of the uncoloured batch', 'of the mix before colour']
] as const;

/**
 * Plans as version 1 exported them, with what version 1 made of each (grams, windows, tasks and pictures as they
 * were; what is advised, what a swirl shows of the face, how a ratio and what is left are read off the rounded weights,
 * how many castings are in hand, how strongly colours colour, and and that let-downs are weighed in the run, stand here as they are judged now): the ten orders of the demo workshop, and six
 * awkward ones (gates between groups, turns, every way of dosing, cups by themselves and split).
 */
const FOLDER = join(__dirname, 'fixtures');
const fixtures = readdirSync(FOLDER).map((name) => [name.replace('.json', ''), readFixture(name)] as const);

function readFixture(name: string): { file: unknown; expected: Record<string, unknown> } {
  const { file, expected } = JSON.parse(readFileSync(join(FOLDER, name), 'utf8'));
  const words = CALLED_NOW.reduce((text, [was, is]) => text.replaceAll(was, is), JSON.stringify(expected));
  return { file, expected: JSON.parse(words) };
}

const mix = (m: CupMix | Computed['common'][number]) => ({
  mixId: m.mixId,
  turn: m.turn,
  ml: m.ml,
  balance: m.balance,
  ratioError: m.ratioError,
  vessel: m.vessel?.id ?? null,
  weighings: m.weighings.map((w) => ({
    key: w.key,
    name: w.name,
    kind: w.kind,
    exact: w.exact,
    weight: w.weight,
    reading: w.reading,
    scaleId: w.scaleId,
    weighable: w.weighable,
    ...(w.counted ? { counted: w.counted } : {}),
    ...(w.boat ? { boat: true } : {}),
    ...(w.percent !== undefined ? { percent: w.percent } : {})
  }))
});

const withoutLast = ({ lastTurn: _, ...order }: NonNullable<Computed['order']>) => order;

/** A result in the words of version 1. */
function asBefore(file: PlanFile, c: Computed): Record<string, unknown> {
  return {
    cups: c.cups.map((x) => ({
      cupId: x.cupId,
      colour: x.colour,
      hides: x.hides,
      density: x.density,
      balance: x.balance,
      shareOfPour: x.shareOfPour,
      inHand: Number.isFinite(x.inHand) ? x.inHand : null,
      window: x.window,
      why: x.why ?? null,
      offRatio: x.offRatio,
      mixes: x.mixes.map(mix)
    })),
    common: c.common.map(mix),
    commonWhy: c.common[0]?.why ?? null,
    groups: c.groups.map((g) => ({
      groupId: g.groupId,
      capacity: g.capacity,
      filled: g.filled,
      layers: g.layers.map((l) => ({
        stepId: l.stepId,
        from: l.from,
        to: l.to,
        each: l.each,
        grams: l.grams,
        colour: l.colour,
        openColour: l.openColour,
        gated: l.gated,
        shows: l.shows
      }))
    })),
    windows: c.score.windows.map((w) => asOpen(w, c)),
    gates: c.score.gates.map(({ groupId, state, turn, from, opens, minutes, reckoned }) => ({
      groupId,
      state,
      turn,
      from,
      opens,
      minutes,
      reckoned
    })),
    demould: c.score.demould.map(({ groupId, lastPour, from, to }) => ({ groupId, lastPour, from, to })),
    ends: c.score.ends,
    totals: c.totals,
    basis: c.bases[0]?.basis ?? '',
    density: c.bases[0]?.density ?? 0,
    // An act's own name stands where version 1 knew only layers.
    blocks: c.score.blocks.map(({ act, from, to, label }) => ({
      act: act === 'pour' ? 'lay' : act,
      from,
      to,
      label
    })),
    letDowns: c.letDowns.map(({ baseId: _, used: __, ...l }) => l),
    pairs: c.pairs.map((p) => ({ a: p.a, b: p.b, deltaE: p.contrast.deltaE, verdict: p.contrast.verdict })),
    lightToDark: c.lightToDark,
    surplus: c.surplus,
    order: c.order ? withoutLast(c.order) : null,
    needs: c.needs.map(({ inAll: _, ...n }) => n),
    craft: c.craft,
    losses: c.losses,
    cautions: c.cautions,
    // A later sitting’s own checks are new.
    tasks: tasksOf(file.plan, c)
      .filter((t) => t.kind !== 'prepare' || t.sitting === undefined)
      .map((t) => ({
        kind: t.kind,
        grams: 'grams' in t ? t.grams : null,
        gramsEach: 'gramsEach' in t ? t.gramsEach : null,
        minutes: 'minutes' in t ? t.minutes : null,
        from: 'from' in t && typeof t.from === 'number' ? t.from : null,
        to: 'to' in t ? t.to : null
      })),
    // A note that version 1 did not yet say is left out.
    problems: judged(c.problems.filter((p) => p.code !== 'pour-hole-narrow'))
  };
}

/** A window without what white does to it, which version 1 did not yet reckon. */
function asOpen({ mixId, cupId, zero, from, to, gels }: Computed['score']['windows'][number], c: Computed) {
  const faster = (minute: number, id: string) =>
    zero + (minute - zero) / together(c.cups.find((x) => x.cupId === id)?.paces ?? []);
  return { mixId, zero, from, to: faster(to, cupId), gels: faster(gels, cupId) };
}

/** What is wrong, however it is worded. */
const judged = (problems: readonly Pick<Problem, 'code' | 'level' | 'edit'>[]) =>
  problems
    .map(({ code, level, ...p }) => ({ code, level, mendable: 'mendable' in p ? p.mendable : !!p.edit }))
    .sort((a, b) => a.code.localeCompare(b.code));

/** In metric words, to twelve digits: far finer than anything shown, coarse enough for a sum in another order. */
const plain = (x: unknown): unknown =>
  JSON.parse(
    metricWords(JSON.stringify(x, (_, v) => (typeof v === 'number' ? Number(v.toPrecision(12)) : v)))
  );

describe('plans of version 1', () => {
  it('has all ten orders and the awkward ones', () => {
    expect(fixtures).toHaveLength(15);
  });

  it.each(fixtures)('%s comes to the same grams, windows, tasks and problems', (_, { file, expected }) => {
    const read = PlanFile.parse(file);
    expect(read.plan.version).toBe(2);
    const found = asBefore(read, computePlan(read.plan, read.shelf));
    const before = {
      ...expected,
      problems: judged(expected.problems as Problem[])
    };
    expect(plain(found)).toEqual(plain(before));
  });
});

it('what every fixture migrates to is a plan of version 2 as that version was written', () => {
  for (const [, { file }] of fixtures)
    expect(Plan2.safeParse(PlanFile.parse(file).plan).error).toBeUndefined();
});

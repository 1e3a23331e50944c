import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import * as demo from '../../../../demo/plans';
import { pourAlone } from '../../plan/plans.testing';
import type { Plan } from '../../plan';
import { demouldNow, freeze, foldRun, paceSoFar, pourUntilNow, refitGate, type RunEvent } from '..';
import { done, event, upTo } from '../run.testing';
import { metricWords } from '../../quantity';

const MINUTE = 60_000;
const T0 = 1_000_000;

/** A run of knobs with the first cup mixed, and what is read and told after it. */
function told(plan: Plan, ...events: { minute: number; of: Record<string, unknown> }[]) {
  const frozen = freeze(plan, cards);
  const met = upTo(frozen, 'weigh:mudflat:B', 1000);
  const zero = met.at(-1)!.at;
  const after = events.map(({ minute, of }): RunEvent => event(of, zero + minute * MINUTE));
  return { frozen, state: foldRun(frozen.tasks, [...met, ...after], frozen.computed.division) };
}

const knobs = pourAlone(demo.tideline);
const probe = (celsius: number) => ({ type: 'probed', of: 'mudflat', celsius });
const hand = (state: string) => ({ type: 'felt', cupId: 'mudflat', state });
const room = (celsius: number) => ({ type: 'room', celsius });

describe('a cup against its estimate', () => {
  const pace = (...events: { minute: number; of: Record<string, unknown> }[]) => {
    const { frozen, state } = told(knobs, ...events);
    return paceSoFar(frozen, state, 'mudflat');
  };

  it('by a probe: as much ahead as it is warm early, as much behind as it is late', () => {
    const { frozen, state } = told(knobs);
    const warm = freeze(knobs, cards).computed.bases[0]!.states.length;
    expect(warm).toBeGreaterThan(3);
    expect(paceSoFar(frozen, state, 'mudflat').factor).toBe(1);
    const early = pace({ minute: 5, of: probe(30) });
    const late = pace({ minute: 20, of: probe(30) });
    expect(early.factor).toBeLessThan(late.factor);
    // The same temperature four times as late is four times as far along.
    expect(late.factor / early.factor).toBeCloseTo(4, 6);
    expect(metricWords(early.why ?? '')).toBe('30 °C after 5 min');
  });

  it('nothing by a probe that reads the room, or what no cup can', () => {
    expect(pace({ minute: 8, of: probe(22) }).factor).toBe(1);
    expect(pace({ minute: 0.01, of: probe(60) }).factor).toBe(1);
  });

  it('by the hand: early by how much earlier than it begins, nothing inside its stretch', () => {
    const early = pace({ minute: 6, of: hand('holds a line') });
    const half = pace({ minute: 12, of: hand('holds a line') });
    expect(early.factor).toBeLessThan(1);
    expect(half.factor / early.factor).toBeCloseTo(2, 6);
    expect(pace({ minute: 0.2, of: hand('fresh') }).factor).toBe(1);
    expect(pace({ minute: 40, of: hand('fresh') }).factor).toBeGreaterThan(1);
    expect(pace({ minute: 5, of: hand('no such state') }).factor).toBe(1);
  });

  it('by whichever was told last, in either order; a probe where both are of one moment', () => {
    const probeLast = pace({ minute: 2, of: hand('holds a line') }, { minute: 20, of: probe(30) });
    expect(metricWords(probeLast.why ?? '')).toBe('30 °C after 20 min');
    const handLast = pace({ minute: 5, of: probe(30) }, { minute: 6, of: hand('holds a line') });
    expect(handLast.why).toBe('holds a line after 6 min');
    const both = pace({ minute: 6, of: hand('holds a line') }, { minute: 6, of: probe(30) });
    expect(metricWords(both.why ?? '')).toBe('30 °C after 6 min');
    // What was told before the parts met tells nothing of this mix.
    expect(pace({ minute: -0.001, of: hand('holds a line') }).factor).toBe(1);
  });
});

describe('its window, gate and demoulding as they look now', () => {
  it('a colder room keeps it open longer, a warmer one shorter, each with its reason', () => {
    const until = (...events: { minute: number; of: Record<string, unknown> }[]) => {
      const { frozen, state } = told(knobs, ...events);
      return pourUntilNow(frozen, state, 'mudflat')!;
    };
    const planned = until();
    expect(planned.now).toBe(planned.planned);
    const cold = until({ minute: 0, of: room(15) });
    const warm = until({ minute: 0, of: room(27) });
    expect(cold.now).toBeGreaterThan(1.2 * planned.now);
    expect(warm.now).toBeLessThan(planned.now / 1.2);
    expect(metricWords(cold.why ?? '')).toBe('room 15 °C, planned for 21 °C');
    const ahead = until({ minute: 0, of: room(15) }, { minute: 2, of: hand('holds a line') });
    expect(ahead.now).toBeLessThan(cold.now);
    expect(ahead.why).toContain('; holds a line after 2 min');
  });

  it('parts joined warm run ahead of parts at the room’s temperature', () => {
    const warm: Plan = { ...knobs, mixes: knobs.mixes.map((m) => ({ ...m, joinedAt: 35 })) };
    const [cold, hot] = [told(knobs), told(warm)].map(
      ({ frozen, state }) => pourUntilNow(frozen, state, 'mudflat')!.planned
    );
    expect(hot!).toBeLessThan(0.8 * cold!);
  });

  it('a gate that is the program’s estimate follows; the maker’s own minutes stay', () => {
    const open = (own: boolean, ...events: Record<string, unknown>[]) => {
      const plan: Plan = {
        ...knobs,
        steps: knobs.steps.map((s) => ({
          ...s,
          gates: s.gates.map((g) => ({
            ...g,
            all: g.all.map((c) => {
              if (c.kind !== 'state') return c;
              const { minutes: _, ...estimate } = c;
              return own ? { ...c, minutes: 90 } : estimate;
            })
          }))
        }))
      };
      const frozen = freeze(plan, cards);
      const gate = frozen.tasks.find((t) => t.kind === 'gate')!;
      const before = frozen.tasks.slice(0, frozen.tasks.indexOf(gate)).map((t, i) => done(t, T0 + i * 1000));
      const after = events.map((e) => event(e, T0 + 900_000));
      const state = foldRun(frozen.tasks, [...before, ...after], frozen.computed.division);
      const demould = frozen.tasks.find((t) => t.kind === 'demould')!;
      return {
        gate: refitGate(frozen, state, gate as never).gate.minutes,
        out: demouldNow(frozen, state, demould as never).from,
        late: demouldNow(frozen, state, demould as never).to
      };
    };
    const [asPlanned, cold, warm] = [open(false), open(false, room(15)), open(false, room(27))];
    expect(cold.gate).toBeGreaterThan(1.3 * asPlanned.gate);
    expect(warm.gate).toBeLessThan(asPlanned.gate / 1.3);
    expect(open(true, room(15)).gate).toBe(90);
    // Demoulding waits for the cold, and never comes before the card's own hours.
    expect(asPlanned.out.now).toBe(asPlanned.out.planned);
    expect(cold.out.now).toBeGreaterThan(asPlanned.out.now);
    expect(warm.out.now).toBeGreaterThanOrEqual(8 * 60);
    // The late edge moves with it, and never before the early one.
    expect(cold.late.now).toBeGreaterThan(1.2 * asPlanned.late.now);
    expect(warm.late.now).toBeLessThan(asPlanned.late.now);
    for (const { out, late } of [asPlanned, cold, warm]) expect(late.now).toBeGreaterThanOrEqual(out.now);
  });
});

describe('demoulding', () => {
  it('comes as much later as its cup ran slowly, where the cure decides and not the data sheet', () => {
    // A card whose sheet asks for an hour: what is firm by the model is later.
    const shelf = {
      ...cards,
      bases: cards.bases.map((b) => ({ ...b, demouldHours: { ...b.demouldHours, from: 0.1 } }))
    };
    const frozen = freeze(knobs, shelf);
    const demould = frozen.tasks.find((t) => t.kind === 'demould')!;
    const last = frozen.tasks.findLast((t) => t.kind === 'pour')!;
    if (last.kind !== 'pour' || demould.kind !== 'demould') throw new Error('nothing is demoulded');
    const done = frozen.tasks.slice(0, frozen.tasks.indexOf(demould));
    const events = done.map((t, i): RunEvent =>
      event(
        t.kind === 'weigh' ? { type: 'weighed', task: t.id, grams: t.grams } : { type: 'done', task: t.id },
        T0 + i * 1000
      )
    );
    const at = (more: RunEvent[]) => {
      const state = foldRun(frozen.tasks, [...events, ...more], frozen.computed.division);
      return { pace: paceSoFar(frozen, state, last.mixId).factor, ...demouldNow(frozen, state, demould) };
    };
    const [first] = frozen.computed.bases[0]!.states;
    const slow = at([event({ type: 'felt', cupId: last.cupId, state: first!.state }, T0 + 90 * 60_000)]);
    const asPlanned = at([]);
    expect(slow.pace).toBeGreaterThan(1.2);
    expect(slow.from.now / asPlanned.from.now).toBeCloseTo(slow.pace, 1);
    expect(slow.to.now).toBeGreaterThan(asPlanned.to.now);
  });
});

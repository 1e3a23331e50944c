import type { Cause } from '../cause';

/** Chroma from which a colour is one, and the share of it below which a mixture reads as grey. */
const COLOURED = 15;
const GREY = 0.4;

/** Colours whose mixture has none. */
export const sumsToGrey: Cause = {
  id: 'sums-to-grey',
  defects: ['muddy blend'],
  evidence(c) {
    const cups = c.frozen.computed.groups
      .filter((g) => g.groupId === c.groupId)
      .flatMap((g) => g.layers.map((l) => ({ lab: l.look.lab, ml: l.each })));
    const ml = cups.reduce((s, x) => s + x.ml, 0);
    const mean = (key: 'a' | 'b') => cups.reduce((s, x) => s + x.lab[key] * x.ml, 0) / Math.max(1e-9, ml);
    const chroma = Math.hypot(mean('a'), mean('b'));
    const each = Math.max(0, ...cups.map((x) => Math.hypot(x.lab.a, x.lab.b)));
    if (cups.length < 3 || each < COLOURED || chroma > each * GREY) return undefined;
    return {
      fact: `its ${new Set(cups.map((x) => x.lab)).size} colours mix to one with a chroma of ${chroma.toFixed(0)}, the strongest alone has ${each.toFixed(0)}`,
      strength: (each * GREY - chroma) / each,
      change: 'fewer colours, or colours that lie nearer to each other'
    };
  }
};

import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import * as demo from '../../../demo/plans';
import { actStep } from '../edit';
import type { Plan } from '../plan';
import { DEFECTS, defectsOf, type Defect } from '.';

const of = (plan: Plan) => defectsOf(plan, cards);

/** An order of the demo with something milled into it at the end. */
const milled: Plan = {
  ...demo.sluice,
  steps: [
    ...demo.sluice.steps,
    actStep('mill-it', 'mill', demo.sluice.cups[0]!.id, demo.sluice.groups[0]!.id)!
  ]
};

describe('defects that a piece may show', () => {
  it.each<[string, Plan, Defect[], Defect[]]>([
    [
      'resin in layers',
      demo.tideline,
      ['separated layers', 'tacky or soft'],
      ['ash bloom', 'washed-out stain']
    ],
    [
      'cold process soap',
      demo.saltings,
      ['ash bloom', 'oily, streaked or crumbly'],
      ['haze from a matte mould']
    ],
    [
      'concrete, stained and sealed',
      demo.sluice,
      ['washed-out stain', 'sealed too early'],
      ['tacky or soft', 'ash bloom']
    ],
    ['what is milled', milled, ['milled away or peeled out'], ['no cells']],
    ['tiles with castings set in', demo.kingfisher, ['embed cut or uncovered'], ['washed-out stain']]
  ])('are those of its material and of what is done to it: %s', (_, plan, has, lacks) => {
    const found = of(plan);
    for (const d of has) expect(found).toContain(d);
    for (const d of lacks) expect(found).not.toContain(d);
  });

  it('are some of all, in their order, and every one of all is of some plan', () => {
    const seen = new Set([...demo.plans, milled].flatMap((p) => of(p)));
    for (const plan of demo.plans) {
      const found = of(plan);
      expect(found.length).toBeLessThan(DEFECTS.length);
      expect(found).toEqual(DEFECTS.filter((d) => found.includes(d)));
    }
    expect(DEFECTS.filter((d) => !seen.has(d))).toEqual([]);
  });

  it('are not of what is muted, nor of a colour that stands alone', () => {
    const muted: Plan = {
      ...demo.sluice,
      steps: demo.sluice.steps.map((s) => (s.act.kind === 'stain' ? { ...s, muted: true } : s))
    };
    expect(of(muted)).not.toContain('washed-out stain');
    const alone: Plan = { ...demo.tideline, cups: demo.tideline.cups.slice(0, 1) };
    expect(of(alone)).not.toContain('muddy blend');
  });
});

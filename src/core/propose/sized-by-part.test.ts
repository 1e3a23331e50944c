import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { evenly } from '../evenly.testing';
import { planToMake } from '../edit';
import { formulaOf, type Base } from '../material';
import { figuresOf } from '../plan';
import { leadingPart, sizedByPart } from './sized-by-part';

const mould = {
  id: 'loaf-mould',
  name: 'Loaf',
  material: 'silicone' as const,
  finish: 'gloss' as const,
  notes: '',
  cavities: [
    {
      id: 'loaf',
      name: 'loaf',
      count: 1,
      shape: { kind: 'box' as const, length: 250, width: 90, depth: 80 },
      capacity: { from: 'dimensions' as const }
    }
  ]
};
const shelf = { ...cards, lots: [], moulds: [mould] };
const base = (id: string): Base => shelf.bases.find((b) => b.id === id)!;
const plan = (baseId: string, colourantIds: string[], techniqueId = 'layers') =>
  planToMake(shelf, {
    id: 'p',
    techniqueId,
    mouldId: mould.id,
    baseId,
    good: 10,
    colourantIds,
    cutInto: 10
  })!;
const oilsOf = (of: ReturnType<typeof plan>) =>
  figuresOf(of, shelf)
    .common.flatMap((m) => m.weighings)
    .filter((w) => w.key.startsWith('oil-'))
    .reduce((s, w) => s + w.weight, 0);

describe('a batch started from its leading part', () => {
  it('has a kilo of oils where a kilo is asked, its colours in the same shares', () => {
    const full = plan('bar-soap', ['white-powder', 'charcoal'], 'cup-swirl');
    const sized = sizedByPart(full, shelf, base('bar-soap'), 1000);
    if (!sized.ok) throw new Error(String(sized.problem.sentence));
    expect(oilsOf(sized.value)).toBeCloseTo(1000, 0);
    const shares = (of: typeof full) => figuresOf(of, shelf).cups.map((c) => c.shareOfPour);
    shares(full).forEach((share, i) => expect(shares(sized.value)[i]).toBeCloseTo(share, 3));
  });

  it('comes to what was asked, up to a full mould, whatever was planned', () => {
    const full = plan('bar-soap', ['white-powder', 'charcoal']);
    const most = oilsOf(full);
    fc.assert(
      fc.property(evenly(0.2, 0.99), evenly(0.2, 0.99), (first, then) => {
        const once = sizedByPart(full, shelf, base('bar-soap'), first * most);
        const twice = once.ok && sizedByPart(once.value, shelf, base('bar-soap'), then * most);
        // As near as it can come: a larger jug keeps 18 g more back at once, and no pour lies between.
        const near = 10;
        expect(twice && twice.ok && Math.abs(oilsOf(twice.value) - then * most)).toBeLessThan(near);
      }),
      { numRuns: 8 }
    );
  });

  it('is refused where the mould holds less, with what it holds', () => {
    const full = plan('bar-soap', ['charcoal']);
    const sized = sizedByPart(full, shelf, base('bar-soap'), 5000);
    expect(sized.ok).toBe(false);
    if (sized.ok) return;
    const most = Number(/Up to .*?(\d+)/.exec(String(sized.problem.mend))![1]);
    expect(most).toBeGreaterThan(oilsOf(full) * 0.99);
    expect(most).toBeLessThan(oilsOf(full) * 1.01);
    expect(sizedByPart(full, shelf, base('bar-soap'), most * 0.999).ok).toBe(true);
  });

  it('is the cement of a concrete, and nothing where percentages are of the whole mix', () => {
    const formula = (id: string) => {
      const made = formulaOf(base(id));
      return made.ok ? leadingPart(made.value) : undefined;
    };
    expect(formula('fine-concrete')?.name).toBe('cement');
    expect(formula('bar-soap')?.keys).toHaveLength(4);
    expect(formula('clear-quick')).toBeUndefined();
  });

  it('is cut in so many bars once it is out of its mould', () => {
    const cut = plan('bar-soap', ['charcoal']).steps.at(-1)!;
    expect(cut.act).toMatchObject({ kind: 'cut', pieces: 10 });
    expect(cut.gates[0]!.all[0]).toMatchObject({ kind: 'since', zero: { demoulded: 'group-1' } });
  });
});

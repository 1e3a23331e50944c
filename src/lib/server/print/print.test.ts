import { someOf } from '$core/soak.testing';
import { metricWords } from '$core/quantity';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { plans as demoPlans } from '$demo/plans';
import { figuresOf } from '$core/plan';
import { buyerSheet } from '$core/inspect';
import { reading, readingBeside } from '$core/quantity';
import { tasksOf } from '$core/run';
import { USUAL_PREFERENCES } from '$core/preferences';
import { SHEETS } from '../../plan/sheets';
import type { ToPrint } from './sheet';
import { sheetContent } from './sheets';
import { buyerContent } from './buyer';
import { buyerPdf, sheetPdf } from '.';

const of = (plan: ToPrint['plan'], ways = USUAL_PREFERENCES): ToPrint => ({
  plan,
  shelf: { ...cards, lots: [] },
  learned: { today: 1_790_000_000_000 },
  ways
});

/** Every word that stands on a sheet, in order. */
function wordsOf(content: unknown): string[] {
  if (typeof content === 'string') return [content];
  if (Array.isArray(content)) return content.flatMap(wordsOf);
  if (typeof content !== 'object' || content === null) return [];
  const { text, columns, stack, table, ul } = content as Record<string, unknown>;
  return [text, columns, stack, ul, (table as { body?: unknown } | undefined)?.body].flatMap(wordsOf);
}

/** One plan split from a mix, one of several bases: setting pages takes long, and is alike for every plan. */
const SET = demoPlans.filter((p) => ['rockpool-roundels', 'night-heron'].includes(p.id));

describe.each(SET.map((p) => [p.name, p] as const))('the pages of %s', (_, plan) => {
  it.each(SHEETS)('are set on pages: %s', async (kind) => {
    const pdf = (await sheetPdf(kind, of(plan), 'A4')).toString('latin1');
    expect(pdf.startsWith('%PDF-')).toBe(true);
    expect(pdf.trimEnd().endsWith('%%EOF')).toBe(true);
    expect(pdf).toContain(
      kind === 'batch' ? '/MediaBox [0 0 841.89 595.28]' : '/MediaBox [0 0 595.28 841.89]'
    );
    expect(pdf.match(/\/Type \/Page\b(?!s)/g)!.length).toBeGreaterThan(0);
  });
});

describe.each(someOf(demoPlans, 4).map((p) => [p.name, p] as const))('the sheets of %s', (_, plan) => {
  it('has every weight that is put in, as the scale shows it', () => {
    const { cups, common, division } = figuresOf(plan, cards);
    const words = wordsOf(sheetContent('mix-sheet', of(plan)));
    for (const mix of [...common, ...cups.flatMap((c) => c.mixes)])
      for (const w of mix.weighings) {
        expect(words).toContain(w.name);
        expect(words).toContain(readingBeside(w.reading, w.division, division));
      }
  });

  it('has the batch in one table: every layer once, every cup with all that becomes of it', () => {
    const { cups, groups, totals, division } = figuresOf(plan, cards);
    const words = wordsOf(sheetContent('batch', of(plan)));
    const times = (word: string) => words.filter((w) => w === word).length;
    const [, layers] = sheetContent('batch', of(plan)) as { table: { body: { text: string }[][] } }[];
    expect(layers!.table.body.slice(1).map((row) => row.slice(-2).map((cell) => cell.text))).toEqual(
      groups.flatMap((group) =>
        group.layers.map((layer) => [
          reading(layer.grams / group.count, division),
          reading(layer.grams, division)
        ])
      )
    );
    for (const cup of cups.filter((c) => c.balance.mixed > 0)) {
      const layers = groups.flatMap((x) => x.layers).filter((l) => l.cupId === cup.cupId && !l.chamber);
      expect(times(cup.name)).toBeGreaterThanOrEqual(layers.length + 1);
      expect(words).toContain(reading(cup.balance.mixed, division));
    }
    expect(words).toContain(reading(totals.balance.mixed, division));
  });

  it('has a sheet for its buyer, with what was agreed', async () => {
    const sheet = {
      name: plan.name,
      startedAt: 1_790_000_000_000,
      plan,
      computed: figuresOf(plan, cards),
      tolerance: { deltaE: 1.5, weight: 0.07 },
      ways: USUAL_PREFERENCES
    };
    const words = wordsOf(buyerContent(sheet));
    for (const line of buyerSheet(plan, sheet.computed, sheet.tolerance).care) expect(words).toContain(line);
    expect(words.join(' ')).toMatch(/within a difference of 1.5 .*7 % more or less/);
    const dot = await sharp({ create: { width: 4, height: 4, channels: 3, background: '#204060' } })
      .png()
      .toBuffer();
    const pdf = (await buyerPdf({ ...sheet, picture: dot }, 'A4')).toString('latin1');
    expect(pdf).toContain('/Subtype /Image');
  });

  it('has a line for each task of the run, numbered, and a label for each cup that is mixed', () => {
    const computed = figuresOf(plan, cards);
    const lines = tasksOf(plan, computed).filter((t) => t.kind !== 'prepare');
    const words = wordsOf(sheetContent('run-sheet', of(plan)));
    expect(words.filter((w) => w === '___ : ___')).toHaveLength(lines.length);
    expect(words).toContain(String(lines.length));
    const labels = wordsOf(sheetContent('labels', of(plan)));
    for (const cup of computed.cups.filter((c) => c.balance.mixed > 0))
      expect(labels.filter((w) => w === cup.name).length).toBeGreaterThanOrEqual(cup.mixes.length);
  });
});

it('a sheet is on Letter where that is asked for', async () => {
  const pdf = await sheetPdf('labels', of(demoPlans[0]!), 'Letter');
  expect(pdf.toString('latin1')).toContain('/MediaBox [0 0 612 792]');
});

it('a sheet speaks the workshop’s own units, and has no sign that its faces lack', () => {
  const ways = { ...USUAL_PREFERENCES, temperatures: '°F' as const };
  const words = demoPlans.flatMap((plan) =>
    SHEETS.flatMap((kind) => wordsOf(sheetContent(kind, of(plan, ways))))
  );
  expect(words.some((w) => /room \d+ °F/.test(w))).toBe(true);
  expect(words.filter((w) => /[⅛ΔδΣ≥≤→]/.test(w))).toEqual([]);
  // Nothing is printed as a message: every quantity is in words.
  expect(words.filter((w) => metricWords(w) !== w)).toEqual([]);
});

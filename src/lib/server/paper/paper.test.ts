import { describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { plans as demoPlans } from '$demo/plans';
import { figuresOf } from '$core/plan';
import { readingBeside } from '$core/quantity';
import { tasksOf } from '$core/run';
import { USUAL_WAYS } from '$core/ways';
import { SHEETS } from '$lib/sheets';
import { sheetContent, type ToPrint } from './sheets';
import { sheetPdf } from '.';

const of = (plan: ToPrint['plan'], ways = USUAL_WAYS): ToPrint => ({
  plan,
  shelf: { ...cards, lots: [] },
  past: { today: 1_790_000_000_000 },
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

describe.each(demoPlans.map((p) => [p.name, p] as const))('the sheets of %s', (_, plan) => {
  it.each(SHEETS)('are set on pages: %s', async (kind) => {
    const pdf = (await sheetPdf(kind, of(plan), 'A4')).toString('latin1');
    expect(pdf.startsWith('%PDF-')).toBe(true);
    expect(pdf.trimEnd().endsWith('%%EOF')).toBe(true);
    expect(pdf).toContain('/MediaBox [0 0 595.28 841.89]');
    expect(pdf.match(/\/Type \/Page\b(?!s)/g)!.length).toBeGreaterThan(0);
  });

  it('has every weight that is put in, as the scale shows it', () => {
    const { cups, common, division } = figuresOf(plan, cards);
    const words = wordsOf(sheetContent('mix-sheet', of(plan)));
    for (const mix of [...common, ...cups.flatMap((c) => c.mixes)])
      for (const w of mix.weighings) {
        expect(words).toContain(w.name);
        expect(words).toContain(readingBeside(w.reading, w.division, division));
      }
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
  const ways = { ...USUAL_WAYS, temperatures: '°F' as const };
  const words = demoPlans.flatMap((plan) =>
    SHEETS.flatMap((kind) => wordsOf(sheetContent(kind, of(plan, ways))))
  );
  expect(words.some((w) => /room \d+ °F/.test(w))).toBe(true);
  expect(words.filter((w) => /[⅛ΔδΣ≥≤→]/.test(w))).toEqual([]);
});

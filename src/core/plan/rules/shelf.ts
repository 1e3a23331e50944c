import type { PlannedLetDown } from '../../batch';
import type { Problem } from '../../problem';
import type { Need } from '../../shelf/stock';
import type { Past, Plan } from '../document';
import { lightness } from '../order';

/** A let-down that the scales cannot make up. */
export const letDownProblems = (letDowns: readonly PlannedLetDown[]): Problem[] =>
  letDowns
    .filter((l) => !l.weighable)
    .map((l) => ({
      code: 'let-down-not-weighable',
      level: 'warn',
      path: 'plan/cups',
      sentence: `The 1 : ${l.parts} let-down needs ${Number(l.colourant.toPrecision(2))} g of ${l.name}, which this scale cannot weigh (± ${(l.spread * 100).toFixed(0)} %).`,
      mend: 'Make more of it, in a jar that keeps, or use a finer scale.'
    }));

/** What the shelf is short of, or what has passed its date. */
export const needProblems = (needs: readonly Need[]): Problem[] =>
  needs.flatMap((n): Problem[] => [
    ...(n.short
      ? [
          {
            code: 'stock-short',
            level: 'warn' as const,
            path: 'shelf/lots',
            sentence: `${n.name}: ${n.grams.toFixed(n.grams < 10 ? 2 : 0)} g are needed, ${(n.have ?? 0).toFixed((n.have ?? 0) < 10 ? 2 : 0)} g are on the shelf.`,
            mend: n.key.startsWith('colourant:')
              ? 'Buy more, or make it from other pots: Colours, Match a colour.'
              : 'Buy more, or pour fewer cavities.'
          }
        ]
      : []),
    ...(n.expired !== undefined
      ? [
          {
            code: 'stock-expired',
            level: 'warn' as const,
            path: 'shelf/lots',
            sentence: `${n.name} would come from a lot past its use-by.`,
            mend: 'Try a small mix of it first, or open a new one.'
          }
        ]
      : [])
  ]);

/** A mould last used with a dark dye before a paler piece. */
export function residueProblems(plan: Plan, colours: ReadonlyMap<string, string>, past: Past): Problem[] {
  return plan.groups.flatMap((group, i): Problem[] => {
    const last = past.lastColours?.[group.mouldId];
    const first = plan.steps.find((s) => s.act === 'lay' && s.groupId === group.id);
    const next = first?.act === 'lay' ? colours.get(first.cupId) : undefined;
    if (!last || !next || lightness(next) - lightness(last.colour) < 0.25) return [];
    return [
      {
        code: 'mould-residue',
        level: last.dye ? 'warn' : 'note',
        path: `plan/groups/${i}/mouldId`,
        sentence: `${group.name}: the mould last held ${last.name}, which is darker${last.dye ? ' and a dye' : ''}; a trace of it may show in this paler piece.`,
        mend: last.dye
          ? 'Cast one clear piece first, or keep a mould for dyes.'
          : 'Wash and wipe the mould with a white cloth first.'
      }
    ];
  });
}

import type { Problem } from '../../problem';
import type { Need } from '../../shelf/stock';
import { lightness } from '../order';
import type { FilledStrand } from '../fill';
import type { ResolvedPlan } from '../resolve';

/** What the shelf is short of, or what has passed its date. */
export const needProblems = (needs: readonly Need[]): Problem[] =>
  needs.flatMap((n) => [
    ...(n.short ? [tooLittle(n)] : []),
    ...(n.expired === undefined ? [] : [pastUseBy(n)])
  ]);

const digits = (grams: number) => grams.toFixed(grams < 10 ? 2 : 0);

const tooLittle = (n: Need): Problem => ({
  code: 'stock-short',
  level: 'warn',
  path: 'shelf/lots',
  sentence: `${n.name}: ${digits(n.inAll)} g are needed${n.inAll > n.grams * (1 + 1e-9) ? ` for the whole order (${digits(n.grams)} g a turn)` : ''}, ${digits(n.have ?? 0)} g are on the shelf.`,
  mend: n.key.startsWith('colourant:')
    ? 'Buy more, or make it from other pots: Colours, Match a colour.'
    : 'Buy more, or pour fewer cavities.'
});

const pastUseBy = (n: Need): Problem => ({
  code: 'stock-expired',
  level: 'warn',
  path: 'shelf/lots',
  sentence: `${n.name} would come from a lot past its use-by.`,
  mend: 'Try a small mix of it first, or open a new one.'
});

/** A mould last used with a dark dye before a paler piece. */
export function residueProblems(
  { past }: ResolvedPlan,
  filled: readonly FilledStrand[],
  colours: ReadonlyMap<string, string>
): Problem[] {
  return filled.flatMap(({ strand, layers }): Problem[] => {
    const last = past.lastColours?.get(strand.group.mouldId);
    const next = layers[0] && colours.get(layers[0].cupId);
    if (!last || !next || lightness(next) - lightness(last.colour) < 0.25) return [];
    return [
      {
        code: 'mould-residue',
        level: last.dye ? 'warn' : 'note',
        path: `plan/groups/${strand.group.id}/mouldId`,
        sentence: `${strand.name}: the mould last held ${last.name}, which is darker${last.dye ? ' and a dye' : ''}; a trace of it may show in this paler piece.`,
        mend: last.dye
          ? 'Cast one clear piece first, or keep a mould for dyes.'
          : 'Wash and wipe the mould with a white cloth first.'
      }
    ];
  });
}

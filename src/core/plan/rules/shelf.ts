import type { Problem } from '../../problem';
import type { Need } from '../../shelf/stock';
import { figure } from '../../quantity';

/** What the shelf is short of, or what has passed its date. */
export const needProblems = (needs: readonly Need[]): Problem[] =>
  needs.flatMap((n) => [
    ...(n.short ? [tooLittle(n)] : []),
    ...(n.expired === undefined ? [] : [pastUseBy(n)])
  ]);

const grams = (g: number) => figure(g, 'g', g < 10 ? 2 : 0);

const tooLittle = (n: Need): Problem => ({
  code: 'stock-short',
  level: 'warn',
  path: 'shelf/lots',
  sentence: `${n.name}: ${grams(n.inAll)} are needed${n.inAll > n.grams * (1 + 1e-9) ? ` for the whole order (${grams(n.grams)} each pour)` : ''}, ${grams(n.have ?? 0)} are on the shelf.`,
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

import type { Defect } from '../../piece';
import type { Trait } from '../../../pour';
import { strongest, type Cause, type Pointed } from '../cause';
import { acted, cupName, stirredHere, tasksHere, type Case } from '../case';

/** What was left out shows at once: how likely it is the cause, beside what was measured. A starting value. */
const LEFT_OUT = 1;

const cause = (
  id: string,
  defects: readonly Defect[],
  left: (c: Case) => string[],
  change: string
): Cause => ({
  id,
  defects,
  evidence: (c) =>
    strongest(left(c).map((what): Pointed => ({ fact: `${what} was left out`, strength: LEFT_OUT, change })))
});

/** Steps with a trait that were skipped. */
const skippedActs = (trait: Trait) => (c: Case) =>
  acted(c, trait).flatMap(({ entry: { task, status } }) =>
    status === 'skipped' && task.kind === 'do' ? [`${task.act.toLowerCase()} ${task.rest}`] : []
  );

/** Whole pours, stirs, and strokes that were skipped: with no weight of their own the grams cannot tell. */
export const LEFT_OUTS: readonly Cause[] = [
  cause(
    'pour-left-out',
    [
      'short fill or ledge',
      'lost lines or bare patches',
      'colours read as one',
      'no cells',
      'embed cut or uncovered'
    ],
    (c) =>
      tasksHere(c, 'pour').flatMap((t) =>
        t.status === 'skipped' ? [`a pour of ${cupName(c, t.task.cupId)}`] : []
      ),
    'pour every cup that is planned; keep the run in sight'
  ),
  cause(
    'stir-left-out',
    ['unmixed streaks or specks', 'tacky or soft', 'oily, streaked or crumbly'],
    (c) => {
      const here = stirredHere(c);
      return c.state.tasks.flatMap(({ task, status }) =>
        task.kind === 'stir' && status === 'skipped' && here.has(task.mixId)
          ? [`the stirring of ${cupName(c, task.cupId)}`]
          : []
      );
    },
    'stir it through, sides and bottom scraped'
  ),
  cause(
    'stroke-left-out',
    ['lost lines or bare patches'],
    skippedActs('drags'),
    'draw every stroke while it flows'
  ),
  cause(
    'dust-left-out',
    ['lost lines or bare patches'],
    skippedActs('dusts'),
    'dust the dry mould before the first pour'
  ),
  cause('sanding-left-out', ['unclear edges or numbers'], skippedActs('sands'), 'go through every grit')
];

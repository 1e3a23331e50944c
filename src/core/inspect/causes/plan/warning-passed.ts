import type { Plan } from '../../../plan';
import type { ProblemCode } from '../../../problem';
import type { Defect } from '../../piece';
import type { Case } from '../case';
import { asItsWarningMends, type Cause, type Pointed } from '../cause';

/** A warning was said and the pour was made all the same: how likely that is the cause, beside what the log measured. A starting value. */
const PASSED = 0.4;

/**
 * What comes of pouring past a warning. A warning that the log measures better afterwards (a ratio as weighed, a gate as waited) has a
 * cause of its own and is not repeated here.
 */
const MAKES = {
  'air-stays': ['bubbles on the mould face', 'bubbles at an edge'],
  'barrier-overrun': ['colours run together', 'off-centre', 'lost lines or bare patches'],
  'capacity-disagrees': ['short fill or ledge', 'overfilled lip'],
  'carrier-exceeds-part': ['tacky or soft'],
  'chambers-uneven': ['off-centre', 'colours run together'],
  'chips-too-many': ['short fill or ledge', 'unmixed streaks or specks', 'snapped or chipped on demould'],
  'colourant-unsuited': ['unmixed streaks or specks', 'yellowed', 'oily, streaked or crumbly'],
  'crosses-embed': ['colour dragged over an embed', 'muddy blend', 'floated or drowned embed'],
  'cup-overheats': ['overheated', 'yellowed', 'unmixed streaks or specks'],
  'cup-over-limit': ['tacky or soft', 'snapped or chipped on demould', 'yellowed', 'washed-out stain'],
  'demould-clash': ['snapped or chipped on demould', 'sweat marks'],
  'demould-late': ['snapped or chipped on demould', 'sweat marks', 'water marks'],
  'drag-below-gel': ['muddy blend', 'layer broke through', 'lost lines or bare patches'],
  'draft-grips': ['snapped or chipped on demould'],
  'dust-late': ['lost lines or bare patches', 'mica or glitter where none should be'],
  'dust-on-matte': ['haze from a matte mould', 'mica or glitter where none should be'],
  'embed-too-big': ['embed cut or uncovered', 'short fill or ledge'],
  'embed-uncovered': ['embed cut or uncovered'],
  'flame-near-alcohol': ['overheated', 'ink faded or spread'],
  'flame-on-wet': ['overheated', 'bubbles on the open face', 'water marks'],
  'gate-early': ['colours run together', 'layer broke through', 'blotted lines'],
  'gate-late': ['separated layers', 'lost lines or bare patches'],
  'glue-before-seal': ['separated layers', 'water marks'],
  'ink-bleeds': ['ink faded or spread', 'colours run together'],
  'layer-too-deep': ['overheated', 'yellowed', 'snapped or chipped on demould'],
  'milled-soft': ['milled away or peeled out', 'unclear edges or numbers'],
  'mould-residue': ['dye left from an earlier piece', 'mica or glitter where none should be'],
  'mould-too-cool': ['short fill or ledge', 'sunk sprue or dent'],
  'mould-worn': ['haze from a matte mould', 'snapped or chipped on demould'],
  'no-gate': ['colours run together', 'layer broke through', 'sunken glitter', 'muddy blend'],
  'not-weighable': ['too dark, too light or another hue'],
  'past-window': [
    'bubbles on the mould face',
    'short fill or ledge',
    'separated layers',
    'lost lines or bare patches',
    'no cells'
  ],
  'probe-never': ['colours run together', 'separated layers'],
  'ratio-off': ['tacky or soft', 'sweat marks', 'snapped or chipped on demould'],
  'refilled-soft': ['milled away or peeled out', 'colours run together'],
  'reheated-too-often': ['yellowed', 'tacky or soft'],
  'reserve-after-colour': ['muddy blend', 'too dark, too light or another hue'],
  'sealed-wet': ['sealed too early', 'water marks', 'washed-out stain'],
  'split-off-ratio': ['tacky or soft', 'snapped or chipped on demould', 'sweat marks'],
  'still-in-mould': ['sealed too early', 'washed-out stain', 'lost lines or bare patches'],
  'superfat-moves': ['oily, streaked or crumbly', 'tacky or soft', 'ash bloom'],
  'tool-in-gel': ['muddy blend', 'blotted lines', 'lost lines or bare patches'],
  'vessel-too-small': ['unmixed streaks or specks', 'tacky or soft'],
  'water-cement': ['snapped or chipped on demould', 'sweat marks', 'short fill or ledge'],
  'zone-outside': ['off-centre', 'lost lines or bare patches']
} satisfies Partial<Record<ProblemCode, readonly Defect[]>>;

/** What the plan was warned of before the pour, and was done all the same. */
const warningPassed = (code: ProblemCode, defects: readonly Defect[]): Cause => ({
  id: `warned-${code}`,
  defects,
  evidence(c) {
    const passed = passedHere(c, code);
    const [first] = passed;
    if (!first) return undefined;
    return {
      fact: `the plan said before the pour: ${first.sentence}`,
      strength: PASSED + 0.02 * Math.min(5, passed.length),
      change: first.mend,
      apply: asItsWarningMends(code, first.path)
    } satisfies Pointed;
  }
});

/** A warning as the run keeps it. */
type Kept = Case['frozen']['computed']['problems'][number];

/** The id after a key in a problem's path. */
const idIn = ({ path }: Kept, key: string): string | undefined => {
  const parts = path.split('/');
  return parts.includes(key) ? parts[parts.indexOf(key) + 1] : undefined;
};

/** Warnings of a kind that stood at the start of the run and are about these cavities, or about nothing narrower than the plan. */
function passedHere(c: Case, code: ProblemCode): Kept[] {
  const here = (p: Kept) =>
    [undefined, c.groupId].includes(idIn(p, 'groups')) &&
    isStepHere(c, idIn(p, 'steps')) &&
    isCupHere(c, idIn(p, 'cups'));
  return c.frozen.computed.problems.filter((p) => p.code === code && p.level !== 'note' && here(p));
}

const isStepHere = (c: Case, stepId: string | undefined): boolean => {
  const where = c.plan.steps.find((s) => s.id === stepId)?.where;
  return where === undefined || !where.length || where.includes(c.groupId);
};
const isCupHere = (c: Case, cupId: string | undefined): boolean =>
  cupId === undefined ||
  c.frozen.computed.groups.some(
    (g) => g.groupId === c.groupId && g.layers.some((l) => cupsWithin(c.plan, l.cupId).includes(cupId))
  );
const cupsWithin = (plan: Plan, id: string): string[] => {
  const cup = plan.cups.find((x) => x.id === id);
  return [id, ...(cup && 'cups' in cup.from ? cup.from.cups.flatMap((p) => cupsWithin(plan, p.cupId)) : [])];
};

/** A cause for every warning that makes a defect. */
export const WARNINGS_PASSED: readonly Cause[] = Object.entries(MAKES).map(([code, defects]) =>
  warningPassed(code as keyof typeof MAKES, defects)
);

import { lettered } from '../document';
import { widestArea } from '../mould';
import { rimOf } from '../pattern/shapes/cavity-prism';
import { stepWords } from '../pour';
import type { StepLine } from './computed';
import type { FilledCavitySet } from './fill';
import type { ComputedGroup } from './draw';
import { bagWords, type Bagged } from './weighing/bags';
import type { ResolvedStep } from './read-steps';
import type { ResolvedCup, ResolvedPlan } from './resolve';
import type { CavitySet } from './cavity-sets';

/** One plain line for every step, in the order of the plan, with what it comes to in a cavity where its act knows. */
export function linesOf(
  plan: ResolvedPlan,
  filled: readonly FilledCavitySet[],
  groups: readonly ComputedGroup[],
  bagged: Bagged
): StepLine[] {
  const setsIn = new Map(filled.map((f) => [f.cavitySet.id, f]));
  const drawn = new Map(groups.map((g) => [g.cavitySetId, g]));
  const named = plan.cups.map(({ cup }) => [cup.letter, cup.name]);
  const names = plan.memo.of('names of cups', [named], () => named);
  return plan.steps.map((step) => {
    const first = step.cavitySets[0]?.id ?? '';
    const bag = step.own && bagWords(step.own, step.step.id, bagged);
    const inside = { filled: setsIn.get(first), group: drawn.get(first), bag };
    const from = [step, names, plan.colourants, inside];
    return plan.memo.of(`line ${step.step.id}`, from, () => lineOf(step, plan, inside));
  });
}

/** What one step is done in, as its words need it: the first of its cavities, and its piping bag. */
interface Inside {
  filled: FilledCavitySet | undefined;
  group: ComputedGroup | undefined;
  bag: string | undefined;
}

function lineOf(step: ResolvedStep, plan: ResolvedPlan, inside: Inside): StepLine {
  const { own, cavitySets } = step;
  const cavities = [...new Set(cavitySets.map((s) => s.group.name))].join(' and ');
  const nameOf = (id: string) => nameOfCup(plan.cupOf.get(id));
  const names = { cup: nameOf, part: partOf(plan, cavitySets), cavities };
  const words = own ? stepWords(own, names) : { ...UNREAD, line: `${step.step.act.kind}?` };
  const { line, act, rest, hint, confirm } = words;
  // Beside a cup's own mark its name is enough.
  const { title, where } = own
    ? own.definition.words(own.act, { ...names, cup: (id) => plan.cupOf.get(id)?.cup.name ?? 'a cup' })
    : { title: line, where: undefined };
  const measures = [measuresOf(step, inside), inside.bag].filter(Boolean).join(' · ') || undefined;
  return {
    stepId: step.step.id,
    line,
    title,
    ...(where ? { where } : {}),
    act,
    rest,
    hint: withNote(hint, step.step.note),
    confirm,
    ...(measures === undefined ? {} : { measures })
  };
}

/** What a step warns of, and beside it what the maker noted: a note never takes its place. */
const withNote = (hint: string, note: string | undefined): string =>
  note && !hint.includes(note) ? [hint, note].filter(Boolean).join(' · ') : hint;

/** What a step's pour comes to in the first of the cavities it is done in. */
function measuresOf(
  { step, own, cavitySets }: ResolvedStep,
  { filled: inside, group }: Inside
): string | undefined {
  const [cavitySet] = cavitySets;
  const layers = group?.layers.filter((l) => l.stepId === step.id);
  if (!own?.definition.measures || !inside || !cavitySet || !layers?.length) return undefined;
  const { geometry, depth } = inside.cavity;
  const rim = rimOf(cavitySet.kind.shape, widestArea(geometry));
  return own.definition.measures(own.act, {
    ml: layers.reduce((s, l) => s + l.each, 0),
    grams: layers.reduce((s, l) => s + l.grams, 0) / Math.max(1, cavitySet.count),
    half: rim.half,
    area: rim.area,
    level: Math.max(...layers.map((l) => l.to)),
    depth
  });
}

/** A chamber, zone, embed or colourant of these cavities by its name; its id where nothing has that id. */
const partOf = (plan: ResolvedPlan, cavitySets: readonly CavitySet[]) => (id: string) => {
  const named = cavitySets.flatMap(({ kind, group }) => [
    ...(kind.chambers ?? []),
    ...(kind.zones ?? []),
    ...(group.embeds ?? [])
  ]);
  return named.find((x) => x.id === id)?.name ?? plan.colourants.get(id)?.name ?? id;
};

const UNREAD = { act: 'Do', rest: 'what this step says', hint: '', confirm: 'Done' };
const nameOfCup = (cup: ResolvedCup | undefined): string => (cup ? lettered(cup.cup) : 'a cup');

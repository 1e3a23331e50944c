import type { FilledGroup, PlannedLetDown, WeighedCup } from '../batch';
import { ownPercents, proposeLetDown, type Scale } from '../dosing';
import { layerState } from '../cure';
import {
  compatibilityOf,
  CUP_LIMITS,
  limitOf,
  superfatOf,
  type Base,
  type Colourant,
  type Formula
} from '../material';
import type { Problem } from '../problem';
import { grams } from '../quantity';
import type { Need } from '../shelf/stock';
import type { CommonMix, WorkedCup, WorkedCups } from './cups';
import type { Cup, GateStep, Past, Plan } from './document';

const percent = (x: number) => `${Number(x.toFixed(2))} %`;

/** Colourants that do not belong in the material, over their own limit, and cups over the limit for their sum. */
function limitProblems(
  cup: Cup,
  index: number,
  find: (id: string) => Colourant | undefined,
  material: Base['kind'],
  formula?: Formula
): Problem[] {
  const problems: Problem[] = [];
  const onOwnBasis = restated(cup, find, formula);
  let sum = 0;
  cup.recipe.forEach((line, i) => {
    const colourant = find(line.colourantId);
    if (!colourant) return;
    const supplied = onOwnBasis.get(line.id) ?? line.percent;
    // A dispersion whose water is mix water, and a premix, add only their solids; every other form adds all of itself.
    const adds = countsAsLiquid(colourant, formula) ? supplied * colourant.pigmentFraction : supplied;
    sum += adds;
    const fits = compatibilityOf(colourant.form, material);
    if (fits.verdict !== 'good')
      problems.push({
        code: fits.verdict === 'avoid' ? 'colourant-unsuited' : 'colourant-care',
        level: fits.verdict === 'avoid' ? 'warn' : 'note',
        path: `plan/cups/${index}/recipe/${i}/colourantId`,
        sentence: `${cup.name}: ${colourant.name} in ${material}: ${fits.reason}.`,
        mend: fits.verdict === 'avoid' ? 'Choose another colourant.' : 'Try it on a trial card first.'
      });
    const { limit, reason, from } = limitOf(colourant, material);
    if (adds <= limit * (1 + 1e-9)) return;
    // Back on the line's own basis and form.
    const most = (limit / adds) * line.percent;
    problems.push({
      code: 'colourant-over-limit',
      level: 'warn',
      path: `plan/cups/${index}/recipe/${i}/percent`,
      sentence: `${cup.name}: ${percent(adds)} of ${colourant.name} is over the ${from === 'card' ? 'card’s' : 'usual'} ${percent(limit)}: ${reason}.`,
      mend: `Use ${percent(most)}`,
      edit: { path: ['cups', index, 'recipe', i, 'percent'], value: Number(most.toFixed(4)) }
    });
  });
  const allowed = CUP_LIMITS[material];
  if (sum > allowed.limit * (1 + 1e-9)) {
    problems.push({
      code: 'cup-over-limit',
      level: 'warn',
      path: `plan/cups/${index}/recipe`,
      sentence: `${cup.name} holds ${percent(sum)} colourant in all; over ${percent(allowed.limit)} ${allowed.reason}.`,
      mend: 'Use a stronger colourant, or less of each.'
    });
  }
  return problems;
}

const countsAsLiquid = (colourant: Colourant, formula: Formula | undefined): boolean =>
  colourant.form === 'premix' ||
  (colourant.form === 'dispersion' && colourant.carrier === 'water' && !!formula?.carriers.water);

/** Each line's percentage as supplied on the material's own basis. */
function restated(
  cup: Cup,
  find: (id: string) => Colourant | undefined,
  formula: Formula | undefined
): Map<string, number> {
  const lines = cup.recipe.flatMap((line) => {
    const colourant = find(line.colourantId);
    return colourant ? [{ ...line, colourant, letDown: undefined }] : [];
  });
  const percents = formula
    ? ownPercents(formula, lines)
    : lines.map((l) => (l.of === 'pigment' ? l.percent / l.colourant.pigmentFraction : l.percent));
  return new Map(lines.map((l, i) => [l.id, percents[i]!]));
}

/** A colourant that is gone from the shelf, and everything `limitProblems` says. */
export function recipeProblems(
  cup: Cup,
  index: number,
  colourants: ReadonlyMap<string, Colourant>,
  base: Base | undefined,
  formula: Formula | undefined
): Problem[] {
  const gone = cup.recipe.flatMap((line, i) => {
    const colourant = colourants.get(line.colourantId);
    const path = `cups/${index}/recipe/${i}`;
    if (!colourant)
      return [missing('colourant', `${path}/colourantId`, `A colourant of ${cup.name} is not on the shelf.`)];
    const lacks =
      line.by === 'drops' && !colourant.drop
        ? 'what a drop weighs'
        : line.by === 'spoon' && !colourant.bulkDensity
          ? 'what a spoonful weighs'
          : undefined;
    return lacks
      ? [
          {
            code: 'measure-unknown',
            level: 'warn' as const,
            path: `plan/${path}/by`,
            sentence: `The card of ${colourant.name} does not know ${lacks}; it is weighed instead.`,
            mend:
              line.by === 'drops'
                ? 'Weigh twenty drops once: Colours, Drops.'
                : 'Enter its loose weight on the card.'
          }
        ]
      : [];
  });
  return [
    ...gone,
    ...(base ? limitProblems(cup, index, (id) => colourants.get(id), base.kind, formula) : [])
  ];
}

/** Steps that name cavities or cups the plan does not have. */
export function stepProblems(plan: Plan): Problem[] {
  return plan.steps.flatMap((step, i) => {
    const found: Problem[] = [];
    if (!plan.groups.some((g) => g.id === step.groupId))
      found.push(
        missing('group', `steps/${i}/groupId`, 'This step names cavities that are not in the plan.')
      );
    if (step.act === 'lay' && !plan.cups.some((c) => c.id === step.cupId))
      found.push(missing('cup', `steps/${i}/cupId`, 'This step pours a cup that is not in the plan.'));
    return found;
  });
}

/** Something a plan names that is not there. */
export const missing = (what: string, path: string, sentence: string): Problem => ({
  code: `${what}-missing`,
  level: 'stop',
  path: `plan/${path}`,
  sentence,
  mend: `Choose a ${what} for it.`
});

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
    if (!last || !next || lumaOf(next) - lumaOf(last.colour) < 0.25) return [];
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

const lumaOf = (hex: string) =>
  [0.2126, 0.7152, 0.0722].reduce(
    (s, k, i) => s + (k * parseInt(hex.slice(1 + 2 * i, 3 + 2 * i), 16)) / 255,
    0
  );

/** Everything that is wrong with a cup in all its mixes: said once, of the mix it is worst in. */
export function cupProblems(
  plan: Plan,
  worked: WorkedCup,
  all: WorkedCups,
  base: Base,
  formula: Formula,
  scales: readonly Scale[]
): Problem[] {
  const index = plan.cups.indexOf(worked.cup);
  const first = worked.mixes[0];
  if (!first || first.balance.pouredMl <= 0) return [];
  const smallest = worked.mixes.reduce((a, b) => (b.balance.mixed < a.balance.mixed ? b : a), first);
  const problems = weighingProblems(plan, index, smallest, base, scales, !!all.common.length);
  problems.push(...splitProblems(plan, index, first, base), ...bodyProblems(plan, index, first, formula));
  if (
    worked.cup ===
    plan.cups.find((c) => all.cups.find((w) => w.cup === c && w.mixes[0]!.balance.pouredMl > 0))
  )
    for (const m of all.common.slice(0, 1)) problems.push(...commonProblems(m, base, scales));
  return problems;
}

/** Carriers in a cup split from a common mix: off the ratio past 2 % (resin), or a point of water to cement. */
function splitProblems(plan: Plan, index: number, out: WeighedCup, base: Base): Problem[] {
  const cup = plan.cups[index]!;
  return out.offRatio.flatMap((off): Problem[] => {
    const wc = base.kind === 'concrete' ? off.share * base.waterCement : undefined;
    if (wc === undefined ? off.share <= 0.02 : wc <= 0.01) return [];
    return [
      {
        code: 'split-off-ratio',
        level: 'warn',
        path: `plan/cups/${index}/recipe`,
        sentence:
          wc === undefined
            ? `${cup.name}, split from the common mix, ends with ${(off.share * 100).toFixed(2)} % more ${off.name}, past 2 %.`
            : `${cup.name}, split from the common mix, ends ${wc.toFixed(3)} higher in water/cement.`,
        mend: 'Mix this cup on its own, or use a drier form.'
      }
    ];
  });
}

/** Chips past what the body can fill between, and a reserve that colour has already met. */
function bodyProblems(plan: Plan, index: number, out: WeighedCup, formula: Formula): Problem[] {
  const cup = plan.cups[index]!;
  const problems: Problem[] = [];
  const fillers = cup.fillers ?? [];
  const mass = fillers.reduce((s, f) => s + f.percent / 100, 0);
  const volume = fillers.reduce((s, f) => s + (f.percent / 100 / f.density) * out.density, 0);
  if (mass >= 1 || volume > MOST_CHIPS)
    problems.push({
      code: 'chips-too-many',
      level: 'warn',
      path: `plan/cups/${index}/fillers`,
      sentence: `${cup.name} is ${(volume * 100).toFixed(0)} % chips by volume; past ${MOST_CHIPS * 100} % the body cannot fill between them.`,
      mend: 'Use fewer chips, or smaller ones among the large.'
    });
  if (cup.reserve && formula.colourBefore)
    problems.push({
      code: 'reserve-after-colour',
      level: 'warn',
      path: `plan/cups/${index}/reserve`,
      sentence: `${cup.name}: colour goes into the dry powder here, so what is taken out later is coloured.`,
      mend: 'Mix the uncoloured part as a cup of its own.'
    });
  return problems;
}

/** Loose chips of mixed sizes pack to about six tenths by volume. */
const MOST_CHIPS = 0.6;

/** A common mix that its scale cannot hold, or too small to be sensible. */
function commonProblems(mix: CommonMix, base: Base, scales: readonly Scale[]): Problem[] {
  const largest = Math.max(...scales.map((s) => s.capacity));
  const problems: Problem[] = [];
  if (mix.balance.mixed > largest)
    problems.push(overloaded('The common mix', mix.balance.mixed, scales, 'plan/mixing'));
  if (base.kind === 'soap') problems.push(...superfatProblems('The mix', 'plan/mixing', mix.weighings, base));
  return problems;
}

const overloaded = (name: string, mass: number, scales: readonly Scale[], path: string): Problem => {
  const largest = [...scales].sort((a, b) => b.capacity - a.capacity)[0]!;
  return {
    code: 'scale-overloaded',
    level: 'stop',
    path,
    sentence: `${name} weighs ${grams(mass, 1)} g; ${largest.name} ends at ${largest.capacity} g.`,
    mend: 'Choose a larger scale for this plan.'
  };
};

/** Weighings the scales cannot do, mixes too small to be sensible, and cups the scales cannot hold. */
function weighingProblems(
  plan: Plan,
  index: number,
  out: WeighedCup,
  base: Base,
  scales: readonly Scale[],
  split: boolean
): Problem[] {
  const cup = plan.cups[index]!;
  const problems: Problem[] = [];
  for (const w of out.weighings) {
    if (w.weighable || w.kind === 'reserve') continue;
    const line = cup.recipe.findIndex((r) => r.id === w.key);
    const scale = scales.find((s) => s.id === w.scaleId) ?? scales[0]!;
    const letDown =
      w.kind === 'colourant' && !w.letDown && !w.counted ? proposeLetDown(w.exact, 1, scale) : undefined;
    problems.push({
      code: 'not-weighable',
      level: 'warn',
      path: w.kind === 'colourant' ? `plan/cups/${index}/recipe/${line}` : `plan/cups/${index}`,
      sentence: w.counted
        ? `${cup.name}: ${w.counted} of ${w.name} is a guess (± ${(w.spread * 100).toFixed(0)} %).`
        : `${cup.name}: ${Number(w.exact.toPrecision(2))} g ${w.name} is not weighable on this scale (± ${(w.spread * 100).toFixed(0)} %).`,
      mend: letDown
        ? `Weigh ${grams(letDown.dose, scale.division)} g of a 1 : ${letDown.parts} let-down`
        : 'Use a finer scale, or mix a bigger cup.',
      ...(letDown ? { edit: { path: ['cups', index, 'recipe', line, 'letDown'], value: letDown.parts } } : {})
    });
  }
  const drowned = out.weighings.find((w) => w.kind === 'part' && w.exact < 0);
  if (drowned)
    problems.push({
      code: 'carrier-exceeds-part',
      level: 'stop',
      path: `plan/cups/${index}/recipe`,
      sentence: `${cup.name}: its colourants bring more ${drowned.name} than the whole cup holds.`,
      mend: 'Use a stronger let-down, or a drier form.'
    });
  if (base.kind === 'soap' && !split)
    problems.push(...superfatProblems(cup.name, `plan/cups/${index}`, out.weighings, base));
  const mixed = out.balance.mixed;
  if (!split && mixed < base.leastMix - scales[0]!.division / 2)
    problems.push({
      code: 'mix-too-small',
      level: 'warn',
      path: `plan/cups/${index}`,
      sentence: `${cup.name} is a mix of ${grams(mixed, scales[0]!.division)} g; under ${base.leastMix} g the ratio and the stirring suffer.`,
      mend: `Mix ${base.leastMix} g and keep what is left`,
      edit: { path: ['cups', index, 'atLeast'], value: base.leastMix }
    });
  if (mixed > Math.max(...scales.map((s) => s.capacity)))
    problems.push(overloaded(cup.name, mixed, scales, `plan/cups/${index}`));
  if (out.ratioError > 0.02)
    problems.push({
      code: 'ratio-off',
      level: 'warn',
      path: `plan/cups/${index}`,
      sentence: `${cup.name}: rounded to this scale, the ratio is ${(out.ratioError * 100).toFixed(1)} % off.`,
      mend: 'Use a finer scale, or mix a bigger cup.'
    });
  return problems;
}

/** Lye that rounding has moved: a superfat off by more than a point, or none left. */
function superfatProblems(
  name: string,
  path: string,
  weighings: WeighedCup['weighings'],
  base: Extract<Base, { kind: 'soap' }>
): Problem[] {
  const superfat = superfatOf(base, weighings);
  if (Math.abs(superfat - base.superfat) <= 0.01) return [];
  return [
    {
      code: 'superfat-moves',
      level: superfat < 0 ? 'stop' : 'warn',
      path,
      sentence: `${name}: rounded to this scale the superfat is ${(superfat * 100).toFixed(1)} %, not ${(base.superfat * 100).toFixed(1)} %.`,
      mend: 'Use a finer scale, or make a bigger batch and split it.'
    }
  ];
}

/** Layers deeper than the resin allows, layers laid on a wet one, and cavities left short. */
export function layerProblems(plan: Plan, filled: FilledGroup, base: Base): Problem[] {
  const problems: Problem[] = [];
  let sinceGate = 0;
  plan.steps.forEach((step, index) => {
    if (step.groupId !== filled.group.id) return;
    if (step.act === 'gate') {
      sinceGate = 0;
      return;
    }
    const layer = filled.layers.find((l) => l.stepId === step.id);
    if (!layer) return;
    const depth = layer.to - layer.from;
    if (base.kind === 'resin' && depth > base.depthLimit + 1e-9) {
      problems.push({
        code: 'layer-too-deep',
        level: 'warn',
        path: `plan/steps/${index}/amount`,
        sentence: `This layer is ${depth.toFixed(1)} mm deep; ${base.name} takes ${base.depthLimit} mm at once before it overheats.`,
        mend: `Pour ${base.depthLimit} mm, gate, then the rest`,
        edit: { path: ['steps', index, 'amount'], value: { kind: 'deep', mm: base.depthLimit } }
      });
    }
    sinceGate++;
    // Cups split from one mix are poured wet on wet, inside its one window.
    if (sinceGate === 2 && plan.mixing !== 'split') {
      const gate: GateStep = {
        id: freshId(plan, 'gate'),
        act: 'gate',
        groupId: step.groupId,
        state: layerState(base)
      };
      problems.push({
        code: 'no-gate',
        level: 'warn',
        path: `plan/steps/${index}`,
        sentence: 'This layer goes onto one that is still wet: the two colours will run together.',
        mend: `Wait until it is ${layerState(base)}`,
        edit: { path: ['steps'], value: plan.steps.toSpliced(index, 0, gate) }
      });
    }
  });
  if (filled.layers.length && filled.filledMl < filled.cavity.capacity * 0.985) {
    problems.push({
      code: 'short-fill',
      level: 'note',
      path: `plan/groups/${plan.groups.findIndex((g) => g.id === filled.group.id)}`,
      sentence: `${filled.group.name} ends at ${((filled.filledMl / filled.cavity.capacity) * 100).toFixed(0)} % of the cavity.`,
      mend: 'Fill the last layer to the rim, if the piece should be whole.'
    });
  }
  return problems;
}

/** An id that no step of the plan has yet: the word and the first free number. */
export function freshId(plan: Plan, word: string): string {
  const taken = new Set([
    ...plan.steps.map((s) => s.id),
    ...plan.cups.map((c) => c.id),
    ...plan.groups.map((g) => g.id),
    ...plan.cups.flatMap((c) => c.recipe.map((r) => r.id))
  ]);
  for (let n = 1; ; n++) if (!taken.has(`${word}-${n}`)) return `${word}-${n}`;
}

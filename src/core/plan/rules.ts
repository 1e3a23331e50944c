import type { FilledGroup, WeighedCup } from '../batch';
import { proposeLetDown, type Scale } from '../dosing';
import { layerState } from '../cure';
import { compatibilityOf, CUP_LIMITS, limitOf, superfatOf, type Base, type Colourant } from '../material';
import type { Problem } from '../problem';
import { grams } from '../quantity';
import type { Cup, GateStep, Plan } from './document';

const percent = (x: number) => `${Number(x.toFixed(2))} %`;

/** Colourants that do not belong in the material, over their own limit, and cups over the limit for their sum. */
export function limitProblems(
  cup: Cup,
  index: number,
  find: (id: string) => Colourant | undefined,
  material: Base['kind']
): Problem[] {
  const problems: Problem[] = [];
  let sum = 0;
  cup.recipe.forEach((line, i) => {
    const colourant = find(line.colourantId);
    if (!colourant) return;
    const supplied = line.of === 'pigment' ? line.percent / colourant.pigmentFraction : line.percent;
    sum += supplied;
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
    if (supplied <= limit) return;
    const most = line.of === 'pigment' ? limit * colourant.pigmentFraction : limit;
    problems.push({
      code: 'colourant-over-limit',
      level: 'warn',
      path: `plan/cups/${index}/recipe/${i}/percent`,
      sentence: `${cup.name}: ${percent(supplied)} of ${colourant.name} is over the ${from === 'card' ? 'card’s' : 'usual'} ${percent(limit)}: ${reason}.`,
      mend: `Use ${percent(most)}`,
      edit: { path: ['cups', index, 'recipe', i, 'percent'], value: Number(most.toFixed(4)) }
    });
  });
  const allowed = CUP_LIMITS[material];
  if (sum > allowed.limit) {
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

/** Weighings the scale cannot do, mixes too small to be sensible, and cups the scale cannot hold. */
export function weighingProblems(
  plan: Plan,
  index: number,
  out: WeighedCup,
  base: Base,
  scale: Scale
): Problem[] {
  const cup = plan.cups[index]!;
  const problems: Problem[] = [];
  for (const w of out.weighings) {
    if (w.weighable) continue;
    const line = cup.recipe.findIndex((r) => r.id === w.key);
    const letDown = w.kind === 'colourant' && !w.letDown ? proposeLetDown(w.exact, 1, scale) : undefined;
    problems.push({
      code: 'not-weighable',
      level: 'warn',
      path: w.kind === 'part' ? `plan/cups/${index}` : `plan/cups/${index}/recipe/${line}`,
      sentence: `${cup.name}: ${Number(w.exact.toPrecision(2))} g ${w.name} is not weighable on this scale (± ${(w.spread * 100).toFixed(0)} %).`,
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
  problems.push(...lyeProblems(cup, index, out, base));
  const mixed = out.balance.mixed;
  if (out.balance.pouredMl > 0 && mixed < base.leastMix - scale.division / 2) {
    problems.push({
      code: 'mix-too-small',
      level: 'warn',
      path: `plan/cups/${index}`,
      sentence: `${cup.name} is a mix of ${grams(mixed, scale.division)} g; under ${base.leastMix} g the ratio and the stirring suffer.`,
      mend: `Mix ${base.leastMix} g and keep what is left`,
      edit: { path: ['cups', index, 'atLeast'], value: base.leastMix }
    });
  }
  if (mixed > scale.capacity) {
    problems.push({
      code: 'scale-overloaded',
      level: 'stop',
      path: `plan/cups/${index}`,
      sentence: `${cup.name} weighs ${grams(mixed, 1)} g; ${scale.name} ends at ${scale.capacity} g.`,
      mend: 'Choose a larger scale for this plan.'
    });
  }
  if (out.balance.pouredMl > 0 && out.ratioError > 0.02) {
    problems.push({
      code: 'ratio-off',
      level: 'warn',
      path: `plan/cups/${index}`,
      sentence: `${cup.name}: rounded to this scale, the ratio is ${(out.ratioError * 100).toFixed(1)} % off.`,
      mend: 'Use a finer scale, or mix a bigger cup.'
    });
  }
  return problems;
}

/** Lye that rounding has moved: a superfat off by more than a point, or none left. */
function lyeProblems(cup: Cup, index: number, out: WeighedCup, base: Base): Problem[] {
  if (base.kind !== 'soap' || out.balance.pouredMl <= 0) return [];
  const superfat = superfatOf(base, out.weighings);
  if (Math.abs(superfat - base.superfat) <= 0.01) return [];
  return [
    {
      code: 'superfat-moves',
      level: superfat < 0 ? 'stop' : 'warn',
      path: `plan/cups/${index}`,
      sentence: `${cup.name}: rounded to this scale the superfat is ${(superfat * 100).toFixed(1)} %, not ${(base.superfat * 100).toFixed(1)} %.`,
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
    if (sinceGate === 2) {
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

import {
  indexed,
  splitMixId,
  type Indexed,
  type MixMaterial,
  type TimedMix,
  type TimedPour,
  type TimedStep
} from '../schedule';
import { stepWords } from '../pour';
import { castingsIn } from './castings';
import type { FilledCavitySet, Pour } from './fill';
import { hasTrait, type ResolvedStep } from './read-steps';
import type { ResolvedMix, ResolvedPlan } from './resolve';
import type { CupInMixes, AllMixes } from './weighing/weighed';
import { roomIn } from './room';

/**
 * What a score is played from: steps, pours and mixes with their minutes and materials.
 * @param place of several in one reckoning, which
 */
export function timingOf(
  plan: ResolvedPlan,
  filled: readonly FilledCavitySet[],
  allMixes: AllMixes,
  place: string
): Indexed {
  const { memo, steps } = plan;
  const pouring = new Set(filled.flatMap((f) => f.pours.map((p) => p.stepId)));
  const names = plan.cups.map(({ cup }) => cup.name);
  const common = allMixes.common;
  const mixes = [
    ...splitMixes(plan, allMixes),
    ...allMixes.cups.flatMap((w) => {
      const parts = w.resolved.parts.map((p) => allMixes.cups.find((x) => x.cup.id === p.cupId)?.mixes);
      return memo.of(`timed ${w.cup.id} ${place}`, [w, common, parts], () => cupMixes(w, allMixes));
    })
  ];
  const timing = {
    room: roomIn(plan.plan.bench),
    steps: memo.of('timed steps', [steps, [...pouring], names], () =>
      steps.filter((s) => !s.step.muted).map((s) => timedStep(s, plan, pouring))
    ),
    pours: filled.map((f) =>
      memo.of(`timed pours ${f.cavitySet.id}`, [f], () =>
        f.pours.map((p) => [p.id, timedPour(p, f)] as const)
      )
    ),
    mixes,
    cavitySets: filled.map(({ cavitySet }) => ({
      id: cavitySet.id,
      groupId: cavitySet.group.id,
      name: cavitySet.group.name
    }))
  };
  // Looked up by all that is played: the very same thing as long as nothing in it changes.
  return memo.of(`timing ${place}`, [timing], () =>
    indexed({
      ...timing,
      pours: new Map(timing.pours.flat()),
      mixes: new Map(mixes.map((m) => [m.mixId, m]))
    })
  );
}

const materialOf = ({ base, behaviour, formula }: ResolvedMix): MixMaterial => ({
  baseId: base.id,
  behaviour,
  clockPart: formula.clockPart,
  ...(formula.between ? { between: formula.between } : {}),
  stirMinutes: base.stirMinutes,
  demouldHours: base.demouldHours,
  ...('fullCureHours' in base ? { fullCureHours: base.fullCureHours } : {})
});

function timedStep(
  { step, cavitySets, own }: ResolvedStep,
  plan: ResolvedPlan,
  pouring: ReadonlySet<string>
): TimedStep {
  const count = cavitySets.reduce((s, x) => s + x.count, 0);
  const does = own !== undefined && !own.definition.amount && !pouring.has(step.id);
  const minutes = does ? own.definition.hands(own.act, own.step, count) : { attended: 0, unattended: 0 };
  return {
    id: step.id,
    gates: step.gates,
    cavitySetIds: cavitySets.map((s) => s.id),
    line: lineOf(own, plan),
    after: own?.definition.group === 'after',
    demoulds: hasTrait(own, 'demoulds'),
    rounds: roundsOf(own),
    afterSteps: castBefore({ step, cavitySets, own }, plan),
    does,
    cupIds: does ? own.definition.cups(own.act) : [],
    ...minutes
  };
}

/** Everything before a step that is done to a casting which it sets in. */
function castBefore(
  { step, cavitySets, own }: Pick<ResolvedStep, 'step' | 'cavitySets' | 'own'>,
  plan: ResolvedPlan
): string[] {
  const id = (own?.act as { embedId?: string } | undefined)?.embedId;
  const from = cavitySets.flatMap((s) => castingsIn(s).flatMap((e) => (e.id === id ? [e.groupId] : [])));
  if (!from.length) return [];
  const before = plan.steps.slice(
    0,
    plan.steps.findIndex((s) => s.step.id === step.id)
  );
  return before.flatMap((s) => (s.step.where.some((w) => from.includes(w)) ? [s.step.id] : []));
}

/** In how many rounds an act is poured, turn about with its neighbours. */
const roundsOf = (own: ResolvedStep['own']): number =>
  hasTrait(own, 'in turns') ? Number((own?.act as { rounds?: number }).rounds ?? 1) : 1;

const lineOf = (own: ResolvedStep['own'], { cupOf }: ResolvedPlan): string =>
  own
    ? stepWords(own, { cup: (id) => cupOf.get(id)?.cup.name ?? id, part: (id) => id, cavities: '' }).line
    : '';

function timedPour(pour: Pour, { layers }: FilledCavitySet): TimedPour {
  const own = layers.filter((l) => l.pourId === pour.id);
  const { act } = pour;
  return {
    pourId: pour.id,
    stepId: pour.stepId,
    cavitySetId: pour.cavitySetId,
    cupId: pour.cupId,
    depth: own.reduce((s, l) => s + l.to - l.from, 0),
    untilSet: act?.definition.lasts?.(act.act) === 'sets',
    // A step that draws from several cups keeps the hands once: with the first of them.
    attended: (count) =>
      act && !pour.id.includes('+') ? act.definition.hands(act.act, act.step, count).attended : 0
  };
}

const splitMixes = (plan: ResolvedPlan, allMixes: AllMixes): TimedMix[] =>
  allMixes.common.map((m) => ({
    mixId: m.mixId,
    cupId: splitMixId(m.of),
    turn: m.turn,
    sitting: m.sitting ?? 1,
    name: 'the mix',
    material: materialOf(plan.mixes.get(m.of)!),
    weighings: m.weighings,
    mixed: m.balance.mixed,
    pours: []
  }));

function cupMixes({ cup, resolved, mixes }: CupInMixes, allMixes: AllMixes): TimedMix[] {
  if (!resolved.mix) return [];
  const material = materialOf(resolved.mix);
  const portion = 'mix' in cup.from && resolved.mix.mix.feeds === 'split';
  return mixes.map((m): TimedMix => {
    const splitMix = portion
      ? allMixes.common.find((c) => c.of === resolved.mix!.mix.id && c.turn === m.turn)
      : undefined;
    return {
      mixId: m.mixId,
      cupId: cup.id,
      turn: m.turn,
      sitting: m.sitting ?? 1,
      name: cup.name,
      material,
      weighings: m.weighings,
      mixed: m.balance.mixed,
      pours: m.pours,
      ...(splitMix ? { portionOf: splitMix.mixId } : {}),
      ...(m.filledFrom ? { filledFrom: fillingMixes(m.filledFrom, m.turn, allMixes) } : {})
    };
  });
}

/** The mixes that a filling takes from: each part's own of the same turn, or its first. */
const fillingMixes = (from: readonly { cupId: string }[], turn: number, allMixes: AllMixes): string[] =>
  from.flatMap(({ cupId }) => {
    const mixes = allMixes.cups.find((w) => w.cup.id === cupId)?.mixes ?? [];
    const own = mixes.find((m) => m.turn === turn) ?? mixes[0];
    return own ? [own.mixId] : [];
  });

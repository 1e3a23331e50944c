import { layerState, materials } from '../material';
import type { Base } from '../material';
import { cavityOf, footprintOf, type CavityKind } from '../mould';
import {
  conditionOf,
  isAfter,
  materialsFor,
  TECHNIQUES,
  type Draft,
  type Setting,
  type Technique
} from '../pour';
import { withCompositeCup, withNewCup } from './add-cup';
import { mixIdOf, type Gate, type Group, type Plan, type Step } from '../document';
import { type Shelf } from '../shelf';
import { freshId } from './fresh-id';
import { insertStep } from './insert-step';
import { withSecondBatch } from './second-batch';

/** What of the steps that stand in those cavities is kept: none of them, those done after the pour, or all of them. */
export const KEEPS = ['nothing', 'what comes after', 'everything'] as const;
export type Keep = (typeof KEEPS)[number];

/** Where a technique goes, and what is kept there. */
export interface Applying {
  techniqueId: string;
  groupId: string;
  keep: Keep;
}

/**
 * A plan with a technique's steps in one group of cavities, for as many cups as it has; cups it lacks are added, and a jug
 * where its colours are poured together first. The plan as it is where there is no such technique or no such group.
 */
export function applyTechnique(plan: Plan, shelf: Shelf, { techniqueId, groupId, keep }: Applying): Plan {
  const technique = TECHNIQUES.find((t) => t.id === techniqueId);
  const group = plan.groups.find((g) => g.id === groupId);
  const kind = group && kindOf(group, shelf);
  const base = baseOf(plan, shelf);
  if (!technique || !group || !kind || !base) return plan;
  const { plan: poured, cups } = withCups(plan, technique);
  const cupped = withChips(poured, technique, cups[0], base);
  const shown = technique.shows && keep !== 'everything' ? { ...cupped, showFace: technique.shows } : cupped;
  const kept = withoutSteps(shown, groupId, keep);
  const drafts = technique.steps(settingOf({ cups, group, kind, base }));
  return withSteps(kept, keep === 'what comes after' ? drafts.filter((d) => !isAfter(d)) : drafts, groupId);
}

/** Techniques that a plan's base is used for come first, the others after them. */
export function techniquesFor(plan: Plan, shelf: Shelf): { suited: Technique[]; others: Technique[] } {
  const base = baseOf(plan, shelf);
  const suited = base ? techniquesIn(base) : [];
  return { suited, others: TECHNIQUES.filter((t) => !suited.includes(t)) };
}

/** The techniques that are done in a material. */
export const techniquesIn = (base: Base): Technique[] =>
  TECHNIQUES.filter((t) => materialsFor(t).some((m) => m.kind === base.kind));

const kindOf = (group: Group, { moulds }: Shelf): CavityKind | undefined =>
  moulds.find((m) => m.id === group.mouldId)?.cavities.find((c) => c.id === group.cavityId);

/** The base of the plan's first cup that has one. */
function baseOf(plan: Plan, { bases }: Shelf): Base | undefined {
  const mixes = [...plan.cups.map(mixIdOf), ...plan.mixes.map((m) => m.id)];
  return mixes
    .flatMap((id) => plan.mixes.filter((m) => m.id === id))
    .flatMap((m) => bases.find((b) => b.id === m.baseId) ?? [])[0];
}

/** The cups a technique pours, in order; those it lacks made, and its jug. */
function withCups(plan: Plan, technique: Technique): { plan: Plan; cups: string[] } {
  let cupped = plan;
  const own = () => cupped.cups.filter((c) => mixIdOf(c) !== undefined).map((c) => c.id);
  for (let before = -1; own().length < technique.least && own().length !== before;) {
    before = own().length;
    cupped = withNewCup(cupped);
  }
  const most = technique.cups.at(-1) === '…' ? Infinity : technique.cups.length;
  const cups = own().slice(0, most);
  if (!technique.composite) return { plan: cupped, cups };
  const { of, shares, mixing } = technique.composite(cups.length);
  const made = withCompositeCup(
    cupped,
    of.flatMap((i) =>
      cups[i] === undefined ? [] : [{ cupId: cups[i], share: shares?.[i] ?? 1 / of.length }]
    ),
    mixing
  );
  return { plan: made.plan, cups: made.jugId === undefined ? cups : [made.jugId] };
}

/** The first cup with a technique's chips in it, where it has none: offcuts of the same material. */
function withChips(plan: Plan, { chips }: Technique, cupId: string | undefined, base: Base): Plan {
  const formula = materials.of(base).formula(base);
  if (!chips || !formula.ok) return plan;
  const filler = {
    id: freshId(plan, 'chips'),
    name: 'chips',
    percent: chips,
    density: formula.value.density
  };
  const cups = plan.cups.map((c) => (c.id === cupId && !c.fillers?.length ? { ...c, fillers: [filler] } : c));
  return { ...plan, cups };
}

/** The plan without the steps of a group that are not kept; a step that is done elsewhere too is kept there. */
function withoutSteps(plan: Plan, groupId: string, keep: Keep): Plan {
  if (keep === 'everything') return plan;
  const stays = (s: Step) => !s.where.includes(groupId) || (keep === 'what comes after' && isAfter(s));
  const steps = plan.steps.flatMap((s) => {
    if (stays(s)) return [s];
    const where = s.where.filter((id) => id !== groupId);
    return where.length ? [{ ...s, where }] : [];
  });
  const ids = new Set(steps.map((s) => s.id));
  const groups = plan.groups.map((g) =>
    g.variations ? { ...g, variations: g.variations.filter((v) => ids.has(v.stepId)) } : g
  );
  return { ...plan, steps, groups };
}

interface Where {
  cups: string[];
  group: Group;
  kind: CavityKind;
  base: Base;
}

function settingOf({ cups, group, kind, base }: Where): Setting {
  const cavity = cavityOf(kind, `shelf/moulds/${group.mouldId}`);
  const footprint = footprintOf(kind.shape);
  return {
    cups,
    material: base.kind,
    capacity: cavity.capacity,
    depth: cavity.depth,
    aspect: footprint.kind === 'rectangle' ? footprint.aspect : 1,
    chambers: kind.chambers ?? [],
    zones: kind.zones ?? [],
    embeds: group.embeds ?? [],
    cutInto: group.cutInto ?? 1,
    apart: layerState(base),
    cures: 'fullCureHours' in base ? base.fullCureHours * 60 : 3 * 24 * 60,
    dries: materials.of(base).sealAfter ?? 0
  };
}

/** Puts drafts into a plan as steps of a group: what is poured before what is done to it afterwards. */
function withSteps(plan: Plan, drafts: readonly Draft[], groupId: string): Plan {
  const keys = new Map<string, string>();
  const batches = new Map<string, string[]>();
  let made = plan;
  /** The step that was put in last, once one has been that is done to a poured piece. */
  let out: string | undefined;
  for (const draft of drafts) {
    const id = freshId(made, draft.act.kind);
    if (draft.key) keys.set(draft.key, id);
    const step: Step = {
      id,
      act: draft.act,
      where: [groupId],
      gates: gatesOf(draft, made, { step: (key) => keys.get(key) ?? key, group: groupId }),
      ...(draft.note ? { note: draft.note } : {})
    };
    if (draft.anew) batches.set(draft.anew, [...(batches.get(draft.anew) ?? []), id]);
    // What a technique does to a piece that is out of its mould comes after that, whatever it is.
    const at = out === undefined ? -1 : made.steps.findIndex((s) => s.id === out);
    made = {
      ...made,
      steps: at < 0 ? insertStep(made.steps, step, groupId) : made.steps.toSpliced(at + 1, 0, step)
    };
    if (out !== undefined || isAfter(draft)) out = id;
  }
  for (const ids of batches.values()) made = withSecondBatch(made, new Set(ids)) ?? made;
  return made;
}

function gatesOf(
  { until = [] }: Draft,
  plan: Plan,
  ids: { step(key: string): string; group: string }
): Gate[] {
  if (!until.length) return [];
  return [{ id: freshId(plan, 'gate'), all: until.map((u) => conditionOf(u, ids)) }];
}

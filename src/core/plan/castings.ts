import type { Cavity, Embed, SolidEmbed } from '../mould';
import { freshId } from '../edit/fresh-id';
import { counted } from '../quantity';
import { inPlan, type Diagnostic } from '../problem';
import type { CavitySet } from './cavity-sets';
import { hasTrait } from './read-steps';
import type { ResolvedPlan } from './resolve';

type Casting = Extract<Embed, { kind: 'casting' }>;

/** What one cavity holds once it is cast. */
interface Cast {
  cavity: Cavity;
  layers: readonly { cupId: string; each: number }[];
  filledMl: number;
}

/** Castings of the same plan that are set into the cavities of a set. */
export const castingsIn = ({ group }: CavitySet): Casting[] =>
  (group.embeds ?? []).flatMap((e) => (e.kind === 'casting' ? [e] : []));

/** What is set into a cavity set, each with its own size: a casting has that of what is cast, less what is sawn off. */
export function solidsIn(
  plan: ResolvedPlan,
  { group }: CavitySet,
  castOf: (groupId: string) => Cast | undefined
): SolidEmbed[] {
  return (group.embeds ?? []).flatMap((e): SolidEmbed[] => {
    if (e.kind !== 'casting') return [e];
    const cast = castOf(e.groupId);
    if (!cast || cast.filledMl <= 0) return [];
    const density = densityOf(plan, cast);
    return [
      {
        id: e.id,
        kind: 'object',
        name: e.name,
        each: e.each,
        grams: cast.filledMl * e.share * density,
        density,
        from: e.from,
        // Sawn flat: the back goes, what touched its mould stays.
        height: cast.cavity.levelAt(cast.filledMl * e.share)
      }
    ];
  });
}

/** g/ml of a casting: of what was poured into it, by volume. */
function densityOf({ cupOf }: ResolvedPlan, { layers }: Cast): number {
  const ml = layers.reduce((s, l) => s + l.each, 0);
  const grams = layers.reduce((s, l) => s + l.each * (cupOf.get(l.cupId)?.mix?.formula.density ?? 1), 0);
  return ml > 0 ? grams / ml : 1;
}

/** What is wrong with setting castings of a plan into one another: no such casting, itself, too few, or still in its mould. */
export function castingProblems(plan: ResolvedPlan): Diagnostic[] {
  return plan.cavitySets.flatMap((set) =>
    castingsIn(set).flatMap((e) => [...sourceProblems(plan, set, e), ...notOut(plan, set, e)])
  );
}

const about = ({ group }: CavitySet, e: Casting) => inPlan('groups', group.id, 'embeds', e.id);

function sourceProblems(plan: ResolvedPlan, set: CavitySet, e: Casting): Diagnostic[] {
  const sources = plan.cavitySets.filter((s) => s.group.id === e.groupId);
  if (waitsOn(plan, e.groupId, set.group.id, 0))
    return [
      {
        code: 'casting-of-itself',
        level: 'stop',
        ...about(set, e),
        sentence: `${e.name} would be set into itself.`,
        mend: 'Set it into other cavities.'
      }
    ];
  if (!sources.length)
    return [
      {
        code: 'group-missing',
        level: 'stop',
        ...about(set, e),
        sentence: `${e.name} is cast in cavities that are not in the plan.`,
        mend: 'Choose the cavities it is cast in.'
      }
    ];
  const cast = sources.reduce((s, x) => s + x.count, 0);
  // What is left of a casting serves again only where it is as large as what was sawn off.
  const pieces = Math.floor(1 / e.share + 1e-9);
  const wanted = Math.ceil((set.group.count * e.each) / pieces);
  return cast < wanted
    ? [
        {
          code: 'castings-short',
          level: 'warn',
          ...about(set, e),
          sentence: `${counted(cast, 'casting')} of ${e.name} ${cast === 1 ? 'is' : 'are'} made, and ${wanted} ${wanted === 1 ? 'is' : 'are'} wanted.`,
          mend: `Cast ${wanted} of them.`,
          fixes: [
            {
              words: `Cast ${wanted} of them`,
              edit: { path: ['groups', e.groupId, 'count'], value: sources[0]!.group.count + wanted - cast }
            }
          ]
        }
      ]
    : [];
}

/** Whether what is cast in a group waits, through any number of castings, for another group's. */
function waitsOn(plan: ResolvedPlan, groupId: string, other: string, depth: number): boolean {
  if (groupId === other || depth > plan.cavitySets.length) return true;
  const own = plan.cavitySets.filter((s) => s.group.id === groupId);
  return own.some((s) => castingsIn(s).some((e) => waitsOn(plan, e.groupId, other, depth + 1)));
}

/** It is set in before it has left its own mould. */
function notOut(plan: ResolvedPlan, set: CavitySet, e: Casting): Diagnostic[] {
  const steps = plan.steps.filter((s) => !s.step.muted);
  const placed = steps.findIndex(
    (s) =>
      s.step.where.includes(set.group.id) &&
      (s.own?.act as { embedId?: string } | undefined)?.embedId === e.id
  );
  if (placed < 0) return [];
  const out = steps.findIndex((s) => s.step.where.includes(e.groupId) && hasTrait(s.own, 'demoulds'));
  if (out >= 0 && out < placed) return [];
  const at = plan.plan.steps.findIndex((s) => s.id === steps[placed]!.step.id);
  const demould = {
    id: freshId(plan.plan, 'demould'),
    act: { kind: 'demould' },
    where: [e.groupId],
    gates: []
  };
  const rest = plan.plan.steps.filter((s) => s.id !== steps[out]?.step.id);
  const moved = steps[out]?.step ?? demould;
  const before = rest.findIndex((s) => s.id === steps[placed]!.step.id);
  return [
    {
      code: 'casting-not-out',
      level: 'stop',
      ...inPlan('steps', plan.plan.steps[at]!.id),
      sentence: `${e.name} is set in before it has left its own mould.`,
      mend: 'Demould it first.',
      fixes: [
        { words: 'Demould it first', edit: { path: ['steps'], value: rest.toSpliced(before, 0, moved) } }
      ]
    }
  ];
}

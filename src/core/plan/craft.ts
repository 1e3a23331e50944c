import type { FilledGroup } from '../batch';
import { REHEAT_LIMIT, settingFat, shotsFor, superfatOf, waterCementOf, type Base } from '../material';
import type { Problem } from '../problem';
import type { Plan, Shelf } from './document';
import type { CommonMix, CupMix, WorkedCup } from './cups';

/** A figure of the craft that a maker looks for beside the grams. */
export interface CraftFact {
  label: string;
  value: string;
}

/** What one joining of parts comes to, for materials that are judged by more than a ratio. */
interface Joining {
  path: string;
  name: string;
  grams: (key: string) => number;
  /** Water that colourants bring on top or in place of mix water, g. */
  carriedWater: number;
  exactWater: number;
}

/** The figures of the craft: water to cement, superfat as weighed, shots; and what is wrong with them. */
export function craftOf(
  plan: Plan,
  shelf: Shelf,
  base: Base,
  cups: readonly WorkedCup[],
  common: readonly CommonMix[],
  filled: readonly FilledGroup[]
): { facts: CraftFact[]; problems: Problem[] } {
  const joinings = joiningsOf(plan, shelf, cups, common);
  switch (base.kind) {
    case 'concrete':
      return concreteFacts(base, joinings);
    case 'soap':
      return soapFacts(plan, base, joinings, filled);
    case 'plastisol':
      return plastisolFacts(plan, shelf, base, filled);
    default:
      return { facts: [], problems: [] };
  }
}

function joiningsOf(
  plan: Plan,
  shelf: Shelf,
  cups: readonly WorkedCup[],
  common: readonly CommonMix[]
): Joining[] {
  const from = (path: string, name: string, mix: CommonMix | CupMix): Joining => ({
    path,
    name,
    grams: (key) => mix.weighings.find((w) => w.key === key && w.kind === 'part')?.weight ?? 0,
    exactWater: mix.weighings.find((w) => w.key === 'water')?.exact ?? 0,
    carriedWater: mix.weighings.reduce((s, w) => {
      const colourant = shelf.colourants.find((c) => c.id === w.colourantId);
      return colourant?.carrier === 'water' ? s + (w.supplied ?? 0) * (1 - colourant.pigmentFraction) : s;
    }, 0)
  });
  if (common.length) return common.map((m) => from('plan/cups', 'the mix', m));
  return cups.flatMap(({ cup, mixes }) => {
    const index = plan.cups.indexOf(cup);
    return mixes
      .slice(0, 1)
      .flatMap((m) => (m.balance.pouredMl > 0 ? [from(`plan/cups/${index}`, cup.name, m)] : []));
  });
}

/** Water to cement above which concrete is weak and dusty, and below which it does not flow. Typical of casting mixes. */
const WC = { least: 0.3, most: 0.5 };

function concreteFacts(base: Extract<Base, { kind: 'concrete' }>, joinings: readonly Joining[]) {
  const facts: CraftFact[] = [];
  const problems: Problem[] = [];
  for (const j of joinings) {
    const wc = waterCementOf(base, j.grams, j.carriedWater);
    const ten = waterCementOf(base, j.grams, j.carriedWater + 10);
    if (wc === undefined || ten === undefined) continue;
    facts.push({
      label: `water / cement, ${j.name}`,
      value: `${wc.toFixed(3)} · 10 ml more: ${ten.toFixed(3)}`
    });
    if (wc > WC.most || wc < WC.least)
      problems.push({
        code: 'water-cement',
        level: 'warn',
        path: j.path,
        sentence: `${j.name} has a water/cement ratio of ${wc.toFixed(2)}; ${wc > WC.most ? `over ${WC.most} it is weak and dusts` : `under ${WC.least} it hardly flows`}.`,
        mend: wc > WC.most ? 'Take water out and use plasticiser for flow.' : 'Add plasticiser before water.'
      });
  }
  if (base.plasticiser > 0)
    facts.push({ label: 'too stiff?', value: `plasticiser first, up to 1.5 % of the cement; water last` });
  return { facts, problems };
}

function soapFacts(
  plan: Plan,
  base: Extract<Base, { kind: 'soap' }>,
  joinings: readonly Joining[],
  filled: readonly FilledGroup[]
) {
  const facts = joinings.map((j): CraftFact => {
    const superfat = superfatOf(
      base,
      [...base.oils.map((_, i) => `oil-${i + 1}`), 'naoh'].map((key) => ({ key, weight: j.grams(key) }))
    );
    return {
      label: `lye, ${j.name}`,
      value: `${j.grams('naoh')} g in ${j.grams('water')} g water · superfat ${(superfat * 100).toFixed(1)} %`
    };
  });
  const problems: Problem[] = [];
  const fat = settingFat(base, plan.roomCelsius);
  const layers = Math.max(0, ...filled.map((f) => f.layers.length));
  if (fat && layers > 1)
    problems.push({
      code: 'fats-may-set',
      level: 'note',
      path: 'plan/roomCelsius',
      sentence: `At ${plan.roomCelsius} °C ${fat.name} (melts at ${fat.melts} °C) may set in a waiting cup and pass for trace.`,
      mend: `Work oils and lye at about ${fat.melts + 5} °C; a cup that stiffens early is rewarmed gently to that, not blended.`
    });
  if (plan.mixing !== 'split' && plan.cups.length > 2 && joinings.some((j) => j.grams('naoh') < 10))
    problems.push({
      code: 'soap-school',
      level: 'note',
      path: 'plan/mixing',
      sentence: `Fresh small batches: the least lye here is ${Math.min(...joinings.map((j) => j.grams('naoh')))} g, where a slip of the scale moves the superfat.`,
      mend: 'Split one batch inside its trace instead',
      edit: { path: ['mixing'], value: 'split' }
    });
  return { facts, problems };
}

function plastisolFacts(
  plan: Plan,
  shelf: Shelf,
  base: Extract<Base, { kind: 'melt and pour' | 'plastisol' }>,
  filled: readonly FilledGroup[]
) {
  const facts: CraftFact[] = [];
  const problems: Problem[] = [];
  for (const f of filled.filter((x) => base.injector && x.layers.length)) {
    const each = Math.max(...f.layers.map((l) => l.each));
    const shots = shotsFor(base.injector!, each, f.group.count);
    facts.push({
      label: `shots, ${f.group.name}`,
      value: Number.isFinite(shots.fillings)
        ? `${shots.each.toFixed(1)} ml each · ${shots.perFilling} a filling · ${shots.fillings - 1} refills`
        : `${shots.each.toFixed(1)} ml each`
    });
    if (!Number.isFinite(shots.fillings))
      problems.push({
        code: 'injector-too-small',
        level: 'stop',
        path: `plan/groups/${plan.groups.findIndex((g) => g.id === f.group.id)}`,
        sentence: `One shot of ${shots.each.toFixed(1)} ml is more than the injector gives (${(base.injector!.ml - base.injector!.dead).toFixed(0)} ml).`,
        mend: 'Use a larger injector, or pour by hand.'
      });
    const mould = shelf.moulds.find((m) => m.id === f.group.mouldId);
    if (mould?.material === 'aluminium')
      facts.push({ label: 'first shot', value: 'a cold metal mould takes it badly: remelt and shoot again' });
  }
  const limit = base.reheatLimit ?? REHEAT_LIMIT;
  const reheats = plan.reheats ?? 0;
  facts.push({
    label: 'heated',
    value: `${reheats} of ${limit} times · ${base.heatTo} °C, never past ${base.neverPast} °C`
  });
  if (reheats >= limit)
    problems.push({
      code: 'reheated-too-often',
      level: 'warn',
      path: 'plan/reheats',
      sentence: `This plastisol has been heated ${reheats} times; its card allows ${limit}.`,
      mend: 'Start from fresh material; use this for pieces nobody sees.'
    });
  return { facts, problems };
}

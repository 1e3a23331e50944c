import { REHEAT_LIMIT, settingFat, shotsFor, superfatOf, waterCementOf, type Base } from '../material';
import type { Found } from '../problem';
import type { FilledStrand } from './fill';
import { splitAll } from './mixing';
import type { ResolvedMix, ResolvedPlan } from './resolve';
import type { CommonMix, CupMix, WorkedCups } from './worked';

/** A figure of the craft that a maker looks for beside the grams. */
export interface CraftFact {
  label: string;
  value: string;
}

/** What one joining of parts comes to, for materials that are judged by more than a ratio. */
interface Joining {
  path: string;
  name: string;
  /** Split into cups, or one cup of its own. */
  split: boolean;
  grams: (key: string) => number;
  /** Water that colourants bring on top or in place of mix water, g. */
  carriedWater: number;
}

/** All that is poured of one base. */
interface OfBase<B extends Base = Base> {
  plan: ResolvedPlan;
  base: B;
  mixes: ResolvedMix[];
  joinings: Joining[];
  filled: FilledStrand[];
}

type Craft = { facts: CraftFact[]; problems: Found[] };

/** The figures of the craft, base by base: water to cement, superfat as weighed, shots; and what is wrong with them. */
export function craftOf(plan: ResolvedPlan, worked: WorkedCups, filled: readonly FilledStrand[]): Craft {
  const bases = new Map([...plan.mixes.values()].map((m) => [m.base.id, m.base]));
  const made = [...bases.values()].map((base) => {
    const mixes = [...plan.mixes.values()].filter((m) => m.base.id === base.id);
    const joinings = mixes.flatMap((m) => joiningsOf(plan, worked, m));
    return craftOfBase({ plan, base, mixes, joinings, filled: filled.filter((f) => holds(plan, f, base)) });
  });
  return { facts: made.flatMap((m) => m.facts), problems: made.flatMap((m) => m.problems) };
}

const holds = ({ cupOf }: ResolvedPlan, { pours }: FilledStrand, base: Base) =>
  pours.some((p) => cupOf.get(p.cupId)?.mix?.base.id === base.id);

function craftOfBase(of: OfBase): Craft {
  switch (of.base.kind) {
    case 'concrete':
      return concreteFacts(of as OfBase<Extract<Base, { kind: 'concrete' }>>);
    case 'soap':
      return soapFacts(of as OfBase<Extract<Base, { kind: 'soap' }>>);
    case 'plastisol':
      return plastisolFacts(of as OfBase<Extract<Base, { kind: 'melt and pour' | 'plastisol' }>>);
    default:
      return { facts: [], problems: [] };
  }
}

/** What is joined of a mix: its pots where it is split, otherwise the first mix of each cup that pours. */
function joiningsOf(plan: ResolvedPlan, worked: WorkedCups, { mix }: ResolvedMix): Joining[] {
  const from = (path: string, name: string, m: CommonMix | CupMix): Joining => ({
    path,
    name,
    split: mix.feeds === 'split',
    grams: (key) => m.weighings.find((w) => w.key === key && w.kind === 'part')?.weight ?? 0,
    carriedWater: m.weighings.reduce((s, w) => {
      const colourant = plan.colourants.get(w.colourantId ?? '');
      return colourant?.carrier === 'water' ? s + (w.supplied ?? 0) * (1 - colourant.pigmentFraction) : s;
    }, 0)
  });
  if (mix.feeds === 'split')
    return worked.common
      .filter((m) => m.of === mix.id)
      .map((m) => from(`plan/mixes/${mix.id}`, 'the mix', m));
  return worked.cups.flatMap(({ cup, mixes: [first] }) =>
    'mix' in cup.from && cup.from.mix === mix.id && first && first.balance.pouredMl > 0
      ? [from(`plan/cups/${cup.id}`, cup.name, first)]
      : []
  );
}

/** Water to cement above which concrete is weak and dusty, and below which it does not flow. Typical of casting mixes. */
const WC = { least: 0.3, most: 0.5 };

function concreteFacts({ base, joinings }: OfBase<Extract<Base, { kind: 'concrete' }>>): Craft {
  const facts: CraftFact[] = [];
  const problems: Found[] = [];
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

function soapFacts({ plan, base, joinings, filled }: OfBase<Extract<Base, { kind: 'soap' }>>): Craft {
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
  const problems: Found[] = [];
  const { roomCelsius } = plan.plan.bench;
  const fat = settingFat(base, roomCelsius);
  const layers = Math.max(0, ...filled.map((f) => f.layers.length));
  if (fat && layers > 1)
    problems.push({
      code: 'fats-may-set',
      level: 'note',
      path: 'plan/bench/roomCelsius',
      sentence: `At ${roomCelsius} °C ${fat.name} (melts at ${fat.melts} °C) may set in a waiting cup and pass for trace.`,
      mend: `Work oils and lye at about ${fat.melts + 5} °C; a cup that stiffens early is rewarmed gently to that, not blended.`
    });
  const small = joinings.filter((j) => !j.split);
  const cups = plan.cups.filter((c) => c.mix?.base.id === base.id && c.mix.mix.feeds === 'one cup');
  if (cups.length > 2 && small.some((j) => j.grams('naoh') < LITTLE_LYE))
    problems.push({
      code: 'soap-school',
      level: 'note',
      path: 'plan/mixes',
      sentence: `Fresh small batches: the least lye here is ${Math.min(...small.map((j) => j.grams('naoh')))} g, where a slip of the scale moves the superfat.`,
      mend: 'Make a bigger batch, or use a finer scale.',
      tries: [
        {
          words: 'Split one batch inside its trace instead',
          edit: { path: [], value: splitAll(plan.plan, base.id) }
        }
      ]
    });
  return { facts, problems };
}

/** Lye, g, under which a slip of a bench scale moves the superfat by a point or so. */
const LITTLE_LYE = 10;

function plastisolFacts(of: OfBase<Extract<Base, { kind: 'melt and pour' | 'plastisol' }>>): Craft {
  const { base, mixes } = of;
  const shots = of.filled.map((f) => shotFacts(base, f));
  const limit = base.reheatLimit ?? REHEAT_LIMIT;
  const reheats = Math.max(0, ...mixes.map((m) => m.mix.reheats ?? 0));
  const facts = shots.flatMap((s) => s.facts);
  const problems = shots.flatMap((s) => s.problems);
  facts.push({
    label: 'heated',
    value: `${reheats} of ${limit} times · ${base.heatTo} °C, never past ${base.neverPast} °C`
  });
  if (reheats >= limit)
    problems.push({
      code: 'reheated-too-often',
      level: 'warn',
      path: `plan/mixes/${mixes.find((m) => m.mix.reheats === reheats)?.mix.id ?? ''}/reheats`,
      sentence: `This plastisol has been heated ${reheats} times; its card allows ${limit}.`,
      mend: 'Start from fresh material; use this for pieces nobody sees.'
    });
  return { facts, problems };
}

/** What an injector makes of one group: shots, refills, and the first one into cold metal. */
function shotFacts(base: Extract<Base, { kind: 'melt and pour' | 'plastisol' }>, f: FilledStrand): Craft {
  const { injector } = base;
  if (!injector || !f.layers.length) return { facts: [], problems: [] };
  const facts: CraftFact[] = [];
  const problems: Found[] = [];
  const shots = shotsFor(injector, Math.max(...f.layers.map((l) => l.each)), f.strand.count);
  const whole = Number.isFinite(shots.fillings);
  facts.push({
    label: `shots, ${f.strand.name}`,
    value: whole
      ? `${shots.each.toFixed(1)} ml each · ${shots.perFilling} a filling · ${shots.fillings - 1} refills`
      : `${shots.each.toFixed(1)} ml each`
  });
  if (!whole)
    problems.push({
      code: 'injector-too-small',
      level: 'stop',
      path: `plan/groups/${f.strand.group.id}`,
      sentence: `One shot of ${shots.each.toFixed(1)} ml is more than the injector gives (${(injector.ml - injector.dead).toFixed(0)} ml).`,
      mend: 'Use a larger injector, or pour by hand.'
    });
  if (f.strand.mould.material === 'aluminium')
    facts.push({ label: 'first shot', value: 'a cold metal mould takes it badly: remelt and shoot again' });
  return { facts, problems };
}

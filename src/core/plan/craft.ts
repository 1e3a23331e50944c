import { REHEAT_LIMIT, settingFat, shotsFor, superfatOf, waterCementOf, type Base } from '../material';
import { PORTION } from '../batch';
import type { Found } from '../problem';
import type { FilledStrand } from './fill';
import { splitAll } from '../document/mixing';
import type { ResolvedMix, ResolvedPlan } from './resolve';
import { gramsIn, type CommonMix, type CupMix, type WorkedCups } from './weighing/weighed';

/** A figure of the craft that a maker looks for beside the grams. */
export interface CraftFact {
  label: string;
  value: string;
}

/** What one cup or pot comes to, for materials that are judged by more than a ratio. */
interface Joining {
  path: string;
  name: string;
  /** A pot that cups are split from, a cup split from it, or a cup of its own. */
  is: 'pot' | 'portion' | 'own';
  /** On the scale, g. */
  weighed: (key: string) => number;
  /** Really in it, carriers and let-downs counted, g. */
  held: (key: string) => number;
}

/** All that is poured of one base. */
interface OfBase<B extends Base = Base> {
  plan: ResolvedPlan;
  base: B;
  mixes: ResolvedMix[];
  joinings: Joining[];
  filled: FilledStrand[];
}

type SoapBase = Extract<Base, { kind: 'soap' }>;
type Craft = { facts: CraftFact[]; problems: Found[] };

/** The figures of the craft, base by base: water to cement, superfat as weighed, shots; and what is wrong with them. */
export function craftOf(plan: ResolvedPlan, worked: WorkedCups, filled: readonly FilledStrand[]): Craft {
  const bases = new Map([...plan.mixes.values()].map((m) => [m.base.id, m.base]));
  const made = [...bases.values()].map((base) => {
    const mixes = [...plan.mixes.values()].filter((m) => m.base.id === base.id);
    const joinings = mixes.flatMap((m) => joiningsOf(worked, m));
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
      return soapFacts(of as OfBase<SoapBase>);
    case 'gypsum':
      return gypsumFacts(of);
    case 'plastisol':
      return plastisolFacts(of as OfBase<Extract<Base, { kind: 'melt and pour' | 'plastisol' }>>);
    default:
      return { facts: [], problems: [] };
  }
}

/**
 * What is joined of a mix: each cup that pours, in its first mix; where it is split, its pot, and those of its cups
 * in which colourants shift the pot's figures.
 */
function joiningsOf(worked: WorkedCups, { mix, formula }: ResolvedMix): Joining[] {
  const split = mix.feeds === 'split';
  const pots = worked.common
    .filter((m) => m.of === mix.id && m.turn === 1)
    .map((m) => joining(`plan/mixes/${mix.id}`, 'the mix', 'pot', m));
  const cups = worked.cups.flatMap(({ cup, mixes }) => {
    const first = mixes.find((m) => m.balance.pouredMl > 0);
    if (!('mix' in cup.from) || cup.from.mix !== mix.id || !first) return [];
    if (split && !bringsParts(first, formula)) return [];
    return [joining(`plan/cups/${cup.id}`, cup.name, split ? 'portion' : 'own', first)];
  });
  return [...pots, ...cups];
}

const joining = (path: string, name: string, is: Joining['is'], m: CommonMix | CupMix): Joining => ({
  path,
  name,
  is,
  weighed: (key) => m.weighings.find((w) => w.key === key && w.kind === 'part')?.weight ?? 0,
  held: gramsIn(m.held)
});

/** Whether more of the recipe's parts is in a portion than it took from its pot. */
function bringsParts({ held, weighings }: CupMix, { parts }: ResolvedMix['formula']): boolean {
  const inAll = held.reduce((s, p) => s + p.grams, 0);
  return parts.length > 1 && inAll > (weighings.find((w) => w.key === PORTION)?.weight ?? 0) + 1e-9;
}

/** Water to cement above which concrete is weak and dusty, and below which it does not flow. Typical of casting mixes. */
const WC = { least: 0.3, most: 0.5 };

/** How far ten millilitres of water move it: what a maker wants to know before reaching for the jug, g. */
const A_SPLASH = 10;

function concreteFacts({ base, joinings }: OfBase<Extract<Base, { kind: 'concrete' }>>): Craft {
  const facts: CraftFact[] = [];
  const problems: Found[] = [];
  for (const j of joinings) {
    const wc = waterCementOf(base, j.held);
    const ten = waterCementOf(base, (key) => j.held(key) + (key === 'water' ? A_SPLASH : 0));
    if (wc === undefined || ten === undefined) continue;
    facts.push({
      label: `water / cement, ${j.name}`,
      value: `${wc.toFixed(3)} · ${A_SPLASH} ml more: ${ten.toFixed(3)}`
    });
    if (j.is !== 'portion' && (wc > WC.most || wc < WC.least))
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

function gypsumFacts({ joinings }: OfBase): Craft {
  const facts = joinings.flatMap((j): CraftFact[] => {
    const [liquid, powder] = [j.held('liquid'), j.held('powder')];
    return liquid > 0
      ? [{ label: `liquid : powder, ${j.name}`, value: `1 : ${(powder / liquid).toFixed(2)}` }]
      : [];
  });
  return { facts, problems: [] };
}

const superfatWords = (base: SoapBase, j: Joining) =>
  `superfat ${(superfatOf(base, j.held) * 100).toFixed(1)} %`;

function soapFacts({ plan, base, joinings, filled }: OfBase<SoapBase>): Craft {
  const facts = joinings.map((j): CraftFact =>
    j.is === 'portion'
      ? { label: `with its colour, ${j.name}`, value: superfatWords(base, j) }
      : {
          label: `lye, ${j.name}`,
          value: `${j.weighed('naoh')} g in ${j.weighed('water')} g water · ${superfatWords(base, j)}`
        }
  );
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
  const small = joinings.filter((j) => j.is === 'own');
  const cups = plan.cups.filter((c) => c.mix?.base.id === base.id && c.mix.mix.feeds === 'one cup');
  if (cups.length > 2 && small.some((j) => j.weighed('naoh') < LITTLE_LYE))
    problems.push({
      code: 'soap-school',
      level: 'note',
      path: 'plan/mixes',
      sentence: `Fresh small batches: the least lye here is ${Math.min(...small.map((j) => j.weighed('naoh')))} g, where a slip of the scale moves the superfat.`,
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
  const limit = base.reheatLimit ?? REHEAT_LIMIT;
  const reheats = Math.max(0, ...mixes.map((m) => m.mix.reheats ?? 0));
  const facts = of.filled.flatMap((f) => shotFacts(base, f));
  const problems: Found[] = [];
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
function shotFacts(
  base: Extract<Base, { kind: 'melt and pour' | 'plastisol' }>,
  f: FilledStrand
): CraftFact[] {
  const { injector } = base;
  if (!injector || !f.layers.length) return [];
  const facts: CraftFact[] = [];
  const shots = shotsFor(injector, Math.max(...f.layers.map((l) => l.each)), f.strand.count);
  const whole = Number.isFinite(shots.fillings);
  facts.push({
    label: `shots, ${f.strand.name}`,
    value: whole
      ? `${shots.each.toFixed(1)} ml each · ${shots.perFilling} a filling · ${shots.fillings - 1} refills`
      : `${shots.each.toFixed(1)} ml each`
  });
  if (f.strand.mould.material === 'aluminium')
    facts.push({ label: 'first shot', value: 'a cold metal mould takes it badly: remelt and shoot again' });
  return facts;
}

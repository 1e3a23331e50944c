import { roomFrom } from '../cure';
import type { Diagnostic } from '../problem';
import { zeroWords } from '../pour/gates';
import { gateWait, lateness, namesOf, zeroOf } from './gate';
import { duration } from '../quantity';
import { holdId, isSplitMix } from './ids';
import type { Playing, CavitySetTime } from './playing';
import { demouldClash, pastWindow } from './problems';
import type { Block, PourWindow, Score, Sitting } from './score';
import type { SequenceItem } from './sequence';
import type { Indexed, MixMaterial, TimedMix, TimedStep } from './timing';

/** Hands' time for one weighing, minutes: set down, pour, read. A starting figure for a practised hand. */
export const WEIGHING_MINUTES = 0.5;
/** Colouring a cup that is split from a common mix: a short stir after its colour is in, minutes. */
export const COLOUR_STIR_MINUTES = 0.5;
/** Pouring one cup into another, minutes. */
const FILL_MINUTES = 0.5;

/**
 * Lays a sequence out for one pair of hands: a gate waits until it opens, then the next mix is weighed, stirred and
 * poured. Estimates follow each mix's mass, each layer's depth and the room's temperature.
 */
export function scoreOf(
  sequence: readonly SequenceItem[],
  timing: Indexed
): Score & { problems: Diagnostic[] } {
  const p: Playing = {
    timing,
    score: { blocks: [], windows: [], gates: [], demould: [], sittings: [], ends: 0, done: 0 },
    problems: [],
    now: 0,
    windows: new Map(),
    cups: new Map(),
    splitMixes: new Map(),
    cavitySets: new Map(),
    steps: new Map(),
    late: new Set(),
    demoulded: new Map(),
    allPoured: false,
    stretches: []
  };
  const last = sequence.findLastIndex((item) => item.kind === 'pour');
  sequence.forEach((item, i) => {
    p.allPoured = i > last;
    const played = p.score.blocks.length;
    playItem(p, item);
    sat(p, i, played);
  });
  demoulds(p);
  p.score.ends = p.poured ?? p.now;
  p.score.done = p.now;
  p.score.sittings = sittingsOf(p);
  return { ...p.score, problems: p.problems };
}

/** So long away from the bench that all is set up anew, minutes. A starting figure. */
const AWAY = 240;

/** Counts an item’s work to the stretch that goes on, or begins another one after hours away with nothing open. */
function sat({ score, windows, stretches }: Playing, item: number, played: number): void {
  for (const b of score.blocks.slice(played)) {
    if (b.unattended) continue;
    const last = stretches.at(-1);
    const after = last ? b.from - last.to : 0;
    const open = [...windows.values()].some((w) => w.from < b.from && w.to > b.from);
    const mixes = b.act !== 'do';
    if (!last || (after > AWAY && !open)) stretches.push({ from: b.from, to: b.to, after, item, mixes });
    else Object.assign(last, { to: Math.max(last.to, b.to), mixes: last.mixes || mixes });
  }
}

/** Stretches in which something is mixed or poured; what is only done to a finished piece is no sitting. */
const sittingsOf = (p: Playing): Sitting[] =>
  p.stretches.filter((s, i) => !i || s.mixes).map(({ mixes: _, ...sitting }) => sitting);

function playItem(p: Playing, item: SequenceItem): void {
  switch (item.kind) {
    case 'mix':
      return isSplitMix(item.cupId) ? makePot(p, item.mixId) : makeCup(p, item.mixId);
    case 'fill':
      return fillCup(p, item.mixId);
    case 'pour':
      return pour(p, item);
    case 'gate':
      return waitAt(p, item);
    case 'hold':
      return holdBack(p, item);
    case 'do':
      return doStep(p, item.stepId);
  }
}

function block(p: Playing, b: Omit<Block, 'from' | 'to' | 'id'>, minutes: number): void {
  if (minutes <= 0) return;
  p.score.blocks.push({ ...b, id: `${b.act}:${p.score.blocks.length}`, from: p.now, to: p.now + minutes });
  p.now += minutes;
}

/** Something that takes no time is a mark all the same. */
const moment = (p: Playing, b: Omit<Block, 'from' | 'to' | 'id'>): void =>
  void p.score.blocks.push({ ...b, id: `${b.act}:${p.score.blocks.length}`, from: p.now, to: p.now });

/** How many weighings come before the clock starts, that one counted. */
const untilMet = (mix: TimedMix) => mix.weighings.findIndex((w) => w.key === mix.material.clockPart) + 1;

/** How long a mix takes until its parts meet: what is weighed, and what is heated, turned dry or joined in between, minutes. */
function minutesUntilMet(mix: TimedMix): number {
  const between = mix.material.between ?? [];
  const joins = between.findIndex((s) => s.joins);
  const before = joins < 0 ? between : between.slice(0, joins + 1);
  return (
    untilMet(mix) * WEIGHING_MINUTES +
    before.reduce((s, { attended, unattended }) => s + attended + unattended, 0)
  );
}

/** Weighs, colours and stirs a mix of its own; says when its parts met. */
function mixed(p: Playing, mix: TimedMix): number {
  const { cupId } = mix;
  const met = untilMet(mix);
  const zero = metAt(p, mix, met);
  block(p, { act: 'weigh', cupId, label: 'colour' }, (mix.weighings.length - met) * WEIGHING_MINUTES);
  block(p, { act: 'stir', cupId, label: 'stir' }, mix.material.stirMinutes);
  return zero;
}

/** Weighs up to the part that the clock waits for, with what is done in between; says when the parts met. */
function metAt(p: Playing, { cupId, name, weighings, material }: TimedMix, met: number): number {
  let weighed = 0;
  let zero: number | undefined;
  const weighUpTo = (n: number) => {
    block(p, { act: 'weigh', cupId, label: `weigh ${name}` }, (n - weighed) * WEIGHING_MINUTES);
    weighed = n;
  };
  for (const step of material.between ?? []) {
    weighUpTo(weighings.findIndex((w) => w.key === step.after) + 1);
    const made = { act: 'make' as const, cupId, label: `${step.act.toLowerCase()} ${step.rest}` };
    block(p, made, step.attended);
    block(p, { ...made, unattended: true }, step.unattended);
    if (step.joins) zero = p.now;
  }
  weighUpTo(Math.max(met, weighed));
  return zero ?? p.now;
}

function makePot(p: Playing, mixId: string): void {
  const mix = p.timing.mixes.get(mixId);
  if (mix) p.splitMixes.set(mixId, { zero: mixed(p, mix), mixed: mix.mixed });
}

function makeCup(p: Playing, mixId: string): void {
  const mix = p.timing.mixes.get(mixId);
  if (!mix) return;
  const splitMix = mix.portionOf === undefined ? undefined : p.splitMixes.get(mix.portionOf);
  if (!splitMix) {
    const zero = mixed(p, mix);
    open(p, mix, zero, mix.mixed);
    return;
  }
  const { cupId } = mix;
  block(p, { act: 'weigh', cupId, label: `colour ${mix.name}` }, mix.weighings.length * WEIGHING_MINUTES);
  block(p, { act: 'stir', cupId, label: 'stir' }, COLOUR_STIR_MINUTES);
  open(p, mix, splitMix.zero, splitMix.mixed);
}

/** A cup's window opens now: it closes by its mass, and by the clock of what it came from. */
function open(p: Playing, mix: TimedMix, zero: number, mass: number): void {
  const { behaviour } = mix.material;
  const window = {
    cupId: mix.cupId,
    mixId: mix.mixId,
    zero,
    from: p.now,
    to: zero + behaviour.pourUntil(mass, roomFrom(p.timing.room, zero)),
    gels: zero + behaviour.goneBy(mass, roomFrom(p.timing.room, zero))
  };
  opened(p, mix, window, mass);
}

function opened(p: Playing, mix: TimedMix, window: PourWindow, mass: number): void {
  p.windows.set(mix.mixId, window);
  p.cups.set(mix.cupId, { window, mass, coloured: p.now, material: mix.material });
  p.score.windows.push(window);
}

/** A cup of cups lasts as long as the first of them that goes off. */
function fillCup(p: Playing, mixId: string): void {
  const mix = p.timing.mixes.get(mixId);
  const from = (mix?.filledFrom ?? []).flatMap((id) => p.windows.get(id) ?? []);
  if (!mix || !from.length) return;
  block(p, { act: 'fill', cupId: mix.cupId, label: `fill ${mix.name}` }, from.length * FILL_MINUTES);
  const drops = mix.weighings.length * WEIGHING_MINUTES;
  block(p, { act: 'weigh', cupId: mix.cupId, label: `drip onto ${mix.name}` }, drops);
  const least = (key: 'zero' | 'to' | 'gels') => Math.min(...from.map((w) => w[key]));
  const window = {
    cupId: mix.cupId,
    mixId,
    zero: least('zero'),
    from: p.now,
    to: least('to'),
    gels: least('gels')
  };
  opened(p, mix, window, mix.mixed);
}

function pour(p: Playing, item: Extract<SequenceItem, { kind: 'pour' }>): void {
  const own = p.timing.pours.get(item.pourId);
  const window = p.windows.get(item.mixId);
  const mix = p.timing.mixes.get(item.mixId);
  if (!own || !window || !mix) return;
  const { stepId, cupId, mixId, cavitySetId } = item;
  const groupId = groupOf(p, cavitySetId);
  // What may be used until it sets has that for its window.
  if (own.untilSet) window.to = Math.max(window.to, window.gels);
  const rounds = item.round?.of ?? 1;
  block(
    p,
    { act: 'pour', cupId, mixId, groupId, stepId, label: mix.name },
    own.attended(item.count) / rounds
  );
  if (p.now > window.to + 1e-9 && !p.late.has(stepId)) {
    p.late.add(stepId);
    p.problems.push(pastWindow(mix.name, window, p.now, stepId));
  }
  p.steps.set(stepId, p.now);
  settle(p, { cavitySetId, stepId }, own.depth, mix.material);
}

const groupOf = (p: Playing, cavitySetId: string) =>
  p.timing.cavitySets.find((s) => s.id === cavitySetId)?.groupId ?? cavitySetId;

/** Something new lies in a cavity set: its age begins, and its way to firm. */
function settle(
  p: Playing,
  { cavitySetId, stepId }: { cavitySetId: string; stepId: string },
  depth: number,
  material: MixMaterial
): void {
  const before = p.cavitySets.get(cavitySetId);
  const at = p.now;
  // The data sheet's hours are the floor; a thin layer in a cool room may need longer.
  const firm = Math.max(
    at + material.behaviour.layerFirm(depth, roomFrom(p.timing.room, at)),
    at + material.demouldHours.from * 60,
    before?.firm ?? 0
  );
  const late = at + material.demouldHours.to * 60;
  const hours = material.fullCureHours;
  // A layer more of the same material takes the late edge along; another material keeps its own.
  const other = before && before.material.baseId !== material.baseId ? before.late : Infinity;
  p.cavitySets.set(cavitySetId, {
    // The first casting is poured up once its last step is done there, however many layers came before.
    first: before?.steps.get(stepId) ?? at,
    steps: new Map([[stepId, at], ...(before?.steps ?? [])]),
    at,
    depth,
    material,
    firm,
    late: Math.min(late, other),
    ...(hours === undefined ? {} : { cured: Math.max(at + hours * 60, before?.cured ?? 0) }),
    ...(before?.out ? { out: before.out } : {})
  });
}

function waitAt(p: Playing, item: Extract<SequenceItem, { kind: 'gate' }>): void {
  const step = p.timing.steps.find((s) => s.id === item.stepId);
  const gate = step?.gates.find((g) => g.id === item.gateId);
  if (!step || !gate) return;
  const { wait, problems } = gateWait(p, step, gate);
  p.problems.push(...problems);
  if (step.after && p.allPoured) p.poured ??= p.now;
  if (!wait) return;
  const groupId = groupOf(p, step.cavitySetIds[0] ?? '');
  p.score.gates.push({ ...wait, gateId: gate.id, stepId: step.id, turn: item.turn, groupId, from: p.now });
  p.now = Math.max(p.now, wait.opens);
  p.problems.push(...lateness(p, step, gate));
}

/** Holds a mix back until another has stood so long, or a step was done so long ago, less what is weighed before its parts meet. */
function holdBack(p: Playing, item: Extract<SequenceItem, { kind: 'hold' }>): void {
  const { after } = item;
  const zero = 'mixMet' in after ? p.windows.get(after.mixMet)?.zero : zeroOf(p, after);
  const mix = p.timing.mixes.get(item.mixId);
  if (zero === undefined || !mix) return;
  const minutes = item.minutes - minutesUntilMet(mix);
  const opens = zero + minutes;
  // The hands were busy for longer: it waits for nothing.
  if (opens <= p.now) return;
  const words =
    'mixMet' in after
      ? `${p.timing.mixes.get(after.mixMet)!.name} has stood ${duration(minutes)}`
      : `${duration(minutes)} after ${zeroWords(after, namesOf(p))}`;
  p.score.gates.push({
    gateId: holdId(item.mixId),
    stepId: item.stepId,
    turn: 1,
    groupId: '',
    cupId: item.cupId,
    state: words,
    from: p.now,
    opens,
    minutes,
    conditions: [{ words, minutes }],
    reckoned: 'estimate'
  });
  p.now = opens;
}

function doStep(p: Playing, stepId: string): void {
  const step = p.timing.steps.find((s) => s.id === stepId);
  if (!step) return;
  const groupId = step.cavitySetIds.length ? { groupId: groupOf(p, step.cavitySetIds[0]!) } : {};
  const common = { act: 'do' as const, cupId: '', stepId, label: step.line, ...groupId };
  if (step.after && p.allPoured) p.poured ??= p.now;
  if (step.demoulds) p.now = Math.max(p.now, firmIn(p, step));
  block(p, common, step.attended);
  block(p, { ...common, unattended: true }, step.unattended);
  if (step.attended + step.unattended <= 0) moment(p, common);
  p.steps.set(stepId, p.now);
  if (step.demoulds) for (const id of step.cavitySetIds) leaves(p, id);
}

/** A cavity set is out of its mould: its window is what it was by then. */
function leaves(p: Playing, cavitySetId: string): void {
  p.demoulded.set(groupOf(p, cavitySetId), p.now);
  const own = p.cavitySets.get(cavitySetId);
  if (!own) return;
  const { at, firm, late } = own;
  p.cavitySets.set(cavitySetId, { ...own, out: own.out ?? { at, firm, late } });
}

/** When everything in a step's cavities may be handled. */
const firmIn = (p: Playing, { cavitySetIds }: TimedStep): number =>
  Math.max(0, ...cavitySetIds.map((id) => p.cavitySets.get(id)?.firm ?? 0));

/** When each group may leave its mould: all of its cavity sets firm, and the earliest late edge of any. */
function demoulds(p: Playing): void {
  const groups = new Map<string, CavitySetTime[]>();
  for (const { id, groupId } of p.timing.cavitySets) {
    const time = p.cavitySets.get(id);
    if (time) groups.set(groupId, [...(groups.get(groupId) ?? []), time]);
  }
  for (const [groupId, times] of groups) {
    const inMould = times.map((t) => ({ ...t, ...t.out }));
    const last = inMould.reduce((a, b) => (b.at > a.at ? b : a));
    const first = Math.min(...times.map((t) => t.first));
    const from = Math.max(...inMould.map((t) => t.firm));
    const to = Math.max(from, Math.min(...inMould.map((t) => t.late)));
    const cured = times.flatMap((t) => t.cured ?? []);
    p.score.demould.push({
      groupId,
      lastPour: last.at,
      from,
      to,
      ...(cured.length ? { cured: Math.max(...cured) } : {})
    });
    const over = last.at - first - last.material.demouldHours.to * 60;
    const name = p.timing.cavitySets.find((s) => s.groupId === groupId)!.name;
    if (over > 0) p.problems.push(demouldClash(name, groupId, over));
  }
}

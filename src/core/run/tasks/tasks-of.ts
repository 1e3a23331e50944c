import { PORTION, type PlannedLetDown, type Weighing } from '../../batch';
import { creepSteps } from '../../dosing';
import type { Computed } from '../../plan/computed';
import type { Plan } from '../../document';
import { acts } from '../../pour';
import { lotsOf, stockOfWeighing } from '../../order/needs';
import { COLOUR_STIR_MINUTES, holdId, jarId, turnId, type SequenceItem } from '../../schedule';
import { checksAgain, checksOf } from './checks';
import type { PourTask, Task, WeighTask } from './task';

type Item<K extends SequenceItem['kind']> = Extract<SequenceItem, { kind: K }>;

/** The tasks of a plan, in the order its score plays them, and demoulding at the end. */
export function tasksOf(plan: Plan, computed: Computed): Task[] {
  const poured = new Map<string, number>();
  const sittings = new Map(computed.score.sittings.slice(1).map((s, i) => [s.item, { ...s, nth: i + 2 }]));
  const tasks = computed.sequence.flatMap((item, i): Task[] => {
    const sitting = sittings.get(i);
    const again = sitting ? [prepareAgain(plan, computed, sitting)] : [];
    return [...again, ...tasksFor(plan, computed, item, poured)];
  });
  // What the plan does not take out of its mould itself is taken out at the end.
  const told = new Set(tasks.flatMap((t) => (t.kind === 'demould' ? [t.groupId] : [])));
  const demoulds = computed.score.demould
    .filter((d) => !told.has(d.groupId))
    .flatMap((d) => demouldTask(computed, d.groupId));
  const jars = computed.letDowns.flatMap((l, i) => letDownTasks(l, jarId(i + 1)));
  return [
    { id: 'prepare', kind: 'prepare', checks: checksOf(plan, computed) },
    ...jars,
    ...tasks,
    ...demoulds
  ];
}

/** What one item of the order is in a run. @param poured how often each pour has come already */
function tasksFor(plan: Plan, computed: Computed, item: SequenceItem, poured: Map<string, number>): Task[] {
  switch (item.kind) {
    case 'mix':
      return mixTasks(plan, computed, item);
    case 'fill':
      return fillTask(plan, computed, item);
    case 'pour': {
      const turn = (poured.get(item.pourId) ?? 0) + 1;
      poured.set(item.pourId, turn);
      return pourTask(computed, item, turn);
    }
    case 'gate':
      return gateTask(plan, computed, item);
    case 'hold':
      return holdTask(computed, item);
    case 'do':
      return demouldsOf(plan, item).length
        ? demouldsOf(plan, item).flatMap((id) => demouldTask(computed, id, item.turn))
        : doTask(plan, computed, item);
  }
}

/** What is looked at before a later sitting. */
const prepareAgain = (
  plan: Plan,
  computed: Computed,
  { nth, after }: { nth: number; after: number }
): Task => ({
  id: `prepare~${nth}`,
  kind: 'prepare',
  sitting: nth,
  after: Math.round(after),
  checks: checksAgain(plan, computed, nth)
});

/** The groups that a step takes out of their moulds. */
function demouldsOf(plan: Plan, { stepId }: Item<'do'>): string[] {
  const step = plan.steps.find((s) => s.id === stepId);
  return step && acts.traits(step.act).includes('demoulds') ? step.where : [];
}

/** Castings of each turn of a pot leave their moulds by themselves, where more is poured onto them. */
function demouldTask(computed: Computed, groupId: string, turn = 1): Task[] {
  const window = computed.score.demould.find((d) => d.groupId === groupId);
  if (!window) return [];
  const { from, to, lastPour } = window;
  const id = `demould:${turnId(groupId, turn)}`;
  return [{ id, kind: 'demould', groupId, from: from - lastPour, to: to - lastPour }];
}

/** A let-down is weighed before any clock runs: its colourant, then the carrier, which follows what really went in. */
function letDownTasks(l: PlannedLetDown, jar: string): Task[] {
  const weigh = (key: string, name: string, grams: number, takes: string): WeighTask => ({
    id: `weigh:${jar}:${key}`,
    kind: 'weigh',
    cupId: jar,
    mixId: jar,
    key,
    name,
    part: true,
    grams,
    startsClock: false,
    scaleId: l.scaleId,
    division: l.division,
    takes: [{ key: takes, share: 1 }]
  });
  return [
    weigh('colourant', l.name, l.colourant, `colourant:${l.colourantId}`),
    weigh('carrier', l.carrierName, l.carrier, `part:${l.baseId}:${l.carrierKey}`)
  ];
}

/** A mix with what is weighed for it, wherever it stands in the result. */
interface Made {
  weighings: readonly Weighing[];
  baseId: string;
  portionOf?: string;
}

function madeOf(computed: Computed, mixId: string): Made | undefined {
  const splitMix = computed.common.find((m) => m.mixId === mixId);
  if (splitMix) return splitMix;
  for (const cup of computed.cups) {
    const mix = cup.mixes.find((m) => m.mixId === mixId);
    if (!mix) continue;
    const from = mix.weighings.some((w) => w.key === PORTION)
      ? computed.common.find((m) => m.turn === mix.turn && m.of === cup.mixOf)
      : undefined;
    return { weighings: mix.weighings, baseId: cup.baseId, ...(from ? { portionOf: from.mixId } : {}) };
  }
  return undefined;
}

function mixTasks(plan: Plan, computed: Computed, { mixId, cupId }: Item<'mix'>): Task[] {
  const made = madeOf(computed, mixId);
  if (!made) return [];
  const base = computed.bases.find((b) => b.baseId === made.baseId);
  const mixing = computed.cups.find((c) => c.cupId === cupId)?.mixing ?? 'full';
  return [
    ...made.weighings.flatMap((w) => [
      ...weighTasks(plan, computed, { mixId, cupId, made, w }),
      ...(made.portionOf === undefined ? (base?.between ?? []) : [])
        .filter((step) => step.after === w.key)
        .map((step) => makeTask(step, mixId, cupId))
    ]),
    {
      id: `stir:${mixId}`,
      kind: 'stir',
      cupId,
      mixId,
      minutes: made.portionOf === undefined ? (base?.stirMinutes ?? 0) : COLOUR_STIR_MINUTES,
      ...(mixing === 'full' ? {} : { mixing })
    }
  ];
}

/** What is done between two weighings of a mix. */
const makeTask = (
  { id, after: _, joins, ...step }: NonNullable<Computed['bases'][number]['between']>[number],
  mixId: string,
  cupId: string
): Task => ({ id: `make:${mixId}:${id}`, kind: 'make', cupId, mixId, ...step, startsClock: joins ?? false });

interface ToWeigh {
  mixId: string;
  cupId: string;
  made: Made;
  w: Weighing;
}

/** One weighing as a task; a colour that is crept up on is several. */
function weighTasks(plan: Plan, computed: Computed, to: ToWeigh): WeighTask[] {
  const { mixId, cupId, made, w } = to;
  const base = computed.bases.find((b) => b.baseId === made.baseId);
  const clockPart = base?.between?.some((s) => s.joins) ? undefined : base?.clockPart;
  const steps = w.creep ? onScale(creepSteps(w.weight, w.creep), w.division) : [w.weight];
  const takes = takesOf(plan, to);
  return steps.map((grams, i): WeighTask => ({
    id: `weigh:${mixId}:${w.key}${i ? `+${i + 1}` : ''}`,
    kind: 'weigh',
    cupId,
    mixId,
    key: w.key,
    name: w.name,
    part: w.kind === 'part',
    grams,
    startsClock: w.kind === 'part' && w.key === clockPart && made.portionOf === undefined,
    scaleId: w.scaleId,
    division: w.division,
    ...given(w, i, made.portionOf),
    ...(takes.length ? { takes } : {})
  }));
}

/** Steps that a scale can tell, which come to the same in all. */
function onScale(steps: readonly number[], division: number): number[] {
  const upTo = steps.map((_, i) => steps.slice(0, i + 1).reduce((s, g) => s + g, 0));
  const read = upTo.map((g) => Math.round(g / division) * division);
  return read.map((g, i) => g - (read[i - 1] ?? 0)).filter((g) => g > division / 2);
}

/** What only some weighings have. */
const given = (w: Weighing, i: number, portionOf: string | undefined) => ({
  ...(w.kind === 'reserve' ? { takeOut: true } : {}),
  ...(portionOf !== undefined && w.key === PORTION ? { portionOf } : {}),
  ...(i ? { creeps: i + 1 } : {}),
  ...(w.creep && w.kind === 'part' ? { byEye: true } : {}),
  ...(w.counted ? { counted: w.counted } : {}),
  ...(w.countedIn ? { countedIn: w.countedIn } : {}),
  ...(w.boat ? { boat: true } : {}),
  ...(w.vessel ? { vessel: w.vessel } : {})
});

/** What a weighing takes from the shelf; a let-down was taken when its jar was made. */
function takesOf(plan: Plan, { cupId, made, w }: ToWeigh): { key: string; share: number }[] {
  const cup = plan.cups.find((c) => c.id === cupId);
  const key = stockOfWeighing(w, made.baseId, cup ? lotsOf(cup) : new Map());
  return key === undefined ? [] : [{ key, share: 1 }];
}

/** A cup is filled from others, and what is dripped neat onto it follows. */
function fillTask(plan: Plan, computed: Computed, { mixId, cupId }: Item<'fill'>): Task[] {
  const cup = computed.cups.find((c) => c.cupId === cupId);
  const mix = cup?.mixes.find((m) => m.mixId === mixId);
  if (!cup || !mix?.filledFrom) return [];
  const made: Made = { weighings: mix.weighings, baseId: cup.baseId };
  return [
    { id: `fill:${mixId}`, kind: 'fill', cupId, mixId, from: mix.filledFrom },
    ...mix.weighings.flatMap((w) => weighTasks(plan, computed, { mixId, cupId, made, w }))
  ];
}

function pourTask(computed: Computed, item: Item<'pour'>, turn: number): Task[] {
  const group = computed.groups.find((g) => g.cavitySetId === item.cavitySetId);
  const own = group?.layers.filter((l) => l.pourId === item.pourId) ?? [];
  const words = computed.lines.find((l) => l.stepId === item.stepId);
  const readTo = computed.cups.find((c) => c.cupId === item.cupId)?.readTo;
  const rounds = item.round?.of ?? 1;
  if (!group || !own.length) return [];
  return [
    {
      id: `pour:${turnId(item.pourId, turn)}`,
      kind: 'pour',
      stepId: item.stepId,
      pourId: item.pourId,
      cupId: item.cupId,
      mixId: item.mixId,
      groupId: group.groupId,
      cavitySetId: group.cavitySetId,
      count: item.count,
      ...numbersOf(computed, item, group.count),
      gramsEach: own.reduce((s, l) => s + l.grams, 0) / group.count / rounds,
      mlEach: own.reduce((s, l) => s + l.each, 0) / rounds,
      ...(item.round ? { round: item.round } : {}),
      ...alsoOf(computed, item, turn),
      ...(readTo === undefined ? {} : { division: readTo }),
      ...(words
        ? {
            act: words.act,
            confirm: words.confirm,
            how: [words.measures, words.hint].filter(Boolean).join('; ')
          }
        : {})
    }
  ];
}

/** Which of the cavities one mix of several is poured into: they are filled in order, mix by mix. */
function numbersOf(
  computed: Computed,
  { cupId, pourId, mixId, count }: Item<'pour'>,
  inAll: number
): Pick<PourTask, 'numbers'> {
  const dealt = (computed.cups.find((c) => c.cupId === cupId)?.mixes ?? []).map((m) => ({
    mixId: m.mixId,
    count: m.pours.reduce((s, p) => s + (p.pourId === pourId ? p.count : 0), 0)
  }));
  const before = dealt
    .slice(
      0,
      dealt.findIndex((d) => d.mixId === mixId)
    )
    .reduce((s, d) => s + d.count, 0);
  const whole = dealt.reduce((s, d) => s + d.count, 0) === inAll;
  return whole && count < inAll ? { numbers: { from: before + 1, to: before + count } } : {};
}

/** The other cups that are poured at once with the first of a step. */
function alsoOf(computed: Computed, item: Item<'pour'>, turn: number): Pick<PourTask, 'also'> {
  const layers = computed.groups
    .filter((g) => g.cavitySetId === item.cavitySetId)
    .flatMap((g) => g.layers.map((l) => ({ ...l, gramsEach: l.grams / g.count })));
  const also = layers.flatMap(({ pourId, cupId, gramsEach }) =>
    pourId.startsWith(`${item.pourId}+`) ? [{ task: `pour:${turnId(pourId, turn)}`, cupId, gramsEach }] : []
  );
  return also.length ? { also } : {};
}

function gateTask(plan: Plan, computed: Computed, { stepId, gateId, turn }: Item<'gate'>): Task[] {
  const wait = computed.score.gates.find((g) => g.gateId === gateId && g.turn === turn);
  const gate = plan.steps.find((s) => s.id === stepId)?.gates.find((g) => g.id === gateId);
  if (!wait || !gate) return [];
  return [
    {
      id: `gate:${turnId(gateId, turn)}`,
      kind: 'gate',
      stepId,
      groupId: wait.groupId,
      state: wait.state,
      minutes: wait.minutes,
      all: gate.all.map((condition, i) => ({ condition, ...wait.conditions[i]! }))
    }
  ];
}

/** A mix that is held back: a wait on the clock of the one that was mixed first, or of a step. */
function holdTask(computed: Computed, { stepId, mixId, after }: Item<'hold'>): Task[] {
  const wait = computed.score.gates.find((g) => g.gateId === holdId(mixId));
  if (!wait) return [];
  const { state, minutes } = wait;
  const condition = { kind: 'since' as const, zero: after, minutes };
  const id = `gate:${holdId(mixId)}`;
  return [
    {
      id,
      kind: 'gate',
      stepId,
      groupId: '',
      state,
      minutes,
      holds: mixId,
      all: [{ condition, words: state, minutes }]
    }
  ];
}

function doTask(plan: Plan, computed: Computed, { stepId, turn }: Item<'do'>): Task[] {
  const words = computed.lines.find((l) => l.stepId === stepId);
  const step = plan.steps.find((s) => s.id === stepId);
  if (!words || !step) return [];
  const minutes = (unattended: boolean) =>
    computed.score.blocks
      .filter((b) => b.stepId === stepId && b.act === 'do' && !!b.unattended === unattended)
      .reduce((most, b) => Math.max(most, b.to - b.from), 0);
  return [
    {
      id: `do:${turnId(stepId, turn)}`,
      kind: 'do',
      stepId,
      groupIds: step.where,
      ...usesOf(plan, step),
      attended: minutes(false),
      unattended: minutes(true),
      act: words.act,
      rest: words.rest,
      how: words.hint,
      confirm: words.confirm,
      ...repeatsOf(step.act)
    }
  ];
}

/** The cavities whose castings a step sets in. */
function usesOf(plan: Plan, { act, where }: Plan['steps'][number]): { uses?: string[] } {
  const { embedId } = act as { embedId?: string };
  const uses = plan.groups.flatMap((g) =>
    where.includes(g.id)
      ? (g.embeds ?? []).flatMap((e) => (e.kind === 'casting' && e.id === embedId ? [e.groupId] : []))
      : []
  );
  return uses.length ? { uses } : {};
}

/** How often a step's act is done, where it is more than once. */
function repeatsOf(act: { kind: string }): { times?: number; every?: number } {
  const { times = 1, every = 0 } = act as { times?: number; every?: number };
  return times > 1 ? { times, every } : {};
}

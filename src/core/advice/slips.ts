import { materials, type MaterialTrait } from '../material';
import { acts, type Trait } from '../pour';
import type { FrozenRun, Task } from '../run';
import type { Defect } from '../inspect/piece';
import type { RecordFacts } from '../inspect/causes';
import { add, shift, skip, times, without, type Fault } from '../inspect/causes/bench.testing';

/** One thing that is done wrong at the bench, the defect that follows, and what has to be named first. */
export interface Slip {
  id: string;
  defect: Defect;
  /** Any of these names it. */
  causes: readonly string[];
  /** What is changed of the good run; undefined where it cannot happen in this one. */
  fault?(frozen: FrozenRun): Fault | undefined;
  /** What the record knows beside the run. */
  beside?: RecordFacts;
}

type OfKind<K extends Task['kind']> = Extract<Task, { kind: K }>;
const tasksOf = <K extends Task['kind']>({ tasks }: FrozenRun, kind: K): OfKind<K>[] =>
  tasks.filter((t): t is OfKind<K> => t.kind === kind);
const escaped = (id: string): string => id.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const only = ({ id }: Task): RegExp => new RegExp(`^${escaped(id)}$`);

/** Tasks of steps whose act has a trait. */
const doing = (f: FrozenRun, trait: Trait): OfKind<'do'>[] =>
  tasksOf(f, 'do').filter((t) => {
    const step = f.file.plan.steps.find((s) => s.id === t.stepId);
    return step !== undefined && acts.traits(step.act).includes(trait);
  });
const is = (f: FrozenRun, trait: MaterialTrait): boolean => {
  const base = f.file.shelf.bases.find((b) => b.id === f.file.plan.mixes[0]?.baseId);
  return base !== undefined && materials.has(base.kind, trait);
};

/** A slip made of one task of the run, where it has such a task. */
const atTask =
  <T extends Task>(find: (f: FrozenRun) => T | undefined, slip: (t: T, f: FrozenRun) => Fault) =>
  (f: FrozenRun): Fault | undefined => {
    const task = find(f);
    return task && slip(task, f);
  };

/** A gate that waits for the layer below to set, long enough to be cut short. */
const waitsToSet = (f: FrozenRun) =>
  tasksOf(f, 'gate').find(
    (g) =>
      g.minutes > 10 && g.all?.some((a) => a.condition.kind === 'state' && a.condition.of === 'layer below')
  );
/** The part that a mix’s ratio is told by: hardener, water, lye. */
const DECIDES = ['naoh', 'B', 'liquid', 'water'];
const deciding = (f: FrozenRun) =>
  DECIDES.flatMap((key) => tasksOf(f, 'weigh').filter((t) => t.part && t.grams > 1 && t.key === key))[0];
const colour = (f: FrozenRun) => tasksOf(f, 'weigh').find((t) => !t.part && !t.takeOut && t.grams > 0.2);
const pours = (f: FrozenRun) => tasksOf(f, 'pour');

/** Slips of the hand and of patience, each with the defect it makes. */
export const SLIPS: readonly Slip[] = [
  {
    id: 'the next layer before the one below had set',
    defect: 'colours run together',
    causes: ['layer-before-the-gel'],
    fault: atTask(waitsToSet, (g) => shift(only(g), -0.85 * g.minutes))
  },
  {
    id: 'taken out early',
    defect: 'snapped or chipped on demould',
    causes: ['demoulded-early'],
    fault: atTask(
      (f) =>
        f.tasks.some((t) => t.kind === 'do' && t.unattended > 1000) ? undefined : tasksOf(f, 'demould')[0],
      (d) => shift(only(d), -0.85 * d.from)
    )
  },
  {
    id: 'taken out late',
    defect: 'snapped or chipped on demould',
    causes: ['demoulded-late'],
    fault: (f) => {
      const [d] = tasksOf(f, 'demould');
      return d && is(f, 'grips when late') ? shift(only(d), 2 * d.to) : undefined;
    }
  },
  {
    id: 'stirred for seconds',
    defect: 'unmixed streaks or specks',
    causes: ['stirred-short'],
    fault: atTask(
      (f) => tasksOf(f, 'stir').find((t) => t.minutes >= 1 && (t.mixing ?? 'full') === 'full'),
      (s) => shift(only(s), -0.9 * s.minutes)
    )
  },
  {
    id: 'a fifth more of one part',
    defect: 'snapped or chipped on demould',
    causes: ['ratio-off'],
    fault: atTask(
      deciding,
      (t) => (e, f) => add({ type: 'accepted', mixId: t.mixId })(times(only(t), 1.2)(e, f), f)
    )
  },
  {
    id: 'a cold room',
    defect: 'tacky or soft',
    causes: ['cold-room'],
    fault: (f) =>
      is(f, 'sets by cooling')
        ? undefined
        : add({ type: 'room', celsius: Math.max(-5, f.file.plan.bench.roomCelsius - 9) })
  },
  {
    id: 'not tapped',
    defect: 'bubbles on the mould face',
    causes: ['few-taps'],
    fault: atTask(
      (f) => doing(f, 'loosens')[0],
      (t) => skip(only(t))
    )
  },
  {
    id: 'a sixth too little',
    defect: 'short fill or ledge',
    causes: ['poured-under'],
    fault: () => times(/^pour:/, 0.84)
  },
  {
    id: 'over the rim',
    defect: 'overfilled lip',
    causes: ['poured-over'],
    fault: () => times(/^pour:/, 1.09)
  },
  {
    id: 'half as much colour again',
    defect: 'too dark, too light or another hue',
    causes: ['dose-off'],
    fault: atTask(colour, (t) => times(only(t), 1.6))
  },
  {
    id: 'the wrong pot',
    defect: 'too dark, too light or another hue',
    causes: ['wrong-pot'],
    fault: atTask(colour, (t) => add({ type: 'swapped', task: t.id, instead: 'another pot' }, only(t)))
  },
  {
    id: 'sealed at once',
    defect: 'sealed too early',
    causes: ['sealed-early'],
    fault: (f) => {
      const [seal] = doing(f, 'seals');
      const gate = tasksOf(f, 'gate').find((g) => g.stepId === seal?.stepId);
      return gate && gate.minutes > 1440 ? shift(only(gate), -0.95 * gate.minutes) : undefined;
    }
  },
  {
    id: 'no cover',
    defect: 'ash bloom',
    causes: ['no-spray'],
    fault: atTask(
      (f) => (is(f, 'ashes') ? doing(f, 'shields')[0] : undefined),
      (t) => skip(only(t))
    )
  },
  {
    id: 'one blob too large',
    defect: 'off-centre',
    causes: ['one-pour-over', 'line-overrun'],
    fault: (f) => {
      const [, second] = pours(f);
      return second && pours(f).length > 2 && second.gramsEach * second.count > 2
        ? times(only(second), 1.5)
        : undefined;
    }
  },
  {
    id: 'a pour forgotten',
    defect: 'lost lines or bare patches',
    causes: ['pour-left-out'],
    fault: (f) => {
      const last = pours(f).at(-2);
      return last && pours(f).length > 2 ? skip(only(last)) : undefined;
    }
  },
  {
    id: 'a cup never stirred',
    defect: 'unmixed streaks or specks',
    causes: ['stir-left-out'],
    fault: atTask(
      (f) => tasksOf(f, 'stir')[0],
      (t) => skip(only(t))
    )
  },
  {
    id: 'the stick went on',
    defect: 'muddy blend',
    causes: ['strokes-over-plan'],
    fault: atTask(
      (f) => doing(f, 'drags')[0],
      (t) => add({ type: 'gestured', task: t.id, times: 4 }, only(t))
    )
  },
  {
    id: 'strokes left out',
    defect: 'lost lines or bare patches',
    causes: ['stroke-left-out'],
    fault: atTask(
      (f) => doing(f, 'drags')[0],
      (t) => skip(only(t))
    )
  },
  {
    id: 'water added to what had thickened',
    defect: 'sweat marks',
    causes: ['rewetted', 'ratio-off'],
    fault: (f) => {
      const [stir] = tasksOf(f, 'stir');
      const [part] = f.tasks.filter((t) => t.kind === 'weigh' && t.part && t.key !== 'A');
      return stir && part?.kind === 'weigh' && is(f, 'dries in air')
        ? add({ type: 'rewetted', mixId: stir.mixId, part: part.key, grams: 12 }, only(stir))
        : undefined;
    }
  },
  {
    id: 'a knock while it was fluid',
    defect: 'off-centre',
    causes: ['moved-while-fluid'],
    fault: () => add({ type: 'note', text: 'knocked the table with my elbow' })
  },
  {
    id: 'a damp mould',
    defect: 'water marks',
    causes: ['damp-inside'],
    fault: () => add({ type: 'note', text: 'the mould was still damp' })
  },
  {
    id: 'nobody looked at the level',
    defect: 'off-centre',
    causes: ['not-level'],
    fault: () => without((e) => e.type === 'ticked' && e.check === 'level')
  },
  {
    id: 'old stock',
    defect: 'tacky or soft',
    causes: ['old-lot'],
    beside: { oldLots: [{ name: 'a part', days: 60 }] }
  },
  {
    id: 'a mould not washed',
    defect: 'dye left from an earlier piece',
    causes: ['mould-not-clean'],
    beside: { lastColour: { name: 'magenta', dye: true } }
  },
  {
    id: 'an air pot never shut',
    defect: 'bubbles on the mould face',
    causes: ['no-pressure'],
    fault: atTask(
      (f) => doing(f, 'in a pot')[0],
      (t) => skip(only(t))
    )
  },
  {
    id: 'no warm air over it',
    defect: 'bubbles on the open face',
    causes: ['no-torch'],
    fault: (f) => {
      const [t] = doing(f, 'clears');
      return t && is(f, 'may be flamed') ? skip(only(t)) : undefined;
    }
  },
  {
    id: 'sanding left out',
    defect: 'unclear edges or numbers',
    causes: ['sanding-left-out'],
    fault: atTask(
      (f) => doing(f, 'sands')[0],
      (t) => skip(only(t))
    )
  },
  {
    id: 'poured long after its window',
    defect: 'bubbles on the mould face',
    causes: ['cup-poured-late'],
    fault: (f) => {
      const [first] = pours(f);
      const window = f.computed.score.windows.find((w) => w.cupId === first?.cupId);
      return first && window && !is(f, 'sets by cooling') && window.to - window.from < 240
        ? shift(only(first), (window.to - window.from) * 1.5)
        : undefined;
    }
  }
];

import { compatibilityOf, layerState, materials, type AnyMaterial } from '../material';
import type { Mould } from '../mould';
import { layStep } from '../edit';
import { type Plan } from '../plan';
import { type Shelf } from '../shelf';
import { withAmount } from '../pour';
import { startingLibrary } from '../shelf';
import type { MishapKind } from './mishaps';

/** A lesson for a beginner: a small plan of one material, and what goes wrong in it. */
export interface PracticeLesson {
  id: string;
  /** The material's kind. */
  kind: string;
  nth: 1 | 2 | 3;
  title: string;
  /** What is to be learned, in one sentence. */
  aim: string;
  mishaps: MishapKind[];
}

/** The three lessons of every material, in order. */
const THREE: Pick<PracticeLesson, 'nth' | 'title' | 'aim' | 'mishaps'>[] = [
  {
    nth: 1,
    title: 'One colour, from scale to mould',
    aim: 'Everything ticked, every part weighed, poured inside the window.',
    mishaps: []
  },
  {
    nth: 2,
    title: 'Two layers and the wait between',
    aim: 'The second layer goes on when the first carries it: not before, not long after.',
    mishaps: []
  },
  {
    nth: 3,
    title: 'When it goes wrong',
    aim: 'A weighing that goes over, a cup that falls, a telephone: put each right and lose no piece.',
    mishaps: ['overshoot', 'spilled cup', 'phone call']
  }
];

/** Every lesson, material by material. */
export const practiceLessons = (): PracticeLesson[] =>
  materials
    .all()
    .filter((m) => m.lesson)
    .flatMap(({ kind }) => THREE.map((t) => ({ ...t, kind, id: `${kind.replaceAll(' ', '-')}-${t.nth}` })));

type Block = NonNullable<AnyMaterial['lesson']>['block'];

/** Two blocks to pour into, a little larger for what is mixed by the kilogram. */
const mouldFor = (block: Block): Mould => ({
  id: 'practice-blocks',
  name: 'Practice blocks',
  material: 'silicone',
  finish: 'satin',
  notes: '',
  cavities: [
    {
      id: 'block',
      name: 'block',
      count: 2,
      shape: { kind: 'box', ...block },
      capacity: { from: 'dimensions' }
    }
  ]
});

/** The plan of a lesson and the shelf it needs: generic cards alone, so that it works in an empty workshop. */
export function lessonPlan(lesson: PracticeLesson): { plan: Plan; shelf: Shelf } {
  const taught = materials.of(lesson).lesson;
  const base = startingLibrary.bases.find((b) => b.id === taught?.baseId);
  if (!taught || !base) throw new Error(`There is no lesson in ${lesson.kind}.`);
  const mould = mouldFor(taught.block);
  const good = startingLibrary.colourants.filter(
    (c) => compatibilityOf(c.form, lesson.kind).verdict === 'good'
  );
  const layers = lesson.nth === 1 ? 1 : 2;
  const cups = Array.from({ length: layers }, (_, i): Plan['cups'][number] => ({
    id: `cup-${i + 1}`,
    letter: 'AB'[i]!,
    hatch: i ? 'dots' : 'slant',
    name: i ? 'top' : 'first',
    from: { mix: `mix-${i + 1}` },
    recipe: good[i]
      ? [{ id: `line-${i + 1}`, colourantId: good[i].id, percent: 1, of: 'supplied' as const }]
      : []
  }));
  const first = layStep('lay-1', 'cup-1', 'blocks');
  const second = {
    ...layStep('lay-2', 'cup-2', 'blocks'),
    gates: [
      { id: 'gate-2', all: [{ kind: 'state' as const, state: layerState(base), of: 'layer below' as const }] }
    ]
  };
  const half = { ...first, act: withAmount(first.act, { kind: 'to share', of: 0.5 }) };
  const plan: Plan = {
    version: 2,
    id: `lesson-${lesson.id}`,
    name: lesson.title,
    notes: '',
    showFace: 'mould face',
    mixes: cups.map((c, i) => ({ id: `mix-${i + 1}`, baseId: base.id, feeds: 'one cup' as const })),
    cups,
    groups: [{ id: 'blocks', name: 'blocks 1–2', mouldId: mould.id, cavityId: 'block', count: 2 }],
    steps: layers === 1 ? [first] : [half, second],
    spares: [],
    bench: {
      roomCelsius: 21,
      scaleIds: ['fine', 'middle', 'bench'],
      vesselIds: [],
      readings: 'cumulative',
      losses: { cling: 0.03 }
    }
  };
  return { plan, shelf: { ...startingLibrary, moulds: [mould] } };
}

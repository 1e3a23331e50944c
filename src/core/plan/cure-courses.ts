import { RESIN_STATES, roomFrom, together, type CureCurve } from '../cure';
import { behaviourOf } from '../material';
import type { Computed } from './computed';
import { mixIdOf, type Plan } from '../document';
import { type Shelf } from '../shelf';
import { roomIn } from './room';
import { figure } from '../quantity';

/** How one body cures: what it is, its temperature over time, and when each of its states begins. */
export interface CureCourse {
  /** “foam in its cup, 94 g”, “foam in the piece, 4 mm”. */
  name: string;
  cupId: string;
  of: 'cup' | 'layer';
  points: { minute: number; celsius: number; cured: number }[];
  states: { state: string; minute: number }[];
  peak: { celsius: number; minute: number };
}

/** Points a chart can show: more say nothing more. */
const MOST_POINTS = 160;

/**
 * The course of every cup that cures by the model of a plan, in the cup and in the deepest layer it is laid to, at the plan’s room
 * temperature; nothing for materials that have windows and no cure model. Minutes from the joining of the parts.
 */
export function cureCourses(plan: Plan, computed: Computed, shelf: Shelf): CureCourse[] {
  const room = roomIn(plan.bench);
  return computed.cups.flatMap((cup): CureCourse[] => {
    const mixId = mixIdOf(plan.cups.find((c) => c.id === cup.cupId) ?? { from: { cups: [] } });
    const mix = plan.mixes.find((m) => m.id === mixId);
    const base = shelf.bases.find((b) => b.id === mix?.baseId);
    const course = base && behaviourOf(base, mix?.joinedAt).course;
    if (!course || cup.balance.mixed <= 0) return [];
    // A portion went through its cure so far as part of the whole pot, by which its window goes.
    const splitMix = computed.common.filter((m) => m.of === mixId).map((m) => m.balance.mixed);
    const grams = Math.max(1, ...(splitMix.length ? splitMix : cup.mixes.map((m) => m.balance.mixed)));
    const layers = computed.groups.flatMap((g) => g.layers.filter((l) => l.cupId === cup.cupId));
    const mm = Math.max(0, ...layers.map((l) => l.to - l.from));
    const met = computed.score.windows.find((w) => w.cupId === cup.cupId)?.zero ?? 0;
    const laid = computed.score.blocks.find((b) => b.act === 'pour' && b.cupId === cup.cupId)?.to ?? met;
    const factor = together(cup.paces ?? []);
    const inCup = course({ cup: grams }, roomFrom(room, met));
    return [
      courseOf(
        `${cup.name} in its ${splitMix.length ? 'pot' : 'cup'}, ${figure(grams, 'g', 0)}`,
        cup.cupId,
        'cup',
        {
          cure: inCup,
          factor
        }
      ),
      ...(mm > 0.05
        ? [
            courseOf(`${cup.name} in the piece, ${figure(mm, 'mm', 1)}`, cup.cupId, 'layer', {
              cure: course({ layer: mm }, roomFrom(room, laid)),
              factor
            })
          ]
        : [])
    ];
  });
}

/** A course as this cup passes it, by what makes it run ahead or behind. */
function courseOf(
  name: string,
  cupId: string,
  of: CureCourse['of'],
  { cure, factor }: { cure: CureCurve; factor: number }
): CureCourse {
  const step = Math.max(1, Math.ceil(cure.course.length / MOST_POINTS));
  return {
    name,
    cupId,
    of,
    points: cure.course
      .filter((_, i) => i % step === 0 || i === cure.course.length - 1)
      .map((p) => ({ ...p, minute: p.minute * factor })),
    states: RESIN_STATES.map(({ state }) => ({ state, minute: cure.begins[state] * factor })).filter((s) =>
      Number.isFinite(s.minute)
    ),
    peak: { celsius: cure.peakCelsius, minute: cure.peakMinute * factor }
  };
}

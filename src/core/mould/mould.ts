import { z } from 'zod';
import { Id, onlyOnce, StoredId } from '../id';
import type { Problem } from '../problem';
import { Chamber, Dome, Jacket, raised, Zone } from './fittings';
import { geometryOf, levelAt, shapeFault } from './geometry';
import type { Geometry } from './slices';
import { Shape } from './shape';
import { capacityFromWater } from './water';
import { figure } from '../quantity';

const grams = z.number().nonnegative().max(500_000);

/** Where a cavity's capacity comes from. Measured figures win over drawn ones. */
const Capacity = z.discriminatedUnion('from', [
  z.object({ from: z.literal('dimensions') }),
  z.object({
    from: z.literal('water'),
    emptyGrams: grams,
    fullGrams: grams,
    waterCelsius: z.number(),
    cavitiesFilled: z.number().int().positive()
  }),
  z.object({ from: z.literal('pour'), ml: z.number().positive(), note: z.string().max(200).optional() })
]);

/** One kind of cavity in a mould, and how many of it there are. */
export const CavityKind = z
  .object({
    id: Id,
    name: z.string().min(1).max(60),
    count: z.number().int().positive().max(400),
    shape: Shape,
    capacity: Capacity,
    dome: Dome.optional(),
    jacket: Jacket.optional(),
    chambers: z.array(Chamber).max(24).optional(),
    zones: z.array(Zone).max(24).optional(),
    /** How far the walls lean out from upright, degrees; below zero they lean in (an undercut). */
    draft: z.number().min(-45).max(80).optional()
  })
  .superRefine((kind, ctx) => {
    onlyOnce(kind.chambers ?? [], ['chambers'], ctx);
    onlyOnce(kind.zones ?? [], ['zones'], ctx);
  });
export type CavityKind = z.infer<typeof CavityKind>;

/** How a mould is, from good to no longer fit to be poured. */
export const CONDITIONS = ['sound', 'worn', 'torn'] as const;

/** A mould card. */
export const Mould = z
  .object({
    id: StoredId,
    name: z.string().min(1, 'needs a name').max(80),
    material: z.enum(['silicone', 'aluminium', 'HDPE', 'lined timber', 'latex', 'other']),
    finish: z.enum(['gloss', 'satin', 'matte']),
    /** Hottest pour it takes, °C. */
    heatLimit: z.number().min(30).max(1000).optional(),
    /** What it needs before every pour. */
    needs: z.enum(['nothing', 'release', 'liner']).optional(),
    /** Diameter of the hole it is filled through, mm; open at the top when absent. */
    pourHole: z.number().positive().max(500).optional(),
    /** How it is: sound when absent. */
    condition: z.enum(CONDITIONS).optional(),
    /** Runs it is expected to last, as its maker reckons. */
    lasts: z.number().int().positive('must be one or more').max(100_000).optional(),
    cavities: z.array(CavityKind).min(1).max(40),
    notes: z.string().max(2000).default('')
  })
  .superRefine((mould, ctx) => onlyOnce(mould.cavities, ['cavities'], ctx));
export type Mould = z.infer<typeof Mould>;

/** Of what a mould lasts, from when on its end is said to be near. */
const NEAR_END = 0.9;

/** Whether a mould that was used so often is near what its maker reckons it lasts; never where that is not said. */
export const nearItsEnd = ({ lasts }: Pick<Mould, 'lasts'>, uses: number): boolean =>
  lasts !== undefined && uses >= NEAR_END * lasts;

/** A cavity ready to be filled: geometry scaled to its best-known capacity. */
export interface Cavity {
  /** ml to the rim (the jacket's, where it has one). */
  capacity: number;
  /** ml that stand above the rim when the skin domes. */
  domeMl: number;
  depth: number;
  geometry: Geometry;
  /** Level, mm, of a volume, ml. */
  levelAt(ml: number): number;
  /** Volume, ml, below a level, mm. */
  volumeAt(level: number): number;
  /** How the capacity was found, in words and figures. */
  working: string;
  problems: Problem[];
}

/**
 * Resolves a cavity: its capacity in ml and the two-way link between level and volume.
 * Where a measured capacity differs from the drawn shape, the shape's volume at every level is scaled
 * by their ratio, so that the rim stays the rim and the measured figure is what counts.
 */
export function cavityOf(kind: CavityKind, path = 'cavity'): Cavity {
  const own = geometryOf(kind.shape);
  const drawn = own.volumeAt(own.depth);
  const { capacity, working, problems } = capacityOf(kind, { drawn, working: own.working, path });
  const fault = shapeFault(kind.shape);
  const squeeze = kind.jacket?.squeeze ?? 0;
  const scale = (drawn > 0 ? capacity / drawn : 1) * (1 - squeeze);
  const geometry = raised(own, kind.jacket?.mm ?? 0);
  const full = geometry.volumeAt(geometry.depth) * scale;
  return {
    capacity: full,
    domeMl: kind.dome ? (geometry.areaAt(geometry.depth) * kind.dome.mm * kind.dome.factor) / 1000 : 0,
    depth: geometry.depth,
    geometry,
    levelAt: (ml) => levelAt(geometry, ml / scale),
    volumeAt: (level) => geometry.volumeAt(level) * scale,
    working: working + jacketWords(kind, full),
    problems: [
      ...(fault ? [impossible(fault, path)] : []),
      ...problems,
      ...capacityDoubts(capacity, drawn, kind, path),
      ...fittingProblems(kind, own.depth, path)
    ]
  };
}

/** The capacity of a cavity as drawn, as water says, or as a past pour took it, ml. */
function capacityOf(
  kind: CavityKind,
  { drawn, working, path }: { drawn: number; working: string; path: string }
): { capacity: number; working: string; problems: Problem[] } {
  const { capacity } = kind;
  if (capacity.from === 'pour')
    return {
      capacity: capacity.ml,
      working: `a past pour took ${figure(capacity.ml, 'ml', 2)}`,
      problems: []
    };
  const filled = capacity.from === 'water' ? capacityFromWater(capacity) : undefined;
  if (filled?.ok) return { capacity: filled.value.ml, working: filled.value.working, problems: [] };
  const problems = filled ? [{ ...filled.problem, path: `${path}/${filled.problem.path}` }] : [];
  return { capacity: drawn, working, problems };
}

const impossible = (fault: string, path: string): Problem => ({
  code: 'shape-impossible',
  level: 'stop',
  path: `${path}/shape`,
  sentence: fault,
  mend: 'Correct the dimensions, or measure the capacity with water.'
});

/** What a jacket does to the capacity, in words. */
function jacketWords({ jacket }: CavityKind, full: number): string {
  if (!jacket || (jacket.squeeze <= 0 && jacket.mm <= 0)) return '';
  const shares = jacket.squeeze > 0 ? ` × ${(1 - jacket.squeeze).toFixed(2)} pressed back by the jacket` : '';
  const above = jacket.mm > 0 ? ` + ${figure(jacket.mm, 'mm')} above the rim` : '';
  return `;${shares}${above} = ${figure(full, 'ml', 2)}`;
}

/** Chambers that are not the whole cavity, and zones that are not in it. */
function fittingProblems(kind: CavityKind, depth: number, path: string): Problem[] {
  const problems: Problem[] = [];
  const chambers = kind.chambers ?? [];
  const all = chambers.reduce((s, c) => s + c.share, 0);
  if (chambers.length && Math.abs(all - 1) > 0.005)
    problems.push({
      code: 'chambers-not-whole',
      level: 'stop',
      path: `${path}/chambers`,
      sentence: `The chambers of ${kind.name} add up to ${(all * 100).toFixed(1)} %.`,
      mend: 'Make them 100 % of the cavity.'
    });
  (kind.zones ?? []).forEach((zone, i) => {
    if (zone.from < zone.to && zone.to <= depth + 1e-9) return;
    problems.push({
      code: 'zone-outside',
      level: 'warn',
      path: `${path}/zones/${i}`,
      sentence: `${zone.name} runs from ${figure([zone.from, zone.to], 'mm', undefined, ' to ')} in a cavity ${figure(depth, 'mm', 1)} deep.`,
      mend: 'Give its lower height first, and keep both inside the cavity.'
    });
  });
  return problems;
}

/** Figures that suggest a slip: a knob of 40 litres, or a water fill that is a whole multiple of the drawing. */
function capacityDoubts(capacity: number, drawn: number, kind: CavityKind, path: string): Problem[] {
  const doubts: Problem[] = [];
  if (capacity > 50_000) {
    doubts.push({
      code: 'capacity-absurd',
      level: 'warn',
      path: `${path}/capacity`,
      sentence: `A cavity of ${figure(capacity / 1000, 'l', 1)} is larger than any bench casts in one.`,
      mend: 'Check the units: lengths are millimetres, weights grams.'
    });
  }
  const ratio = drawn > 0 ? capacity / drawn : 1;
  if (kind.capacity.from === 'water' && (ratio > 1.25 || ratio < 0.8)) {
    const times = ratio > 1 ? ratio : 1 / ratio;
    const whole = Math.round(times);
    const likely =
      whole > 1 && Math.abs(times - whole) < 0.12 * whole
        ? ` That is ${ratio > 1 ? '' : 'one part in '}${whole}${ratio > 1 ? ' times as much' : ''}: was one cavity filled, or ${ratio > 1 ? whole : kind.count}?`
        : '';
    doubts.push({
      code: 'capacity-disagrees',
      level: 'warn',
      path: `${path}/capacity`,
      sentence: `Water says ${figure(capacity, 'ml', 1)} a cavity, the dimensions ${figure(drawn, 'ml', 1)}.${likely}`,
      mend: 'Check how many cavities the water stood in, then the dimensions.'
    });
  }
  return doubts;
}

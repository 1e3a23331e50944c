import { fail, ok, type Problem, type Result } from '../problem';
import { waterDensity } from './water';
import { figure } from '../quantity';

/** The container and master that a rubber mould is made from; lengths mm, weights g, volumes ml. */
export interface MouldJob {
  /** Room in the empty container up to the rubber's level: by dimensions, or by water (grams at °C). */
  container:
    | { by: 'box'; length: number; width: number; depth: number }
    | { by: 'round'; diameter: number; depth: number }
    | { by: 'water'; grams: number; celsius: number };
  /** The master: what it displaces by water (grams run over, or added less), or its volume or weight and density. */
  master:
    | { by: 'water'; grams: number; celsius: number }
    | { by: 'volume'; ml: number }
    | { by: 'weight'; grams: number; density: number };
  /** Two halves: the parting level as a share of the rubber, 0..1; one pour when absent. */
  parting?: number;
  /** Registration keys pressed into the first half, and the diameter of each, mm. */
  keys?: { count: number; diameter: number };
}

/** The rubber for a mould, ml: in all, and for each pour. */
export interface RubberNeed {
  containerMl: number;
  masterMl: number;
  ml: number;
  /** One figure for a block mould, two for halves; keys move from the first pour to the second. */
  pours: number[];
  working: string;
}

/** Rubber volume = container − master. Refuses a master that does not fit its container. */
export function rubberFor(job: MouldJob): Result<RubberNeed> {
  const { container, master } = job;
  const containerMl =
    container.by === 'box'
      ? (container.length * container.width * container.depth) / 1000
      : container.by === 'round'
        ? (Math.PI * (container.diameter / 2) ** 2 * container.depth) / 1000
        : container.grams / waterDensity(container.celsius);
  const masterMl =
    master.by === 'volume'
      ? master.ml
      : master.by === 'water'
        ? master.grams / waterDensity(master.celsius)
        : master.grams / master.density;
  const ml = containerMl - masterMl;
  if (!(containerMl > 0 && masterMl > 0 && ml > 0))
    return fail({
      code: 'master-too-big',
      path: 'master',
      sentence: `The master takes ${figure(masterMl, 'ml', 1)} of a container of ${figure(containerMl, 'ml', 1)}: nothing is left for rubber.`,
      mend: 'Check the measurements: the container is filled to where the rubber will stand.'
    });
  const keysMl = job.keys ? (job.keys.count * (Math.PI * job.keys.diameter ** 3)) / 12 / 1000 : 0;
  const first = job.parting === undefined ? ml : Math.max(0, ml * job.parting - keysMl);
  const pours = job.parting === undefined ? [ml] : [first, ml - first];
  return ok({
    containerMl,
    masterMl,
    ml,
    pours,
    working: `${figure([containerMl, masterMl], 'ml', 1, ' − ')} = ${figure(ml, 'ml', 1)} of rubber`
  });
}

/** What keeps a rubber from curing, by its kind. Typical of the trade; a smear on a hidden corner tells. */
export function inhibitionCautions(cure: 'platinum' | 'tin'): string[] {
  return cure === 'platinum'
    ? [
        'Platinum silicone stays sticky against sulphur clay, latex, some tapes and glues, tin silicone and fresh resin: test a smear on a hidden corner.',
        'Seal a doubtful master with clear acrylic lacquer and let it dry through.'
      ]
    : [
        'Tin silicone shrinks a little with age and wants damp air to cure: keep it from sulphur clay all the same.'
      ];
}

/** What is wrong with a two-part mould's steps, in words. */
export function keyProblems(job: MouldJob): Problem[] {
  if (job.parting === undefined || (job.keys?.count ?? 0) >= 2) return [];
  return [
    {
      code: 'keys-missing',
      level: 'warn',
      path: 'keys',
      sentence: 'Two halves with fewer than two keys slide against each other.',
      mend: 'Press at least two keys, better four, into the first half before it cures.'
    }
  ];
}

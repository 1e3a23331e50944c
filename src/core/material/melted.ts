import { z } from 'zod';
import { commonCard, density } from './card';
import { fail, ok, type Result } from '../problem';
import { figure } from '../quantity';
import type { Composition, Making, MakingStep } from './formula';

/** The card of what is melted, coloured and poured hot: melt-and-pour soap and plastisol. */
export const meltedCard = {
  ...commonCard,
  density,
  /** Heat to, never past, and pour down to, °C. */
  heatTo: z.number().min(30).max(230),
  neverPast: z.number().min(40).max(250),
  pourAbove: z.number().min(30).max(220),
  setMinutes: z.number().positive().max(600),
  /** A hardness made from two liquids: Shore figures of both and the one wanted. Hardness blends linearly. */
  blend: z
    .object({
      soft: z.number().min(0).max(100),
      hard: z.number().min(0).max(100),
      wanted: z.number().min(0).max(100)
    })
    .optional(),
  /** A hand injector: what it holds, and what stays in its nozzle, ml; and the sprue's share of a shot. */
  injector: z
    .object({
      ml: z.number().positive().max(5000),
      dead: z.number().nonnegative().max(500),
      sprue: z.number().min(0).max(0.5)
    })
    .optional(),
  /** How many reheats the card allows (starting value 6). */
  reheatLimit: z.number().int().positive().max(50).optional()
};
type MeltedCard = z.infer<z.ZodObject<typeof meltedCard>>;

/** Reheats a plastisol stands where its card says nothing. Typical of the trade. */
export const REHEAT_LIMIT = 6;

/** Share of the hard liquid, 0..1, that gives a wanted hardness: (wanted − soft) / (hard − soft). */
export function hardShare(blend: { soft: number; hard: number; wanted: number }): number | undefined {
  const share = (blend.wanted - blend.soft) / (blend.hard - blend.soft);
  return share >= 0 && share <= 1 ? share : undefined;
}

/**
 * One part, or two where a hardness is blended. Refused when the hardness wanted lies outside the two liquids.
 * @param name what the melted base is called
 */
export function meltedFormula(base: MeltedCard, name: string): Result<Composition> {
  const common = {
    density: base.density,
    basis: { of: 'batch', words: 'of the mix before colour' } as const,
    carriers: {}
  };
  if (!base.blend) return ok({ ...common, parts: [{ key: 'base', name, share: 1 }], letDownIn: 'base' });
  const share = hardShare(base.blend);
  if (share === undefined)
    return fail({
      code: 'hardness-outside',
      path: `shelf/bases/${base.id}/blend/wanted`,
      sentence: `Shore ${base.blend.wanted} cannot be blended from ${base.blend.soft} and ${base.blend.hard}.`,
      mend: 'Ask for a hardness between the two liquids, or use another pair.'
    });
  return ok({
    ...common,
    parts: [
      { key: 'base', name: `${name}, soft`, share: 1 - share },
      { key: 'hard', name: `${name}, hard`, share }
    ].filter((p) => p.share > 0),
    letDownIn: share < 1 ? 'base' : 'hard'
  });
}

/** How a melt is heated: the verb, how, and minutes with the hands in it and without. */
export type Heating = Pick<MakingStep, 'act' | 'how' | 'attended' | 'unattended'>;

/**
 * What is melted is weighed cold and heated in its cup or pot; colour goes into the hot melt. The clock runs from the
 * moment it leaves the heat.
 * @param name what the melted base is called
 */
export function meltedMaking(card: MeltedCard, name: string, { how, ...heating }: Heating): Making {
  const share = card.blend && (hardShare(card.blend) ?? 0);
  const last = share ? 'hard' : 'base';
  return {
    clockPart: last,
    between: [
      {
        ...heating,
        id: 'heat',
        // A blend that is all hard liquid, or all soft, has one part.
        after: last,
        rest: `the ${name} to ${figure(card.heatTo, '°C')}`,
        how: `${how}; never past ${figure(card.neverPast, '°C')}; the clock starts when it leaves the heat`,
        confirm: 'Hot',
        joins: true
      }
    ]
  };
}

/** Shots of a hand injector for so many cavities of so many ml. */
export interface Shots {
  /** ml that leave the nozzle for one cavity, sprue counted. */
  each: number;
  /** Cavities one filling serves, 0 when one shot is more than it holds. */
  perFilling: number;
  /** Fillings in all: the first and the refills. */
  fillings: number;
}

/** A shot = cavity × (1 + sprue share); a filling serves ⌊(injector − dead space) / shot⌋ cavities. */
export function shotsFor(
  injector: { ml: number; dead: number; sprue: number },
  cavityMl: number,
  cavities: number
): Shots {
  const each = cavityMl * (1 + injector.sprue);
  const perFilling = Math.max(0, Math.floor((injector.ml - injector.dead) / each + 1e-9));
  return { each, perFilling, fillings: perFilling > 0 ? Math.ceil(cavities / perFilling) : Infinity };
}

/** The figures of a melted base's card. */
export const MELTED_FIELDS = [
  ['density', 'Density, g/ml', ''],
  ['heatTo', 'Heat to', '°C'],
  ['neverPast', 'Never past', '°C'],
  ['pourAbove', 'Pour above', '°C']
] as const;

import { z } from 'zod';

/**
 * The planned figures that a run keeps for good, as runs, inspection, record and sheets read them. They were written by
 * whatever program froze them: what every version wrote is required, what came later is optional, so that a reader is told
 * by the type what an old run may lack. What is not listed here is not read.
 */

const id = z.string().max(200);
const number = z.number();
/** JSON knows no infinity: it wrote null. */
const endless = z
  .number()
  .nullable()
  .transform((n) => n ?? Infinity);
const share = number;

const Lab = z.object({ l: number, a: number, b: number });
const Look = z.object({ hex: z.string(), lab: Lab, onScreen: z.boolean() });
const CupLooks = z.object({ cup: Look, own: Look, sealed: Look, aged: Look });

const Balance = z.object({
  pouredMl: number,
  poured: number,
  clings: number,
  vessel: number,
  reserved: number,
  left: number,
  mixed: number
});

const Weighing = z.object({
  key: id,
  name: z.string(),
  kind: z.enum(['part', 'colourant', 'filler', 'reserve']),
  exact: number,
  weight: number,
  reading: number,
  spread: endless,
  weighable: z.boolean(),
  scaleId: id,
  division: number,
  boat: z.boolean().optional(),
  colourantId: id.optional(),
  percent: number.optional(),
  letDown: z.object({ parts: number, supplied: number }).optional(),
  supplied: number.optional(),
  counted: z.string().optional(),
  countedIn: z.object({ unit: z.enum(['drops', '⅛ tsp']), each: number }).optional(),
  creep: z.object({ start: number, step: number }).optional(),
  vessel: z.string().optional()
});

const Held = z.object({ key: id, name: z.string(), grams: number });
const Vessel = z.object({
  id,
  name: z.string(),
  ml: number,
  loss: number,
  condition: z.enum(['sound', 'worn', 'broken']).optional()
});
const Poured = z.object({ pourId: id, count: number });

const Mix = z.object({
  mixId: id,
  turn: number,
  weighings: z.array(Weighing),
  balance: Balance,
  ratioError: number,
  /** Absent in runs of rules 2 and 3. */
  held: z.array(Held).optional(),
  ml: number,
  vessel: Vessel.optional()
});
const CupMix = Mix.extend({
  pours: z.array(Poured),
  batch: number,
  density: number,
  offRatio: z.array(z.object({ key: id, name: z.string(), share })),
  filledFrom: z.array(z.object({ cupId: id, ml: number, grams: number })).optional()
});
const CommonMix = Mix.extend({ of: id, baseId: id, why: z.string().optional() });

const Cup = z.object({
  cupId: id,
  letter: z.string(),
  hatch: z.enum(['plain', 'slant', 'dots', 'level', 'back slant', 'upright', 'weave', 'rings']),
  name: z.string(),
  baseId: z.string(),
  mixOf: z.string(),
  jug: z.boolean(),
  mixing: z.enum(['full', 'marbled', 'speckled']),
  colour: z.string(),
  looks: CupLooks,
  hides: number.nullable(),
  paces: z.array(z.object({ factor: number, why: z.string() })).optional(),
  batch: number,
  density: number,
  balance: Balance,
  weighings: z.array(Weighing),
  shareOfPour: share,
  mixes: z.array(CupMix),
  readTo: number.positive().optional()
});

const Layer = z.object({
  stepId: id,
  cupId: id,
  pourId: id,
  from: number,
  to: number,
  fromMl: number,
  toMl: number,
  each: number,
  letter: z.string(),
  hatch: Cup.shape.hatch,
  colour: z.string(),
  openColour: z.string(),
  look: Look,
  ml: number,
  grams: number,
  gated: z.boolean(),
  shows: z.object({ mouldFace: share, openFace: share }),
  chamber: z.object({ id, name: z.string(), from: number, to: number }).optional()
});

const Group = z.object({
  groupId: id,
  cavitySetId: id,
  name: z.string(),
  count: number,
  capacity: number,
  depth: number,
  domeMl: number,
  profile: z.array(z.tuple([number, number])),
  footprint: z.custom<import('../../mould').Footprint>(),
  layers: z.array(Layer),
  filled: number
});

const Base = z.object({
  baseId: id,
  name: z.string(),
  kind: z.string(),
  basis: z.string(),
  density: number,
  states: z.array(z.object({ state: z.string(), tell: z.string() })).readonly(),
  clockPart: z.string(),
  between: z
    .array(
      z.object({
        id,
        after: id,
        act: z.string(),
        rest: z.string(),
        how: z.string(),
        confirm: z.string(),
        attended: number,
        unattended: number,
        joins: z.literal(true).optional()
      })
    )
    .optional(),
  stirMinutes: number,
  cautions: z.array(z.string())
});

const Score = z.object({
  blocks: z.array(
    z.object({
      id,
      act: z.enum(['weigh', 'make', 'stir', 'fill', 'pour', 'do']),
      from: endless,
      to: endless,
      label: z.string(),
      cupId: z.string(),
      mixId: id.optional(),
      groupId: id.optional(),
      stepId: id.optional(),
      unattended: z.boolean().optional()
    })
  ),
  windows: z.array(
    z.object({ cupId: id, mixId: id, zero: endless, from: endless, to: endless, gels: endless })
  ),
  gates: z.array(
    z.object({
      gateId: id,
      stepId: id,
      turn: number,
      groupId: z.string(),
      cupId: id.optional(),
      state: z.string(),
      from: endless,
      opens: endless,
      minutes: endless,
      conditions: z.array(z.object({ words: z.string(), minutes: endless.optional() })),
      reckoned: z.enum(['plan', 'estimate'])
    })
  ),
  demould: z.array(
    z.object({ groupId: id, from: endless, to: endless, lastPour: endless, cured: endless.optional() })
  ),
  ends: endless,
  /** Absent in runs of rules 2 and 3. */
  done: endless.optional()
});

const Contrast = z.object({
  deltaE: number,
  lightness: number,
  verdict: z.enum(['clear', 'close', 'reads as one']),
  byLightness: z.boolean()
});

const Sums = z.array(z.object({ id, name: z.string(), grams: number }));

/** The planned figures of a run. */
export const RunFigures = z.object({
  bases: z.array(Base),
  groups: z.array(Group),
  cups: z.array(Cup),
  common: z.array(CommonMix),
  totals: z.object({
    parts: z.array(z.object({ key: id, name: z.string(), grams: number })),
    colourants: Sums,
    fillers: Sums,
    balance: Balance,
    pieces: number
  }),
  division: number.positive(),
  score: Score,
  lines: z.array(
    z.object({
      stepId: id,
      line: z.string(),
      act: z.string(),
      rest: z.string(),
      hint: z.string(),
      confirm: z.string(),
      measures: z.string().optional()
    })
  ),
  letDowns: z.array(
    z.object({
      baseId: id,
      colourantId: id,
      name: z.string(),
      parts: number,
      carrierName: z.string(),
      carrierKey: z.string(),
      uses: number,
      make: number,
      colourant: number,
      carrier: number,
      scaleId: id,
      division: number
    })
  ),
  order: z
    .object({
      good: number,
      rejects: number,
      from: z.enum(['typed', 'record', 'none']),
      cast: number,
      perTurn: number,
      turns: number,
      lastTurn: number.optional()
    })
    .optional(),
  cost: z.object({ total: number, perPiece: number, unknown: z.array(z.string()) }).optional(),
  cautions: z.array(z.string()),
  pairs: z.array(z.object({ a: id, b: id, letters: z.string(), contrast: Contrast })),
  needs: z.array(
    z.object({ key: id, name: z.string(), grams: number, inAll: number.optional(), short: z.boolean() })
  ),
  problems: z.array(
    z.object({
      code: z.string(),
      level: z.enum(['stop', 'warn', 'note']),
      path: z.string(),
      sentence: z.string(),
      mend: z.string()
    })
  )
});
export type RunFigures = z.output<typeof RunFigures>;

/** A cup, its mixes, a split mix, and a group of cavities, as a run keeps them; what is planned now has all of it and more. */
export type FigureCup = RunFigures['cups'][number];
export type FigureMix = FigureCup['mixes'][number];
export type FigureCommonMix = RunFigures['common'][number];
export type FigureGroup = RunFigures['groups'][number];

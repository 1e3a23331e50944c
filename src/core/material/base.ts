import { z } from 'zod';
import type { Behaviour } from '../cure';
import { ok, type Result } from '../problem';
import type { Colourant, Form } from './colourant';
import type { Compatibility } from './compatibility';
import type { Limit } from './definition';
import type { Formula } from './formula';
import type { Base as AnyCard } from './kinds';
import { materials } from './registry';

export type Base = AnyCard;
export type MaterialKind = Base['kind'];

/** A base card: the uncoloured material, read by its own kind's schema. */
export const Base: z.ZodType<Base> = z.unknown().transform((card, ctx): Base => {
  const kind = typeof card === 'object' && card !== null && 'kind' in card ? card.kind : undefined;
  const material = typeof kind === 'string' ? materials.find(kind) : undefined;
  if (!material) {
    ctx.addIssue({ code: 'invalid_union', errors: [], path: ['kind'], input: kind });
    return z.NEVER;
  }
  const read = material.schema.safeParse(card);
  if (read.success) return read.data as Base;
  for (const issue of read.error.issues) ctx.addIssue(issue as Parameters<typeof ctx.addIssue>[0]);
  return z.NEVER;
});

/** Resolves any base card to parts by weight, density and basis, and how its parts meet; or says why it cannot be. */
export function formulaOf(base: Base): Result<Formula> {
  const material = materials.of(base);
  const made = material.formula(base);
  return made.ok ? ok({ ...made.value, ...material.making(base) }) : made;
}

/** How a base passes through its states. @param joinedAt °C of its parts when they are joined; the room's when undefined */
export const behaviourOf = (base: Base, joinedAt?: number): Behaviour =>
  materials.of(base).behaviour(base, joinedAt);

/** The state at which a base carries the next layer. */
export const layerState = (base: Base): string => materials.of(base).carriesLayer;

/** The limit that holds for a colourant in a material, with its reason and whose figure it is. */
export function limitOf(colourant: Colourant, kind: string): Limit & { from: 'card' | 'usual' } {
  const { limits } = materials.of({ kind });
  const usual = limits[colourant.form] ?? limits.rest;
  return colourant.limit === undefined
    ? { ...usual, from: 'usual' }
    : { limit: colourant.limit, reason: colourant.limitReason || usual.reason, from: 'card' };
}

/** Most colourant a cup of a material holds in all, percent of its basis, and what goes wrong above it. */
export const cupLimitOf = (kind: string): Limit => materials.of({ kind }).limits.cup;

/** Whether a form of colourant belongs in a material. The maker's own trial card wins over it. */
export const compatibilityOf = (form: Form, kind: string): Compatibility =>
  materials.of({ kind }).compatibility[form];

/** The cautions that hold for a base: the material's usual ones and the card's own. */
export const cautionsOf = (base: Base): string[] => [
  ...new Set([...materials.of(base).cautions(base), ...base.cautions])
];

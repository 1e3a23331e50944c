import { z } from 'zod';
import { fail, ok, type Result } from '../problem';
import { formatQuantity, parseQuantity } from '../quantity';

/**
 * How much a layer takes in each cavity: so much more (millimetres, millilitres, a share of the capacity),
 * up to a level, to the rim, with a dome above it, or to the top of a zone of the cavity. Shares are fractions 0..1 of the cavity's capacity.
 */
export const Amount = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('deep'), mm: z.number().positive() }),
  z.object({ kind: z.literal('volume'), ml: z.number().positive() }),
  z.object({ kind: z.literal('share'), of: z.number().positive().max(1) }),
  z.object({ kind: z.literal('to level'), mm: z.number().positive() }),
  z.object({ kind: z.literal('to share'), of: z.number().positive().max(1) }),
  z.object({ kind: z.literal('rim') }),
  z.object({ kind: z.literal('dome') }),
  z.object({ kind: z.literal('zone'), zoneId: z.string().min(1).max(60) })
]);
export type Amount = z.infer<typeof Amount>;

/** Writes an amount as the maker types it: `4 mm`, `to 60 %`, `to the rim`. */
export function formatAmount(amount: Amount): string {
  const trim = (value: number, symbol: string) => formatQuantity(value, symbol, 2).replace(/\.?0+(?= )/, '');
  switch (amount.kind) {
    case 'deep':
      return trim(amount.mm, 'mm');
    case 'volume':
      return trim(amount.ml, 'ml');
    case 'share':
      return trim(amount.of, '%');
    case 'to level':
      return `to ${trim(amount.mm, 'mm')}`;
    case 'to share':
      return `to ${trim(amount.of, '%')}`;
    case 'rim':
      return 'to the rim';
    case 'dome':
      return 'to a dome';
    case 'zone':
      return `to zone ${amount.zoneId}`;
  }
}

/** Reads an amount: a length, a volume or a percentage, with `to` before it for a level, or `rim`. */
export function parseAmount(text: string, path = 'amount'): Result<Amount> {
  const said = text.trim().toLowerCase();
  if (/^(to )?(the )?(rim|brim|top|full)$/.test(said)) return ok({ kind: 'rim' });
  if (/^(to )?(a |the )?dome$/.test(said)) return ok({ kind: 'dome' });
  const zone = /^(to )?zone (.+)$/.exec(text.trim().replace(/^to /i, ''));
  if (zone) return ok({ kind: 'zone', zoneId: zone[2]! });
  const to = /^(up )?to (the )?/.exec(said)?.[0] ?? '';
  const read = parseQuantity(said.slice(to.length), { path });
  const mend = 'Type 4 mm, 3 ml, 20 %, to 11 mm, to 60 %, to the rim or to a dome.';
  if (!read.ok) return { ok: false, problem: { ...read.problem, mend } };
  const { kind, value } = read.value;
  if (!(value > 0)) {
    return fail({ code: 'amount-not-positive', path, sentence: `“${text}” pours nothing.`, mend });
  }
  if (kind === 'share' && value > 1) {
    return fail({
      code: 'amount-over-full',
      path,
      sentence: `“${text}” is more than the cavity holds.`,
      mend
    });
  }
  if (kind === 'length') return ok(to ? { kind: 'to level', mm: value } : { kind: 'deep', mm: value });
  if (kind === 'share') return ok(to ? { kind: 'to share', of: value } : { kind: 'share', of: value });
  if (kind === 'volume' && !to) return ok({ kind: 'volume', ml: value });
  return fail({ code: 'amount-kind', path, sentence: `“${text}” is not an amount a layer can take.`, mend });
}

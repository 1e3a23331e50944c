import { z } from 'zod';
import { fail, ok, type Result } from '../problem';
import { figure, parseQuantity, plainFractions, type Message } from '../quantity';

const mm = z.number().positive('must be more than nothing').max(10_000, 'is more than ten metres');

/**
 * How much a layer takes in each cavity: so much more (millimetres, millilitres, grams of what is poured, a share of the capacity),
 * up to a level, to the rim, with a dome above it, or to the top of a zone of the cavity. Shares are fractions 0..1 of the cavity's capacity.
 */
export const Amount = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('deep'), mm }),
  z.object({
    kind: z.literal('volume'),
    ml: z.number().positive('must be more than nothing').max(1_000_000)
  }),
  z.object({
    kind: z.literal('weight'),
    grams: z.number().positive('must be more than nothing').max(1_000_000)
  }),
  z.object({ kind: z.literal('share'), of: z.number().positive('must be more than nothing').max(1) }),
  z.object({ kind: z.literal('to level'), mm }),
  z.object({ kind: z.literal('to share'), of: z.number().positive().max(1) }),
  z.object({ kind: z.literal('rim') }),
  z.object({ kind: z.literal('dome') }),
  z.object({ kind: z.literal('zone'), zoneId: z.string().min(1).max(60) })
]);
export type Amount = z.infer<typeof Amount>;

/** Writes an amount as the maker types it: `4 mm`, `to 60 %`, `to the rim`. */
export function formatAmount(amount: Amount): Message {
  const two = (value: number) => Number(value.toFixed(2));
  switch (amount.kind) {
    case 'deep':
      return figure(two(amount.mm), 'mm');
    case 'volume':
      return figure(two(amount.ml), 'ml');
    case 'weight':
      return figure(two(amount.grams), 'g');
    case 'share':
      return `${two(amount.of * 100)} %`;
    case 'to level':
      return `to ${figure(two(amount.mm), 'mm')}`;
    case 'to share':
      return `to ${two(amount.of * 100)} %`;
    case 'rim':
      return 'to the rim';
    case 'dome':
      return 'to a dome';
    case 'zone':
      return `to zone ${amount.zoneId}`;
  }
}

const FORMS = [
  figure(4, 'mm'),
  figure(3, 'ml'),
  figure(5, 'g'),
  '20 %',
  '1/3',
  'half',
  `to ${figure(11, 'mm')}`,
  'to 60 %',
  'to the rim',
  'to a dome'
];
/** The forms an amount is typed in, for the field to say before anything is wrong. */
export const AMOUNT_FORMS: Message = FORMS.join(', ');
const MEND: Message = `Type ${FORMS.slice(0, -1).join(', ')} or ${FORMS.at(-1)}.`;

/** Shares as they are said; anything else with a stroke in it is read as a fraction. */
const SAID_SHARES: readonly (readonly [RegExp, number])[] = [
  [/^(a )?half$/, 1 / 2],
  [/^(a |one )?third$/, 1 / 3],
  [/^two thirds$/, 2 / 3],
  [/^(a |one )?quarter$/, 1 / 4],
  [/^three quarters$/, 3 / 4]
];

/** A share said as a word or a bare fraction of the cavity: `half`, `1/3`, `½`; undefined where it is neither. */
function shareSaid(said: string): number | undefined {
  const word = SAID_SHARES.find(([words]) => words.test(said));
  if (word) return word[1];
  const [, over, under] = /^(\d+)\s*\/\s*(\d+)$/.exec(plainFractions(said).trim()) ?? [];
  return over === undefined ? undefined : Number(over) / Number(under);
}

/** Reads an amount: a length, a volume, a weight or a percentage, with `to` before it for a level, or `rim`. */
export function parseAmount(text: string, path = 'amount'): Result<Amount> {
  const said = text.trim().toLowerCase();
  const place = placeSaid(said, text);
  if (place) return ok(place);
  const to = /^(up )?to (the )?/.exec(said)?.[0] ?? '';
  const share = shareSaid(said.slice(to.length).trim());
  if (share !== undefined && share > 0 && share <= 1)
    return ok(to ? { kind: 'to share', of: share } : { kind: 'share', of: share });
  const read = parseQuantity(said.slice(to.length), { path });
  if (!read.ok) return { ok: false, problem: { ...read.problem, mend: MEND } };
  const { kind, value } = read.value;
  const refuse = (code: 'amount-not-positive' | 'amount-over-full' | 'amount-kind', sentence: string) =>
    fail({ code, path, sentence, mend: MEND });
  if (!(value > 0)) return refuse('amount-not-positive', `“${text}” pours nothing.`);
  if (kind === 'share' && value > 1)
    return refuse('amount-over-full', `“${text}” is more than the cavity holds.`);
  const amount = amountOf(kind, value, to !== '');
  return amount ? ok(amount) : refuse('amount-kind', `“${text}” is not an amount a layer can take.`);
}

/** The rim, a dome or a zone, where that is what was typed. */
function placeSaid(said: string, text: string): Amount | undefined {
  if (/^(to )?(the )?(rim|brim|top|full)$/.test(said)) return { kind: 'rim' };
  if (/^(to )?(a |the )?dome$/.test(said)) return { kind: 'dome' };
  const zone = /^(to )?zone (.+)$/.exec(text.trim().replace(/^to /i, ''));
  return zone ? { kind: 'zone', zoneId: zone[2]! } : undefined;
}

function amountOf(kind: string, value: number, level: boolean): Amount | undefined {
  if (kind === 'length') return level ? { kind: 'to level', mm: value } : { kind: 'deep', mm: value };
  if (kind === 'share') return level ? { kind: 'to share', of: value } : { kind: 'share', of: value };
  if (level) return undefined;
  if (kind === 'mass') return { kind: 'weight', grams: value };
  return kind === 'volume' ? { kind: 'volume', ml: value } : undefined;
}

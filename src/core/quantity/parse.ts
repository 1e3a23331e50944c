import { figure, type Message } from '../message';
import { fail, ok, type ProblemCode, type Result } from '../problem';
import { NUMBER_PATTERN, plainFractions, readNumber } from './number';
import { plainNumbers } from './separators';
import { UNITS, unit, type Kind, type Unit } from './units';

/** A quantity in the internal unit of its kind (g, ml, mm, °C, min, bar, fraction, drops). */
export interface Quantity {
  kind: Kind;
  value: number;
  /** The symbol of the last unit typed, so that a field can answer in the maker's own unit. */
  symbol: string;
}

/** What the field expects: a kind, and the unit taken for a bare number. */
export interface Expectation {
  kind?: Kind;
  bare?: string;
  path?: string;
}

const BY_WORD = new Map(UNITS.flatMap((u) => u.words.map((w) => [w, u] as const)));
const TERM = new RegExp(
  String.raw`(${NUMBER_PATTERN})\s*([^\d\s.,+−-][^\d+−]*?)?(?=\s*[+]?\s*(?:\d|[.,]\d)|\s*$)`,
  'giu'
);
const KIND_WORDS: Record<Kind, string> = {
  mass: 'a weight (g, kg, oz, lb)',
  volume: 'a volume (ml, l, fl oz, cup, tbsp, tsp)',
  length: 'a length (mm, cm, in)',
  temperature: 'a temperature (°C, °F)',
  time: 'a time (min, h)',
  pressure: 'a pressure (bar, psi)',
  share: 'a percentage (%)',
  count: 'a number of drops'
};

/**
 * Reads what a maker types: `1/3 cup`, `2 1/2 oz`, `101 F`, `½ tsp`, `3 lb 4 oz`, `12 drops`, `1,5 kg`.
 * A bare number takes `expect.bare`. A bare `oz` is a weight where a weight is expected, fluid where a
 * volume is, and otherwise asks which. `1,000` asks too: it is one thousand to some and one to others. Thousands parted by
 * a space, an apostrophe, or by another mark than the decimals are read as they are meant. Parts are added only where each has
 * its unit and they go down, as in `1 lb 2.5 oz`, or where a plus says so.
 * @example parseQuantity('1/2 in').value.value // 12.7
 */
export function parseQuantity(text: string, expect: Expectation = {}): Result<Quantity> {
  const plain = plainNumbers(plainFractions(text).trim());
  const refuse = refusal(expect);
  if ('wrong' in plain)
    return refuse('quantity-unreadable', `“${plain.wrong}” is not a number Kirapen can read.`);
  if ('twoWays' in plain) {
    const { twoWays: number } = plain;
    return refuse(
      'quantity-comma',
      `“${text}” can be read two ways: the comma may part thousands or decimals.`,
      `Type ${text.trim().replace(number, number.replace(',', ''))} or ${text.trim().replace(number, number.replace(',', '.'))}.`
    );
  }
  const said = plain.text;
  if (!said) return refuse('quantity-empty', 'Nothing is typed here.', `Type ${wantsOf(expect)}.`);
  const terms = [...said.matchAll(TERM)];
  const letters = (s: string) => s.replace(/[\s+]/g, '').length;
  if (!terms.length || letters(said) !== letters(terms.map((t) => t[0]).join('')))
    return refuse('quantity-unreadable', `“${text}” is not a quantity Kirapen can read.`);
  const sum = summed(terms, text, expect);
  if (!sum.ok || !expect.kind || sum.value.kind === expect.kind) return sum;
  return refuse('quantity-kind', `“${text}” is not ${wantsOf(expect)}.`);
}

const wantsOf = (expect: Expectation) => (expect.kind ? KIND_WORDS[expect.kind] : 'a number with its unit');

/** Refusals of one text: the mend, where none is given, is what was expected with an example. */
const refusal = (expect: Expectation) => (code: ProblemCode, sentence: string, mend?: string) =>
  fail({
    code,
    path: expect.path ?? '',
    sentence,
    mend: mend ?? `Type ${wantsOf(expect)}, for example ${example(expect)}.`
  });

/** Kinds whose parts make no sum. */
const NEVER_ADDED = new Set<Kind>(['temperature', 'share', 'pressure']);

/** Why two parts are no one quantity; nothing where they are. Parts go down, each with its unit; a plus adds what is beside it. */
function noSum(
  last: Unit,
  next: Unit,
  { terms, text }: { terms: readonly RegExpMatchArray[]; text: string }
): [ProblemCode, string, string] | undefined {
  if (last.kind !== next.kind)
    return [
      'quantity-mixed',
      `“${text}” mixes ${KIND_WORDS[last.kind]} with ${KIND_WORDS[next.kind]}.`,
      'Use units of one kind.'
    ];
  const goesDown = next.factor < last.factor && terms.every((t) => t[2]?.trim());
  if (!NEVER_ADDED.has(last.kind) && (goesDown || text.includes('+'))) return undefined;
  return [
    'quantity-two',
    `“${text}” is more than one quantity.`,
    'Type one number with its unit, or parts that go down, such as 1 lb 2.5 oz.'
  ];
}

/** Terms such as `3 lb` and `4 oz` added up; refused where they are of two kinds, or no parts of one quantity. */
function summed(terms: readonly RegExpMatchArray[], text: string, expect: Expectation): Result<Quantity> {
  const refuse = refusal(expect);
  let total = 0;
  let last: Unit | undefined;
  for (const term of terms) {
    const number = readNumber(term[1] ?? '');
    const found = unitFor((term[2] ?? '').trim().toLowerCase(), expect);
    if (!found.ok) return { ok: false, problem: { ...found.problem, path: expect.path ?? '' } };
    if (!Number.isFinite(number)) return refuse('quantity-unreadable', `“${term[1]}” is not a number.`);
    const wrong = last && noSum(last, found.value, { terms, text });
    if (wrong) return refuse(...wrong);
    last = found.value;
    total += number * last.factor + (last.offset ?? 0);
  }
  return last
    ? ok({ kind: last.kind, value: total, symbol: last.symbol })
    : refuse('quantity-kind', `“${text}” is not ${wantsOf(expect)}.`);
}

function unitFor(word: string, expect: Expectation): Result<Unit> {
  if (!word) {
    if (expect.bare) return ok(unit(expect.bare));
    return fail({
      code: 'quantity-unit',
      path: '',
      sentence: 'The unit is missing.',
      mend: 'Add one, for example g or ml.'
    });
  }
  if (/^(oz|ounces?)$/.test(word)) {
    if (expect.kind === 'volume') return ok(unit('fl oz'));
    if (expect.kind !== 'mass') {
      return fail({
        code: 'quantity-ounce',
        path: '',
        sentence: 'An ounce can be a weight or a volume.',
        mend: 'Type “oz” in a weight field, or “fl oz” for the volume.'
      });
    }
  }
  const found = BY_WORD.get(word);
  if (found) return ok(found);
  return fail({
    code: 'quantity-unit',
    path: '',
    sentence: `“${word}” is not a unit Kirapen knows.`,
    mend: expect.kind ? `Use ${KIND_WORDS[expect.kind]}.` : 'Use g, ml, mm, °C or min, or their relatives.'
  });
}

function example(expect: Expectation): Message {
  const samples: Record<Kind, Message> = {
    mass: figure(12.5, 'g'),
    volume: '1/3 cup',
    length: figure(4, 'mm'),
    temperature: figure(21, '°C'),
    time: '90 min',
    pressure: '3 bar',
    share: '2.5 %',
    count: '12 drops'
  };
  return samples[expect.kind ?? 'mass'];
}

/**
 * Reads a count: a whole number from 1 to `most`.
 * @example parseCount('12', 400).value // 12
 */
export function parseCount(text: string, most: number): Result<number> {
  const said = text.trim();
  const count = Number(said);
  if (/^\d+$/.test(said) && count >= 1 && count <= most) return ok(count);
  return fail({
    code: 'count-not-whole',
    path: '',
    sentence: `“${text}” is not a whole number from 1 to ${most}.`,
    mend: 'Type how many, for example 6.'
  });
}

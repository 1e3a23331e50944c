import { readFileSync } from 'node:fs';
import { expect, it, describe } from 'vitest';
import { cards } from '$demo/cards';
import * as batch from './batch';
import * as colour from './colour';
import * as cure from './cure';
import * as dosing from './dosing';
import { formulaOf } from './material';
import * as pattern from './pattern';
import * as quantity from './quantity';

const ROOMS = { quantity, dosing, batch, cure, colour, pattern };

/** What no line can hold: it takes a whole plan, a casting or a search. Their own tests are their examples. */
const TOO_LARGE = new Set([
  'planLetDowns',
  'spread',
  'weighOutCup',
  'heldParts',
  'matching',
  'asWeighed',
  'predictedCard',
  'dirtyPour',
  'swirledThrough',
  'Casting',
  'Engine',
  'Prism',
  'drawing',
  'stroke',
  'tumbling'
]);

/** A card of the demo's shelf by its id. */
const find =
  <T extends { id: string }>(all: readonly T[]) =>
  (id: string): T => {
    const found = all.find((x) => x.id === id);
    if (!found) throw new Error(`the demo’s shelf has no ${id}`);
    return found;
  };
const base = find(cards.bases);
const formula = (id: string) => {
  const made = formulaOf(base(id));
  if (!made.ok) throw new Error(made.problem.sentence);
  return made.value;
};
const SCOPE = {
  ...Object.assign({}, ...Object.values(ROOMS)),
  base,
  formula,
  colourant: find(cards.colourants)
};

const run = (code: string): unknown =>
  new Function(...Object.keys(SCOPE), `return (${code})`)(...Object.values(SCOPE));

/** Figures to five digits that count: what a line of a docstring can hold. */
const rounded = (x: unknown): string =>
  JSON.stringify(x, (_, v) => (typeof v === 'number' ? Number(v.toPrecision(5)) : v)) ?? 'undefined';

const files = Object.values(
  import.meta.glob(
    ['./{quantity,dosing,batch,cure,colour,pattern}/**/*.ts', './message.ts', '!./**/*.test.ts'],
    {
      query: '?url',
      eager: true,
      import: 'default'
    }
  ) as Record<string, string>
);
const examples = files.flatMap((file) =>
  [...readFileSync(file.replace(/^\//, ''), 'utf8').matchAll(/@example (.+?) \/\/ (.+)\n/g)].map(
    ([, code, answer]) => ({ code: code!, answer: answer! })
  )
);

describe('an example in a docstring', () => {
  it.each(examples.map((e) => [e.code, e.answer]))('%s is %s', (code, answer) => {
    expect(rounded(run(code))).toBe(rounded(run(answer)));
  });

  it('stands with every public function of these rooms', () => {
    const shown = new Set(examples.flatMap(({ code }) => code.match(/[A-Za-z]+/g) ?? []));
    const missing = Object.values(ROOMS).flatMap((room) =>
      Object.entries(room).flatMap(([name, value]) =>
        typeof value === 'function' && !shown.has(name) && !TOO_LARGE.has(name) && !('parse' in value)
          ? [name]
          : []
      )
    );
    expect(missing).toEqual([]);
  });
});

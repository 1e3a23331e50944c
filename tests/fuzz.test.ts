import { times } from '$core/soak.testing';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { cards } from '../demo/cards';
import { tideline } from '../demo/orders/tideline-knobs';
import { dice } from './dice';
import { Workshop } from './workshop';

const DOCUMENTS = times(300, 5000);
const roll = dice(4711);

let workshop: Workshop;
beforeAll(async () => {
  workshop = await Workshop.serve({ demo: true });
});
afterAll(() => workshop.close());

type Target = { method: string; path: string; document: unknown };
const file = { format: 'kirapen.plan', version: 2, plan: tideline, shelf: cards };
const note = { id: 'note-000001', at: 5, type: 'note', text: 'fine' };
const TARGETS: Target[] = [
  { method: 'POST', path: '/compute', document: file },
  { method: 'POST', path: '/plans/import', document: file },
  { method: 'PUT', path: '/plans/tideline-knobs', document: tideline },
  { method: 'POST', path: '/plans', document: tideline },
  { method: 'POST', path: '/runs', document: { planId: 'tideline-knobs', id: 'fuzzed-run' } },
  {
    method: 'POST',
    path: '/runs/tideline-third/events',
    document: [note, { ...note, id: 'w-0000001', type: 'weighed', task: 'x', grams: 3 }]
  },
  { method: 'POST', path: '/match', document: { target: '#5b7d95', baseId: 'bar-soap', colourants: 1 } },
  { method: 'PATCH', path: '/bases/clear-quick', document: { edits: [{ path: ['stirMinutes'], value: 3 }] } },
  ...(['bases', 'moulds', 'colourants', 'scales', 'lots'] as const).flatMap((kind): Target[] => {
    const card = cards[kind]?.[0];
    return card
      ? [
          { method: 'PUT', path: `/${kind}/${card.id}`, document: card },
          { method: 'POST', path: `/${kind}`, document: card }
        ]
      : [];
  })
];

const nested = (deep: number): unknown => (deep ? [nested(deep - 1)] : []);
const ODD: (() => unknown)[] = [
  () => null,
  () => '',
  () => -1,
  () => 0,
  () => 1e308,
  () => 1e-308,
  () => 2 ** 53,
  () => true,
  () => [],
  () => ({}),
  () => '__proto__',
  () => 'constructor',
  () => 'a/b',
  () => '..',
  () => '\u0000\ud800',
  () => 'x'.repeat(20_000),
  () => Array.from({ length: 3000 }, () => ({ id: 'same' })),
  () => nested(25),
  () => JSON.parse('{"__proto__":{"id":"x"},"constructor":{"prototype":1}}')
];

/** Every place in a document: the thing that holds it, and its key. */
function places(x: unknown): [Record<string, unknown>, string][] {
  if (typeof x !== 'object' || x === null) return [];
  const own = x as Record<string, unknown>;
  return Object.keys(own).flatMap((k) => [[own, k] as [Record<string, unknown>, string], ...places(own[k])]);
}

function mutated(document: unknown): unknown {
  const copy = structuredClone(document);
  for (let n = 1 + roll(3); n > 0; n--) {
    const all = places(copy);
    const [holder, key] = all[roll(all.length)] ?? [];
    if (!holder || key === undefined) return ODD[roll(ODD.length)]!();
    const way = roll(4);
    if (way === 0) delete holder[key];
    else if (way === 1) {
      const [from, other] = all[roll(all.length)]!;
      holder[key] = structuredClone(from[other]);
    } else holder[key] = ODD[roll(ODD.length)]!();
  }
  return copy;
}

/** What no answer may tell: where files lie, or the lines of the program. */
const TELLS = /node_modules|\/src\/|\/build\/|file:\/\/|\n\s+at \S+ \(|SQLITE|drizzle/;

async function ask({ method, path, document }: Target): Promise<string[]> {
  const body = JSON.stringify(mutated(document)) ?? 'undefined';
  const what = `${method} ${path} ${body.slice(0, 400)}`;
  const response = await fetch(`${workshop.address}/api/v1${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    body
  });
  const text = await response.text();
  const wrong: string[] = [];
  if (response.status >= 500) wrong.push(`${response.status} to ${what}: ${text.slice(0, 200)}`);
  if (TELLS.test(text)) wrong.push(`tells too much to ${what}: ${TELLS.exec(text)?.[0]}`);
  if (response.status >= 400) {
    const problems = (JSON.parse(text) as { problems?: { sentence: string; mend?: string }[] }).problems;
    if (!problems?.length || problems.length > 51 || problems.some((p) => !p.sentence))
      wrong.push(`no plain problems to ${what}: ${text.slice(0, 200)}`);
  }
  return wrong;
}

describe('mutated documents', () => {
  it(
    `${DOCUMENTS} of them are answered in words, and leave everything readable`,
    { timeout: 900_000 },
    async () => {
      const wrong: string[] = [];
      let left = DOCUMENTS;
      let slowest = { ms: 0, path: '' };
      const client = async () => {
        while (left-- > 0) {
          const target = TARGETS[left % TARGETS.length]!;
          const start = performance.now();
          wrong.push(...(await ask(target)));
          const ms = performance.now() - start;
          if (ms > slowest.ms) slowest = { ms, path: target.path };
        }
      };
      await Promise.all(Array.from({ length: 4 }, client));
      console.log(
        `${DOCUMENTS} documents; the slowest answer took ${slowest.ms.toFixed(0)} ms (${slowest.path})`
      );
      expect(wrong.slice(0, 5)).toEqual([]);

      const plans = (await (await fetch(`${workshop.address}/api/v1/plans`)).json()) as { id: string }[];
      for (const { id } of plans) {
        const found = await fetch(`${workshop.address}/api/v1/plans/${encodeURIComponent(id)}`);
        expect([id, found.status]).toEqual([id, 200]);
      }
      for (const page of ['/plans', '/shelf', '/record', '/workshop', '/run/tideline-third'])
        expect((await fetch(workshop.address + page)).status).toBe(200);
    }
  );
});

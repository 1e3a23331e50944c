/**
 * npm run figures -- write FILE | compare FILE: every figure and every sentence of the demo's orders, the fixtures of
 * version 1, every technique and 500 random plans, written down before a change of structure and compared after it, to the
 * last digit. Names of fields do not count, nor what a problem carries beside its words.
 */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import fc from 'fast-check';
import { cards } from '../demo/cards';
import { plans } from '../demo/plans';
import { mixed, withBase } from '../src/core/plan/plans.testing';
import { computePlan, Plan, PlanFile } from '../src/core/plan';
import { pieceOf, wholePicture, type Face } from '../src/core/piece';
import { TECHNIQUES } from '../src/core/pour';
import { metricWords } from '../src/core/quantity';
import { freeze } from '../src/core/run';
import { planOf, type Ink } from './lib/own-ways';

type Shelf = typeof cards;

/** A problem by what a maker reads of it. */
const problemOf = (p: Record<string, unknown>) => [p.code, p.level, p.path, p.sentence, p.mend, p.edit];

/** Numbers, truths and sentences of a value, in order, whatever its fields are called. */
function* read(value: unknown): Generator<string> {
  if (typeof value === 'number' || typeof value === 'boolean') yield String(value);
  else if (typeof value === 'string') yield metricWords(value);
  else if (value instanceof Map || value instanceof Set) for (const x of value) yield* read(x);
  else if (Array.isArray(value)) for (const x of value) yield* read(x);
  else if (value && typeof value === 'object') {
    const own = value as Record<string, unknown>;
    if ('code' in own && 'sentence' in own) yield* read(problemOf(own));
    else for (const x of Object.values(own)) yield* read(x);
  }
}

const digest = (lines: Iterable<string>): string =>
  createHash('sha256')
    .update([...lines].join('\n'))
    .digest('hex')
    .slice(0, 16);

function figuresOf(plan: Plan, shelf: Shelf): string[] {
  const { computed, tasks } = freeze(plan, shelf);
  return [...read(computed), ...read(tasks)];
}

const FACES: Face[] = [{ kind: 'mould face' }, { kind: 'open face' }, { kind: 'cut', heading: 20, off: 0 }];

function* pictures(plan: Plan): Generator<string> {
  const piece = pieceOf(plan, cards, {}, {});
  if (!piece) return;
  for (const face of FACES) {
    const { rgba, shows, labels } = wholePicture(piece, face, { size: 120 });
    yield digest([Buffer.from(rgba).toString('base64')]);
    yield* read([shows, labels]);
  }
}

const fixtureFolder = 'src/core/document/migrate/fixtures';
const fixtures = readdirSync(fixtureFolder).map((name) => {
  const { file } = JSON.parse(readFileSync(`${fixtureFolder}/${name}`, 'utf8')) as { file: unknown };
  const { plan, shelf } = PlanFile.parse(file);
  return { name, plan, shelf: shelf as Shelf };
});

/** Plans of any material, mould and recipe, each and split, with or without what they wait for. */
const anyPlan = fc
  .record({
    plan: fc.constantFrom(...plans),
    base: fc.option(fc.constantFrom(...cards.bases.map((b) => b.id).sort())),
    way: fc.constantFrom('as it is' as const, 'each' as const, 'split' as const),
    scale: fc.constantFrom(...cards.scales.map((s) => s.id)),
    count: fc.integer({ min: 1, max: 30 }),
    percents: fc.array(fc.integer({ min: 0, max: 120 }), { minLength: 6, maxLength: 6 }),
    ungated: fc.boolean(),
    room: fc.integer({ min: 12, max: 30 })
  })
  .map(({ plan, base, way, scale, count, percents, ungated, room }): Plan => {
    const own = base === null ? plan : withBase(plan, base);
    const whole = way === 'as it is' ? own : mixed(own, way);
    return {
      ...whole,
      bench: { ...whole.bench, scaleIds: [scale], roomCelsius: room },
      groups: whole.groups.map((g) => ({ ...g, count })),
      cups: whole.cups.map((c) => ({
        ...c,
        recipe: c.recipe.map((l, i) => ({ ...l, percent: percents[i % 6]! / 10 }))
      })),
      steps: whole.steps.map((s) => (ungated ? { ...s, gates: [] } : s))
    };
  });

const INKS: readonly Ink[] = ['foam', 'heron', 'ochre', 'brick', 'mudflat'];
const techniques = [...TECHNIQUES]
  .sort((a, b) => (a.id < b.id ? -1 : 1))
  .map((t) => ({ name: t.id, plan: planOf({ id: t.id, inks: INKS }) }));

const all = new Map<string, string[]>();
for (const plan of plans) all.set(`order ${plan.id}`, [...figuresOf(plan, cards), ...pictures(plan)]);
for (const { name, plan, shelf } of fixtures) all.set(`fixture ${name}`, figuresOf(plan, shelf));
for (const { name, plan } of techniques)
  all.set(`technique ${name}`, [...figuresOf(plan, cards), ...pictures(plan)]);
fc.sample(anyPlan, { seed: 20261130, numRuns: 500 }).forEach((plan, i) => {
  all.set(`random ${i}`, [...read(computePlan(plan, cards))]);
});

const [way, file] = process.argv.slice(2);
if (!file || (way !== 'write' && way !== 'compare')) {
  console.error('Say which: npm run figures -- write FILE, or npm run figures -- compare FILE');
  process.exit(2);
}
if (way === 'write') {
  writeFileSync(file, JSON.stringify(Object.fromEntries(all)));
  console.log(`${all.size} plans written to ${file}: ${digest([...all.values()].flat())}`);
} else {
  const before = JSON.parse(readFileSync(file, 'utf8')) as Record<string, string[]>;
  const differ = [...all].flatMap(([name, now]) => {
    const then = before[name] ?? [];
    const at = now.findIndex((x, i) => x !== then[i]);
    if (at < 0 && now.length === then.length) return [];
    const from = Math.max(0, (at < 0 ? Math.min(now.length, then.length) : at) - 3);
    return [
      `${name}\n  before: ${then.slice(from, from + 8).join(' | ')}\n  now:    ${now.slice(from, from + 8).join(' | ')}`
    ];
  });
  for (const line of differ.slice(0, 12)) console.log(line);
  console.log(`${all.size - differ.length} of ${all.size} plans come to the same figures`);
  process.exit(differ.length ? 1 : 0);
}

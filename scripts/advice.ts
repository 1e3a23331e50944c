// npm run advice: how far the warnings can be trusted, by material, technique and mistake, with every miss and false alarm.
import { cards } from '../demo/cards';
import { judgedRuns } from '../src/core/advice/bench-corpus';
import { wellMade } from '../src/core/advice/well-made';
import { figuresOfAdvice, judgedCorpus, type Judged } from '../src/core/advice/corpus';

const right = await wellMade({ ...cards, lots: [] });
const cases = judgedCorpus(right);
const runs = judgedRuns(right);
const percent = (x: number) => `${(x * 100).toFixed(1)} %`.padStart(8);

function table(title: string, keyOf: (c: Judged) => string | undefined): void {
  console.log(`\n${title.padEnd(46)}   cases  recall    precision silence   mends`);
  const keys = [...new Set(cases.flatMap((c) => keyOf(c) ?? []))].sort();
  for (const key of keys) {
    const f = figuresOfAdvice(cases.filter((c) => keyOf(c) === key));
    console.log(
      `${key.padEnd(46)} ${String(f.cases).padStart(7)} ${percent(f.recall)}  ${percent(f.precision)} ${percent(f.silence)} ${percent(f.mends)}`
    );
  }
}

table('by material', (c) => c.material);
table('by technique', (c) => c.technique);
table('by mistake', (c) => c.mistake);
console.log('\nmissed');
for (const c of cases) if (c.missed.length) console.log(`  ${c.id}: ${c.missed.join(' or ')}`);
console.log('\nfalse alarms');
for (const c of cases) if (c.false.length) console.log(`  ${c.id}: ${c.false.join(', ')}`);
console.log('\nsaid of plans that are right, before their own mends');
for (const c of cases) if (c.asMade.length) console.log(`  ${c.id}: ${c.asMade.join(', ')}`);
console.log('\nmends that do not mend');
for (const c of cases) for (const bad of c.badMends) console.log(`  ${c.id}: ${bad}`);
const all = figuresOfAdvice(cases);
console.log(
  `\n${all.cases} cases: recall${percent(all.recall)}, precision${percent(all.precision)}, silence${percent(all.silence)} (before their own mends${percent(all.silenceAsMade)}), a mend beside${percent(all.mends)}`
);

const slipped = runs.filter((r) => r.slip);
const untold = slipped.filter((r) => r.missed.length);
const late = slipped.filter((r) => r.false.length);
const quiet = runs.filter((r) => !r.slip && !r.false.length).length;
const noCause = cases.filter((c) => c.noCause.length);
console.log('\nat the bench: missed');
for (const r of untold) console.log(`  ${r.id}: ${r.missed.join(' or ')}`);
console.log('\nat the bench: something else named before it');
for (const r of late) console.log(`  ${r.id}: ${r.false.join(', ')}`);
console.log('\nat the bench: named of a run that went to plan');
for (const r of runs) if (!r.slip && r.false.length) console.log(`  ${r.id}: ${r.false.join(', ')}`);
console.log('\npoured past a warning, and no cause or no change of it');
for (const c of noCause) console.log(`  ${c.id}: ${c.noCause.join(', ')}`);
console.log(
  `\n${runs.length} runs: recall${percent(1 - untold.length / slipped.length)}, first${percent(1 - late.length / slipped.length)}, silence${percent(quiet / (runs.length - slipped.length))}; a warning poured past is a cause in${percent(1 - noCause.length / cases.length)} of the plans`
);

// npm run break -- src/core/batch [15] [seed]: breaks lines of a folder one at a time (a sign, a swapped min and max,
// another limit, a removed check) and says which of them no test of the core notices. Work in a clone: it writes the
// broken line into the file, and puts the file back after each.
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

const [folder, many = '15', seed = '1'] = process.argv.slice(2);
if (!folder) {
  console.error('Name a folder or a file: npm run break -- src/core/batch');
  process.exit(1);
}

const SWAPS = {
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
  '<': '>=',
  '>': '<=',
  '<=': '>',
  '>=': '<',
  '&&': '||',
  '||': '&&',
  '===': '!==',
  '!==': '==='
};

/** Every place of a source file that can be broken: where it stands, and what stands there instead. */
function breakages(file) {
  const text = readFileSync(file, 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found = [];
  const add = (node, instead) => found.push({ file, from: node.getStart(), to: node.getEnd(), instead });
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const swap = SWAPS[node.operatorToken.getText()];
      const words = ts.isStringLiteralLike(node.left) || ts.isTemplateExpression(node.left);
      if (swap && !words) add(node.operatorToken, swap);
    } else if (ts.isNumericLiteral(node)) add(node, node.text === '0' ? '1' : `${Number(node.text) * 1.5}`);
    else if (ts.isPropertyAccessExpression(node) && node.expression.getText() === 'Math')
      if (node.name.text === 'min') add(node.name, 'max');
      else if (node.name.text === 'max') add(node.name, 'min');
    if (ts.isIfStatement(node)) add(node.expression, 'false');
    if (ts.isConditionalExpression(node)) add(node.condition, `!(${node.condition.getText()})`);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const filesOf = (path) =>
  statSync(path).isFile() ? [path] : readdirSync(path).flatMap((name) => filesOf(join(path, name)));

/** The same numbers for the same seed (mulberry32). */
function random(state) {
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

const all = filesOf(folder)
  .filter((f) => f.endsWith('.ts') && !/\.test\.ts$|\.testing\.ts$/.test(f))
  .flatMap(breakages);
const next = random(Number(seed));
const taken = Array.from(
  { length: Math.min(Number(many), all.length) },
  () => all.splice(Math.floor(next() * all.length), 1)[0]
);

const run = (...args) =>
  spawnSync('npx', ['vitest', 'run', '--bail=1', ...args], { timeout: 600_000 }).status === 0;
// The slowest tests, of the match, hold the colours alone.
const others = folder.includes('/colour') ? [] : ['--exclude', 'src/core/colour/match/match.test.ts'];
/** The tests beside the line first: they fall soonest. */
const green = () => run(folder, 'src/core/plan', ...others) && run('src/core', ...others);

if (!green()) {
  console.error('The tests of the core fail already: nothing can be said. Run npm test.');
  process.exit(1);
}
let caught = 0;
for (const { file, from, to, instead } of taken) {
  const text = readFileSync(file, 'utf8');
  writeFileSync(file, text.slice(0, from) + instead + text.slice(to));
  const fell = !green();
  writeFileSync(file, text);
  if (fell) caught++;
  const line = text.slice(0, from).split('\n').length;
  const was = text.split('\n')[line - 1].trim();
  console.log(
    `${fell ? 'caught' : 'MISSED'}  ${file}:${line}  ${text.slice(from, to)} -> ${instead}   ${was}`
  );
}
console.log(`${folder}: ${caught} of ${taken.length} caught`);

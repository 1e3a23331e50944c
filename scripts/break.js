// npm run break -- src/core/batch [15] [seed]: breaks lines of a folder one at a time (a sign, a swapped min and max,
// another limit, a removed check) and says which of them no test of the core notices.
// npm run break -- --sample [2]: so many lines of every folder of the core, other ones every week; fails under 90 % caught.
// Work in a clone: it writes the broken line into the file, and puts the file back after each.
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { daysToNewestCommit } from './lib/commit.js';

const CORE = 'src/core';
/** Of a sample, the share that has to be caught. */
const FLOOR = 0.9;

const [folder, many, seed] = process.argv.slice(2);
if (!folder) {
  console.error('Name a folder or a file: npm run break -- src/core/batch, or npm run break -- --sample');
  process.exit(1);
}
const sample = folder === '--sample';

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

/** A sample is the same for everybody, and another one next week. */
const week = () => Math.floor(daysToNewestCommit() / 7);

/** So many places of a folder, by a seed. */
function takenFrom(path, count, from) {
  const all = filesOf(path)
    .filter((f) => f.endsWith('.ts') && !/\.test\.ts$|\.testing\.ts$/.test(f))
    .flatMap(breakages);
  const next = random(from);
  return Array.from(
    { length: Math.min(count, all.length) },
    () => all.splice(Math.floor(next() * all.length), 1)[0]
  );
}

/** Whether every test of the core that a file is part of passes: the nearest folder first, which falls soonest. */
function green(file) {
  const run = (...args) =>
    spawnSync('npx', ['vitest', ...args, '--project', 'core', '--bail=1'], { timeout: 900_000 }).status === 0;
  return (
    run('run', file.split('/').slice(0, 3).join('/'), '--passWithNoTests') && run('related', file, '--run')
  );
}

/** Breaks one place, and says whether a test fell. */
function isCaught({ file, from, to, instead }) {
  const text = readFileSync(file, 'utf8');
  writeFileSync(file, text.slice(0, from) + instead + text.slice(to));
  const caught = !green(file);
  writeFileSync(file, text);
  const line = text.slice(0, from).split('\n').length;
  const was = text.split('\n')[line - 1].trim();
  console.log(
    `${caught ? 'caught' : 'MISSED'}  ${file}:${line}  ${text.slice(from, to)} -> ${instead}   ${was}`
  );
  return caught;
}

const folders = sample
  ? readdirSync(CORE)
      .map((name) => join(CORE, name))
      .filter((path) => statSync(path).isDirectory())
  : [folder];
const places = folders.map((path) => [
  path,
  takenFrom(path, Number(many ?? (sample ? 1 : 15)), sample ? week() : Number(seed ?? 1))
]);
let [caught, all] = [0, 0];
for (const [path, taken] of places) {
  const fell = taken.filter(isCaught).length;
  caught += fell;
  all += taken.length;
  console.log(`${path}: ${fell} of ${taken.length} caught`);
}
console.log(`${caught} of ${all} caught`);
if (sample && caught < FLOOR * all) process.exit(1);

import { spawnSync } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import { ESLint } from 'eslint';
import { afterEach, describe, expect, it } from 'vitest';

// Each rule is proved with a deliberate violation: a rule that passes everything protects nothing.
describe('the core’s purity, by the linter', () => {
  const eslint = new ESLint();
  it.each([
    ['Date.now()', 'export const now = (): number => Date.now();'],
    ['new Date()', 'export const now = (): Date => new Date();'],
    ['Math.random()', 'export const dice = (): number => Math.random();'],
    ['fetch', "export const ask = (): unknown => fetch('/');"],
    ['the DOM', 'export const page = (): unknown => document.body;'],
    ['the server', "import { store } from '$lib/server/store';\nexport const s = store;"],
    ['Node', "import { readFileSync } from 'node:fs';\nexport const r = readFileSync;"]
  ])('refuses %s', async (_, code) => {
    const [report] = await eslint.lintText(code, { filePath: 'src/core/mould/proof.ts' });
    expect(report!.messages.map((m) => m.ruleId)).toEqual([expect.stringMatching(/^no-restricted-/)]);
  });
});

describe('which material it is', () => {
  const eslint = new ESLint();
  const asks = "export const is = (k: string): boolean => k === 'soap' || ['resin'].includes(k);";
  it.each([
    ['src/core/plan/proof.ts', 2],
    ['src/lib/proof.ts', 2],
    ['src/core/material/kinds/resin/proof.ts', 0]
  ])('%s may ask %i times', async (filePath, times) => {
    const [report] = await eslint.lintText(asks, { filePath });
    expect(report!.messages.filter((m) => m.ruleId === 'no-restricted-syntax')).toHaveLength(times);
  });
});

describe('who may import whom', () => {
  const planted: string[] = [];
  const plant = (path: string, code: string) => {
    writeFileSync(path, code);
    planted.push(path);
  };
  afterEach(() => {
    for (const path of planted.splice(0)) rmSync(path);
  });

  it('refuses a core that looks outside, an interface that reaches into the server, stray demo data', () => {
    plant(
      'src/core/proof-of-rule.ts',
      "import { store } from '$lib/server/store';\nexport const s = store;\n"
    );
    plant(
      'src/lib/proof-of-rule.ts',
      "import { store } from '$lib/server/store';\nexport const s = store;\n"
    );
    plant(
      'src/core/material/proof-of-rule.ts',
      "import { computePlan } from '../plan';\nexport const c = computePlan;\n"
    );
    plant(
      'src/core/document/migrate/proof-of-rule.ts',
      "import { Id } from '../../id';\nexport const i = Id;\n"
    );
    plant('src/lib/proof-of-demo.ts', "import { cards } from '$demo/cards';\nexport const c = cards;\n");
    // What the planted files import is looked at, and no further.
    const said = spawnSync(
      'npx',
      ['depcruise', ...planted, '--config', '.dependency-cruiser.cjs', '--max-depth', '1'],
      { encoding: 'utf8' }
    );
    expect(said.status).not.toBe(0);
    for (const rule of [
      'core-stands-alone',
      'interface-not-server',
      'demo-only-by-its-loader',
      'material-imports-nothing-above-it',
      'migrations-are-frozen'
    ])
      expect(said.stdout).toContain(rule);
  });
});

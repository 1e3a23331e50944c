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
    plant('src/lib/proof-of-demo.ts', "import { cards } from '$demo/cards';\nexport const c = cards;\n");
    const said = spawnSync('npx', ['depcruise', 'src', '--config', '.dependency-cruiser.cjs'], {
      encoding: 'utf8'
    });
    expect(said.status).not.toBe(0);
    for (const rule of ['core-stands-alone', 'interface-not-server', 'demo-only-by-its-loader'])
      expect(said.stdout).toContain(rule);
  }, 60_000);
});

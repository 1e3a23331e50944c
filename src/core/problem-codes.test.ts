import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { PROBLEMS } from './problem-codes';

function sources(dir: string): string[] {
  return readdirSync(dir).flatMap((name) => {
    const path = join(dir, name);
    if (statSync(path).isDirectory()) return sources(path);
    return /\.(ts|svelte)$/.test(name) && !name.includes('.test') ? [path] : [];
  });
}

const text = sources('src')
  .filter((path) => !path.endsWith('problem-codes.ts'))
  .map((path) => readFileSync(path, 'utf8'))
  .join('\n');

describe('the table of problems', () => {
  it.each(Object.keys(PROBLEMS))('%s is said somewhere', (code) => {
    // What a plan names and the shelf has not is said by one rule for every kind of thing.
    const what = /^(.+)-missing$/.exec(code)?.[1];
    const byRule = what !== undefined && new RegExp(`missing\\([^)]*'${what}',`).test(text);
    expect(byRule || text.includes(`'${code}'`)).toBe(true);
  });

  it('writes every code in small letters with hyphens, and says when it is said', () => {
    for (const [code, { levels, when }] of Object.entries(PROBLEMS)) {
      expect(code).toMatch(/^[a-z]+(-[a-z]+)*$/);
      expect(levels.length).toBeGreaterThan(0);
      expect(when).toMatch(/^[a-z0-9].*[^.]$/);
    }
  });
});

import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

/** Paths of this repository that a page names in backticks. */
const pathsIn = (text: string): string[] =>
  [...text.matchAll(/`((?:src|tests|scripts|docs|demo)\/[^`\s*]+)`/g)]
    .map((m) => m[1]!)
    .filter((path) => !/[A-Z]{4}/.test(path));

const pages = [
  'README.md',
  ...readdirSync('docs')
    .filter((f) => f.endsWith('.md'))
    .map((f) => `docs/${f}`)
];

describe('the documentation', () => {
  it.each(pages)('%s names only what is there', (page) => {
    expect(pathsIn(readFileSync(page, 'utf8')).filter((path) => !existsSync(path))).toEqual([]);
  });

  it('says of everything that can be added which files it takes', () => {
    const text = readFileSync('docs/extending.md', 'utf8');
    for (const what of [
      'An act',
      'A material',
      'A technique',
      'A cause',
      'A rule',
      'A screen',
      'A unit',
      'A field of the plan'
    ])
      expect(text).toContain(`## ${what}\n`);
    // An act and a material take a folder and one line: what the toy tests add without either.
    expect(pathsIn(text)).toEqual(
      expect.arrayContaining(['src/core/pour/acts/index.ts', 'src/core/material/kinds/index.ts'])
    );
  });

  it('has a word for each thing once', () => {
    const words = [...readFileSync('docs/glossary.md', 'utf8').matchAll(/^- \*\*([^*]+)\*\*/gm)].map(
      (m) => m[1]
    );
    expect(new Set(words).size).toBe(words.length);
    expect(words.length).toBeGreaterThan(60);
  });
});

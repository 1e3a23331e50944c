// npm run schemas: writes the documented formats from the schemas and tables that the code works with.
// With --check it only compares, and fails when a file is out of date.
import { readFileSync, writeFileSync } from 'node:fs';
import { PROBLEMS } from '../src/core/problem-codes';
import { openapi } from '../src/lib/server/openapi';
import { planFileSchema } from '../src/lib/server/openapi/plan-schema';

const json = (document: object) => `${JSON.stringify(document, null, 2)}\n`;

/** The codes of every problem as a page to read, in the order of the table. */
const problemCodes = () =>
  [
    '# Problem codes',
    '',
    'Every problem in a plan, a run or a request, by its code. `stop` makes the figures unusable, `warn` risks the',
    'piece, `note` is worth knowing. What a schema finds in a document is `input-…` with the kind of fault after it,',
    'and is always `stop`.',
    '',
    ...Object.entries(PROBLEMS).map(
      ([code, { levels, when }]) => `- \`${code}\` (${levels.join(' or ')}): ${when}`
    ),
    ''
  ].join('\n');

const files = {
  'docs/formats/plan.schema.json': json({
    $id: 'kirapen.plan',
    title: 'Kirapen plan file, version 2',
    ...planFileSchema()
  }),
  'docs/formats/openapi.json': json(openapi()),
  'docs/formats/problem-codes.md': problemCodes()
};

let stale = false;
for (const [path, text] of Object.entries(files)) {
  if (!process.argv.includes('--check')) writeFileSync(path, text);
  else if (readFileSync(path, 'utf8') !== text) {
    console.error(`${path} is out of date.`);
    stale = true;
  }
}
if (stale) process.exit(1);

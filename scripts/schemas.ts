// npm run schemas: writes the documented formats from the schemas that the code validates with.
// With --check it only compares, and fails when a file is out of date.
import { readFileSync, writeFileSync } from 'node:fs';
import { openapi } from '../src/lib/server/openapi';
import { planFileSchema } from '../src/lib/server/plan-schema';

const files = {
  'docs/formats/plan.schema.json': {
    $id: 'kirapen.plan',
    title: 'Kirapen plan file, version 2',
    ...planFileSchema()
  },
  'docs/formats/openapi.json': openapi()
};

let stale = false;
for (const [path, document] of Object.entries(files)) {
  const text = `${JSON.stringify(document, null, 2)}\n`;
  if (!process.argv.includes('--check')) writeFileSync(path, text);
  else if (readFileSync(path, 'utf8') !== text) {
    console.error(`${path} is out of date.`);
    stale = true;
  }
}
if (stale) process.exit(1);

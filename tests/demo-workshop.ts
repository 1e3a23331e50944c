import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Workshop } from './workshop';

/** Pages that show many pieces: drawn once here, and not in every test that opens one of them. */
const SHOWING = ['/', '/plans'];

/** Loads the demo workshop once; every test that wants it begins with a copy of its database and its pictures. Browsers keep what they keep in one place, which is gone with the last of them. */
export default async function loadDemoOnce(): Promise<() => Promise<void>> {
  const browsers = mkdtempSync(join(tmpdir(), 'kirapen-browsers-'));
  process.env.KIRAPEN_BROWSERS = browsers;
  const workshop = await Workshop.serve({ demo: true });
  for (const page of SHOWING) {
    const text = await (await fetch(workshop.address + page)).text();
    const pictures = [...text.matchAll(/src="(\/api\/v1\/[^"]*\/picture\?[^"]*)"/g)].map(([, src]) => src!);
    await Promise.all(
      pictures.map(async (src) =>
        (await fetch(workshop.address + src.replaceAll('&amp;', '&'))).arrayBuffer()
      )
    );
  }
  await workshop.stop('SIGTERM');
  process.env.KIRAPEN_DEMO_WORKSHOP = workshop.folder;
  return async () => {
    await workshop.close();
    rmSync(browsers, { recursive: true, force: true, maxRetries: 5 });
  };
}

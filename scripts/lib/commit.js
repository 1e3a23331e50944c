import { execFileSync } from 'node:child_process';
import { ROOT } from './shell.js';

/** Days since 1970 at the newest commit: a sample is the same for everybody who has it. 0 where there is no history. */
export function daysToNewestCommit() {
  try {
    const seconds = execFileSync('git', ['log', '-1', '--format=%ct'], {
      cwd: ROOT,
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'ignore']
    });
    return Math.floor(Number(seconds) / 86_400);
  } catch {
    return 0;
  }
}

import { readlinkSync } from 'node:fs';
import { constants, setPriority } from 'node:os';
import { jobs, type Order } from './jobs';

/** On Linux a thread has a priority of its own: a sum gives way to a page that someone waits for. */
function giveWay(): void {
  try {
    const thread = Number(readlinkSync('/proc/thread-self').split('/').at(-1));
    setPriority(thread, constants.priority.PRIORITY_BELOW_NORMAL);
  } catch {
    // Elsewhere threads share what there is; nothing depends on it.
  }
}
giveWay();

/** What a thread of the pool does with an order. */
export default ({ job, input }: Order): unknown => (jobs[job] as (input: unknown) => unknown)(input);

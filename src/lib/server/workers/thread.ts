import { readlinkSync } from 'node:fs';
import { setPriority } from 'node:os';
import { jobs, type OrderToPlace } from './jobs';

/** How far: some two fifths of what a page gets, so that a sum is not starved where others keep the machine busy. */
const GIVES_WAY = 4;

/** On Linux a thread has a priority of its own: a sum gives way to a page that someone waits for. */
function giveWay(): void {
  try {
    const thread = Number(readlinkSync('/proc/thread-self').split('/').at(-1));
    setPriority(thread, GIVES_WAY);
  } catch {
    // Elsewhere threads share what there is; nothing depends on it.
  }
}
giveWay();

/** What a thread of the pool does with an order. */
export default ({ job, input }: OrderToPlace): unknown => (jobs[job] as (input: unknown) => unknown)(input);

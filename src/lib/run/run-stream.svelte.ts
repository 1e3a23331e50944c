import { AnyEvent } from '$core/run';
import { stream } from '../store/event-source';
import { thisDevice, type RunLog } from './run-log.svelte';

/**
 * A run as it goes on elsewhere: events of other devices as they are stored, and who has the run open. One device
 * conducts; it is this one when nobody else does.
 */
export class RunStream {
  /** Devices that have the run open; unknown while the server does not answer. */
  present = $state.raw<readonly string[]>();
  readonly device = thisDevice();
  #end: (() => void) | undefined;

  open(run: string, log: RunLog): void {
    const query = new URLSearchParams({ device: this.device });
    this.#end = stream(
      `/api/v1/runs/${encodeURIComponent(run)}/stream?${query}`,
      ['events', 'present'],
      (event, data) => {
        if (event === 'present') this.present = JSON.parse(data) as string[];
        else log.take(readEvents(JSON.parse(data) as unknown[]));
      },
      () => (this.present = undefined)
    );
  }

  close(): void {
    this.#end?.();
    this.#end = undefined;
  }

  /** Whether this device conducts: it said so last, nobody did, or nobody can be asked. */
  conducts(conductor: string | undefined): boolean {
    return conductor === undefined || conductor === this.device;
  }

  /** Whether the one who conducted has left, so that this device goes on by itself. */
  left(conductor: string | undefined): boolean {
    return this.present !== undefined && conductor !== undefined && !this.present.includes(conductor);
  }
}

const readEvents = (raw: readonly unknown[]): AnyEvent[] =>
  raw.flatMap((e) => {
    const read = AnyEvent.safeParse(e);
    return read.success ? [read.data] : [];
  });

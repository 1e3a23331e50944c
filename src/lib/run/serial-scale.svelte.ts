import { SerialReader, type Reading } from '$core/device';
import type { BenchScale } from './scale.svelte';

/** What of the browser's serial interface is used here: only some browsers have it, and only on a safe address. */
interface SerialPort {
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
}
interface Serial {
  requestPort(): Promise<SerialPort>;
}
const serial = (): Serial | undefined =>
  typeof navigator === 'undefined' ? undefined : (navigator as { serial?: Serial }).serial;

/** Whether this browser can read a scale on a cable. */
export const canReadSerial = (): boolean => serial() !== undefined;

/** The speed most bench scales are delivered with, baud. */
const USUAL_BAUD = 9600;

/** A scale on a cable, read through the browser. Its tare is kept here: scales differ in what they can be told. */
export class SerialScale implements BenchScale {
  readonly standIn = false;
  reading = $state<Reading>();
  connected = $state(false);
  problem = $state('');
  #port: SerialPort | undefined;
  #zero = 0;
  #raw = 0;

  connect(): void {
    void this.#open();
  }

  async #open(): Promise<void> {
    try {
      this.#port = await serial()?.requestPort();
      await this.#port?.open({ baudRate: USUAL_BAUD });
      this.connected = true;
      await this.#read();
    } catch {
      this.problem = 'The scale does not answer. Check its cable and that it sends at 9600 baud.';
    }
    this.connected = false;
  }

  async #read(): Promise<void> {
    const reader = new SerialReader();
    const letters = this.#port?.readable?.pipeThrough(
      new TextDecoderStream() as unknown as TransformStream<Uint8Array, string>
    );
    const stream = letters?.getReader();
    for (;;) {
      const piece = await stream?.read();
      if (!piece || piece.done) return;
      for (const r of reader.push(piece.value)) {
        this.#raw = r.grams;
        this.reading = { ...r, grams: Math.round((r.grams - this.#zero) * 1e6) / 1e6 };
      }
    }
  }

  disconnect(): void {
    void this.#port?.close().catch(() => undefined);
    this.#port = undefined;
    this.connected = false;
    this.reading = undefined;
  }

  async ask(what: { do: 'tare' | 'clear' } | { do: 'pour'; grams: number }): Promise<void> {
    if (what.do === 'tare') this.#zero = this.#raw;
    if (what.do === 'clear') this.#zero = 0;
    await Promise.resolve();
  }
}

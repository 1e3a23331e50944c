import { spawn, type ChildProcess } from 'node:child_process';
import type { Faults } from './server';

/** The stand-in as a process of its own, which can be killed and begun again at the same place. */
export class StandInProcess {
  readonly url: string;
  #process: ChildProcess | undefined;

  constructor(
    private readonly file: string,
    private readonly port: number
  ) {
    this.url = `http://127.0.0.1:${port}`;
  }

  /** Begins it and waits until it says where it is. */
  async start(): Promise<void> {
    const started = spawn(
      process.execPath,
      ['--import', 'tsx', 'tests/libsql-stand-in/serve.ts', this.file, `${this.port}`],
      { stdio: ['ignore', 'pipe', 'inherit'] }
    );
    this.#process = started;
    await new Promise<void>((ready, failed) => {
      started.stdout.on('data', (text: Buffer) => String(text).includes('is at') && ready());
      started.once('exit', (code) => failed(new Error(`the stand-in stopped with ${code}`)));
    });
  }

  /** Ends it with a signal and waits until it is gone. */
  async stop(signal: 'SIGKILL' | 'SIGTERM'): Promise<void> {
    const ending = this.#process;
    if (!ending || ending.exitCode !== null || ending.signalCode !== null) return;
    ending.removeAllListeners('exit');
    const gone = new Promise((done) => ending.once('exit', done));
    ending.kill(signal);
    await gone;
  }

  /** From now on this goes wrong. */
  async fail(faults: Faults): Promise<void> {
    await fetch(`${this.url}/stand-in/faults`, { method: 'POST', body: JSON.stringify(faults) });
  }
}

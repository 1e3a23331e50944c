/** Clients that write one thing after another to servers that come and go. */

/** Where the clients wait while the server is gone, and who is told of each answer. */
export class Storm {
  over = false;
  up: Promise<void> = Promise.resolve();
  #answered = 0;
  #wanted: { at: number; tell: () => void } | undefined;

  answers(more: number): Promise<void> {
    return new Promise((tell) => (this.#wanted = { at: this.#answered + more, tell }));
  }
  answered() {
    if (++this.#answered >= (this.#wanted?.at ?? Infinity)) this.#wanted?.tell();
  }

  /** Does one thing after another; one that got no answer is sent again, as a device does. Says which were answered. */
  async client(one: (n: number) => Promise<Response>): Promise<number[]> {
    const done: number[] = [];
    for (let n = 1; !this.over;) {
      const response = await one(n).catch(() => undefined);
      // No answer, or none from the database behind it: nothing is known of it, and it is sent again.
      if (!response || response.status === 503) await this.#later(response);
      else if (response.ok) {
        await response.text().catch(() => '');
        done.push(n++);
        this.answered();
      } else throw new Error(`${response.status} ${await response.text()}`);
    }
    return done;
  }

  async #later(response: Response | undefined): Promise<void> {
    await response?.text().catch(() => '');
    await this.up;
    if (response) await new Promise((soon) => setTimeout(soon, 20));
  }
}

/** What a run is told, kind after kind: words, what was read, what went wrong, what was put off. */
export const TOLD: ((words: string) => Record<string, unknown>)[] = [
  (text) => ({ type: 'note', text }),
  () => ({ type: 'room', celsius: 20.5 }),
  () => ({ type: 'probed', of: 'knobs', celsius: 31.5 }),
  () => ({ type: 'withdrew', groupId: 'knobs', grams: 1.25 }),
  (text) => ({ type: 'problem', text }),
  () => ({ type: 'dried', groupId: 'knobs', grams: 12.5 }),
  () => ({ type: 'pictured', photo: 'photo-0001', stage: 'layer 1 as poured' }),
  () => ({ type: 'postponed', task: 'demould:knobs', until: 1_800_000_000_000 })
];

/** The id of the nth thing that somebody tells. */
export const idOf = (who: string, n: number): string => `${who}-${String(n).padStart(6, '0')}`;

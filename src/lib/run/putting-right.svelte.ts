import { lettered } from '$core/document';
import { booksOf, fewerCavities, standingOf, stillFrom, thinners } from '$core/run';
import { inWords, problemWords } from '../preferences.svelte';
import { taskWords } from './instruction';
import type { RunDesk } from './run-desk.svelte';
import type { EventBody } from './run-log.svelte';

/** Everything that can go otherwise, as a maker would say it. */
export const HAPPENINGS = [
  { id: 'extra', words: 'A drop too much', more: 'more of something that was in' },
  { id: 'rewet', words: 'It thickened', more: 'liquid stirred in' },
  { id: 'spilled', words: 'Spilled', more: 'some of a cup is gone' },
  { id: 'lost', words: 'A cup is lost', more: 'set, spoilt or fallen' },
  { id: 'swapped', words: 'The wrong pot', more: 'another colour went in' },
  { id: 'skipped', words: 'Leave this out', more: 'the step in hand is not done' },
  { id: 'gesture', words: 'Extra stroke', more: 'one that was not planned' },
  { id: 'misplaced', words: 'The wrong cavity', more: 'poured where it does not belong' },
  { id: 'withdrew', words: 'Removed from the mould', more: 'drawn out again' }
] as const;
export type WhatHappened = (typeof HAPPENINGS)[number]['id'];

/** What is being told of something that went otherwise, and what it does to the run before it is logged. */
export class PuttingRight {
  what = $state<WhatHappened>();
  mixId = $state('');
  taskId = $state('');
  groupId = $state('');
  /** Which cavity of the group, from 1; 0 for several. */
  cavity = $state(0);
  part = $state('');
  colourantId = $state('');
  grams = $state(1);
  problem = $state('');
  readonly desk: RunDesk;
  readonly #done: () => void;

  /** @param done called once something is logged, or given up */
  constructor(desk: RunDesk, done: () => void) {
    this.desk = desk;
    this.#done = done;
  }

  readonly books = $derived.by(() => booksOf(this.desk.frozen, this.desk.run));
  /** Mixes with something in them, the one in hand first. */
  readonly mixes = $derived.by(() =>
    [...this.books.values()]
      .filter((b) => b.put > 0 && !b.mixId.startsWith('^'))
      .map((b) => ({ value: b.mixId, label: this.nameOf(b.mixId), left: b.left }))
      .sort(
        (a, b) =>
          Number(b.value === this.desk.instruction?.mixId) - Number(a.value === this.desk.instruction?.mixId)
      )
  );
  readonly mix = $derived.by(() => this.mixes.find((m) => m.value === this.mixId) ?? this.mixes[0]);
  readonly weighed = $derived.by(() =>
    this.desk.run.tasks
      .filter((t) => t.task.kind === 'weigh' && t.status === 'done')
      .toReversed()
      .map((t) => ({
        value: t.task.id,
        label: inWords(taskWords(t.task, this.desk.computed).rest),
        entry: t
      }))
  );
  readonly own = $derived.by(() => this.weighed.find((w) => w.value === this.taskId) ?? this.weighed[0]);
  readonly gestures = $derived.by(() =>
    this.desk.run.tasks
      .filter((t) => (t.task.kind === 'do' || t.task.kind === 'pour') && t.status === 'done')
      .toReversed()
      .map((t) => {
        const words = taskWords(t.task, this.desk.computed);
        return { value: t.task.id, label: inWords(`${words.act} ${words.rest}`) };
      })
  );
  readonly gesture = $derived.by(
    () => this.gestures.find((x) => x.value === this.taskId) ?? this.gestures[0]
  );
  readonly pours = $derived.by(() =>
    this.desk.run.tasks
      .filter((t) => t.task.kind === 'pour' && this.books.get(t.task.mixId)?.left)
      .map((t) => ({ value: t.task.id, label: inWords(taskWords(t.task, this.desk.computed).rest) }))
  );
  readonly pour = $derived.by(
    () =>
      this.pours.find(
        (p) =>
          p.value ===
          (this.taskId || (this.desk.instruction?.kind === 'pour' ? this.desk.instruction.task.id : ''))
      ) ?? this.pours[0]
  );
  readonly groups = $derived.by(() =>
    this.desk.frozen.file.plan.groups.map((x) => ({ value: x.id, label: x.name, count: x.count }))
  );
  readonly group = $derived.by(() => this.groups.find((x) => x.value === this.groupId) ?? this.groups[0]);
  /** Its cavities by number, and several at once. */
  readonly cavities = $derived.by(() => [
    { value: '0', label: 'several' },
    ...Array.from({ length: this.group?.count ?? 0 }, (_, i) => ({ value: `${i + 1}`, label: `${i + 1}` }))
  ]);
  /** What can have been poured of the pour that is named, g. */
  readonly pourable = $derived.by(() => {
    const task = this.desk.run.tasks.find((t) => t.task.id === this.pour?.value)?.task;
    return (task?.kind === 'pour' && this.books.get(task.mixId)?.left) || 0;
  });
  readonly thin = $derived.by(() => (this.mix ? thinners(this.desk.frozen, this.mix.value) : []));
  readonly thinner = $derived.by(() => this.thin.find((t) => t.part === this.part) ?? this.thin[0]);
  readonly colourants = $derived.by(() => [
    ...this.desk.frozen.file.shelf.colourants.map((c) => ({ value: c.id, label: c.name })),
    { value: '', label: 'something else' }
  ]);
  readonly still = $derived.by(() =>
    this.what === 'lost' && this.mix ? stillFrom(this.desk.frozen, this.desk.run, this.mix.value) : undefined
  );
  /** The run as it goes on without a mix that is lost. */
  readonly asLost = $derived.by(() =>
    this.what === 'lost' && this.mix
      ? { ...this.desk.run, lost: new Set([...this.desk.run.lost, this.mix.value]) }
      : undefined
  );
  readonly fewer = $derived.by(() => {
    if (!this.mix) return undefined;
    if (this.what === 'lost' && this.asLost)
      return fewerCavities(this.desk.frozen, this.asLost, this.mix.value);
    return this.what === 'spilled'
      ? fewerCavities(
          this.desk.frozen,
          {
            ...this.desk.run,
            mishaps: [
              ...this.desk.run.mishaps,
              { id: '', at: 0, kind: 'spilled', of: this.mix.value, grams: this.grams }
            ]
          },
          this.mix.value
        )
      : undefined;
  });
  readonly standing = $derived.by(() =>
    this.what === 'rewet' && this.mix && this.thinner
      ? {
          before: standingOf(this.desk.frozen, this.desk.run, this.mix.value),
          after: standingOf(this.desk.frozen, this.desk.run, this.mix.value, {
            part: this.thinner.part,
            grams: this.grams
          })
        }
      : undefined
  );

  /** A mix as a maker would name it. */
  nameOf(id: string): string {
    const cup = this.desk.computed.cups.find((c) => c.mixes.some((m) => m.mixId === id));
    if (!cup) return 'the mixing pot';
    const nth = cup.mixes.length > 1 ? `, mix ${cup.mixes.findIndex((m) => m.mixId === id) + 1}` : '';
    return `${lettered(cup)}${nth}`;
  }

  /** What happened, chosen: with the amount that it most likely was. */
  choose(id: WhatHappened): void {
    this.what = id;
    this.taskId = '';
    this.mixId = '';
    this.cavity = 0;
    this.problem = '';
    this.grams =
      id === 'extra' ? this.#extraOf() : id === 'spilled' ? Math.round((this.mixes[0]?.left ?? 10) / 2) : 5;
  }

  /** A drop of what is counted, or a division of the scale. */
  #extraOf(): number {
    const task = this.weighed[0]?.entry.task;
    if (task?.kind !== 'weigh') return this.desk.computed.division;
    return task.countedIn?.each ?? task.division;
  }

  /** Logs what happened, one after the other; stops at what is refused. */
  tell(...told: EventBody[]): void {
    for (const t of told) {
      const refused = this.desk.given.log.tell(t);
      if (refused) {
        this.problem = problemWords(refused);
        return;
      }
    }
    this.close();
  }

  close(): void {
    this.what = undefined;
    this.#done();
  }

  /** Poured where it does not belong: no more than there is, and into which cavity. */
  misplaced(): void {
    if (!this.pour || !this.group) return;
    const grams = Math.min(this.grams, this.pourable);
    const where = { task: this.pour.value, groupId: this.group.value };
    this.tell({ type: 'misplaced', ...where, grams, ...(this.cavity ? { cavity: this.cavity } : {}) });
  }

  /** The wrong pot: which colourant it was, by its card where there is one. */
  swap(): void {
    if (!this.own) return;
    const card = this.desk.frozen.file.shelf.colourants.find((c) => c.id === this.colourantId);
    this.tell({
      type: 'swapped',
      task: this.own.value,
      instead: card?.name ?? 'another pot',
      ...(card ? { colourantId: card.id } : {})
    });
  }

  /** What leaves a mix's open pours out. */
  skipsOf = (id: string): EventBody[] =>
    this.desk.run.tasks
      .filter((t) => t.task.kind === 'pour' && t.task.mixId === id && t.status === 'open')
      .map((t) => ({ type: 'skipped', task: t.task.id }));

  /** What gives up the cavities that cannot be filled any more. */
  replanned = (why: string): EventBody[] =>
    this.fewer ? [{ type: 'replanned', why, plan: { ...this.fewer.plan }, tasks: this.fewer.tasks }] : [];
}

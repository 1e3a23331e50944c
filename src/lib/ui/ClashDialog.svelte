<!-- Two benches, one document: the same field changed twice is asked, both shown; and a deletion elsewhere is said. -->
<script lang="ts" generics="T extends { id: string }">
  import OneOf from './forms/OneOf.svelte';
  import { goto } from '$app/navigation';
  import { Dialog } from 'bits-ui';
  import type { Conflict } from '$core/document/merge';
  import type { SharedDocument } from '../store/shared-document.svelte';
  import { problemWords } from '../preferences.svelte';

  let {
    shared,
    what,
    gone
  }: {
    shared: SharedDocument<T>;
    /** What the document is called: “plan”, “mould”. */
    what: string;
    /** Where to go when a document that was deleted is let go. */
    gone: string;
  } = $props();

  const clash = $derived(shared.clash);
  let theirs = $derived((clash?.conflicts ?? []).map(() => false));

  /** `bench/roomCelsius` → “bench, room celsius”. */
  const where = (c: Conflict) =>
    c.path.map((p) => p.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()).join(', ') || 'all of it';

  function shown(value: unknown): string {
    if (value === undefined) return 'taken out';
    if (typeof value !== 'object' || value === null) return String(value);
    if ('name' in value && typeof value.name === 'string') return value.name;
    return JSON.stringify(value).replace(/["{}]/g, '').slice(0, 160);
  }
</script>

<Dialog.Root open={!!clash || shared.deleted}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/50" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 max-h-[90vh] w-[min(680px,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-xl border border-rule-strong bg-ground p-6 shadow-xl"
      escapeKeydownBehavior="ignore"
      interactOutsideBehavior="ignore"
      data-testid="clash"
    >
      {#if clash}
        <Dialog.Title class="font-display text-[1.5rem] font-semibold"
          >Changed on two benches at once</Dialog.Title
        >
        <Dialog.Description class="mt-1 text-ink-2">
          Everything else is merged. Which holds for {clash.conflicts.length === 1
            ? 'this'
            : 'each of these'}?
        </Dialog.Description>
        <ul class="mt-3 space-y-4">
          {#each clash.conflicts as conflict, i (conflict.path.join('/'))}
            <li>
              <p class="label">{where(conflict)}</p>
              <OneOf
                cards
                class="mt-1 grid grid-cols-2 gap-3"
                label={where(conflict)}
                value={theirs[i] ? 'theirs' : 'mine'}
                options={[
                  { value: 'mine', name: 'Yours', held: conflict.mine },
                  { value: 'theirs', name: 'Theirs', held: conflict.theirs }
                ]}
                onchange={(side) => (theirs = theirs.with(i, side === 'theirs'))}
              >
                {#snippet children(side)}
                  <span class="text-[0.85rem] text-ink-2">{side.name}</span>
                  <span class="text-left break-words">{shown(side.held)}</span>
                {/snippet}
              </OneOf>
            </li>
          {/each}
        </ul>
        <button class="button go mt-5 w-full" onclick={() => shared.settle(theirs)}
          >Keep what is chosen</button
        >
      {:else}
        <Dialog.Title class="font-display text-[1.5rem] font-semibold"
          >This {what} was deleted on another bench</Dialog.Title
        >
        <Dialog.Description class="mt-1 text-ink-2"
          >What you see here is still on this device.</Dialog.Description
        >
        {#each shared.refused as problem, i (i)}
          <p class="mt-2 text-cinnabar" role="alert">{problemWords(problem)}</p>
        {/each}
        <div class="mt-5 flex gap-3">
          <button class="button go flex-1" onclick={() => shared.keep()}>Keep it after all</button>
          <button class="button flex-1" onclick={() => goto(gone, { invalidateAll: true })}>Let it go</button>
        </div>
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>

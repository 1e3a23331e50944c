<!-- What was put right, told or noted lately. -->
<script lang="ts">
  import { correctionsOf } from '$core/run';
  import type { RunDesk } from '$lib/run/run-desk.svelte';
  import { inWords } from '$lib/preferences.svelte';

  let { desk }: { desk: RunDesk } = $props();

  const { run } = $derived(desk);
  /** What was put right; weighings that were not read are told in the record, not here. */
  const corrections = $derived(correctionsOf(desk.frozen, run).filter((c) => c.kind !== 'unread'));
</script>

{#if corrections.length}
  <ul class="mt-6 space-y-1 text-[1rem] text-ink-2" data-testid="put-right-list">
    {#each corrections.slice(-3) as c (c.at + c.what)}
      <li>
        <strong class="text-ink">{inWords(c.what)}</strong>{#if c.did}: {inWords(c.did)}{/if}
      </li>
    {/each}
  </ul>
{/if}

{#if run.strays.length}
  <ul class="mt-6 space-y-1 text-[1rem] text-ochre" data-testid="strays">
    {#each run.strays.slice(-3) as stray (stray.event.id)}<li>{inWords(stray.sentence)}</li>{/each}
  </ul>
{/if}

{#if run.notes.length}
  <ul class="mt-6 space-y-1 text-[1rem] text-ink-2">
    {#each run.notes.slice(-3) as note (note.id)}
      <li>
        <strong class={note.problem ? 'text-cinnabar' : 'text-ink'}
          >{note.problem ? 'Problem' : 'Note'}:</strong
        >
        {note.text}
      </li>
    {/each}
  </ul>
{/if}

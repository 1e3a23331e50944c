<!-- Things stored that cannot be read: each with a sentence where it stands; the list around it goes on. -->
<script lang="ts">
  import type { Problem } from '$core/problem';
  import { CALLED } from '../store/broken';
  import { inWords } from '../preferences.svelte';

  let { broken }: { broken: readonly { kind: string; id: string; name: string; problems: Problem[] }[] } =
    $props();
</script>

{#if broken.length}
  <ul class="mt-3 space-y-2" aria-label="Cannot be read" data-testid="broken">
    {#each broken as b (`${b.kind}/${b.id}`)}
      <li class="flex flex-wrap items-baseline gap-x-3 border-l-4 border-cinnabar bg-cinnabar-soft px-4 py-2">
        <span class="min-w-0 flex-1">
          <strong class="break-words">{b.name || b.id}</strong>, a {CALLED[b.kind] ?? b.kind}, cannot be read:
          {inWords(b.problems[0]?.sentence ?? 'its text is damaged.')}
        </span>
        <a class="font-semibold underline" href="/mend?{new URLSearchParams({ kind: b.kind, id: b.id })}"
          >Mend, export or delete it</a
        >
      </li>
    {/each}
  </ul>
{/if}

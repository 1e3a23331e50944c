<!-- What goes on beside this run, each with the clock of it that is due next. -->
<script lang="ts">
  import { clock } from '$core/quantity';

  let {
    others,
    now
  }: {
    others: readonly { id: string; name: string; pouring: boolean; next?: { kind: string; due: number } }[];
    now: number;
  } = $props();
  const WORDS: Record<string, string> = {
    pour: 'to pour',
    gate: 'until its gate',
    demould: 'until demould',
    late: 'until it is late'
  };
  const OPEN: Record<string, string> = { gate: 'its gate', demould: 'demould' };
</script>

{#if others.length}
  <h2 class="label mt-8 font-sans !text-[0.95rem]">Also running</h2>
  <ul class="mt-2 space-y-2 text-[1.05rem]" data-testid="beside">
    {#each others as other (other.id)}
      <li class="flex min-h-11 items-center gap-3">
        <a class="min-w-0 flex-1 underline" href="/run/{other.id}">{other.name}</a>
        {#if other.next}
          {@const over = other.next.due < now}
          {@const opens = other.next.kind === 'gate' || other.next.kind === 'demould'}
          <span class="text-[0.95rem] text-ink-2"
            >{over && opens ? OPEN[other.next.kind] : WORDS[other.next.kind]}</span
          >
          <strong class="text-[1.3rem] {!over ? '' : opens ? 'text-verdigris' : 'text-cinnabar'}"
            >{over && opens ? 'now' : clock((other.next.due - now) / 1000)}</strong
          >
        {/if}
      </li>
    {/each}
  </ul>
{/if}

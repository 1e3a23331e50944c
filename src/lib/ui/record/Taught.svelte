<!-- What the record teaches plans, each figure with how many cases tell it; switched off, plans go by their own again. -->
<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import type { Learned } from '$core/preferences';
  import type { Problem } from '$core/problem';
  import { send } from '../../store/send';
  import { preferences } from '$lib/preferences.svelte';
  import ProblemNote from '../ProblemNote.svelte';
  import Tick from '../forms/Tick.svelte';

  let {
    taught
  }: {
    taught: Record<Learned, readonly { name: string; figure: string; of: string }[]>;
  } = $props();
  let problems = $state<Problem[]>([]);

  const KINDS: { kind: Learned; title: string; words: string }[] = [
    { kind: 'clings', title: 'Stuck to cups', words: 'share of what is poured that stays on cup and stick' },
    { kind: 'hands', title: 'Time of the hands', words: 'for one cavity, from three pours on' },
    { kind: 'rejects', title: 'Rejects', words: 'of the pieces of a plan that were inspected' }
  ];

  async function use(kind: Learned, on: boolean) {
    const others = preferences().unlearned.filter((k) => k !== kind);
    const kept = await send('PUT', '/settings', {
      ...preferences(),
      unlearned: on ? others : [...others, kind]
    });
    problems = kept.ok ? [] : kept.problems;
    if (kept.ok) await invalidateAll();
  }
</script>

<section class="mt-10" data-testid="taught">
  <h2 class="text-[1.5rem]">What plans learn from it</h2>
  <p class="text-[0.95rem] text-ink-2">
    A figure of your own in a plan always wins. A run that was begun keeps the figures it was begun with.
  </p>
  {#each problems as problem, i (i)}<ProblemNote {problem} />{/each}
  <div class="mt-3 grid gap-x-10 gap-y-6 lg:grid-cols-3">
    {#each KINDS as { kind, title, words } (kind)}
      {@const on = !preferences().unlearned.includes(kind)}
      <div>
        <h3 class="text-[1.15rem]">{title}</h3>
        <p class="text-[0.9rem] text-ink-2">{words}</p>
        <Tick checked={on} onchange={(v) => use(kind, v)}>plans use it</Tick>
        <ul class="ruled mt-1 {on ? '' : 'opacity-50'}">
          {#each taught[kind] as row, i (i)}
            <li class="flex items-baseline gap-3 py-1.5">
              <span class="min-w-0 flex-1">{row.name}</span>
              <strong class="whitespace-nowrap">{row.figure}</strong>
              <span class="w-20 text-right text-[0.85rem] text-ink-2">{row.of}</span>
            </li>
          {:else}
            <li class="py-1.5 text-ink-2">Nothing on record yet.</li>
          {/each}
        </ul>
      </div>
    {/each}
  </div>
</section>

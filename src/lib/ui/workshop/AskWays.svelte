<!-- Asked once on an empty bench: how figures should read, as the browser's language suggests. -->
<script lang="ts">
  import { invalidate, invalidateAll } from '$app/navigation';
  import type { Problem } from '$core/problem';
  import type { Preferences } from '$core/preferences';
  import { send } from '../../store/send';
  import ProblemNote from '../ProblemNote.svelte';

  let { proposed }: { proposed: Preferences } = $props();
  let problems = $state<Problem[]>([]);

  const metric = $derived<Preferences>({
    ...proposed,
    weights: 'g',
    volumes: 'ml',
    lengths: 'mm',
    temperatures: '°C'
  });
  /** Whether the browser's country measures otherwise than in grams and millimetres. */
  const imperial = $derived(proposed.weights !== 'g' || proposed.lengths !== 'mm');
  const rest = $derived(
    [proposed.currency, `${proposed.paper} paper`, `a ${proposed.clock} clock`].filter(Boolean).join(', ')
  );

  async function keep(ways: Preferences): Promise<void> {
    const kept = await send('PUT', '/settings', ways);
    problems = kept.ok ? [] : kept.problems;
    if (kept.ok) await Promise.all([invalidate('kirapen:ways'), invalidateAll()]);
  }
</script>

<div
  class="mt-5 flex flex-wrap items-center gap-3 border-l-[3px] border-rule-strong bg-sheet px-4 py-3"
  data-testid="ask-ways"
>
  {#if imperial}
    <p class="min-w-0 flex-1">
      Your browser is set to a country that uses ounces and inches. Which do you weigh and measure in? With it
      come {rest}; all of it can be changed in Settings.
    </p>
    <button class="button" onclick={() => keep(metric)}>Grams and millimetres</button>
    <button class="button" onclick={() => keep(proposed)}>Ounces and inches</button>
  {:else}
    <p class="min-w-0 flex-1">
      Figures are in grams and millimetres, with {rest}. All of it can be changed in Settings.
    </p>
    <button class="button" onclick={() => keep(proposed)}>Use these</button>
  {/if}
  {#each problems as problem, i (i)}<ProblemNote {problem} />{/each}
</div>

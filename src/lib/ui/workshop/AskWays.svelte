<!-- Asked once on an empty bench: how figures should read, as the browser's language suggests. -->
<script lang="ts">
  import { goto, invalidate, invalidateAll } from '$app/navigation';
  import type { Problem } from '$core/problem';
  import type { Preferences } from '$core/preferences';
  import { send } from '../../store/send';
  import ProblemNote from '../ProblemNote.svelte';

  let { proposed }: { proposed: Preferences } = $props();
  let problems = $state<Problem[]>([]);

  const units = $derived(
    [proposed.weights, proposed.volumes, proposed.lengths, proposed.temperatures].join(', ')
  );
  const rest = $derived(
    [proposed.currency, proposed.paper, `a ${proposed.clock} clock`].filter(Boolean).join(', ')
  );

  async function keep(): Promise<boolean> {
    const kept = await send('PUT', '/settings', proposed);
    problems = kept.ok ? [] : kept.problems;
    if (kept.ok) await Promise.all([invalidate('kirapen:ways'), invalidateAll()]);
    return kept.ok;
  }
</script>

<div
  class="mt-5 flex flex-wrap items-center gap-3 border-l-[3px] border-rule-strong bg-sheet px-4 py-3"
  data-testid="ask-ways"
>
  <p class="min-w-0 flex-1">
    Figures here could read in <strong>{units}</strong>, with {rest}.
  </p>
  <button class="button go" onclick={keep}>Keep these</button>
  <button class="button" onclick={async () => (await keep()) && goto('/workshop')}>Choose others</button>
  {#each problems as problem, i (i)}<ProblemNote {problem} />{/each}
</div>

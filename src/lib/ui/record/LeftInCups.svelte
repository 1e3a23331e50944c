<!-- What is weighed of each cup after the pour: the next plan learns from it what clings. -->
<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import type { ComputedCup } from '$core/plan';
  import type { Problem } from '$core/problem';
  import { newId } from '../../id';
  import { send } from '../../store/send';
  import CupMark from '../drawing/CupMark.svelte';
  import QuantityField from '../forms/QuantityField.svelte';

  let {
    runId,
    cups,
    known,
    onproblems
  }: {
    runId: string;
    cups: readonly Pick<ComputedCup, 'cupId' | 'letter' | 'colour' | 'hatch' | 'balance'>[];
    /** Grams that were weighed already, by cup. */
    known: ReadonlyMap<string, number>;
    onproblems: (problems: Problem[]) => void;
  } = $props();

  let left = $state<Record<string, number>>({});
  async function keepLeft() {
    const at = Date.now();
    const events = Object.entries(left).map(([cupId, grams], i) => ({
      id: newId(),
      at: at + i,
      type: 'left',
      cupId,
      grams
    }));
    const stored = await send('POST', `/runs/${runId}/events`, events);
    onproblems(stored.ok ? [] : stored.problems);
    if (!stored.ok) return;
    left = {};
    await invalidateAll();
  }
</script>

<h2 class="mt-7 text-[1.35rem]">Left in the cups</h2>
<p class="text-[0.9rem] text-ink-2">
  Weigh what is left, without the cup. Three cups that tell are enough for the next plan to know what sticks
  to cups.
</p>
<ul class="mt-2 flex flex-wrap gap-3">
  {#each cups.filter((c) => c.balance.mixed > 0) as cup (cup.cupId)}
    <li class="flex items-center gap-2">
      <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} />
      <span class="w-28">
        <QuantityField
          label="Left in cup {cup.letter}"
          unit="g"
          value={known.get(cup.cupId) ?? 0}
          onchange={(v) => (left[cup.cupId] = v)}
        />
      </span>
    </li>
  {/each}
  <li>
    <button class="button" onclick={keepLeft} disabled={!Object.keys(left).length}>Keep the weights</button>
  </li>
</ul>

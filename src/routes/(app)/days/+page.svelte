<!-- The days; where placing many orders takes longer, the page stands at once and says so. -->
<script lang="ts">
  import { send } from '../../../lib/store/send';
  import Bar from '../../../lib/ui/drawing/Bar.svelte';
  import DaysAhead from '$lib/ui/days/DaysAhead.svelte';

  let { data } = $props();
  /** The last that was worked out: it stays while a change is placed anew. */
  let shown = $state.raw<Awaited<NonNullable<typeof data.later>>>();
  let failed = $state(false);
  const days = $derived(data.days ?? shown);

  /** How far the orders are, a share; asked for while they are being placed. */
  let share = $state<number>();
  const ASKED = 250;
  $effect(() => {
    if (days || failed) return;
    const asking = setInterval(async () => {
      const told = await send<{ share: number | null }>('GET', '/days/progress');
      if (told.ok && told.value.share !== null) share = told.value.share;
    }, ASKED);
    return () => clearInterval(asking);
  });

  $effect(() => {
    const { later, days: now } = data;
    failed = false;
    if (now) shown = now;
    later?.then(
      (d) => {
        if (data.later === later) shown = d;
      },
      () => (failed = data.later === later)
    );
  });
</script>

{#if failed}
  <div class="page" role="alert">
    <h1 class="text-[1.9rem]">Days</h1>
    <p class="mt-3">
      The orders could not be placed in time. <a class="underline" href="/days">Try again</a>, or close some
      orders first.
    </p>
  </div>
{:else if days}
  <DaysAhead {days} />
{:else}
  <div class="page" role="status" data-testid="placing">
    <h1 class="text-[1.9rem]">Days</h1>
    <p class="mt-3 text-ink-2">Placing every open order where hands, moulds and windows allow.</p>
    <div class="mt-3 flex max-w-md items-center gap-3">
      <Bar class="flex-1" label="Placing the orders" share={share ?? null} />
      <span class="w-12 text-ink-2">{share === undefined ? '' : `${Math.round(share * 100)} %`}</span>
    </div>
    <p class="mt-3"><a class="button" href="/plans">Not now</a></p>
  </div>
{/if}

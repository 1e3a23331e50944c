<!-- Where a pour comes from and what came of it: what its plan was made from, other pours of it, repeats of this one. -->
<script lang="ts">
  import { day } from '$lib/when';

  interface Kin {
    kind: 'run' | 'plan';
    id: string;
    name: string;
    at?: number;
    good?: number;
    of?: number;
  }
  let { family }: { family: { from: Kin[]; beside: Kin[]; repeats: (Kin & { runs: Kin[] })[] } } = $props();
  const any = $derived(family.from.length + family.beside.length + family.repeats.length > 0);
</script>

{#snippet kin(k: Kin)}
  <a class="underline" href={k.kind === 'run' ? `/record/${k.id}` : `/plans/${k.id}`}>{k.name}</a>
  <span class="text-ink-2"
    >{k.kind === 'plan' ? 'a plan' : day(k.at!)}{#if k.of}, {k.good} good of {k.of}{/if}</span
  >
{/snippet}

{#if any}
  <section class="mt-7" aria-label="Family" data-testid="family">
    <h2 class="text-[1.35rem]">Family</h2>
    {#if family.from.length}
      <h3 class="label mt-2 font-sans">Made from, the nearest first</h3>
      <ol class="mt-0.5 list-inside list-decimal text-[0.95rem]">
        {#each family.from as k (k.id)}<li class="border-b border-rule py-1">{@render kin(k)}</li>{/each}
      </ol>
    {/if}
    {#if family.beside.length}
      <h3 class="label mt-3 font-sans">Other pours of the same plan</h3>
      <ul class="mt-0.5 text-[0.95rem]">
        {#each family.beside as k (k.id)}<li class="border-b border-rule py-1">{@render kin(k)}</li>{/each}
      </ul>
    {/if}
    {#if family.repeats.length}
      <h3 class="label mt-3 font-sans">Made from this pour</h3>
      <ul class="mt-0.5 text-[0.95rem]">
        {#each family.repeats as plan (plan.id)}
          <li class="border-b border-rule py-1">
            {@render kin(plan)}
            {#if plan.runs.length}
              <ul class="pl-5">
                {#each plan.runs as k (k.id)}<li class="py-0.5">{@render kin(k)}</li>{/each}
              </ul>
            {/if}
          </li>
        {/each}
      </ul>
    {/if}
  </section>
{/if}

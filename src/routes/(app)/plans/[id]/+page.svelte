<script lang="ts">
  import type { Computed, Plan } from '$core/plan';
  import { InTurn } from '../../../../lib/page/in-turn.svelte';

  let { data } = $props();
  let bench = $state.raw<typeof import('$lib/ui/workbench')>();
  let first: { of: Plan; computed: Computed } | undefined;
  const editor = $derived(
    bench && new bench.PlanEditor(data, first?.of === data.plan ? first.computed : undefined)
  );

  // What the page is made of and its first figures, each in a task of its own.
  const turn = new InTurn(6, async function* () {
    await import('$core/mould');
    yield;
    await import('$core/material');
    yield;
    await import('$core/pour');
    yield;
    const { figuresInTurn } = await import('$core/plan');
    yield;
    const made = await import('$lib/ui/workbench');
    yield;
    const of = data.plan;
    first = { of, computed: yield* figuresInTurn(of, data.shelf, data.learned) };
    bench = made;
  });
</script>

{#if bench && editor && turn.reached(1)}
  {#key editor}
    <bench.Workbench {editor} {turn} lessons={data.lessons} />
  {/key}
{:else}
  <p class="p-8 text-ink-2" role="status">Opening {data.plan.name}. Its figures are being worked out.</p>
{/if}

<!-- Parts that may go in by eye, as much as it takes: most of it first, then a little at a time. -->
<script lang="ts">
  import { formulaOf } from '$core/material';
  import type { PlanView } from '../../../plan/plan-view.svelte';
  import Tick from '../../forms/Tick.svelte';

  let { editor }: { editor: PlanView } = $props();

  /** Of each material of the plan, what it may take by eye. */
  const parts = $derived.by(() =>
    editor.computed.bases.flatMap(({ baseId }) => {
      const base = editor.shelf.bases.find((b) => b.id === baseId);
      const formula = base && formulaOf(base);
      const own = formula?.ok ? formula.value.parts.filter((p) => p.byEye) : [];
      return own.map(({ key, name }) => ({ baseId, key, name }));
    })
  );
  const mixesOf = (baseId: string) => editor.plan.mixes.filter((m) => m.baseId === baseId);
  const isOn = (baseId: string, key: string) =>
    mixesOf(baseId).some((m) => m.creeps?.some((c) => c.part === key));

  /** Four fifths at once, then a twentieth at a time: usual for the last of the water. */
  const USUAL = { start: 0.8, step: 0.05 };

  function set(baseId: string, key: string, on: boolean) {
    editor.edits(
      mixesOf(baseId).map((m) => {
        const others = (m.creeps ?? []).filter((c) => c.part !== key);
        const creeps = on ? [...others, { part: key, ...USUAL }] : others;
        return { path: ['mixes', m.id, 'creeps'], value: creeps.length ? creeps : undefined };
      })
    );
  }
</script>

{#each parts as { baseId, key, name } (`${baseId} ${key}`)}
  <div class="border-t border-rule py-1.5">
    <Tick checked={isOn(baseId, key)} onchange={(on) => set(baseId, key, on)}>
      the last of the {name} by eye, a little at a time
    </Tick>
  </div>
{/each}

<!-- The batch by its leading part: so many grams of oils, of cement; typed, every pour grows or shrinks with it. -->
<script lang="ts">
  import { formulaOf } from '$core/material';
  import type { Problem } from '$core/problem';
  import { gramsOfPart, leadingPart, sizedByPart } from '$core/propose';
  import type { PlanView } from '../../../plan/plan-view.svelte';
  import { inWords } from '../../../preferences.svelte';
  import QuantityField from '../../forms/QuantityField.svelte';

  let { editor }: { editor: PlanView } = $props();
  const base = $derived.by(() => {
    const [own, ...others] = editor.computed.bases;
    return others.length ? undefined : editor.shelf.bases.find((b) => b.id === own?.baseId);
  });
  const part = $derived.by(() => {
    const formula = base && formulaOf(base);
    return formula?.ok ? leadingPart(formula.value) : undefined;
  });
  let problem = $state<Problem>();

  function size(grams: number) {
    if (!base) return;
    const sized = sizedByPart(editor.plan, editor.shelf, base, grams);
    problem = sized.ok ? undefined : sized.problem;
    if (sized.ok) editor.replace(sized.value);
  }
</script>

{#if part}
  <div class="border-t border-rule py-1.5" data-testid="start-from">
    <div class="flex items-baseline justify-between gap-3">
      <dt class="text-ink-2">
        {part.name.charAt(0).toUpperCase()}{part.name.slice(1)} in all
        <span class="block text-[0.8rem]">type another weight and every pour follows</span>
      </dt>
      <dd>
        <QuantityField
          quiet
          width="5rem"
          label="{part.name} in all"
          unit="g"
          above
          max={1e6}
          value={Math.round(gramsOfPart(editor.computed, part))}
          onchange={size}
        />
      </dd>
    </div>
    {#if problem}
      <p class="text-[0.85rem] text-cinnabar" role="alert">
        {inWords(problem.sentence)} <strong>{inWords(problem.mend)}</strong>
      </p>
    {/if}
  </div>
{/if}

<!-- A problem with its mend; one tap mends it where an edit can. -->
<script lang="ts">
  import { inWords } from '../preferences.svelte';
  import type { Edit, Problem } from '$core/problem';

  let {
    problem,
    onmend,
    division = undefined
  }: {
    problem: Problem;
    onmend?: (edit: Edit) => void;
    /** The division of the scale that its weights are read on, g. */
    division?: number | undefined;
  } = $props();
  const tone = $derived(
    {
      stop: 'border-cinnabar bg-cinnabar-soft',
      warn: 'border-ochre bg-ochre-soft',
      note: 'border-rule-strong bg-sheet'
    }[problem.level]
  );
</script>

<div class="border-l-[3px] px-3 py-2 text-[0.9rem] leading-snug {tone}" data-code={problem.code}>
  {inWords(problem.sentence, division)}
  {#if problem.edit && onmend}
    <button class="text-left font-bold underline underline-offset-2" onclick={() => onmend?.(problem.edit!)}>
      {inWords(problem.mend, division)}
    </button>
  {:else}
    <span class="font-semibold">{inWords(problem.mend, division)}</span>
  {/if}
</div>

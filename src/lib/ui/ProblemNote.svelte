<!-- A problem with its mend; one tap mends it where an edit can. -->
<script lang="ts">
  import type { Edit, Problem } from '$core/problem';

  let { problem, onmend }: { problem: Problem; onmend?: (edit: Edit) => void } = $props();
  const tone = $derived(
    {
      stop: 'border-cinnabar bg-cinnabar-soft',
      warn: 'border-ochre bg-ochre-soft',
      note: 'border-rule-strong bg-sheet'
    }[problem.level]
  );
</script>

<div class="border-l-[3px] px-3 py-2 text-[0.9rem] leading-snug {tone}" data-code={problem.code}>
  {problem.sentence}
  {#if problem.edit && onmend}
    <button class="ml-1 font-bold underline underline-offset-2" onclick={() => onmend?.(problem.edit!)}>
      {problem.mend}
    </button>
  {:else}
    <span class="font-semibold">{problem.mend}</span>
  {/if}
</div>

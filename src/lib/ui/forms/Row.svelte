<!-- A labelled field of a card, with its problem below it. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import { inWords } from '../../preferences.svelte';
  import type { Problem } from '$core/problem';

  let {
    label,
    hint = '',
    problem,
    whose = '',
    children
  }: {
    label: string;
    hint?: string;
    problem?: Problem | undefined;
    /** `yours` where a card tells the maker's own figure from a starting value. */
    whose?: string;
    children: Snippet;
  } = $props();
</script>

<div class="py-2">
  <span class="label">{label}</span>
  {#if whose}<span class="text-[0.78rem] font-semibold text-verdigris">· {whose}</span>{/if}
  <div class="mt-0.5">{@render children()}</div>
  {#if problem}
    <p class="mt-1 text-[0.87rem] text-cinnabar" role="alert">
      {inWords(problem.sentence)} <strong>{inWords(problem.mend)}</strong>
    </p>
  {:else if hint}
    <p class="mt-0.5 text-[0.85rem] text-ink-2">{hint}</p>
  {/if}
</div>

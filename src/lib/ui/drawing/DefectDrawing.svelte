<!-- A defect as a maker would sketch it: a piece and what is wrong with it. -->
<script lang="ts">
  import type { Defect } from '$core/inspect';
  import { DEFECT_DRAWINGS } from './defect-drawings';

  let { defect, size = 40 }: { defect: Defect; size?: number } = $props();

  const drawn = $derived(DEFECT_DRAWINGS[defect]);
  const OUTLINES = { face: 'M6 8h28v26H6Z', cut: 'M6 8h28v26H6ZM6 21h28', alone: '' };
</script>

<svg width={size} height={size} viewBox="0 0 40 40" aria-hidden="true" class="shrink-0">
  {#if drawn.pale}<path d={drawn.pale} fill="var(--mould)" />{/if}
  {#if drawn.dark}<path d={drawn.dark} fill="var(--ink-2)" />{/if}
  <path
    d={OUTLINES[drawn.on] + (drawn.line ?? '')}
    fill="none"
    stroke="var(--ink)"
    stroke-width="1.6"
    stroke-linejoin="round"
    stroke-linecap="round"
  />
</svg>

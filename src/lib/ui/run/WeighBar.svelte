<!-- How far a weighing has come, in the cup's colour and hatch; the notch is where to stop. -->
<script lang="ts">
  import type { Cup } from '$core/document';
  import CupPattern from '../drawing/CupPattern.svelte';

  let { colour, hatch, share }: { colour: string; hatch: Cup['hatch']; share: number } = $props();
  const uid = $props.id();
  /** The notch stands here, so that an overshoot has room to show. */
  const AIM = 0.92;
  const shown = $derived(Math.min(1, Math.max(0, share * AIM)));
</script>

<svg viewBox="0 0 800 56" class="mt-5 block h-14 w-full" preserveAspectRatio="none" aria-hidden="true">
  <defs><CupPattern id={uid} {colour} {hatch} /></defs>
  <rect x="1" y="1" width="798" height="54" rx="8" fill="var(--sunk)" stroke="var(--rule-strong)" />
  <rect x="2" y="2" width={796 * shown} height="52" rx="7" fill="url(#{uid})" />
  {#if share > 1.02}
    <rect x={796 * AIM} y="2" width={796 * (shown - AIM)} height="52" fill="var(--cinnabar)" />
  {/if}
  <path d="M{796 * AIM} 2V54" stroke="var(--ink)" stroke-width="3" />
</svg>

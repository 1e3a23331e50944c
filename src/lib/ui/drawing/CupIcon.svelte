<!-- One cup, filled to a share, in its colour and hatch. -->
<script lang="ts">
  import type { Cup } from '$core/document';
  import CupPattern from './CupPattern.svelte';

  let {
    colour,
    hatch,
    fill = 1,
    size = 48
  }: { colour: string; hatch: Cup['hatch']; fill?: number; size?: number } = $props();
  const uid = $props.id();
  const level = $derived(44 - 38 * Math.min(1, Math.max(0.1, fill)));
  const edge = (y: number) => 4 + ((y - 4) / 40) * 5;
</script>

<svg viewBox="0 0 48 48" width={size} height={size} aria-hidden="true" class="shrink-0">
  <defs><CupPattern id={uid} {colour} {hatch} scale={0.8} /></defs>
  <path d="M{edge(level)} {level}H{48 - edge(level)}L39 44H9Z" fill="url(#{uid})" />
  <path d="M{edge(level)} {level}H{48 - edge(level)}" stroke="var(--ink)" stroke-width="1" />
  <path d="M4 4H44L39 44H9Z" fill="none" stroke="var(--ink)" stroke-width="1.8" stroke-linejoin="round" />
</svg>

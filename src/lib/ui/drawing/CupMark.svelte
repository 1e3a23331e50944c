<!-- A cup's letter on its colour and hatch, for running text. -->
<script lang="ts">
  import type { Cup } from '$core/document';
  import CupPattern from './CupPattern.svelte';
  import { inkOn } from './ink';

  let {
    letter,
    colour,
    hatch,
    size = 24
  }: { letter: string; colour: string; hatch: Cup['hatch']; size?: number } = $props();
  const uid = $props.id();
</script>

<svg
  viewBox="0 0 24 24"
  width={size}
  height={size}
  role="img"
  aria-label="cup {letter}"
  class="inline-block shrink-0 align-[-0.3em]"
>
  <defs><CupPattern id={uid} {colour} {hatch} scale={0.7} /></defs>
  <rect
    x="0.75"
    y="0.75"
    width="22.5"
    height="22.5"
    rx="4"
    fill="url(#{uid})"
    stroke="var(--ink)"
    stroke-width="1"
  />
  <text
    x="12"
    y="12.5"
    text-anchor="middle"
    dominant-baseline="central"
    font-size="16"
    font-weight="750"
    fill={inkOn(colour)}
    stroke={colour}
    stroke-width="4"
    paint-order="stroke">{letter}</text
  >
</svg>

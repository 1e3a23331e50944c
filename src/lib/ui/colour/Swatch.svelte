<!-- A colour with its letter and hatch, so that it is never told apart by colour alone. -->
<script lang="ts">
  import { HATCHES } from '$core/document';
  import CupPattern from '../drawing/CupPattern.svelte';
  import { inkOn } from '../drawing/ink';

  let {
    hex,
    letter,
    nth = 0,
    label,
    height = 36
  }: {
    hex: string;
    letter: string;
    /** Which hatch: its place in the row of hatches. */
    nth?: number;
    label: string;
    height?: number;
  } = $props();
  const uid = $props.id();
</script>

<svg
  class="block w-full rounded-sm border border-rule-strong"
  {height}
  role="img"
  aria-label="{letter}, {label}: {hex}"
>
  <defs><CupPattern id={uid} colour={hex} hatch={HATCHES[nth % HATCHES.length]!} scale={0.9} /></defs>
  <rect width="100%" height="100%" fill="url(#{uid})" />
  <text
    x="50%"
    y="50%"
    text-anchor="middle"
    dominant-baseline="central"
    font-size="13"
    font-weight="750"
    fill={inkOn(hex)}
    stroke={hex}
    stroke-width="4"
    paint-order="stroke">{letter}</text
  >
</svg>

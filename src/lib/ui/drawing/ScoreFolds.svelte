<!-- Long waits of a score, folded: torn edges, and how long it is. -->
<script lang="ts">
  import { duration } from '$core/quantity';
  import type { FoldedAxis } from '$core/schedule';

  let {
    axis,
    x,
    lanes,
    head,
    lane,
    height
  }: {
    axis: FoldedAxis;
    x: (minute: number) => number;
    /** How many lanes, and their height, px. */
    lanes: number;
    lane: number;
    /** Height of the ticks above the lanes, and of all of it, px. */
    head: number;
    height: number;
  } = $props();
</script>

{#each axis.stretches.filter((s) => s.folded) as s (s.from)}
  {@const a = x(s.from)}
  {@const b = x(s.to)}
  <rect x={a} y={head} width={b - a} height={height - head - 6} fill="var(--sunk)" opacity="0.75" />
  <path
    d="M{a} {head}{Array.from({ length: 2 * lanes }, (_, i) => `l${i % 2 ? -5 : 5} ${lane / 2}`).join('')}"
    fill="none"
    stroke="var(--rule-strong)"
  />
  <path
    d="M{b} {head}{Array.from({ length: 2 * lanes }, (_, i) => `l${i % 2 ? 5 : -5} ${lane / 2}`).join('')}"
    fill="none"
    stroke="var(--rule-strong)"
  />
  <text
    x={(a + b) / 2}
    y={head + lane / 2}
    text-anchor="middle"
    dominant-baseline="central"
    font-size="12.5"
    fill="var(--ink-2)">wait {duration(s.to - s.from)}</text
  >
{/each}

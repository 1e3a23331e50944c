<!-- After the hands are done: when each group may leave its mould, with both edges. -->
<script lang="ts">
  import { duration } from '$core/quantity';
  import type { Score } from '$core/schedule';

  let {
    demould,
    laneOfGroup,
    head,
    lane,
    left,
    width
  }: {
    demould: Score['demould'];
    /** Where a lane begins, px. */
    laneOfGroup: (groupId: string) => number;
    head: number;
    lane: number;
    /** Where these stand: from here to the end of the score, px. */
    left: number;
    width: number;
  } = $props();

  const wide = $derived(width - left - 4);
</script>

{#each demould as d (d.groupId)}
  {@const yy = laneOfGroup(d.groupId)}
  <text x={left} y={head - 10} font-size="12.5" fill="var(--ink-2)">demould after</text>
  <rect x={left} y={yy + 4} width={wide} height={lane - 8} fill="var(--verdigris-soft)" />
  <path
    d="M{left} {yy + 3}V{yy + lane - 3}M{width - 4} {yy + 3}V{yy + lane - 3}"
    stroke="var(--verdigris)"
    stroke-width="2"
  />
  <text
    x={left + wide / 2}
    y={yy + lane / 2}
    text-anchor="middle"
    dominant-baseline="central"
    font-size="12.5"
    font-weight="650"
    fill="var(--ink)">{duration(d.from - d.lastPour)} – {duration(d.to - d.lastPour)}</text
  >
{/each}

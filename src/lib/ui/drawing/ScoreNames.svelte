<!-- The names of a score's lanes: they stay in sight when it is scrolled. -->
<script lang="ts">
  import type { Computed } from '$core/plan';

  let {
    cups,
    groups,
    scrolled,
    laneOfCup,
    laneOfGroup,
    head,
    lane,
    width,
    height
  }: {
    cups: Computed['cups'];
    groups: Computed['groups'];
    /** How far the score has gone past its left edge, px. */
    scrolled: number;
    /** Where a lane begins, px. */
    laneOfCup: (cupId: string) => number;
    laneOfGroup: (groupId: string) => number;
    head: number;
    lane: number;
    width: number;
    height: number;
  } = $props();
</script>

<g transform="translate({scrolled})">
  {#if scrolled}<rect {width} {height} fill="var(--sheet)" opacity="0.92" />{/if}
  <text
    x="0"
    y={head + lane / 2}
    dominant-baseline="central"
    font-size="13"
    font-weight="700"
    fill="var(--ink)">hands</text
  >
  {#each cups as cup (cup.cupId)}
    <text
      x="0"
      y={laneOfCup(cup.cupId) + lane / 2}
      dominant-baseline="central"
      font-size="13"
      fill="var(--ink)"
    >
      <tspan font-weight="700">{cup.letter}</tspan><tspan dx="8" fill="var(--ink-2)">{cup.name}</tspan>
    </text>
  {/each}
  {#each groups as group (group.groupId)}
    <text
      x="0"
      y={laneOfGroup(group.groupId) + lane / 2}
      dominant-baseline="central"
      font-size="13"
      font-weight="700"
      fill="var(--ink)">{group.name}</text
    >
  {/each}
</g>

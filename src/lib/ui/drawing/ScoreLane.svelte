<!-- The score in one lane: what the hands do, the cups in their order on their colours, waits folded, and how long the last cup still pours. -->
<script lang="ts">
  import { lettered } from '$core/document';
  import type { Computed } from '$core/plan';
  import { duration, holdsFor } from '$core/quantity';
  import { foldedAxis } from '$core/schedule';
  import { inWords } from '../../preferences.svelte';
  import CupPattern from './CupPattern.svelte';
  import { inkOn } from './ink';
  import { ticksOf, tickWords } from './score-ticks';

  let { computed, width }: { computed: Computed; width: number } = $props();
  const uid = $props.id();
  const [TOP, LANE, END] = [20, 26, 118];
  const score = $derived(computed.score);
  const ofPour = $derived(score.blocks.filter((b) => b.from < score.ends - 1e-9));
  /** The lane is the hands': what passes by itself after them is not on it. */
  const ends = $derived(Math.max(0, ...ofPour.filter((b) => !b.unattended).map((b) => b.to)));
  const blocks = $derived(ofPour.filter((b) => b.from < ends - 1e-9));
  const last = $derived(blocks.findLast((b) => b.act === 'pour'));
  const holds = $derived(last && score.windows.find((w) => w.mixId === last.mixId));
  const axis = $derived.by(() => {
    const until = Math.max(1, ends, Math.min(holds?.to ?? 0, ends + 8));
    const busy = blocks.filter((b) => !b.unattended).map((b) => ({ from: b.from, to: b.to }));
    return foldedAxis(busy, until, 9);
  });
  const x = $derived((m: number) => 4 + (axis.at(m) / Math.max(1e-9, axis.length)) * (width - END - 4));
  const until = $derived(holds ? x(Math.min(holds.to, axis.stretches.at(-1)?.to ?? holds.to)) : 0);
  const cupOf = (id: string) => computed.cups.find((c) => c.cupId === id);
  const words = $derived(
    blocks
      .filter((b) => b.act === 'pour')
      .map((b) => `${lettered(cupOf(b.cupId) ?? { letter: '', name: '' })} after ${duration(b.from)}`)
  );
  /** Words of ticks that have room beside each other. */
  const ticks = $derived.by(() => {
    let last = -Infinity;
    return ticksOf(axis.stretches, x).filter((tick) => {
      const at = x(tick);
      if (at - last < 46) return false;
      last = at;
      return true;
    });
  });
  /** Whether something that passes by itself, named there, fills a wait. */
  const passing = (s: { from: number; to: number }) =>
    blocks.some(
      (b) => b.unattended && b.from < s.to && b.to > s.from && fits(inWords(b.label), x(b.to) - x(b.from))
    );
  /** A letter or two of 13 px beside each other take so much, px. */
  const fits = (text: string, px: number) => text.length * 6.8 + 6 < px;
</script>

<svg
  {width}
  height={TOP + LANE + 4}
  class="block"
  role="img"
  aria-label="Timeline: {words.length ? `poured ${words.join(', ')}` : 'nothing is poured yet'}"
>
  <defs>
    {#each computed.cups as cup (cup.cupId)}
      <CupPattern id="{uid}-{cup.cupId}" colour={cup.colour} hatch={cup.hatch} />
    {/each}
  </defs>
  {#each ticks as tick (tick)}
    <text x={x(tick)} y={TOP - 6} text-anchor={tick ? 'middle' : 'start'} font-size="12.5" fill="var(--ink-2)"
      >{tickWords(tick)}</text
    >
    <path d="M{x(tick)} {TOP - 3}V{TOP + 2}" stroke="var(--rule-strong)" />
  {/each}
  {#each axis.stretches.filter((s) => s.folded) as s (s.from)}
    {@const wide = x(s.to) - x(s.from)}
    <path
      d="M{x(s.from)} {TOP + LANE / 2 + 2}H{x(s.to)}"
      stroke="var(--ochre)"
      stroke-width="1.5"
      stroke-dasharray="2 4"
    />
    {#if fits(`wait ${duration(s.to - s.from)}`, wide) && !passing(s)}
      <text
        x={(x(s.from) + x(s.to)) / 2}
        y={TOP + LANE / 2 - 3}
        text-anchor="middle"
        font-size="12.5"
        fill="var(--ochre)">wait {duration(s.to - s.from)}</text
      >
    {/if}
  {/each}
  {#if last && until > x(last.to)}
    <rect
      x={x(last.to)}
      y={TOP + 2}
      width={until - x(last.to)}
      height={LANE - 2}
      fill="var(--verdigris-soft)"
    />
    <path d="M{until} {TOP}V{TOP + LANE + 2}" stroke="var(--verdigris)" stroke-width="2" />
  {/if}
  {#each blocks as b (b.id)}
    {@const cup = b.act === 'pour' ? cupOf(b.cupId) : undefined}
    {@const wide = Math.max(2, x(b.to) - x(b.from))}
    <rect
      x={x(b.from)}
      y={TOP + 2}
      width={wide}
      height={LANE - 2}
      rx="4"
      fill={cup ? `url(#${uid}-${b.cupId})` : b.unattended ? 'none' : 'var(--sunk)'}
      stroke={cup ? 'var(--ink)' : 'var(--ink-2)'}
      stroke-dasharray={b.unattended ? '3 3' : undefined}
    />
    {#if cup && wide > 12}
      <text
        x={x(b.from) + wide / 2}
        y={TOP + LANE / 2 + 1}
        text-anchor="middle"
        dominant-baseline="central"
        font-size="13"
        font-weight="750"
        fill={inkOn(cup.colour)}
        stroke={cup.colour}
        stroke-width="4"
        paint-order="stroke">{cup.letter}</text
      >
    {:else if !cup && fits(inWords(b.label), wide)}
      <text
        x={x(b.from) + wide / 2}
        y={TOP + LANE / 2 + 1}
        text-anchor="middle"
        dominant-baseline="central"
        font-size="12.5"
        fill="var(--ink)">{inWords(b.label)}</text
      >
    {/if}
  {/each}
  {#if holds}
    <text x={until + 6} y={TOP + LANE / 2 - 4} font-size="12.5" fill="var(--ink-2)">pourable until</text>
    <text x={until + 6} y={TOP + LANE / 2 + 11} font-size="12.5" fill="var(--ink-2)"
      >{holdsFor(holds.to - holds.zero)} after mixing</text
    >
  {/if}
</svg>

<!--
  The score: time runs right; one lane for hands, one a cup, one a group of cavities. A cup's window is a band
  from too early to too late, gates are notches, a pour past its window is a cinnabar overlap. Long waits are
  folded, so that minutes of work stay readable beside hours of curing.
-->
<script lang="ts">
  import type { Computed } from '$core/plan';
  import { holdsFor } from '$core/quantity';
  import { foldedAxis } from '$core/schedule';
  import type { ScoreMark } from '../../plan/score-marks';
  import CupPattern from './CupPattern.svelte';
  import { inkOn } from './ink';
  import ScoreDemould from './ScoreDemould.svelte';
  import ScoreFolds from './ScoreFolds.svelte';
  import ScoreNames from './ScoreNames.svelte';
  import { ticksOf, tickWords } from './score-ticks';
  import { wordsBeside } from './score-words';
  import { inWords } from '../../preferences.svelte';

  let {
    computed,
    width = 1208,
    zoom = 'pour',
    scrolled = 0,
    chosen = undefined,
    onchoose = undefined
  }: {
    computed: Computed;
    /** Wider than it is high, it shows seconds. */
    width?: number;
    /** How far of it has gone past the left edge: the names of the lanes stay in sight. */
    scrolled?: number;
    /** The mark that is looked at, and how another is chosen; not on paper. */
    chosen?: ScoreMark | undefined;
    onchoose?: ((blockId: string) => void) | undefined;
    /** The minutes of the pour; the pour and what follows, with long waits folded; or the days, to scale. */
    zoom?: 'pour' | 'all' | 'days';
  } = $props();

  const uid = $props.id();
  const [LANE, HEAD, NAMES] = [26, 24, 112];
  const END = $derived(zoom === 'days' ? 24 : 150);

  const score = $derived(computed.score);
  const cups = $derived(computed.cups.filter((c) => score.windows.some((w) => w.cupId === c.cupId)));
  // One lane a group, however many ways its cavities are done.
  const groups = $derived(
    computed.groups.filter(
      (g, i, all) => g.layers.length && all.findIndex((x) => x.groupId === g.groupId) === i
    )
  );
  const height = $derived(HEAD + LANE * (1 + cups.length + groups.length) + 6);
  const blocks = $derived(score.blocks.filter((b) => zoom !== 'pour' || b.from < score.ends - 1e-9));
  // Room after the last pour to see how much of its window was left.
  const poured = $derived(
    Math.max(1, score.ends, ...score.windows.map((w) => Math.min(w.to, score.ends + 8)))
  );
  const axis = $derived.by(() => {
    const until = zoom === 'pour' ? poured : Math.max(poured, score.done);
    if (zoom === 'days') return foldedAxis([{ from: 0, to: until }], until, until);
    const busy = blocks.filter((b) => !b.unattended).map((b) => ({ from: b.from, to: b.to }));
    return foldedAxis(busy, until, 9);
  });
  const x = $derived(
    (minute: number) => NAMES + (axis.at(minute) / Math.max(1e-9, axis.length)) * (width - NAMES - END)
  );
  const laneOfCup = $derived((id: string) => HEAD + LANE * (1 + cups.findIndex((c) => c.cupId === id)));
  const laneOfGroup = $derived(
    (id: string) => HEAD + LANE * (1 + cups.length + groups.findIndex((g) => g.groupId === id))
  );
  /** A mix waits in its cup’s lane, a step in its cavities’; what concerns neither waits with the hands. */
  const laneOfGate = $derived(({ cupId, groupId }: { cupId?: string; groupId: string }) => {
    if (cupId !== undefined) return laneOfCup(cupId);
    return groups.some((g) => g.groupId === groupId) ? laneOfGroup(groupId) : HEAD;
  });
  const cupOf = (id: string) => computed.cups.find((c) => c.cupId === id);

  const ticks = $derived(ticksOf(axis.stretches, x));
  const isAfter = (b: { from: number }) => b.from >= score.ends - 1e-9;
  /** The words of what is done after the pour: by block. */
  const said = $derived(
    wordsBeside(
      blocks.filter((b) => b.act === 'do' && isAfter(b)).map((b) => ({ ...b, text: wordOf(b.stepId) })),
      x,
      width - END
    )
  );
  /** What is done after the pour, in one word. */
  const wordOf = (stepId: string | undefined) => computed.lines.find((l) => l.stepId === stepId)?.act ?? '';
  // The next mix of the same cup: its own window takes over.
  const nextOf = (w: { cupId: string; zero: number }) =>
    score.windows.find((n) => n.cupId === w.cupId && n.zero > w.zero);
  /** Whether a cup is poured where the words after its window would stand. */
  const isPouredAt = (cupId: string, right: number) =>
    blocks.some((b) => b.act === 'pour' && b.cupId === cupId && x(b.to) > right && x(b.from) < right + 118);
  /** A click chooses; by key the marks are gone through beside the drawing. */
  function clicked(svg: SVGSVGElement) {
    const choose = (event: MouseEvent) => chooseAt(svg, event);
    svg.addEventListener('click', choose);
    return () => svg.removeEventListener('click', choose);
  }

  /** The block under the pointer, or the one nearest in time. */
  function chooseAt(svg: SVGSVGElement, event: MouseEvent) {
    const box = svg.getBoundingClientRect();
    const at = ((event.clientX - box.left) / box.width) * width;
    const lane = ((event.clientY - box.top) / box.height) * height;
    const far = (b: (typeof blocks)[number]) =>
      Math.max(0, x(b.from) - at, at - x(b.to)) + (isIn(b, lane) ? 0 : 0.5);
    const nearest = blocks.reduce<(typeof blocks)[number] | undefined>(
      (n, b) => (n && far(n) <= far(b) ? n : b),
      undefined
    );
    if (nearest) onchoose?.(nearest.id);
  }
  const isIn = (b: (typeof blocks)[number], y: number) =>
    [HEAD, laneOfCup(b.cupId), b.groupId ? laneOfGroup(b.groupId) : HEAD].some((l) => y >= l && y < l + LANE);

  /** A window goes on through folded waits; one that outlasts the axis ends there, and its words point on. */
  const axisEnd = $derived(axis.stretches.at(-1)?.to ?? 0);
  const bandEnd = (w: { to: number }) => Math.min(w.to, Math.max(axisEnd, 0));
</script>

<!-- What goes on from one minute to another, in a lane; dashed where nobody needs to be there. -->
{#snippet bar(
  from: number,
  lane: number,
  wide: number,
  look: { fill: string; stroke: string; dashed?: boolean }
)}
  <rect
    x={from}
    y={lane + 4}
    width={wide}
    height={LANE - 8}
    rx="3"
    fill={look.fill}
    stroke={look.stroke}
    stroke-dasharray={look.dashed ? '3 3' : undefined}
  />
{/snippet}

<svg
  viewBox="0 0 {width} {height}"
  class="block w-full {onchoose ? 'cursor-pointer' : ''}"
  {@attach clicked}
  role="img"
  aria-label="Timeline of the pour"
  data-testid="score"
>
  <defs>
    {#each computed.cups as cup (cup.cupId)}
      <CupPattern id="{uid}-{cup.cupId}" colour={cup.colour} hatch={cup.hatch} />
    {/each}
  </defs>

  {#each ticks as tick (tick)}
    <path d="M{x(tick)} {HEAD - 4}V{height - 4}" stroke="var(--rule)" />
    <text x={x(tick)} y={HEAD - 10} text-anchor="middle" font-size="12.5" fill="var(--ink-2)"
      >{tickWords(tick)}</text
    >
  {/each}
  {#each Array.from({ length: 1 + cups.length + groups.length }, (_, i) => i) as lane (lane)}
    <path d="M0 {HEAD + LANE * (lane + 1)}H{width}" stroke="var(--rule)" />
  {/each}

  <ScoreFolds {axis} {x} lanes={1 + cups.length + groups.length} head={HEAD} lane={LANE} {height} />

  <!-- Each cup's window, from stirred to no longer levelling. -->
  {#each score.windows as w (w.mixId)}
    {@const next = nextOf(w)}
    {@const yy = laneOfCup(w.cupId)}
    {@const from = x(w.from)}
    {@const to = Math.max(x(next ? Math.min(bandEnd(w), next.zero - 0.2) : bandEnd(w)), from + 2)}
    <rect x={from} y={yy + 4} width={to - from} height={LANE - 8} fill="var(--verdigris-soft)" />
    <path
      d="M{from} {yy + 3}V{yy + LANE - 3}M{to} {yy + 3}V{yy + LANE - 3}"
      stroke="var(--verdigris)"
      stroke-width="2"
    />
    <path
      d="M{x(w.zero)} {yy + LANE / 2}H{from}"
      stroke="var(--verdigris)"
      stroke-width="1.5"
      stroke-dasharray="2 3"
    />
    <circle cx={x(w.zero)} cy={yy + LANE / 2} r="3" fill="var(--verdigris)" />
    {#if !next && !isPouredAt(w.cupId, to)}
      <text x={to + 5} y={yy + LANE / 2} dominant-baseline="central" font-size="12.5" fill="var(--ink-2)"
        >{w.to > axisEnd + 1e-9 ? '→ ' : ''}{holdsFor(w.to - w.zero)} from mixing</text
      >
    {/if}
  {/each}

  {#if chosen && chosen.from <= (axis.stretches.at(-1)?.to ?? 0)}
    {@const a = x(chosen.from)}
    <rect
      x={a - 2}
      y={HEAD - 2}
      width={Math.max(4, x(chosen.to) - a + 4)}
      height={height - HEAD - 2}
      rx="4"
      fill="none"
      data-chosen
      stroke={chosen.problems.length ? 'var(--cinnabar)' : 'var(--ink)'}
      stroke-width="2"
    />
  {/if}

  {#each blocks as b (b.id)}
    {@const cup = cupOf(b.cupId)}
    {@const from = x(b.from)}
    {@const wide = Math.max(2, x(b.to) - from)}
    {@const words = b.act === 'pour' ? 'pour' : inWords(b.label)}
    {#if !(b.unattended && isAfter(b))}
      {@render bar(from, HEAD, wide, {
        fill: b.unattended ? 'none' : 'var(--sunk)',
        stroke: 'var(--ink-2)',
        dashed: b.unattended
      })}
      {#if wide > 6.6 * words.length + 6}
        <text x={from + 5} y={HEAD + LANE / 2} dominant-baseline="central" font-size="12.5" fill="var(--ink)"
          >{words}</text
        >
      {/if}
    {/if}
    {#if b.act === 'do' && b.groupId && isAfter(b)}
      {@const gy = laneOfGroup(b.groupId)}
      {@render bar(from, gy, wide, {
        fill: b.unattended ? 'none' : 'var(--verdigris-soft)',
        stroke: 'var(--verdigris)',
        dashed: b.unattended
      })}
      {@const words = said.get(b.id)}
      {#if words}
        <text
          x={words.x}
          y={gy + LANE / 2}
          text-anchor={words.anchor}
          dominant-baseline="central"
          font-size="12.5"
          fill="var(--ink)">{words.text}</text
        >
      {/if}
    {/if}
    {#if b.act === 'pour' && cup}
      {@const yy = laneOfCup(b.cupId)}
      {@const poured = { fill: `url(#${uid}-${b.cupId})`, stroke: 'var(--ink)' }}
      {@render bar(from, yy, wide, poured)}
      {#if b.groupId}
        {@const gy = laneOfGroup(b.groupId)}
        {@render bar(from, gy, wide, poured)}
        <text
          x={from + wide / 2}
          y={gy + LANE / 2}
          text-anchor="middle"
          dominant-baseline="central"
          font-size="12.5"
          font-weight="750"
          fill={inkOn(cup.colour)}
          stroke={cup.colour}
          stroke-width="3"
          paint-order="stroke"
          >{wide < 10 ? '' : (b.label.length + 2) * 7 < wide ? cup.letter + ' ' + b.label : cup.letter}</text
        >
      {/if}
      {@const late = score.windows.find((w) => w.mixId === b.mixId)?.to ?? Infinity}
      {#if b.to > late + 1e-9}
        <rect
          x={x(Math.max(b.from, late))}
          y={yy + 4}
          width={x(b.to) - x(Math.max(b.from, late))}
          height={LANE - 8}
          fill="var(--cinnabar)"
        />
      {/if}
    {/if}
  {/each}

  <!-- Gates: a notch where the wait ends, in the cavities' lane. -->
  {#each score.gates.filter((g) => zoom !== 'pour' || g.from < score.ends - 1e-9) as g (`${g.gateId}~${g.turn}`)}
    {@const yy = laneOfGate(g)}
    {@const at = x(g.opens)}
    <path d="M{at - 6} {yy + 2}H{at + 6}V{yy + 9}L{at} {yy + 16}L{at - 6} {yy + 9}Z" fill="var(--ochre)" />
    <path d="M{at} {yy + 16}V{yy + LANE}" stroke="var(--ochre)" stroke-width="1.5" />
    {#if zoom !== 'days' && g.from < score.ends - 1e-9}<text
        x={at - 11}
        y={yy + LANE / 2}
        text-anchor="end"
        dominant-baseline="central"
        font-size="12.5"
        fill="var(--ink)">{inWords(g.state)}</text
      >{/if}
  {/each}

  {#if zoom !== 'days'}
    <ScoreDemould
      demould={score.demould}
      {laneOfGroup}
      head={HEAD}
      lane={LANE}
      left={width - END + 24}
      {width}
    />
  {/if}

  <ScoreNames
    {cups}
    {groups}
    {scrolled}
    {laneOfCup}
    {laneOfGroup}
    head={HEAD}
    lane={LANE}
    width={NAMES - 8}
    {height}
  />
</svg>

<!--
  A face or a cut of the piece as its pour will leave it, drawn beside the page: coarse at once, then finer. Letters stand on
  their colours; a place of it can be asked what it is and how it came there.
-->
<script lang="ts">
  import type { Vision } from '$core/colour';
  import type { Plan } from '$core/plan';
  import type { FigureCup, FigureGroup } from '$core/run';
  import type { Face, PicturePart, Showing, SpotHistory } from '$core/piece';
  import type { Place } from '$core/pour';
  import type { Shelf } from '$core/shelf';
  import { PatternWork } from '../../plan/pattern-work.svelte';
  import { paintOn, type ShownPicture } from '../../plan/shown-picture';
  import { onDestroy } from 'svelte';
  import { inkOn } from './ink';
  import type { Mark } from './marks';
  import { extentOf, footprintOutline } from './outline';

  let {
    piece,
    face,
    look = {},
    size = 512,
    marks = [],
    letters = true,
    lies = false,
    asked = $bindable(),
    ondrawn,
    ontold,
    onplaced
  }: {
    /** What is drawn: a plan with its cards, and one group of its cavities as it was worked out. */
    piece: { plan: Plan; shelf: Shelf; group: FigureGroup; cups: readonly FigureCup[] };
    face: Face;
    look?: Seen;
    /** Pixels of its longer side. */
    size?: number;
    marks?: readonly Mark[];
    letters?: boolean;
    /** Whether what is much higher than wide is turned to lie. */
    lies?: boolean;
    /** The place that is asked about, shares of the whole picture; moved by arrow keys or by a tap. */
    asked?: { x: number; y: number } | undefined;
    ondrawn?: (picture: ShownPicture) => void;
    /** Makes places of it askable. */
    ontold?: (told: SpotHistory | undefined) => void;
    /** A tap sets a place instead, where something is to be placed. */
    onplaced?: ((place: Place) => void) | undefined;
  } = $props();

  /** How the piece is looked at. */
  interface Seen {
    seed?: string | undefined;
    /** The last step that is done in it; all of them when absent. */
    until?: string | undefined;
    /** A part of it, drawn as large as the whole. */
    part?: PicturePart | undefined;
    vision?: Vision;
    /** Dry when absent. */
    showing?: Showing | undefined;
  }

  const { plan, shelf, group, cups } = $derived(piece);
  const { seed, until, part, vision = 'everyone', showing } = $derived(look);

  const work = new PatternWork();
  onDestroy(() => work.end());
  const wanted = $derived({
    plan,
    shelf,
    cavitySetId: group.cavitySetId,
    seed,
    until,
    face,
    how: { size, vision, part, showing }
  });
  $effect(() => work.draw(wanted));
  $effect(() => {
    if (work.picture) ondrawn?.(work.picture);
  });

  let canvas = $state<HTMLCanvasElement>();
  $effect(() => {
    if (canvas && work.picture) paintOn(canvas, work.picture);
  });

  const extent = $derived(extentOf(group));
  const mm = $derived(work.picture?.mm ?? { width: 2 * extent.width, height: 2 * extent.length });
  const cupOf = (id: string) => cups.find((c) => c.cupId === id);
  const mirrored = $derived(face.kind === 'mould face' ? -1 : 1);
  const at = $derived(
    (p: Mark['points'][number]) =>
      `${(mm.width / 2 + mirrored * p.x * extent.width).toFixed(2)} ${(mm.height / 2 - p.y * extent.length).toFixed(2)}`
  );
  const thin = $derived(Math.max(mm.width, mm.height) / 260);
  const shown = $derived(part ?? { x: 0, y: 0, side: 1 });

  async function ask(x: number, y: number) {
    asked = { x: Math.min(1, Math.max(0, x)), y: Math.min(1, Math.max(0, y)) };
    ontold?.(await work.tell(wanted, asked.x, asked.y));
  }
  function tapped(event: MouseEvent) {
    const box = (event.currentTarget as Element).getBoundingClientRect();
    const [u, v] = [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height];
    const [x, y] = lying ? [v, 1 - u] : [u, v];
    const [px, py] = [shown.x + x * shown.side, shown.y + y * shown.side];
    if (!onplaced) return void ask(px, py);
    const inside = (v: number) => Math.round(Math.max(-1, Math.min(1, v)) * 1000) / 1000;
    onplaced({
      x: inside((mirrored * (px - 0.5) * mm.width) / extent.width),
      y: inside(((0.5 - py) * mm.height) / extent.length)
    });
  }
  const ARROWS: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1]
  };
  function moved(event: KeyboardEvent) {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      return void ask(asked?.x ?? 0.5, asked?.y ?? 0.5);
    }
    const by = ARROWS[event.key];
    if (!by) return;
    event.preventDefault();
    const from = asked ?? { x: 0.5, y: 0.5 };
    const step = event.shiftKey ? 0.05 : 0.01;
    const [dx, dy] = lying ? [by[1], -by[0]] : by;
    void ask(from.x + dx * step, from.y + dy * step);
  }
  /** So many times as high as wide, it is drawn lying, its top to the right: larger. */
  const TALL = 1.6;
  const lying = $derived(lies && mm.height > TALL * mm.width);
  const aspect = $derived(lying ? mm.height / mm.width : mm.width / mm.height);
  const name = $derived(face.kind === 'cut' ? `cut through ${group.name}` : `${face.kind} of ${group.name}`);
  const flat = $derived(face.kind === 'mould face' || face.kind === 'open face');
  const outline = $derived(flat ? footprintOutline(group, 1) : '');
</script>

{#snippet overlay(picture: ShownPicture)}
  <svg
    viewBox="{shown.x * mm.width} {shown.y * mm.height} {mm.width * shown.side} {mm.height * shown.side}"
    class="absolute inset-0 h-full w-full"
    role="img"
    aria-label={name}
    data-drawn={picture.done ? 'whole' : 'coarse'}
  >
    {#if outline}
      <path
        d={outline}
        transform="translate({mm.width / 2} {mm.height / 2}) scale({mirrored} -1)"
        fill="none"
        stroke="var(--ink)"
        stroke-width={thin}
      />
    {/if}
    {#if letters && !part}
      {#each picture.labels as label (label.cupId)}
        {@const cup = cupOf(label.cupId)}
        {#if cup}
          <text
            x={label.x * mm.width}
            y={label.y * mm.height}
            text-anchor="middle"
            dominant-baseline="central"
            font-size={Math.max(mm.width, mm.height) * Math.min(0.06, Math.max(0.036, label.room))}
            font-weight="750"
            fill={inkOn(cup.colour)}
            stroke={cup.colour}
            stroke-width={4 * thin}
            transform={lying ? `rotate(-90 ${label.x * mm.width} ${label.y * mm.height})` : undefined}
            paint-order="stroke">{cup.letter}</text
          >
        {/if}
      {/each}
    {/if}
    {#if marks.length}
      <g fill="none" data-testid="marks">
        {#each marks as mark, i (i)}
          {@const d = `M${mark.points.map(at).join('L')}${mark.closed ? 'Z' : ''}`}
          {#if mark.points.length > 1}
            <path {d} stroke="var(--ground)" stroke-width={3 * thin} stroke-linejoin="round" />
            <path
              {d}
              stroke="var(--ink)"
              stroke-width={1.3 * thin}
              stroke-linejoin="round"
              stroke-dasharray="{4 * thin} {2.5 * thin}"
            />
          {:else}
            {@const [x, y] = at(mark.points[0]!).split(' ')}
            <circle cx={x} cy={y} r={7 * thin} stroke="var(--ground)" stroke-width={3 * thin} />
            <circle
              cx={x}
              cy={y}
              r={7 * thin}
              stroke="var(--ink)"
              stroke-width={1.3 * thin}
              stroke-dasharray="{4 * thin} {2.5 * thin}"
            />
          {/if}
        {/each}
      </g>
    {/if}
    {#if asked && ontold}
      {@const [x, y] = [asked.x * mm.width, asked.y * mm.height]}
      {@const r = 5 * thin * shown.side}
      <g stroke-width={1.2 * thin * shown.side} fill="none">
        <circle cx={x} cy={y} {r} stroke="var(--ground)" stroke-width={3 * thin * shown.side} />
        <circle cx={x} cy={y} {r} stroke="var(--ink)" />
      </g>
    {/if}
  </svg>
{/snippet}

<div
  class="relative mx-auto"
  style="aspect-ratio:{aspect};width:min(100%, calc(var(--piece-high, 100vh) * {aspect}))"
>
  <div
    class="absolute {lying ? 'top-1/2 left-1/2' : 'inset-0'}"
    style={lying
      ? `width:${100 / aspect}%;height:${100 * aspect}%;transform:translate(-50%,-50%) rotate(90deg)`
      : undefined}
  >
    {#if work.picture}
      <canvas
        bind:this={canvas}
        class="absolute inset-0 h-full w-full {outline ? '' : 'thumb'}"
        aria-hidden="true"
      ></canvas>
      {@render overlay(work.picture)}
      {#if ontold}
        <button
          class="absolute inset-0 h-full w-full cursor-crosshair rounded-sm"
          aria-label="What is here? Arrow keys move the spot, Enter asks about it."
          onclick={tapped}
          onkeydown={moved}
        ></button>
      {/if}
    {:else if outline}
      <!-- Until the first coarse picture comes, a moment later. -->
      <svg viewBox="0 0 {mm.width} {mm.height}" class="absolute inset-0 h-full w-full" aria-hidden="true">
        <path
          d={outline}
          transform="translate({mm.width / 2} {mm.height / 2}) scale({mirrored} -1)"
          fill="var(--sunk)"
          stroke="var(--rule-strong)"
          stroke-width={thin}
        />
      </svg>
    {/if}
  </div>
</div>

<!--
  A place or a way over the cavity, seen from above. Click to set a place; each is a button of its own that the arrow keys
  move, and its figures can be typed.
-->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { ComputedGroup } from '$core/plan';
  import { pathCopies, MOST_POINTS, type Path, type Place } from '$core/pour';
  import { fail, ok } from '$core/problem';
  import { parseCount } from '$core/quantity';
  import { length } from '../../preferences.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import Tick from '../forms/Tick.svelte';
  import { extentOf, footprintOutline } from '../drawing/outline';

  let {
    label,
    path,
    group,
    single = false,
    area = false,
    size: SIZE = 240,
    beneath,
    onchange
  }: {
    label: string;
    path: Path;
    group: ComputedGroup | undefined;
    /** One place only. */
    single?: boolean;
    /** What lies within it is meant: always closed. */
    area?: boolean;
    /** Of the drawing, px. */
    size?: number;
    /** What is drawn under the way: px for a mm, and half the cavity's extent, mm. */
    beneath?: Snippet<[number, { width: number; length: number }]>;
    onchange: (path: Path) => void;
  } = $props();

  const extent = $derived(extentOf(group));
  const scale = $derived((SIZE - 24) / 2 / Math.max(extent.width, extent.length));
  const px = (p: Place) => [p.x * extent.width * scale, -p.y * extent.length * scale] as const;
  const copies = $derived(pathCopies(path, extent.length / extent.width));
  let chosen = $state(Infinity);
  const at = $derived(Math.min(chosen, path.points.length - 1));

  const tidy = (v: number) => Math.max(-1, Math.min(1, Math.round(v * 1000) / 1000));
  const change = (i: number, to: Place) =>
    onchange({
      ...path,
      points: path.points.map((p, k) => (k === i ? { x: tidy(to.x), y: tidy(to.y) } : p))
    });

  function click(event: MouseEvent & { currentTarget: SVGSVGElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    const to = {
      x: tidy(((event.clientX - box.left) / box.width - 0.5) * (SIZE / (extent.width * scale))),
      y: tidy(-((event.clientY - box.top) / box.height - 0.5) * (SIZE / (extent.length * scale)))
    };
    if (single) return change(0, to);
    if (path.points.length >= MOST_POINTS) return;
    // After the one that was last chosen, so that a corner can be put in between.
    const next = Math.max(0, at + 1);
    chosen = next;
    onchange({ ...path, points: path.points.toSpliced(next, 0, to) });
  }

  const STEP = 0.02;
  const MOVES: Record<string, Place> = {
    ArrowLeft: { x: -STEP, y: 0 },
    ArrowRight: { x: STEP, y: 0 },
    ArrowUp: { x: 0, y: STEP },
    ArrowDown: { x: 0, y: -STEP }
  };
  function onkeydown(event: KeyboardEvent, i: number) {
    const move = MOVES[event.key];
    const p = path.points[i]!;
    if (move) {
      event.preventDefault();
      change(i, { x: p.x + move.x, y: p.y + move.y });
    } else if ((event.key === 'Delete' || event.key === 'Backspace') && path.points.length > (area ? 3 : 1)) {
      event.preventDefault();
      takeOut(i);
    }
  }
  const takeOut = (i: number) => onchange({ ...path, points: path.points.filter((_, k) => k !== i) });
  const rounds = (text: string) => {
    const read = parseCount(text, 36);
    return read.ok ? ok(read.value) : fail({ ...read.problem, mend: 'Type how many, from 1 to 36.' });
  };
</script>

<svg
  viewBox="{-SIZE / 2} {-SIZE / 2} {SIZE} {SIZE}"
  width={SIZE}
  height={SIZE}
  class="max-w-full cursor-crosshair rounded-md border border-rule bg-sheet"
  role="presentation"
  onclick={click}
  data-testid="place-pad"
>
  <path d={footprintOutline(group, scale)} fill="var(--sunk)" stroke="var(--ink-2)" stroke-width="1.5" />
  {@render beneath?.(scale, extent)}
  {#each copies as copy, c (c)}
    {@const points = copy.map((p) => px(p).join(' '))}
    {#if copy.length > 1}
      <path
        d="M{points.join('L')}{path.closed ? 'Z' : ''}"
        fill={area ? 'var(--verdigris)' : 'none'}
        fill-opacity="0.18"
        stroke="var(--verdigris)"
        stroke-width={c ? 1.2 : 2}
        stroke-dasharray={c ? '3 4' : undefined}
      />
    {:else if c && copy[0]}
      <circle cx={px(copy[0])[0]} cy={px(copy[0])[1]} r="4" fill="none" stroke="var(--verdigris)" />
    {/if}
  {/each}
  {#each path.points as p, i (i)}
    {@const [x, y] = px(p)}
    <g
      role="button"
      tabindex="0"
      aria-label="Place {i + 1}: {length(p.x * extent.width)} across, {length(p.y * extent.length)} away"
      transform="translate({x} {y})"
      onfocus={() => (chosen = i)}
      onclick={(e) => e.stopPropagation()}
      onkeydown={(e) => onkeydown(e, i)}
    >
      <circle r="11" fill="transparent" />
      <circle r={i === at ? 6.5 : 5} fill="var(--verdigris)" stroke="var(--sheet)" stroke-width="1.5" />
    </g>
  {/each}
</svg>
{#if path.points[at]}
  {@const p = path.points[at]}
  <div class="mt-1 flex items-center gap-2 text-[0.85rem]">
    {#if !single}<span class="text-ink-2">place {at + 1}</span>{/if}
    <QuantityField
      quiet
      width="4.4rem"
      label="{label}, across"
      unit="mm"
      min={-extent.width}
      max={extent.width}
      value={Math.round(p.x * extent.width * 10) / 10}
      onchange={(v) => change(at, { x: v / extent.width, y: p.y })}
    />
    <span class="text-ink-2">across</span>
    <QuantityField
      quiet
      width="4.4rem"
      label="{label}, away"
      unit="mm"
      min={-extent.length}
      max={extent.length}
      value={Math.round(p.y * extent.length * 10) / 10}
      onchange={(v) => change(at, { x: p.x, y: v / extent.length })}
    />
    <span class="text-ink-2">away from you</span>
  </div>
{/if}
{#if !single}
  <div class="mt-1 flex flex-wrap items-center gap-2 text-[0.85rem]">
    <ParsedField
      quiet
      width="2.2rem"
      label="{label}, copies round the middle"
      value={path.round ?? 1}
      format={String}
      parse={rounds}
      onchange={(round) => onchange({ ...path, round })}
    />
    <span class="text-ink-2">× round the middle</span>
    {#if !area}
      <Tick checked={path.closed ?? false} onchange={(closed) => onchange({ ...path, closed })}>closed</Tick>
    {/if}
    {#if path.points.length > (area ? 3 : 1)}
      <button class="text-ink-2 underline" onclick={() => takeOut(at)}>Delete place {at + 1}</button>
    {/if}
  </div>
{/if}

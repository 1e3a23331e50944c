<!-- A photo of a piece: its four corners set by hand or by arrow keys, its outline, and a white in the same light. -->
<script lang="ts">
  import type { Photo, Placed, Spot } from '$core/photo';
  import { paintPhoto } from '../../photo/read-photo';

  let {
    photo,
    placed = $bindable(),
    onplaced
  }: { photo: Photo; placed: Placed; onplaced?: () => void } = $props();

  const CORNERS = ['upper left', 'upper right', 'lower right', 'lower left'] as const;
  const STEP = 0.004;
  let canvas = $state<HTMLCanvasElement>();
  let frame = $state<HTMLElement>();
  let held = $state<number>();
  let tapping = $state(false);
  $effect(() => {
    if (canvas) paintPhoto(canvas, photo);
  });

  const share = (v: number) => Math.min(1, Math.max(0, v));
  function spotAt(event: PointerEvent | MouseEvent): Spot {
    const box = frame!.getBoundingClientRect();
    return {
      x: share((event.clientX - box.left) / box.width),
      y: share((event.clientY - box.top) / box.height)
    };
  }
  function setCorner(i: number, to: Spot) {
    placed = {
      ...placed,
      corners: placed.corners.map((c, k) => (k === i ? to : c)) as unknown as Placed['corners']
    };
  }
  function nudge(event: KeyboardEvent, i: number) {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!by) return;
    event.preventDefault();
    const { x, y } = placed.corners[i]!;
    setCorner(i, { x: share(x + by[0]! * STEP), y: share(y + by[1]! * STEP) });
    onplaced?.();
  }
  function drop() {
    if (held !== undefined) onplaced?.();
    held = undefined;
  }
  function tap(event: MouseEvent) {
    if (!tapping) return;
    placed = { ...placed, white: spotAt(event) };
    tapping = false;
    onplaced?.();
  }
  const outlineOf = (corners: Placed['corners']) => corners.map((c) => `${c.x * 100},${c.y * 100}`).join(' ');
</script>

<svelte:window onpointerup={drop} />
<div>
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
  <div
    bind:this={frame}
    class="relative inline-block max-w-full touch-none {tapping ? 'cursor-crosshair' : ''}"
    onpointermove={(e) => held !== undefined && setCorner(held, spotAt(e))}
    onclick={tap}
  >
    <canvas
      bind:this={canvas}
      class="block max-h-[46vh] max-w-full rounded-md border border-rule"
      data-testid="photo"
    ></canvas>
    <svg
      class="pointer-events-none absolute inset-0 size-full"
      viewBox="0 0 100 100"
      preserveAspectRatio="none"
    >
      <polygon
        points={outlineOf(placed.corners)}
        fill="none"
        stroke="var(--color-ground)"
        stroke-width="4"
        vector-effect="non-scaling-stroke"
      />
      <polygon
        points={outlineOf(placed.corners)}
        fill="none"
        stroke="var(--color-ink)"
        stroke-width="1.5"
        vector-effect="non-scaling-stroke"
      />
    </svg>
    {#each placed.corners as corner, i (i)}
      <button
        type="button"
        class="absolute size-8 -translate-x-1/2 -translate-y-1/2 cursor-grab rounded-full border-2 border-ground bg-ink/70"
        style="left:{corner.x * 100}%;top:{corner.y * 100}%"
        aria-label="The {CORNERS[i]} corner: drag it, or move it with the arrow keys"
        onpointerdown={(e) => {
          e.preventDefault();
          e.currentTarget.focus();
          held = i;
        }}
        onkeydown={(e) => nudge(e, i)}
      ></button>
    {/each}
    {#if placed.white}
      <span
        class="pointer-events-none absolute size-5 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-verdigris"
        style="left:{placed.white.x * 100}%;top:{placed.white.y * 100}%"
      ></span>
    {/if}
  </div>
  <div class="mt-2 flex flex-wrap items-center gap-2 text-[0.9rem]">
    <div class="flex gap-1" role="group" aria-label="Outline of the piece">
      {#each ['square', 'round'] as const as outline (outline)}
        <button
          class="button min-h-9 aria-pressed:border-verdigris aria-pressed:bg-verdigris-soft"
          aria-pressed={placed.outline === outline}
          onclick={() => {
            placed = { ...placed, outline };
            onplaced?.();
          }}>{outline === 'square' ? 'with corners' : 'round'}</button
        >
      {/each}
    </div>
    <button
      class="button min-h-9 aria-pressed:border-verdigris aria-pressed:bg-verdigris-soft"
      aria-pressed={tapping}
      onclick={() => (tapping = !tapping)}
      >{tapping ? 'Tap something white' : placed.white ? 'Another white' : 'Tap a white'}</button
    >
    {#if placed.white}
      <button
        class="button bare min-h-9 underline"
        onclick={() => {
          placed = { ...placed, white: undefined };
          onplaced?.();
        }}>no white</button
      >
    {/if}
    <span class="text-ink-2"
      >{placed.outline === 'round'
        ? 'The corners go on the square about it.'
        : 'The corners go on the corners of the piece.'}</span
    >
  </div>
</div>

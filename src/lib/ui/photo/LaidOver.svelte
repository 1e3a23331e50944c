<!-- Two pictures of one face laid over one another at the same size: a slider moves the line between them. -->
<script lang="ts">
  let {
    left,
    right,
    words
  }: {
    /** Paints itself on a canvas of its own size. */
    left: (canvas: HTMLCanvasElement) => void;
    right: (canvas: HTMLCanvasElement) => void;
    words: readonly [string, string];
  } = $props();
  let line = $state(50);
  const painted = (paint: () => (canvas: HTMLCanvasElement) => void) => (canvas: HTMLCanvasElement) =>
    paint()(canvas);
</script>

<figure class="w-[200px]">
  <div class="relative overflow-hidden rounded-md border border-rule">
    <canvas class="block w-full" {@attach painted(() => right)}></canvas>
    <canvas
      class="absolute inset-0 size-full"
      style="clip-path: inset(0 {100 - line}% 0 0)"
      {@attach painted(() => left)}
    ></canvas>
    <span class="pointer-events-none absolute inset-y-0 w-0.5 bg-ground" style="left:{line}%"></span>
  </div>
  <input
    class="mt-1 w-full accent-verdigris"
    type="range"
    min="0"
    max="100"
    aria-label="How much of each is shown: {words[0]} on the left, {words[1]} on the right"
    bind:value={line}
  />
  <figcaption class="flex justify-between text-[0.85rem] text-ink-2">
    <span>{words[0]}</span><span>{words[1]}</span>
  </figcaption>
</figure>

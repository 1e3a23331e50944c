<!-- Picks a colour from a photo: tap a white reference first, then the colour; the camera's cast is taken out. -->
<script lang="ts">
  import { castCorrected, pictureCorrected } from '$core/colour';

  let {
    onpick,
    onpixels,
    label = 'Pick from a photo'
  }: {
    onpick?: (hex: string) => void;
    /** The whole picture, small, for finding its main colours. */
    onpixels?: (pixels: Uint8ClampedArray) => void;
    label?: string;
  } = $props();
  const LONGEST = 640;
  const SPOT = 4;
  let canvas = $state<HTMLCanvasElement>();
  let shown = $state(false);
  let white = $state<string>();
  let picked = $state<string>();
  let whole: Uint8ClampedArray | undefined;

  async function open(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    if (!file) return;
    const image = await createImageBitmap(file);
    const scale = Math.min(1, LONGEST / Math.max(image.width, image.height));
    shown = true;
    white = picked = undefined;
    await Promise.resolve();
    if (!canvas) return;
    canvas.width = Math.max(1, Math.round(image.width * scale));
    canvas.height = Math.max(1, Math.round(image.height * scale));
    const context = canvas.getContext('2d', { willReadFrequently: true });
    context?.drawImage(image, 0, 0, canvas.width, canvas.height);
    const data = context?.getImageData(0, 0, canvas.width, canvas.height).data;
    whole = data;
    if (data) onpixels?.(data);
  }

  /** The mean of a spot a few pixels wide, so that grain and glitter do not decide. */
  function spot(x: number, y: number): string | undefined {
    const context = canvas?.getContext('2d', { willReadFrequently: true });
    const data = context?.getImageData(Math.max(0, x - SPOT), Math.max(0, y - SPOT), 2 * SPOT, 2 * SPOT).data;
    if (!data) return undefined;
    const sum = [0, 0, 0];
    for (let i = 0; i < data.length; i += 4) for (let k = 0; k < 3; k++) sum[k]! += data[i + k]!;
    return `#${sum
      .map((v) =>
        Math.round(v / (data.length / 4))
          .toString(16)
          .padStart(2, '0')
      )
      .join('')}`;
  }

  function tap(event: MouseEvent & { currentTarget: HTMLCanvasElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    const { width, height } = event.currentTarget;
    const hex = spot(
      Math.round(((event.clientX - box.left) / box.width) * width),
      Math.round(((event.clientY - box.top) / box.height) * height)
    );
    if (!hex) return;
    if (!white) {
      white = hex;
      if (whole) onpixels?.(pictureCorrected(whole, hex));
      return;
    }
    picked = castCorrected(hex, white);
    onpick?.(picked);
  }
</script>

<div>
  <label class="button cursor-pointer">
    {label}
    <input class="sr-only" type="file" accept="image/*" aria-label={label} onchange={open} />
  </label>
  {#if shown}
    {#if onpixels}
      <p class="mt-2 text-[0.9rem]">
        {white
          ? 'The white you tapped has taken the camera’s cast out.'
          : 'Tap something white in the photo to take the camera’s cast out.'}
        {#if white}<button
            type="button"
            class="underline"
            onclick={() => {
              white = undefined;
              if (whole) onpixels(whole);
            }}>another white</button
          >{/if}
      </p>
    {:else if onpick}
      <p class="mt-2 text-[0.9rem]">
        {white
          ? 'Now tap the colour. The white you tapped takes the camera’s cast out.'
          : 'First tap something white in the same light: paper will do.'}
        {#if white}<button type="button" class="underline" onclick={() => (white = picked = undefined)}
            >another white</button
          >{/if}
      </p>
    {/if}
    <canvas
      bind:this={canvas}
      class="mt-1 block max-h-72 max-w-full border border-rule-strong cursor-crosshair"
      data-testid="photo"
      onclick={tap}
    ></canvas>
    {#if picked}
      <p class="mt-1 flex items-center gap-2 text-[0.9rem]" role="status">
        <span class="h-7 w-10 rounded-sm border border-ink" style="background:{picked}"></span>{picked}
      </p>
    {/if}
  {/if}
</div>

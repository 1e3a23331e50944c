<!-- The photo of a face, the face as planned and as measured, all of one size: laid over one another, and on paper side by side. -->
<script lang="ts">
  import { uprighted, type MeasuredFace, type Photo, type Placed } from '$core/photo';
  import type { FigureCup } from '$core/run';
  import { paintAreas, paintUpright } from '../../photo/read-photo';
  import LaidOver from '../photo/LaidOver.svelte';

  let {
    photo,
    placed,
    measured,
    planned,
    cups,
    sideBySide = false
  }: {
    photo: Photo;
    placed: Placed;
    measured: MeasuredFace;
    planned: MeasuredFace;
    cups: readonly FigureCup[];
    sideBySide?: boolean;
  } = $props();

  const UPRIGHT = 240;
  const colours = (m: MeasuredFace) =>
    m.shares.map((s) => cups.find((c) => s.ids.includes(c.cupId))?.colour ?? '#888888');
  const asPhoto = (canvas: HTMLCanvasElement) =>
    paintUpright(canvas, uprighted(photo, { ...placed, aspect: planned.width / planned.height }, UPRIGHT));
  const asPlanned = (canvas: HTMLCanvasElement) => paintAreas(canvas, planned, colours(planned));
  const asMeasured = (canvas: HTMLCanvasElement) => paintAreas(canvas, measured, colours(measured));
  const ALL = [
    ['the photo', asPhoto],
    ['as planned', asPlanned],
    ['as measured', asMeasured]
  ] as const;
</script>

{#if sideBySide}
  <div class="flex flex-wrap gap-5" data-testid="side-by-side">
    {#each ALL as [words, paint] (words)}
      <figure class="w-[200px]">
        <canvas class="block w-full rounded-md border border-rule" {@attach paint}></canvas>
        <figcaption class="text-[0.85rem] text-ink-2">{words}</figcaption>
      </figure>
    {/each}
  </div>
{/if}
<div class="flex flex-wrap gap-5 {sideBySide ? 'no-print mt-4' : ''}">
  <LaidOver words={['the photo', 'as planned']} left={asPhoto} right={asPlanned} />
  <LaidOver words={['as measured', 'as planned']} left={asMeasured} right={asPlanned} />
</div>

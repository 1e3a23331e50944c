<!-- One measured face on the sheet of its piece: photo, plan and measured areas of one size, with the figures that are kept. -->
<script lang="ts">
  import { onDestroy, onMount } from 'svelte';
  import type { MeasuredShares, ShareSpread } from '$core/inspect';
  import type { Photo } from '$core/photo';
  import type { Face } from '$core/piece';
  import type { Plan } from '$core/plan';
  import type { FigureCup, FigureGroup } from '$core/run';
  import type { Shelf } from '$core/shelf';
  import { PhotoWork } from '../../photo/photo-work.svelte';
  import { readPhoto } from '../../photo/read-photo';
  import type { MeasuredBeside } from '../../workers/photo.worker';
  import FacesCompared from './FacesCompared.svelte';
  import SharesTable from './SharesTable.svelte';

  let {
    shows,
    face,
    piece,
    own
  }: {
    shows: MeasuredShares;
    face: string;
    piece: { plan: Plan; shelf: Shelf; group: FigureGroup; cups: readonly FigureCup[] };
    own: ShareSpread | undefined;
  } = $props();

  const work = new PhotoWork();
  onDestroy(() => work.stop());
  let photo = $state.raw<Photo>();
  let beside = $state.raw<MeasuredBeside>();
  let gone = $state(false);
  const placed = $derived({ corners: shows.corners, outline: shows.outline, white: shows.white });

  onMount(async () => {
    const response = await fetch(`/api/v1/photos/${shows.photo}`).catch(() => undefined);
    photo = response?.ok ? await readPhoto(await response.blob()).catch(() => undefined) : undefined;
    gone = !photo;
    if (!photo) return;
    beside = await work.measure({
      photo,
      placed,
      plan: piece.plan,
      shelf: piece.shelf,
      cavitySetId: piece.group.cavitySetId,
      face: { kind: face } as Face
    });
    gone = !beside?.measured || !beside.planned;
  });
</script>

<div class="mt-3">
  {#if photo && beside?.measured && beside.planned}
    <FacesCompared
      {photo}
      {placed}
      measured={beside.measured}
      planned={beside.planned}
      cups={piece.cups}
      sideBySide
    />
  {:else if gone}
    <p class="text-ink-2">
      The photo it was measured by cannot be laid over the plan now; the figures are as they were kept.
    </p>
  {:else}
    <p class="text-ink-2">The photo is being laid over the plan.</p>
  {/if}
  <div class="mt-3"><SharesTable {shows} cups={piece.cups} {own} /></div>
</div>

<!-- How much of a face each colour really shows, by a photo, beside what was planned. -->
<script lang="ts">
  import { onDestroy } from 'svelte';
  import { plannedAndMeasured, type MeasuredShares, type ShareSpread } from '$core/inspect';
  import type { Photo, Placed } from '$core/photo';
  import type { Plan } from '$core/plan';
  import type { Face } from '$core/piece';
  import type { FigureCup, FigureGroup } from '$core/run';
  import type { Shelf } from '$core/shelf';
  import { PhotoWork } from '../../photo/photo-work.svelte';
  import { readPhoto } from '../../photo/read-photo';
  import type { MeasuredBeside } from '../../workers/photo.worker';
  import FacesCompared from './FacesCompared.svelte';
  import SharesTable from './SharesTable.svelte';
  import PhotoOnPiece from '../photo/PhotoOnPiece.svelte';

  let {
    photos,
    shows,
    face,
    piece,
    own,
    onmeasured
  }: {
    /** Photos of the piece, the newest last. */
    photos: readonly string[];
    shows: MeasuredShares | undefined;
    face: Face;
    piece: { plan: Plan; shelf: Shelf; group: FigureGroup; cups: readonly FigureCup[] };
    /** How far this maker's pours vary, once that is known. */
    own: ShareSpread | undefined;
    onmeasured: (shows: MeasuredShares | undefined) => void;
  } = $props();

  const work = new PhotoWork();
  onDestroy(() => work.stop());
  let photoId = $state<string>();
  let photo = $state.raw<Photo>();
  let placed = $state.raw<Placed>();
  let beside = $state.raw<MeasuredBeside>();
  let said = $state('');

  async function open(id: string) {
    said = '';
    beside = undefined;
    photoId = id;
    const response = await fetch(`/api/v1/photos/${id}`).catch(() => undefined);
    if (!response?.ok) {
      said = 'The photo does not come. Try again in a moment.';
      return;
    }
    photo = await readPhoto(await response.blob());
    const before = shows?.photo === id ? shows : undefined;
    placed = before ? { corners: before.corners, outline: before.outline, white: before.white } : usual();
  }
  function usual(): Placed {
    const [near, far] = [0.1, 0.9];
    const round = piece.group.footprint.kind === 'round';
    return {
      corners: [
        { x: near, y: near },
        { x: far, y: near },
        { x: far, y: far },
        { x: near, y: far }
      ],
      outline: round ? 'round' : 'square'
    };
  }
  async function measure() {
    if (!photo || !placed || !photoId) return;
    said = '';
    const at = $state.snapshot(placed) as Placed;
    beside = await work.measure({
      photo,
      placed: at,
      plan: $state.snapshot(piece.plan) as Plan,
      shelf: $state.snapshot(piece.shelf) as Shelf,
      cavitySetId: piece.group.cavitySetId,
      face: $state.snapshot(face) as Face
    });
    if (!beside?.measured || !beside.planned) {
      said = beside?.planned
        ? 'This photo cannot be measured: what is seen is too far from the planned colours. Set the corners on the piece, and tap a white if there is one.'
        : 'This face cannot be measured: its planned colours are too near one another, or it shows one colour only.';
      return;
    }
    const { telling } = beside.measured;
    const { aspect: _, ...kept } = at;
    onmeasured({
      ...kept,
      photo: photoId,
      quality: telling.quality,
      within: telling.within,
      shares: plannedAndMeasured(beside.measured, beside.planned)
    });
  }
</script>

<div data-testid="measured-face">
  {#if !photos.length}
    <p class="text-ink-2">
      Add a photo of the whole piece, with something white beside it, to measure what each colour shows.
    </p>
  {:else}
    <div class="flex flex-wrap items-center gap-2">
      <span class="text-ink-2">measure it by</span>
      {#each photos as id, i (id)}
        <button class="button min-h-9" aria-pressed={photoId === id} onclick={() => open(id)}
          >photo {i + 1}</button
        >
      {/each}
      {#if shows && !photo}
        <button class="button bare min-h-9 underline" onclick={() => onmeasured(undefined)}
          >forget the shares</button
        >
      {/if}
    </div>
  {/if}
  {#if photo && placed}
    <div class="mt-3"><PhotoOnPiece {photo} bind:placed /></div>
    <button class="button go mt-2" disabled={work.working} onclick={measure}
      >{work.working ? 'Measuring' : 'Measure the face'}</button
    >
  {/if}
  {#if said}<p class="mt-2 border-l-4 border-ochre pl-2" role="status">{said}</p>{/if}
  {#if shows}
    <div class="mt-3 flex flex-wrap items-start gap-5">
      <SharesTable {shows} cups={piece.cups} {own} />
      {#if beside?.measured && beside.planned && photo && placed}
        <FacesCompared
          {photo}
          {placed}
          measured={beside.measured}
          planned={beside.planned}
          cups={piece.cups}
        />
      {/if}
    </div>
  {/if}
</div>

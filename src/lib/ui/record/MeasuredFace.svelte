<!-- How much of a face each colour really shows, by a photo, beside what was planned. -->
<script lang="ts">
  import { onDestroy } from 'svelte';
  import { plannedAndMeasured, shownOtherwise, type MeasuredShares, type ShareSpread } from '$core/inspect';
  import { uprighted, type Photo, type Placed } from '$core/photo';
  import type { Plan } from '$core/plan';
  import type { Face } from '$core/piece';
  import type { FigureCup, FigureGroup } from '$core/run';
  import type { Shelf } from '$core/shelf';
  import { PhotoWork } from '../../photo/photo-work.svelte';
  import { paintAreas, paintUpright, readPhoto } from '../../photo/read-photo';
  import type { MeasuredBeside } from '../../workers/photo.worker';
  import CupMark from '../drawing/CupMark.svelte';
  import LaidOver from '../photo/LaidOver.svelte';
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
  const UPRIGHT = 240;

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
  const cupsOf = (ids: readonly string[]) => piece.cups.filter((c) => ids.includes(c.cupId));
  const percent = (x: number) => `${(x * 100).toFixed(0)} %`;
  const otherwise = $derived(
    shows ? shownOtherwise({ faces: [{ face: 'open face', defects: [], shows }] }, own) : []
  );
  const limit = $derived(shows ? Math.max(shows.within, 2 * (own?.spread ?? 0)) : 0);
  const colours = (m: NonNullable<MeasuredBeside['measured']>) =>
    m.shares.map((s) => cupsOf(s.ids)[0]?.colour ?? '#888888');
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
      <table class="text-[0.95rem]" data-testid="measured-shares">
        <thead class="text-left text-ink-2"
          ><tr
            ><th class="font-normal">colour</th><th class="px-3 text-right font-normal">planned</th><th
              class="px-3 text-right font-normal">measured</th
            ></tr
          ></thead
        >
        <tbody>
          {#each shows.shares as s (s.cupIds.join())}
            {@const differs = Math.abs(s.measured - s.planned) > limit}
            <tr>
              <td class="py-1">
                <span class="flex items-center gap-1.5">
                  {#each cupsOf(s.cupIds) as cup (cup.cupId)}
                    <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={24} />
                  {/each}
                  {cupsOf(s.cupIds)
                    .map((c) => c.name)
                    .join(' and ')}{s.cupIds.length > 1 ? ', too alike to be told apart' : ''}
                </span>
              </td>
              <td class="px-3 text-right tabular-nums">{percent(s.planned)}</td>
              <td class="px-3 text-right tabular-nums {differs ? 'font-bold text-ochre' : ''}"
                >{percent(s.measured)}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
      {#if beside?.measured && beside.planned && photo && placed}
        {@const { measured, planned } = beside}
        {@const at = placed}
        {@const from = photo}
        <LaidOver
          words={['the photo', 'as planned']}
          left={(c) =>
            paintUpright(c, uprighted(from, { ...at, aspect: planned.width / planned.height }, UPRIGHT))}
          right={(c) => paintAreas(c, planned, colours(planned))}
        />
        <LaidOver
          words={['as measured', 'as planned']}
          left={(c) => paintAreas(c, measured, colours(measured))}
          right={(c) => paintAreas(c, planned, colours(planned))}
        />
      {/if}
    </div>
    <p class="mt-1 text-[0.9rem] text-ink-2">
      {otherwise.length
        ? `A difference above ${percent(limit)} is more than ${own && 2 * own.spread > shows.within ? 'your own pours vary' : 'measuring errs'}.`
        : `As planned, as far as a ${shows.quality === 'poor' ? 'poor ' : ''}photo can tell: within ${percent(limit)}.`}
    </p>
  {/if}
</div>

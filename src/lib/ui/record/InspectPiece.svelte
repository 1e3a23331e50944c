<!-- One piece: a grade and defects for each face, placed on its picture, a note, photos, where it goes. Stored as it is tapped. -->
<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import {
    defectsOf,
    DESTINATIONS,
    gradeOf,
    usualDestination,
    type Defect,
    type PieceTrace,
    type Destination,
    type Piece,
    type ShareSpread
  } from '$core/inspect';
  import type { Plan } from '$core/plan';
  import type { FigureCup, FigureGroup } from '$core/run';
  import type { Shelf } from '$core/shelf';
  import { problemWords } from '../../preferences.svelte';
  import { maker } from '../../run/hands.svelte';
  import { newId } from '$lib/id';
  import Choice from '../forms/Choice.svelte';
  import Hands from '../Hands.svelte';
  import InspectFace from './InspectFace.svelte';
  import MeasuredColours from './MeasuredColours.svelte';
  import MeasuredFace from './MeasuredFace.svelte';
  import Fold from '../Fold.svelte';
  import WhereFrom from './WhereFrom.svelte';
  import PiecePhotos from './PiecePhotos.svelte';
  import PiecePicture from '../drawing/PiecePicture.svelte';

  let {
    runId,
    groupId,
    number,
    name,
    piece,
    plan,
    shelf,
    group,
    cups,
    trace,
    own,
    onsave
  }: {
    runId: string;
    groupId: string;
    number: number;
    name: string;
    piece: (Piece & { photos: string[] }) | undefined;
    plan: Plan;
    shelf: Shelf;
    /** The cavities it came from, as drawn. */
    group: FigureGroup | undefined;
    cups: FigureCup[];
    /** Where it comes from, by the log. */
    trace: PieceTrace | undefined;
    /** How far the pours of who made it vary, once that is known. */
    own: ShareSpread | undefined;
    onsave: (piece: Piece, next: boolean) => Promise<void>;
  } = $props();

  const SEEN = ['mould face', 'open face'] as const;
  const FACE_WORDS = {
    'mould face': 'mould side',
    'open face': 'poured side',
    'cut face': 'cut',
    cut: 'cut'
  } as Record<string, string>;
  let photoProblem = $state('');
  let sending = $state(false);
  let face = $state<(typeof SEEN)[number]>('mould face');
  /** The defect that a tap on the picture places. */
  let placing = $state<Defect>();

  const blank = (): Piece => ({
    id: newId(),
    groupId,
    number,
    faces: SEEN.map((f) => ({ face: f, defects: [] })),
    note: '',
    by: maker()
  });
  const current = $derived.by<Piece>(() => {
    if (!piece) return blank();
    const { photos: _, ...rest } = piece;
    return { ...rest, groupId, number, by: maker() ?? piece.by };
  });
  const report = $derived(current.faces.find((f) => f.face === face));
  const goes = $derived(current.destination ?? usualDestination(gradeOf(current)));

  const change = (of: string, what: Partial<Piece['faces'][number]>) =>
    onsave({ ...current, faces: current.faces.map((f) => (f.face === of ? { ...f, ...what } : f)) }, false);

  /** Goes on; of a piece of which nothing was noted it says that all of it is good. */
  const next = () =>
    onsave(
      piece ? current : { ...current, faces: current.faces.map((f) => ({ ...f, grade: 'good' as const })) },
      true
    );

  function addDefect(of: string, defect: Defect) {
    const own = current.faces.find((f) => f.face === of);
    if (own && !own.defects.includes(defect)) void change(of, { defects: [...own.defects, defect] });
    placing = defect;
  }

  function place(event: MouseEvent & { currentTarget: HTMLElement }) {
    if (!placing || !report) return;
    const box = event.currentTarget.getBoundingClientRect();
    const x = Math.min(1, Math.max(0, (event.clientX - box.left) / box.width));
    const y = Math.min(1, Math.max(0, (event.clientY - box.top) / box.height));
    const mark = { defect: placing, x: Number(x.toFixed(3)), y: Number(y.toFixed(3)) };
    void change(face, {
      marks: [...(report.marks ?? []), mark],
      defects: report.defects.includes(placing) ? report.defects : [...report.defects, placing]
    });
  }

  async function addPhoto(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (!file) return;
    sending = true;
    photoProblem = '';
    if (!piece) await onsave(current, false);
    const id = piece?.id ?? current.id;
    const body = new FormData();
    body.set('photo', file);
    try {
      const response = await fetch(`/api/v1/pieces/${id}/photos`, { method: 'POST', body });
      if (!response.ok) {
        const problem = (await response.json()).problems?.[0];
        photoProblem = problemWords(problem) || 'The photo was not kept.';
      } else await invalidateAll();
    } catch {
      photoProblem = 'The server does not answer; choose the photo again in a moment.';
    }
    sending = false;
  }
</script>

<div class="sheet mt-4 p-4" data-testid="inspect">
  <h3 class="text-[1.15rem]">
    Piece {number}
    <span class="font-sans text-[0.9rem] font-normal text-ink-2"
      >of {name}{piece?.by ? `, looked at by ${piece.by}` : ''}</span
    >
    <span class="float-right font-sans text-[0.9rem] font-normal"><Hands asks="Who is inspecting" /></span>
  </h3>
  {#each current.faces as own (own.face)}
    <InspectFace
      {own}
      words={FACE_WORDS[own.face]!}
      isGraded={!!piece}
      usual={defectsOf(plan, shelf)}
      onchange={(what) => change(own.face, what)}
      onadding={() => {
        if (own.face === 'mould face' || own.face === 'open face') face = own.face;
      }}
      onadd={(defect) => addDefect(own.face, defect)}
    />
  {/each}
  <div class="mt-4 flex flex-wrap items-start gap-5">
    {#if group}
      <figure class="w-[220px]">
        <button
          type="button"
          class="relative block w-full {placing ? 'cursor-crosshair' : 'cursor-default'}"
          aria-label={placing
            ? `Place ${placing} on the ${FACE_WORDS[face]}`
            : `The ${FACE_WORDS[face]}, as planned`}
          onclick={place}
        >
          <PiecePicture
            piece={{ plan, shelf, group, cups }}
            face={{ kind: face }}
            size={360}
            letters={false}
          />
          {#each report?.marks ?? [] as m, i (i)}
            <span
              class="absolute size-5 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-cinnabar bg-ground/60"
              style="left:{m.x * 100}%;top:{m.y * 100}%"
              title={m.defect}
            ></span>
          {/each}
        </button>
        <div class="mt-1 flex gap-1" role="group" aria-label="Which face">
          {#each SEEN as f (f)}
            <button
              class="button bare flex-1 aria-pressed:underline"
              aria-pressed={face === f}
              onclick={() => (face = f)}>{FACE_WORDS[f]}</button
            >
          {/each}
        </div>
        <figcaption class="mt-1 text-[0.85rem] text-ink-2">
          {#if placing}tap where <strong>{placing}</strong> is{:else}{FACE_WORDS[face]}, as planned{/if}
        </figcaption>
      </figure>
    {/if}
    <div class="min-w-[300px] flex-1">
      <PiecePhotos photos={piece?.photos ?? []} {number} />
      <div class="mt-3 flex flex-wrap items-center gap-3">
        <input
          class="field !w-auto flex-1"
          aria-label="Note on this piece"
          placeholder="Note on this piece"
          value={current.note}
          onchange={(e) => onsave({ ...current, note: e.currentTarget.value }, false)}
        />
        <label class="button cursor-pointer focus-within:outline-2">
          {sending ? 'Sending' : 'Add a photo'}
          <input
            class="sr-only"
            type="file"
            accept="image/*"
            aria-label="Photo of piece {number}"
            onchange={addPhoto}
          />
        </label>
        {#if piece}
          <a class="button" href="/record/{runId}/piece/{groupId}/{number}">Sheet of this piece</a>
        {/if}
        <button class="button" onclick={next}>{piece ? 'Next piece' : 'All good, next'}</button>
      </div>
      <div class="mt-3 flex flex-wrap items-center gap-2">
        <span class="text-ink-2">goes to</span>
        <Choice
          class="!w-40"
          label="Where piece {number} goes"
          value={goes ?? ''}
          placeholder="not graded yet"
          options={DESTINATIONS.map((d) => ({ value: d, label: d }))}
          onchange={(v) => onsave({ ...current, destination: v as Destination }, false)}
        />
      </div>
      {#if trace?.pours.length}
        <Fold class="mt-3" words="Where it comes from" testid="trace"><WhereFrom {trace} {cups} /></Fold>
      {/if}
      {#if group}
        <Fold class="mt-3" words="What each colour shows, by a photo">
          {#key face}
            <MeasuredFace
              photos={piece?.photos ?? []}
              shows={report?.shows}
              face={{ kind: face }}
              piece={{ plan, shelf, group, cups }}
              {own}
              onmeasured={(shows) => change(face, { shows })}
            />
          {/key}
        </Fold>
      {/if}
      <MeasuredColours
        {cups}
        measured={current.measured ?? []}
        onmeasured={(measured) => onsave({ ...current, measured }, false)}
      />
    </div>
  </div>
  {#if photoProblem}<p class="mt-2 text-cinnabar" role="alert">{photoProblem}</p>{/if}
</div>

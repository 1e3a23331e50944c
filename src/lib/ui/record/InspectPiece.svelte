<!-- One piece: a grade and defects for each face, a note, photos. Grades are stored as they are tapped. -->
<script lang="ts">
  import Choice from '../Choice.svelte';
  import { newId } from '$lib/id';
  import { maker } from '$lib/hands.svelte';
  import Hands from '../Hands.svelte';
  import { invalidateAll } from '$app/navigation';
  import { DEFECTS, GRADES, type Piece } from '$core/inspect';

  let {
    groupId,
    number,
    name,
    piece,
    onsave
  }: {
    groupId: string;
    number: number;
    name: string;
    piece: (Piece & { photos: string[] }) | undefined;
    onsave: (piece: Piece, next: boolean) => Promise<void>;
  } = $props();

  const SEEN = ['mould face', 'open face'] as const;
  let photoProblem = $state('');
  let sending = $state(false);

  const blank = (): Piece => ({
    id: newId(),
    groupId,
    number,
    faces: SEEN.map((face) => ({ face, grade: 'good', defects: [] })),
    note: '',
    by: maker()
  });
  const current = $derived<Piece>(
    piece
      ? { id: piece.id, groupId, number, faces: piece.faces, note: piece.note, by: maker() ?? piece.by }
      : blank()
  );
  const TONES = {
    good: 'data-[on=true]:bg-verdigris data-[on=true]:text-on-verdigris data-[on=true]:border-verdigris',
    second: 'data-[on=true]:bg-ochre data-[on=true]:text-ground data-[on=true]:border-ochre',
    reject: 'data-[on=true]:bg-cinnabar data-[on=true]:text-ground data-[on=true]:border-cinnabar'
  };

  const change = (face: string, what: Partial<Piece['faces'][number]>) =>
    onsave({ ...current, faces: current.faces.map((f) => (f.face === face ? { ...f, ...what } : f)) }, false);

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
        photoProblem = `${problem?.sentence ?? 'The photo was not kept.'} ${problem?.mend ?? ''}`;
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
    <span class="float-right font-sans text-[0.9rem] font-normal"><Hands /></span>
  </h3>
  {#each current.faces as report (report.face)}
    <div class="mt-3" data-face={report.face}>
      <div class="flex flex-wrap items-center gap-2">
        <strong class="w-24">{report.face}</strong>
        {#each GRADES as grade (grade)}
          <button
            class="button {TONES[grade]}"
            data-on={!!piece && report.grade === grade}
            aria-pressed={!!piece && report.grade === grade}
            onclick={() => change(report.face, { grade })}>{grade}</button
          >
        {/each}
        <Choice
          label="Add a defect of the {report.face}"
          value=""
          options={DEFECTS.map((defect) => ({ value: defect, label: defect }))}
          onchange={(v) => {
            const defect = DEFECTS.find((d) => d === v);
            if (defect && !report.defects.includes(defect))
              change(report.face, { defects: [...report.defects, defect] });
          }}
          placeholder="+ defect"
          class="!w-52"
        />
      </div>
      {#if report.defects.length}
        <ul class="mt-1.5 flex flex-wrap gap-1.5 pl-26">
          {#each report.defects as defect (defect)}
            <li>
              <button
                class="rounded-full border border-rule-strong px-3 py-1 text-[0.9rem] hover:border-cinnabar"
                aria-label="Take out {defect}"
                onclick={() => change(report.face, { defects: report.defects.filter((d) => d !== defect) })}
                >{defect} ×</button
              >
            </li>
          {/each}
        </ul>
      {/if}
    </div>
  {/each}
  <div class="mt-3 flex flex-wrap items-center gap-3">
    <input
      class="field !w-auto flex-1"
      aria-label="Note on this piece"
      placeholder="Note on this piece"
      value={current.note}
      onchange={(e) => onsave({ ...current, note: e.currentTarget.value }, false)}
    />
    <label class="button cursor-pointer focus-within:outline-2">
      {sending ? 'Sending…' : 'Add a photo'}
      <input
        class="sr-only"
        type="file"
        accept="image/*"
        aria-label="Photo of piece {number}"
        onchange={addPhoto}
      />
    </label>
    <button class="button" onclick={() => onsave(current, true)}
      >{piece ? 'Next piece' : 'All good, next'}</button
    >
  </div>
  {#if photoProblem}<p class="mt-2 text-cinnabar" role="alert">{photoProblem}</p>{/if}
  {#if piece?.photos.length}
    <ul class="mt-3 flex gap-2">
      {#each piece.photos as photo (photo)}
        <li>
          <img class="h-24 rounded-md border border-rule" src="/api/v1/photos/{photo}" alt="piece {number}" />
        </li>
      {/each}
    </ul>
  {/if}
</div>

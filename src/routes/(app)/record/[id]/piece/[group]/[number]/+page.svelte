<!-- The sheet of one piece: what it was to be, what it is, and where it comes from. -->
<script lang="ts">
  import { day } from '$lib/when';
  import PiecePicture from '$lib/ui/drawing/PiecePicture.svelte';
  import FaceOnSheet from '$lib/ui/record/FaceOnSheet.svelte';
  import WhereFrom from '$lib/ui/record/WhereFrom.svelte';

  let { data } = $props();
  const FACE_WORDS: Record<string, string> = {
    'mould face': 'Mould side',
    'open face': 'Poured side',
    'cut face': 'Cut'
  };
  const noted = $derived(data.piece.faces.filter((f) => f.grade || f.defects.length || f.shows));
  const shown = $derived(data.plan.showFace === 'mould face' ? 'mould face' : 'open face');
  const made = $derived({ plan: data.plan, shelf: data.shelf, group: data.group, cups: data.cups });
</script>

<svelte:head><title>{data.run.name}, piece {data.piece.number} · Kirapen</title></svelte:head>

<div class="no-print flex flex-wrap items-center gap-4 border-b border-rule px-7 py-3">
  <a class="button bare" href="/record/{data.run.id}">← Record</a>
  <span class="flex-1"></span>
  <button class="button go" onclick={() => window.print()}>Print</button>
</div>
<article class="mx-auto max-w-[760px] px-8 py-7 print:max-w-none print:p-0" data-testid="piece-sheet">
  <header class="flex items-start gap-6 border-b-2 border-ink pb-3">
    <span class="w-[150px] shrink-0">
      <PiecePicture piece={made} face={{ kind: shown }} size={300} letters={false} />
    </span>
    <div>
      <h1 class="text-[1.9rem]">{data.run.name}, piece {data.piece.number}</h1>
      <p class="text-ink-2">
        {data.name} · poured {day(data.run.startedAt)}{data.piece.by
          ? ` · looked at by ${data.piece.by}`
          : ''}
      </p>
      {#if data.piece.destination}<p>goes to {data.piece.destination}</p>{/if}
      {#if data.piece.note}<p class="mt-1">{data.piece.note}</p>{/if}
    </div>
  </header>
  {#each noted as face (face.face)}
    <section class="mt-6 break-inside-avoid">
      <h2 class="text-[1.35rem]">{FACE_WORDS[face.face] ?? face.face}</h2>
      <p>
        {[
          face.grade ?? 'not graded',
          ...face.defects.map((d) => (face.features?.includes(d) ? `${d}, a feature` : d))
        ].join(' · ')}
      </p>
      {#if face.shows}
        <FaceOnSheet shows={face.shows} face={face.face} piece={made} own={data.spread} />
      {/if}
    </section>
  {/each}
  {#if data.trace.pours.length}
    <section class="mt-6 break-inside-avoid">
      <h2 class="text-[1.35rem]">Where it comes from</h2>
      <WhereFrom trace={data.trace} cups={data.cups} />
    </section>
  {/if}
</article>

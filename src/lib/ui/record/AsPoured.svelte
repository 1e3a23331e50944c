<!-- A run as it was really poured, beside its plan: figures, what was put right, what was said and seen on the way. -->
<script lang="ts">
  import { duration, weighing } from '$core/quantity';
  import type { Fact } from '$core/run';
  import { inWords } from '../../preferences.svelte';
  import { moment } from '../../when';
  import CoreDrawing from '../drawing/CoreDrawing.svelte';
  import PieceThumb from '../drawing/PieceThumb.svelte';
  import CorrectionList from '../run/CorrectionList.svelte';
  import Table from '../Table.svelte';
  import type { PageData } from '../../../routes/(app)/record/[id]/$types';

  let { data }: { data: PageData } = $props();

  const shown = (f: Fact, x: number) =>
    f.unit === 'min' ? duration(x) : f.unit === '%' ? `${x.toFixed(2)} %` : weighing(x);
  const percentOf = (f: Fact) =>
    data.facts.find((p) => p.id === f.id.replace('weigh:', 'percent:') && p.unit === '%');
  /** How a figure that came out otherwise is written: from 0.5 % on it stands out, from 5 % on it is a warning. */
  function apart(f: Fact): string {
    const off = f.actual === undefined ? 0 : Math.abs(f.actual / f.planned - 1);
    if (off > 0.05) return 'font-bold text-ochre';
    return off > 0.005 ? 'font-semibold' : 'text-ink-2';
  }
</script>

<section aria-label="Planned and actual">
  <h2 class="text-[1.35rem]">Planned beside actual</h2>
  <Table
    class="mt-2 text-[0.9rem]"
    rows={data.facts.filter((f) => f.unit !== '%').map((f) => ({ f, percent: percentOf(f) }))}
    columns={[
      {
        id: 'what',
        head: 'what',
        headClass: '!px-0',
        text: ({ f }) => inWords(f.what),
        class: '!px-0 !py-1 text-ink-2'
      },
      { id: 'planned', head: 'planned', num: true, class: '!py-1 whitespace-nowrap' },
      {
        id: 'actual',
        head: 'actual',
        num: true,
        headClass: '!pr-0',
        class: ({ f }) => `!py-1 !pr-0 whitespace-nowrap ${apart(f)}`
      }
    ]}
  >
    {#snippet cell({ f, percent }, column)}
      {#if column === 'planned'}
        {shown(f, f.planned)}
        {#if percent}<span class="block text-[0.8rem] text-ink-2">{shown(percent, percent.planned)}</span
          >{/if}
      {:else}
        {f.actual === undefined ? '—' : shown(f, f.actual)}
        {#if percent?.actual !== undefined}
          <span class="block text-[0.8rem] font-normal text-ink-2">{shown(percent, percent.actual)}</span>
        {/if}
      {/if}
    {/snippet}
  </Table>
  {#if data.corrections.length}
    <h2 class="mt-6 text-[1.35rem]">Fixed, or different from the plan</h2>
    <CorrectionList corrections={data.corrections} />
  {/if}
  {#if data.advice.length}
    <h2 class="mt-6 text-[1.35rem]">Against the clock</h2>
    <ul class="ruled mt-1">
      {#each data.advice as sentence, i (i)}
        <li class="py-2 first-letter:uppercase">{inWords(sentence)}</li>
      {/each}
    </ul>
  {/if}
  {#if data.photos.length}
    <h2 class="mt-6 text-[1.35rem]">Photos on the way</h2>
    <ul class="mt-2 grid grid-cols-3 gap-2" data-testid="run-photos">
      {#each data.photos as photo (photo.id)}
        <li>
          <a href="/api/v1/photos/{photo.id}"
            ><img
              src="/api/v1/photos/{photo.id}"
              alt={photo.stage}
              loading="lazy"
              class="aspect-square w-full rounded-md border border-rule object-cover"
            /></a
          >
          <span class="text-[0.85rem] text-ink-2">{photo.stage}, {moment(photo.at, photo.at)}</span>
        </li>
      {/each}
    </ul>
  {/if}
  {#if data.notes.length}
    <h2 class="mt-6 text-[1.35rem]">Said on the way</h2>
    <ul class="ruled mt-1">
      {#each data.notes as note (note.id)}
        <li class="py-2">
          {#if note.problem}<strong class="text-cinnabar">Problem:</strong>{/if}
          {note.text} <span class="text-[0.85rem] text-ink-2">{moment(note.at, note.at)}</span>
        </li>
      {/each}
    </ul>
  {/if}
  {#if data.strays.length || data.unreadable}
    <h2 class="mt-6 text-[1.35rem]">Kept, and not understood</h2>
    <ul class="ruled mt-1" data-testid="strays">
      {#each data.strays as stray (stray.id)}
        <li class="py-2 text-ink-2">
          {inWords(stray.sentence)} <span class="text-[0.85rem]">{moment(stray.at, stray.at)}</span>
        </li>
      {/each}
      {#if data.unreadable}
        <li class="py-2 text-ink-2">{data.unreadable} stored so that they cannot be read any more.</li>
      {/if}
    </ul>
  {/if}
  {#if data.computed.groups[0]}
    <figure class="mt-6">
      <PieceThumb of="runs/{data.run.id}" face={data.plan.showFace} width={220} />
      <figcaption class="text-center text-[0.85rem] text-ink-2">as its plan drew it</figcaption>
    </figure>
    <div class="mt-6">
      <CoreDrawing group={data.computed.groups[0]} cups={data.computed.cups} showFace={data.plan.showFace} />
    </div>
  {/if}
</section>

<!-- How much of the face each colour is to show: the pour that comes nearest is searched beside the page, and applied in one tap. -->
<script lang="ts">
  import { FACE_ZONES, type Face, type Wish, type FaceZone } from '$core/piece';
  import { type Computed, type ComputedGroup, type Plan } from '$core/plan';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import { FaceSearch } from '../../plan/pattern-work.svelte';
  import { onDestroy } from 'svelte';
  import Bar from '../drawing/Bar.svelte';
  import Choice from '../forms/Choice.svelte';
  import CupMark from '../drawing/CupMark.svelte';
  import QuantityField from '../forms/QuantityField.svelte';

  let {
    plan,
    computed,
    editor,
    group,
    face,
    shows
  }: {
    plan: Plan;
    computed: Computed;
    editor: PlanView;
    group: ComputedGroup;
    face: Face;
    /** What each cup shows now, 0..1. */
    shows: readonly { cup: { cupId: string }; shows: number | undefined }[];
  } = $props();

  const search = new FaceSearch();
  onDestroy(() => search.end());
  const cups = $derived(computed.cups.filter((c) => shows.some((s) => s.cup.cupId === c.cupId)));
  let wishes = $state<Wish[]>([]);
  const nowOf = (cupId: string) => shows.find((s) => s.cup.cupId === cupId)?.shows ?? 0;
  /** By weight, of what the plan has in each cup: what of them shows is counted when it is searched. */
  const chipsOf = (cupId: string) =>
    (plan.cups.find((c) => c.id === cupId)?.fillers ?? []).reduce((s, f) => s + f.percent / 100, 0);
  function wish(cupId: string, of?: 'chips') {
    const share = Math.round((of ? chipsOf(cupId) : nowOf(cupId)) * 100) / 100;
    wishes = [...wishes, { cupId, zone: 'all of it', share, ...(of ? { of } : {}) }];
  }
  const change = (i: number, part: Partial<Wish>) =>
    (wishes = wishes.map((w, k) => (k === i ? { ...w, ...part } : w)));
  function start() {
    search.start(
      { plan, shelf: editor.shelf },
      { groupId: group.cavitySetId, face: $state.snapshot(face), wishes: $state.snapshot(wishes) }
    );
  }
  const cupOf = (id: string) => cups.find((c) => c.cupId === id);
  const said = (w: Wish) => (w.of ? `the ${w.of} in ${cupOf(w.cupId)?.name}` : (cupOf(w.cupId)?.name ?? ''));
  const percent = (x: number) => `${(x * 100).toFixed(0)} %`;
</script>

<section class="mx-auto w-full max-w-[460px] text-[0.9rem]" aria-label="Ask for a face">
  <div class="flex flex-wrap items-center gap-2">
    <span class="text-ink-2">Ask for more or less of</span>
    {#each cups as cup (cup.cupId)}
      <button
        class="button bare min-h-9 p-0.5"
        aria-label="Ask for {cup.name}"
        onclick={() => wish(cup.cupId)}
      >
        <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={24} />
      </button>
      {#if chipsOf(cup.cupId)}
        <button class="button bare min-h-9 underline" onclick={() => wish(cup.cupId, 'chips')}>
          chips in {cup.letter}
        </button>
      {/if}
    {/each}
    <a
      class="ml-auto underline"
      href="/plans/from-picture?mould={plan.groups[0]?.mouldId ?? ''}&base={plan.mixes[0]?.baseId ?? ''}"
      >by a picture</a
    >
  </div>
  {#each wishes as w, i (i)}
    {@const cup = cupOf(w.cupId)}
    <div class="mt-1 flex flex-wrap items-center gap-2">
      {#if cup}<CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={20} />{/if}
      <QuantityField
        quiet
        width="3rem"
        label="How much {w.of ? 'of ' : ''}{said(w)} shows"
        unit="%"
        min={0}
        max={1}
        value={w.share}
        onchange={(share) => change(i, { share })}
      />
      <span class="text-ink-2">{w.of ?? ''} of</span>
      <Choice
        quiet
        label="Of which part"
        value={w.zone}
        options={FACE_ZONES.map((z) => ({ value: z, label: z }))}
        onchange={(zone) => change(i, { zone: zone as FaceZone })}
      />
      <button
        class="button bare min-h-9 underline"
        onclick={() => (wishes = wishes.filter((_, k) => k !== i))}>leave out</button
      >
    </div>
  {/each}
  {#if wishes.length}
    <div class="mt-1 flex items-center gap-3">
      {#if search.searching}
        <div class="flex-1">
          <Bar label="Pours tried" share={search.searching.tried / search.searching.of} />
        </div>
        <button class="button min-h-9" onclick={() => search.stop()}>Stop</button>
      {:else}
        <button class="button min-h-9" onclick={start}>Search the pour</button>
        <span class="text-ink-2">amounts, order, places and shares; the face as it is drawn above</span>
      {/if}
    </div>
  {/if}
  {#if search.answer}
    <div
      class="mt-2 border-l-4 border-verdigris bg-sheet px-3 py-2"
      data-testid="face-answer"
      aria-live="polite"
    >
      {#each search.answer.wishes as w (w.cupId + w.zone + (w.of ?? ''))}
        <p>
          {said(w)}
          {w.of ? 'show' : 'shows'} <strong>{percent(w.after)}</strong> of {w.zone}{#if !w.reached}
            <span class="text-ochre">; {percent(w.share)} could not be reached</span>{/if}
          <span class="text-ink-2">(now {percent(w.before)})</span>
        </p>
      {/each}
      {#if search.answer.changed}
        <button
          class="button go mt-1 min-h-9"
          onclick={() => search.answer && editor.replace(search.answer.plan)}>Pour it so</button
        >
      {:else}
        <p>
          {search.answer.wishes.every((w) => w.reached)
            ? 'It is poured so already.'
            : 'No pour of these steps comes nearer.'}
        </p>
      {/if}
    </div>
  {/if}
</section>

<!-- First the piece: every technique drawn in one's own colours and mould, the few answers it needs, and a whole plan of them. -->
<script lang="ts">
  import { goto, invalidateAll } from '$app/navigation';
  import { page } from '$app/state';
  import { newPlan } from '$core/edit';
  import type { Plan } from '$core/plan';
  import type { Problem } from '$core/problem';
  import { newId } from '$lib/id';
  import Answers from '$lib/ui/begin/Answers.svelte';
  import Gallery from '$lib/ui/begin/Gallery.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';
  import { ToBegin } from '../../../../lib/plan/to-begin.svelte';
  import { send } from '../../../../lib/store/send';

  let { data } = $props();
  const begin = new ToBegin(
    () => data.shelf,
    () => ({
      ...data.last,
      mouldId: page.url.searchParams.get('mould') ?? data.last?.mouldId,
      baseId: page.url.searchParams.get('base') ?? data.last?.baseId
    })
  );
  let problems = $state<Problem[]>([]);

  async function keep(plan: Plan) {
    const made = await send<Plan>('POST', '/plans', plan);
    if (made.ok) await goto(`/plans/${plan.id}`, { replaceState: true });
    else problems = made.problems;
  }
  async function fill() {
    const added = await send('POST', '/library');
    if (added.ok) await invalidateAll();
    else problems = added.problems;
  }
</script>

<svelte:head><title>New plan · Kirapen</title></svelte:head>

<div class="page">
  <header class="flex flex-wrap items-center gap-3">
    <div class="min-w-0 flex-1">
      <h1 class="text-[1.9rem]">What do you want to make?</h1>
      <p class="text-ink-2">Every picture is drawn in your colours, in your mould, from a pour you can do.</p>
    </div>
    <a class="button" href="/plans/from-picture">From a picture</a>
    <button
      class="button"
      onclick={() =>
        keep(newPlan(newId(), 'New pour', data.shelf, page.url.searchParams.get('mould') ?? undefined))}
      >Empty plan</button
    >
  </header>
  {#each problems as problem, i (i)}<div class="mt-3"><ProblemNote {problem} /></div>{/each}
  {#if !data.shelf.bases.length}
    <p class="sheet mt-4 flex flex-wrap items-center gap-3 px-4 py-3">
      <span class="min-w-0 flex-1"
        >The shelf is empty. The starter set has resins, soaps, concretes, pigments, cups and scales to plan
        with.</span
      >
      <button class="button go" onclick={fill}>Add the starter set</button>
    </p>
  {:else}
    <div class="mt-4 grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_300px]">
      <Gallery {begin} />
      <Answers {begin} onmake={keep} />
    </div>
  {/if}
</div>

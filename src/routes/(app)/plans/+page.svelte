<script lang="ts">
  import { counted } from '$core/quantity';
  import BrokenList from '$lib/ui/BrokenList.svelte';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { type Plan } from '$core/plan';
  import { send } from '../../../lib/store/send';
  import type { Problem } from '$core/problem';
  import CupMark from '../../../lib/ui/drawing/CupMark.svelte';
  import ImportPlan from '$lib/ui/ImportPlan.svelte';
  import PieceThumb from '../../../lib/ui/drawing/PieceThumb.svelte';
  import { mass } from '../../../lib/preferences.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';

  let { data } = $props();
  let deleted = $state('');
  let problems = $state<Problem[]>([]);

  onMount(() => {
    deleted = sessionStorage.getItem('kirapen.deleted') ?? '';
  });

  async function bringBack() {
    const back = await send<Plan>('POST', '/plans/import', JSON.parse(deleted));
    if (!back.ok) return void (problems = back.problems);
    sessionStorage.removeItem('kirapen.deleted');
    await goto(`/plans/${back.value.id}`);
  }
</script>

<svelte:head><title>Plans · Kirapen</title></svelte:head>

<div class="page">
  <header class="flex items-center gap-3">
    <h1 class="flex-1 text-[1.9rem]">Plans</h1>
    <a class="button" href="/days">Days</a>
    <a class="button" href="/practise">Practise</a>
    <ImportPlan />
    <a class="button go" href="/plans/new">New plan</a>
  </header>
  {#each problems as problem, i (i)}<div class="mt-3"><ProblemNote {problem} /></div>{/each}
  {#if deleted}
    <p class="sheet mt-4 flex items-center gap-3 px-4 py-2">
      The plan is deleted. <button class="button bare underline" onclick={bringBack}>Bring it back</button>
    </p>
  {/if}

  <BrokenList broken={data.broken} />
  <ul class="mt-5 grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
    {#each data.plans as plan (plan.id)}
      <li>
        <a href="/plans/{plan.id}" class="sheet flex h-full gap-4 p-4 hover:border-ink-2">
          <div class="w-28 shrink-0">
            <PieceThumb of="plans/{plan.id}" at={plan.revision} width={112} />
          </div>
          <div class="min-w-0 flex-1">
            <h2 class="text-[1.25rem]">{plan.name}</h2>
            <p class="text-[0.87rem] text-ink-2">{counted(plan.totals.pieces, 'piece')} · {plan.base}</p>
            <p class="mt-1 flex gap-1">
              {#each plan.cups as cup (cup.cupId)}
                <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={22} />
              {/each}
            </p>
            <p class="mt-1 text-[0.87rem]">
              <strong>{mass(plan.totals.balance.mixed)}</strong> to mix
              {#if plan.toMend}<span class="font-semibold text-ochre">
                  · {counted(plan.toMend, 'warning')}</span
                >{/if}
            </p>
            {#if plan.notes}<p class="mt-1 line-clamp-2 text-[0.85rem] text-ink-2">{plan.notes}</p>{/if}
          </div>
        </a>
      </li>
    {:else}
      <li class="col-span-full py-16 text-center text-ink-2">
        <p class="mx-auto max-w-md">
          No plans yet. A plan says which cup goes into which cavity, how much, and when; Kirapen works out
          every gram. Begin one, or import one from a file.
        </p>
      </li>
    {/each}
  </ul>
</div>

<!-- A picture asks for a pour: the piece on it, what is seen, and the pours that come near, each of which opens as a plan. -->
<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { onDestroy, onMount } from 'svelte';
  import { mendInTurn } from '$core/edit';
  import type { Areas, Photo, Placed } from '$core/photo';
  import type { Plan } from '$core/plan';
  import type { Problem } from '$core/problem';
  import type { PouredLike } from '$core/propose';
  import { newId } from '$lib/id';
  import Choice from '$lib/ui/forms/Choice.svelte';
  import PhotoOnPiece from '$lib/ui/photo/PhotoOnPiece.svelte';
  import PhotoSource from '$lib/ui/photo/PhotoSource.svelte';
  import PouredCard from '$lib/ui/photo/PouredCard.svelte';
  import SeenAreas from '$lib/ui/photo/SeenAreas.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';
  import Row from '$lib/ui/forms/Row.svelte';
  import madePicture from '../../../../lib/photo/made-picture.json';
  import { keepAim } from '../../../../lib/photo/keep-aim';
  import { readPhoto } from '../../../../lib/photo/read-photo';
  import { PhotoWork } from '../../../../lib/photo/photo-work.svelte';
  import { proverFor } from '../../../../lib/plan/prove-work';
  import { ToBegin } from '../../../../lib/plan/to-begin.svelte';
  import { send } from '../../../../lib/store/send';

  let { data } = $props();
  const begin = new ToBegin(
    () => data.shelf,
    () => ({
      ...data.last,
      mouldId: page.url.searchParams.get('mould') || data.last?.mouldId,
      baseId: page.url.searchParams.get('base') || data.last?.baseId
    })
  );
  const [seeing, pouring] = [new PhotoWork(), new PhotoWork()];
  onDestroy(() => [seeing, pouring].forEach((w) => w.stop()));

  let photo = $state.raw<Photo>();
  let file: Blob | undefined;
  let placed = $state.raw<Placed>(whole());
  let areas = $state.raw<Areas>();
  let pours = $state.raw<PouredLike[]>([]);
  let searched = $state(false);
  let making = $state(false);
  let problems = $state<Problem[]>([]);

  function whole(): Placed {
    const [near, far] = [0.08, 0.92];
    return {
      corners: [
        { x: near, y: near },
        { x: far, y: near },
        { x: far, y: far },
        { x: near, y: far }
      ],
      outline: 'square'
    };
  }
  function take(taken: Photo, from: Blob) {
    [photo, file, placed] = [taken, from, whole()];
    void see();
  }
  /** A photo that is here already: of a past piece. */
  onMount(async () => {
    const id = page.url.searchParams.get('photo');
    const response = id ? await fetch(`/api/v1/photos/${id}`).catch(() => undefined) : undefined;
    if (!response?.ok) return;
    const blob = await response.blob();
    take(await readPhoto(blob), blob);
  });
  /** A pour drawn by the program and photographed by it: to try this with. */
  async function tryMade() {
    const response = await fetch('/made-picture.jpg').catch(() => undefined);
    if (!response?.ok) return;
    const blob = await response.blob();
    const read = await readPhoto(blob);
    [photo, file, placed] = [read, blob, madePicture as Placed];
    await see();
  }
  async function see() {
    if (!photo) return;
    forget();
    areas = (await seeing.see(photo, $state.snapshot(placed) as Placed)) ?? areas;
  }
  /** What was proposed for something else is proposed no more. */
  function forget() {
    pouring.stop();
    [pours, searched] = [[], false];
  }
  async function search() {
    if (!areas || !begin.mould || !begin.base) return;
    forget();
    const { lab: _, ...seen } = areas;
    await pouring.pour(
      {
        areas: seen,
        shelf: $state.snapshot(data.shelf) as typeof data.shelf,
        mouldId: begin.mould.id,
        baseId: begin.base.id,
        id: newId()
      },
      (found) => (pours = found)
    );
    searched = true;
  }
  async function open(pour: PouredLike) {
    making = true;
    const plan: Plan = { ...pour.plan, id: newId() };
    const mended = await mendInTurn(plan, proverFor(data.shelf, {}));
    const made = await send<Plan>('POST', '/plans', mended);
    if (made.ok && file) await keepAim(mended, file, placed);
    making = false;
    if (made.ok) await goto(`/plans/${plan.id}`);
    else problems = made.problems;
  }
</script>

<svelte:head><title>From a picture · Kirapen</title></svelte:head>

<div class="page">
  <header class="flex flex-wrap items-center gap-3">
    <div class="min-w-0 flex-1">
      <h1 class="text-[1.9rem]">From a picture to a pour</h1>
      <p class="text-ink-2">
        An earlier piece, a stone, a shell: which pour comes near it, in your colours and your mould.
      </p>
    </div>
    <PhotoSource label={photo ? 'Another picture' : 'Choose or take a picture'} onphoto={take} />
  </header>
  {#each problems as problem, i (i)}<div class="mt-3"><ProblemNote {problem} /></div>{/each}
  {#if !photo}
    <p class="sheet mt-6 px-5 py-8 text-center text-ink-2">
      Lay the whole piece flat, in even light, with something white beside it. A picture may also be pasted
      here. It stays in this workshop.
      <button data-testid="made-picture" class="mx-auto mt-3 block underline" onclick={tryMade}
        >Try it with a picture that the program has made</button
      >
    </p>
  {:else}
    <div class="mt-4 grid items-start gap-6 lg:grid-cols-2">
      <section class="sheet p-4" aria-label="The piece on the picture">
        <h2 class="mb-2 text-[1.2rem]">1. Where the piece is</h2>
        <PhotoOnPiece {photo} bind:placed onplaced={see} />
      </section>
      <div class="space-y-6">
        <section class="sheet p-4" aria-label="What is seen">
          <h2 class="mb-2 text-[1.2rem]">2. What is seen</h2>
          {#if areas}
            <SeenAreas
              {areas}
              onchange={(to) => {
                forget();
                areas = to;
              }}
            />
          {:else}<p class="text-ink-2" role="status">Telling the colours apart.</p>{/if}
        </section>
        <section class="sheet p-4" aria-label="What it is made in">
          <h2 class="mb-1 text-[1.2rem]">3. What it is made in</h2>
          <div class="grid gap-x-3 sm:grid-cols-2">
            <Row label="Mould">
              <Choice
                label="Mould"
                value={begin.mould?.id ?? ''}
                options={data.shelf.moulds.map((m) => ({ value: m.id, label: m.name }))}
                onchange={(mould) => {
                  forget();
                  begin.choose({ mould });
                }}
              />
            </Row>
            <Row label="Material">
              <Choice
                label="Material"
                value={begin.base?.id ?? ''}
                options={data.shelf.bases.map((b) => ({ value: b.id, label: b.name }))}
                onchange={(base) => {
                  forget();
                  begin.choose({ base });
                }}
              />
            </Row>
          </div>
          {#if !begin.mould || !begin.base}
            <p class="mt-2">
              A mould and a material on the <a class="underline" href="/shelf">shelf</a> are needed first.
            </p>
          {:else if pouring.working}
            <div class="mt-3 flex items-center gap-3">
              <button class="button" onclick={() => pouring.stop()}>Stop, keep the best</button>
              <span class="text-ink-2" role="status"
                >{pours.length
                  ? 'Seeking the shares of each colour.'
                  : 'Comparing it with every technique.'}</span
              >
            </div>
          {:else}
            <button class="button go mt-3" disabled={!areas || areas.colours.length < 2} onclick={search}
              >Find a pour</button
            >
            {#if areas && areas.colours.length < 2}
              <p class="mt-2 text-ink-2">One colour is seen: nothing is swirled or layered in it.</p>
            {/if}
          {/if}
        </section>
      </div>
    </div>
    {#if areas && pours.length}
      <h2 class="mt-6 text-[1.3rem]">
        {pours.length > 1 ? 'Either of these makes it' : 'The pour that comes nearest'}
      </h2>
      <div class="mt-3 grid items-start gap-6 lg:grid-cols-2">
        {#each pours as pour (pour.techniqueId)}
          <PouredCard {pour} {areas} shelf={data.shelf} {making} onopen={() => open(pour)} />
        {/each}
      </div>
    {:else if searched}
      <p class="sheet mt-6 px-4 py-3" role="status">
        No technique that is done in {begin.base?.name} draws a pattern in this mould.
      </p>
    {/if}
  {/if}
</div>

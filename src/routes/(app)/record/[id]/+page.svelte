<script lang="ts">
  import Table from '$lib/ui/Table.svelte';
  import { goto, invalidateAll } from '$app/navigation';
  import { gradeOf, type Piece } from '$core/inspect';
  import type { Plan } from '$core/plan';
  import type { Problem } from '$core/problem';
  import { duration, weighing } from '$core/quantity';
  import type { Fact } from '$core/run';
  import { newId } from '$lib/id';
  import { send } from '$lib/send';
  import { day, moment } from '$lib/when';
  import CoreDrawing from '$lib/ui/CoreDrawing.svelte';
  import PieceThumb from '$lib/ui/PieceThumb.svelte';
  import CupMark from '$lib/ui/CupMark.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import InspectPiece from '$lib/ui/record/InspectPiece.svelte';
  import { said } from '$lib/ways.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';

  let { data } = $props();
  let problems = $state<Problem[]>([]);
  let lesson = $state('');

  const slots = $derived(
    data.plan.groups.flatMap((group) =>
      Array.from({ length: group.count }, (_, i) => ({
        group,
        number: i + 1,
        piece: data.pieces.find((p) => p.groupId === group.id && p.number === i + 1)
      }))
    )
  );
  let chosen = $state(0);
  const slot = $derived(slots[Math.min(chosen, slots.length - 1)]);
  /** Who weighed, poured and inspected, where it was signed. */
  const who = $derived(
    [
      ['weighed', data.hands.weighed],
      ['poured', data.hands.poured],
      ['inspected', [...new Set(data.pieces.flatMap((p) => p.by ?? []))]]
    ]
      .filter(([, by]) => by!.length)
      .map(([did, by]) => `${did} by ${[by].flat().join(', ')}`)
      .join(', ')
  );
  const graded = $derived(data.pieces.length);

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
  const TONES: Record<string, string> = {
    good: 'border-verdigris text-verdigris',
    second: 'border-ochre text-ochre',
    reject: 'border-cinnabar text-cinnabar',
    '': 'border-rule-strong text-ink-2'
  };

  async function save(piece: Piece, next: boolean) {
    const stored = await send('PUT', `/runs/${data.run.id}/pieces`, piece);
    problems = stored.ok ? [] : stored.problems;
    if (!stored.ok) return;
    await invalidateAll();
    if (next && chosen < slots.length - 1) chosen++;
  }

  async function keepLesson(event: SubmitEvent) {
    event.preventDefault();
    if (!lesson.trim()) return;
    const stored = await send('POST', `/runs/${data.run.id}/lessons`, { text: lesson });
    problems = stored.ok ? [] : stored.problems;
    if (!stored.ok) return;
    lesson = '';
    await invalidateAll();
  }

  let left = $state<Record<string, number>>({});
  async function keepLeft() {
    const at = Date.now();
    const events = Object.entries(left).map(([cupId, grams], i) => ({
      id: newId(),
      at: at + i,
      type: 'left',
      cupId,
      grams
    }));
    const stored = await send('POST', `/runs/${data.run.id}/events`, events);
    problems = stored.ok ? [] : stored.problems;
    if (!stored.ok) return;
    left = {};
    await invalidateAll();
  }

  async function repeat() {
    const made = await send<Plan>('POST', `/runs/${data.run.id}/repeat`);
    if (made.ok) await goto(`/plans/${made.value.id}`);
    else problems = made.problems;
  }
</script>

<svelte:head><title>{data.run.name}: record · Kirapen</title></svelte:head>

<div class="mx-auto max-w-[1140px] px-7 py-6">
  <header class="flex flex-wrap items-center gap-3">
    <div class="flex-1">
      <p class="text-[0.9rem] text-ink-2">
        <a class="underline" href="/record">Record</a> · {data.base} · begun {day(data.run.startedAt)}{who
          ? ` · ${who}`
          : ''}
      </p>
      <h1 class="text-[1.9rem]">{data.run.name}</h1>
    </div>
    {#if data.open}<a class="button go" href="/run/{data.run.id}">Go on with the run</a>{/if}
    <button class="button {data.open ? '' : 'go'}" onclick={repeat}>Repeat as poured</button>
  </header>
  {#each problems as problem (problem.code + problem.path)}<div class="mt-2">
      <ProblemNote {problem} />
    </div>{/each}

  <div class="mt-5 grid gap-8 lg:grid-cols-[minmax(0,1fr)_400px]">
    <section aria-label="Inspect">
      <h2 class="text-[1.35rem]">
        Inspect <span class="ml-2 font-sans text-[0.95rem] font-normal text-ink-2"
          >{graded} of {slots.length} looked at</span
        >
      </h2>
      <div class="mt-3 flex flex-wrap gap-2" role="tablist" aria-label="Pieces">
        {#each slots as s, i (s.group.id + s.number)}
          {@const grade = s.piece ? gradeOf(s.piece) : ''}
          <button
            role="tab"
            aria-selected={i === chosen}
            class="grid h-14 min-w-14 place-items-center rounded-lg border-2 bg-sheet px-2 text-[1.15rem] font-bold {TONES[
              grade
            ]} aria-selected:outline-3 aria-selected:outline-offset-1 aria-selected:outline-ink"
            onclick={() => (chosen = i)}
          >
            {s.number}<span class="text-[0.7rem] leading-none font-semibold">{grade || 'open'}</span>
          </button>
        {/each}
      </div>
      {#if slot}
        {#key `${slot.group.id}|${slot.number}`}
          <InspectPiece
            groupId={slot.group.id}
            number={slot.number}
            name={slot.group.name}
            piece={slot.piece}
            onsave={save}
          />
        {/key}
      {/if}

      <h2 class="mt-7 text-[1.35rem]">Left in the cups</h2>
      <p class="text-[0.9rem] text-ink-2">
        Weigh what is left, without the cup. Three cups that tell are enough for the next plan to know what
        clings.
      </p>
      <ul class="mt-2 flex flex-wrap gap-3">
        {#each data.computed.cups.filter((c) => c.balance.mixed > 0) as cup (cup.cupId)}
          <li class="flex items-center gap-2">
            <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} />
            <span class="w-28">
              <QuantityField
                label="Left in cup {cup.letter}"
                unit="g"
                value={data.left.get(cup.cupId) ?? 0}
                onchange={(v) => (left[cup.cupId] = v)}
              />
            </span>
          </li>
        {/each}
        <li>
          <button class="button" onclick={keepLeft} disabled={!Object.keys(left).length}
            >Keep the weights</button
          >
        </li>
      </ul>

      <h2 class="mt-7 text-[1.35rem]">Lessons</h2>
      <ul class="ruled mt-1">
        {#each data.lessons as l (l.id)}<li class="py-2">
            {l.text} <span class="text-[0.85rem] text-ink-2">{day(l.learnedAt)}</span>
          </li>{/each}
      </ul>
      <form class="mt-2 flex gap-2" onsubmit={keepLesson}>
        <input
          class="field"
          aria-label="Lesson"
          placeholder="What would you do differently, or the same?"
          bind:value={lesson}
        />
        <button class="button">Keep</button>
      </form>
    </section>

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
            text: ({ f }) => f.what,
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
        <h2 class="mt-6 text-[1.35rem]">Put right, or otherwise than planned</h2>
        <ul class="ruled mt-1" data-testid="corrections">
          {#each data.corrections as c (c.at + c.what)}
            <li class="py-2">
              {said(c.what)}{#if c.did}: <span class="text-ink-2">{said(c.did)}</span>{/if}
            </li>
          {/each}
        </ul>
      {/if}
      {#if data.advice.length}
        <h2 class="mt-6 text-[1.35rem]">Against the clock</h2>
        <ul class="ruled mt-1">
          {#each data.advice as sentence (sentence)}
            <li class="py-2 first-letter:uppercase">{said(sentence)}</li>
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
              {said(stray.sentence)} <span class="text-[0.85rem]">{moment(stray.at, stray.at)}</span>
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
          <CoreDrawing
            group={data.computed.groups[0]}
            cups={data.computed.cups}
            showFace={data.plan.showFace}
          />
        </div>
      {/if}
    </section>
  </div>
</div>

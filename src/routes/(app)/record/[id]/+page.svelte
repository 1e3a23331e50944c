<script lang="ts">
  import FamilyList from '$lib/ui/record/FamilyList.svelte';
  import Table from '$lib/ui/Table.svelte';
  import { goto, invalidateAll } from '$app/navigation';
  import { gradeOf, GRADES, type Grade, type Piece } from '$core/inspect';
  import { isTyping } from '../../../../lib/page/keys';
  import { maker } from '../../../../lib/run/hands.svelte';
  import CorrectionList from '$lib/ui/run/CorrectionList.svelte';
  import CauseList from '$lib/ui/record/CauseList.svelte';
  import type { Plan } from '$core/plan';
  import type { Problem } from '$core/problem';
  import { duration, weighing } from '$core/quantity';
  import type { Fact } from '$core/run';
  import { newId } from '$lib/id';
  import { send } from '../../../../lib/store/send';
  import { day, moment } from '$lib/when';
  import Choice from '../../../../lib/ui/forms/Choice.svelte';
  import CoreDrawing from '../../../../lib/ui/drawing/CoreDrawing.svelte';
  import PieceThumb from '../../../../lib/ui/drawing/PieceThumb.svelte';
  import CupMark from '../../../../lib/ui/drawing/CupMark.svelte';
  import QuantityField from '../../../../lib/ui/forms/QuantityField.svelte';
  import InspectPiece from '$lib/ui/record/InspectPiece.svelte';
  import { inWords } from '../../../../lib/preferences.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';

  let { data } = $props();
  let problems = $state<Problem[]>([]);
  let lesson = $state('');
  /** What the lesson hangs on, as it is sent. */
  let about = $state('');
  const abouts = $derived([
    { value: '', label: 'this plan' },
    ...data.shelf.moulds.map((m) => ({ value: JSON.stringify({ kind: 'mould', id: m.id }), label: m.name })),
    ...data.shelf.bases.map((b) => ({ value: JSON.stringify({ kind: 'base', id: b.id }), label: b.name })),
    ...data.shelf.colourants.map((c) => ({
      value: JSON.stringify({ kind: 'colourant', id: c.id }),
      label: c.name
    })),
    ...[...new Set(data.plan.steps.map((s) => s.act.kind))].map((k) => ({
      value: JSON.stringify({ kind: 'act', id: k }),
      label: `the act: ${k}`
    }))
  ]);

  /** Pieces as they were just changed, by group and number, until the server has them: the next tap goes on from these. */
  let ahead = $state.raw<Record<string, (typeof data.pieces)[number]>>({});
  const slots = $derived(
    data.plan.groups.flatMap((group) =>
      Array.from({ length: group.count }, (_, i) => ({
        group,
        number: i + 1,
        piece:
          ahead[`${group.id}/${i + 1}`] ??
          data.pieces.find((p) => p.groupId === group.id && p.number === i + 1)
      }))
    )
  );
  let chosen = $state(0);
  /** Pieces that are graded together, by their place. */
  let several = $state<number[]>([]);
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
    if (await keep([piece])) if (next && chosen < slots.length - 1) chosen++;
  }

  /** What is being stored, one after the other in the order it was tapped. */
  let storing: Promise<unknown> = Promise.resolve();

  /** Shows pieces as changed at once and stores them; what is refused goes back to what the server has. */
  async function keep(pieces: Piece[]): Promise<boolean> {
    const keyOf = ({ groupId, number }: Piece) => `${groupId}/${number}`;
    const shown = new Map(
      pieces.map((p) => {
        const before = slots.find((s) => s.group.id === p.groupId && s.number === p.number)?.piece;
        return [keyOf(p), { ...p, photos: before?.photos ?? [] }] as const;
      })
    );
    ahead = { ...ahead, ...Object.fromEntries(shown) };
    const mine = storing.then(() => send('PUT', `/runs/${data.run.id}/pieces`, pieces));
    storing = mine;
    const stored = await mine;
    problems = stored.ok ? [] : stored.problems;
    if (stored.ok) await invalidateAll();
    // What was tapped again meanwhile stays ahead.
    ahead = Object.fromEntries(Object.entries(ahead).filter(([key, p]) => shown.get(key) !== p));
    return stored.ok;
  }

  const KEYS: Record<string, Grade> = { g: 'good', s: 'second', r: 'reject' };

  /** Grades every face of the pieces at these places; what was noted of them stays. */
  async function gradeAll(places: readonly number[], grade: Grade) {
    const graded = places.flatMap((i): Piece[] => {
      const own = slots[i];
      if (!own) return [];
      const faces = own.piece?.faces ?? [
        { face: 'mould face' as const, grade, defects: [] },
        { face: 'open face' as const, grade, defects: [] }
      ];
      const { photos: _, ...known } = own.piece ?? { photos: [] };
      return [
        {
          id: newId(),
          note: '',
          by: maker(),
          ...known,
          groupId: own.group.id,
          number: own.number,
          faces: faces.map((f) => ({ ...f, grade }))
        }
      ];
    });
    several = [];
    await keep(graded);
  }

  const open = $derived(slots.flatMap((s, i) => (s.piece ? [] : [i])));
  const toggle = (i: number) =>
    (several = several.includes(i) ? several.filter((x) => x !== i) : [...several, i]);

  function pick(event: MouseEvent, i: number) {
    if (event.ctrlKey || event.metaKey) toggle(i);
    else if (event.shiftKey) {
      const [from, to] = [Math.min(chosen, i), Math.max(chosen, i)];
      several = Array.from({ length: to - from + 1 }, (_, k) => from + k);
    } else several = [];
    chosen = i;
  }

  function onkeydown(event: KeyboardEvent) {
    if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
    if (document.querySelector('[role="listbox"],[role="dialog"]')) return;
    const grade = KEYS[event.key];
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (grade) {
      const places = several.length ? several : [chosen];
      if (!several.length && chosen < slots.length - 1) chosen++;
      void gradeAll(places, grade);
    } else if (event.key === 'b') toggle(chosen);
    else if (by) chosen = Math.max(0, Math.min(slots.length - 1, chosen + by));
    else return;
    event.preventDefault();
  }

  async function keepLesson(event: SubmitEvent) {
    event.preventDefault();
    if (!lesson.trim()) return;
    const stored = await send('POST', `/runs/${data.run.id}/lessons`, {
      text: lesson,
      ...(about ? { about: JSON.parse(about) } : {})
    });
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

  const FAMILY = 'family';
  const otherwise = $derived([
    { value: FAMILY, label: 'as a family: the colours change places' },
    ...data.moulds.map((m) => ({ value: m.id, label: `in ${m.name}` }))
  ]);
  const repeatOtherwise = (how: string) => repeat(how === FAMILY ? { family: true } : { mouldId: how });

  async function repeat(how?: { mouldId: string } | { family: true }) {
    const made = await send<Plan>('POST', `/runs/${data.run.id}/repeat`, how);
    if (made.ok) await goto(`/plans/${made.value.id}`);
    else problems = made.problems;
  }
</script>

<svelte:window {onkeydown} />
<svelte:head><title>{data.run.name}: record · Kirapen</title></svelte:head>

<div class="mx-auto max-w-[1140px] px-7 py-6">
  <header class="flex flex-wrap items-center gap-3">
    <div class="min-w-[22rem] flex-1">
      <p class="text-[0.9rem] text-ink-2">
        <a class="underline" href="/record">Record</a> · {data.base} · begun {day(data.run.startedAt)}{who
          ? ` · ${who}`
          : ''}
      </p>
      <h1 class="text-[1.9rem]">{data.run.name}</h1>
    </div>
    {#if data.open}<a class="button go" href="/run/{data.run.id}">Go on with the run</a>{/if}
    <Choice
      class="!w-48"
      label="Repeat otherwise"
      value=""
      placeholder="Repeat otherwise…"
      options={otherwise}
      onchange={repeatOtherwise}
    />
    <a class="button" href="/record/{data.run.id}/buyer">For the buyer</a>
    <button class="button {data.open ? '' : 'go'}" onclick={() => repeat()}>Repeat as poured</button>
  </header>
  {#each problems as problem, i (i)}<div class="mt-2">
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
            ]} aria-selected:outline-3 aria-selected:outline-offset-1 aria-selected:outline-ink data-[marked]:bg-verdigris-soft"
            onclick={(e) => pick(e, i)}
            data-marked={several.includes(i) || undefined}
          >
            {s.number}<span class="text-[0.7rem] leading-none font-semibold">{grade || 'open'}</span>
          </button>
        {/each}
      </div>
      <div class="mt-2 flex flex-wrap items-center gap-2 text-[0.9rem] text-ink-2" data-testid="bulk">
        {#if several.length}
          <strong class="text-ink">{several.length} together:</strong>
          {#each GRADES as grade (grade)}
            <button class="button" onclick={() => gradeAll(several, grade)}>{grade}</button>
          {/each}
        {:else if open.length > 1}
          <button class="button" onclick={() => gradeAll(open, 'good')}
            >All {open.length} open are good</button
          >
        {/if}
        <span
          ><kbd>G</kbd> good <kbd>S</kbd> second <kbd>R</kbd> reject <kbd>← →</kbd> the next <kbd>B</kbd> mark several</span
        >
      </div>
      {#if slot}
        {#key `${slot.group.id}|${slot.number}`}
          <InspectPiece
            groupId={slot.group.id}
            number={slot.number}
            name={slot.group.name}
            piece={slot.piece}
            plan={data.plan}
            shelf={data.shelf}
            group={data.computed.groups.find((g) => g.groupId === slot.group.id)}
            cups={data.computed.cups}
            trace={data.traces[`${slot.group.id}#${slot.number}`]}
            onsave={save}
          />
        {/key}
      {/if}

      {#if data.causes.length}
        <CauseList causes={data.causes} runId={data.run.id} planId={data.planId} groups={data.plan.groups} />
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
        <Choice
          class="!w-56"
          label="What it is about"
          value={about}
          options={abouts}
          onchange={(v) => (about = v)}
        />
        <button class="button">Keep</button>
      </form>
      <FamilyList family={data.family} />
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

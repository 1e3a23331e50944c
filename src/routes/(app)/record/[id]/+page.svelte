<script lang="ts">
  import FamilyList from '$lib/ui/record/FamilyList.svelte';
  import { goto, invalidateAll } from '$app/navigation';
  import { same } from '$core/document/merge';
  import { gradeOf, GRADES, type Grade, type Piece } from '$core/inspect';
  import { isTyping } from '../../../../lib/page/keys';
  import { maker } from '../../../../lib/run/hands.svelte';
  import CauseList from '$lib/ui/record/CauseList.svelte';
  import type { Plan } from '$core/plan';
  import type { Problem } from '$core/problem';
  import { newId } from '$lib/id';
  import { send } from '../../../../lib/store/send';
  import AsPoured from '$lib/ui/record/AsPoured.svelte';
  import LeftInCups from '$lib/ui/record/LeftInCups.svelte';
  import Lessons from '$lib/ui/record/Lessons.svelte';
  import { ofTheirOwn, piecesIn } from '$core/document';
  import { day } from '$lib/when';
  import Choice from '../../../../lib/ui/forms/Choice.svelte';
  import InspectPiece from '$lib/ui/record/InspectPiece.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';

  let { data } = $props();
  let problems = $state<Problem[]>([]);
  /** Pieces as they were just changed, by group and number, until the server has them: the next tap goes on from these. */
  let ahead = $state.raw<Record<string, (typeof data.pieces)[number]>>({});
  const slots = $derived(
    ofTheirOwn(data.plan.groups).flatMap((group) =>
      Array.from({ length: piecesIn(group) }, (_, i) => ({
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
  const looked = $derived(data.pieces.length);
  const ungraded = $derived(data.pieces.filter((p) => !gradeOf(p)).length);

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
    // What was tapped again meanwhile stays ahead, and so does what the page has not been told of yet.
    ahead = Object.fromEntries(
      Object.entries(ahead).filter(([key, p]) => shown.get(key) !== p || (stored.ok && !isTold(p)))
    );
    return stored.ok;
  }

  /** Whether the page has a piece from the server as it was stored. */
  const isTold = ({ groupId, number, faces, note }: Piece) =>
    data.pieces.some(
      (d) => d.groupId === groupId && d.number === number && d.note === note && same(d.faces, faces)
    );

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

<div class="page">
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
      class="!w-60"
      label="Repeat with changes"
      value=""
      placeholder="Repeat with changes"
      options={otherwise}
      onchange={repeatOtherwise}
    />
    <a class="button" href="/record/{data.run.id}/buyer">For the buyer</a>
    <button class="button {data.open ? '' : 'go'}" data-testid="repeat" onclick={() => repeat()}
      >Repeat the same</button
    >
  </header>
  {#each problems as problem, i (i)}<div class="mt-2">
      <ProblemNote {problem} />
    </div>{/each}

  <div class="mt-5 grid gap-8 lg:grid-cols-[minmax(0,1fr)_400px]">
    <section aria-label="Inspect">
      <h2 class="text-[1.35rem]">
        Inspect <span class="ml-2 font-sans text-[0.95rem] font-normal text-ink-2"
          >{looked} of {slots.length} looked at{ungraded ? `, ${ungraded} without a grade` : ''}</span
        >
      </h2>
      <div class="mt-3 flex flex-wrap gap-2" role="tablist" aria-label="Pieces">
        {#each slots as s, i (s.group.id + s.number)}
          {@const grade = (s.piece && gradeOf(s.piece)) ?? ''}
          <button
            role="tab"
            aria-selected={i === chosen}
            class="grid h-14 min-w-14 place-items-center rounded-lg border-2 bg-sheet px-2 text-[1.15rem] font-bold {TONES[
              grade
            ]} aria-selected:outline-3 aria-selected:outline-offset-1 aria-selected:outline-ink data-[marked]:bg-verdigris-soft"
            onclick={(e) => pick(e, i)}
            data-marked={several.includes(i) || undefined}
          >
            {s.number}<span class="text-[0.7rem] leading-none font-semibold"
              >{grade || (s.piece ? 'no grade' : 'open')}</span
            >
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
            runId={data.run.id}
            groupId={slot.group.id}
            number={slot.number}
            name={slot.group.name}
            piece={slot.piece}
            plan={data.plan}
            shelf={data.shelf}
            group={data.computed.groups.find((g) => g.groupId === slot.group.id)}
            cups={data.computed.cups}
            trace={data.traces[`${slot.group.id}#${slot.number}`]}
            own={data.spread}
            onsave={save}
          />
        {/key}
      {/if}

      {#if data.causes.length}
        <CauseList
          causes={data.causes}
          runId={data.run.id}
          planId={data.planId}
          groups={data.plan.groups}
          lessons={data.lessons}
        />
      {/if}

      <LeftInCups
        runId={data.run.id}
        cups={data.computed.cups}
        known={data.left}
        onproblems={(p) => (problems = p)}
      />

      <Lessons {data} onproblems={(p) => (problems = p)} />
      <FamilyList family={data.family} />
    </section>

    <AsPoured {data} />
  </div>
</div>

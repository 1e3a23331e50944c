<!-- Several orders together on the days: what is done when, what is late, and what a slip moves. -->
<script lang="ts">
  import DateField from '../forms/DateField.svelte';
  import { invalidateAll } from '$app/navigation';
  import type { DaysAhead } from '$core/days';
  import type { Plan } from '$core/plan';
  import type { Problem } from '$core/problem';
  import { counted, duration } from '$core/quantity';
  import { send } from '../../store/send';
  import { day, hour, moment } from '$lib/when';
  import Choice from '../forms/Choice.svelte';
  import ProblemNote from '../ProblemNote.svelte';
  import DaysDrawing from './DaysDrawing.svelte';
  import { inWords } from '../../preferences.svelte';

  let { days }: { days: DaysAhead } = $props();
  const MINUTE = 60_000;
  const DAY = 1440;
  let span = $state('14');
  let chosen = $state<string>();
  let problems = $state<Problem[]>([]);

  const at = (minutes: number) => days.origin + minutes * MINUTE;
  /** Lanes: what lies in its moulds already, then the open orders. */
  const lanes = $derived([
    ...days.curing.map(({ id, name }) => ({ id, name: `${name}, poured` })),
    ...days.orders.map((o) => ({ id: o.planId, name: o.name }))
  ]);
  const nameOf = $derived(new Map(lanes.map((l) => [l.id, l.name])));
  const WHY = {
    window: 'a window after its pour falls where no hands are',
    mould: 'its moulds are never all free',
    hours: 'it is longer than a working day'
  };

  /** What the hands do, day by day, for as many days as are drawn. */
  const byDay = $derived.by(() => {
    const found = new Map<number, { from: number; name: string; order: string; turn: string }[]>();
    for (const p of days.placed)
      for (const [i, s] of p.busy.entries()) {
        const d = Math.floor(s.from / DAY);
        if (d >= Number(span)) continue;
        const turn = Number(p.jobId.split('~').at(-1));
        const order = nameOf.get(p.orderId) ?? '';
        const again = i ? ', next' : '';
        const by = p.latest !== undefined && !i ? `, by ${moment(at(p.latest), at(s.from))}` : '';
        const row = {
          from: s.from,
          name: p.name + again,
          order,
          turn: (turn > 1 ? `, pour ${turn}` : '') + by
        };
        found.set(d, [...(found.get(d) ?? []), row]);
      }
    return [...found]
      .sort(([a], [b]) => a - b)
      .map(([d, rows]) => ({ d, rows: rows.sort((a, b) => a.from - b.from) }));
  });

  /** Moves an order: its days are worked out anew, and with them everything that shares its hands and moulds. */
  async function move(planId: string, change: { notBefore?: string; due?: string }) {
    const found = await send<Plan>('GET', `/plans/${planId}`);
    if (!found.ok) return void (problems = found.problems);
    const plan = found.value;
    const order = { good: 1, ...plan.order, ...change };
    const kept = Object.fromEntries(Object.entries(order).filter(([, v]) => v !== ''));
    const stored = await send('PUT', `/plans/${planId}`, { ...plan, order: kept });
    problems = stored.ok ? [] : stored.problems;
    if (stored.ok) await invalidateAll();
  }
</script>

<svelte:head><title>Days · Kirapen</title></svelte:head>

<div class="page">
  <header class="flex flex-wrap items-center gap-3">
    <h1 class="flex-1 text-[1.9rem]">Days</h1>
    <Choice
      label="How far"
      class="!w-auto"
      value={span}
      options={[
        { value: '7', label: 'a week' },
        { value: '14', label: 'two weeks' },
        { value: '35', label: 'five weeks' },
        { value: '91', label: 'three months' }
      ]}
      onchange={(v) => (span = v)}
    />
    <a class="button" href="/api/v1/calendar.ics" download="kirapen.ics">Add to my calendar</a>
  </header>
  <p class="mt-1 text-ink-2">
    When everything gets made: by {counted(days.hands, 'person', 'people')}, in your working hours, one mould
    at a time.
  </p>
  {#if days.leftOut.length}
    <p class="mt-3 text-ochre" data-testid="left-out">
      Not placed here:
      {#each days.leftOut as { planId, name }, i (planId)}{i ? ', ' : ''}<a
          class="underline"
          href="/plans/{planId}">{name}</a
        >{/each}. Together they come to more pours than are placed at once; made into smaller plans, they are.
    </p>
  {/if}
  {#each problems as problem, i (i)}<div class="mt-3"><ProblemNote {problem} /></div>{/each}

  {#if !lanes.length}
    <p class="mt-6 text-ink-2">
      No order is open. A plan becomes one with how many good pieces are wanted: it stands in its first line.
    </p>
  {:else}
    <div class="sheet mt-4 overflow-x-auto p-4">
      <div class="min-w-[900px]">
        <DaysDrawing
          {days}
          hours={days.hours}
          origin={days.origin}
          span={Number(span)}
          names={lanes}
          {chosen}
        />
      </div>
    </div>

    <div class="mt-6 grid gap-8 lg:grid-cols-[1.2fr_1fr]">
      <section aria-label="Orders">
        <h2 class="text-[1.35rem]">Orders</h2>
        <ul class="ruled mt-2">
          {#each days.orders as o (o.planId)}
            {@const asked = days.asked.find((a) => a.planId === o.planId)}
            {@const stuck = days.unplaced.find((u) => u.orderId === o.planId)}
            <li
              class="py-2.5"
              onmouseenter={() => (chosen = o.planId)}
              onmouseleave={() => (chosen = undefined)}
              onfocusin={() => (chosen = o.planId)}
              data-order={o.planId}
            >
              <div class="flex items-baseline gap-3">
                <a class="min-w-0 flex-1 font-semibold hover:underline" href="/plans/{o.planId}">{o.name}</a>
                <span class="text-right">
                  {#if stuck}
                    <strong class="text-cinnabar"
                      >{inWords(stuck.name)} finds no time: {WHY[stuck.why]}</strong
                    >
                  {:else if o.ends !== undefined}
                    <strong class={o.late ? 'text-cinnabar' : ''}>done {day(at(o.ends))}</strong>
                    {#if o.late}<span class="text-cinnabar">, {duration(o.late)} late</span>
                    {:else if o.slack !== undefined}<span class="text-ink-2"
                        >, {duration(Math.max(0, o.slack))} to spare</span
                      >{/if}
                    {#if o.startBy !== undefined}<span class="block text-[0.85rem] text-ink-2"
                        >begun by {moment(at(o.startBy), Date.now())} at the latest</span
                      >{/if}
                  {/if}
                </span>
              </div>
              <div class="mt-1 flex flex-wrap items-center gap-2 text-[0.88rem] text-ink-2">
                {asked?.good} good, {counted(o.turns, 'pour')} ·
                <span class="flex items-center gap-1.5"
                  >not before
                  <DateField
                    quiet
                    optional
                    label="Not before: {o.name}"
                    value={asked?.notBefore ?? ''}
                    onchange={(v) => move(o.planId, { notBefore: v })}
                  /></span
                >
                <span class="flex items-center gap-1.5"
                  >wanted by
                  <DateField
                    quiet
                    optional
                    label="Wanted by: {o.name}"
                    value={asked?.due ?? ''}
                    onchange={(v) => move(o.planId, { due: v })}
                  /></span
                >
              </div>
            </li>
          {/each}
        </ul>
      </section>

      <section aria-label="Day by day">
        <h2 class="text-[1.35rem]">Day by day</h2>
        {#each byDay as { d, rows } (d)}
          <h3 class="mt-3 font-sans text-[0.95rem] font-semibold">{day(at(d * DAY + 720))}</h3>
          <ul class="text-[0.95rem]">
            {#each rows as r, i (i)}
              <li class="flex gap-3 py-1">
                <span class="w-16 shrink-0 text-right text-ink-2 tabular-nums">{hour(at(r.from))}</span>
                <span><strong class="font-semibold">{inWords(r.name)}</strong> · {r.order}{r.turn}</span>
              </li>
            {/each}
          </ul>
        {:else}
          <p class="mt-2 text-ink-2">
            Nothing for the hands in this time.{#if days.placed[0]}
              The next is {moment(at(days.placed[0].from), Date.now())}.{/if}
          </p>
        {/each}
      </section>
    </div>
  {/if}
</div>

<!-- Several orders together on the days: what is done when, what is late, and what a slip moves. -->
<script lang="ts">
  import DateField from '../forms/DateField.svelte';
  import { invalidateAll } from '$app/navigation';
  import type { DaysAhead } from '$core/days';
  import type { Plan } from '$core/plan';
  import type { Problem } from '$core/problem';
  import { counted, duration } from '$core/quantity';
  import { send } from '../../store/send';
  import { day, moment } from '$lib/when';
  import Choice from '../forms/Choice.svelte';
  import ProblemNote from '../ProblemNote.svelte';
  import Week from './Week.svelte';
  import { inWords } from '../../preferences.svelte';

  let { days }: { days: DaysAhead } = $props();
  const MINUTE = 60_000;
  let span = $state('7');
  let chosen = $state<string>();
  let problems = $state<Problem[]>([]);

  const at = (minutes: number) => days.origin + minutes * MINUTE;
  const WHY = {
    window: 'a window after its pour falls where no hands are',
    mould: 'its moulds are never all free',
    hours: 'it is longer than a working day'
  };

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

<svelte:head><title>The week · Kirapen</title></svelte:head>

<div class="page">
  <header class="flex flex-wrap items-center gap-3">
    <h1 class="flex-1 text-[1.9rem]">The days ahead</h1>
    <Choice
      label="How far"
      class="!w-auto no-print"
      value={span}
      options={[
        { value: '7', label: 'a week' },
        { value: '14', label: 'two weeks' },
        { value: '35', label: 'five weeks' },
        { value: '91', label: 'three months' }
      ]}
      onchange={(v) => (span = v)}
    />
    <a class="button no-print" href="/api/v1/calendar.ics" download="kirapen.ics">Add to my calendar</a>
    <button class="button no-print" onclick={() => print()}>Print</button>
  </header>
  <p class="mt-1 text-ink-2">
    {counted(days.hands, 'person', 'people')}, in your working hours. What your hands do each day, and under
    it what stands in its mould or on the rack that night.
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

  {#if !days.curing.length && !days.orders.length}
    <p class="mt-6 text-ink-2">
      No order is open. A plan becomes one with how many good pieces are wanted: it stands in its first line.
    </p>
  {:else}
    <Week {days} span={Number(span)} {chosen} />

    <section class="mt-6 max-w-[760px]" aria-label="Orders">
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
              <a class="tap min-w-0 flex-1 font-semibold hover:underline" href="/plans/{o.planId}">{o.name}</a
              >
              <span class="text-right">
                {#if stuck}
                  <strong class="text-cinnabar">{inWords(stuck.name)} finds no time: {WHY[stuck.why]}</strong>
                {:else if o.ends !== undefined}
                  <strong class={o.late ? 'text-cinnabar' : ''}>done {day(at(o.ends))}</strong>
                  {#if o.late}<span class="text-cinnabar">, {duration(o.late)} late</span>
                  {:else if o.slack !== undefined}<span class="text-ink-2"
                      >, {duration(Math.max(0, o.slack))} to spare</span
                    >{/if}
                  {#if o.startBy !== undefined}<span class="block text-[0.85rem] text-ink-2"
                      >start the last pour by {moment(at(o.startBy), Date.now())}</span
                    >{/if}
                {/if}
              </span>
            </div>
            {#if o.helps}
              <p class="mt-0.5 text-[0.9rem]" data-testid="helps">
                <span class="text-ink-2">What would help:</span>
                {#each o.helps as help, i (i)}{i ? '; ' : ' '}<strong class="font-semibold"
                    >{inWords(help.words)}</strong
                  >{help.late ? ` (${duration(help.late)} late then)` : ' (in time then)'}{/each}.
              </p>
            {/if}
            <div class="no-print mt-1 flex flex-wrap items-center gap-2 text-[0.88rem] text-ink-2">
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
  {/if}
</div>

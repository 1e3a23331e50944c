<!-- Day by day: what the hands do, with the piece itself; the hours that takes; and what stands in its mould or on the rack that night. -->
<script lang="ts">
  import { workDays, type DaysAhead, type Standing, type WorkDay } from '$core/days';
  import { counted, duration, numberedWords } from '$core/quantity';
  import { hour, moment, weekday } from '$lib/when';
  import { inWords } from '../../preferences.svelte';
  import PieceThumb from '../drawing/PieceThumb.svelte';

  let {
    days,
    span,
    chosen
  }: {
    days: DaysAhead;
    /** How many days are looked at. */
    span: number;
    /** The order that is pointed at. */
    chosen: string | undefined;
  } = $props();

  const MINUTE = 60_000;
  const at = (minutes: number) => days.origin + minutes * MINUTE;
  const week = $derived(workDays(days.placed, days.hours, span));
  const runs = $derived(new Map(days.curing.map((c) => [c.id, c.name])));
  const orders = $derived(new Map(days.orders.map((o) => [o.planId, o])));
  const nameOf = (id: string) => runs.get(id) ?? orders.get(id)?.name ?? '';
  const pictureOf = (id: string) => (runs.has(id) ? `runs/${id}` : `plans/${id}`);
  /** “Rockpool roundels, pours 1, 2 of 3”. */
  function orderWords(orderId: string, turns: readonly number[]): string {
    const all = orders.get(orderId)?.turns ?? 1;
    if (all < 2) return nameOf(orderId);
    return `${nameOf(orderId)}, ${turns.length > 1 ? 'pours' : 'pour'} ${numberedWords(turns)} of ${all}`;
  }
  /** Where a stretch lies on the day's strip, percent of the hours that somebody is there or works. */
  function strip(d: WorkDay) {
    const all = [...d.hours, ...d.busy];
    const from = Math.min(...all.map((s) => s.from));
    const wide = Math.max(1, Math.max(...all.map((s) => s.to)) - from);
    return d.busy.map((b) => ({
      left: ((b.from - from) / wide) * 100,
      width: ((b.to - b.from) / wide) * 100
    }));
  }
  const standing = (night: readonly Standing[], where: Standing['where']) =>
    night.filter((s) => s.where === where).reduce((n, s) => n + s.castings, 0);
  const nightWords = (night: readonly Standing[]) =>
    [
      standing(night, 'mould') && `${counted(standing(night, 'mould'), 'casting')} in the mould`,
      standing(night, 'rack') && `${counted(standing(night, 'rack'), 'casting')} on the rack`
    ]
      .filter(Boolean)
      .join(', ');
</script>

<ol
  class="mt-4 grid grid-cols-[repeat(auto-fill,minmax(220px,1fr))] gap-3 print:grid-cols-4"
  data-testid="week"
>
  {#each week as d (d.day)}
    <li
      class="sheet flex flex-col p-3 break-inside-avoid {d.day === 0 ? '!border-2 !border-verdigris' : ''}"
      data-day={d.day}
    >
      <div class="flex items-baseline justify-between gap-2">
        <h3 class="text-[1.15rem]">{d.day === 0 ? 'Today' : weekday(at(d.day * 1440 + 720))}</h3>
        <span class="text-[0.84rem] text-ink-2"
          >{d.busyMinutes
            ? `${duration(d.busyMinutes)}${d.hourMinutes ? ` of ${duration(d.hourMinutes)}` : ''}`
            : 'free'}</span
        >
      </div>
      <div class="relative mt-1.5 h-3 overflow-hidden rounded bg-sunk" aria-hidden="true">
        {#each strip(d) as b, i (i)}
          <span
            class="absolute inset-y-0 min-w-[3px] rounded-sm bg-ink-2"
            style="left:{b.left}%;width:{b.width}%"
          ></span>
        {/each}
      </div>
      <ul class="ruled mt-2 flex-1">
        {#each d.items as item, i (i)}
          <li
            class="flex items-center gap-2.5 py-1.5 {chosen && chosen !== item.orderId ? 'opacity-50' : ''}"
          >
            <span class="w-10 shrink-0"><PieceThumb of={pictureOf(item.orderId)} width={40} /></span>
            <span class="min-w-0">
              <span class="block leading-tight"
                ><strong class="font-semibold tabular-nums">{hour(at(item.from))}</strong>
                {inWords(item.name)}</span
              >
              <span class="block text-[0.84rem] leading-tight text-ink-2"
                >{orderWords(item.orderId, item.turns)} · {duration(item.minutes)}{item.latest === undefined
                  ? ''
                  : `, by ${moment(at(item.latest), at(item.from))}`}</span
              >
            </span>
          </li>
        {:else}
          <li class="py-1.5 text-ink-2">Nothing for the hands.</li>
        {/each}
      </ul>
      {#if d.night.length}
        <div class="mt-2 border-t-4 border-rule-strong pt-1.5">
          <span class="flex flex-wrap gap-1" aria-hidden="true">
            {#each d.night as s (s.orderId + s.where)}
              <span class="rounded-full p-0.5 {s.where === 'mould' ? 'bg-sunk' : ''}"
                ><PieceThumb of={pictureOf(s.orderId)} width={26} /></span
              >
            {/each}
          </span>
          <p class="mt-0.5 text-[0.84rem] text-ink-2">that night: {nightWords(d.night)}</p>
        </div>
      {/if}
    </li>
  {/each}
</ol>

<!--
  The days: the score at another zoom. One lane an order; where its moulds are busy a band, where the hands are wanted a
  mark on it. Nights and days off are shaded.
-->
<script lang="ts">
  import type { OrdersOnDays } from '$core/days';

  let {
    days,
    origin,
    hours,
    span,
    names,
    chosen = undefined
  }: {
    days: OrdersOnDays;
    /** Minute 0, ms. */
    origin: number;
    /** When hands are there, minutes. */
    hours: readonly { from: number; to: number }[];
    /** Days that are drawn. */
    span: number;
    /** What each lane is called, by order. */
    names: { id: string; name: string }[];
    /** The order that is looked at. */
    chosen?: string | undefined;
  } = $props();

  const WIDTH = 1120;
  const NAMES = 190;
  const LANE = 34;
  const HEAD = 34;
  const DAY = 1440;
  const height = $derived(HEAD + LANE * names.length + 4);
  const x = $derived((minute: number) => NAMES + (minute / (span * DAY)) * (WIDTH - NAMES));
  const inSight = $derived(days.placed.filter((p) => p.from < span * DAY));
  const laneOf = (id: string) => HEAD + LANE * names.findIndex((n) => n.id === id);
  /** Each casting as one band, from its pour to its last day. */
  const bands = $derived.by(() => {
    const found = new Map<string, { id: string; orderId: string; from: number; to: number }>();
    for (const p of inSight) {
      const b = found.get(p.jobId) ?? { id: p.jobId, orderId: p.orderId, from: p.from, to: p.to };
      found.set(p.jobId, { ...b, from: Math.min(b.from, p.from), to: Math.max(b.to, p.to) });
    }
    return [...found.values()];
  });
  const step = $derived([1, 2, 7, 14, 28].find((d) => (d / span) * (WIDTH - NAMES) >= 58) ?? 56);
  const dayWords = (d: number) => {
    const at = new Date(origin);
    at.setDate(at.getDate() + d);
    return at.toLocaleDateString(
      undefined,
      step < 7 ? { weekday: 'short', day: 'numeric' } : { day: 'numeric', month: 'short' }
    );
  };
  /** Days without hands. */
  const offDays = $derived(
    Array.from({ length: span }, (_, d) => d).filter(
      (d) => !hours.some((h) => h.from < (d + 1) * DAY && h.to > d * DAY)
    )
  );
  const FIRST = ['~pour'];
</script>

<svg viewBox="0 0 {WIDTH} {height}" class="block w-full" role="img" aria-label="The days" data-testid="days">
  {#each offDays as d (d)}
    <rect
      x={x(d * DAY)}
      y={HEAD - 6}
      width={x(DAY) - x(0)}
      height={height - HEAD + 6}
      fill="var(--sunk)"
      opacity="0.7"
    />
  {/each}
  {#each Array.from({ length: Math.floor(span / step) + 1 }, (_, i) => i * step) as d (d)}
    <path d="M{x(d * DAY)} {HEAD - 6}V{height}" stroke="var(--rule)" />
    <text x={x(d * DAY) + 3} y={HEAD - 12} font-size="12" fill="var(--ink-2)">{dayWords(d)}</text>
  {/each}
  {#each names as lane, i (lane.id)}
    <path d="M0 {HEAD + LANE * (i + 1)}H{WIDTH}" stroke="var(--rule)" />
    <text
      x="0"
      y={HEAD + LANE * i + LANE / 2}
      dominant-baseline="central"
      font-size="13.5"
      font-weight={lane.id === chosen ? 700 : 550}
      fill="var(--ink)">{lane.name.length > 25 ? `${lane.name.slice(0, 24)}…` : lane.name}</text
    >
  {/each}
  {#each bands as b (b.id)}
    <rect
      x={x(b.from)}
      y={laneOf(b.orderId) + 9}
      width={Math.max(3, Math.min(WIDTH, x(b.to)) - x(b.from))}
      height={LANE - 18}
      rx="3"
      fill="var(--verdigris-soft)"
      opacity={chosen === undefined || b.orderId === chosen ? 0.9 : 0.35}
    />
  {/each}
  {#each inSight as p (p.jobId + p.taskId)}
    {@const y = laneOf(p.orderId)}
    {#each p.busy as s, i (i)}
      <rect
        x={x(s.from)}
        y={y + (FIRST.includes(p.taskId) ? 4 : 7)}
        width={Math.max(2.5, x(s.to) - x(s.from))}
        height={FIRST.includes(p.taskId) ? LANE - 8 : LANE - 14}
        rx="1.5"
        fill={FIRST.includes(p.taskId) ? 'var(--verdigris)' : 'var(--ink-2)'}
        opacity={chosen === undefined || p.orderId === chosen ? 1 : 0.4}
      />
    {/each}
  {/each}
</svg>

<!-- The workshop's own ways: each kept as it is chosen, and every screen follows at once. -->
<script lang="ts">
  import { invalidate } from '$app/navigation';
  import type { Problem } from '$core/problem';
  import { formatHour, parseHour, type Preferences } from '$core/preferences';
  import { send } from '../../store/send';
  import { weekdays } from '$lib/when';
  import Choice from '../forms/Choice.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import Row from '../forms/Row.svelte';
  import Tick from '../forms/Tick.svelte';

  let { ways }: { ways: Preferences } = $props();
  let problems = $state<Problem[]>([]);
  const at = (path: string) => problems.find((p) => p.path.startsWith(path));

  const UNITS = [
    {
      key: 'weights',
      label: 'Weights',
      hint: 'a scale keeps its own',
      of: { g: 'grams, kilograms', oz: 'ounces, pounds' }
    },
    {
      key: 'volumes',
      label: 'Volumes',
      hint: '',
      of: { ml: 'millilitres', 'fl oz': 'fluid ounces', cup: 'cups' }
    },
    { key: 'lengths', label: 'Lengths', hint: '', of: { mm: 'millimetres', in: 'inches' } },
    { key: 'temperatures', label: 'Temperatures', hint: '', of: { '°C': '°C', '°F': '°F' } },
    { key: 'paper', label: 'Paper', hint: 'for sheets and labels', of: { A4: 'A4', Letter: 'Letter' } },
    { key: 'clock', label: 'Clock', hint: '', of: { '24 h': '19:35', '12 h': '7:35 PM' } }
  ] as const;

  /** Keeps what was chosen, where it can be kept; says what is wrong with it otherwise. */
  async function keep(change: Partial<Preferences>) {
    const kept = await send('PUT', '/settings', { ...ways, ...change });
    problems = kept.ok ? [] : kept.problems;
    if (kept.ok) await invalidate('kirapen:ways');
  }

  const format = (minutes: number) => formatHour(minutes, ways.clock);
  const dayOff = (day: number, off: boolean) =>
    keep({ daysOff: off ? [...ways.daysOff, day].sort() : ways.daysOff.filter((d) => d !== day) });
  const initials = (text: string) =>
    text
      .split(/[,;]/)
      .map((m) => m.trim())
      .filter(Boolean);
</script>

<section class="mt-6" aria-label="Ways">
  <h2 class="text-[1.35rem]">Preferences</h2>
  <p class="mt-1 text-ink-2">
    How figures read on every screen and sheet. What is typed with another unit is still understood; plans and
    files stay metric.
  </p>
  <div class="sheet mt-3 grid grid-cols-3 gap-x-5 p-5 max-md:grid-cols-2">
    {#each UNITS as { key, label, hint, of } (key)}
      <Row {label} {hint} problem={at(key)}>
        <Choice
          {label}
          value={ways[key]}
          options={Object.entries(of).map(([value, words]) => ({ value, label: words }))}
          onchange={(v) => keep({ [key]: v })}
        />
      </Row>
    {/each}
    <Row label="Currency" hint="three letters, such as EUR" problem={at('currency')}>
      <input
        class="field"
        aria-label="Currency"
        maxlength="3"
        autocomplete="off"
        value={ways.currency ?? ''}
        onchange={(e) => keep({ currency: e.currentTarget.value.trim().toUpperCase() || undefined })}
      />
    </Row>
    <Row label="The week begins on" problem={at('weekStarts')}>
      <Choice
        label="The week begins on"
        value={String(ways.weekStarts)}
        options={weekdays().map((name, day) => ({ value: String(day), label: name }))}
        onchange={(v) => keep({ weekStarts: Number(v) })}
      />
    </Row>
    <Row label="Makers" hint="initials, with commas" problem={at('makers')}>
      <input
        class="field"
        aria-label="Makers"
        autocomplete="off"
        placeholder="R., T."
        value={ways.makers.join(', ')}
        onchange={(e) => keep({ makers: initials(e.currentTarget.value) })}
      />
    </Row>
    <Row label="People" hint="at the bench at once" problem={at('hands')}>
      <Choice
        label="People"
        value={String(ways.hands)}
        options={[1, 2, 3, 4].map((n) => ({ value: String(n), label: String(n) }))}
        onchange={(v) => keep({ hands: Number(v) })}
      />
    </Row>
    <Row label="Working hours" hint="steps outside them are marked" problem={at('hours')}>
      <span class="flex items-center gap-2">
        <ParsedField
          label="From"
          value={ways.hours.from}
          {format}
          parse={parseHour}
          onchange={(from) => keep({ hours: { ...ways.hours, from } })}
        />
        to
        <ParsedField
          label="To"
          value={ways.hours.to}
          {format}
          parse={parseHour}
          onchange={(to) => keep({ hours: { ...ways.hours, to } })}
        />
      </span>
    </Row>
    <div class="col-span-2">
      <Row label="Days off" problem={at('daysOff')}>
        <span class="flex flex-wrap gap-x-4">
          {#each weekdays(ways.weekStarts) as name, i (name)}
            {@const day = (ways.weekStarts + i) % 7}
            <Tick checked={ways.daysOff.includes(day)} onchange={(off) => dayOff(day, off)}
              >{name.slice(0, 3)}</Tick
            >
          {/each}
        </span>
      </Row>
    </div>
    <Tick checked={ways.sound} onchange={(sound) => keep({ sound })}>A run sounds when something is due</Tick>
  </div>
</section>

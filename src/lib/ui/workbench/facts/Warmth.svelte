<!-- What makes this batch run ahead of its card or behind it: nights, warm parts, the blender, the maker’s own figure. -->
<script lang="ts">
  import { NIGHT } from '$core/cure';
  import { materials, USUAL_BLENDER } from '$core/material';
  import { formatHour, parseHour } from '$core/preferences';
  import type { PlanView } from '../../../plan/plan-view.svelte';
  import { shownUnit, preferences } from '$lib/preferences.svelte';
  import Fold from '../../Fold.svelte';
  import ParsedField from '../../forms/ParsedField.svelte';
  import QuantityField from '../../forms/QuantityField.svelte';
  import NumberField from '../../shelf/NumberField.svelte';
  import Row from '../../forms/Row.svelte';
  import Tick from '../../forms/Tick.svelte';

  let { editor }: { editor: PlanView } = $props();
  const plan = $derived(editor.plan);
  const night = $derived(plan.bench.night);
  const blended = $derived(editor.computed.bases.some((b) => materials.has(b.kind, 'goes by trace')));
  const first = $derived(plan.mixes[0]);
  const room = $derived(plan.bench.roomCelsius);
  /** What is said of one mix of a base holds for all of the plan’s. */
  const setMixes = (key: 'joinedAt' | 'blender' | 'pace', value: number | undefined) =>
    editor.edits(plan.mixes.map((m) => ({ path: ['mixes', m.id, key], value })));
  /** A split mix whose fragrance can wait for the cups. */
  const scented = $derived.by(() => {
    const base = editor.shelf.bases.find((b) => b.id === first?.baseId);
    return first?.feeds === 'split' && base !== undefined && materials.of(base).scent !== undefined;
  });
  const setScent = (value: 'in the cups' | undefined) =>
    editor.edits(plan.mixes.map((m) => ({ path: ['mixes', m.id, 'fragrance'], value })));
  const clockOf = (hour: number) => formatHour(hour * 60, preferences().clock);
  const setNight = (value: typeof night) => editor.edit({ path: ['bench', 'night'], value });
</script>

<Fold class="mt-1" words="Warmth, nights and what quickens it" testid="warmth">
  <div class="mt-1 text-ink">
    <Tick
      checked={night !== undefined}
      onchange={() => setNight(night ? undefined : { celsius: Math.max(-5, room - 4), hour: 10 })}
      >the nights have another temperature</Tick
    >
    {#if night}
      <div class="grid grid-cols-2 gap-x-3">
        <Row label="By night" hint="from {clockOf(NIGHT.from)} to {clockOf(NIGHT.to)}">
          <QuantityField
            label="By night"
            unit="°C"
            min={-5}
            max={50}
            value={night.celsius}
            onchange={(celsius) => setNight({ ...night, celsius })}
          />
        </Row>
        <Row label="First mix at" hint="hour of the day">
          <ParsedField
            label="First mix at"
            value={Math.round(night.hour * 60)}
            format={(minutes) => formatHour(minutes, preferences().clock)}
            parse={parseHour}
            onchange={(minutes) => setNight({ ...night, hour: (minutes % 1440) / 60 })}
          />
        </Row>
      </div>
    {/if}
    {#if scented}
      <Tick
        checked={first?.fragrance !== undefined}
        onchange={() => setScent(first?.fragrance ? undefined : 'in the cups')}
        >the fragrance goes into the cups, after the split</Tick
      >
    {/if}
    <div class="grid grid-cols-2 gap-x-3">
      <Row
        label="Parts joined at"
        hint={first?.joinedAt === undefined ? `the room’s, in ${shownUnit('°C')}` : 'yours'}
      >
        <QuantityField
          label="Parts joined at"
          unit="°C"
          min={-5}
          max={95}
          value={first?.joinedAt ?? room}
          onchange={(v) => setMixes('joinedAt', Math.abs(v - room) < 0.05 ? undefined : v)}
        />
      </Row>
      <Row label="Its times, against the card" hint="1.5 with a retarder">
        <NumberField
          label="Its times, against the card"
          optional
          value={first?.pace}
          onchange={(v) => setMixes('pace', v)}
        />
      </Row>
      {#if blended}
        <Row label="Stick blender, seconds" hint="usual: {USUAL_BLENDER}">
          <NumberField
            label="Stick blender, seconds"
            optional
            value={first?.blender}
            onchange={(v) => setMixes('blender', v)}
          />
        </Row>
      {/if}
    </div>
  </div>
</Fold>

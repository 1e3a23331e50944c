<script lang="ts">
  import { materials } from '$core/material';
  import { untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import type { Lesson } from '$core/inspect';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import Redo2 from '@lucide/svelte/icons/redo-2';
  import { eachByItself, mixingOf, oneBase, splitAll } from '$core/document';
  import { listenTo } from '../../store/changes';
  import type { InTurn } from '../../page/in-turn.svelte';
  import type { PlanEditor } from '../../plan/plan-editor.svelte';
  import { Later } from '../../page/later.svelte';
  import { PlanView } from '../../plan/plan-view.svelte';
  import { send } from '../../store/send';
  import ScoreStrip from './ScoreStrip.svelte';
  import CupRack from './CupRack.svelte';
  import Drawing from './Drawing.svelte';
  import Numbers from './Numbers.svelte';
  import ClashDialog from '$lib/ui/ClashDialog.svelte';
  import PlanMenu from './PlanMenu.svelte';
  import PlanSettings from './PlanSettings.svelte';
  import PourList from './PourList.svelte';
  import Choice from '../forms/Choice.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import { counted, parseCount, weighing } from '$core/quantity';

  /** @prop turn which parts of the page have come: the head, its settings, the pour, the piece, the cups, the figures, the score */
  let { editor, lessons, turn }: { editor: PlanEditor; lessons: readonly Lesson[]; turn: InTurn } = $props();
  const view = new PlanView(untrack(() => editor));
  const plan = $derived(view.plan);
  const computed = $derived(view.computed);
  /** The column of figures follows in a task of its own. */
  const weighed = new Later(() => ({ plan: view.plan, computed: view.computed }));
  const baseId = $derived(oneBase(plan));
  const mixing = $derived(mixingOf(plan));
  const withGone = (options: { value: string; label: string }[], value: string, words: string) =>
    options.some((o) => o.value === value) ? options : [{ value, label: words }, ...options];
  const bases = $derived(editor.shelf.bases.map((b) => ({ value: b.id, label: b.name })));
  const scales = $derived(
    editor.shelf.scales.map((s) => ({ value: s.id, label: `${s.name}, ${weighing(s.division, s.division)}` }))
  );
  const SEVERAL = 'several';

  /** Mends are looked for once nothing has been typed for so long, ms. */
  const QUIET = 120;
  $effect(() => {
    const open = editor;
    // Read here, so that each change begins the wait anew.
    if (!open.plan || !turn.reached(7)) return;
    const soon = setTimeout(() => void open.prove(), QUIET);
    return () => clearTimeout(soon);
  });

  // What another bench changes is seen here as it is stored.
  $effect(() => {
    const open = editor;
    return listenTo('plans', open.plan.id, (revision) => void open.shared.heard(revision));
  });
  const stops = $derived(view.problems.filter((p) => p.level === 'stop'));
  const warns = $derived(view.problems.filter((p) => p.level === 'warn'));
  let starting = $state(false);
  let failure = $state('');

  async function start() {
    starting = true;
    failure = '';
    const stored = await editor.settled().then(
      () => true,
      () => false
    );
    const begun = stored
      ? await send<{ id: string }>('POST', '/runs', { planId: plan.id })
      : ({ ok: false, problems: [] } as const);
    if (begun.ok) {
      await goto(`/run/${begun.value.id}`);
      return;
    }
    failure = begun.problems[0]?.sentence ?? 'The server does not answer; the plan is kept on this device.';
    starting = false;
  }

  function onkeydown(event: KeyboardEvent) {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
    event.preventDefault();
    if (event.shiftKey) editor.redo();
    else editor.undo();
  }
</script>

<svelte:head><title>{plan.name} · Kirapen</title></svelte:head>
<svelte:window
  {onkeydown}
  onpagehide={() => editor.keep()}
  onkeydowncapture={() => view.catchUp()}
  onpointerdowncapture={() => view.catchUp()}
  onclickcapture={() => view.catchUp()}
/>
<ClashDialog shared={editor.shared} what="plan" gone="/plans" />

<div class="flex flex-col xl:h-screen">
  <header class="border-b border-rule px-5 pt-2 pb-1.5">
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
      <div class="min-w-0 flex-1 max-lg:basis-full">
        <input
          class="quiet w-full max-w-[26rem] border-transparent font-display text-[1.55rem] leading-none font-semibold"
          aria-label="Name of the plan"
          value={plan.name}
          onchange={(e) => view.edit({ path: ['name'], value: e.currentTarget.value.trim() || plan.name })}
        />
      </div>
      {#if editor.saved === 'waiting' && !editor.shared.clash && !editor.shared.deleted}
        <span class="text-[0.85rem] font-semibold text-ochre" role="status"
          >kept on this device, sending again…</span
        >
      {/if}
      {#if failure}<span class="max-w-72 text-[0.85rem] font-semibold text-cinnabar" role="alert"
          >{failure}</span
        >{/if}
      {#if stops.length || warns.length}
        <a
          href="#to-mend"
          class="text-[0.9rem] font-semibold {stops.length ? 'text-cinnabar' : 'text-ochre'}"
        >
          ● {stops.length + warns.length} to mend
        </a>
      {/if}
      <div class="flex">
        <button
          class="button bare"
          onclick={() => editor.undo()}
          disabled={!editor.canUndo}
          aria-label="Undo"
        >
          <Undo2 size={20} />
        </button>
        <button
          class="button bare"
          onclick={() => editor.redo()}
          disabled={!editor.canRedo}
          aria-label="Redo"
        >
          <Redo2 size={20} />
        </button>
        <PlanMenu {plan} editor={view} />
      </div>
      <a class="button" href="/plans/{plan.id}/sheet">Mix sheet</a>
      <a class="button" href="/rehearse/plan/{plan.id}">Rehearse</a>
      <button class="button go" onclick={start} disabled={starting || stops.length > 0}>Start the run</button>
    </div>
    {#if turn.reached(2)}<div class="flex flex-wrap items-baseline gap-x-1 text-[0.87rem] text-ink-2">
        <span
          >{counted(computed.totals.pieces, 'piece')}{#if computed.order}&nbsp;a turn{/if} · for</span
        >
        <ParsedField
          quiet
          width="2.3rem"
          label="How many good pieces are wanted"
          value={plan.order?.good ?? computed.totals.pieces}
          format={String}
          parse={(text) => parseCount(text, 100_000)}
          onchange={(good) => view.edit({ path: ['order'], value: { ...plan.order, good } })}
        />
        <span>good ·</span>
        <Choice
          quiet
          class="max-w-44"
          label="Base"
          value={baseId ?? SEVERAL}
          options={withGone(
            bases,
            baseId ?? SEVERAL,
            baseId ? 'choose a base' : `${computed.bases.length} bases`
          )}
          onchange={(to) => view.replace({ ...plan, mixes: plan.mixes.map((m) => ({ ...m, baseId: to })) })}
        />
        {#if baseId && editor.shelf.bases.some((b) => b.id === baseId)}
          <a class="underline" href="/shelf/bases/{baseId}"
            >{materials.has(editor.shelf.bases.find((b) => b.id === baseId)?.kind, 'goes by trace')
              ? 'its recipe, fragrance'
              : 'its recipe'}</a
          >
        {/if}
        <span>·</span>
        <QuantityField
          quiet
          width="3.1rem"
          label="Room temperature"
          unit="°C"
          min={-5}
          max={50}
          value={plan.bench.roomCelsius}
          onchange={(v) => view.edit({ path: ['bench', 'roomCelsius'], value: Math.round(v * 10) / 10 })}
        />
        <span>·</span>
        <Choice
          quiet
          label="Scale"
          value={plan.bench.scaleIds[0] ?? 'none'}
          options={withGone(scales, plan.bench.scaleIds[0] ?? 'none', 'choose a scale')}
          onchange={(id) =>
            view.edit({
              path: ['bench', 'scaleIds'],
              value: [id, ...plan.bench.scaleIds.slice(1).filter((s) => s !== id)]
            })}
        />
        <span>·</span>
        <Choice
          quiet
          label="How the batch is mixed"
          value={mixing}
          options={[
            ...(mixing === 'both' ? [{ value: 'both', label: 'some split, some by itself' }] : []),
            { value: 'each', label: 'each cup by itself' },
            { value: 'split', label: 'one mix, split' }
          ]}
          onchange={(way) => {
            const ids = [...new Set(plan.mixes.map((m) => m.baseId))];
            const change = way === 'split' ? splitAll : eachByItself;
            view.replace(ids.reduce((p, id) => change(p, id), plan));
          }}
        />
        <PlanSettings editor={view} />
      </div>{/if}
  </header>

  <div
    class="grid grid-cols-1 border-b border-rule md:grid-cols-2 xl:min-h-0 xl:flex-1 xl:grid-cols-[306px_minmax(0,1fr)_330px] xl:divide-x xl:divide-rule xl:*:min-h-0 xl:*:overflow-y-auto"
  >
    <div class="flex flex-col divide-y divide-rule max-xl:order-2">
      {#if turn.reached(3)}<PourList editor={view} />{/if}
      {#if turn.reached(5)}<CupRack editor={view} />{/if}
    </div>
    <div class="flex flex-col max-xl:order-1 md:col-span-2 xl:col-span-1">
      {#if turn.reached(4)}<Drawing {plan} {computed} editor={view} />{/if}
    </div>
    <div class="flex flex-col max-xl:order-3">
      {#if turn.reached(6)}<Numbers {...weighed.value} editor={view} {lessons} />{/if}
    </div>
  </div>

  {#if turn.reached(7)}<ScoreStrip editor={view} />{/if}
</div>

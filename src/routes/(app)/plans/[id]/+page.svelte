<script lang="ts">
  import { counted } from '$core/quantity';
  import { goto } from '$app/navigation';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import Redo2 from '@lucide/svelte/icons/redo-2';
  import { eachByItself, mixingOf, oneBase, splitAll } from '$core/plan';
  import { listenTo } from '$lib/changes';
  import { Later } from '$lib/later.svelte';
  import { PlanEditor } from '$lib/plan-editor.svelte';
  import { send } from '$lib/send';
  import ScoreDrawing from '$lib/ui/ScoreDrawing.svelte';
  import CupRack from '$lib/ui/workbench/CupRack.svelte';
  import Drawing from '$lib/ui/workbench/Drawing.svelte';
  import Numbers from '$lib/ui/workbench/Numbers.svelte';
  import ClashDialog from '$lib/ui/ClashDialog.svelte';
  import PlanMenu from '$lib/ui/workbench/PlanMenu.svelte';
  import PlanSettings from '$lib/ui/workbench/PlanSettings.svelte';
  import PourList from '$lib/ui/workbench/PourList.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import ParsedField from '$lib/ui/ParsedField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import { duration, parseCount, weighing } from '$core/quantity';

  let { data } = $props();
  const editor = $derived(new PlanEditor(data.plan, data.revision, data.shelf, data.past));
  const plan = $derived(editor.plan);
  const computed = $derived(editor.computed);
  const baseId = $derived(oneBase(plan));
  const mixing = $derived(mixingOf(plan));
  const withGone = (options: { value: string; label: string }[], value: string, words: string) =>
    options.some((o) => o.value === value) ? options : [{ value, label: words }, ...options];
  const bases = $derived(data.shelf.bases.map((b) => ({ value: b.id, label: b.name })));
  const scales = $derived(
    data.shelf.scales.map((s) => ({ value: s.id, label: `${s.name}, ${weighing(s.division, s.division)}` }))
  );
  const SEVERAL = 'several';

  /** Mends are looked for once nothing has been typed for so long, ms. */
  const QUIET = 120;
  $effect(() => {
    const open = editor;
    // Read here, so that each change begins the wait anew.
    if (!open.plan) return;
    const soon = setTimeout(() => void open.prove(), QUIET);
    return () => clearTimeout(soon);
  });

  // What another bench changes is seen here as it is stored.
  $effect(() => {
    const open = editor;
    return listenTo('plans', open.plan.id, (revision) => void open.shared.heard(revision));
  });
  const stops = $derived(editor.problems.filter((p) => p.level === 'stop'));
  const warns = $derived(editor.problems.filter((p) => p.level === 'warn'));
  const score = new Later(() => editor.computed);
  let folded = $state(false);
  let zoom = $state<'pour' | 'all' | 'days'>('pour');
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
<svelte:window {onkeydown} onpagehide={() => editor.keep()} />
<ClashDialog shared={editor.shared} what="plan" gone="/plans" />

<div class="flex flex-col xl:h-screen">
  <header class="border-b border-rule px-5 pt-2 pb-1.5">
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
      <div class="min-w-0 flex-1 max-lg:basis-full">
        <input
          class="quiet w-full max-w-[26rem] border-transparent font-display text-[1.55rem] leading-none font-semibold"
          aria-label="Name of the plan"
          value={plan.name}
          onchange={(e) => editor.edit({ path: ['name'], value: e.currentTarget.value.trim() || plan.name })}
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
        <PlanMenu {plan} {editor} />
      </div>
      <a class="button" href="/plans/{plan.id}/sheet">Mix sheet</a>
      <a class="button" href="/rehearse/plan/{plan.id}">Rehearse</a>
      <button class="button go" onclick={start} disabled={starting || stops.length > 0}>Start the run</button>
    </div>
    <div class="flex flex-wrap items-baseline gap-x-1 text-[0.87rem] text-ink-2">
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
        onchange={(good) => editor.edit({ path: ['order'], value: { ...plan.order, good } })}
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
        onchange={(to) => editor.replace({ ...plan, mixes: plan.mixes.map((m) => ({ ...m, baseId: to })) })}
      />
      {#if baseId && data.shelf.bases.some((b) => b.id === baseId)}
        <a class="underline" href="/shelf/bases/{baseId}"
          >{data.shelf.bases.find((b) => b.id === baseId)?.kind === 'soap'
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
        onchange={(v) => editor.edit({ path: ['bench', 'roomCelsius'], value: Math.round(v * 10) / 10 })}
      />
      <span>·</span>
      <Choice
        quiet
        label="Scale"
        value={plan.bench.scaleIds[0] ?? 'none'}
        options={withGone(scales, plan.bench.scaleIds[0] ?? 'none', 'choose a scale')}
        onchange={(id) =>
          editor.edit({
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
          editor.replace(ids.reduce((p, id) => change(p, id), plan));
        }}
      />
      <PlanSettings {editor} />
    </div>
  </header>

  <div
    class="grid grid-cols-1 border-b border-rule md:grid-cols-2 xl:min-h-0 xl:flex-1 xl:grid-cols-[306px_minmax(0,1fr)_330px] xl:divide-x xl:divide-rule xl:*:min-h-0 xl:*:overflow-y-auto"
  >
    <div class="flex flex-col divide-y divide-rule max-xl:order-2">
      <PourList {editor} />
      <CupRack {editor} />
    </div>
    <div class="flex flex-col max-xl:order-1 md:col-span-2 xl:col-span-1">
      <Drawing {plan} {computed} {editor} />
    </div>
    <div class="flex flex-col max-xl:order-3">
      <Numbers {plan} {computed} {editor} lessons={data.lessons} />
    </div>
  </div>

  <section class="bg-sheet px-5 py-1" aria-label="Score">
    <div class="flex items-baseline gap-3 text-[0.85rem] text-ink-2">
      <span class="label">Score</span>
      <span class="flex-1"
        >hands done after {duration(computed.score.ends)}{#if computed.score.done > computed.score.ends + 1},
          all of it after {duration(computed.score.done)}{/if}</span
      >
      {#if !folded && computed.score.done > computed.score.ends + 1}
        <Choice
          quiet
          label="What the score shows"
          value={zoom}
          options={[
            { value: 'pour', label: 'the pour, in minutes' },
            { value: 'all', label: 'all of it, waits folded' },
            { value: 'days', label: 'the days, to scale' }
          ]}
          onchange={(v) => (zoom = v as typeof zoom)}
        />
      {/if}
      <button class="underline hover:text-ink" aria-expanded={!folded} onclick={() => (folded = !folded)}
        >{folded ? 'unfold' : 'fold'}</button
      >
    </div>
    {#if !folded}
      <div class="overflow-x-auto">
        <div class="min-w-[900px]"><ScoreDrawing computed={score.value} {zoom} /></div>
      </div>
    {/if}
  </section>
</div>

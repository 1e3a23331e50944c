<script lang="ts">
  import { Tabs } from 'bits-ui';
  import { untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import type { Lesson } from '$core/inspect';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import Redo2 from '@lucide/svelte/icons/redo-2';
  import { listenTo } from '../../store/changes';
  import type { InTurn } from '../../page/in-turn.svelte';
  import type { PlanEditor } from '../../plan/plan-editor.svelte';
  import { Later } from '../../page/later.svelte';
  import { PlanView } from '../../plan/plan-view.svelte';
  import { send } from '../../store/send';
  import ScoreStrip from './ScoreStrip.svelte';
  import CupRack from './CupRack.svelte';
  import Drawing from './Drawing.svelte';
  import Numbers, { type FigureTab } from './Numbers.svelte';
  import ClashDialog from '$lib/ui/ClashDialog.svelte';
  import PlanMenu from './PlanMenu.svelte';
  import PlanFacts from './PlanFacts.svelte';
  import PourList from './PourList.svelte';
  import { counted } from '$core/quantity';

  /** @prop turn which parts of the page have come: the head, its facts, the pour, the piece, the figures, the score */
  let { editor, lessons, turn }: { editor: PlanEditor; lessons: readonly Lesson[]; turn: InTurn } = $props();
  const view = new PlanView(untrack(() => editor));
  const plan = $derived(view.plan);
  const computed = $derived(view.computed);
  /** The column of figures follows in a task of its own. */
  const weighed = new Later(() => ({ plan: view.plan, computed: view.computed }));
  let column = $state<'pour' | 'cups'>('pour');
  /** Which of the figures are shown, and whether all warnings are. */
  let figures = $state<FigureTab>('weigh');
  let allWarnings = $state(false);

  /** Mends are looked for once nothing has been typed for so long, ms. */
  const QUIET = 120;
  $effect(() => {
    const open = editor;
    // Read here, so that each change begins the wait anew.
    if (!open.plan || !turn.reached(6)) return;
    const soon = setTimeout(() => void open.prove(), QUIET);
    return () => {
      clearTimeout(soon);
      open.leaveProof();
    };
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

<h1 class="sr-only">{plan.name}</h1>
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
          >kept on this device, sending again</span
        >
      {/if}
      {#if failure}<span class="max-w-72 text-[0.85rem] font-semibold text-cinnabar" role="alert"
          >{failure}</span
        >{/if}
      {#if stops.length || warns.length}
        <button
          class="min-h-9 text-[0.9rem] font-semibold {stops.length ? 'text-cinnabar' : 'text-ochre'}"
          onclick={() => {
            figures = 'weigh';
            allWarnings = true;
          }}
        >
          ● {counted(stops.length + warns.length, stops.length ? 'problem' : 'warning')}
        </button>
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
    {#if turn.reached(2)}<PlanFacts editor={view} />{/if}
  </header>

  <div
    class="grid grid-cols-1 border-b border-rule md:grid-cols-2 xl:min-h-0 xl:flex-1 xl:grid-cols-[322px_minmax(0,1fr)_312px] xl:divide-x xl:divide-rule *:relative xl:*:min-h-0 xl:*:overflow-y-auto"
  >
    <div class="flex flex-col max-xl:order-2 xl:[scrollbar-gutter:stable]">
      {#if turn.reached(3)}
        <Tabs.Root bind:value={column}>
          <Tabs.List class="flex gap-1 px-4 py-2" aria-label="The pour, or its cups">
            <Tabs.Trigger value="pour" class="tab">Pour</Tabs.Trigger>
            <Tabs.Trigger value="cups" class="tab">Cups {plan.cups.length}</Tabs.Trigger>
          </Tabs.List>
          <!-- Only the one that is looked at is drawn. -->
          <Tabs.Content value="pour"
            >{#if column === 'pour'}<PourList editor={view} />{/if}</Tabs.Content
          >
          <Tabs.Content value="cups"
            >{#if column === 'cups'}<CupRack editor={view} />{/if}</Tabs.Content
          >
        </Tabs.Root>
      {/if}
    </div>
    <div class="flex flex-col max-xl:order-1 md:col-span-2 xl:col-span-1">
      {#if turn.reached(4)}<Drawing {plan} {computed} editor={view} />{/if}
    </div>
    <div class="flex flex-col max-xl:order-3 xl:[scrollbar-gutter:stable]">
      {#if turn.reached(5)}<Numbers
          {...weighed.value}
          editor={view}
          {lessons}
          bind:shown={figures}
          bind:all={allWarnings}
        />{/if}
    </div>
  </div>

  {#if turn.reached(6)}<ScoreStrip editor={view} />{/if}
</div>

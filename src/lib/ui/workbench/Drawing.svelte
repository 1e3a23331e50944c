<script lang="ts">
  import { Tabs } from 'bits-ui';
  import { onDestroy, untrack } from 'svelte';
  import { Later } from '../../page/later.svelte';
  import { PatternWork } from '../../plan/pattern-work.svelte';
  import type { ShownPicture } from '../../plan/shown-picture';
  import { seenBy, VISIONS, type Vision } from '$core/colour';
  import { hasWall, SHOW_FACES, usualHeading, type ShowFace } from '$core/mould';
  import { lettered, ofTheirOwn } from '$core/document';
  import type { Computed, Plan } from '$core/plan';
  import type { Face, PicturePart, Showing, SpotHistory } from '$core/piece';
  import { InTurn } from '../../page/in-turn.svelte';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import Choice from '../forms/Choice.svelte';
  import CoreDrawing from '../drawing/CoreDrawing.svelte';
  import { inWords } from '../../preferences.svelte';
  import PiecePicture from '../drawing/PiecePicture.svelte';
  import Bars from './Bars.svelte';
  import Look from './Look.svelte';
  import PieceShares, { type Shown } from './PieceShares.svelte';
  import { marksOf } from '../drawing/marks';
  import { extentOf } from '../drawing/outline';
  import { wayOf, type Place } from '$core/pour';

  let { plan, computed, editor }: { plan: Plan; computed: Computed; editor: PlanView } = $props();
  const turn = new InTurn(4);

  /** The piece that is looked at: the first that goes into no other, until one is chosen. */
  let chosen = $state(
    untrack(() => {
      const [own] = ofTheirOwn(plan.groups);
      return Math.max(
        0,
        computed.groups.findIndex((g) => g.groupId === own?.id)
      );
    })
  );
  /** The face that the piece is to show, until another is chosen. */
  let face = $derived<ShowFace>(plan.showFace);
  let cut = $state({ heading: 0, off: 0 });
  let picture = $state.raw<ShownPicture>();
  let told = $state.raw<SpotHistory>();
  let seed = $state<string>();
  let until = $state<string>();
  let part = $state.raw<PicturePart>();
  let asking = $state(false);
  let asked = $state<{ x: number; y: number }>();
  const looked = $derived<Face>(face === 'cut' ? { kind: 'cut', ...cut } : { kind: face });
  const mudWork = new PatternWork();
  onDestroy(() => mudWork.end());
  const mud = $derived(mudWork.mud);
  // Asked once the picture stands: it tells of the same piece.
  $effect(() => {
    if (picture?.done && group)
      untrack(() =>
        mudWork.askMud({ plan, shelf: editor.shelf, cavitySetId: group.cavitySetId, seed, until })
      );
  });
  /** A white that may run out into skins: what the warning says it can cover. */
  const mayCover = $derived((cupId: string) => {
    const over = editor.problems.find((p) => p.code === 'white-takes-over' && p.cupId === cupId);
    return over && group?.layers.reduce((s, l) => s + (l.cupId === cupId ? l.shows.mouldFace : 0), 0);
  });
  const lineOf = (id: string) => inWords(computed.lines.find((l) => l.stepId === id)?.line ?? '');
  let vision = $state<Vision>('everyone');
  let showing = $state<Showing>();
  const FINISHES = [
    { value: 'dry', label: 'dry' },
    { value: 'wet', label: 'as poured, wet' },
    { value: 'sealed', label: 'sealed' },
    { value: 'aged', label: 'aged' },
    { value: 'lit from behind', label: 'lit from behind' }
  ];
  const NAMES: Record<ShowFace, string> = {
    'mould face': 'Mould side',
    'open face': 'Poured side',
    cut: 'Cut',
    wall: 'Wall'
  };
  const EYES: Record<Vision, string> = {
    ...(Object.fromEntries(VISIONS.map((v) => [v, v])) as Record<Vision, string>),
    everyone: 'usual eyes',
    greys: 'lightness alone'
  };
  const markOf = (id: string) => computed.cups.find((c) => c.cupId === id);
  const group = $derived(computed.groups[Math.min(chosen, computed.groups.length - 1)]);
  /** A flat piece has no wall to look at. */
  const faces = $derived(
    SHOW_FACES.filter(
      (f) => f !== 'wall' || plan.showFace === f || (group && hasWall(extentOf(group), group.profile))
    )
  );
  const core = new Later(() => ({ group, cups: computed.cups }));
  const cavitySetId = $derived(group?.cavitySetId);
  /** Cut as such a piece is usually cut. */
  $effect.pre(() => {
    if (cavitySetId === undefined) return;
    cut = { heading: usualHeading(untrack(() => extentOf(group))), off: 0 };
  });
  /** Where the step that is looked at is done, if it is done in these cavities. */
  const marks = $derived.by(() => {
    const step = plan.steps.find((s) => s.id === editor.looking);
    if (!group || !step?.where.includes(group.groupId)) return [];
    const { width, length } = extentOf(group);
    return marksOf(step, length / width);
  });
  /** The step whose form is open has a place or a way over these cavities: a tap on the picture sets it. */
  const placing = $derived.by(() => {
    const step = plan.steps.find((s) => s.id === editor.opened);
    if (!group || face === 'cut' || face === 'wall' || !step?.where.includes(group.groupId)) return undefined;
    const way = wayOf(step.act);
    return (
      way && ((to: Place) => editor.edit({ path: ['steps', step.id, 'act', way.key], value: way.to(to) }))
    );
  });

  // Both counted in the picture's own piece; until it is drawn, what shows is not known.
  const shows = $derived(
    computed.cups.flatMap((cup): Shown[] => {
      const own = (list: ShownPicture['shows'] | undefined) =>
        list?.find((x) => x.cupId === cup.cupId)?.share;
      if (picture?.counted) {
        const poured = own(picture.poured);
        return poured ? [{ cup, poured, shows: own(picture.shows) ?? 0 }] : [];
      }
      const layers = group?.layers.filter((l) => l.cupId === cup.cupId) ?? [];
      if (!group || !layers.length) return [];
      const filled = group.layers.reduce((s, l) => s + l.each, 0);
      return [{ cup, poured: layers.reduce((s, l) => s + l.each, 0) / filled, shows: undefined }];
    })
  );
  const nameOf = (cupId: string) => {
    const cup = markOf(cupId);
    return cup ? lettered(cup) : '';
  };
</script>

<section
  class="piece flex flex-1 flex-col px-4 py-2 max-xl:border-b max-xl:border-rule"
  aria-label="Piece and core"
>
  <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
    <Tabs.Root bind:value={face}>
      <Tabs.List
        class="inline-flex overflow-hidden rounded-lg border border-rule-strong"
        aria-label="Which face"
      >
        {#each faces as name (name)}
          <Tabs.Trigger
            value={name}
            class="min-h-9 px-3 text-[0.9rem] font-medium text-ink-2 data-[state=active]:bg-ink data-[state=active]:text-ground"
          >
            {NAMES[name]}
          </Tabs.Trigger>
        {/each}
      </Tabs.List>
    </Tabs.Root>
    <span class="flex flex-wrap items-baseline gap-x-2 text-[0.85rem] text-ink-2">
      Judged by
      <Choice
        quiet
        label="Judged by"
        value={plan.showFace}
        options={faces.map((f) => ({ value: f, label: NAMES[f].toLowerCase() }))}
        onchange={(v) => editor.edit({ path: ['showFace'], value: v })}
      />
      <Choice
        quiet
        label="Finish in the picture"
        value={showing ?? 'dry'}
        options={FINISHES}
        onchange={(v) => (showing = v as Showing)}
      />
      <Choice
        quiet
        label="Colour vision"
        value={vision}
        options={VISIONS.map((v) => ({ value: v, label: EYES[v] }))}
        onchange={(v) => (vision = v as Vision)}
      />
    </span>
    {#if computed.groups.length > 1}
      <Choice
        quiet
        label="Which cavities"
        value={String(chosen)}
        options={computed.groups.map((g, i) => ({ value: String(i), label: g.name }))}
        onchange={(v) => (chosen = Number(v))}
      />
    {/if}
  </div>

  {#if group && turn.reached(1)}
    <div class="mt-2 grid grid-cols-[minmax(0,1fr)_120px] gap-x-4">
      <div class="piece-picture" data-picture>
        <PiecePicture
          piece={{ plan, shelf: editor.shelf, group, cups: computed.cups }}
          face={looked}
          look={{ seed, until, part, vision, showing }}
          lies
          bind:asked
          marks={face === 'cut' || face === 'wall' ? [] : marks}
          ondrawn={(drawn) => (picture = drawn)}
          ontold={(t) => (told = t)}
          onplaced={placing}
        />
      </div>
      <div class="row-span-2 text-[0.85rem]">
        <PieceShares
          {computed}
          {shows}
          besides={picture?.besides ?? 0}
          done={picture?.done ?? false}
          {mud}
          {mayCover}
        />
      </div>
      <div class="mt-2" data-cut>
        {#if turn.reached(2)}<CoreDrawing
            group={core.value.group ?? group}
            cups={core.value.cups}
            showFace={plan.showFace}
            seen={(hex) => seenBy(hex, vision)}
            width={420}
            height={86}
            slim
          />{/if}
      </div>
    </div>
    <p class="min-h-[19px] truncate text-[0.85rem] text-ink-2" aria-live="polite" data-testid="told">
      {#if told}
        <strong class="text-ink">{told.cupId ? nameOf(told.cupId) : 'what is set in'}</strong>
        from “{lineOf(told.stepId)}”{#if told.moved.length}, then moved by {told.moved
            .slice(0, 3)
            .map((id) => `“${lineOf(id)}”`)
            .join(', ')}{/if}
      {:else if placing}
        Tap the picture where this step is to be.
      {:else if picture?.standIn}
        No cup has a colour yet: these grey tones only show how the pour falls.
      {:else if picture?.guessed}
        No hollows are traced yet: this relief only shows how the stain lies in some.
      {:else}
        Tap the picture: which colour is here, and from which step? It is a sketch, not a promise.
      {/if}
    </p>
    {#if turn.reached(3)}<Look
        {computed}
        {editor}
        {group}
        face={looked}
        bind:cut
        bind:seed
        bind:until
        bind:part
        bind:asking
        {asked}
        {vision}
      />{/if}
    {#if asking}
      {#await import('./AskFace.svelte') then { default: AskFace }}
        <AskFace {plan} {computed} {editor} {group} face={looked} {shows} />
      {/await}
    {/if}
    {#if (plan.groups.find((g) => g.id === group.groupId)?.cutInto ?? 1) > 1 && turn.reached(4)}
      <Bars {plan} {computed} {editor} {group} {seed} />
    {/if}
    <p class="mt-1 text-[0.8rem] text-ink-2">{group.mouldName} · {inWords(group.working)}</p>
  {:else if !group}
    <p class="m-auto max-w-60 text-center text-ink-2">
      Choose a mould in the pour beside, and the piece is drawn here.
    </p>
  {/if}
</section>

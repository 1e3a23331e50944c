<script lang="ts">
  import { Tabs } from 'bits-ui';
  import { onDestroy, untrack } from 'svelte';
  import { Later } from '../../page/later.svelte';
  import { PatternWork } from '../../plan/pattern-work.svelte';
  import type { ShownPicture } from '../../plan/shown-picture';
  import Hint from '../forms/Hint.svelte';
  import { VISIONS, type Vision } from '$core/colour';
  import type { Computed, Plan } from '$core/plan';
  import type { Face, PicturePart, Showing, SpotHistory } from '$core/piece';
  import { InTurn } from '../../page/in-turn.svelte';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import Choice from '../forms/Choice.svelte';
  import CupMark from '../drawing/CupMark.svelte';
  import CoreDrawing from '../drawing/CoreDrawing.svelte';
  import { inWords } from '../../preferences.svelte';
  import PiecePicture from '../drawing/PiecePicture.svelte';
  import AskFace from './AskFace.svelte';
  import Bars from './Bars.svelte';
  import Look from './Look.svelte';
  import { marksOf } from '../drawing/marks';
  import { extentOf } from '../drawing/outline';

  let { plan, computed, editor }: { plan: Plan; computed: Computed; editor: PlanView } = $props();
  const turn = new InTurn(4);

  let chosen = $state(0);
  /** The face that the piece is to show, until another is chosen. */
  let face = $derived<'mould face' | 'open face' | 'cut'>(plan.showFace);
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
  const NAMES = { 'mould face': 'Mould face', 'open face': 'Open face', cut: 'Cut' };
  const FACES = ['mould face', 'open face'].map((f) => ({ value: f, label: f }));
  const VERDICTS = { clear: 'text-ink-2', close: 'text-ochre', 'reads as one': 'text-cinnabar' };
  const markOf = (id: string) => computed.cups.find((c) => c.cupId === id);
  const group = $derived(computed.groups[Math.min(chosen, computed.groups.length - 1)]);
  const core = new Later(() => ({ group, cups: computed.cups }));
  const cavitySetId = $derived(group?.cavitySetId);
  /** A bar is cut across, anything else from side to side. */
  $effect.pre(() => {
    if (cavitySetId === undefined) return;
    const { width, length } = untrack(() => extentOf(group));
    cut = { heading: width > 1.8 * length ? 90 : 0, off: 0 };
  });
  /** Where the step that is looked at is done, if it is done in these cavities. */
  const marks = $derived.by(() => {
    const step = plan.steps.find((s) => s.id === editor.looking);
    if (!group || !step?.where.includes(group.groupId)) return [];
    const { width, length } = extentOf(group);
    return marksOf(step, length / width);
  });
  const percent = (x: number) => `${(x * 100).toFixed(0)} %`;

  // Poured → shows: both counted in the picture's own piece; until it is drawn, the cups stand as level layers.
  const shows = $derived(
    computed.cups.flatMap((cup) => {
      const own = (list: ShownPicture['shows'] | undefined) =>
        list?.find((x) => x.cupId === cup.cupId)?.share;
      if (picture?.done) {
        const poured = own(picture.poured);
        return poured ? [{ cup, poured, shows: own(picture.shows) ?? 0 }] : [];
      }
      const layers = group?.layers.filter((l) => l.cupId === cup.cupId) ?? [];
      if (!group || !layers.length) return [];
      const sum = (pick: (l: (typeof layers)[number]) => number) => layers.reduce((s, l) => s + pick(l), 0);
      const filled = group.layers.reduce((s, l) => s + l.each, 0);
      const level = sum((l) => (face === 'open face' ? l.shows.openFace : l.shows.mouldFace));
      return [{ cup, poured: sum((l) => l.each) / filled, shows: level }];
    })
  );
</script>

<section class="flex flex-col px-4 py-3 max-xl:border-b max-xl:border-rule" aria-label="Piece and core">
  <div class="flex flex-wrap items-center justify-between gap-2">
    <Tabs.Root bind:value={face}>
      <Tabs.List
        class="inline-flex overflow-hidden rounded-lg border border-rule-strong"
        aria-label="Which face"
      >
        {#each ['mould face', 'open face', 'cut'] as const as name (name)}
          <Tabs.Trigger
            value={name}
            class="min-h-9 px-3 text-[0.9rem] font-medium text-ink-2 data-[state=active]:bg-ink data-[state=active]:text-ground"
          >
            {NAMES[name]}
          </Tabs.Trigger>
        {/each}
      </Tabs.List>
    </Tabs.Root>
    <span class="text-[0.85rem] text-ink-2">
      shows its
      <Choice
        quiet
        label="Show face"
        value={plan.showFace}
        options={FACES}
        onchange={(v) => editor.edit({ path: ['showFace'], value: v })}
      />
    </span>
    <span class="text-[0.85rem] text-ink-2">
      when
      <Choice
        quiet
        label="Finish in the picture"
        value={showing ?? 'dry'}
        options={FINISHES}
        onchange={(v) => (showing = v as Showing)}
      />
    </span>
    <span class="text-[0.85rem] text-ink-2">
      seen by
      <Choice
        quiet
        label="Seen by"
        value={vision}
        options={VISIONS.map((v) => ({ value: v, label: v === 'greys' ? 'lightness alone' : v }))}
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
    <div class="mt-2 flex flex-1 items-center justify-center gap-5">
      <div class="w-[380px] max-w-[calc(100%-138px)]">
        <PiecePicture
          piece={{ plan, shelf: editor.shelf, group, cups: computed.cups }}
          face={looked}
          look={{ seed, until, part, vision, showing }}
          bind:asked
          marks={face === 'cut' ? [] : marks}
          ondrawn={(drawn) => (picture = drawn)}
          ontold={(t) => (told = t)}
        />
      </div>
      <div class="w-[118px] text-[0.85rem]">
        <p class="text-ink-2">poured → shows</p>
        {#each shows as row (row.cup.cupId)}
          <div class="mt-1.5">
            <div class="flex items-center gap-1.5">
              <strong class="w-3">{row.cup.letter}</strong>
              <div class="flex-1">
                <div
                  class="h-2 border border-ink-2"
                  style="width:{Math.max(2, row.poured * 100)}%;background:{row.cup.colour}"
                ></div>
                <div
                  class="mt-0.5 h-2 border border-ink"
                  style="width:{Math.max(2, row.shows * 100)}%;background:{row.cup.colour}"
                ></div>
              </div>
            </div>
            <p class="pl-[18px] whitespace-nowrap text-ink-2">
              {percent(row.poured)} → <span class="text-ink">{percent(row.shows)}</span>
            </p>
            {#if mayCover(row.cup.cupId)}
              <p class="pl-[18px] text-[0.8rem] text-ochre">can cover {percent(mayCover(row.cup.cupId)!)}</p>
            {/if}
          </div>
        {/each}
      </div>
    </div>
    <div class="mx-auto mt-1 min-h-[150px] w-full max-w-[440px]">
      {#if turn.reached(2)}<CoreDrawing
          group={core.value.group ?? group}
          cups={core.value.cups}
          showFace={plan.showFace}
          {vision}
          width={440}
          height={150}
        />{/if}
    </div>
    <p class="mt-1 min-h-5 text-center text-[0.85rem] text-ink-2" aria-live="polite" data-testid="told">
      {#if told}
        <strong class="text-ink"
          >{told.cupId ? `${markOf(told.cupId)?.letter} ${markOf(told.cupId)?.name}` : 'set in'}</strong
        >
        by “{lineOf(told.stepId)}”{#if told.moved.length}, moved by {told.moved
            .slice(0, 3)
            .map((id) => `“${lineOf(id)}”`)
            .join(', ')}{/if}
      {:else if picture?.standIn}
        No cup has a colour yet: these tones stand in, to show how the pour falls.
      {:else}
        Tap a place to ask what it is and how it came there.
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
        {mud}
      />{/if}
    {#if asking}<AskFace {plan} {computed} {editor} {group} face={looked} {shows} />{/if}
    {#if (plan.groups.find((g) => g.id === group.groupId)?.cutInto ?? 1) > 1 && turn.reached(4)}
      <Bars {plan} {computed} {editor} {group} {seed} />
    {/if}
    {#if computed.pairs.length}
      <ul
        class="mt-1 flex flex-wrap justify-center gap-x-4 gap-y-1 text-[0.85rem]"
        data-testid="contrast"
        aria-label="How touching colours are told apart"
      >
        {#each computed.pairs.slice(0, 6) as pair (pair.a + pair.b)}
          {@const [one, other] = [markOf(pair.a), markOf(pair.b)]}
          <li class={VERDICTS[pair.contrast.verdict]}>
            <Hint
              class="flex items-center gap-1"
              words="ΔE {pair.contrast.deltaE.toFixed(1)}, lightness {pair.contrast.lightness.toFixed(
                0
              )} apart"
            >
              {#if one && other}
                <CupMark letter={one.letter} colour={one.colour} hatch={one.hatch} size={18} /><CupMark
                  letter={other.letter}
                  colour={other.colour}
                  hatch={other.hatch}
                  size={18}
                />
              {/if}
              <strong>{pair.contrast.verdict}</strong>
              {pair.contrast.deltaE.toFixed(
                0
              )}{#if !pair.contrast.byLightness && pair.contrast.verdict === 'clear'}, by hue only{/if}
            </Hint>
          </li>
        {/each}
      </ul>
    {/if}
    <p class="mt-1 text-center text-[0.8rem] text-ink-2">
      {group.mouldName} · {inWords(group.working)} · a sketch of where colour goes, by the volumes of this plan
    </p>
  {:else if !group}
    <p class="m-auto max-w-60 text-center text-ink-2">
      Choose a mould in the pour beside, and the piece is drawn here.
    </p>
  {/if}
</section>

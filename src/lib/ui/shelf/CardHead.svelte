<!-- The head of a card's page: its name, whether it is stored, and what can be done with it. -->
<script lang="ts" generics="T extends { id: string; name: string }">
  import type { Snippet } from 'svelte';
  import { listenTo } from '../../store/changes';
  import type { CardForm } from '../../store/card-form.svelte';
  import PutCard from './PutCard.svelte';
  import ClashDialog from '../ClashDialog.svelte';
  import { inWords } from '../../preferences.svelte';

  let {
    form,
    back,
    what,
    put,
    main
  }: {
    form: CardForm<T>;
    back: string;
    what: string;
    put: string;
    /** What is most often done with such a card. */
    main?: Snippet | undefined;
  } = $props();

  const state = $derived.by(() => {
    if (form.problems.length) return 'not saved yet';
    if (form.saved) return 'saved';
    return form.shared?.saved === 'waiting' ? 'kept on this device, sending again' : '';
  });

  // What another bench changes is seen here as it is stored.
  $effect(() => {
    const shared = form.shared;
    return shared && listenTo(form.kind, form.card.id, (revision) => void shared.heard(revision));
  });
</script>

{#if form.shared}<ClashDialog shared={form.shared} {what} gone={back} />{/if}

<h1 class="sr-only">{form.card.name || `New ${what}`}</h1>
<header class="flex flex-wrap items-center gap-3">
  <div class="min-w-0 flex-1">
    <p class="text-[0.9rem] text-ink-2">
      <a class="underline" href={back}>{back === '/colours' ? 'Colours' : 'Shelf'}</a> · {what}
    </p>
    <input
      class="quiet w-full font-display text-[1.9rem] font-semibold"
      aria-label="Name"
      form={form.fresh ? 'put-card' : undefined}
      placeholder="Name"
      aria-invalid={form.at('name') ? 'true' : undefined}
      value={form.card.name}
      oninput={(e) => form.set(['name'], e.currentTarget.value)}
    />
    {#if form.at('name')}<p class="text-[0.9rem] text-cinnabar" role="alert">
        {inWords(form.at('name')?.sentence ?? '')}
      </p>{/if}
  </div>
  {#if form.fresh}
    <PutCard {form} then={put} id="put-card" />
  {:else}
    <span
      class="text-[0.9rem] {form.problems.length ? 'font-semibold text-cinnabar' : 'text-verdigris'}"
      role="status"
    >
      {state}
    </span>
    <button class="button bare text-ink-2" onclick={() => form.remove(back)}>Delete</button>
    {@render main?.()}
  {/if}
</header>

<!-- Adds an act: type a few letters of what is done, or pick it from its family. -->
<script lang="ts">
  import { Combobox } from 'bits-ui';
  import { ACT_GROUPS, actsNamed } from '$core/pour';
  import ActMark from './ActMark.svelte';

  let { label, onpick }: { label: string; onpick: (kind: string) => void } = $props();
  let typed = $state('');
  let open = $state(false);
  let picks = $state(0);
  const found = $derived(actsNamed(typed));
  const FAMILY = {
    'pour in': 'Pour in',
    move: 'Move it',
    'put in': 'Put in',
    wait: 'Wait and clear',
    after: 'After the pour'
  };
  const families = $derived(
    ACT_GROUPS.map((group) => ({ group, acts: found.filter((a) => a.group === group) })).filter(
      (f) => f.acts.length
    )
  );

  /** Whether the arrows chose among what was found; otherwise Enter takes the first. */
  let arrowed = $state(false);

  function onkeydown(event: KeyboardEvent) {
    if (event.key.startsWith('Arrow')) arrowed = true;
    const [first] = found;
    if (event.key !== 'Enter' || arrowed || !typed.trim() || !first) return;
    event.preventDefault();
    event.stopPropagation();
    pick(first.kind);
  }

  function pick(kind: string) {
    if (!kind) return;
    typed = '';
    arrowed = false;
    open = false;
    // The list begins anew: it is a button that adds, not a choice that stays.
    picks += 1;
    onpick(kind);
  }
</script>

{#key picks}
  <Combobox.Root type="single" value="" bind:open onValueChange={pick} inputValue={typed}>
    <Combobox.Input
      class="field min-h-9 !w-[3.7rem] !px-[7px] text-[0.9rem] placeholder:font-semibold placeholder:text-ink focus:!w-36"
      aria-label={label}
      placeholder="+ Step"
      oninput={(e) => {
        typed = e.currentTarget.value;
        arrowed = false;
      }}
      onkeydowncapture={onkeydown}
      onfocus={() => (open = true)}
    />
    <Combobox.Portal>
      <Combobox.Content
        class="z-40 max-h-[60vh] w-80 overflow-y-auto rounded-lg border border-rule-strong bg-sheet p-1 shadow-lg"
        sideOffset={4}
        strategy="fixed"
        align="start"
      >
        {#each families as { group, acts } (group)}
          <Combobox.Group>
            <Combobox.GroupHeading class="label px-3 pt-2 pb-1 font-sans"
              >{FAMILY[group]}</Combobox.GroupHeading
            >
            {#each acts as act (act.kind)}
              <Combobox.Item
                value={act.kind}
                label={act.name}
                class="flex min-h-9 cursor-pointer items-center gap-2 rounded-md px-3 py-1 outline-none data-[highlighted]:bg-sunk"
              >
                <ActMark kind={act.kind} cup={undefined} />
                <span class="font-medium whitespace-nowrap">{act.name}</span>
                <span class="truncate text-[0.8rem] text-ink-2"
                  >{(act.also ?? []).slice(0, 3).join(', ')}</span
                >
              </Combobox.Item>
            {/each}
          </Combobox.Group>
        {:else}
          <p class="px-3 py-2 text-ink-2">
            No step is called that. Try a word for what the hands do: pour, drag, wait.
          </p>
        {/each}
      </Combobox.Content>
    </Combobox.Portal>
  </Combobox.Root>
{/key}

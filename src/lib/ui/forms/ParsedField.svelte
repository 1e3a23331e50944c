<!-- A field that reads what a maker types. Errors stand at the field; nothing typed is lost. -->
<script lang="ts" generics="T">
  import { inWords } from '../../preferences.svelte';
  import type { Problem, Result } from '$core/problem';

  let {
    value,
    format,
    parse,
    onchange,
    label,
    unit = '',
    quiet = false,
    placeholder = '',
    width = '',
    id = undefined,
    forms = ''
  }: {
    value: T;
    format: (value: T) => string;
    parse: (text: string) => Result<T>;
    onchange: (value: T) => void;
    label: string;
    unit?: string;
    quiet?: boolean;
    placeholder?: string;
    width?: string;
    id?: string;
    /** What may be typed, said while the field is entered and nothing is wrong. */
    forms?: string;
  } = $props();
  let entered = $state(false);

  let draft = $state<string>();
  let problem = $state<Problem>();
  const shown = $derived(draft ?? format(value));
  const uid = $props.id();

  function oninput(event: Event & { currentTarget: HTMLInputElement }) {
    draft = event.currentTarget.value;
    const read = parse(draft);
    problem = read.ok ? undefined : read.problem;
    if (read.ok) onchange(read.value);
  }

  // On leaving, a good entry settles into its written form; a bad one stays with its problem.
  function onblur() {
    entered = false;
    if (!problem) draft = undefined;
  }

  function onkeydown(event: KeyboardEvent & { currentTarget: HTMLInputElement }) {
    if (event.key === 'Enter') {
      // It settles this figure; a form around it is sent by its button.
      event.preventDefault();
      event.currentTarget.blur();
    }
    if (event.key === 'Escape') {
      draft = undefined;
      problem = undefined;
      event.currentTarget.blur();
    }
  }
</script>

<span class="relative inline-flex items-baseline gap-1 {quiet ? '' : 'w-full'}">
  <input
    {id}
    class={quiet ? 'quiet' : 'field'}
    style={width ? `width:${width}` : ''}
    type="text"
    inputmode="text"
    autocomplete="off"
    {placeholder}
    aria-label={label}
    aria-invalid={problem ? 'true' : undefined}
    aria-describedby={problem ? `${uid}-problem` : undefined}
    value={shown}
    {oninput}
    onfocus={() => (entered = true)}
    {onblur}
    {onkeydown}
  />
  {#if unit}<span class="text-ink-2">{unit}</span>{/if}
  {#if forms && entered && !problem}
    <span
      class="absolute top-full left-0 z-20 mt-1 w-60 rounded-md border border-rule-strong bg-sheet p-2 text-[0.82rem] text-ink-2 shadow"
      >{inWords(forms)}</span
    >
  {/if}
  {#if problem}
    <span
      id="{uid}-problem"
      role="alert"
      class="absolute top-full left-0 z-20 mt-1 w-60 rounded-md border border-cinnabar bg-cinnabar-soft p-2 text-[0.85rem] text-ink shadow"
    >
      {inWords(problem.sentence)} <strong>{inWords(problem.mend)}</strong>
    </span>
  {/if}
</span>

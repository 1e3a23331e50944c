<!-- A colour to type or to choose: #rrggbb, with the browser's own chooser beside it. -->
<script lang="ts">
  import { fail, ok, type Result } from '$core/problem';
  import ParsedField from '../forms/ParsedField.svelte';

  let { value, onchange, label }: { value: string; onchange: (hex: string) => void; label: string } =
    $props();

  function parse(text: string): Result<string> {
    const said = text.trim().replace(/^#?/, '#').toLowerCase();
    if (/^#[0-9a-f]{6}$/.test(said)) return ok(said);
    return fail({
      code: 'colour-unreadable',
      path: '',
      sentence: `“${text}” is not a colour.`,
      mend: 'Type six figures, for example #5b7d95, or choose one beside.'
    });
  }
</script>

<div class="flex items-center gap-2">
  <input
    class="h-11 w-14 shrink-0 rounded-md border border-rule-strong bg-sheet"
    type="color"
    aria-label="{label}, chosen"
    {value}
    oninput={(e) => onchange(e.currentTarget.value)}
  />
  <ParsedField {label} {value} format={(v) => v} {parse} {onchange} />
</div>

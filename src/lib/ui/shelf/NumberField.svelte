<!-- A plain number without a unit: ratios, densities, months. -->
<script lang="ts">
  import { fail, ok, type Result } from '$core/problem';
  import ParsedField from '../forms/ParsedField.svelte';

  let {
    value,
    onchange,
    label,
    optional = false
  }: {
    value: number | undefined;
    onchange: (value: number | undefined) => void;
    label: string;
    optional?: boolean;
  } = $props();

  function parse(text: string): Result<number | undefined> {
    const said = text.trim().replace(',', '.');
    if (optional && !said) return ok(undefined);
    const number = Number(said);
    if (said && Number.isFinite(number) && number > 0) return ok(number);
    return fail({
      code: 'number-not-positive',
      path: '',
      sentence: `“${text}” is not a number above zero.`,
      mend: 'Type a figure, for example 1.14.'
    });
  }
</script>

<ParsedField {value} format={(v) => (v === undefined ? '' : String(v))} {parse} {onchange} {label} />

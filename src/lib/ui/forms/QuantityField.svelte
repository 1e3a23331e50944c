<!-- A quantity with units; the value is in the internal unit of its kind. -->
<script lang="ts">
  import { fail, ok, type Result } from '$core/problem';
  import { formatQuantity, parseQuantity, unit as unitOf } from '$core/quantity';
  import { shownUnit } from '../../preferences.svelte';
  import ParsedField from './ParsedField.svelte';

  let {
    value,
    unit,
    onchange,
    label,
    min = 0,
    max = Infinity,
    above = false,
    quiet = false,
    metric = false,
    empty = undefined,
    width = ''
  }: {
    /** Undefined where nothing is known yet: the field stands empty. */
    value: number | undefined;
    /** Symbol of the unit shown and taken for a bare number; the workshop’s own in place of a metric one. */
    unit: string;
    onchange: (value: number) => void;
    label: string;
    /** Least and most, in the internal unit. */
    min?: number;
    max?: number;
    /** Whether the least itself is excluded. */
    above?: boolean;
    quiet?: boolean;
    /** Whether the unit stays as it is: a scale keeps its own. */
    metric?: boolean;
    /** It may stand empty: what holds then, and what is done when it is emptied. */
    empty?: { means: string; on: () => void } | undefined;
    width?: string;
  } = $props();

  const own = $derived(metric ? unit : shownUnit(unit));
  const write = (v: number) => formatQuantity(v, own, 3).replace(/\.?0+(?= )/, '');
  const written = (v: number | undefined) => (v === undefined ? '' : write(v));

  function parse(text: string): Result<number | undefined> {
    if (empty && !text.trim()) return ok(undefined);
    const read = parseQuantity(text, { kind: unitOf(unit).kind, bare: own });
    if (!read.ok) return read;
    const v = read.value.value;
    if (v < min || (above && v <= min))
      return fail({
        code: 'too-small',
        path: '',
        sentence: `${label} must be ${above ? 'more than' : 'at least'} ${write(min)}.`,
        mend: 'Check the figure and its unit.'
      });
    if (v > max)
      return fail({
        code: 'too-big',
        path: '',
        sentence: `${label} can be at most ${write(max)}.`,
        mend: 'Check the figure and its unit.'
      });
    return ok(v);
  }
</script>

<ParsedField
  {value}
  format={written}
  {parse}
  onchange={(v) => (v === undefined ? empty?.on() : onchange(v))}
  {label}
  {quiet}
  placeholder={empty?.means ?? ''}
  {width}
/>

<!-- The shape of a cavity by its dimensions, its corners, or its measured depths. -->
<script lang="ts">
  import { parsePairs, type CavityKind, type Mould, type Shape } from '$core/mould';
  import type { Problem } from '$core/problem';
  import { parseCount } from '$core/quantity';
  import type { CardForm } from '../../store/card-form.svelte';
  import Choice from '../forms/Choice.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import Row from '../forms/Row.svelte';
  import { blankOf, SHAPES } from './shapes';
  import TracePhoto from './TracePhoto.svelte';

  let { form, kind, index }: { form: CardForm<Mould>; kind: CavityKind; index: number } = $props();

  const WORDS: Record<string, string> = {
    radius: 'Diameter',
    length: 'Length',
    width: 'Width',
    depth: 'Depth',
    rimRadius: 'Diameter at the rim',
    baseRadius: 'Diameter at the bottom',
    baseLength: 'Length at the bottom',
    baseWidth: 'Width at the bottom',
    rimLength: 'Length at the rim',
    rimWidth: 'Width at the rim',
    tableRadius: 'Diameter of the table',
    crown: 'Height over the widest part',
    innerRadius: 'Inner diameter',
    outerRadius: 'Outer diameter'
  };
  /** What is kept as a radius is asked as what a ruler reads: the diameter. */
  const across = (key: string) => (/radius$/i.test(key) ? 2 : 1);
  const lengths = $derived(
    Object.entries(kind.shape).filter((e): e is [string, number | undefined] => e[0] in WORDS)
  );
  const pairs = $derived(
    kind.shape.kind === 'prism'
      ? kind.shape.outline.map(([x, y]) => `${x} ${y}`).join('\n')
      : kind.shape.kind === 'table'
        ? kind.shape.rows.map((r) => `${r.depth} ${r.ml}`).join('\n')
        : ''
  );

  let pairProblem = $state<Problem>();
  function setPairs(text: string) {
    const read = parsePairs(text);
    pairProblem = read.ok ? undefined : read.problem;
    if (!read.ok) return;
    if (kind.shape.kind === 'prism') form.set(['cavities', index, 'shape', 'outline'], read.value);
    else
      form.set(
        ['cavities', index, 'shape', 'rows'],
        read.value.map(([depth, ml]) => ({ depth, ml }))
      );
  }
</script>

<Row label="Shape">
  <Choice
    label="Shape"
    value={kind.shape.kind}
    options={SHAPES.map((s) => ({ value: s.kind, label: s.name }))}
    onchange={(v) => form.set(['cavities', index, 'shape'], blankOf(v as Shape['kind']))}
  />
</Row>
<div class="grid grid-cols-2 gap-x-3">
  {#each lengths as [key, value] (kind.shape.kind + key)}
    <Row label={WORDS[key] ?? key} problem={form.at(`cavities/${index}/shape/${key}`)}>
      <QuantityField
        label={WORDS[key] ?? key}
        unit="mm"
        above
        max={5000}
        value={value === undefined ? undefined : value * across(key)}
        onchange={(v) => form.set(['cavities', index, 'shape', key], v / across(key))}
      />
    </Row>
  {/each}
  {#if kind.shape.kind === 'gem'}
    <Row label="Sides">
      <ParsedField
        label="Sides"
        value={kind.shape.sides}
        format={String}
        parse={(text) => parseCount(text, 24)}
        onchange={(sides) => form.set(['cavities', index, 'shape', 'sides'], sides)}
      />
    </Row>
  {/if}
</div>
{#if kind.shape.kind === 'prism' || kind.shape.kind === 'table'}
  <Row
    label={kind.shape.kind === 'prism'
      ? 'Corners in order, mm: x y on each line'
      : 'Depth mm and ml on each line'}
    problem={pairProblem ?? form.at(`cavities/${index}/shape`)}
  >
    <textarea
      class="field min-h-28 py-2"
      aria-label="Corners or depths"
      value={pairs}
      oninput={(e) => setPairs(e.currentTarget.value)}></textarea>
  </Row>
  {#if kind.shape.kind === 'prism'}
    <TracePhoto onoutline={(outline) => form.set(['cavities', index, 'shape', 'outline'], outline)} />
  {/if}
{/if}

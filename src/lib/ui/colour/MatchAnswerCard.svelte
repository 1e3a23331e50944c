<!-- One recipe that was found for a colour: what goes in, how near it is, and a cup it can go into. -->
<script lang="ts">
  import type { asWeighed, MatchAnswer } from '$core/colour';
  import type { Cup } from '$core/document';
  import type { Scale } from '$core/dosing';
  import { weighing } from '$core/quantity';
  import { length, money } from '../../preferences.svelte';
  import Choice from '../forms/Choice.svelte';
  import Table from '../Table.svelte';
  import { letterOf } from './letter';
  import Swatch from './Swatch.svelte';

  interface CupHere {
    plan: { id: string; name: string };
    cup: Cup;
  }

  let {
    answer,
    nth,
    target,
    weighed,
    percents,
    price,
    scale,
    nameOf,
    bought,
    cupsHere,
    into,
    oncarry
  }: {
    answer: MatchAnswer;
    /** Its place among the answers, from 0. */
    nth: number;
    /** The colour that is wanted. */
    target: string;
    /** The answer as its scale leaves it. */
    weighed: ReturnType<typeof asWeighed>;
    /** Its lines in percent of the material's own basis. */
    percents: readonly number[];
    price: number | undefined;
    scale: Scale;
    nameOf: (colourantId: string) => string;
    /** Whether a colourant is not on the shelf yet. */
    bought: (colourantId: string) => boolean;
    /** Cups of plans that are made of the same base. */
    cupsHere: readonly CupHere[];
    /** The cup that it is looked for. */
    into: CupHere | undefined;
    oncarry: (cup: CupHere) => void;
  } = $props();
</script>

<li class="sheet grid grid-cols-[104px_minmax(0,1fr)_auto] items-center gap-4 p-4">
  <div class="grid grid-cols-2">
    <Swatch hex={target} letter="?" label="wanted" height={72} />
    <Swatch hex={answer.look.hex} letter={letterOf(nth)} label="answer {nth + 1}" height={72} />
  </div>
  <Table
    class="text-[0.92rem]"
    rows={answer.lines.map((line, i) => ({
      id: line.colourantId,
      percent: percents[i]!,
      grams: weighed.grams[i]!.grams,
      letDown: weighed.grams[i]!.letDown
    }))}
    columns={[
      { id: 'colourant', class: '!py-1' },
      {
        id: 'percent',
        num: true,
        text: (l) => `${l.percent.toPrecision(3)} %`,
        class: '!py-1'
      },
      {
        id: 'grams',
        num: true,
        text: (l) => weighing(l.grams, scale.division),
        class: '!py-1 font-semibold'
      }
    ]}
  >
    {#snippet cell({ id, letDown })}{nameOf(id)}{#if letDown}, 1 : {letDown} in the mix{/if}{#if bought(id)}<span
          class="text-ochre"
        >
          to buy</span
        >{/if}{/snippet}
  </Table>
  <div class="w-36 text-right">
    <p class="font-display text-[1.9rem] leading-none font-medium">{answer.deltaE.toFixed(1)}</p>
    <p class="text-[0.82rem] text-ink-2">
      ΔE, {answer.deltaE < 1
        ? 'you will not see a difference'
        : answer.deltaE < 3
          ? 'close'
          : answer.deltaE < 6
            ? 'you see it side by side'
            : 'another colour'}
    </p>
    <p class="text-[0.82rem] {weighed.deltaE > answer.deltaE + 1 ? 'text-ochre' : 'text-ink-2'}">
      {weighed.deltaE.toFixed(1)} after rounding to your scale
    </p>
    <p class="text-[0.82rem] text-ink-2">
      {answer.hides === null
        ? 'see-through'
        : `opaque from ${length(answer.hides, answer.hides < 10 ? 1 : 0)}`}
    </p>
    {#if price !== undefined}<p class="text-[0.82rem] text-ink-2">costs {money(price)}</p>{/if}
  </div>
  <div class="col-span-3 flex justify-end gap-2">
    {#if into && !answer.lines.some((l) => bought(l.colourantId))}
      <button class="button go" onclick={() => oncarry(into)}>
        Put into {into.cup.name} of {into.plan.name}
      </button>
    {/if}
    {#if !answer.lines.some((l) => bought(l.colourantId))}
      <Choice
        label="Put answer {nth + 1} into a cup"
        value=""
        placeholder="Into a cup"
        options={cupsHere.map(({ plan, cup }) => ({
          value: `${plan.id}|${cup.id}`,
          label: `${plan.name}: ${cup.name}`
        }))}
        onchange={(v) => {
          const found = cupsHere.find(({ plan, cup }) => `${plan.id}|${cup.id}` === v);
          if (found) oncarry(found);
        }}
        class="!w-auto"
      />
    {/if}
  </div>
</li>

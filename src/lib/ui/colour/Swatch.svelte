<!-- A colour as it is, its letter in the corner: nothing lies across what is compared. -->
<script lang="ts">
  import { inkOn } from '../drawing/ink';

  let {
    hex,
    letter = '',
    label,
    height = 36
  }: {
    hex: string;
    /** Stands in the corner; none where one colour is shown alone. */
    letter?: string;
    label: string;
    height?: number;
  } = $props();
</script>

<span
  class="flex w-full items-end rounded-sm border border-rule-strong px-1 pb-0.5 text-[0.8rem] leading-none font-bold"
  style="background:{hex};color:{inkOn(hex)};height:{height}px"
  role="img"
  aria-label="{letter ? `${letter}, ` : ''}{label}: {hex}"><span aria-hidden="true">{letter}</span></span
>

<!-- How far long work is; with nothing to say how far, that it is under way. -->
<script lang="ts">
  import { Progress } from 'bits-ui';

  let { label, share, class: extra = '' }: { label: string; share: number | null; class?: string } = $props();
</script>

<Progress.Root
  value={share === null ? null : Math.round(share * 100)}
  aria-label={label}
  class="h-2.5 overflow-hidden rounded-full bg-sunk {extra}"
>
  <div
    class="h-full rounded-full bg-verdigris {share === null ? 'w-1/2 animate-pulse' : ''}"
    style={share === null ? '' : `width:${share * 100}%`}
  ></div>
</Progress.Root>

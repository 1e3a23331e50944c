<!-- A run that is kept: its events go to the server as they happen, and come from other devices that follow it. -->
<script lang="ts">
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { foldRun } from '$core/run';
  import { keepAwake } from '../../../lib/run/awake';
  import { BenchClock } from '../../../lib/run/run-clock.svelte';
  import type { RunGiven } from '../../../lib/run/run-desk.svelte';
  import { RunLog } from '../../../lib/run/run-log.svelte';
  import { RunStream } from '../../../lib/run/run-stream.svelte';
  import { scaleAtHand } from '../../../lib/run/scale.svelte';
  import { canReadSerial, SerialScale } from '../../../lib/run/serial-scale.svelte';
  import BesideList from '$lib/ui/run/BesideList.svelte';
  import RunScreen from '$lib/ui/run/RunScreen.svelte';

  let { data } = $props();
  const log = $derived(new RunLog(data.run.id, data.events));
  const frozen = $derived(data.run.frozen);
  const conductor = $derived(foldRun(frozen.tasks, log.events, frozen.computed.division).conductor);
  const finished = $derived(log.events.some((e) => e.type === 'finished'));
  const stream = new RunStream();
  const conducting = $derived(stream.conducts(conductor));
  const scale = $derived(scaleAtHand(data.run.id, frozen.computed.division));
  const clock = new BenchClock();
  const pouring = $derived(data.others.filter((o) => o.pouring).map((o) => o.name));

  onMount(() => {
    const stop = clock.run();
    const release = keepAwake();
    const heard = (e: StorageEvent) => log.onStorage(e.key);
    window.addEventListener('storage', heard);
    stream.open(data.run.id, log);
    void log.photos.open();
    return () => {
      log.photos.close();
      window.removeEventListener('storage', heard);
      stream.close();
      stop();
      release();
      scale.disconnect();
    };
  });

  // Nobody conducts, or whoever did has left: this device goes on by itself.
  $effect(() => {
    const alone = conductor === undefined ? stream.present !== undefined : stream.left(conductor);
    if (alone && !finished && document.visibilityState === 'visible') takeOver();
  });

  // Read anew whenever it is asked: any of it may change while the run goes on.
  const given: RunGiven = {
    get frozen() {
      return frozen;
    },
    get log() {
      return log;
    },
    clock,
    get scale() {
      return scale;
    },
    get lessons() {
      return data.lessons;
    },
    get short() {
      return data.short;
    },
    get pouring() {
      return pouring;
    },
    get conducting() {
      return conducting;
    },
    get oncable() {
      return canReadSerial() ? () => scale.change(new SerialScale()) : undefined;
    }
  };

  function takeOver() {
    if (conductor !== stream.device) log.tell({ type: 'conducts', device: stream.device });
  }

  function finish(told: boolean) {
    if (!told) log.tell({ type: 'finished' });
    void goto(`/record/${data.run.id}`);
  }
</script>

<RunScreen name={data.run.name} {given} {finish}>
  {#snippet banner()}
    {#if !conducting}
      <p
        class="flex min-h-16 shrink-0 items-center gap-4 border-b border-rule bg-verdigris-soft px-7 text-[1.1rem]"
        role="status"
        data-testid="following"
      >
        <strong>Another device conducts this run.</strong> You follow it here, live.
        <button class="button go ml-auto min-h-[56px]" onclick={takeOver}>Take over</button>
      </p>
    {/if}
    {#if log.signedOut}
      <p class="shrink-0 border-b border-rule bg-ochre-soft px-7 py-3 text-[1.1rem]" role="status">
        Nobody is signed in: what happens is kept on this device.
        <a class="font-bold underline" href="/sign-in?then=/run/{data.run.id}">Sign in</a>
      </p>
    {/if}
  {/snippet}
  {#snippet beside()}
    <BesideList others={data.others} now={clock.now} />
  {/snippet}
</RunScreen>

import { scaleOfBench } from '$lib/server/devices/scale';
import { problem } from '../../../../../../lib/server/http/body';
import { refuse } from '../../../../../../lib/server/http/respond';
import { onStop } from '$lib/server/shutdown';

/** Readings of the stand-in scale as server-sent events: `{"grams": 12.34, "stable": true}`, ten a second. */
export const GET = ({ url }) => {
  const division = Number(url.searchParams.get('division') ?? '0.01');
  if (!(division > 0))
    return refuse([
      problem('division-not-positive', 'The division must be more than zero.', 'Send ?division=0.01.')
    ]);
  const scale = scaleOfBench(url.searchParams.get('bench') ?? 'bench', division);
  const encoder = new TextEncoder();
  let end = () => {};
  const stream = new ReadableStream({
    start(controller) {
      const silence = scale.listen((reading) =>
        controller.enqueue(encoder.encode(`data: ${JSON.stringify(reading)}\n\n`))
      );
      const forget = onStop(() => {
        end();
        controller.close();
      });
      end = () => {
        silence();
        forget();
      };
    },
    cancel: () => end()
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' }
  });
};

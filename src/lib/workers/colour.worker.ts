import { mainColours, matching, type MatchOrder } from '$core/colour';

/** What the colour worker is asked. */
export type ColourTask =
  { kind: 'match'; order: MatchOrder } | { kind: 'clusters'; pixels: Uint8ClampedArray; count: number };

// Progress goes out between the steps of the search; the page stops a search by ending the worker.
self.onmessage = ({ data }: MessageEvent<ColourTask>) => {
  if (data.kind === 'clusters') {
    self.postMessage({ done: mainColours(data.pixels, 4, data.count) });
    return;
  }
  const steps = matching(data.order);
  for (;;) {
    const step = steps.next();
    if (step.done) {
      self.postMessage({ done: step.value });
      return;
    }
    self.postMessage({ progress: step.value });
  }
};

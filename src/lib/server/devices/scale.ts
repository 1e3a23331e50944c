import { LRUCache } from 'lru-cache';
import {
  advance,
  emptyPan,
  readScale,
  startPouring,
  tare,
  type Reading,
  type StandInScale
} from '$core/device';
import { normalised } from '../../run/normal';

/** A scale as the rest of the server sees it, whatever stands behind it. */
export interface ScaleDevice {
  /** Calls back with every reading until the returned function is called. */
  listen(each: (reading: Reading) => void): () => void;
  tare(): void;
  /** Empties the pan and forgets the tare. */
  clear(): void;
  /** Stand-in only: sets the hand pouring this many grams more. */
  pour(grams: number): void;
}

const TICK_MS = 100;

/** The stand-in scale: the core's model kept going in real time while anyone listens. */
function standInScale(division: number): ScaleDevice {
  let scale: StandInScale = emptyPan(division);
  const listeners = new Set<(reading: Reading) => void>();
  let timer: ReturnType<typeof setInterval> | undefined;
  const tick = () => {
    scale = advance(scale, TICK_MS / 1000, normalised());
    const reading = readScale(scale, normalised());
    for (const each of listeners) each(reading);
  };
  return {
    listen(each) {
      listeners.add(each);
      timer ??= setInterval(tick, TICK_MS);
      return () => {
        listeners.delete(each);
        if (listeners.size) return;
        clearInterval(timer);
        timer = undefined;
      };
    },
    tare: () => void (scale = tare(scale)),
    clear: () => void (scale = emptyPan(division)),
    pour: (grams) => void (scale = startPouring(scale, grams, Math.random()))
  };
}

const devices = new LRUCache<string, ScaleDevice>({ max: 50 });

/** The stand-in scale of one bench: each bench (by its own name) has one, with the display step first asked for. */
export function scaleOfBench(bench: string, division: number): ScaleDevice {
  const key = `${bench}|${division}`;
  let device = devices.get(key);
  if (!device) {
    device = standInScale(division);
    devices.set(key, device);
  }
  return device;
}

import { Engine } from '../engine';
import { chanceFrom } from '../seeded';
import { nodesOf, type Star } from '../shapes/star';
import type { Flow, Spot } from '../spot';
import type { View } from './view';

/** Places at which what is drawn out is looked at. */
const LEAVING = 20_000;

/** What a cavity holds so far, to be read back: its flows and how high it stands. */
export interface SoFar {
  flows: readonly Flow[];
  level: number;
  still: number;
}

/** Shares of matters at many places of a cavity; a throw may miss. */
export function sharesAt({ flows, level }: SoFar, thrown: () => Spot | undefined): Map<number, number> {
  const engine = new Engine(flows as Flow[], level);
  const counts = new Map<number, number>();
  let all = 0;
  for (let throws = 0; all < LEAVING && throws < 200 * LEAVING; throws++) {
    const spot = thrown();
    if (!spot) continue;
    const matter = engine.matterAt(spot);
    counts.set(matter, (counts.get(matter) ?? 0) + 1);
    all++;
  }
  return new Map([...counts].map(([matter, n]) => [matter, n / all]));
}

/** Throws into a body about a view's middle, from the still ground to the top. */
export function throwsInto(view: View, body: Star, so: SoFar, seed: number): () => Spot | undefined {
  const chance = chanceFrom(seed ^ 0x2545f491);
  const reach = body.reach;
  return () => {
    const [dx, dy] = [(2 * chance() - 1) * reach, (2 * chance() - 1) * reach];
    if (dx * dx + dy * dy >= body.at(nodesOf(dx, dy))) return undefined;
    const [x, y] = view.chart
      ? view.chart.from(view.at.x + dx, view.at.y + dy)
      : [view.at.x + dx, view.at.y + dy];
    return { x, y, z: so.still + chance() * (so.level - so.still) };
  };
}

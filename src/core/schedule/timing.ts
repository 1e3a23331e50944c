import { grouped } from '../grouped';
import type { Behaviour, Room } from '../cure';
import type { Gate } from '../document';
import type { MakingStep } from '../material';

/** What a score needs of a base: how it passes through its states, and its card's times. */
export interface MixMaterial {
  baseId: string;
  behaviour: Behaviour;
  clockPart: string;
  /** What is done between weighing its parts. */
  between?: readonly MakingStep[];
  stirMinutes: number;
  demouldHours: { from: number; to: number };
  /** Hours to full cure, where its card says. */
  fullCureHours?: number;
}

/** One mix (or one filling of a cup of cups) as the score needs it. */
export interface TimedMix {
  mixId: string;
  cupId: string;
  turn: number;
  /** The sitting it is made in, from 1. */
  sitting: number;
  name: string;
  material: MixMaterial;
  weighings: readonly { key: string }[];
  /** What it is in all, g. */
  mixed: number;
  /** The turn of a common mix that it is a portion of. */
  portionOf?: string;
  /** Mixes that it is filled from. */
  filledFrom?: readonly string[];
  pours: readonly { pourId: string; count: number }[];
}

/** One pour of a step into the cavities of one cavity set. */
export interface TimedPour {
  pourId: string;
  stepId: string;
  cavitySetId: string;
  cupId: string;
  /** How deep it lies there, mm. */
  depth: number;
  /** Hands' minutes for so many cavities. */
  attended(count: number): number;
  /** Its cup need not level by itself for it: it can be used until it sets. */
  untilSet?: boolean;
}

/** A step: where it is done, what it waits for, and its minutes where nothing is drawn. */
export interface TimedStep {
  id: string;
  gates: readonly Gate[];
  cavitySetIds: readonly string[];
  /** What it is called on the score. */
  line: string;
  attended: number;
  unattended: number;
  /** Done once the piece is poured: it waits for the last turn. */
  after?: boolean;
  /** It takes the pieces out of their mould. */
  demoulds?: boolean;
  /** Poured in so many rounds, turn about with its neighbours; 1 when absent. */
  rounds?: number;
  /** Steps of other cavities that it waits for: a casting has left its mould, and is sawn and sanded, before it is set in. */
  afterSteps?: readonly string[];
  /** It draws nothing: it is done, however little time it takes. */
  does?: boolean;
  /** Cups that it is done to, which have to be mixed by then. */
  cupIds?: readonly string[];
}

/** Everything a score is played from. */
export interface Timing {
  /** As felt from the first minute of the score on. */
  room: Room;
  steps: readonly TimedStep[];
  pours: ReadonlyMap<string, TimedPour>;
  mixes: ReadonlyMap<string, TimedMix>;
  /** Cavity sets with their group and the name it goes by. */
  cavitySets: readonly { id: string; groupId: string; name: string }[];
}

/** A timing with what is looked up again and again, looked up once. */
export interface Indexed extends Timing {
  poursOf(stepId: string): readonly TimedPour[];
  /** Mixes that serve a pour, in the order they are made. */
  mixesFor(pourId: string): readonly TimedMix[];
  ofCup(cupId: string): readonly TimedMix[];
  /** The turn of a common mix that a mix comes from, through cups of cups too. */
  splitMixOf(mix: TimedMix): TimedMix | undefined;
}

/** Indexes a timing. */
export function indexed(timing: Timing): Indexed {
  const poursOf = grouped([...timing.pours.values()], (p) => [p.stepId]);
  const mixes = [...timing.mixes.values()];
  const mixesFor = grouped(mixes, (m) => m.pours.flatMap((p) => (p.count > 0 ? [p.pourId] : [])));
  const ofCup = grouped(mixes, (m) => [m.cupId]);
  const splitMixOf = (mix: TimedMix): TimedMix | undefined => {
    if (mix.portionOf !== undefined) return timing.mixes.get(mix.portionOf);
    for (const id of mix.filledFrom ?? []) {
      const from = timing.mixes.get(id);
      const splitMix = from && splitMixOf(from);
      if (splitMix) return splitMix;
    }
    return undefined;
  };
  return {
    ...timing,
    poursOf: (id) => poursOf.get(id) ?? [],
    mixesFor: (id) => mixesFor.get(id) ?? [],
    ofCup: (id) => ofCup.get(id) ?? [],
    splitMixOf
  };
}

/** Something the hands do. Minutes from the start of the plan. */
export interface Block {
  id: string;
  act: 'weigh' | 'make' | 'stir' | 'fill' | 'pour' | 'do';
  from: number;
  to: number;
  label: string;
  /** The cup, or the pot of a split mix; empty for what concerns none. */
  cupId: string;
  /** The mix that is poured. */
  mixId?: string;
  groupId?: string;
  stepId?: string;
  /** It passes by itself: the hands are free. */
  unattended?: boolean;
}

/** When a mixed cup may be poured: from stirred to no longer levelling by itself. */
export interface PourWindow {
  cupId: string;
  mixId: string;
  /** When the parts met: the zero of this cup's clock. */
  zero: number;
  from: number;
  to: number;
  gels: number;
}

/** A wait for what a gate asks. */
export interface GateWait {
  gateId: string;
  stepId: string;
  /** The turn of a common mix that it belongs to; 1 otherwise. */
  turn: number;
  groupId: string;
  /** The cup that is mixed only then, where it is a mix that waits. */
  cupId?: string;
  /** What it waits for, in words: “gelled”, “38 °C”. */
  state: string;
  from: number;
  opens: number;
  /** Minutes from its zero (the last pour below, the meeting of parts …) to its opening. */
  minutes: number;
  /** Each of its conditions in words, with the minutes from its own zero; none where only looking tells. */
  conditions: { words: string; minutes?: number }[];
  /** Where that figure comes from. */
  reckoned: 'plan' | 'estimate';
}

/** When a group may leave its mould. */
export interface DemouldWindow {
  groupId: string;
  from: number;
  to: number;
  /** When the last pour into the group ends: the zero of both edges while a run goes on. */
  lastPour: number;
  /** When all that is in it is fully cured and may be sanded hard or milled, where its cards say. */
  cured?: number;
}

/** A stretch of work at the bench: between two of them the hands are away for hours and nothing mixed stands open. */
export interface Sitting {
  from: number;
  to: number;
  /** Minutes since the one before ended; 0 for the first. */
  after: number;
  /** Its first item’s place in the sequence. */
  item: number;
}

/** The plan in time: hands, cups, cavities. All minutes from the start. */
export interface Score {
  blocks: Block[];
  windows: PourWindow[];
  gates: GateWait[];
  demould: DemouldWindow[];
  sittings: Sitting[];
  /** When the hands are done pouring. */
  ends: number;
  /** When everything is done, the days after counted. */
  done: number;
}

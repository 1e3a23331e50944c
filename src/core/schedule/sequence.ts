import type { Zero } from '../document';
import { awaitedBy, startsApart, startsLate } from './apart';
import type { Indexed, TimedMix, TimedPour, TimedStep } from './timing';

/** What the hands do, in order. */
export type SequenceItem =
  /** Make a mix: of a cup on its own, of a pot (`~mix`), or colour a portion of one. */
  | { kind: 'mix'; mixId: string; cupId: string }
  /** Fill a cup of cups from those it is made of. */
  | { kind: 'fill'; mixId: string; cupId: string }
  | {
      kind: 'pour';
      pourId: string;
      stepId: string;
      cavitySetId: string;
      cupId: string;
      mixId: string;
      count: number;
      /** Which of how many rounds, where it is poured turn about with others. */
      round?: { nth: number; of: number };
    }
  | { kind: 'gate'; stepId: string; gateId: string; turn: number }
  /** A mix waits until another has stood so long, or until a step was done so long ago, so that it is as far as a step needs it. */
  | { kind: 'hold'; stepId: string; mixId: string; cupId: string; after: Zero; minutes: number }
  /** An act that draws nothing and takes time. */
  | { kind: 'do'; stepId: string; turn: number };

/** Steps that draw from one split mix (or from none), done turn by turn. */
interface Segment {
  /** Turns of the pot, by mix id; one nameless turn where there is no pot. */
  splitMixes: (TimedMix | undefined)[];
  steps: TimedStep[];
}

/**
 * The order of a pour. Cups mixed on their own: steps in order, and whenever a mix is used up the next one is made.
 * A mix split into cups: turn by turn, all its cups coloured (in the order given, light to dark), then its steps for
 * that turn's cavities to the end.
 */
export function sequenceOf(timing: Indexed, colouring: readonly string[]): SequenceItem[] {
  const writer = new Writer(timing, colouring);
  const after = afterwards(timing);
  for (const { splitMixes, steps } of segmentsOf(
    timing,
    timing.steps.slice(0, timing.steps.length - after.length)
  ))
    writer.segment(steps, splitMixes);
  writer.segment(after, [undefined]);
  return writer.items;
}

/** The steps at the end that draw nothing, from the first that is done to a poured piece: they wait for every turn. */
function afterwards(timing: Indexed): TimedStep[] {
  const last = timing.steps.findLastIndex((s) => timing.poursOf(s.id).length > 0);
  const first = timing.steps.findIndex((s, i) => i > last && s.after);
  return first < 0 ? [] : timing.steps.slice(first);
}

function segmentsOf(timing: Indexed, steps: readonly TimedStep[]): Segment[] {
  const segments: (Segment & { of: string | undefined })[] = [];
  for (const step of steps) {
    const splitMix = timing
      .poursOf(step.id)
      .flatMap((p) => timing.mixesFor(p.pourId).map((m) => timing.splitMixOf(m)))
      .find((m) => m !== undefined);
    const of = splitMix && `${splitMix.cupId} ${splitMix.sitting}`;
    const last = segments.at(-1);
    // What draws from no pot is done with what came before it.
    if (last && (of === undefined || of === last.of)) last.steps.push(step);
    else segments.push({ of, splitMixes: turnsOf(timing, splitMix), steps: [step] });
  }
  return segments;
}

/** The turns of a pot that are made in the same sitting as one of them; one nameless turn where there is no pot. */
const turnsOf = (timing: Indexed, splitMix: TimedMix | undefined): (TimedMix | undefined)[] =>
  splitMix ? timing.ofCup(splitMix.cupId).filter((m) => m.sitting === splitMix.sitting) : [undefined];

/** A step that is poured in rounds, with its pours and the mixes they are of. */
interface InRounds {
  step: TimedStep;
  rounds: number;
  own: readonly { p: TimedPour; m: TimedMix }[];
}

const inRounds = (step: TimedStep): boolean => (step.rounds ?? 1) > 1;

/** Whether a step's rounds go turn about with those before it: into the same cavities, with no wait between. */
function goesAbout(step: TimedStep, about: readonly InRounds[]): boolean {
  const before = about.at(-1)?.step;
  const same = before === undefined || before.cavitySetIds.join() === step.cavitySetIds.join();
  return inRounds(step) && !step.gates.length && same;
}

/** Which turn of its sitting it is, whether it is the last, and which steps are done in it. */
interface Turn {
  turn: number;
  last: boolean;
  isHere(step: TimedStep): boolean;
}

/** Writes a sequence down, turn by turn; each mix is made once, before it is first poured. */
class Writer {
  readonly items: SequenceItem[] = [];
  readonly #made = new Set<string>();
  readonly #timing: Indexed;
  readonly #colouring: readonly string[];

  constructor(timing: Indexed, colouring: readonly string[]) {
    this.#timing = timing;
    this.#colouring = colouring;
  }

  /** Steps turn by turn of their pot; without one, everything once. */
  segment(steps: readonly TimedStep[], splitMixes: readonly (TimedMix | undefined)[]): void {
    const ever = new Set(splitMixes.flatMap((m) => (m ? [...this.#strandsOf(m)] : [])));
    splitMixes.forEach((splitMix, i) => {
      const last = i === splitMixes.length - 1;
      const served = splitMix && this.#strandsOf(splitMix);
      // What is done to cavities that no turn serves, or at the bench, is done in the last.
      const isHere = (step: TimedStep) =>
        !served ||
        step.cavitySetIds.some((id) => served.has(id)) ||
        (last && step.cavitySetIds.every((id) => !ever.has(id)));
      this.#turn(steps, splitMix, { turn: i + 1, last, isHere });
    });
  }

  /** One turn of a pot: its steps for the cavities it serves. */
  #turn(steps: readonly TimedStep[], splitMix: TimedMix | undefined, { turn, last, isHere }: Turn): void {
    // In a later sitting what the first pour waits for comes before its mix is made.
    if (splitMix?.sitting === 1) this.#colour(splitMix);
    let about: InRounds[] = [];
    const flush = () => {
      this.#turnAbout(about);
      about = [];
    };
    for (const step of steps) {
      const pours = this.#timing.poursOf(step.id);
      const own = pours.flatMap((p) => this.#mixesFor(p, splitMix, last).map((m) => ({ p, m })));
      if (pours.length ? !own.length : !isHere(step)) continue;
      if (!goesAbout(step, about)) flush();
      this.#awaited(step, splitMix);
      for (const gate of step.gates)
        this.items.push({ kind: 'gate', stepId: step.id, gateId: gate.id, turn });
      if (own.length && splitMix) this.#colour(splitMix);
      if (inRounds(step)) about.push({ step, rounds: step.rounds!, own });
      else this.#poured(own);
      if (!pours.length) this.#do(step, splitMix, turn);
    }
    flush();
  }

  /** A step's pours; cups that are poured at once stand ready, turn by turn, before the first of them goes in. */
  #poured(own: InRounds['own']): void {
    if (new Set(own.map(({ p }) => p.cupId)).size < 2) {
      for (const { p, m } of own) this.#pour(p, m);
      return;
    }
    for (const turn of new Set(own.map(({ m }) => m.turn))) {
      const now = own.filter(({ m }) => m.turn === turn);
      for (const { m } of now) this.#make(m);
      for (const { p, m } of now) this.#pour(p, m);
    }
  }

  /** Steps in rounds: the first round of each, then the second of each, all their mixes made before. */
  #turnAbout(about: readonly InRounds[]): void {
    for (const { own } of about) for (const { m } of own) this.#make(m);
    const most = Math.max(0, ...about.map((a) => a.rounds));
    for (let nth = 1; nth <= most; nth++)
      for (const { own, rounds } of about)
        if (nth <= rounds) for (const { p, m } of own) this.#pour(p, m, { nth, of: rounds });
  }

  /** A step that draws nothing. What only waits is its gate; all else is done, however little time it takes. */
  #do(step: TimedStep, splitMix: TimedMix | undefined, turn: number): void {
    const takes = step.attended + step.unattended > 0 || step.demoulds;
    if (!takes && !(step.does && !step.gates.length)) return;
    for (const cupId of step.cupIds ?? []) this.#ready(cupId, splitMix);
    this.items.push({ kind: 'do', stepId: step.id, turn });
  }

  /**
   * A cup whose state a step waits for is made before it is waited for. Where several must be as far at one moment, the slowest
   * is made first and each other is held back by what it is faster; else the one that is named first is at the front.
   */
  #awaited(step: TimedStep, splitMix: TimedMix | undefined): void {
    const mixOf = (cupId: string) => {
      const mixes = this.#timing.ofCup(cupId);
      return mixes.find((m) => this.#timing.splitMixOf(m)?.mixId === splitMix?.mixId) ?? mixes[0];
    };
    const isMade = (cupId: string) => this.#timing.ofCup(cupId).some((m) => this.#made.has(m.mixId));
    const apart = startsApart(step, this.#timing, mixOf);
    for (const { cupId, mixId, later } of apart) {
      if (isMade(cupId)) continue;
      const after = { mixMet: apart[0]!.mixId };
      if (later > 0) this.items.push({ kind: 'hold', stepId: step.id, mixId, cupId, after, minutes: later });
      this.#make(mixOf(cupId)!);
    }
    for (const cupId of awaitedBy(step)) {
      const own = mixOf(cupId);
      if (!own || isMade(cupId)) continue;
      const late = startsLate(step, own, this.#timing);
      if (late) this.items.push({ kind: 'hold', stepId: step.id, mixId: own.mixId, cupId, ...late });
      this.#make(own);
    }
  }

  /** A cup that something is done to is mixed by then: its mix of this turn, or its first. */
  #ready(cupId: string, splitMix: TimedMix | undefined): void {
    const mixes = this.#timing.ofCup(cupId);
    const own = mixes.find((m) => this.#timing.splitMixOf(m)?.mixId === splitMix?.mixId) ?? mixes[0];
    if (own) this.#make(own);
  }

  /** Makes the pot and colours every cup that pours in its turn, light to dark. */
  #colour(splitMix: TimedMix): void {
    this.#make(splitMix);
    for (const cupId of this.#colouring)
      for (const mix of this.#timing.ofCup(cupId))
        if (mix.portionOf === splitMix.mixId && mix.pours.length) this.#make(mix);
  }

  #make(mix: TimedMix): void {
    if (this.#made.has(mix.mixId)) return;
    this.#made.add(mix.mixId);
    if (mix.portionOf !== undefined) this.#make(this.#timing.mixes.get(mix.portionOf)!);
    for (const id of mix.filledFrom ?? []) this.#make(this.#timing.mixes.get(id)!);
    this.items.push({ kind: mix.filledFrom ? 'fill' : 'mix', mixId: mix.mixId, cupId: mix.cupId });
  }

  #pour(
    { pourId, stepId, cavitySetId, cupId }: TimedPour,
    mix: TimedMix,
    round?: { nth: number; of: number }
  ): void {
    this.#make(mix);
    const count = mix.pours.find((x) => x.pourId === pourId)?.count ?? 0;
    this.items.push({
      kind: 'pour',
      pourId,
      stepId,
      cavitySetId,
      cupId,
      mixId: mix.mixId,
      count,
      ...(round ? { round } : {})
    });
  }

  /** The mixes that serve a pour in a pot's turn; what is mixed on its own is poured in the last one. */
  #mixesFor(p: TimedPour, splitMix: TimedMix | undefined, last: boolean): TimedMix[] {
    return this.#timing.mixesFor(p.pourId).filter((m) => {
      const from = this.#timing.splitMixOf(m);
      return m.cupId === p.cupId && (from === undefined ? last : from.mixId === splitMix?.mixId);
    });
  }

  /** Cavity sets that a turn's cups go into. */
  #strandsOf(splitMix: TimedMix): Set<string> {
    const mine = [...this.#timing.mixes.values()].filter(
      (m) => this.#timing.splitMixOf(m)?.mixId === splitMix.mixId
    );
    return new Set(
      mine.flatMap((m) => m.pours.flatMap((p) => this.#timing.pours.get(p.pourId)?.cavitySetId ?? []))
    );
  }
}

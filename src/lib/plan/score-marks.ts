import { lettered } from '$core/document';
import type { Computed } from '$core/plan';
import type { Problem } from '$core/problem';
import { clock, duration } from '$core/quantity';

/** One thing on the score, in words: what is done or waited for, when, and what is wrong with it. */
export interface ScoreMark {
  id: string;
  from: number;
  to: number;
  /** When, as the clock of the pour has it. */
  when: string;
  /** What, in one sentence. */
  words: string;
  stepId?: string | undefined;
  /** What is wrong with it. */
  problems: readonly Problem[];
}

/** Minutes of the pour with their seconds, `18:24`; from an hour on in words. */
const at = (minutes: number): string => (minutes >= 60 ? duration(minutes) : clock(Math.round(minutes * 60)));

/** Everything on the score in the order it comes, each with what is wrong with its step. */
export function scoreMarks(computed: Computed, problems: readonly Problem[]): ScoreMark[] {
  const wrong = (about: 'stepId' | 'gateId', id: string | undefined) =>
    id === undefined ? [] : problems.filter((p) => p.level !== 'note' && p[about] === id);
  const { blocks, gates, demould } = computed.score;
  const marks: ScoreMark[] = [
    ...blocks.map((b) => ({
      id: b.id,
      from: b.from,
      to: b.to,
      when: `${at(b.from)} to ${at(b.to)}`,
      words: blockWords(b, computed),
      stepId: b.stepId,
      problems: wrong('stepId', b.stepId)
    })),
    ...gates.map((g) => ({
      id: `gate:${g.gateId}~${g.turn}`,
      from: g.from,
      to: g.opens,
      when: `${at(g.from)} to ${at(g.opens)}`,
      words: `wait for ${g.state}`,
      stepId: g.stepId,
      problems: wrong('gateId', g.gateId)
    })),
    ...demould.map((d) => ({
      id: `demould:${d.groupId}`,
      from: d.from,
      to: d.to,
      when: `${duration(d.from - d.lastPour)} to ${duration(d.to - d.lastPour)} after the pour`,
      words: `${nameOfGroup(computed, d.groupId)} may leave its mould`,
      problems: []
    }))
  ];
  return marks.sort((a, b) => a.from - b.from || a.to - b.to);
}

const nameOfGroup = ({ groups }: Computed, id: string): string =>
  groups.find((g) => g.groupId === id)?.name ?? 'the piece';

/** A block in words: a step by its own line, with how long its cup would still have; else what the score calls it. */
function blockWords(block: Computed['score']['blocks'][number], computed: Computed): string {
  const cup = computed.cups.find((c) => c.cupId === block.cupId);
  const line = computed.lines.find((l) => l.stepId === block.stepId)?.line;
  if (!line) return cup && block.act !== 'weigh' ? `${block.label} ${lettered(cup)}` : block.label;
  const window =
    block.act === 'pour' ? computed.score.windows.find((w) => w.mixId === block.mixId) : undefined;
  if (!window) return line;
  const left = window.to - block.to;
  return left >= 0
    ? `${line} · its cup lasts ${duration(left)} longer`
    : `${line} · ${duration(-left)} past its window`;
}

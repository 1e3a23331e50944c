import type { Computed, Plan } from '$core/plan';
import type { Shelf } from '$core/shelf';
import { amountWords } from '$core/pour';
import { counted, intoEach, duration, reading, weighing } from '$core/quantity';
import { waitsForLayer, type Task } from '$core/run';

/** What stands on a printed sheet, in words: the same on the page and in its PDF. */

/** A line in pieces, some of them strong, with the cup whose mark stands before it. */
export interface SheetLine {
  id: string;
  cupId?: string;
  parts: { text: string; strong?: boolean }[];
}

/** Mixes in a row that weigh the same, told once with how often. */
export function alike<M extends { mixId: string; weighings: readonly { weight: number }[] }>(
  mixes: readonly M[]
): { mix: M; times: number }[] {
  const runs: { mix: M; times: number }[] = [];
  for (const mix of mixes) {
    const last = runs.at(-1);
    const same = last && last.mix.weighings.every((w, i) => w.weight === mix.weighings[i]?.weight);
    if (last && same) last.times++;
    else runs.push({ mix, times: 1 });
  }
  return runs;
}

/** Cups in the order a sheet has them: split ones from light to dark, others as they are poured. */
export function cupsOrdered(computed: Computed): Computed['cups'] {
  const cups = computed.cups.filter((c) => c.balance.mixed > 0);
  return computed.common.length
    ? computed.lightToDark.flatMap((id) => cups.filter((c) => c.cupId === id))
    : cups;
}

/** A line of the batch table: a layer of a group of cavities, and whether it is the group's first. */
export interface BatchRow {
  group: Computed['groups'][number];
  layer: Computed['groups'][number]['layers'][number];
  first: boolean;
}

/** Every layer of every group, in the order they are poured. */
export const batchRows = (computed: Computed): BatchRow[] =>
  computed.groups.flatMap((group) => group.layers.map((layer, i) => ({ group, layer, first: i === 0 })));

type Cup = Computed['cups'][number];

/** What a cup takes of a part of the base, as its scale reads; empty where it takes none. */
export function partOf(cup: Cup, key: string): string {
  const w = cup.weighings.find((x) => x.kind === 'part' && x.key === key);
  return w ? reading(w.weight, w.division) : '';
}

/** What colours and fills a cup, each with its weight. */
export const coloursOf = (cup: Cup): string =>
  cup.weighings
    .filter((w) => w.kind === 'colourant' || w.kind === 'filler')
    .map((w) => `${w.name} ${reading(w.weight, w.division)}`)
    .join(', ');

/** What stands over the batch table: how many pieces, of which base, for how many good ones. */
export function batchOf(computed: Computed): string {
  const { totals, groups, order } = computed;
  const base = computed.bases.map((b) => b.name).join(', ') || 'no material chosen';
  const forGood = order
    ? ` · to get ${order.good} good, cast ${order.cast}, ${counted(order.turns, 'pour')}`
    : '';
  return `${counted(totals.pieces, 'piece')} in ${counted(groups.length, 'group')} · ${base}${forGood}`;
}

/** Which of several mixes of a cup a table is of. */
export function whichMix(
  cup: Computed['cups'][number],
  { mix, times }: { mix: Computed['cups'][number]['mixes'][number]; times: number }
): string {
  if (cup.mixes.length < 2) return '';
  const nth = times > 1 ? `mixes ${mix.turn}–${mix.turn + times - 1}` : `mix ${mix.turn}`;
  const which = mix.sitting === undefined ? nth : `${nth}, sitting ${mix.sitting}`;
  return `${which}, ${mix.pours.reduce((s, p) => s + p.count, 0)} cavities each`;
}

/** What is poured, done and waited for, in order; weights as the plan’s scale shows them. */
export function pourLines(tasks: readonly Task[], plan: Plan, computed: Computed): SheetLine[] {
  const weighed = (x: number) => weighing(x, computed.division);
  const groupName = (id: string) => computed.groups.find((g) => g.groupId === id)?.name ?? 'the mould';
  const nameOf = (id: string) => computed.cups.find((c) => c.cupId === id)?.name ?? '';
  return tasks.flatMap((task): SheetLine[] => {
    const { id } = task;
    switch (task.kind) {
      case 'pour': {
        const asked = amountWords(plan.steps.find((s) => s.id === task.stepId));
        const how = [asked, task.how].filter(Boolean).join(' · ');
        const round = task.round ? `, round ${task.round.nth} of ${task.round.of}` : '';
        const text = ` ${intoEach(task.count, groupName(task.groupId), task.numbers)}${round}${how ? `: ${how}` : ''}`;
        return [
          {
            id,
            cupId: task.cupId,
            parts: [
              { text: weighing(task.gramsEach, task.division ?? computed.division), strong: true },
              { text }
            ]
          }
        ];
      }
      case 'fill': {
        const from = task.from.flatMap((f, i) => [
          { text: i ? ', ' : ' filled with ' },
          { text: weighed(f.grams), strong: true },
          { text: ` ${nameOf(f.cupId)}` }
        ]);
        return [{ id, cupId: task.cupId, parts: from }];
      }
      case 'do':
        return [{ id, parts: [{ text: task.act, strong: true }, { text: ` ${task.rest}` }] }];
      case 'gate': {
        const about = waitsForLayer(task) ? `, about ${duration(task.minutes)} after the pour` : '';
        return [
          { id, parts: [{ text: 'Wait until ' }, { text: task.state, strong: true }, { text: about }] }
        ];
      }
      case 'demould': {
        const window = `${duration(task.from)} – ${duration(task.to)}`;
        return [
          {
            id,
            parts: [{ text: 'Demould ' }, { text: window, strong: true }, { text: ' after the last pour' }]
          }
        ];
      }
      default:
        return [];
    }
  });
}

/** What a line of a run sheet should read: a weight, minutes, or the edges of a window. */
export function aimOf(task: Task, division: number): string {
  switch (task.kind) {
    case 'weigh':
      return task.counted ?? weighing(task.grams, task.division);
    case 'pour':
      return `${weighing(task.gramsEach, task.division ?? division)} × ${task.count}`;
    case 'make':
      return task.attended + task.unattended >= 1 ? duration(task.attended + task.unattended) : '';
    case 'stir':
    case 'gate':
      return duration(task.minutes);
    case 'demould':
      return `${duration(task.from)} – ${duration(task.to)}`;
    default:
      return '';
  }
}

/** One label: the cup it is stuck on (none for a let-down’s jar), its name, and what is in it, line by line. */
export interface Label {
  id: string;
  cupId?: string;
  name: string;
  lines: string[];
}

/** Labels for every cup of every mix, and for the jars of let-downs. */
export function labelsOf(plan: Plan, computed: Computed, shelf: Shelf, date: string): Label[] {
  const base = computed.bases.map((b) => b.name).join(', ');
  const recipe = (cupId: string) =>
    (plan.cups.find((c) => c.id === cupId)?.recipe ?? [])
      .map((r) => `${shelf.colourants.find((c) => c.id === r.colourantId)?.name ?? 'gone'} ${r.percent} %`)
      .join(', ') || 'uncoloured';
  const cups = computed.cups
    .filter((c) => c.balance.mixed > 0)
    .flatMap(({ cupId, name, mixes }) =>
      mixes.map((mix) => ({
        id: mix.mixId,
        cupId,
        name,
        lines: [
          `${plan.name}${mixes.length > 1 ? `, mix ${mix.turn} of ${mixes.length}` : ''}`,
          `${weighing(mix.balance.mixed, computed.division)} · ${base}`,
          recipe(cupId),
          date
        ]
      }))
    );
  const jars = computed.letDowns.map((l) => ({
    id: `${l.colourantId}/${l.parts}`,
    name: `1 : ${l.parts} in the mix`,
    lines: [
      l.name,
      `${weighing(l.colourant, l.division)} in ${weighing(l.carrier, l.division)} ${l.carrierName}`,
      `${date} · counts as ${l.carrierName}`
    ]
  }));
  return [...cups, ...jars];
}

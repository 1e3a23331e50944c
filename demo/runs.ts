import type { Grade, Piece } from '../src/core/inspect';
import { shelfOf } from '../src/core/document';
import { type Plan } from '../src/core/plan';
import { freeze, type FrozenRun, type RunEvent } from '../src/core/run';
import { cards } from './cards';
import { DEMO_PHOTOS } from './photos';
import {
  bollard,
  buoy,
  culvert,
  fender,
  fogBank,
  gauge,
  kingfisher,
  nightHeron,
  rockpool,
  samphire,
  sluice,
  tideline
} from './plans';

/** A past run of the demo workshop, ready to be stored. */
export interface DemoRun {
  id: string;
  frozen: FrozenRun;
  startedAt: number;
  finishedAt?: number;
  events: RunEvent[];
  pieces: Piece[];
  lesson?: string;
}

/** Who works at Fenwick Sluice, by their initials. */
export const MAKERS = ['R.', 'T.', 'Mo.'];

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;

/** What went differently from the plan. */
interface Told {
  id: string;
  hoursAgo: number;
  /** Minutes really waited at each gate, as a share of the estimate. */
  waited: number;
  /** How far each weighing came out from its target, g. */
  slips: number[];
  demoulded?: number;
  /** Minutes really waited at single gates, by their id. */
  gates?: Record<string, number>;
  /** Minutes that single steps really took, by their id; as planned where none are told. */
  took?: Record<string, number>;
  note?: string;
  problem?: string;
  lesson?: string;
  /** What was left in each cup, as a share of what it lost by the plan; weighed when given. */
  left?: number;
  /** What a pour really took, as a share of the plan; weighed when given. */
  share?: number;
  grade?: (number: number) => Pick<Piece['faces'][number], 'grade' | 'defects'>;
}

/** What a photo of a piece shows, where one was made: by `npm run demo-photos`. */
function shownBy(pieceId: string): Pick<Piece['faces'][number], 'shows'> {
  const shows = DEMO_PHOTOS[pieceId]?.shows;
  return shows ? { shows } : {};
}

function tell(plan: Plan, told: Told, now: number): DemoRun {
  const frozen = freeze(plan, shelfOf(plan, cards));
  const { computed } = frozen;
  const startedAt = now - told.hoursAgo * HOUR;
  const events: RunEvent[] = [];
  let at = startedAt;
  const id = () => `${told.id}-${String(events.length).padStart(3, '0')}`;
  let slip = 0;
  for (const task of frozen.tasks) {
    if (task.kind === 'prepare') {
      for (const { id: check } of task.checks ?? [])
        events.push({ id: id(), at: Math.round((at += 15_000)), type: 'ticked', check });
      const { roomCelsius } = plan.bench;
      events.push({ id: id(), at: Math.round(at), type: 'room', celsius: roomCelsius });
    }
    if (task.kind === 'weigh') {
      at += 0.6 * MINUTE;
      const off = told.slips[slip++ % told.slips.length] ?? 0;
      const grams = Math.max(0.01, Math.round((task.grams + off) * 100) / 100);
      events.push({ id: id(), at: Math.round(at), type: 'weighed', task: task.id, grams });
      continue;
    }
    if (task.kind === 'stir') at += task.minutes * MINUTE;
    if (task.kind === 'make') at += (task.attended + task.unattended) * MINUTE;
    if (task.kind === 'pour') {
      at += 0.6 * task.count * MINUTE;
      const grams = Number((task.gramsEach * task.count * (told.share ?? 1)).toFixed(2));
      events.push({
        id: id(),
        at: Math.round(at),
        type: 'done',
        task: task.id,
        ...(told.share === undefined ? {} : { grams })
      });
      continue;
    }
    if (task.kind === 'gate') {
      const own = told.gates?.[task.id.replace('gate:', '')];
      at += (own ?? task.minutes * told.waited) * MINUTE;
      if (told.waited < 0.9 && told.problem)
        events.push({ id: id(), at: Math.round(at), type: 'problem', text: told.problem });
      else
        events.push({
          id: id(),
          at: Math.round(at),
          type: 'reported',
          groupId: task.groupId,
          state: task.state
        });
      at += MINUTE / 2;
    }
    if (task.kind === 'do') at += (told.took?.[task.stepId] ?? task.attended + task.unattended) * MINUTE;
    if (task.kind === 'demould') {
      if (told.demoulded === undefined) break;
      at += told.demoulded * HOUR;
    }
    events.push({ id: id(), at: Math.round(at), type: 'done', task: task.id });
  }
  if (told.left !== undefined)
    for (const cup of computed.cups.filter((c) => c.balance.mixed > 0)) {
      const grams = Number((cup.balance.left + cup.balance.clings * told.left).toFixed(2));
      events.push({
        id: id(),
        at: Math.round((at += 1000)),
        type: 'left',
        cupId: cup.cupId,
        grams: Math.max(0, grams)
      });
    }
  if (told.note) events.push({ id: id(), at: Math.round(at), type: 'note', text: told.note });
  const finished = told.demoulded !== undefined;
  if (finished) events.push({ id: id(), at: Math.round((at += MINUTE)), type: 'finished' });
  // What is sold: where one casting goes into another, the last of them.
  const group = plan.groups.at(-1)!;
  return {
    id: told.id,
    frozen,
    startedAt,
    ...(finished ? { finishedAt: Math.round(at) } : {}),
    // R. weighs, T. pours, Mo. looks at what came out.
    events: events.map((e) => ({ ...e, by: e.type === 'weighed' ? 'R.' : 'T.' })),
    pieces: told.grade
      ? Array.from({ length: group.count * (group.cutInto ?? 1) }, (_, i): Piece => {
          const seen = told.grade!(i + 1);
          return {
            id: `${told.id}-piece-${i + 1}`,
            groupId: group.id,
            number: i + 1,
            faces: [
              { face: 'mould face', ...seen },
              { face: 'open face', grade: 'good', defects: [], ...shownBy(`${told.id}-piece-${i + 1}`) }
            ],
            note: DEMO_PHOTOS[`${told.id}-piece-${i + 1}`] ? 'The photo was made by the program.' : '',
            by: 'Mo.'
          };
        })
      : [],
    ...(told.lesson ? { lesson: told.lesson } : {})
  };
}

/** The demo workshop's past: an honest failure, a good tray, and one that waits in its mould. */
export function demoRuns(now: number): DemoRun[] {
  const slips = [0.01, -0.01, 0, 0, 0.02, 0, 0.01, 0, 0, -0.02];
  return [
    tell(
      tideline,
      {
        id: 'tideline-first',
        hoursAgo: 124,
        waited: 0.45,
        slips,
        demoulded: 20,
        problem: 'Poured on before the gel: the guests’ van was waiting.',
        lesson:
          'Do not pour heron before mudflat holds a fingertip without a string. T. waited half the time and the line ran.',
        grade: (n) =>
          n % 3 === 0
            ? { grade: 'second', defects: ['colours run together'] }
            : { grade: 'reject', defects: ['colours run together', 'muddy blend'] }
      },
      now
    ),
    tell(
      tideline,
      {
        id: 'tideline-second',
        hoursAgo: 76,
        waited: 1.04,
        slips,
        demoulded: 14,
        share: 1,
        left: 0.2,
        note: 'Cavity 5 levels last; tap it twice.',
        lesson: 'Waiting for the gel at 21 °C gave six clean lines. Keep the room warm overnight.',
        grade: (n) =>
          n === 5
            ? { grade: 'second', defects: ['bubbles on the mould face'] }
            : { grade: 'good', defects: [] }
      },
      now
    ),
    tell(
      samphire,
      {
        id: 'samphire-late',
        hoursAgo: 210,
        waited: 1,
        slips: [0.1, 0, -0.1],
        share: 1.012,
        demoulded: 41 / 60,
        problem: 'Demoulded at 41 minutes: the telephone.',
        lesson: 'Past half an hour the stem snaps. Set the next hooks only when the first are out. Mo.',
        grade: (n) =>
          n === 2
            ? { grade: 'reject', defects: ['snapped or chipped on demould'] }
            : { grade: 'good', defects: [] }
      },
      now
    ),
    tell(
      nightHeron,
      {
        id: 'night-heron-first',
        hoursAgo: 1100,
        waited: 1,
        slips: [0, 0, 0],
        demoulded: 30,
        lesson: 'The blue was gone in the cut: two darks a finger apart read as one. R.',
        grade: () => ({ grade: 'second', defects: ['colours read as one'] })
      },
      now
    ),
    tell(
      rockpool,
      {
        id: 'rockpool-first',
        hoursAgo: 300,
        waited: 1,
        slips: [0.1, 0, 0, 0.1],
        demoulded: 26,
        lesson: 'A third of the pour in white was too much: it covered everything. T.',
        grade: (n) =>
          n === 4 ? { grade: 'reject', defects: ['white took over'] } : { grade: 'good', defects: [] }
      },
      now
    ),
    tell(
      sluice,
      {
        id: 'sluice-first',
        hoursAgo: 620,
        waited: 1,
        slips: [2, 0, 0, 1],
        demoulded: 20,
        note: 'Sealed on day 3.',
        gates: { 'gate-seal': 3 * 24 * 60 },
        took: { 'air-bookends': 0 },
        lesson: 'Sealed on day 3 it hazed. A week, whatever the guesthouse says. T.',
        grade: (n) =>
          n === 1 ? { grade: 'second', defects: ['sealed too early'] } : { grade: 'good', defects: [] }
      },
      now
    ),
    ...stagedRuns(now),
    tell(tideline, { id: 'tideline-third', hoursAgo: 15, waited: 1, slips }, now)
  ];
}

const GOOD_PIECE: Pick<Piece['faces'][number], 'grade' | 'defects'> = { grade: 'good', defects: [] };
const seen = (grade: Grade, ...defects: Piece['faces'][number]['defects']) => ({ grade, defects });

/** Runs of what is made in stages: most of them good, each with what was learnt. */
const stagedRuns = (now: number): DemoRun[] =>
  STAGED.map(([plan, told]) => tell(plan, { waited: 1, slips: [0, 0, 0.01, 0, -0.01], ...told }, now));

const STAGED: [Plan, Omit<Told, 'waited' | 'slips'> & Partial<Told>][] = [
  [
    gauge,
    {
      id: 'gauge-first',
      hoursAgo: 260,
      demoulded: 0.4,
      lesson: 'The scale stayed white once it had set before the wall went in. T.',
      grade: () => GOOD_PIECE
    }
  ],
  [
    buoy,
    {
      id: 'buoy-first',
      hoursAgo: 900,
      demoulded: 9,
      note: 'Stock lye shaken first; it had settled.',
      lesson: 'Four small batches from stock took an hour. Number 4 was not covered and ashed. R.',
      grade: (n) => (n === 4 ? seen('second', 'ash bloom') : GOOD_PIECE)
    }
  ],
  [
    kingfisher,
    {
      id: 'kingfisher-first',
      hoursAgo: 190,
      demoulded: 10,
      lesson: 'On a drop of clear the bird lay still; without it one had floated up. Mo.',
      grade: () => GOOD_PIECE
    }
  ],
  [
    fogBank,
    {
      id: 'fog-bank-first',
      hoursAgo: 860,
      demoulded: 26,
      lesson: 'The second batch from the same recipe joined well: the loaf was firm, not dry. R.',
      grade: () => GOOD_PIECE
    }
  ],
  [
    bollard,
    {
      id: 'bollard-first',
      hoursAgo: 150,
      demoulded: 1,
      lesson:
        'Twelve cubes from two cups at once in five minutes; the ink stays as threads if nobody stirs. T.',
      grade: (n) => (n === 7 ? seen('second', 'muddy blend') : GOOD_PIECE)
    }
  ],
  [
    culvert,
    {
      id: 'culvert-first',
      hoursAgo: 480,
      demoulded: 4,
      note: 'The dark side wanted all of its water.',
      lesson: 'Both sides stood as stiff as each other when the divider came out: the line is sharp. Mo.',
      grade: () => GOOD_PIECE
    }
  ],
  [
    fender,
    {
      id: 'fender-first',
      hoursAgo: 60,
      demoulded: 0.3,
      lesson: 'Topped twice while it drew in; the first shot was cold and went back into the pot. R.',
      grade: () => GOOD_PIECE
    }
  ]
];

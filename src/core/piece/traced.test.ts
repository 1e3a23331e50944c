import { isToday, someOf } from '../soak.testing';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import * as demo from '../../../demo/plans';
import { chanceFrom } from '../pattern';
import { Cells } from '../pattern/maps/cells';
import { materialsFor, TECHNIQUES } from '../pour';
import { ofTheirOwn } from '../document';
import { computePlan, Plan } from '../plan';
import { ownWays } from '../../../scripts/lib/own-ways';
import { svgOf } from './picture-svg';
import { tried } from './piece.testing';
import { muddiness, pieceOf, historyAt, wholePicture, type DrawnPiece } from './picture';

const MOULDS = ['dome-knobs', 'roundel', 'slab', 'key-tags'] as const;

/** How far what stands in the piece is from what was poured of it, at most, as a share of all: counted place by place. */
function worstShare({ traced: { engine, prism, held, casting } }: DrawnPiece, places = 9000): number {
  const { section } = prism.shaped;
  const chance = chanceFrom(17);
  const counts = new Map<number, number>();
  let all = 0;
  while (all < places) {
    const [x, y] = [(2 * chance() - 1) * section.half.width, (2 * chance() - 1) * section.half.length];
    if (!section.contains(x, y)) continue;
    const matter = engine.matterAt({ x, y, z: chance() * casting.level });
    counts.set(matter, (counts.get(matter) ?? 0) + 1);
    all++;
  }
  const whole = [...held.values()].reduce((s, ml) => s + ml, 0);
  return Math.max(...[...held].map(([m, ml]) => Math.abs((counts.get(m) ?? 0) / all - ml / whole)));
}

const cases = TECHNIQUES.flatMap((t) =>
  materialsFor(t)
    .slice(0, 2)
    .flatMap(({ kind }) => (cards.bases.some((b) => b.kind === kind) ? [[t.id, kind] as const] : []))
);

describe.each(
  someOf(
    cases.map((c, i) => [...c, i >> 1] as const),
    4
  )
)('the piece of %s in %s', (id, kind, i) => {
  it.each(someOf(MOULDS, 4, i))('holds of each colour what was poured of it: %s', (mouldId) => {
    const plan = tried(id, kind, mouldId);
    expect(plan.steps.length).toBeGreaterThan(0);
    const piece = pieceOf(plan, cards, {}, {})!;
    expect(piece.traced.casting.level).toBeGreaterThan(0);
    expect(worstShare(piece)).toBeLessThan(0.02);
  });
});

const face = (plan: Plan, kind: 'mould face' | 'open face', size = 60) =>
  wholePicture(pieceOf(plan, cards, {}, {})!, { kind }, { size });

/** A plan with its first cup as a bed and its second as a puddle to one side. */
function aside(): Plan {
  const plan = tried('puddle-stack', 'resin', 'roundel');
  const [bed, one] = plan.cups;
  const step = (kind: string, cupId: string, of: number, more = {}) => ({
    id: `${kind}-${cupId}`,
    act: { kind, cupId, amount: { kind: 'to share', of }, ...more },
    where: ['group-1'],
    gates: []
  });
  return Plan.parse({
    ...plan,
    steps: [step('lay', bed!.id, 0.7), step('puddle', one!.id, 1, { at: { x: 0.5, y: 0 }, from: 'high' })]
  });
}

/** The mean place across of a cup in a picture, −1 to 1. */
function across(plan: Plan, which: 'mould face' | 'open face', cupId: string): number {
  const piece = pieceOf(plan, cards, {}, {})!;
  const drawn = piece.face({ kind: which });
  const matter = piece.traced.matters.findIndex((m) => m.kind === 'cup' && m.cupId === cupId);
  let [sum, n] = [0, 0];
  for (let i = 0; i < 60; i++)
    for (let j = 0; j < 60; j++) {
      const code = drawn.sample((i + 0.5) / 60, (j + 0.5) / 60);
      if (code < 0 || drawn.paint.fronts[code] !== matter) continue;
      sum += (i + 0.5) / 30 - 1;
      n++;
    }
  return sum / n;
}

describe('a face', () => {
  it('of the mould is mirrored, as the piece is turned over to be seen', () => {
    const plan = aside();
    const cupId = plan.cups[1]!.id;
    expect(across(plan, 'open face', cupId)).toBeGreaterThan(0.25);
    expect(across(plan, 'mould face', cupId)).toBeLessThan(-0.25);
  });

  it.runIf(isToday(0, 2))('is the same picture again, to the last pixel', () => {
    const [one, two] = [face(demo.rockpool, 'mould face'), face(demo.rockpool, 'mould face')];
    expect(two.rgba).toEqual(one.rgba);
    const other = pieceOf(demo.rockpool, cards, {}, { seed: '2' })!;
    expect(wholePicture(other, { kind: 'mould face' }, { size: 60 }).rgba).not.toEqual(one.rgba);
  });

  it('shows level layers in a dome as rings of the areas its levels have', () => {
    const { shows } = face(demo.tideline, 'mould face', 200);
    const filled = figures(demo.tideline);
    for (const { cupId, share } of shows) {
      const flat = filled.filter((l) => l.cupId === cupId).reduce((s, l) => s + l.shows.mouldFace, 0);
      expect(share).toBeCloseTo(flat, 1.6);
    }
  });

  it('of a cut shows the layers by their depth', () => {
    const piece = pieceOf(demo.tideline, cards, {}, {})!;
    const drawn = piece.face({ kind: 'cut', heading: 30, off: 0 });
    const cupAt = (y: number) => {
      const matter = piece.traced.matters[drawn.paint.fronts[drawn.sample(0.5, y)]!];
      return matter?.kind === 'cup' ? matter.cupId : undefined;
    };
    expect(cupAt(0.95)).toBe('mudflat');
    expect(cupAt(0.03)).toBe('foam');
  });

  it('counts each place of itself to one cup: shares sum to 1', () => {
    for (const which of ['mould face', 'open face'] as const) {
      const { shows } = face(demo.rockpool, which);
      expect(shows.reduce((s, x) => s + x.share, 0)).toBeCloseTo(1, 6);
    }
  });

  it('draws finer what it drew coarse, and knows where a letter has room', () => {
    const whole = face(demo.saltings, 'open face', 160);
    expect(whole.done).toBe(true);
    expect(whole.labels.length).toBeGreaterThan(0);
    for (const label of whole.labels) {
      const [x, y] = [Math.floor(label.x * whole.width), Math.floor(label.y * whole.height)];
      expect(whole.rgba[4 * (y * whole.width + x) + 3]).toBe(255);
    }
  });
});

const figures = (plan: Plan) => computePlan(plan, cards).groups[0]!.layers;

describe('how a face is seen', () => {
  it('lit from behind is bright where it is thin and clear, and dark where it hides', () => {
    const at = (of: number, showing?: 'lit from behind') => {
      const plan = aside();
      // A clear bed; a black puddle that stands from the ground up on the right.
      const [bed, one] = plan.cups;
      const black = cards.colourants.find((c) => c.id === 'black-paste')!;
      const dosed: Plan = {
        ...plan,
        cups: plan.cups.map((c) =>
          c.id === one!.id
            ? { ...c, recipe: [{ id: 'k', colourantId: black.id, percent: 2, of: 'supplied' }] }
            : c
        )
      };
      expect(bed!.recipe).toEqual([]);
      const { rgba, width } = wholePicture(
        pieceOf(dosed, cards, {}, {})!,
        { kind: 'open face' },
        { size: 40, ...(showing ? { showing } : {}) }
      );
      const i = 4 * (20 * width + Math.round(of * width));
      return (rgba[i]! + rgba[i + 1]! + rgba[i + 2]!) / 3;
    };
    expect(at(0.2, 'lit from behind')).toBeGreaterThan(240);
    expect(at(0.75, 'lit from behind')).toBeLessThan(30);
    expect(at(0.2)).toBeLessThan(245);
    // What shows on the face is the same, however it is lit.
    const shows = (showing?: 'lit from behind') =>
      wholePicture(
        pieceOf(aside(), cards, {}, {})!,
        { kind: 'mould face' },
        { size: 40, ...(showing ? { showing } : {}) }
      ).shows;
    const dry = shows();
    for (const { cupId, share } of shows('lit from behind'))
      expect(share).toBeCloseTo(dry.find((d) => d.cupId === cupId)!.share, 6);
  });

  it('is by its finish: wet concrete is darker than dry', () => {
    const piece = pieceOf(demo.sluice, cards, {}, {})!;
    const light = (showing: 'wet' | 'dry') => {
      const { rgba } = wholePicture(piece, { kind: 'open face' }, { size: 24, showing });
      return rgba.reduce((s, v, i) => (i % 4 === 3 ? s : s + v), 0);
    };
    expect(light('wet')).toBeLessThan(light('dry'));
  });

  it('is by the eye that sees it', () => {
    const piece = pieceOf(demo.rockpool, cards, {}, {})!;
    const { rgba } = wholePicture(piece, { kind: 'open face' }, { size: 24, vision: 'greys' });
    for (let i = 0; i < rgba.length; i += 4) {
      expect(Math.abs(rgba[i]! - rgba[i + 1]!)).toBeLessThanOrEqual(2);
      expect(Math.abs(rgba[i]! - rgba[i + 2]!)).toBeLessThanOrEqual(2);
    }
  });

  it.runIf(isToday(1, 2))('is of a part as of the whole', () => {
    const piece = pieceOf(demo.rockpool, cards, {}, {})!;
    const face = { kind: 'open face' } as const;
    const whole = wholePicture(piece, face, { size: 200 });
    const part = wholePicture(piece, face, { size: 200, part: { x: 0.25, y: 0.25, side: 0.5 } });
    let [same, all] = [0, 0];
    for (let y = 2; y < 198; y += 4)
      for (let x = 2; x < 198; x += 4) {
        const at = 4 * ((50 + (y >> 1)) * whole.width + 50 + (x >> 1));
        const own = 4 * (y * part.width + x);
        all++;
        // A pixel on a border is a mean of what it holds, and the larger picture's holds less.
        if (Math.abs(whole.rgba[at]! - part.rgba[own]!) < 60) same++;
      }
    expect(same / all).toBeGreaterThan(0.9);
  });
});

describe('a heavy white', () => {
  const laces = (plan: Plan) =>
    pieceOf(plan, cards, {}, {})!.traced.casting.flows.some((f) => f instanceof Cells);
  const bedOf = (of: number, lines = demo.rockpool.cups[0]!.recipe): Plan =>
    Plan.parse({
      ...demo.rockpool,
      cups: demo.rockpool.cups.map((c, i) => (i ? c : { ...c, recipe: lines })),
      steps: demo.rockpool.steps.map((s, i) =>
        i || s.act.kind !== 'lay' ? s : { ...s, act: { ...s.act, amount: { kind: 'share', of } } }
      )
    });
  it('stands as lace between two shares: less is lost, more covers', () => {
    expect(laces(demo.rockpool)).toBe(true);
    expect(laces(bedOf(0.01))).toBe(false);
    expect(laces(bedOf(0.36))).toBe(false);
  });

  it('is a white: a tint with some white in it does not sink', () => {
    const tint = [
      { id: 'w', colourantId: 'white-paste', percent: 2, of: 'supplied' as const },
      { id: 'b', colourantId: 'blue-paste', percent: 4, of: 'supplied' as const }
    ];
    expect(laces(bedOf(0.24, tint))).toBe(false);
  });
});

describe('a body with chips', () => {
  it('holds them by their share of its volume, worked out from their weight', () => {
    const piece = pieceOf(demo.shingle, cards, {}, {})!;
    const { matters, poured } = piece.traced;
    const chips = [...poured].filter(([m]) => matters[m]?.kind === 'chip').reduce((s, [, ml]) => s + ml, 0);
    const all = [...poured.values()].reduce((s, ml) => s + ml, 0);
    // 45 % by weight of what is as heavy as its body is 45 % by volume; lighter or heavier chips take more or less.
    expect(chips / all).toBeGreaterThan(0.35);
    expect(chips / all).toBeLessThan(0.55);
    expect(worstShare(piece)).toBeLessThan(0.02);
  });
});

describe('what a piece holds', () => {
  it.each(demo.plans.map((p) => [p.name, p] as const))('%s: of each cup what its layers take', (_, plan) => {
    const { matters, poured, held } = pieceOf(plan, cards, {}, {})!.traced;
    const jugs = new Map(plan.cups.flatMap((c) => ('cups' in c.from ? [[c.id, c.from.cups] as const] : [])));
    const wanted = new Map<string, number>();
    const add = (id: string, ml: number) => wanted.set(id, (wanted.get(id) ?? 0) + ml);
    const [own] = ofTheirOwn(plan.groups);
    for (const { cupId, each } of computePlan(plan, cards).groups.find((g) => g.groupId === own!.id)!.layers)
      for (const part of jugs.get(cupId) ?? [{ cupId, share: 1 }]) add(part.cupId, each * part.share);
    const had = new Map<string, number>();
    for (const [m, ml] of poured) {
      const matter = matters[m]!;
      if (matter.kind === 'cup' || matter.kind === 'chip')
        had.set(matter.cupId, (had.get(matter.cupId) ?? 0) + ml);
    }
    expect([...had.keys()].sort()).toEqual([...wanted.keys()].sort());
    // What is dripped neat onto a cup takes its part of what that cup pours.
    const dripped = plan.cups.some((c) => 'cups' in c.from && c.recipe.length);
    for (const [id, ml] of wanted) expect(had.get(id)! / ml).toBeCloseTo(1, dripped ? 1 : 6);
    const sum = (m: ReadonlyMap<unknown, number>) => [...m.values()].reduce((s, v) => s + v, 0);
    const out = plan.steps.reduce((t, { act }) => t + (act.kind === 'withdraw' ? Number(act.ml) : 0), 0);
    expect(sum(held)).toBeCloseTo(sum(wanted) - out, 4);
  });

  const night = (steps: unknown[]) => Plan.parse({ ...demo.nightHeron, steps });
  const step = (id: string, act: object, gates: unknown[] = []) => ({ id, act, where: ['loaf'], gates });
  const share = (of: number) => ({ kind: 'share', of });

  it('is a jug’s own colour where it was laid stirred through, poured and shown alike', () => {
    const plan = night([step('all', { kind: 'lay', cupId: 'jug', amount: { kind: 'rim' } })]);
    const { poured, shows } = wholePicture(
      pieceOf(plan, cards, {}, {})!,
      { kind: 'open face' },
      { size: 40 }
    );
    expect(poured).toEqual([{ cupId: 'jug', share: 1 }]);
    expect(shows).toEqual([{ cupId: 'jug', share: 1 }]);
  });

  it.each([
    ['a wait of days', step('wait', { kind: 'wait', minutes: 4320 })],
    ['a cure', step('wait', { kind: 'cure', minutes: 4320 })]
  ])('stays where it is after %s: a puddle stands on it', (_, wait) => {
    const plan = night([
      step('bed', { kind: 'lay', cupId: 'heron', amount: share(0.5) }),
      wait,
      step('bed-2', { kind: 'lay', cupId: 'foam', amount: share(0.2) }),
      step('dig', { kind: 'puddle', cupId: 'black', amount: share(0.2), at: { x: 0, y: 0 }, from: 'high' })
    ]);
    const { engine, matters, casting } = pieceOf(plan, cards, {}, {})!.traced;
    const cupAt = (z: number) => {
      const m = matters[engine.matterAt({ x: 1, y: 1, z })]!;
      return m.kind === 'cup' ? m.cupId : m.kind;
    };
    expect(cupAt((casting.level * 0.49) / 0.9)).toBe('heron');
    expect(cupAt((casting.level * 0.55) / 0.9)).toBe('black');
  });

  it('is pushed aside where no time passed', () => {
    const plan = night([
      step('bed', { kind: 'lay', cupId: 'heron', amount: share(0.5) }),
      step('wait', { kind: 'wait', minutes: 1 }),
      step('dig', { kind: 'puddle', cupId: 'black', amount: share(0.2), at: { x: 0, y: 0 }, from: 'high' })
    ]);
    const { engine, matters } = pieceOf(plan, cards, {}, {})!.traced;
    expect(matters[engine.matterAt({ x: 1, y: 1, z: 0.5 })]).toMatchObject({ cupId: 'black' });
  });
});

describe('a cavity that leaves an act no place', () => {
  const inRing = (inner: number) => {
    const plan = tried('specked-marble', 'gypsum', 'roundel');
    const specks = (over: string) => ({
      id: `specks-${over.replace(' ', '-')}`,
      act: {
        kind: 'specks',
        cupId: plan.cups[1]!.id,
        amount: { kind: 'share', of: 0.05 },
        drops: 5,
        spread: 0.5,
        over
      },
      where: ['group-1'],
      gates: []
    });
    const lay = {
      id: 'bed',
      act: { kind: 'lay', cupId: plan.cups[0]!.id, amount: { kind: 'share', of: 0.8 } },
      where: ['group-1'],
      gates: []
    };
    const ring = { kind: 'ring', innerRadius: inner, outerRadius: 40, depth: 8 } as const;
    const moulds = cards.moulds.map((m) =>
      m.id === 'roundel'
        ? {
            ...m,
            cavities: m.cavities.map((c) => ({
              ...c,
              shape: ring,
              capacity: { from: 'dimensions' as const }
            }))
          }
        : m
    );
    return pieceOf(
      Plan.parse({ ...plan, steps: [lay, specks('the middle'), specks('the rim')] }),
      { ...cards, moulds },
      {},
      {}
    );
  };

  it('is drawn all the same: what has no middle takes its specks elsewhere', () => {
    const piece = inRing(30)!;
    expect(worstShare(piece)).toBeLessThan(0.02);
    expect(wholePicture(piece, { kind: 'open face' }, { size: 40 }).shows.length).toBeGreaterThan(0);
  });

  it('has no piece where its shape cannot be', () => {
    expect(inRing(45)).toBeUndefined();
  });
});

describe('a drawing in true size', () => {
  const piece = pieceOf(demo.saltings, cards, {}, {})!;
  const named = (id: string) => `cup <${id}>`;
  it.runIf(isToday(1, 2))('is as large as the face, closed, and names its parts safely', () => {
    const svg = svgOf(piece, { kind: 'open face' }, 'picture', named);
    expect(svg).toContain('width="300mm" height="196mm" viewBox="0 0 300 196"');
    expect(svg).toContain('<title>cup &lt;mudflat></title>');
    const paths = [...svg.matchAll(/ d="([^"]*)"/g)].map(([, d]) => d!);
    expect(paths).toHaveLength(3);
    for (const d of paths) expect(d).toMatch(/^M[-\d. LMZ]+Z$/);
    // No place of it lies beyond the face.
    const numbers = paths
      .join(' ')
      .match(/[\d.]+ [\d.]+/g)!
      .map((p) => p.split(' ').map(Number));
    expect(Math.max(...numbers.map(([x]) => x!))).toBeLessThanOrEqual(300.6);
    expect(Math.max(...numbers.map(([, y]) => y!))).toBeLessThanOrEqual(196.6);
  });

  it.runIf(isToday(0, 2))('is mirrored and uncoloured as a template', () => {
    const template = svgOf(piece, { kind: 'mould face' }, 'template', named);
    expect(template).toContain('translate(300 0) scale(-1 1)');
    expect(template).not.toMatch(/fill="#/);
  });
});

describe('a place of a face', () => {
  it('tells the cup, the step that put it there and those that moved it since', () => {
    const piece = pieceOf(demo.rockpool, cards, {}, {})!;
    const rim = historyAt(piece, { kind: 'open face' }, 0.5, 0.012)!;
    expect(rim.stepId).toBe('lay-foam');
    expect(rim.cupId).toBe('foam');
    expect(rim.moved).toContain('puddle-heron');
    const told = Array.from({ length: 30 }, (_, i) =>
      historyAt(piece, { kind: 'open face' }, 0.5, 0.5 + i / 90)
    );
    expect(new Set(told.map((t) => t?.stepId))).toContain('puddle-black');
    expect(historyAt(piece, { kind: 'open face' }, 0.01, 0.01)).toBeUndefined();
  });
});

describe('the muddy meter', () => {
  it('is nothing for layers, and rises with every stroke', () => {
    // Chips do not run, however many there are.
    for (const percent of [10, 25, 45]) {
      const cups = demo.shingle.cups.map((c) => ({
        ...c,
        fillers: c.fillers?.map((f) => ({ ...f, percent }))
      }));
      expect(muddiness(pieceOf({ ...demo.shingle, cups }, cards, {}, {})!)).toBe(0);
    }
    expect(muddiness(pieceOf(demo.tideline, cards, {}, {})!)).toBeLessThan(0.08);
    const stirred = (strokes: number): Plan => {
      const plan = aside();
      const drag = {
        id: 'drag',
        act: {
          kind: 'drag',
          tool: 'skewer',
          path: {
            points: [
              { x: -0.6, y: 0 },
              { x: 0.7, y: 0.1 }
            ]
          },
          depth: 'full',
          width: 5,
          strength: 0.9,
          strokes
        },
        where: ['group-1'],
        gates: []
      };
      return Plan.parse({ ...plan, steps: [...plan.steps, drag] });
    };
    const [few, many] = [stirred(1), stirred(14)].map((p) => muddiness(pieceOf(p, cards, {}, {})!));
    expect(many!).toBeGreaterThan(few!);
  });
});

describe('a stain in the hollows', () => {
  const stained = (wiped: 'yes' | 'no', hollows?: object): Plan => {
    const plan = aside();
    const act = { kind: 'stain', colourantId: 'black-paste', wiped, ...(hollows ? { hollows } : {}) };
    return Plan.parse({
      ...plan,
      steps: [...plan.steps, { id: 'stain', act, where: ['group-1'], gates: [] }]
    });
  };
  /** How much of the left and of the right of the mould face is of the stain’s colour. */
  const dark = (plan: Plan) => {
    const { rgba, width, height } = wholePicture(
      pieceOf(plan, cards, {}, {})!,
      { kind: 'mould face' },
      { size: 120 }
    );
    const sides = { left: 0, right: 0 };
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        if (rgba[4 * (y * width + x) + 3]! > 0 && rgba[4 * (y * width + x)]! < 40)
          sides[x < width / 2 ? 'left' : 'right']++;
    return sides;
  };
  const right = {
    closed: true,
    points: [
      { x: 0.1, y: -0.5 },
      { x: 0.7, y: -0.5 },
      { x: 0.7, y: 0.5 },
      { x: 0.1, y: 0.5 }
    ]
  };

  it('shows where they were traced, mirrored as the face is', () => {
    const { left, right: other } = dark(stained('yes', right));
    expect(left).toBeGreaterThan(1500);
    expect(other).toBeLessThan(0.15 * left);
  });

  it('lies over what was dusted there before', () => {
    const plan = stained('yes', right);
    const dust = {
      kind: 'dust',
      over: 'all of it',
      cover: 1,
      fade: 'evenly',
      wiped: 'no',
      colourantId: 'pearl-white'
    };
    const dusted = Plan.parse({
      ...plan,
      steps: [{ id: 'dust', act: dust, where: ['group-1'], gates: [] }, ...plan.steps]
    });
    expect(dark(dusted).left).toBeGreaterThan(1500);
  });

  it('lies beside them too where it was not wiped', () => {
    expect(dark(stained('no', right)).right).toBeGreaterThan(4 * dark(stained('yes', right)).right);
  });

  it('lies in the grooves of a relief that stands for the mould’s own until they are traced, and the picture says so', () => {
    const drawn = (plan: Plan) =>
      wholePicture(pieceOf(plan, cards, {}, {})!, { kind: 'mould face' }, { size: 120 });
    const { left, right: other } = dark(stained('yes'));
    const all = 120 ** 2 / 2;
    for (const side of [left, other]) {
      expect(side).toBeGreaterThan(0.05 * all);
      expect(side).toBeLessThan(0.45 * all);
    }
    expect(dark(stained('no')).left).toBeGreaterThan(1.4 * left);
    expect(drawn(stained('yes')).guessed).toBe(true);
    expect(drawn(stained('yes', right)).guessed).toBeUndefined();
    // What is guessed counts in no figure.
    expect(drawn(stained('yes')).besides).toBe(0);
    expect(drawn(stained('yes')).shows).toEqual(drawn(aside()).shows);
  });
});

describe('ways of pouring that no template knows', () => {
  it.each(ownWays())('$name: each colour holds what was poured of it', ({ plan, face }) => {
    const piece = pieceOf(Plan.parse(plan), cards, {}, {})!;
    expect(worstShare(piece, 12_000)).toBeLessThan(0.02);
    const { shows, poured } = wholePicture(piece, face, { size: 160 });
    // Every colour that was piped or blown shows, and the bed is no longer all there is.
    expect(shows.length).toBe(poured.length);
    for (const { share } of shows) expect(share).toBeGreaterThan(0.01);
    expect(Math.max(...shows.map((s) => s.share))).toBeLessThan(0.9);
  });
});

describe('mica dusted within an outline', () => {
  const right = {
    closed: true,
    points: [
      { x: 0.1, y: -0.6 },
      { x: 0.7, y: -0.6 },
      { x: 0.7, y: 0.6 },
      { x: 0.1, y: 0.6 }
    ]
  };
  const filmOf = (within: object) => {
    const plan = aside();
    const act = {
      kind: 'dust',
      over: 'a zone',
      cover: 0.9,
      fade: 'evenly',
      wiped: 'no',
      colourantId: 'pearl-white',
      within
    };
    const { casting } = pieceOf(
      Plan.parse({
        ...plan,
        steps: [{ id: 'dust', act, where: ['group-1'], gates: [] }, ...plan.steps]
      }),
      cards,
      {},
      {}
    )!.traced;
    const { half } = casting.section;
    return (x: number, y: number) => casting.films[0]!.cover(x * half.width, y * half.length);
  };

  it('covers as it was asked well inside it, nothing outside, and fades at its edge', () => {
    const cover = filmOf(right);
    expect(cover(0.4, 0)).toBeCloseTo(0.9, 9);
    for (const [x, y] of [
      [-0.4, 0],
      [0.4, 0.7],
      [0.05, 0]
    ] as const)
      expect(cover(x, y)).toBe(0);
    const edge = cover(0.16, 0);
    expect(edge).toBeGreaterThan(0.2);
    expect(edge).toBeLessThan(0.8);
  });

  it('is laid as often round the middle as its outline is', () => {
    const cover = filmOf({ ...right, round: 2 });
    expect(cover(-0.4, 0)).toBeCloseTo(0.9, 9);
    expect(cover(0, 0.85)).toBe(0);
  });
});

describe('a pour of which no cup has a colour yet', () => {
  const bare = tried('puddle-stack', 'resin', 'roundel');
  const hues = ({ rgba }: { rgba: Uint8ClampedArray }) => {
    const found = new Map<string, number>();
    for (let i = 0; i < rgba.length; i += 4) {
      const hue = rgba.slice(i, i + 3).join();
      if (rgba[i + 3]) found.set(hue, (found.get(hue) ?? 0) + 1);
    }
    // Borders are means of two.
    return [...found.values()].filter((n) => n > 0.01 * (rgba.length / 4)).length;
  };

  it('is drawn in tones that stand in for them, one a cup, and says so', () => {
    const drawn = face(bare, 'open face', 300);
    expect(drawn.standIn).toBe(true);
    expect(hues(drawn)).toBe(drawn.shows.filter((s) => s.share > 0).length);
    expect(hues(drawn)).toBeGreaterThan(1);
  });

  it('has its own colours as soon as one cup has one', () => {
    const [first, ...rest] = bare.cups;
    const line = { id: 'white', colourantId: 'white-paste', percent: 2 };
    const coloured = Plan.parse({ ...bare, cups: [{ ...first, recipe: [line] }, ...rest] });
    expect(face(coloured, 'open face').standIn).toBeUndefined();
  });

  it('of one cup is drawn as it is', () => {
    const one = tried('solid-with-pearl', 'resin', 'roundel');
    expect(face(one, 'mould face').standIn).toBeUndefined();
  });
});

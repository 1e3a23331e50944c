import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cavityOf,
  displaced,
  inhibitionCautions,
  keyProblems,
  mayShow,
  mouldProblems,
  nearItsEnd,
  parsePairs,
  rubberFor,
  tracedOutline,
  polygonArea,
  withEmbeds,
  type CavityKind,
  type Embed,
  type Mould
} from '.';

const tray: CavityKind = {
  id: 'tray',
  name: 'tray',
  count: 1,
  shape: { kind: 'cylinder', radius: 30, depth: 20 },
  capacity: { from: 'dimensions' }
};
const stone: Embed = {
  id: 'stone',
  kind: 'object',
  name: 'stone',
  each: 3,
  grams: 5.2,
  density: 2.6,
  from: 4,
  height: 6
};
const line: Embed = { id: 'line', kind: 'barrier line', name: 'line', length: 50, width: 2, height: 3 };

describe('embeds', () => {
  it('displace their weight over their density, and a line its own size', () => {
    expect(displaced(stone)).toBeCloseTo(6, 9);
    expect(displaced(line)).toBeCloseTo(0.3, 9);
  });

  it('take that much from the room, and only above where they stand', () => {
    const plain = cavityOf(tray);
    const net = withEmbeds(plain, [stone, line], 'embeds');
    expect(net.capacity).toBeCloseTo(plain.capacity - 6.3, 9);
    expect(net.volumeAt(3)).toBeCloseTo(plain.volumeAt(3) - 0.3, 9);
    expect(net.volumeAt(7)).toBeCloseTo(plain.volumeAt(7) - 0.3 - 3, 9);
  });

  it('leave level and volume inverse to each other', () => {
    fc.assert(
      fc.property(evenly(0.01, 0.99), evenly(0, 12), (share, from) => {
        const net = withEmbeds(cavityOf(tray), [{ ...stone, from }, line], 'embeds');
        const ml = net.capacity * share;
        expect(net.volumeAt(net.levelAt(ml))).toBeCloseTo(ml, 6);
      })
    );
  });

  it.each([
    ['one that leaves no room', { ...stone, each: 40 }, 'embed-too-big', 'stop'],
    ['one that stands out', { ...stone, from: 18 }, 'embed-stands-out', 'warn']
  ] as const)('%s is said', (_, embed, code, level) => {
    expect(withEmbeds(cavityOf(tray), [embed], 'embeds').problems).toContainEqual(
      expect.objectContaining({ code, level, path: 'embeds/0' })
    );
  });
});

describe('above the rim', () => {
  it('a dome adds area × height × factor', () => {
    const domed = cavityOf({ ...tray, dome: { mm: 1.5, factor: 0.5 } });
    expect(domed.domeMl).toBeCloseTo((Math.PI * 900 * 1.5 * 0.5) / 1000, 9);
    expect(domed.capacity).toBeCloseTo(cavityOf(tray).capacity, 9);
  });

  it('a jacket carries the wall up and presses a soft mould back', () => {
    const plain = cavityOf(tray);
    const higher = cavityOf({ ...tray, jacket: { mm: 5, squeeze: 0 } });
    expect(higher.depth).toBe(25);
    expect(higher.capacity).toBeCloseTo(plain.capacity * 1.25, 9);
    const pressed = cavityOf({ ...tray, jacket: { mm: 0, squeeze: 0.1 } });
    expect(pressed.capacity).toBeCloseTo(plain.capacity * 0.9, 9);
    // The same volume stands higher in it.
    expect(pressed.levelAt(20)).toBeGreaterThan(plain.levelAt(20));
  });

  it('says what chambers and zones do not add up to', () => {
    const chambers = [
      { id: 'a', name: 'left', share: 0.5 },
      { id: 'b', name: 'right', share: 0.4 }
    ];
    const codes = (kind: CavityKind) => cavityOf(kind).problems.map((p) => p.code);
    expect(codes({ ...tray, chambers })).toContain('chambers-not-whole');
    expect(codes({ ...tray, zones: [{ id: 'z', name: 'rim', from: 15, to: 30 }] })).toContain('zone-outside');
  });
});

describe('finish, draft and heat', () => {
  const mould: Mould = {
    id: 'm',
    name: 'block',
    material: 'aluminium',
    finish: 'matte',
    needs: 'release',
    heatLimit: 120,
    notes: '',
    cavities: [{ ...tray, draft: 0 }]
  };
  const codes = (over: Partial<Mould>, wanted = {}) =>
    mouldProblems(
      { ...mould, ...over },
      mould.cavities[0]!,
      { showFace: 'mould face', clear: true, ...wanted },
      'p'
    ).map((p) => p.code);

  it.each([
    [{}, { pourCelsius: 170 }, 'mould-too-cool'],
    [{}, {}, 'matte-mould'],
    [{}, {}, 'draft-grips'],
    [{ needs: 'nothing' as const }, {}, 'needs-release'],
    [{ condition: 'torn' as const }, {}, 'mould-worn'],
    [{ condition: 'worn' as const }, {}, 'mould-worn'],
    [{ pourHole: 9 }, {}, 'pour-hole-narrow']
  ])('%j %j says %s', (over, wanted, code) => {
    expect(codes(over, wanted)).toContain(code);
  });

  it('says which face may show as the rule judges it', () => {
    const soft = { material: 'silicone' as const, finish: 'gloss' as const };
    const grips = (draft: number) =>
      mouldProblems(
        { ...mould, ...soft },
        { ...mould.cavities[0]!, draft },
        { showFace: 'mould face', clear: false },
        'p'
      ).some((p) => p.code === 'draft-grips');
    for (const draft of [-12, -5.1, -5, -1, 0, 3]) {
      expect(mayShow(draft).includes('the open face is the one to show'), `${draft}`).toBe(grips(draft));
      expect(mayShow(draft).startsWith('The mould face is the wider'), `${draft}`).toBe(draft < 0);
    }
    expect(mayShow(undefined)).toContain('either face');
  });

  it('has nothing to say of a soft gloss mould', () => {
    expect(codes({ material: 'silicone', finish: 'gloss' })).toEqual([]);
  });
});

describe('an outline traced over a photo', () => {
  it('comes out in millimetres by the known length, whichever way the picture was taken', () => {
    const read = tracedOutline(
      [
        [100, 50],
        [100, 450]
      ],
      100,
      [
        [200, 100],
        [520, 100],
        [520, 300],
        [200, 300]
      ]
    );
    if (!read.ok) throw new Error(read.problem.sentence);
    expect(read.value).toEqual([
      [0, 50],
      [80, 50],
      [80, 0],
      [0, 0]
    ]);
    expect(polygonArea(read.value)).toBeCloseTo(4000, 6);
  });

  it.each([
    ['trace-scale', [1, 1], 3],
    ['trace-corners', [400, 0], 2]
  ] as const)('says %s', (code, end, corners) => {
    const outline = (
      [
        [0, 0],
        [90, 0],
        [90, 90]
      ] as const
    ).slice(0, corners);
    const read = tracedOutline([[0, 0], end], 50, outline);
    expect(!read.ok && read.problem.code).toBe(code);
  });

  it('refuses one that crosses itself', () => {
    const read = tracedOutline(
      [
        [0, 0],
        [100, 0]
      ],
      100,
      [
        [0, 0],
        [80, 80],
        [80, 0],
        [0, 80]
      ]
    );
    expect(!read.ok && read.problem.code).toBe('trace-crosses');
  });
});

describe('lines of two numbers', () => {
  it('are read with a comma or a point, empty lines passed over', () => {
    const read = parsePairs('0 0\n10 24,5\n\n20; 50');
    expect(read.ok && read.value).toEqual([
      [0, 0],
      [10, 24.5],
      [20, 50]
    ]);
  });
  it('name the line that is not', () => {
    const read = parsePairs('0 0\nten 20');
    expect(!read.ok && read.problem.sentence).toContain('Line 2');
  });
});

describe('making a mould', () => {
  const box = { by: 'box', length: 80, width: 80, depth: 60 } as const;

  it('takes the master from the container, by water, volume or weight', () => {
    const byWater = rubberFor({ container: box, master: { by: 'water', grams: 42.4, celsius: 20 } });
    expect(byWater.ok && byWater.value.ml).toBeCloseTo(384 - 42.4 / 0.9982, 2);
    const byWeight = rubberFor({ container: box, master: { by: 'weight', grams: 30, density: 0.75 } });
    expect(byWeight.ok && byWeight.value.ml).toBeCloseTo(344, 9);
  });

  it('moves the keys from the first half to the second', () => {
    const need = rubberFor({
      container: box,
      master: { by: 'volume', ml: 44 },
      parting: 0.5,
      keys: { count: 4, diameter: 8 }
    });
    if (!need.ok) throw new Error('no rubber');
    const [first, second] = need.value.pours;
    expect(first! + second!).toBeCloseTo(340, 9);
    // Four half-spheres of 8 mm.
    expect(second! - first!).toBeCloseTo((2 * 4 * Math.PI * 512) / 12 / 1000, 9);
  });

  it('refuses a master bigger than its container, and halves without keys', () => {
    const none = rubberFor({ container: box, master: { by: 'volume', ml: 500 } });
    expect(!none.ok && none.problem.code).toBe('master-too-big');
    expect(
      keyProblems({ container: box, master: { by: 'volume', ml: 40 }, parting: 0.5 }).map((p) => p.code)
    ).toEqual(['keys-missing']);
  });

  it('warns platinum silicone of what stops its cure', () => {
    expect(inhibitionCautions('platinum').join()).toMatch(/sulphur clay.*fresh resin/);
    expect(inhibitionCautions('tin').join()).not.toMatch(/latex/);
  });
});

it('a mould is near its end at nine tenths of what it lasts, and never where nobody reckoned it', () => {
  expect([nearItsEnd({ lasts: 40 }, 35), nearItsEnd({ lasts: 40 }, 36)]).toEqual([false, true]);
  expect(nearItsEnd({}, 10_000)).toBe(false);
});

import type { Lot } from '../src/core/shelf';

const DAY = 86_400_000;

/** What stands on Fenwick Sluice's shelves, bought and dated around a day, ms. */
export function demoLots(now: number): Lot[] {
  const part = (
    id: string,
    name: string,
    baseId: string,
    partKey: string,
    grams: number,
    price: number,
    daysAgo: number,
    months: number
  ): Lot => ({
    id,
    name,
    of: { kind: 'part', baseId, part: partKey },
    grams,
    price,
    tax: Number((price * 0.2).toFixed(2)),
    carriage: 3,
    boughtAt: now - daysAgo * DAY,
    useBy: now - daysAgo * DAY + Math.round(months * 30.4) * DAY,
    place: 'cool cupboard'
  });
  const colour = (colourantId: string, name: string, grams: number, price: number): Lot => ({
    id: `lot-${colourantId}`,
    name,
    of: { kind: 'colourant', colourantId },
    grams,
    price,
    tax: Number((price * 0.2).toFixed(2)),
    carriage: 0.5,
    boughtAt: now - 90 * DAY,
    place: 'colour drawer'
  });
  return [
    part('resin-a', 'resin, quick, 2 kg', 'clear-quick', 'A', 2000, 46, 140, 12),
    part('resin-b', 'hardener, quick, 1 kg', 'clear-quick', 'B', 1000, 28, 140, 12),
    part('slow-a', 'resin, slow, 2 kg', 'clear-slow', 'A', 2000, 52, 100, 12),
    part('slow-b', 'hardener, slow, 0.5 kg', 'clear-slow', 'B', 500, 19, 100, 12),
    part('gypsum-liquid', 'acrylic liquid, 5 kg', 'acrylic-gypsum', 'liquid', 5000, 44, 80, 12),
    part('gypsum-powder', 'gypsum powder, 12.5 kg', 'acrylic-gypsum', 'powder', 12_500, 32, 80, 6),
    part('cement', 'white cement, 25 kg', 'fine-concrete', 'cement', 25_000, 18, 60, 6),
    part('sand', 'fine sand, 25 kg', 'fine-concrete', 'sand', 25_000, 7, 60, 120),
    part('plastisol', 'plastisol, soft, 1 l', 'soft-plastisol', 'base', 1000, 19, 30, 12),
    part('olive', 'olive oil, 5 l', 'bar-soap', 'oil-1', 4550, 31, 45, 18),
    part('coconut', 'coconut oil, 3 kg', 'bar-soap', 'oil-2', 3000, 21, 45, 24),
    part('lye', 'sodium hydroxide, 1 kg', 'bar-soap', 'naoh', 1000, 9, 45, 24),
    colour('white-paste', 'titanium white paste, 100 g', 100, 11),
    colour('blue-paste', 'blue paste, 50 g', 50, 9),
    colour('brown-paste', 'brown oxide paste, 100 g', 100, 9),
    colour('black-paste', 'carbon black paste, 50 g', 50, 8),
    colour('green-dispersion', 'green water dispersion, 80 g', 80, 9.6),
    {
      id: 'samphire-offcuts',
      name: 'samphire offcuts, crushed',
      of: { kind: 'leftover', material: 'gypsum', colour: '#8a9a6c', density: 1.75 },
      grams: 2600,
      price: 0,
      tax: 0,
      carriage: 0,
      boughtAt: now - 20 * DAY,
      place: 'terrazzo bin'
    }
  ];
}

/** The kinds of quantity a maker types. `count` is drops: their mass is measured, never assumed. */
export type Kind = 'mass' | 'volume' | 'length' | 'temperature' | 'time' | 'pressure' | 'share' | 'count';

/** A unit: its kind, the words it is typed as, and how it converts to the internal unit of its kind. */
export interface Unit {
  symbol: string;
  kind: Kind;
  words: readonly string[];
  /** internal = typed × factor + offset */
  factor: number;
  offset?: number;
}

/**
 * Internal units: grams, millilitres, millimetres, degrees Celsius, minutes, bar, fractions, drops.
 * Sources: the international avoirdupois pound (453.59237 g) and inch (25.4 mm), the US gallon
 * (231 in³) and its parts, the pound-force per square inch (0.0689475729 bar).
 */
export const UNITS: readonly Unit[] = [
  { symbol: 'g', kind: 'mass', words: ['g', 'gram', 'grams', 'gr'], factor: 1 },
  { symbol: 'kg', kind: 'mass', words: ['kg', 'kilo', 'kilos', 'kilogram', 'kilograms'], factor: 1000 },
  { symbol: 'oz', kind: 'mass', words: ['oz', 'ounce', 'ounces'], factor: 28.349523125 },
  { symbol: 'lb', kind: 'mass', words: ['lb', 'lbs', 'pound', 'pounds'], factor: 453.59237 },
  { symbol: 'ml', kind: 'volume', words: ['ml', 'millilitre', 'millilitres', 'cc', 'cm³'], factor: 1 },
  { symbol: 'l', kind: 'volume', words: ['l', 'litre', 'litres', 'liter', 'liters'], factor: 1000 },
  {
    symbol: 'fl oz',
    kind: 'volume',
    words: ['fl oz', 'floz', 'fl. oz', 'fluid ounce', 'fluid ounces'],
    factor: 29.5735295625
  },
  { symbol: 'cup', kind: 'volume', words: ['cup', 'cups'], factor: 236.5882365 },
  {
    symbol: 'tbsp',
    kind: 'volume',
    words: ['tbsp', 'tablespoon', 'tablespoons'],
    factor: 14.78676478125
  },
  { symbol: 'tsp', kind: 'volume', words: ['tsp', 'teaspoon', 'teaspoons'], factor: 4.92892159375 },
  { symbol: 'in³', kind: 'volume', words: ['in³', 'cubic inch', 'cubic inches'], factor: 16.387064 },
  { symbol: 'mm', kind: 'length', words: ['mm', 'millimetre', 'millimetres'], factor: 1 },
  { symbol: 'cm', kind: 'length', words: ['cm', 'centimetre', 'centimetres'], factor: 10 },
  { symbol: 'in', kind: 'length', words: ['in', 'inch', 'inches', '"'], factor: 25.4 },
  { symbol: '°C', kind: 'temperature', words: ['°c', 'c', 'celsius', 'deg c'], factor: 1 },
  {
    symbol: '°F',
    kind: 'temperature',
    words: ['°f', 'f', 'fahrenheit', 'deg f'],
    factor: 5 / 9,
    offset: -160 / 9
  },
  { symbol: 'min', kind: 'time', words: ['min', 'mins', 'minute', 'minutes'], factor: 1 },
  { symbol: 's', kind: 'time', words: ['s', 'sec', 'second', 'seconds'], factor: 1 / 60 },
  { symbol: 'h', kind: 'time', words: ['h', 'hr', 'hour', 'hours'], factor: 60 },
  { symbol: 'd', kind: 'time', words: ['d', 'day', 'days'], factor: 1440 },
  { symbol: 'bar', kind: 'pressure', words: ['bar'], factor: 1 },
  { symbol: 'psi', kind: 'pressure', words: ['psi'], factor: 0.0689475729 },
  { symbol: '%', kind: 'share', words: ['%', 'percent', 'per cent'], factor: 0.01 },
  { symbol: 'drops', kind: 'count', words: ['drop', 'drops'], factor: 1 }
];

/**
 * Looks a unit up by its symbol. Throws on an unknown symbol: that is a mistake in the program.
 * @example unit('in').factor // 25.4
 */
export function unit(symbol: string): Unit {
  const found = UNITS.find((u) => u.symbol === symbol);
  if (!found) throw new Error(`Unknown unit symbol ${symbol}`);
  return found;
}

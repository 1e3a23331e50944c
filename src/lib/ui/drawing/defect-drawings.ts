import type { Defect } from '$core/inspect';

/** A defect as a few strokes on a piece of 40 by 40: its outline, lines, what is filled, and what is filled palely. */
export interface DefectDrawing {
  /** The face seen from above, a cut from the side, or an outline of its own. */
  on: 'face' | 'cut' | 'alone';
  line?: string;
  dark?: string;
  pale?: string;
}

/** A ring at a place, as a path. */
const ring = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
const rings = (...at: [number, number, number][]): string => at.map(([x, y, r]) => ring(x, y, r)).join('');

/** How each defect looks, with as little as tells it from the others. */
export const DEFECT_DRAWINGS: Record<Defect, DefectDrawing> = {
  'bubbles on the mould face': {
    on: 'cut',
    line: rings([11, 29, 2.5], [18, 30, 1.8], [24, 28, 2.8], [30, 30, 2])
  },
  'bubbles on the open face': {
    on: 'cut',
    line: rings([11, 12, 2.5], [17, 11, 1.8], [23, 12.5, 2.8], [30, 11, 2])
  },
  'bubbles at an edge': { on: 'face', line: rings([8, 12, 2], [8.5, 19, 2.6], [8, 26, 1.8], [9, 31, 1.6]) },
  'muddy blend': {
    on: 'face',
    pale: 'M6 8h28v26H6Z',
    line: 'M8 14c6-5 10 6 16 1s8 3 8 3M8 23c7-5 9 5 14 1s8 2 10 0M9 30c5-3 9 3 13 0s7 1 9 0'
  },
  'colours read as one': { on: 'face', pale: 'M20 8h14v26H20Z', line: 'M20 8v26' },
  'colours run together': {
    on: 'face',
    dark: 'M6 8h13c4 5-3 7 2 11s-4 6 0 15H6Z',
    line: 'M21 15c4 0 4 3 8 3M20 24c4 0 5 3 9 2'
  },
  'sunken glitter': {
    on: 'cut',
    dark: 'M9 30l1.5-2 1.5 2-1.5 2ZM16 31l1.5-2 1.5 2-1.5 2ZM23 30l1.5-2 1.5 2-1.5 2ZM29 31l1.5-2 1.5 2-1.5 2Z'
  },
  'floated or drowned embed': { on: 'cut', line: 'M20 22V11M17 14l3-3 3 3', dark: 'M14 24h12l-2 5h-8Z' },
  'colour dragged over an embed': {
    on: 'face',
    line: `${ring(20, 21, 6)}M9 17c7-3 14 6 23 1M9 25c8-4 14 5 23 0`
  },
  'blotted lines': {
    on: 'face',
    dark: 'M8 19c4-1 5-6 9-5s3 4 8 3 4 2 7 2v4c-3 0-4 2-7 2s-4 4-8 3-5-4-9-5Z'
  },
  'sweat marks': {
    on: 'face',
    line: 'M13 13c3 4 4 5 4 7a4 4 0 0 1-8 0c0-2 1-3 4-7ZM26 19c3 4 4 5 4 7a4 4 0 0 1-8 0c0-2 1-3 4-7Z'
  },
  'snapped or chipped on demould': {
    on: 'alone',
    line: 'M5 8h22l-4 6 8 2-5 7 6 3-3 8H5Z',
    dark: 'M31 9l4 1-2 5-4-2ZM33 20l3 2-2 3-3-1Z'
  },
  'tacky or soft': {
    on: 'face',
    line: 'M12 20c0-5 5-8 8-8s8 3 8 8-4 9-8 9-8-4-8-9M16 20c0-3 2-5 4-5s4 2 4 5'
  },
  overheated: { on: 'face', line: 'M20 10l-3 8 5 3-4 9M12 33c-3-5 1-7 0-11M29 33c3-5-1-7 0-11' },
  'ash bloom': {
    on: 'face',
    pale: 'M6 8h28v9c-4 3-6-2-10 1s-6-2-10 1-5-1-8 0Z',
    line: 'M9 12h2M15 11h2M22 12h2M29 11h2M12 15h2M20 16h2'
  },
  'separated layers': { on: 'alone', line: 'M6 8h28v11H6ZM6 23h28v11H6ZM3 21h3M34 21h3' },
  'unmixed streaks or specks': {
    on: 'face',
    line: 'M10 14h9M21 26h10M12 29h5',
    dark: rings([26, 14, 1.6], [14, 21, 1.4], [29, 20, 1.2])
  },
  'water marks': { on: 'face', line: rings([17, 19, 7], [25, 26, 5]) },
  'short fill or ledge': { on: 'alone', line: 'M5 8v26h30V8M5 17h16c3 0 3-3 6-3h8' },
  'overfilled lip': { on: 'alone', line: 'M7 12v22h26V12', dark: 'M3 10c6-4 28-4 34 0v3H3Z' },
  'sunk sprue or dent': { on: 'alone', line: 'M6 10h8c2 0 2 7 6 7s4-7 6-7h8v24H6Z' },
  yellowed: {
    on: 'face',
    pale: 'M6 8h28v26H6Z',
    line: 'M20 14v-2M20 30v-2M28 21h2M10 21h2M20 16a5 5 0 1 0 .1 0'
  },
  'washed-out stain': {
    on: 'face',
    pale: 'M6 8h12c-2 9 2 17-2 26H6Z',
    line: 'M22 13v4M27 12v6M24 23v5M30 22v6'
  },
  'sealed too early': { on: 'face', line: 'M8 11l24 20M8 18l16 13M17 10l15 13', pale: rings([20, 21, 8]) },
  'off-centre': { on: 'face', line: `${ring(25, 26, 6)}M20 10v22M9 21h22` },
  'dye left from an earlier piece': {
    on: 'face',
    pale: 'M8 24c6-5 9 1 13-2s7-1 11-4v14H8Z',
    line: 'M10 13h8'
  },
  'haze from a matte mould': { on: 'face', line: 'M9 13h22M9 17h22M9 21h22M9 25h22M9 29h22' },
  'no cells': { on: 'face', line: `${ring(20, 21, 7)}M13 14l14 14` },
  'white took over': { on: 'face', dark: 'M6 8h6c1 4-2 6 1 9s-2 8 0 11-1 4 0 6H6Z' },
  'layer broke through': { on: 'cut', dark: 'M6 21h10c1 4 2 8 4 8s3-4 4-8h10v13H6Z' },
  'too dark, too light or another hue': { on: 'face', dark: 'M6 8h14v26H6Z', line: 'M24 21h7M28 18l3 3-3 3' },
  'ink faded or spread': { on: 'face', pale: rings([20, 21, 10]), dark: rings([20, 21, 4]) },
  'embed cut or uncovered': { on: 'cut', dark: 'M14 8h12v5c0 4-12 4-12 0Z', line: 'M10 8h20' },
  'unclear edges or numbers': { on: 'face', line: 'M15 15h10l-6 14M13 18c2-1 3-1 4 0M24 25c2 1 3 1 5 0' },
  'milled away or peeled out': {
    on: 'cut',
    line: 'M12 8v8h16V8M16 16l3 5M24 16l-3 5',
    pale: 'M12 8h16v8H12Z'
  },
  'oily, streaked or crumbly': {
    on: 'face',
    line: 'M10 12l4 20M17 10l3 23M25 11l4 21',
    dark: rings([12, 32, 1.5], [31, 31, 1.8], [27, 33, 1.2])
  },
  'lost lines or bare patches': {
    on: 'face',
    line: 'M8 15h7M20 15h3M28 15h4M8 22h4M17 22h9M8 29h11M25 29h3'
  },
  'mica or glitter where none should be': {
    on: 'face',
    line: 'M20 8v26',
    dark: 'M25 13l1.5-2 1.5 2-1.5 2ZM30 20l1.5-2 1.5 2-1.5 2ZM24 26l1.5-2 1.5 2-1.5 2Z'
  }
};

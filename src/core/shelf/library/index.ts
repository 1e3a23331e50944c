import type { Shelf } from '../cards';
import { startingBases } from './bases';
import { startingColourants } from './colourants';

/**
 * The starting library: generic cards to begin with. Figures are typical starting values of the trade;
 * the data sheet in the maker's own box always wins.
 */
export const startingLibrary: Omit<Shelf, 'moulds'> = {
  bases: startingBases,
  colourants: startingColourants,
  scales: [
    { id: 'fine', name: 'fine scale', division: 0.01, repeatability: 0.01, capacity: 300 },
    { id: 'middle', name: 'middle scale', division: 0.1, repeatability: 0.1, capacity: 2000 },
    { id: 'bench', name: 'bench scale', division: 1, repeatability: 1, capacity: 6000 }
  ],
  vessels: [
    { id: 'cup-100', name: '100 ml cup', ml: 100, loss: 1.5 },
    { id: 'cup-300', name: '300 ml cup', ml: 300, loss: 2 },
    { id: 'jug-1000', name: '1 l jug', ml: 1000, loss: 6 },
    { id: 'bucket-5000', name: '5 l bucket', ml: 5000, loss: 20 }
  ],
  lots: []
};

import { afterAll } from 'vitest';
import { endBrowser } from './workshop';

// Every workshop of a test file is seen through one browser: beginning one costs as much as several pages.
afterAll(endBrowser);

export { planFrom1to2 } from './1to2';
export { Plan1 } from './plan1';
export { Plan2 } from './plan2';

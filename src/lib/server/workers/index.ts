export type { Jobs } from './jobs';
export { endThreads, inThread } from './pool';

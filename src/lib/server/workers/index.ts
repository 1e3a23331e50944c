export { endThreads, inThread } from './pool';

export { startingLibrary } from './library';

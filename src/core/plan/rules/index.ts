export { cupProblems, potProblems } from './cup';
export { layerProblems } from './layers';
export { mixProblems } from './mix';
export { pourProblems } from './pour';
export { recipeProblems } from './recipe';
export { needProblems, residueProblems } from './shelf';

export { cupProblems, potProblems } from './cup';
export { layerProblems } from './layers';
export { mixProblems } from './mix';
export { recipeProblems } from './recipe';
export { needProblems, residueProblems } from './shelf';

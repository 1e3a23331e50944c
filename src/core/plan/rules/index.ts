export { cupProblems } from './cup';
export { layerProblems } from './layers';
export { missing } from './missing';
export { recipeProblems } from './recipe';
export { letDownProblems, needProblems, residueProblems } from './shelf';
export { stepProblems } from './steps';

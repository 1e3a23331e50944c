export { cupProblems, splitMixProblems } from './cup';
export { layerProblems } from './layers';
export { mixProblems } from './mix';
export { pourProblems } from './pour';
export { recipeProblems } from './recipe';
export { needProblems } from './shelf';
export { injectorProblems } from './injector-too-small';
export { sharedMoulds } from './mould-shared';
export { residueProblems } from './mould-residue';

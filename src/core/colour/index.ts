export type { ColourModel, PredictedColour, Tint } from './model';
export { simpleMixing } from './simple';

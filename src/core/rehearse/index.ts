export {
  answersTo,
  MISHAPS,
  overshootOf,
  planMishaps,
  strike,
  type Answered,
  type MishapKind,
  type PlannedMishap,
  type Struck
} from './mishaps';
export { lessons, lessonPlan, type Lesson } from './lessons';

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
export { practiceLessons, lessonPlan, type PracticeLesson } from './lessons';
export { doneHow, isLessonDone, whyOf, type Done } from './teaching';

export { lessonOf, taughtPairs, type Lesson, type TaughtPair } from './calibration.ts';
export { insideLesson } from './inside-lesson.ts';

export { draftOfExercise, type ExerciseTold } from "./exercise";

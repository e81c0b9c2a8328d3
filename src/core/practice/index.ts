/** The door of practice: tasks drawn by seed, what is handed in, and the grade. */

export { type Course, type Leading, led } from "./course";
export {
  COMPLAINTS,
  type Complaint,
  type FaultTask,
  type FaultWish,
  faultTask,
  PRACTISED_CAUSES,
} from "./faultTask";
export { type Grade, grade, noted } from "./grade";
export {
  DANGERS,
  type Danger,
  type FaultAction,
  type FaultGrade,
  type FaultHandedIn,
  faultHandedIn,
  gradeFault,
  MINUTES,
  minutesOf,
} from "./gradeFault";
export {
  CONSEQUENCES,
  type Consequence,
  gradeWiring,
  handedPlan,
  type WiringGrade,
  type WiringHandedIn,
  wiringHandedIn,
} from "./gradeWiring";
export { type HandedIn, handedIn } from "./handedIn";
export { type RoleChoice, roleChoices } from "./roleChoices";
export {
  DIFFICULTIES,
  type Difficulty,
  PRACTICE_FAMILIES,
  PRACTICE_FAULTS,
  type PracticeFault,
  type PracticeTask,
  type PracticeWish,
  practiceTask,
} from "./task";
export {
  WIRING_EQUIPMENT,
  WIRING_TASKS,
  type WiringTask,
  type WiringTaskKind,
  type WiringTaskWish,
  wiringTask,
} from "./wiringTask";

import { checked } from "./checked";
import { answerAll, oneStep } from "./work";

/** Runs plans away from the page: each state of the equipment is a circuit that is solved. */
answerAll(checked, oneStep(checked));

import { checked } from "./checked";
import { answerAll } from "./work";

/** Runs plans away from the page: each state of the equipment is a circuit that is solved. */
answerAll(checked);

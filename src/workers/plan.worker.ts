import { wired } from "./planned";
import { answerAll, oneStep } from "./work";

/** Plans away from the page. */
answerAll(wired, oneStep(wired));

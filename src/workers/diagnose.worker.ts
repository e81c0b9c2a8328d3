import { diagnosed } from "./diagnosed";
import { answerAll } from "./work";

/** Weighs a proof away from the page: every cause is a machine that is run. */
answerAll(diagnosed);

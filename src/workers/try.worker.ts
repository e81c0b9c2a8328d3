import { tried } from "./tried";
import { answerAll } from "./work";

/** Runs a changed circuit away from the page. */
answerAll(tried);

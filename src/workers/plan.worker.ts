import { wired } from "./planned";
import { answerAll } from "./work";

/** Plans away from the page. */
answerAll(wired);

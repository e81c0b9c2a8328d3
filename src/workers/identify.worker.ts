import { rehearsal } from "@/core";
import { identified } from "./identified";
import { answerAll } from "./work";

/** Identifies away from the page, so that a key press is answered while a large sheet is weighed. */
answerAll(identified, rehearsal);

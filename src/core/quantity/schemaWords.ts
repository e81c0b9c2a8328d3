import { config } from "zod/mini";
import en from "zod/v4/locales/en.js";

/** A schema says what is wrong in English: the small build of Zod has no words until it is given some. */
config(en());

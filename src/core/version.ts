/** The version of the core whose verdicts a record carries when it is sealed: the package's own. */
export const CORE_VERSION = "0.1.0";

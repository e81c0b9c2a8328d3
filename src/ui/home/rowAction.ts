/** What can be done with a job from the list. */
export type RowAction = "visit" | "archive" | "list" | "delete";

/** Before the job and the id in the key of a fact that is written down. */
export const ENTRY_PREFIX = "odd-lead:entry:";
/** Before the job in the key of the list that versions before the database kept. */
export const OLDER_PREFIX = "odd-lead:outbox:";

export const JOURNAL_PREFIXES = [ENTRY_PREFIX, OLDER_PREFIX] as const;

ALTER INDEX "jobs_by_steps" SET (fastupdate=true,gin_pending_list_limit=256);--> statement-breakpoint
ALTER INDEX "jobs_by_words" SET (fastupdate=true,gin_pending_list_limit=256);

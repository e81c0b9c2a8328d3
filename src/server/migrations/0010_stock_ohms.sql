DROP INDEX "jobs_by_steps";--> statement-breakpoint
DROP INDEX "jobs_by_words";--> statement-breakpoint
DROP INDEX "units_by_words";--> statement-breakpoint
ALTER TABLE "stock_items" ADD COLUMN "fingerprint" jsonb;--> statement-breakpoint
ALTER TABLE "stock_items" ADD COLUMN "steps" integer[];--> statement-breakpoint
CREATE INDEX "jobs_demo" ON "jobs" USING btree ("shop_id") WHERE demo is not null;--> statement-breakpoint
CREATE INDEX "jobs_known_again" ON "jobs" USING btree ("shop_id") WHERE fingerprint is not null and shelved <> 'deleted';--> statement-breakpoint
CREATE INDEX "stock_by_steps" ON "stock_items" USING gin ("steps") WITH (fastupdate=false);--> statement-breakpoint
CREATE INDEX "units_by_name" ON "units" USING btree ("shop_id","site","name");--> statement-breakpoint
CREATE INDEX "jobs_by_steps" ON "jobs" USING gin ("steps") WITH (fastupdate=false);--> statement-breakpoint
CREATE INDEX "jobs_by_words" ON "jobs" USING gin ("words" gin_trgm_ops) WITH (fastupdate=false);--> statement-breakpoint
CREATE INDEX "units_by_words" ON "units" USING gin ("words" gin_trgm_ops) WITH (fastupdate=false);--> statement-breakpoint
-- Motors put in before ohms could be stated state none.
UPDATE "stock_items" SET "item" = "item" || '{"ohms": ""}'::jsonb WHERE "kind" = 'motor' AND NOT "item" ? 'ohms';--> statement-breakpoint
-- Blanks about every word: short ones are looked for where a word begins.
UPDATE "units" SET "words" = ' ' || "words" || ' ' WHERE "words" NOT LIKE ' %';

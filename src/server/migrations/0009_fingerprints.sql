ALTER TABLE "jobs" ADD COLUMN "fingerprint" jsonb;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "steps" integer[];--> statement-breakpoint
CREATE INDEX "jobs_by_steps" ON "jobs" USING gin ("steps");
CREATE EXTENSION IF NOT EXISTS pg_trgm;--> statement-breakpoint
CREATE TABLE "units" (
	"shop_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"customer" text NOT NULL,
	"site" text NOT NULL,
	"name" text NOT NULL,
	"words" text NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "units_shop_id_id_pk" PRIMARY KEY("shop_id","id")
);
--> statement-breakpoint
DROP INDEX "jobs_by_last_fact";--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "title" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "unit_id" uuid;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "unit" jsonb;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "leads" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "status" text DEFAULT 'needs-probe' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "status_arrival" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "signed" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "cause" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "shelved" text DEFAULT 'listed' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "words" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "summarised" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE INDEX "units_by_words" ON "units" USING gin ("words" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "jobs_listed" ON "jobs" USING btree ("shop_id","last_fact_at" DESC NULLS FIRST,"id" DESC NULLS FIRST) WHERE shelved = 'listed';--> statement-breakpoint
CREATE INDEX "jobs_of_unit" ON "jobs" USING btree ("shop_id","unit_id","last_fact_at");--> statement-breakpoint
CREATE INDEX "jobs_by_words" ON "jobs" USING gin ("words" gin_trgm_ops);
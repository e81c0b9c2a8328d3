CREATE TABLE "facts" (
	"shop_id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"arrival" bigserial NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"by" text NOT NULL,
	"body" jsonb NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "facts_shop_id_job_id_id_pk" PRIMARY KEY("shop_id","job_id","id")
);
--> statement-breakpoint
CREATE TABLE "jobs" (
	"shop_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"demo" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"last_fact_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "jobs_shop_id_id_pk" PRIMARY KEY("shop_id","id")
);
--> statement-breakpoint
ALTER TABLE "facts" ADD CONSTRAINT "facts_shop_id_job_id_jobs_shop_id_id_fk" FOREIGN KEY ("shop_id","job_id") REFERENCES "public"."jobs"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "jobs_by_last_fact" ON "jobs" USING btree ("shop_id","last_fact_at" DESC NULLS LAST);--> statement-breakpoint
CREATE FUNCTION "facts_are_only_added"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	RAISE EXCEPTION 'facts are only added: a correction is a new fact';
END $$;
--> statement-breakpoint
CREATE TRIGGER "facts_are_only_added" BEFORE UPDATE OR DELETE ON "facts" FOR EACH ROW EXECUTE FUNCTION "facts_are_only_added"();

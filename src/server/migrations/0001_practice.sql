CREATE TABLE "practice_results" (
	"shop_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"person" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"seed" bigint NOT NULL,
	"family" text NOT NULL,
	"fault" text NOT NULL,
	"difficulty" text NOT NULL,
	"lead_count" integer NOT NULL,
	"leads_right" integer NOT NULL,
	"is_right" boolean NOT NULL,
	"readings_taken" integer NOT NULL,
	"readings_needed" integer NOT NULL,
	"given" jsonb NOT NULL,
	CONSTRAINT "practice_results_shop_id_id_pk" PRIMARY KEY("shop_id","id")
);
--> statement-breakpoint
CREATE INDEX "practice_by_person" ON "practice_results" USING btree ("shop_id","person","at");
CREATE TABLE "fault_results" (
	"shop_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"person" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"equipment" text NOT NULL,
	"complaint" text NOT NULL,
	"cause" text NOT NULL,
	"is_right" boolean NOT NULL,
	"minutes" integer NOT NULL,
	"best_minutes" integer,
	"dangers" integer NOT NULL,
	"given" jsonb NOT NULL,
	CONSTRAINT "fault_results_shop_id_id_pk" PRIMARY KEY("shop_id","id")
);
--> statement-breakpoint
CREATE INDEX "faults_by_person" ON "fault_results" USING btree ("shop_id","person","at");
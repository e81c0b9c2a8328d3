CREATE TABLE "wiring_results" (
	"shop_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"person" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"task" text NOT NULL,
	"equipment" text NOT NULL,
	"is_right" boolean NOT NULL,
	"given" jsonb NOT NULL,
	CONSTRAINT "wiring_results_shop_id_id_pk" PRIMARY KEY("shop_id","id")
);
--> statement-breakpoint
CREATE INDEX "wirings_by_person" ON "wiring_results" USING btree ("shop_id","person","at");